package dev.yarbel.core.shape;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.LiftNumbers;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AnotherDayTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final int WEEKS = 8;
    /** The Saturday of the eighth week. */
    private static final LocalDate CONTEST = MONDAY.plusDays(54);

    private static final LiftNumbers KNOWN =
            new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);

    /** Eight weeks of squats that say which week they are by their percentage, shaped for the contest. */
    private static Block block() {
        List<Optional<Dose>> squats = IntStream.range(0, WEEKS)
                .mapToObj(week -> Optional.of(Dose.parse("4x3 " + (70 + 3 * week) + "%")))
                .toList();
        Block plain = new Block(
                MONDAY,
                WEEKS,
                List.of(
                        new TrainingDay("One", 0, List.of(new Slot("A", Lift.SQUAT, squats))),
                        new TrainingDay("Two", 3, List.of(new Slot("A", Lift.SQUAT, squats)))));
        return new Taper(CONTEST, Catalogue.STANDARD, lift -> KNOWN).over(plain, (day, week) -> false);
    }

    private static Optional<Block> moved(Block block, int from, LocalDate day, AnotherDay.Way way) {
        return new AnotherDay(block, from, Optional.ofNullable(day), way, Catalogue.STANDARD, lift -> KNOWN)
                .of((at, week) -> week < from);
    }

    private static List<String> doses(Block block) {
        return block.days().get(0).slots().get(0).doses().stream()
                .map(dose -> dose.map(Dose::shorthand).orElse("-"))
                .toList();
    }

    private static List<Phase> phases(Block block) {
        return block.shape().stream().map(BlockWeek::phase).toList();
    }

    @Test
    void furtherOffStrengthIsHeldAndThePeakComesAsItWasWritten() {
        Block moved =
                moved(block(), 2, CONTEST.plusWeeks(3), AnotherDay.Way.AT_ONCE).orElseThrow();
        assertThat(moved.contest()).contains(CONTEST.plusWeeks(3));
        assertThat(doses(moved).subList(2, 5)).containsOnly("4x3 76%");
        assertThat(phases(moved).subList(2, 5)).containsOnly(Phase.HOLD);
        assertThat(doses(moved).subList(5, 11)).isEqualTo(doses(block()).subList(2, 8));
    }

    @Test
    void aCoachMayGoOnAndHoldBeforeThePeak() {
        Block moved = moved(block(), 2, CONTEST.plusWeeks(3), AnotherDay.Way.BEFORE_THE_PEAK)
                .orElseThrow();
        assertThat(doses(moved).subList(0, 5)).isEqualTo(doses(block()).subList(0, 5));
        // 82 % was the last week before the two that the contest shapes
        assertThat(doses(moved).subList(5, 8)).containsOnly("4x3 82%");
        assertThat(doses(moved).subList(8, 11)).isEqualTo(doses(block()).subList(5, 8));
    }

    /** Once the peak has begun it comes anew; what is held is the last week that was trained before it, not a light one. */
    @ParameterizedTest
    @ValueSource(ints = {6, 7, 8})
    void aPeakThatHasBegunComesAnew(int from) {
        Block moved = moved(block(), from, CONTEST.plusWeeks(6), AnotherDay.Way.AT_ONCE)
                .orElseThrow();
        int weeks = moved.weeks();
        assertThat(weeks).isEqualTo(WEEKS + 6);
        assertThat(doses(moved).subList(weeks - 3, weeks))
                .isEqualTo(doses(block()).subList(5, 8));
        assertThat(doses(moved).subList(from, weeks - 3)).containsOnly("4x3 82%");
        assertThat(doses(moved).subList(0, from)).isEqualTo(doses(block()).subList(0, from));
    }

    @Test
    void nearerTheNextWeeksGoOrThoseBeforeThePeak() {
        Block atOnce =
                moved(block(), 1, CONTEST.minusWeeks(2), AnotherDay.Way.AT_ONCE).orElseThrow();
        assertThat(doses(atOnce)).isEqualTo(without(doses(block()), 1, 2));
        Block later = moved(block(), 1, CONTEST.minusWeeks(2), AnotherDay.Way.BEFORE_THE_PEAK)
                .orElseThrow();
        assertThat(doses(later)).isEqualTo(without(doses(block()), 3, 4));
    }

    private static List<String> without(List<String> doses, int... weeks) {
        List<String> left = new ArrayList<>(doses);
        for (int i = weeks.length - 1; i >= 0; i--) {
            left.remove(weeks[i]);
        }
        return left;
    }

    @Test
    void withoutADayStrengthIsHeldAndNoPeakComes() {
        for (int from : List.of(0, 3, 6, 8)) {
            Block parked = moved(block(), from, null, AnotherDay.Way.PARKED).orElseThrow();
            assertThat(parked.contest()).isEmpty();
            assertThat(parked.weeks() - from).isGreaterThanOrEqualTo(AnotherDay.LEAST_PARKED);
            assertThat(phases(parked).subList(from, parked.weeks())).containsOnly(Phase.HOLD);
            assertThat(parked.slots()
                            .flatMap(slot -> slot.doses().stream().skip(from))
                            .flatMap(Optional::stream)
                            .flatMap(dose -> dose.first().percent().stream()))
                    .allSatisfy(share -> assertThat(share.figure().intValue()).isLessThanOrEqualTo(85));
        }
    }

    /** What cannot be done for weeks on end is not held: no maximal loads, nothing to the limit, no steps. */
    @ParameterizedTest
    @CsvSource({
        "3x1 95%, 3x1 85%",
        "3x3 80%, 3x3 80%",
        "1 @9 then 3x3 -10%, 1 @6 then 3x3 -10%",
        "2x2 @8, 2x2 @7",
        "3x3 @9, 3x3 @8",
        "3x3 @7, 3x3 @7",
        "3x5+ 80%, 3x5 80%",
        "2xmax to @9, 2xmax to @8",
        "2xmax, 2xmax to @8",
        "climb 3 to @9, climb 3 to @8",
        "3x5 last+2.5kg, 3x5 last+0kg",
        "3x5 100kg, 3x5 100kg",
        "3x8 110% event, 3x8 85% event",
        "3x10 bw, 3x10 bw"
    })
    void whatIsHeldCanBeHeld(String asked, String held) {
        assertThat(Held.of(Dose.parse(asked)).shorthand())
                .isEqualTo(Dose.parse(held).shorthand());
    }

    /** By the curve, what is held by rating comes to about what is held by a share: 85 %, give or take two and a half. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 5, 8})
    void aRatingThatIsHeldComesToNoMoreThanTheShare(int reps) {
        Dose held = Held.of(Dose.parse("3x" + reps + " @10"));
        Mass load = RepCurve.DEFAULT.load(
                Mass.ofKg(100), reps, held.first().basis().rating().orElseThrow());
        assertThat(load.percentOf(Mass.ofKg(100)).figure().doubleValue()).isBetween(70.0, 87.5);
    }

    @Test
    void everySeventhHeldWeekIsEasy() {
        Block moved =
                moved(block(), 0, CONTEST.plusWeeks(15), AnotherDay.Way.AT_ONCE).orElseThrow();
        assertThat(IntStream.range(0, 15).filter(week -> moved.shape().get(week).deload()))
                .containsExactly(6, 13);
        assertThat(doses(moved).get(6)).isNotEqualTo(doses(moved).get(5));
    }

    /** A plan that was parked and gets a day is shaped for it: singles, then less, then nothing. */
    @Test
    void aParkedPlanThatGetsADayPeaksAnew() {
        Block parked = moved(block(), 3, null, AnotherDay.Way.PARKED).orElseThrow();
        LocalDate day = MONDAY.plusWeeks(14).plusDays(5);
        Block set = moved(parked, 4, day, AnotherDay.Way.AT_ONCE).orElseThrow();
        assertThat(set.contest()).contains(day);
        assertThat(set.end()).isEqualTo(day.plusDays(1));
        assertThat(phases(set)).contains(Phase.HOLD, Phase.PEAK);
        assertThat(set.slots().flatMap(slot -> slot.doses().stream()).flatMap(Optional::stream))
                .extracting(Dose::shorthand)
                .anyMatch(dose -> dose.startsWith("1x1 95% est"))
                .anyMatch(dose -> dose.startsWith("1x1 91% est"));
        assertThat(new Taper(day, Catalogue.STANDARD, lift -> KNOWN).hasShaped(set))
                .isTrue();
    }

    /** A contest moved by a day keeps its weeks, and nothing heavy or late stands too near to it. */
    @ParameterizedTest
    @ValueSource(ints = {-3, -2, -1, 1})
    void byADayOnlyWhatIsTooNearChanges(int days) {
        LocalDate day = CONTEST.plusDays(days);
        Block moved = moved(block(), 2, day, AnotherDay.Way.AT_ONCE).orElseThrow();
        assertThat(moved.weeks()).isEqualTo(WEEKS);
        assertNothingTooNear(moved, 2);
        assertThat(doses(moved).subList(0, 6)).isEqualTo(doses(block()).subList(0, 6));
    }

    private static void assertNothingTooNear(Block block, int from) {
        LocalDate contest = block.contest().orElseThrow();
        for (int day = 0; day < block.days().size(); day++) {
            for (int week = from; week < block.weeks(); week++) {
                LocalDate on = block.date(day, week);
                Optional<Dose> dose = block.days().get(day).slots().get(0).dose(week);
                if (!on.isAfter(contest) && on.isAfter(contest.minusDays(Taper.LAST_SESSION))) {
                    assertThat(dose).isEmpty();
                }
                if (dose.isPresent() && on.isAfter(contest.minusDays(7)) && on.isBefore(contest)) {
                    assertThat(Taper.isHeavy(dose.get(), KNOWN)).isFalse();
                }
            }
        }
    }

    /**
     * Whatever the day and whenever it becomes known: what is over stays, the block reaches the day, nothing heavy stands near it, and the
     * edit that makes it can be taken back.
     */
    @Property(tries = 400)
    void whateverTheDay(
            @ForAll @IntRange(min = 0, max = 8) int from,
            @ForAll @IntRange(min = 1, max = 200) int ahead,
            @ForAll AnotherDay.Way way) {
        Block block = block();
        LocalDate day = MONDAY.plusWeeks(from).plusDays(ahead);
        Optional<Block> found = moved(block, from, way == AnotherDay.Way.PARKED ? null : day, way);
        assertThat(found).isPresent();
        Block moved = found.get();
        assertThat(doses(moved).subList(0, from)).isEqualTo(doses(block).subList(0, from));
        if (way == AnotherDay.Way.AT_ONCE || way == AnotherDay.Way.BEFORE_THE_PEAK) {
            assertThat(moved.contest()).contains(day);
            assertThat(moved.end()).isAfterOrEqualTo(day);
            assertNothingTooNear(moved, from);
        }
        BlockEdit edit = BlockEdit.between(block, moved, from);
        var edited = edit.apply(block, openFrom(from));
        assertThat(edited.block()).isEqualTo(moved);
        assertThat(edited.back().apply(moved, openFrom(from)).block()).isEqualTo(block);
    }

    private static Lifted openFrom(int week) {
        return new Lifted() {
            @Override
            public boolean isFinished(dev.yarbel.core.block.DayId day, int at) {
                return at < week;
            }

            @Override
            public boolean hasHistory(dev.yarbel.core.block.DayId day) {
                return week > 0;
            }

            @Override
            public int firstOpenWeek() {
                return week;
            }
        };
    }

    @Test
    void onlyTheDayIsNotedWhereACoachWantsIt() {
        Block noted =
                moved(block(), 2, CONTEST.plusWeeks(3), AnotherDay.Way.DAY_ONLY).orElseThrow();
        assertThat(noted).isEqualTo(block().toward(Optional.of(CONTEST.plusWeeks(3))));
        assertThat(moved(block(), 2, MONDAY.plusWeeks(60), AnotherDay.Way.AT_ONCE))
                .isEmpty();
    }

    /** What comes after the contest stays after it. */
    @Test
    void weeksAfterTheContestStayAfterIt() {
        Block longer = block();
        Block with = new Taper(MONDAY.plusDays(33), Catalogue.STANDARD, lift -> KNOWN)
                .over(longer.toward(Optional.empty()), (day, week) -> false);
        List<String> after = doses(with).subList(5, 8);
        for (int by : List.of(-1, 0, 2)) {
            Block moved = moved(with, 1, MONDAY.plusDays(33).plusWeeks(by), AnotherDay.Way.AT_ONCE)
                    .orElseThrow();
            assertThat(doses(moved).subList(5 + by, 8 + by)).isEqualTo(after);
        }
        assertThat(Stream.of(after)).isNotEmpty();
    }
}
