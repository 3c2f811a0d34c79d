package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails.MissedBy;
import dev.yarbel.core.record.SetDetails.Proof;
import dev.yarbel.core.record.Worn;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ContestLogTest {

    private static final ContestRules CLASSIC = ContestRules.named("ipf-classic");
    private static final Mass LOAD = Mass.ofKg(180);
    private static final Lift YOKE = new Lift("yoke");

    private static LiftedSet squat(Outcome outcome, Optional<NoLift> why) {
        return ContestLog.attempt(Lift.SQUAT, new Attempt(LOAD, outcome, why), CLASSIC);
    }

    /** Whatever was said of an attempt, the log says that it was one, at its load, and never more of it than was said. */
    @ParameterizedTest
    @EnumSource
    void anAttemptIsASingle(Outcome outcome) {
        LiftedSet set = squat(outcome, Optional.empty());

        assertThat(set.load()).isEqualTo(LOAD);
        assertThat(set.reps()).isEqualTo(outcome.isMade() ? 1 : 0);
        assertThat(set.made()).isEqualTo(outcome.isMade());
        assertThat(set.details().proof()).contains(Proof.CONTEST_ATTEMPT);
        boolean said = outcome == Outcome.SOLID || outcome == Outcome.GRIND;
        assertThat(set.rating().isPresent()).isEqualTo(said);
    }

    @Test
    void whatWasLeftIsRatedOnTheCarefulSide() {
        assertThat(squat(Outcome.SOLID, Optional.empty()).effort()).isEqualTo(new Effort.Rated(Rpe.of(9)));
        assertThat(squat(Outcome.GRIND, Optional.empty()).effort()).isEqualTo(new Effort.Rated(Rpe.LIMIT));
    }

    @Test
    void onlyWhatStrengthMissedProvesALimit() {
        assertThat(squat(Outcome.MISSED, Optional.of(NoLift.STRENGTH)).provesTheLimit())
                .isTrue();
        for (NoLift why : List.of(NoLift.TECHNIQUE, NoLift.PAIN)) {
            LiftedSet set = squat(Outcome.MISSED, Optional.of(why));
            assertThat(set.provesTheLimit()).as(why.name()).isFalse();
            assertThat(set.details().missedBy()).contains(why.missedBy());
        }
        assertThat(squat(Outcome.TURNED_DOWN, Optional.empty()).details().missedBy())
                .contains(MissedBy.CALL);
    }

    @Test
    void aSuitIsLoggedAsOne() {
        LiftedSet set =
                ContestLog.attempt(Lift.SQUAT, new Attempt(LOAD, Outcome.MADE), ContestRules.named("ipf-equipped"));

        assertThat(set.details().worn().orElseThrow()).contains(Worn.SUIT);
        assertThat(squat(Outcome.MADE, Optional.empty()).details().worn()).isEmpty();
    }

    /** What there is to be said of an attempt fits what became of it. */
    @ParameterizedTest
    @EnumSource
    void eachReasonIsOfOneOutcome(Outcome outcome) {
        for (Lift lift : CLASSIC.lifts()) {
            List<NoLift> whys = NoLift.of(lift, outcome);

            assertThat(whys.isEmpty()).isEqualTo(outcome.isMade());
            whys.forEach(why -> assertThat(new Attempt(LOAD, outcome, Optional.of(why)).isMade())
                    .isFalse());
        }
        assertThatThrownBy(() -> new Attempt(LOAD, Outcome.MADE, Optional.of(NoLift.DEPTH)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    // ---- events

    private static Optional<LiftedSet> event(EventMeasure measure, String written) {
        AnnouncedEvent event = new AnnouncedEvent(
                measure,
                Optional.of(LOAD),
                List.of(),
                Optional.of(Length.of(BigDecimal.valueOf(20), LengthUnit.M)),
                Optional.empty());
        return ContestLog.event(event, YOKE, EventResult.parse(written, measure));
    }

    @ParameterizedTest
    @EnumSource
    void whatIsOnlyExpectedIsNotLogged(EventMeasure measure) {
        assertThat(event(measure, "~12")).isEmpty();
    }

    /** Somebody who did nothing has tried. */
    @ParameterizedTest
    @EnumSource
    void nothingIsAMiss(EventMeasure measure) {
        LiftedSet set = event(measure, "0").orElseThrow();

        assertThat(set.made()).isFalse();
        assertThat(set.load()).isEqualTo(LOAD);
    }

    /** Whatever can be typed as a result can be logged, or is left out. */
    @ParameterizedTest
    @EnumSource
    void noResultIsAFault(EventMeasure measure) {
        for (String typed : List.of("9999", "9999.99", "0.5", "0.01", "100", "101", "7200", "7201", "0")) {
            for (String timed : measure.hasSeconds() ? List.of("", " / 9999", " / 0", " / 0.01") : List.of("")) {
                event(measure, typed + timed).ifPresent(set -> {
                    assertThat(set.reps()).isLessThanOrEqualTo(100);
                    assertThat(set.made()).isEqualTo(set.reps() > 0);
                });
            }
        }
        assertThat(event(EventMeasure.REPS, "0.5").orElseThrow().made()).isFalse();
        assertThat(event(EventMeasure.REPS, "1200")).isEmpty();
    }

    @Test
    void eachMeasureIsLoggedAsWhatItMeasures() {
        assertThat(event(EventMeasure.LOAD, "320").orElseThrow().load()).isEqualTo(Mass.ofKg(320));
        assertThat(event(EventMeasure.REPS, "12").orElseThrow().reps()).isEqualTo(12);
        LiftedSet stones = event(EventMeasure.PIECES, "5 in 43.2").orElseThrow();
        assertThat(stones.reps()).isEqualTo(5);
        assertThat(stones.details().time()).contains(Duration.ofMillis(43_200));
        assertThat(event(EventMeasure.HOLD, "61.5").orElseThrow().details().time())
                .contains(Duration.ofMillis(61_500));
        LiftedSet course = event(EventMeasure.TIME, "14.8").orElseThrow();
        assertThat(course.details().time()).contains(Duration.ofMillis(14_800));
        assertThat(course.details().distance().orElseThrow().in(LengthUnit.M)).isEqualByComparingTo("20");
        LiftedSet far = event(EventMeasure.DISTANCE, "17.5 / 60").orElseThrow();
        assertThat(far.details().distance().orElseThrow().in(LengthUnit.M)).isEqualByComparingTo("17.5");
        assertThat(far.details().time()).contains(Duration.ofSeconds(60));
    }

    @Test
    void withoutALoadNothingCanBeLogged() {
        AnnouncedEvent none = AnnouncedEvent.of(EventMeasure.REPS, Optional.empty());

        assertThat(ContestLog.event(none, YOKE, EventResult.parse("12", EventMeasure.REPS)))
                .isEmpty();
    }

    /** Three stones of five are three repetitions with the lightest at least, and not with the heaviest, whatever else is announced. */
    @Test
    void aSeriesIsLoggedAtTheLightestPieceThatWasMoved() {
        AnnouncedEvent stones = new AnnouncedEvent(
                EventMeasure.PIECES,
                Optional.of(Mass.ofKg(140)),
                List.of(Mass.ofKg(80), Mass.ofKg(100), Mass.ofKg(120), Mass.ofKg(140), Mass.ofKg(160)),
                Optional.empty(),
                Optional.empty());

        LiftedSet set = ContestLog.event(stones, YOKE, EventResult.parse("3 / 40", EventMeasure.PIECES))
                .orElseThrow();

        assertThat(set.load()).isEqualTo(Mass.ofKg(80));
        assertThat(set.reps()).isEqualTo(3);
    }
}
