package dev.yarbel.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The first block of each school as core's own tests keep it: every law and dose that Yarbel draws up. */
public final class GoldenBlocks {

    private static final Pattern DAY = Pattern.compile("(\\S.*) \\+(\\d)");
    private static final Pattern SLOT = Pattern.compile("  (\\S+) (\\S+)(?: \\(.*?\\))?: (.*)");

    private GoldenBlocks() {}

    /** A line of a day; a week without a dose is empty. */
    public record Slot(String letter, String lift, List<String> doses) {}

    /** A training day, so many days after the first of the week. */
    public record Day(String name, int offset, List<Slot> slots) {}

    /** A block of a school. */
    public record Drawn(String school, int weeks, List<Day> days) {

        @Override
        public String toString() {
            return school;
        }
    }

    public static List<Drawn> all() throws IOException {
        List<Drawn> all = new ArrayList<>();
        try (Stream<Path> files = Files.list(Path.of("..", "core", "src", "test", "resources", "golden"))) {
            for (Path file : files.filter(path -> path.toString().endsWith(".txt"))
                    .sorted()
                    .toList()) {
                all.add(first(file));
            }
        }
        return all;
    }

    private static Drawn first(Path file) throws IOException {
        int weeks = 0;
        List<Day> days = new ArrayList<>();
        for (String line : Files.readAllLines(file, StandardCharsets.UTF_8)) {
            Matcher day = DAY.matcher(line);
            Matcher slot = SLOT.matcher(line);
            if (line.startsWith("weeks: ")) {
                if (weeks > 0) {
                    break;
                }
                weeks = line.split(" \\| ").length;
            } else if (day.matches()) {
                days.add(new Day(day.group(1), Integer.parseInt(day.group(2)), new ArrayList<>()));
            } else if (slot.matches()) {
                days.get(days.size() - 1)
                        .slots()
                        .add(new Slot(
                                slot.group(1),
                                slot.group(2),
                                Arrays.stream(slot.group(3).split(" \\| ", -1))
                                        .map(text -> text.strip().equals("-") ? "" : text.strip())
                                        .toList()));
            }
        }
        return new Drawn(file.getFileName().toString(), weeks, days);
    }
}
