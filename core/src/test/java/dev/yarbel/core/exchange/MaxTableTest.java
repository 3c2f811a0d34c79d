package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MaxTableTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 11);
    private static final LiftIndex LIFTS = new LiftIndex(LiftIndexTest.NAMES);
    private static final MaxTable.Said SAID =
            new MaxTable.Said(MassUnit.KG, Optional.of(TODAY), DayText.Order.DAY_FIRST, TODAY);

    private static List<List<String>> table(String text) {
        return text.lines()
                .map(line ->
                        Arrays.stream(line.split("\\|", -1)).map(String::strip).toList())
                .toList();
    }

    private static MaxTable.Read read(String text) {
        return MaxTable.read(MaxTable.headed(table(text), LIFTS), LIFTS, SAID).orElseThrow();
    }

    private static List<String> lines(MaxTable.Read read) {
        return read.lines().stream()
                .map(line -> line.lifter() + " "
                        + line.lift().map(lift -> lift.key()).orElse("body") + " "
                        + line.mass().format(line.unit(), 3) + " x" + line.reps() + " " + line.day())
                .toList();
    }

    private static List<String> troubles(MaxTable.Read read) {
        return read.troubles().stream()
                .map(trouble -> trouble.line() + " " + trouble.kind() + " " + trouble.text())
                .toList();
    }

    /** As a coach keeps it, with a title, what they do not know left out, one who lifts in pounds, and a rep max. */
    @Test
    void aRowForEachLifterAndAColumnForEachLift() {
        MaxTable.Read read = read("""
                Maxes, spring
                Name | BW | Squat 1RM | Bench (lb) | DL max | Shoe size
                Ada  | 63,5 | 120 | 185 | 140x3 | 38
                Bo   | - | 180 kg | n/a | 200 | 44

                     | 80 | 100 | | |
                """);
        assertThat(lines(read))
                .containsExactly(
                        "Ada body 63.5 kg x1 2026-03-11",
                        "Ada squat 120 kg x1 2026-03-11",
                        "Ada bench-press 185 lb x1 2026-03-11",
                        "Ada deadlift 140 kg x3 2026-03-11",
                        "Bo squat 180 kg x1 2026-03-11",
                        "Bo deadlift 200 kg x1 2026-03-11");
        assertThat(troubles(read)).containsExactly("6 NO_LIFTER ");
        assertThat(read.unread()).containsExactly("Shoe size");
    }

    @Test
    void aRowForEachMaxWithItsDayUnitAndRepetitions() {
        MaxTable.Read read = read("""
                Date | Athlete | Exercise | Load | Unit | Reps
                12.3.2025 | Ada | Kniebeuge | 120 | kg | 1
                2025-11-02 | | Bench press | 185 | lb | 5
                12.3. | Bo | Squat | 100 | kg | 1
                12.3.2027 | Bo | Squat | 100 | kg | 1
                1.3.2025 | Bo | Zorbing | 100 | kg | 1
                1.3.2025 | Bo | Squat | 1,234 | kg | 1
                1.3.2025 | Bo | Squat | 100 | kg | 40
                1.3.2025 | Bo | Squat | | kg | 1
                1.3.2025 | Bo | Body weight | 82 | |
                """);
        assertThat(lines(read))
                .containsExactly(
                        "Ada squat 120 kg x1 2025-03-12",
                        "Ada bench-press 185 lb x5 2025-11-02",
                        "Bo body 82 kg x1 2025-03-01");
        assertThat(troubles(read))
                .containsExactly(
                        "4 DAY_WITHOUT_YEAR 12.3.",
                        "5 DAY_TO_COME 12.3.2027",
                        "6 UNKNOWN_LIFT Zorbing",
                        "7 THOUSANDS 1,234",
                        "8 REPS_OUT_OF_RANGE 40",
                        "9 NO_LOAD ");
    }

    @Test
    void aMaxWithoutADayIsRefusedWhereNobodySaidTheDay() {
        MaxTable.Said nothing = new MaxTable.Said(MassUnit.KG, Optional.empty(), DayText.Order.DAY_FIRST, TODAY);
        MaxTable.Read read = MaxTable.read(MaxTable.headed(table("Name|Squat\nAda|120"), LIFTS), LIFTS, nothing)
                .orElseThrow();
        assertThat(read.lines()).isEmpty();
        assertThat(troubles(read)).containsExactly("2 NO_DAY 120");
    }

    @ParameterizedTest
    @CsvSource({
        "15, BODY_OUT_OF_RANGE",
        "bw, BODY_OUT_OF_RANGE",
        "400, BODY_OUT_OF_RANGE",
        "0, BODY_OUT_OF_RANGE",
        "-80, LOAD_OUT_OF_RANGE",
        "abc, UNREADABLE_LOAD"
    })
    void aBodyMassIsOne(String body, Trouble.Kind why) {
        MaxTable.Read read = read("Name|Body weight|Squat\nAda|" + body + "|100");
        assertThat(lines(read)).containsExactly("Ada squat 100 kg x1 2026-03-11");
        assertThat(read.troubles()).extracting(Trouble::kind).containsExactly(why);
    }

    @ParameterizedTest
    @CsvSource({"Name|Reps", "Squat|Bench", "a|b", "Date|Exercise|Load"})
    void aTableThatNamesNoLiftersOrNoMaxesIsNone(String heads) {
        assertThat(MaxTable.read(MaxTable.headed(table(heads + "\n1|2|3"), LIFTS), LIFTS, SAID))
                .isEmpty();
    }

    /** Whatever stands in cells, each that is filled is a line or a trouble and never both, and nothing is thrown. */
    @Property(tries = 300)
    void everyCellIsTakenOrSaidWhyNot(@ForAll @Size(max = 6) List<@StringLength(max = 8) String> cells) {
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of("Name", "Squat"));
        cells.forEach(cell -> rows.add(List.of("Ada", cell)));
        MaxTable.Read read =
                MaxTable.read(MaxTable.headed(rows, LIFTS), LIFTS, SAID).orElseThrow();
        assertThat(read.lines().size() + read.troubles().size()).isLessThanOrEqualTo(cells.size());
        assertThat(read.lines()).allMatch(line -> line.mass().isPositive());
    }

    /** Every whole load in either unit is itself. */
    @Property(tries = 200)
    void aLoadIsWhatIsWritten(@ForAll @IntRange(min = 1, max = 900) int load, @ForAll MassUnit unit) {
        MaxTable.Read read = read("Name|Squat (" + unit.symbol() + ")\nAda|" + load);
        assertThat(read.lines().get(0).mass().figure(unit, 3)).isEqualTo(String.valueOf(load));
    }
}
