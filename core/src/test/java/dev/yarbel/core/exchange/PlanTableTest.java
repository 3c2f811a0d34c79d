package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Blocks as coaches write them into spreadsheets (common practice, no source). */
class PlanTableTest {

    private static final LiftIndex LIFTS = new LiftIndex(Catalogue.STANDARD.all().stream()
            .map(Variation::lift)
            .collect(Collectors.toMap(Lift::key, Function.identity())));

    private static List<List<String>> table(String... rows) {
        return Arrays.stream(rows)
                .map(row -> Arrays.asList(row.split("\\|", -1)))
                .toList();
    }

    private static PlanTable.Read read(String... rows) {
        return PlanTable.read(PlanTable.headed(table(rows), LIFTS), LIFTS).orElseThrow();
    }

    private static List<String> doses(PlanTable.Row row) {
        return row.doses().stream().map(PlanTable.Cell::text).toList();
    }

    @Test
    void daysStandInAColumnOfTheirOwn() {
        PlanTable.Read read = read(
                "Spring block|||||",
                "Day|Slot|Exercise|Week 1|Week 2|Week 3|Coach",
                "Monday|A|Squat|5x5 75%|5x5 77.5%|3x3 @8|x",
                "|B1|Front squats|3x8 @7|-|3x8 @8|",
                "Thursday – press|a.|Bench|1 @8 then 4x5 -20%|off||",
                "||Zorbing|3x10|3x10|3x10|");

        assertThat(read.weeks()).isEqualTo(3);
        assertThat(read.unread()).containsExactly("Coach");
        assertThat(read.days()).hasSize(2);
        PlanTable.Day monday = read.days().get(0);
        assertThat(monday.name()).isEqualTo("Monday");
        assertThat(monday.weekday()).contains(DayOfWeek.MONDAY);
        assertThat(monday.rows().get(1).letter()).contains("B1");
        assertThat(monday.rows().get(1).lift()).contains(new Lift("front-squat"));
        assertThat(doses(monday.rows().get(1))).containsExactly("3x8 @7", "", "3x8 @8");
        PlanTable.Day thursday = read.days().get(1);
        assertThat(thursday.weekday()).contains(DayOfWeek.THURSDAY);
        assertThat(thursday.rows().get(0).letter()).contains("A");
        assertThat(doses(thursday.rows().get(0))).containsExactly("1 @8 then 4x5 -20%", "", "");
        assertThat(thursday.rows().get(1).lift()).isEmpty();
        assertThat(thursday.rows().get(1).line()).isEqualTo(6);
    }

    @Test
    void daysStandInRowsOfTheirOwn() {
        PlanTable.Read read = read(
                "Day 1||",
                "Exercise|1|2",
                "Squat|5x5|5x5",
                "||",
                "Day 2||",
                "Bench press|5x5|5x5",
                "Row||5x5",
                "Mittwoch||",
                "Deadlift|3x3|");

        assertThat(read.days()).extracting(PlanTable.Day::name).containsExactly("Day 1", "Day 2", "Mittwoch");
        assertThat(read.days().get(2).weekday()).contains(DayOfWeek.WEDNESDAY);
        assertThat(read.days().get(1).rows()).hasSize(2);
    }

    /** A row with an exercise alone asks for nothing in any week; it names no day. */
    @Test
    void anExerciseWithoutADoseIsNoDay() {
        PlanTable.Read read = read("Exercise|Week 1", "Squat|5x5", "Bench press|", "Deadlift|3x3");

        assertThat(read.days()).hasSize(1);
        assertThat(read.days().get(0).rows()).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource({"Week 1, 1", "W2, 2", "wk 3, 3", "Woche 12, 12", "KW 4, 4", "7, 7", "Week 1/, 1"})
    void weeksAreCalledAsPeopleCallThem(String head, int week) {
        PlanTable.Read read = read("Exercise|" + head, "Squat|5x5");

        assertThat(read.weeks()).isEqualTo(week);
        assertThat(doses(read.days().get(0).rows().get(0)).get(week - 1)).isEqualTo("5x5");
    }

    /** A week that the table leaves out is there, and asks for nothing. */
    @Test
    void aWeekInBetweenIsNotClosedUp() {
        PlanTable.Read read = read("Exercise|Week 1|Week 3", "Squat|5x5|3x3");

        assertThat(doses(read.days().get(0).rows().get(0))).containsExactly("5x5", "", "3x3");
    }

    @Test
    void aNameThatMayBeMeantIsNotTakenForIt() {
        PlanTable.Row row = read("Exercise|Week 1", "Squat|5x5", "Frnt squat|5x5")
                .days()
                .get(0)
                .rows()
                .get(1);

        assertThat(row.lift()).isEmpty();
        assertThat(row.perhaps()).contains(new Lift("front-squat"));
    }

    @Test
    void moreThanADayHoldsIsTold() {
        List<String> rows = new ArrayList<>(List.of("Exercise|Week 1"));
        rows.addAll(Collections.nCopies(30, "Squat|5x5"));

        PlanTable.Read read = read(rows.toArray(String[]::new));

        assertThat(read.days().get(0).rows()).hasSize(26);
        assertThat(read.homeless()).containsExactly(28, 29, 30, 31);
    }

    @ParameterizedTest
    @ValueSource(strings = {"#", "Slot", "Nr.", "Order", "Buchstabe"})
    void lettersStandUnderAHeadOfTheirs(String head) {
        assertThat(read(head + "|Exercise|Week 1", "c 1|Squat|5x5")
                        .days()
                        .get(0)
                        .rows()
                        .get(0)
                        .letter())
                .contains("C1");
    }

    @ParameterizedTest
    @ValueSource(strings = {"Exercise|Load", "Week 1|Week 2", "Exercise|Week 0", "Exercise|Week 53"})
    void aTableWithoutExercisesOrWeeksIsNone(String head) {
        assertThat(PlanTable.read(PlanTable.headed(table(head, "Squat|heavy"), LIFTS), LIFTS))
                .isEmpty();
    }

    @Test
    void aHeadWithNothingBelowItIsNone() {
        assertThat(PlanTable.read(PlanTable.headed(table("Exercise|Week 1"), LIFTS), LIFTS))
                .isEmpty();
    }

    /** Weeks over what is written of each, and dates between: the day of the week is theirs. */
    @Test
    void weeksStandInARowAboveTheHead() {
        PlanTable.Read read = read(
                "Squat day|||||||",
                "Somebody, Spring||Week 1|||Week 2||",
                "||2026-06-02|||2026-06-09||",
                "Slot|Lift|Dose|Share, kg|Load, kg|Dose|Share, kg|Load, kg",
                "A|Squat|1 @8||180|1 @8.5||185",
                "A|Squat|4x5 -10%|162|162.5|||",
                "B|Front squat|3x8 @7||100|3x8 @8||105",
                "Press day|||||||",
                "Somebody, Spring||Week 1|||Week 2||",
                "||2026-06-05|||2026-06-12||",
                "Slot|Lift|Dose|Share, kg|Load, kg|Dose|Share, kg|Load, kg",
                "A|Bench||||5x5 75%|75|75");

        assertThat(read.weeks()).isEqualTo(2);
        assertThat(read.unread()).isEmpty();
        assertThat(read.days()).extracting(PlanTable.Day::name).containsExactly("Squat day", "Press day");
        assertThat(read.days())
                .extracting(PlanTable.Day::weekday)
                .containsExactly(Optional.of(DayOfWeek.TUESDAY), Optional.of(DayOfWeek.FRIDAY));
        assertThat(read.days().get(0).rows()).hasSize(2);
        assertThat(doses(read.days().get(0).rows().get(0))).containsExactly("1 @8 then 4x5 -10%", "1 @8.5");
        assertThat(doses(read.days().get(1).rows().get(0))).containsExactly("", "5x5 75%");
    }

    /** Where nothing of a week is called a dose, its first column is it; a figure above a head is no week. */
    @Test
    void theFirstOfAWeekIsItsDose() {
        PlanTable.Read read = read("||Week 1||Week 2|", "Nr|Exercise|Do|Felt|Do|Felt", "1|Squat|5x5 75%|8|5x3 80%|");
        assertThat(doses(read.days().get(0).rows().get(0))).containsExactly("5x5 75%", "5x3 80%");
        assertThat(PlanTable.read(
                        PlanTable.headed(table("||1||2|", "Nr|Exercise|Do|Felt|Do|Felt", "1|Squat|5x5|8|5x3|"), LIFTS),
                        LIFTS))
                .isEmpty();
    }

    /** Dates over a head with several days under it are those of the first alone. */
    @Test
    void datesAreOfTheFirstDayUnderThem() {
        PlanTable.Read read = read(
                "||Week 1",
                "||2026-06-02",
                "Slot|Lift|Dose",
                "Heavy||",
                "A|Squat|5x5 75%",
                "Light||",
                "A|Bench|3x8 @7");
        assertThat(read.days())
                .extracting(PlanTable.Day::weekday)
                .containsExactly(Optional.of(DayOfWeek.TUESDAY), Optional.empty());
    }
}
