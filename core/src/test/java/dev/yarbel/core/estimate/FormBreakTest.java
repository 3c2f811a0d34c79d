package dev.yarbel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.CoachSeen.Form;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.RepsSeen;
import dev.yarbel.core.record.SetDetails;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

/** Where form breaks is a number; how it is read from marks is checked against lifters whose number is known. */
class FormBreakTest {

    private static final MaxEstimate MAX = new MaxEstimate(Mass.ofKg(200), Mass.ofKg(4), List.of());

    private static LiftedSet set(double percent, CoachSeen seen) {
        return new LiftedSet(
                Lift.SQUAT, Mass.ofKg(Math.round(2 * percent)), 3, new Effort.Unrated(), SetDetails.NONE.seenBy(seen));
    }

    private static CoachSeen form(Form form) {
        return new CoachSeen(Optional.empty(), Optional.of(form), Optional.empty(), Optional.empty(), Optional.empty());
    }

    private static FormBreak of(List<LiftedSet> sets) {
        return FormBreak.of(Lift.SQUAT, List.of(new LiftedSession(LocalDate.of(2026, 3, 2), sets)), MAX)
                .orElseThrow();
    }

    @Test
    void whatNobodyLookedAtTellsNothing() {
        assertThat(FormBreak.of(
                        Lift.SQUAT,
                        List.of(new LiftedSession(LocalDate.of(2026, 3, 2), List.of(set(90, CoachSeen.NOTHING)))),
                        MAX))
                .isEmpty();
    }

    @Test
    void cleanSetsRaiseItAndBrokenOnesLowerIt() {
        double clean = of(List.of(set(85, form(Form.CLEAN)))).share().figure().doubleValue();
        double broken = of(List.of(set(85, form(Form.BROKEN)))).share().figure().doubleValue();
        assertThat(broken).isLessThan(clean);
        RepsSeen third = RepsSeen.broken(List.of(3));
        CoachSeen oneByOne = new CoachSeen(
                Optional.empty(), Optional.of(Form.CLEAN), Optional.empty(), Optional.empty(), Optional.of(third));
        assertThat(of(List.of(set(85, oneByOne))).broken()).isOne();
        assertThat(of(List.of(set(85, oneByOne))).share().figure().doubleValue())
                .isEqualTo(broken);
    }

    /** Ranges are to hold the truth four times of five: lifters whose threshold is drawn from what is believed at first. */
    @Test
    void rangesHoldTheTruthFourTimesOfFive() {
        Random random = new Random(3);
        int held = 0;
        double narrower = 0;
        int lifters = 400;
        for (int i = 0; i < lifters; i++) {
            double truth = 95 + 10 * random.nextGaussian();
            List<LiftedSet> sets = new ArrayList<>();
            for (int s = 0; s < 20; s++) {
                double percent = 65 + 35 * random.nextDouble();
                boolean broken =
                        random.nextDouble() < new NormalDistribution(0, 6).cumulativeProbability(percent - truth);
                sets.add(set(percent, form(broken ? Form.BROKEN : Form.CLEAN)));
            }
            FormBreak found = of(sets);
            held += truth >= found.low().figure().doubleValue()
                            && truth <= found.high().figure().doubleValue()
                    ? 1
                    : 0;
            narrower += found.high().minus(found.low()).figure().doubleValue() / lifters;
        }
        assertThat(held / (double) lifters).isBetween(0.75, 0.86);
        assertThat(narrower).isLessThan(2 * 1.2816 * 10 * 0.75);
    }

    @Test
    void theLessMasteryTheFurtherBelowItIsWorked() {
        FormBreak found = of(List.of(set(85, form(Form.CLEAN)), set(92, form(Form.BROKEN))));
        assertThat(found.zone(Mastery.BEGINNER).to())
                .isLessThan(found.zone(Mastery.INTERMEDIATE).to());
        assertThat(found.zone(Mastery.INTERMEDIATE).to()).isEqualTo(found.share());
        assertThat(found.zone(Mastery.INTERMEDIATE).from())
                .isLessThan(found.zone(Mastery.ADVANCED).from());
    }
}
