package dev.yarbel.core.recovery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetDetails.MissedBy;
import dev.yarbel.core.recovery.FatigueSignal.Kind;
import dev.yarbel.core.recovery.Readiness.Advice;
import dev.yarbel.core.recovery.Readiness.Plan;
import dev.yarbel.core.recovery.Readiness.Progress;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Limits and weights are starting values of ours; what speaks for fatigue is common practice, no source, but where one is named. */
class ReadinessTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 5, 4);

    private final List<TrainingSeen> sessions = new ArrayList<>();
    private final List<Progress> progress = new ArrayList<>();

    private void session(int daysAgo, LiftedSet... work) {
        sessions.add(
                new TrainingSeen(TODAY.minusDays(daysAgo), List.of(work), false, Optional.empty(), Optional.empty()));
    }

    private void rated(int daysAgo, int sleep, int fatigue, int stress, int soreness, int joints) {
        sessions.add(new TrainingSeen(
                TODAY.minusDays(daysAgo),
                List.of(),
                false,
                Optional.of(new Wellbeing(sleep, fatigue, stress, soreness, joints)),
                Optional.empty()));
    }

    private void load(int daysAgo, int effort, int minutes) {
        LocalDate date = TODAY.minusDays(daysAgo);
        sessions.add(new TrainingSeen(
                date, List.of(), false, Optional.empty(), Optional.of(new SessionLoad(date, effort, minutes))));
    }

    private static LiftedSet set(String kg, String effort) {
        return new LiftedSet(Lift.SQUAT, Mass.of(kg, MassUnit.KG), 5, Effort.parse(effort));
    }

    private static LiftedSet moved(int millimetres) {
        return new LiftedSet(
                Lift.SQUAT, Mass.ofKg(150), 5, Effort.parse("8"), SetDetails.NONE.with(new BarSpeed(millimetres)));
    }

    private Readiness readiness(Plan plan, Optional<LocalDate> since) {
        return Readiness.of(TODAY, sessions, progress, since, DeloadDue.UNKNOWN, plan);
    }

    private OptionalDouble figure(Kind kind) {
        return readiness(Plan.TRAINING, Optional.empty()).signals().stream()
                .filter(signal -> signal.kind() == kind)
                .mapToDouble(FatigueSignal::now)
                .findFirst();
    }

    private boolean speaks(Kind kind) {
        return readiness(Plan.TRAINING, Optional.empty()).speaking().stream().anyMatch(signal -> signal.kind() == kind);
    }

    @Test
    void nothingIsSaidOfWhatNobodyKnows() {
        Readiness nothing = readiness(Plan.TRAINING, Optional.empty());
        assertThat(nothing.signals()).isEmpty();
        assertThat(nothing.advice()).isEqualTo(Advice.NOT);
    }

    /** 0.6 % a week for six weeks: 3.6 % of 200 kg could be hoped for; 2.2 kg gained are 1.1 %. */
    @ParameterizedTest
    @CsvSource({"0, 3.6, true", "2.19, 2.505, true", "2.21, 2.495, false", "10, 0, false", "-4, 5.6, true"})
    void anEstimateThatLagsBehind(String gained, double behind, boolean speaks) {
        progress.add(new Progress(
                Mass.ofKg(200),
                Mass.of(new BigDecimal(gained), MassUnit.KG),
                42,
                ExpectedGain.of(Optional.of(Mastery.INTERMEDIATE))));
        assertThat(figure(Kind.STAGNATION).orElseThrow()).isCloseTo(behind, within(1e-6));
        assertThat(speaks(Kind.STAGNATION)).isEqualTo(speaks);
    }

    /** Whoever is far on hardly grows in six weeks: standing still says nothing of them. */
    @Test
    void standingStillIsNoSignOfTheAdvanced() {
        progress.add(new Progress(Mass.ofKg(200), Mass.ZERO, 42, ExpectedGain.of(Optional.of(Mastery.ADVANCED))));
        assertThat(speaks(Kind.STAGNATION)).isFalse();
    }

    @Test
    void theSameLoadThatIsRatedHarder() {
        session(30, set("150", "7"), set("150", "7.5"));
        session(5, set("150", "8"), set("150", "8.5"));
        // two are too few
        assertThat(figure(Kind.RATED_HARDER)).isEmpty();
        session(2, set("150", "8.5"), set("160", "10"));
        assertThat(figure(Kind.RATED_HARDER).orElseThrow()).isCloseTo(1.08, within(0.01));
        assertThat(speaks(Kind.RATED_HARDER)).isTrue();
        session(1, set("150", "7"));
        assertThat(speaks(Kind.RATED_HARDER)).isFalse();
    }

    /** Within 1 % it is the same load; what was lifted too long ago is no comparison. */
    @Test
    void anotherLoadAndAnotherSeasonAreNotCompared() {
        session(30, set("147", "6"));
        session(57, set("150", "6"));
        session(2, set("150", "8.5"), set("150", "8.5"), set("150", "8.5"));
        assertThat(figure(Kind.RATED_HARDER)).isEmpty();
        session(20, set("149", "6"));
        assertThat(figure(Kind.RATED_HARDER)).hasValue(2.5);
    }

    @Test
    void theSameLoadThatMovesSlower() {
        session(30, moved(400));
        session(5, moved(381), moved(381), moved(381));
        assertThat(figure(Kind.SLOWER).orElseThrow()).isCloseTo(4.75, within(0.01));
        assertThat(speaks(Kind.SLOWER)).isFalse();
        session(2, moved(370));
        assertThat(speaks(Kind.SLOWER)).isTrue();
    }

    /** Hooper and Mackinnon 1995, Sports Med 20(5): self-ratings against the athlete's own usual. */
    @Test
    void howTheLifterIsBesideTheirOwnUsual() {
        for (int i = 0; i < 4; i++) {
            rated(40 - i, 3, 3, 3, 3, 3);
        }
        rated(5, 4, 4, 4, 4, 3);
        rated(3, 4, 4, 4, 4, 4);
        assertThat(figure(Kind.MIND)).isEmpty();
        rated(1, 4, 4, 4, 4, 4);
        assertThat(figure(Kind.MIND)).hasValue(1);
        assertThat(speaks(Kind.MIND)).isTrue();
        assertThat(figure(Kind.BODY).orElseThrow()).isCloseTo(0.83, within(0.01));
        assertThat(speaks(Kind.BODY)).isFalse();
    }

    @Test
    void aWeekOfMoreStrainThanTheWeeksBefore() {
        for (int week = 1; week <= 2; week++) {
            load(7 * week + 1, 6, 60);
            load(7 * week + 4, 6, 60);
        }
        load(1, 9, 90);
        load(4, 9, 90);
        assertThat(figure(Kind.STRAIN)).isEmpty();
        load(22, 6, 60);
        load(25, 6, 60);
        // as even as before, and 2.25 times the load
        assertThat(figure(Kind.STRAIN)).hasValue(225);
        assertThat(speaks(Kind.STRAIN)).isTrue();
    }

    @Test
    void missesOfTwoSessionsInTwoWeeks() {
        LiftedSet missed = set("150", "missed");
        session(14, missed, missed);
        assertThat(speaks(Kind.MISSES)).isFalse();
        session(3, missed.with(SetDetails.NONE.missed(MissedBy.GRIP)));
        assertThat(speaks(Kind.MISSES)).isFalse();
        session(2, missed);
        assertThat(speaks(Kind.MISSES)).isTrue();
        assertThat(figure(Kind.MISSES)).hasValue(2);
    }

    /** Half or a third of them may be noise: of three sources only, and signs of one source count once. */
    @Test
    void threeSourcesSayNow() {
        LiftedSet missed = set("150", "missed");
        session(3, missed);
        session(2, missed);
        progress.add(new Progress(Mass.ofKg(200), Mass.ofKg(-10), 42, ExpectedGain.UNKNOWN));
        Readiness two = readiness(Plan.TRAINING, Optional.of(TODAY.minusWeeks(1)));
        assertThat(two.advice()).isEqualTo(Advice.IN_WEEKS);
        assertThat(two.inWeeks()).contains(2);
        Readiness three = readiness(Plan.TRAINING, Optional.of(TODAY.minusWeeks(6)));
        assertThat(three.advice()).isEqualTo(Advice.NOW);
        session(30, set("100", "6"));
        session(1, set("100", "9"), set("100", "9"), set("100", "9"));
        Readiness sameSource = readiness(Plan.TRAINING, Optional.of(TODAY.minusWeeks(1)));
        assertThat(sameSource.speaking()).hasSize(3);
        assertThat(sameSource.advice()).isEqualTo(Advice.IN_WEEKS);
    }

    @Test
    void theUsualTimeAloneSaysSoon() {
        assertThat(readiness(Plan.TRAINING, Optional.of(TODAY.minusWeeks(3))).advice())
                .isEqualTo(Advice.NOT);
        Readiness four = readiness(Plan.TRAINING, Optional.of(TODAY.minusWeeks(4)));
        assertThat(four.advice()).isEqualTo(Advice.IN_WEEKS);
        assertThat(four.inWeeks()).contains(2);
        assertThat(readiness(Plan.TRAINING, Optional.of(TODAY.minusWeeks(5))).inWeeks())
                .contains(1);
    }

    @Test
    void whatIsPlannedIsNoAlarm() {
        LiftedSet missed = set("150", "missed");
        session(3, missed);
        session(2, missed);
        progress.add(new Progress(Mass.ofKg(200), Mass.ofKg(-10), 42, ExpectedGain.UNKNOWN));
        Optional<LocalDate> since = Optional.of(TODAY.minusWeeks(8));
        assertThat(readiness(Plan.DELOAD_AT_HAND, since).advice()).isEqualTo(Advice.PLANNED);
        assertThat(readiness(Plan.REACHING_OVER, since).advice()).isEqualTo(Advice.REACHING);
        assertThat(readiness(Plan.REACHING_OVER, since).signals()).isNotEmpty();
    }

    @Test
    void whatWasLiftedInADeloadTellsNothing() {
        sessions.add(new TrainingSeen(
                TODAY.minusDays(2), List.of(set("150", "missed")), true, Optional.empty(), Optional.empty()));
        assertThat(figure(Kind.MISSES)).isEmpty();
    }

    // ---- when one is due

    @Test
    void aBeginnerMayGoLongerAndAHardLifeNot() {
        assertThat(DeloadDue.UNKNOWN.weeks(TODAY)).isEqualTo(6);
        assertThat(due(Mastery.BEGINNER, false, false, 8, false, 25).weeks(TODAY))
                .isEqualTo(10);
        assertThat(due(Mastery.ADVANCED, false, false, 8, false, 25).weeks(TODAY))
                .isEqualTo(5);
        assertThat(due(Mastery.INTERMEDIATE, true, false, 6.5, false, 44).weeks(TODAY))
                .isEqualTo(5);
        assertThat(due(Mastery.INTERMEDIATE, false, false, 6.4, false, 44).weeks(TODAY))
                .isEqualTo(5);
        assertThat(due(Mastery.INTERMEDIATE, false, false, 7, false, 45).weeks(TODAY))
                .isEqualTo(5);
        assertThat(due(Mastery.ADVANCED, true, true, 5, true, 60).weeks(TODAY)).isEqualTo(4);
    }

    private static DeloadDue due(Mastery mastery, boolean dieting, boolean job, double sleep, boolean stress, int age) {
        return new DeloadDue(
                Optional.of(mastery), dieting, job, Optional.of(sleep), stress, Optional.of(TODAY.getYear() - age));
    }
}
