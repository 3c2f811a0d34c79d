package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

class LiftFormTest {

    private static final LiftForm FORM = LiftForm.of(Math.log(200), 0.03);

    @Test
    void whatMayBecomeOfAnAttemptIsOneInAll() {
        for (int kg = 150; kg <= 240; kg += 5) {
            Mass load = Mass.ofKg(kg);
            double all = Outcome.TOLD.stream()
                    .mapToDouble(outcome -> FORM.chance(load, outcome))
                    .sum();
            double made = Outcome.TOLD.stream()
                    .filter(Outcome::isMade)
                    .mapToDouble(outcome -> FORM.chance(load, outcome))
                    .sum();

            assertThat(all).isCloseTo(1, within(1e-9));
            assertThat(FORM.made(load)).isCloseTo(made, within(1e-9));
        }
    }

    /** Beside the closed form: a normal distribution of the max, and of the attempt's give or take. */
    @Test
    void theChanceIsThatOfTwoNormalDistributions() {
        NormalDistribution normal = new NormalDistribution(0, Math.hypot(0.03, LiftForm.GIVE_OR_TAKE));
        for (int kg = 160; kg <= 230; kg += 5) {
            double expected = (1 - LiftForm.TURNED_DOWN) * normal.cumulativeProbability(Math.log(200.0 / kg));

            assertThat(FORM.made(Mass.ofKg(kg))).isCloseTo(expected, within(0.001));
        }
    }

    @Test
    void aHeavierLoadIsMadeMoreRarely() {
        for (int kg = 150; kg < 250; kg++) {
            assertThat(FORM.made(Mass.ofKg(kg + 1))).isLessThanOrEqualTo(FORM.made(Mass.ofKg(kg)));
        }
    }

    @Test
    void theEndsHoldFourOfFive() {
        assertThat(FORM.middle().kilograms()).isCloseTo(200, within(0.1));
        assertThat(FORM.low().kilograms()).isCloseTo(200 * Math.exp(-1.2816 * 0.03), within(0.3));
        assertThat(FORM.high().kilograms()).isCloseTo(200 * Math.exp(1.2816 * 0.03), within(0.3));
    }

    /** A grip that opened and a foot that slipped say nothing of the legs. */
    @Test
    void whatSomethingElseMissedTellsNothing() {
        double before = FORM.made(Mass.ofKg(195));
        for (NoLift why : NoLift.of(Lift.DEADLIFT, Outcome.MISSED)) {
            double then = FORM.after(new Attempt(Mass.ofKg(190), Outcome.MISSED, Optional.of(why)))
                    .made(Mass.ofKg(195));
            if (why == NoLift.STRENGTH) {
                assertThat(then).isLessThan(before / 2);
            } else {
                assertThat(then).as(why.name()).isEqualTo(before);
            }
        }
    }

    @Test
    void anAttemptTellsWhatIsThere() {
        Mass load = Mass.ofKg(192);
        double before = FORM.middle().kilograms();

        assertThat(middle(load, Outcome.EASY)).isGreaterThan(before);
        assertThat(middle(load, Outcome.SOLID)).isBetween(195.0, 203.0);
        assertThat(middle(load, Outcome.GRIND)).isLessThan(before).isGreaterThan(191);
        assertThat(middle(load, Outcome.MISSED)).isLessThan(195);
        assertThat(middle(load, Outcome.MADE)).isGreaterThan(before);
        // it was there
        assertThat(middle(load, Outcome.TURNED_DOWN)).isEqualTo(middle(load, Outcome.MADE));
    }

    private static double middle(Mass load, Outcome outcome) {
        return FORM.after(new Attempt(load, outcome)).middle().kilograms();
    }

    /** A slip of the thumb, such as 20 for 200: nothing comes of it, not even a fault. */
    @Test
    void whatCannotBeChangesNothing() {
        Attempt impossible = new Attempt(Mass.ofKg(2000), Outcome.EASY);

        assertThat(FORM.after(impossible).middle()).isEqualTo(FORM.middle());
    }

    /** What a normal distribution of two figures does when one is known: beside the closed form. */
    @Test
    void oneLiftSpeaksForTheOthersAsFarAsTheyHangTogether() {
        DayStrength day = DayStrength.of(
                Map.of(Lift.SQUAT, 200.0, Lift.DEADLIFT, 250.0), List.of(Lift.SQUAT, Lift.DEADLIFT), 0.03, 0.02);
        List<Attempt> attempts = List.of(new Attempt(Mass.ofKg(200), Outcome.EASY));
        LiftForm squat = day.form(Lift.SQUAT);
        double moved = squat.after(attempts).mean() - squat.mean();

        LiftForm pull = day.after(Lift.SQUAT, attempts).form(Lift.DEADLIFT);

        assertThat(pull.mean() - Math.log(250)).isCloseTo(moved * 0.0004 / 0.0009, within(1e-4));
        assertThat(pull.variance()).isLessThan(day.form(Lift.DEADLIFT).variance());
        assertThat(day.after(Lift.SQUAT, List.of())).isSameAs(day);
    }

    /** What is kept of a day is the same day; of other lifts, or of none, it is none. */
    @Test
    void aDayComesBackFromItsFigures() {
        List<Lift> lifts = List.of(Lift.SQUAT, Lift.DEADLIFT);
        DayStrength day = DayStrength.of(Map.of(Lift.SQUAT, 200.0, Lift.DEADLIFT, 250.0), lifts, 0.03, 0.02);

        DayStrength again = DayStrength.ofFigures(lifts, day.figures()).orElseThrow();

        assertThat(again.figures()).isEqualTo(day.figures());
        assertThat(again.form(Lift.DEADLIFT).middle())
                .isEqualTo(day.form(Lift.DEADLIFT).middle());
        assertThat(DayStrength.ofFigures(List.of(Lift.BENCH_PRESS), day.figures()))
                .isEmpty();
        assertThat(DayStrength.ofFigures(List.of(), List.of())).isEmpty();
    }
}
