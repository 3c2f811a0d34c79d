package dev.yarbel.core.shape;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.LiftNumbers;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PeakTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    /** A Saturday eight weeks on. */
    private static final LocalDate CONTEST = MONDAY.plusDays(54);

    private static final LiftNumbers KNOWN =
            new LiftNumbers(Optional.of(Mass.ofKg(190)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);

    private static Block block(Lift lift, String first, String second) {
        return new Block(
                MONDAY,
                8,
                List.of(
                        new TrainingDay("One", 0, List.of(slot(lift, first))),
                        new TrainingDay("Two", 3, List.of(slot(lift, second)))));
    }

    private static Slot slot(Lift lift, String dose) {
        return new Slot("A", lift, Collections.nCopies(8, Optional.of(Dose.parse(dose))));
    }

    private static Block peaked(Block block, LiftNumbers numbers) {
        return new Peak(CONTEST, Catalogue.STANDARD, lift -> numbers).over(block, (day, week) -> false);
    }

    /** Each day on which a single leads, with how many days out it lies and what it is of the max. */
    private static List<String> singles(Block block) {
        List<String> singles = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            for (int day = 0; day < block.days().size(); day++) {
                Dose dose = block.days().get(day).slots().get(0).dose(week).orElseThrow();
                if (dose.first().reps() == 1) {
                    singles.add(ChronoUnit.DAYS.between(block.date(day, week), CONTEST) + ": "
                            + dose.first().shorthand());
                }
            }
        }
        return singles;
    }

    @Test
    void singlesComeOnceAWeekWhereTheLiftIsHeaviestAndTheOpenerOnItsLastHeavyDay() {
        assertThat(singles(peaked(block(Lift.SQUAT, "4x5 75%", "3x3 82%"), KNOWN)))
                .containsExactly("30: 1x1 90% est", "23: 1x1 92.5% est", "16: 1x1 95% est", "9: 1x1 91% est");
    }

    /** Weeks are counted back from the day, whichever weekday the block begins on: never two singles within a week. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6})
    void singlesLieAWeekApartWhicheverDayTheContestIs(int later) {
        Block block = block(Lift.SQUAT, "3x3 82%", "4x5 75%");
        Block peaked =
                new Peak(CONTEST.plusDays(later), Catalogue.STANDARD, lift -> KNOWN).over(block, (day, week) -> false);
        List<Integer> out = singles(peaked).stream()
                .map(single -> Integer.parseInt(single.replaceAll(":.*", "")))
                .toList();
        assertThat(out).hasSizeBetween(3, 5);
        for (int i = 1; i < out.size(); i++) {
            assertThat(out.get(i - 1) - out.get(i)).isBetween(5, 10);
        }
    }

    /** The last heavy pull lies further out than the last heavy press; {@link Taper} says how far. */
    @ParameterizedTest
    @CsvSource({"deadlift, 12", "squat, 9", "bench-press, 5"})
    void theOpenerIsRehearsedOnTheLastDayThatMayBeHeavy(String lift, int out) {
        Block peaked = peaked(block(new Lift(lift), "3x3 80%", "3x3 80%"), KNOWN);
        List<String> singles = singles(peaked);
        assertThat(singles.get(singles.size() - 1)).isEqualTo(out + ": 1x1 91% est");
        assertThat(Taper.lastHeavy(new Lift(lift), Catalogue.STANDARD).orElseThrow())
                .isLessThanOrEqualTo(out);
    }

    @Test
    void oneOfThePlannedSetsGivesWayAndTheRestStands() {
        Block peaked = peaked(block(Lift.SQUAT, "4x5 75%", "3x3 82% then 2x6 70%"), KNOWN);
        assertThat(peaked.days().get(1).slots().get(0).dose(4).orElseThrow().shorthand())
                .isEqualTo("1x1 92.5% est then 2x3 82% then 2x6 70%");
        assertThat(peaked.days().get(0).slots().get(0).dose(4)).isEqualTo(Optional.of(Dose.parse("4x5 75%")));
        assertThat(peaked.shape().get(4).phase()).isEqualTo(Phase.PEAK);
        assertThat(peaked.shape().get(0)).isEqualTo(BlockWeek.PLAIN);
    }

    /** What follows a law of its own, goes to the limit, or is a heavy single already stays as it is. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "3x5 last+2.5kg",
                "max",
                "3x5+ 80%",
                "1 @8 then 3x3 -10%",
                "1 92%",
                "8x2 60% speed",
                "3x2 85% stages"
            })
    void whatASingleWouldMoveStays(String dose) {
        Block block = block(Lift.SQUAT, dose, dose);
        assertThat(peaked(block, KNOWN).slots().toList())
                .isEqualTo(block.slots().toList());
    }

    @Test
    void setsThatHangOnTheDaysTopGoOnHangingOnIt() {
        Block peaked = peaked(block(Lift.SQUAT, "4x5 75%", "3 @8 then 3x3 -10%"), KNOWN);
        assertThat(peaked.days().get(1).slots().get(0).dose(4).orElseThrow().shorthand())
                .startsWith("1x1 92.5%")
                .endsWith("then 3 @8 then 3x3 -10%");
    }

    @Test
    void kitIsWornAsOnTheDayAndARatingStandsInWhereNothingIsKnown() {
        Block peaked = peaked(block(Lift.SQUAT, "4x5 @6", "3x3 @7 no belt"), LiftNumbers.NONE);
        assertThat(peaked.slots().flatMap(slot -> slot.dose(4).stream()).map(Dose::shorthand))
                .contains("1 @8 then 2x3 @7 no belt");
        Block known = peaked(block(Lift.SQUAT, "4x5 75%", "3x3 80% no belt"), KNOWN);
        assertThat(known.days()
                        .get(1)
                        .slots()
                        .get(0)
                        .dose(4)
                        .orElseThrow()
                        .first()
                        .shorthand())
                .isEqualTo("1x1 92.5% est");
    }

    /** Easy weeks stay easy, what is lifted stays, variations and events are left alone, and asking twice adds nothing. */
    @Test
    void whatIsNotAskedForStays() {
        Block block = block(Lift.SQUAT, "4x5 75%", "3x3 82%");
        List<BlockWeek> shape = new ArrayList<>(block.shape());
        shape.set(4, BlockWeek.PLAIN.asDeload());
        Block eased = block.with(block.days(), shape);
        Block peaked = peaked(eased, KNOWN);
        assertThat(singles(peaked)).hasSize(3);
        assertThat(peaked.shape().get(4)).isEqualTo(shape.get(4));
        assertThat(peaked(peaked, KNOWN)).isEqualTo(peaked);
        for (Lift other : List.of(new Lift("front-squat"), new Lift("yoke"), new Lift("axle-deadlift"))) {
            Block block2 = block(other, "4x5 75%", "3x3 82%");
            assertThat(peaked(block2, KNOWN)).isEqualTo(block2);
        }
        assertThat(new Peak(CONTEST, Catalogue.STANDARD, lift -> KNOWN).over(block, (day, week) -> true))
                .isEqualTo(block);
    }

    /** Who trains events prepares for announced loads, not for singles of the lifts beside them. */
    @Test
    void aBlockThatTrainsEventsIsLeftAlone() {
        Block block = block(Lift.DEADLIFT, "4x5 75%", "3x3 82%");
        Block with = block.with(List.of(
                block.days().get(0),
                new TrainingDay("Two", 3, List.of(slot(new Lift("yoke-walk"), "3x20m 80% event")))));
        assertThat(peaked(block, KNOWN)).isNotEqualTo(block);
        assertThat(peaked(with, KNOWN)).isEqualTo(with);
    }

    /** The opener of the peak is the one that is usually chosen: 90 to 92 % (common practice, no source). */
    @Test
    void theOpenerIsTheUsualOne() {
        assertThat(Peak.OPENER).isBetween(Percent.of(90), Percent.of(92));
    }
}
