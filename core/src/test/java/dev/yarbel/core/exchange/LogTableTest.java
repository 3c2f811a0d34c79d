package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.measure.MassUnit;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LogTableTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 11);
    private static final LiftIndex LIFTS = new LiftIndex(LiftIndexTest.NAMES);

    private final List<ReadSet> sets = new ArrayList<>();
    private final List<Trouble> troubles = new ArrayList<>();

    private static List<List<String>> table(String text) {
        return text.lines()
                .map(line ->
                        Arrays.stream(line.split("\\|", -1)).map(String::strip).toList())
                .toList();
    }

    private void read(String text) {
        read(text, UnaryOperator.identity());
    }

    private void read(String text, UnaryOperator<Layout> corrected) {
        List<List<String>> rows = table(text);
        Layout layout = corrected.apply(LayoutGuess.of(rows, LIFTS, DayText.Order.DAY_FIRST, MassUnit.KG));
        LogTable table = new LogTable(
                layout,
                Catalogue.STANDARD,
                name -> LIFTS.find(name).map(LiftIndex.Match::lift),
                name -> name.equalsIgnoreCase("wren"),
                TODAY);
        for (int line = layout.firstLine(); line <= rows.size(); line++) {
            ReadRow row = table.read(line, rows.get(line - 1));
            sets.addAll(row.sets());
            troubles.addAll(row.troubles());
        }
    }

    private static String shown(ReadSet read) {
        return read.day() + " " + read.set().lift() + " " + read.set().load() + " x"
                + read.set().reps() + " " + read.set().effort().code() + (read.warmUp() ? " warm-up" : "");
    }

    private List<String> shown() {
        return sets.stream().map(LogTableTest::shown).toList();
    }

    private List<Trouble.Kind> kinds() {
        return troubles.stream().map(Trouble::kind).toList();
    }

    @Test
    void theLongFormHasASetARow() {
        read("""
                Date|Exercise|Weight (kg)|Reps|RPE|Notes
                2024-03-12|Squat|140|5|8|felt fine
                2024-03-12|Squat|142,5|5|8,5|
                2024-03-14|Bench|100|3||
                """);
        assertThat(shown())
                .containsExactly(
                        "2024-03-12 squat 140 kg x5 8",
                        "2024-03-12 squat 142.5 kg x5 8.5",
                        "2024-03-14 bench-press 100 kg x3 done");
        assertThat(sets.get(0).set().details().note()).contains("felt fine");
        assertThat(troubles).isEmpty();
    }

    @Test
    void aTitleAboveTheHeadsAndRowsOfSetsAlikeAreNoTrouble() {
        read("""
                Training log 2024||||
                ||||
                Datum|Übung|Gewicht|Sätze|Wdh
                12.03.2024|Kniebeuge|140|3|5
                |Bankdrücken|100|2|8
                ||102,5|1|6
                14.03.2024|Kreuzheben|180|1|1
                """);
        assertThat(shown())
                .containsExactly(
                        "2024-03-12 squat 140 kg x5 done",
                        "2024-03-12 squat 140 kg x5 done",
                        "2024-03-12 squat 140 kg x5 done",
                        "2024-03-12 bench-press 100 kg x8 done",
                        "2024-03-12 bench-press 100 kg x8 done",
                        "2024-03-12 bench-press 102.5 kg x6 done",
                        "2024-03-14 deadlift 180 kg x1 done");
    }

    @Test
    void theWideFormHasADayAColumn() {
        read("""
                |12.3.2024|19.3.2024|26.3.2024
                Squat|5x5 @ 140|5x5 142.5|140x2F
                Bench press|3x8 90 @8||off
                """);
        assertThat(shown())
                .contains(
                        "2024-03-12 squat 140 kg x5 done",
                        "2024-03-19 squat 142.5 kg x5 done",
                        "2024-03-26 squat 140 kg x2 missed",
                        "2024-03-12 bench-press 90 kg x8 8")
                .hasSize(5 + 5 + 1 + 3);
        assertThat(troubles).isEmpty();
    }

    @Test
    void weeksWithoutDaysAreAskedForAndThenCounted() {
        String table = """
                Day|Exercise|Week 1|Week 2
                Day 1|Squat|5x5 140|5x5 145
                Day 2|Deadlift|3x3 180|3x3 185
                """;
        read(table);
        assertThat(sets).isEmpty();
        assertThat(kinds()).containsOnly(Trouble.Kind.WEEK_WITHOUT_DAY);
        troubles.clear();
        read(
                table,
                layout -> layout.from(
                        Optional.of(LocalDate.of(2024, 3, 13)), List.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY)));
        assertThat(troubles).isEmpty();
        assertThat(sets.stream().map(ReadSet::day).distinct())
                .containsExactly(
                        LocalDate.of(2024, 3, 11),
                        LocalDate.of(2024, 3, 18),
                        LocalDate.of(2024, 3, 14),
                        LocalDate.of(2024, 3, 21));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', textBlock = """
            2024-03-12|Squat|140|05-Mar|;             MADE_A_DAY
            2024-03-12|Squat|140|2024-03-05 00:00|;   MADE_A_DAY
            2024-03-12|Squat|140|3-5|;                REPS_PLANNED
            2024-03-12|Squat|140|0|;                  REPS_OUT_OF_RANGE
            2024-03-12|Squat|140|500|;                REPS_OUT_OF_RANGE
            2024-03-12|Squat|140|many|;               UNREADABLE_REPS
            2024-03-12|Squat|140||;                   NO_REPS
            2024-03-12|Squat||5|;                     NO_LOAD
            2024-03-12|Squat|heavy|5|;                UNREADABLE_LOAD
            2024-03-12|Squat|-20|5|;                  LOAD_OUT_OF_RANGE
            2024-03-12|Squat|5000|5|;                 LOAD_OUT_OF_RANGE
            2024-03-12|Squat|1,234|5|;                THOUSANDS
            2024-03-12|Squat|#REF!|5|;                SPREADSHEET_ERROR
            2024-03-12|Squat|140|#DIV/0!|;            SPREADSHEET_ERROR
            2024-03-12|Zorbing|140|5|;                UNKNOWN_LIFT
            2024-03-12||140|5|;                       NO_LIFT
            |Squat|140|5|;                            NO_DAY
            12.3.|Squat|140|5|;                       DAY_WITHOUT_YEAR
            31.2.2024|Squat|140|5|;                   UNREADABLE_DAY
            2034-03-12|Squat|140|5|;                  DAY_TO_COME
            1924-03-12|Squat|140|5|;                  DAY_TOO_EARLY
            """)
    void whatCannotComeInIsRefusedWithItsReason(String row, Trouble.Kind kind) {
        read("Date|Exercise|Weight|Reps|RPE\n" + row);
        assertThat(sets).isEmpty();
        assertThat(kinds()).containsExactly(kind);
        assertThat(troubles.get(0).line()).isEqualTo(2);
        if (kind == Trouble.Kind.SPREADSHEET_ERROR) {
            assertThat(troubles.get(0).text()).startsWith("#");
        }
    }

    @Test
    void aRatingThatCannotBeReadIsAskedAboutAndTheSetIsKept() {
        read("""
                Date|Exercise|Weight|Reps|RPE
                2024-03-12|Squat|140|5|8.25
                2024-03-12|Squat|140|5|hard
                2024-03-12|Squat|140|5|11
                2024-03-12|Squat|140|5|8.0
                """);
        assertThat(shown()).hasSize(4).endsWith("2024-03-12 squat 140 kg x5 8");
        assertThat(sets.subList(0, 3))
                .allMatch(ReadSet::doubtful)
                .allMatch(set -> set.set().effort().isUnrated());
        assertThat(sets.get(3).doubtful()).isFalse();
        assertThat(kinds()).containsOnly(Trouble.Kind.UNREADABLE_RATING).hasSize(3);
    }

    @Test
    void unitsStandInHeadsInCellsAndInColumnsOfTheirOwn() {
        read("""
                Date|Exercise|Weight (lbs)|Reps
                2024-03-12|Squat|225|5
                2024-03-12|Squat|100 kg|5
                """);
        read("""
                Date|Exercise|Weight|Unit|Reps
                2024-03-12|Squat|225|lb|5
                2024-03-12|Squat|100|kg|5
                """);
        assertThat(shown())
                .containsExactly(
                        "2024-03-12 squat 102.05828325 kg x5 done",
                        "2024-03-12 squat 100 kg x5 done",
                        "2024-03-12 squat 102.05828325 kg x5 done",
                        "2024-03-12 squat 100 kg x5 done");
    }

    @Test
    void whatHangsOnTheBodyWeighsNothingAndNothingElseDoes() {
        read("""
                Date|Exercise|Weight|Reps
                2024-03-12|Pull-ups|BW|8
                2024-03-12|Pull-ups|bw+10|5
                2024-03-12|Dips||12
                """);
        assertThat(shown())
                .containsExactly(
                        "2024-03-12 pull-up 0 kg x8 done",
                        "2024-03-12 pull-up 10 kg x5 done",
                        "2024-03-12 dip 0 kg x12 done");
    }

    @Test
    void missesAndWarmUpsAreKnown() {
        read("""
                Date|Exercise|Weight|Reps|RPE|Failed|Type
                2024-03-12|Squat|60|5|||warm-up
                2024-03-12|Squat|180|1|10|yes|work
                2024-03-12|Squat|180|0||x|
                2024-03-12|Squat|170|1|fail|no|Top set
                """);
        assertThat(shown())
                .containsExactly(
                        "2024-03-12 squat 60 kg x5 done warm-up",
                        "2024-03-12 squat 180 kg x1 missed",
                        "2024-03-12 squat 180 kg x0 missed",
                        "2024-03-12 squat 170 kg x1 missed");
    }

    @Test
    void eachRowNamesALifterWhereThereIsAColumnOfThem() {
        read("""
                Name|Date|Exercise|Weight|Reps
                Wren|2024-03-12|Squat|140|5
                Nobody|2024-03-12|Squat|140|5
                """);
        assertThat(sets).extracting(ReadSet::lifter).containsExactly("Wren");
        assertThat(kinds()).containsExactly(Trouble.Kind.UNKNOWN_LIFTER);
    }

    @Test
    void monthsThatComeFirstAreSeenOrSaid() {
        read("""
                Date|Exercise|Weight|Reps
                03/12/2024|Squat|140|5
                03/14/2024|Squat|140|5
                """);
        assertThat(sets).extracting(ReadSet::day).containsExactly(LocalDate.of(2024, 3, 12), LocalDate.of(2024, 3, 14));
        assertThat(LayoutGuess.of(
                                table("Date|Lift|Reps\n03/12/2024|Squat|5"),
                                LIFTS,
                                DayText.Order.DAY_FIRST,
                                MassUnit.KG)
                        .orderSure())
                .isFalse();
    }

    @Test
    void aTableWithoutHeadsIsReadByWhatStandsInIt() {
        Layout layout = LayoutGuess.of(table("""
                12.3.2024|Squat|5x5 140
                14.3.2024|Bench|3x5 100
                """), LIFTS, DayText.Order.DAY_FIRST, MassUnit.KG);
        assertThat(layout.columns()).extracting(Column::holds).containsExactly(Holds.DAY, Holds.LIFT, Holds.DONE);
        assertThat(layout.firstLine()).isEqualTo(1);
    }

    @Test
    void aDayInTheOtherUnitStandsOutAmongItsNeighbours() {
        read("""
                Date|Exercise|Weight|Reps
                2024-03-12|Squat|140|5
                2024-03-14|Squat|315|5
                2024-03-16|Squat|145|5
                2024-03-18|Squat|72.5|5
                2024-03-20|Squat|147.5|5
                """);
        LoadsSeen seen = new LoadsSeen();
        sets.forEach(seen::add);
        assertThat(sets).filteredOn(seen::isSlip).extracting(ReadSet::line).containsExactly(3);
    }

    @Test
    void amongThreeDaysTheOneThatStandsOutIsTheSlipAndItsNeighboursAreNot() {
        for (String heavy : List.of("320", "66")) {
            sets.clear();
            read("Date|Exercise|Weight|Reps\n2024-03-12|Squat|150|5\n2024-03-14|Squat|" + heavy
                    + "|5\n2024-03-19|Squat|147.5|5\n");
            LoadsSeen seen = new LoadsSeen();
            sets.forEach(seen::add);
            assertThat(sets).filteredOn(seen::isSlip).extracting(ReadSet::line).containsExactly(3);
            assertThat(seen.standsAbove(sets.get(1))).isEqualTo(heavy.equals("320"));
        }
    }

    @Test
    void aLifterWhoGrewStrongOverYearsMadeNoSlip() {
        StringBuilder rows = new StringBuilder("Date|Exercise|Weight|Reps\n");
        for (int month = 0; month < 48; month++) {
            rows.append(LocalDate.of(2020, 1, 1).plusMonths(month))
                    .append("|Squat|")
                    .append(60 + 2 * month)
                    .append("|5\n");
        }
        read(rows.toString());
        LoadsSeen seen = new LoadsSeen();
        sets.forEach(seen::add);
        assertThat(sets).hasSize(48).noneMatch(seen::isSlip);
    }

    @Property(tries = 100)
    void noTableBreaksIt(@ForAll @Size(max = 8) List<@Size(max = 6) List<@StringLength(max = 20) String>> rows) {
        Layout layout = LayoutGuess.of(rows, LIFTS, DayText.Order.DAY_FIRST, MassUnit.KG);
        LogTable table = new LogTable(
                layout, Catalogue.STANDARD, name -> LIFTS.find(name).map(LiftIndex.Match::lift), name -> true, TODAY);
        for (int line = 1; line <= rows.size(); line++) {
            assertThat(table.read(line, rows.get(line - 1))).isNotNull();
        }
    }
}
