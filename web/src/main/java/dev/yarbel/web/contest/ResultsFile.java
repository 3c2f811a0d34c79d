package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.Points;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.TableFile;
import dev.yarbel.web.page.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;

/**
 * Writes what came of a contest as a table for a spreadsheet (RFC 4180, masses in kg, a point before the decimals). A load that was not
 * made has a minus before it, as result sheets have it (common practice, no source). What is only named or expected is no result, and
 * what hangs on it neither.
 */
@Component
class ResultsFile {

    /** As scales of contests show it, though it was typed in pounds. */
    private static final int HUNDREDTHS = 2;

    private static final Pattern FIGURE = Pattern.compile("-?\\d+(\\.\\d+)?");

    /** A table of results, with what stands above its columns. */
    record Results(List<String> head, List<List<String>> lines) {}

    private final Words words;
    private final ContestWords groups;

    ResultsFile(Words words, ContestWords groups) {
        this.words = words;
        this.groups = groups;
    }

    /** Of a contest of lifts: a line for each lifter, with every attempt, the total and the points. */
    Results of(DayView.Made made) {
        ContestRules rules = made.contest().rules();
        List<String> head = new ArrayList<>(List.of(
                words.say("contest.class"),
                words.say("contest.place-no"),
                words.say("contest.lifter"),
                words.say("contest.body"),
                words.say("contest.lot")));
        for (Lift lift : rules.lifts()) {
            for (int number = 1; number <= rules.most(); number++) {
                head.add(words.lift(lift) + " " + number);
            }
            head.add(words.lift(lift));
        }
        head.add(words.say("contest.sum"));
        Points.of(rules.benchOnly()).forEach(formula -> head.add(words.say("contest.points." + formula)));
        List<List<String>> lines = new ArrayList<>();
        for (DayView.Row row : DayView.board(made)) {
            List<String> line = new ArrayList<>(List.of(
                    groups.group(row.group()),
                    row.place().map(String::valueOf).orElse(""),
                    row.entry().name(),
                    kg(row.entry().bodyMass()),
                    row.entry().lot().map(String::valueOf).orElse("")));
            Map<Lift, List<AttemptEntity>> attempts = made.of(row.entry());
            for (int i = 0; i < rules.lifts().size(); i++) {
                List<AttemptEntity> of = attempts.getOrDefault(rules.lifts().get(i), List.of());
                for (int number = 1; number <= rules.most(); number++) {
                    line.add(lifted(of, number));
                }
                line.add(kg(row.bests().get(i)));
            }
            line.add(row.complete() ? kg(row.soFar()) : "");
            row.points()
                    .forEach(points -> line.add(
                            points.map(figure -> figure.toPlainString()).orElse("")));
            lines.add(line);
        }
        return new Results(head, lines);
    }

    private static String lifted(List<AttemptEntity> attempts, int number) {
        return attempts.stream()
                .filter(attempt -> attempt.number() == number)
                .flatMap(
                        attempt -> attempt
                                .outcome()
                                .map(outcome -> (outcome.isMade() ? "" : "-") + kg(Optional.of(attempt.load())))
                                .stream())
                .findFirst()
                .orElse("");
    }

    /** Of a strongman contest: a line for each, with every result and its points. */
    Results of(EventsView view) {
        List<String> head = new ArrayList<>(
                List.of(words.say("contest.class"), words.say("contest.place-no"), words.say("contest.lifter")));
        view.events().forEach(event -> {
            head.add(event.name());
            head.add(words.say("contest.points.of", event.name()));
        });
        head.add(words.say("contest.points"));
        List<List<String>> lines = new ArrayList<>();
        for (EventsView.Group group : view.groups()) {
            List<Boolean> settled = IntStream.range(0, view.events().size())
                    .mapToObj(at -> group.rows().stream()
                            .noneMatch(row -> row.cells().get(at).guessed()))
                    .toList();
            group.rows().forEach(row -> lines.add(line(group, row, settled)));
        }
        return new Results(head, lines);
    }

    /** @param settled by event, whether nobody's result there is only expected: else points and places are too */
    private List<String> line(EventsView.Group group, EventsView.Row row, List<Boolean> settled) {
        boolean all = settled.stream().allMatch(Boolean::booleanValue);
        List<String> line = new ArrayList<>(List.of(
                sex(group.sex()),
                all ? String.valueOf(row.place()) : "",
                row.entry().name()));
        for (int at = 0; at < settled.size(); at++) {
            EventsView.Cell cell = row.cells().get(at);
            line.add(cell.guessed() ? "" : cell.written());
            line.add(
                    settled.get(at)
                            ? cell.points().map(BigDecimal::toPlainString).orElse("")
                            : "");
        }
        line.add(all ? row.total().stripTrailingZeros().toPlainString() : "");
        return line;
    }

    private String sex(String key) {
        return key.isEmpty() ? "" : words.say("contest.sex." + key);
    }

    private static String kg(Optional<Mass> mass) {
        return mass.map(one -> one.in(MassUnit.KG)
                        .setScale(HUNDREDTHS, RoundingMode.HALF_UP)
                        .stripTrailingZeros()
                        .toPlainString())
                .orElse("");
    }

    /** As CSV; what a spreadsheet would take for a formula is kept from being one. */
    static String csv(Results results) {
        StringBuilder file = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(file, CSVFormat.RFC4180)) {
            printer.printRecord(plain(results.head()));
            for (List<String> line : results.lines()) {
                printer.printRecord(plain(line));
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return file.toString();
    }

    private static List<String> plain(List<String> cells) {
        return cells.stream()
                .map(cell -> FIGURE.matcher(cell).matches() ? cell : TableFile.harmless(cell))
                .toList();
    }

    /** What it is saved as: the contest's name in plain letters, and its day. */
    static String name(ContestEntity contest, String end) {
        String plain = contest.name()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return (plain.isEmpty() ? "contest" : plain)
                + contest.on().map(on -> "-" + on).orElse("")
                + end;
    }
}
