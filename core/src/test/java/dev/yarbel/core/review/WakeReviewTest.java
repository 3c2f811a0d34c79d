package dev.yarbel.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What the wake of a plan has marked of it. */
class WakeReviewTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private final KnownFacts facts = new KnownFacts();

    private static Slot slot(String letter, Lift lift, String... doses) {
        return ofSchool(letter, lift, null, doses);
    }

    private static Slot ofSchool(String letter, Lift lift, String school, String... doses) {
        List<Optional<Dose>> weeks = new ArrayList<>();
        for (String dose : doses) {
            weeks.add(dose.isEmpty() ? Optional.empty() : Optional.of(Dose.parse(dose)));
        }
        return new Slot(letter, lift, weeks, Optional.ofNullable(school), Optional.empty());
    }

    private List<Mark> marksOf(Kind kind, TrainingDay... days) {
        Block block = new Block(MONDAY, days[0].slots().get(0).doses().size(), List.of(days));
        Optional<Mass> max = Optional.of(Mass.ofKg(200));
        LiftNumbers numbers = new LiftNumbers(max, max, RepCurve.DEFAULT);
        Resolver resolver = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(
                        Map.of(Lift.SQUAT, numbers, Lift.DEADLIFT, numbers, Lift.BENCH_PRESS, numbers),
                        Catalogue.STANDARD.ratios()));
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        return BlockReview.of(UnderReview.of(block, projection, resolver, Projection.Log.NONE, facts)).stream()
                .filter(mark -> mark.kind() == kind)
                .toList();
    }

    private static TrainingDay day(int offset, Slot... slots) {
        return new TrainingDay("Day " + offset, offset, List.of(slots));
    }

    private static String[] weeks(int count, String dose) {
        String[] doses = new String[count];
        Arrays.fill(doses, dose);
        return doses;
    }

    /** Hard squats on Monday and Tuesday: a day where two and a half are needed. */
    @Test
    void aHardDayInTheWakeOfItsLikeIsMarkedOnceAndItsLighterFormIsNot() {
        Mark soon = marksOf(
                        Kind.IN_WAKE,
                        day(0, slot("A", Lift.SQUAT, weeks(3, "4x4 86%"))),
                        day(1, slot("A", Lift.SQUAT, weeks(3, "4x4 86%"))))
                .get(0);
        assertThat(soon.lift()).contains(Lift.SQUAT);
        assertThat(soon.facts()).containsExactly(Lift.SQUAT, 24L, 84, 3);
        assertThat(soon.place()).contains(new Mark.Place(1, 0, 0, 0));
        assertThat(marksOf(
                        Kind.IN_WAKE,
                        day(0, slot("A", Lift.SQUAT, weeks(3, "4x4 86%"))),
                        day(1, slot("A", Lift.SQUAT, weeks(3, "3x5 65%")))))
                .isEmpty();
        assertThat(marksOf(
                        Kind.IN_WAKE,
                        day(0, slot("A", Lift.SQUAT, weeks(3, "4x4 86%"))),
                        day(3, slot("A", Lift.SQUAT, weeks(3, "4x4 86%")))))
                .isEmpty();
    }

    /** What schools draw up is their own law, and what a coach gave a reason for is on purpose. */
    @Test
    void whatIsMeantIsNotMarked() {
        Slot meant = new Slot(
                "A",
                Lift.SQUAT,
                Collections.nCopies(3, Optional.of(Dose.parse("4x4 86%"))),
                Optional.empty(),
                Optional.of("two days running, on purpose"));
        assertThat(marksOf(Kind.IN_WAKE, day(0, slot("A", Lift.SQUAT, weeks(3, "4x4 86%"))), day(1, meant)))
                .isEmpty();
        assertThat(marksOf(
                        Kind.IN_WAKE,
                        day(0, ofSchool("A", Lift.SQUAT, "phases", weeks(3, "4x4 86%"))),
                        day(1, ofSchool("A", Lift.SQUAT, "phases", weeks(3, "4x4 86%")))))
                .isEmpty();
    }

    @Test
    void aHardSquatAndAHardPullNextToEachOtherAreMarkedWhicheverComesFirst() {
        Slot squat = slot("A", Lift.SQUAT, weeks(4, "4x4 86%"));
        Slot pull = slot("A", Lift.DEADLIFT, weeks(4, "4x4 86%"));
        assertThat(marksOf(Kind.SQUAT_NEXT_TO_PULL, day(0, squat), day(1, pull))
                        .get(0)
                        .facts())
                .containsExactly(4);
        assertThat(marksOf(Kind.SQUAT_NEXT_TO_PULL, day(2, pull), day(3, squat)))
                .hasSize(1);
        assertThat(marksOf(Kind.SQUAT_NEXT_TO_PULL, day(0, squat), day(3, pull)))
                .isEmpty();
    }

    @Test
    void pullsOfNinetyPercentLieAWeekApart() {
        Slot heavy = slot("A", Lift.DEADLIFT, weeks(2, "2x1 92%"));
        assertThat(marksOf(Kind.HEAVY_PULLS_CLOSE, day(0, heavy), day(4, heavy))
                        .get(0)
                        .facts())
                .startsWith(3L);
        assertThat(marksOf(Kind.HEAVY_PULLS_CLOSE, day(0, heavy))).isEmpty();
    }

    @Test
    void sixHardDaysAreMarkedAndFiveAreNot() {
        List<Lift> lifts = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
        TrainingDay[] six = IntStream.range(0, 6)
                .mapToObj(at -> day(at, slot("A", lifts.get(at % 3), weeks(2, "4x4 86%"))))
                .toArray(TrainingDay[]::new);
        assertThat(marksOf(Kind.SIX_HARD_DAYS, six).get(0).facts()).containsExactly(6L, 1);
        assertThat(marksOf(Kind.SIX_HARD_DAYS, Arrays.copyOf(six, 5))).isEmpty();
    }

    /** Squats on Monday and Tuesday leave six days without one; once a week is how the coach wants it. */
    @Test
    void techniqueLeftForLongIsMarkedWhereALiftIsTrainedMoreOften() {
        Slot light = slot("A", Lift.SQUAT, weeks(3, "3x3 70%"));
        assertThat(marksOf(Kind.TECHNIQUE_LEFT, day(0, light), day(1, light))
                        .get(0)
                        .facts())
                .containsExactly(6L, 2);
        assertThat(marksOf(Kind.TECHNIQUE_LEFT, day(0, light), day(3, light))).isEmpty();
        // what is over is left alone
        facts.today = MONDAY.plusWeeks(2);
        assertThat(marksOf(Kind.TECHNIQUE_LEFT, day(0, light), day(1, light))
                        .get(0)
                        .facts())
                .containsExactly(6L, 1);
        facts.today = MONDAY.plusWeeks(3);
        assertThat(marksOf(Kind.TECHNIQUE_LEFT, day(0, light), day(1, light))).isEmpty();
        facts.today = MONDAY;
        assertThat(marksOf(Kind.TECHNIQUE_LEFT, day(0, light))).isEmpty();
    }

    @Test
    void volumeIntensityAndFrequencyCannotAllGoUp() {
        Slot first = slot("A", Lift.SQUAT, "3x5 70%", "3x5 70%", "4x5 74%", "4x5 74%", "5x5 80%", "5x5 80%");
        Slot second = slot("A", Lift.SQUAT, "", "", "", "3x5 74%", "5x5 80%", "5x5 80%");
        assertThat(marksOf(Kind.TRIANGLE, day(0, first), day(3, second))).hasSize(1);
        assertThat(marksOf(Kind.TRIANGLE, day(0, first))).isEmpty();
    }

    @Test
    void dailyPracticeKeepsItsLoadsLowAndItsSetsFew() {
        assertThat(marksOf(
                                Kind.PRACTICE_TOO_HEAVY,
                                day(0, ofSchool("A", Lift.SQUAT, "high-frequency", weeks(2, "3x2 87%"))),
                                day(3, ofSchool("A", Lift.SQUAT, "high-frequency", weeks(2, "3x2 87%"))))
                        .get(0)
                        .facts())
                .containsExactly(2, 1, Percent.of(85));
        assertThat(marksOf(
                        Kind.PRACTICE_TOO_HEAVY,
                        day(0, ofSchool("A", Lift.SQUAT, "high-frequency", weeks(2, "3x2 87%"))),
                        day(3, ofSchool("A", Lift.SQUAT, "high-frequency", weeks(2, "3x4 75%")))))
                .isEmpty();
        assertThat(marksOf(
                                Kind.SETS_IN_A_SESSION,
                                day(0, ofSchool("A", Lift.SQUAT, "high-frequency", weeks(2, "7x5 80%"))))
                        .get(0)
                        .facts())
                .containsExactly(7, 5, 2);
        assertThat(marksOf(Kind.SETS_IN_A_SESSION, day(0, slot("A", Lift.SQUAT, weeks(2, "7x5 80%")))))
                .isEmpty();
    }

    /** A day that lies deeper in the wake of its own lift still stands next to the other one. */
    @Test
    void aDeeperWakeHidesNoSquatNextToAPull() {
        Slot pull = slot("A", Lift.DEADLIFT, weeks(1, "4x4 86%"));
        Slot squat = slot("A", Lift.SQUAT, weeks(1, "4x4 86%"));
        TrainingDay[] days = {day(0, pull), day(1, squat), day(2, pull)};
        assertThat(marksOf(Kind.SQUAT_NEXT_TO_PULL, days).get(0).facts()).containsExactly(2);
        assertThat(marksOf(Kind.IN_WAKE, days).get(0).facts()).startsWith(Lift.DEADLIFT, 48L, 120);
    }
}
