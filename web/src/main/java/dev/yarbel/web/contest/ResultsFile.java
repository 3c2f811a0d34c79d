package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.Points;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;

/**
 * Writes what came of a contest as a table for a spreadsheet (RFC 4180, masses in kg, a point before the decimals). A load that was not
 * made has a minus before it, as result sheets have it (common practice, no source). What is only named or expected is no result.
 */
@Component
class ResultsFile {

    /** What a spreadsheet would take for a formula is kept from being one. */
    private static final String FORMULAS = "=+-@\t\r";

    private final Words words;
    private final ContestWords groups;

    ResultsFile(Words words, ContestWords groups) {
        this.words = words;
        this.groups = groups;
    }

    /** Of a contest of lifts: a line for each lifter, with every attempt, the total and the points. */
    String of(DayView.Made made) {
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
                    text(row.entry().name()),
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
        return written(head, lines);
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
    String of(EventsView view) {
        List<String> head = new ArrayList<>(
                List.of(words.say("contest.class"), words.say("contest.place-no"), words.say("contest.lifter")));
        view.events().forEach(event -> {
            head.add(text(event.name()));
            head.add(words.say("contest.points.of", event.name()));
        });
        head.add(words.say("contest.points"));
        List<List<String>> lines = new ArrayList<>();
        for (EventsView.Group group : view.groups()) {
            for (EventsView.Row row : group.rows()) {
                List<String> line = new ArrayList<>(List.of(
                        sex(group.sex()),
                        String.valueOf(row.place()),
                        text(row.entry().name())));
                row.cells().forEach(cell -> {
                    line.add(cell.guessed() ? "" : cell.written());
                    line.add(
                            cell.guessed()
                                    ? ""
                                    : cell.points()
                                            .map(points -> points.toPlainString())
                                            .orElse(""));
                });
                line.add(row.total().stripTrailingZeros().toPlainString());
                lines.add(line);
            }
        }
        return written(head, lines);
    }

    private String sex(String key) {
        return key.isEmpty() ? "" : words.say("contest.sex." + key);
    }

    private static String kg(Optional<Mass> mass) {
        return mass.map(one -> one.in(MassUnit.KG).stripTrailingZeros().toPlainString())
                .orElse("");
    }

    private static String text(String typed) {
        return !typed.isEmpty() && FORMULAS.indexOf(typed.charAt(0)) >= 0 ? "'" + typed : typed;
    }

    private static String written(List<String> head, List<List<String>> lines) {
        StringBuilder file = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(file, CSVFormat.RFC4180)) {
            printer.printRecord(head);
            printer.printRecords(lines);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return file.toString();
    }

    /** What it is saved as: the contest's name in plain letters, and its day. */
    static String name(ContestEntity contest) {
        String plain = contest.name()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        return (plain.isEmpty() ? "contest" : plain)
                + contest.on().map(on -> "-" + on).orElse("") + ".csv";
    }
}
