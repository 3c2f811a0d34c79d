package dev.yarbel.core.estimate;

import static dev.yarbel.core.estimate.Logs.BENCH_140;
import static dev.yarbel.core.estimate.Logs.FIRST;
import static dev.yarbel.core.estimate.Logs.SQUAT_200;
import static dev.yarbel.core.estimate.Logs.history;
import static dev.yarbel.core.estimate.Logs.kg;
import static dev.yarbel.core.estimate.Logs.on;
import static dev.yarbel.core.estimate.Logs.set;
import static dev.yarbel.core.estimate.Logs.squat;
import static dev.yarbel.core.estimate.Logs.squats;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sets to the limit, attempts at a contest, and what a coach decided of how somebody rates. */
class ProvenSetsTest {

    private static LiftedSet toTheLimit(LiftedSet set) {
        return set.with(set.details().proven(SetDetails.Proof.LIMIT_SET));
    }

    /** Whatever was said: nobody who stopped because nothing more would go has anything left. */
    @ParameterizedTest
    @ValueSource(strings = {"7", "8.5", "10", "done", "easy"})
    void whatIsTakenToTheLimitLeftNothing(String said) {
        LiftedSet set = toTheLimit(squat(170, 6, said));
        assertThat(set.provesTheLimit()).isTrue();
        assertThat(set.rating()).contains(Rpe.LIMIT);
        assertThat(set.ratingOnRecord()).contains(Rpe.LIMIT);
        assertThat(kg(squats(on(1, set)), Lift.SQUAT, 1))
                .isEqualTo(kg(squats(on(1, toTheLimit(squat(170, 6, "10")))), Lift.SQUAT, 1));
    }

    @Test
    void aTenAloneOrASetWithHelpProvesNothing() {
        assertThat(squat(170, 6, "10").provesTheLimit()).isFalse();
        LiftedSet helped = squat(170, 6, "10").with(SetDetails.NONE.withHelp(1).proven(SetDetails.Proof.LIMIT_SET));
        assertThat(helped.provesTheLimit()).isFalse();
        assertThat(squat(170, 6, "missed").provesTheLimit()).isTrue();
        assertThat(squat(170, 6, "missed")
                        .with(SetDetails.NONE.missed(SetDetails.MissedBy.GRIP))
                        .provesTheLimit())
                .isFalse();
    }

    /** They call 8 what leaves four; one set to the limit a month shows it, also of sets that were not taken there. */
    @Test
    void limitSetsShowWhoHidesRepetitions() {
        List<LiftedSession> said = new ArrayList<>();
        List<LiftedSession> shown = new ArrayList<>();
        for (int week = 0; week < 10; week++) {
            LiftedSet five = squat(160, 4, "8");
            LiftedSet heavy = squat(170, 3, "8.5");
            said.add(on(7 * week + 1, five, heavy));
            shown.add(
                    week % 3 == 2
                            ? on(7 * week + 1, five, toTheLimit(squat(160, 8, "10")))
                            : on(7 * week + 1, five, heavy));
        }
        StrengthHistory believed = squats(said.toArray(LiftedSession[]::new));
        StrengthHistory known = squats(shown.toArray(LiftedSession[]::new));
        RatingBias bias = known.on(FIRST.plusDays(70)).ratingBias(Lift.SQUAT).orElseThrow();
        assertThat(bias.isTelling()).isTrue();
        assertThat(bias.reps()).isLessThan(new BigDecimal("-1"));
        RatingBias before =
                believed.on(FIRST.plusDays(70)).ratingBias(Lift.SQUAT).orElseThrow();
        assertThat(before.isTelling()).isFalse();
        assertThat(bias.spread()).isLessThan(before.spread());
        assertThat(kg(known, Lift.SQUAT, 70)).isGreaterThan(kg(believed, Lift.SQUAT, 70) + 2);
    }

    @Test
    void aLimitMovesTheMaxFartherThanAnythingSaid() {
        double said = kg(squats(on(1, squat(190, 6, "10"))), Lift.SQUAT, 1);
        double proven = kg(squats(on(1, toTheLimit(squat(190, 6, "10")))), Lift.SQUAT, 1);
        assertThat(said).isBetween(200.0, 212.0);
        assertThat(proven).isGreaterThan(said + 4);
        double low = kg(squats(on(1, squat(175, 4, "10"))), Lift.SQUAT, 1);
        double provenLow = kg(squats(on(1, toTheLimit(squat(175, 4, "10")))), Lift.SQUAT, 1);
        assertThat(provenLow).isLessThan(low - 2);
    }

    /** Pounds for kilograms happens at a limit too. */
    @Test
    void evenALimitIsASlipWhereItCannotBe() {
        LiftedSet slip = toTheLimit(squat(400, 5, "10"));
        assertThat(kg(squats(on(1, slip)), Lift.SQUAT, 1)).isCloseTo(kg(squats(), Lift.SQUAT, 1), within(0.5));
    }

    @Test
    void anAttemptIsLessOftenASlip() {
        LiftedSet single = squat(228, 1, "10");
        double said = kg(squats(on(1, single)), Lift.SQUAT, 1);
        double attempt = kg(
                squats(on(1, single.with(single.details().proven(SetDetails.Proof.CONTEST_ATTEMPT)))), Lift.SQUAT, 1);
        assertThat(attempt).isGreaterThanOrEqualTo(said).isGreaterThan(215);
    }

    @Test
    void whatACoachDecidedOfRatingsHoldsForTheFamilyAlone() {
        Overrules hides = new Overrules(Map.of(), Map.of(), Map.of(Lift.SQUAT, new BigDecimal("-2")));
        LiftedSession[] log = {
            on(1, squat(160, 4, "8"), set(Lift.BENCH_PRESS, 112.5, 4, "8")),
            on(8, squat(160, 4, "8"), set(Lift.BENCH_PRESS, 112.5, 4, "8"))
        };
        List<MaxOnRecord> maxes = List.of(SQUAT_200, BENCH_140);
        StrengthHistory learnt = history(maxes, log);
        StrengthHistory decided =
                StrengthHistory.of(new StrengthFilter(Catalogue.STANDARD, hides), maxes, List.of(log));
        RatingBias squat = decided.on(FIRST.plusDays(8)).ratingBias(Lift.SQUAT).orElseThrow();
        assertThat(squat.reps()).isEqualByComparingTo("-2");
        assertThat(squat.spread()).isZero();
        assertThat(squat.isTelling()).isTrue();
        // what leaves two more than was said speaks for more
        assertThat(kg(decided, Lift.SQUAT, 8)).isGreaterThan(kg(learnt, Lift.SQUAT, 8) + 0.5);
        assertThat(decided.on(FIRST.plusDays(8))
                        .ratingBias(Lift.BENCH_PRESS)
                        .orElseThrow()
                        .spread())
                .isPositive();
        assertThat(kg(decided, Lift.BENCH_PRESS, 8)).isCloseTo(kg(learnt, Lift.BENCH_PRESS, 8), within(1.5));
    }
}
