package dev.yarbel.core.adjust;

import static dev.yarbel.core.adjust.CallScene.TODAY;
import static dev.yarbel.core.adjust.CallScene.squat;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.shape.Deload;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is small enough to be done without asking; the bound is common practice, no source. */
class AutopilotTest {

    private static boolean takes(CallScene scene, String rule, int after) {
        Subject subject = scene.subject();
        return Autopilot.takes(
                new Finding(
                        rule,
                        new Evidence.Sets(subject.work()),
                        new MoveWorkingMax(subject.lift(), Mass.ofKg(200), Mass.ofKg(after))),
                subject);
    }

    private static CallScene fine() {
        return squat().lifted(1, "1 @8", "180x1 8");
    }

    @ParameterizedTest
    @CsvSource({
        "estimate-apart, 205, true",
        "estimate-apart, 206, false",
        "estimate-apart, 195, true",
        "estimate-apart, 194, false",
        "lighter, 205, true",
        "missed-reps, 195, false",
        "pain-noted, 195, false",
        "back-from-break, 195, false",
        "unit-slip, 195, false",
        "no-rule, 195, false"
    })
    void twoAndAHalfPercentByRatingsOrTheEstimate(String rule, int after, boolean takes) {
        assertThat(takes(fine(), rule, after)).isEqualTo(takes);
    }

    @Test
    void painAnAcheAndAMissAlwaysWait() {
        assertThat(takes(squat().session(1, "1 @8", Optional.of("knee"), "180x1 8"), "estimate-apart", 195))
                .isFalse();
        Ache old = new Ache(Tissue.KNEE, "left", TODAY.minusDays(90), Set.of());
        assertThat(takes(fine().aching(old), "estimate-apart", 195)).isFalse();
        assertThat(takes(
                        squat().lifted(1, "1 @8 then 3x5 -20%", "180x1 8", "144x4 missed GRIP"), "estimate-apart", 195))
                .isFalse();
    }

    @Test
    void onlyNumbersAreSmall() {
        Subject subject = fine().subject();
        for (Proposal proposal : List.of(
                new Hold(subject.lift()),
                new AskLifter(
                        subject.lift(),
                        AskLifter.Asking.WHAT_HAPPENED,
                        subject.work().get(0)),
                new NextLoads(subject.lift(), Percent.of("97.5"), List.of()),
                new SwapLift(subject.lift(), subject.lift(), List.of(), Optional.empty()),
                new DeloadWeek(1, Deload.OFF, true, Optional.empty(), 1))) {
            assertThat(proposal.isSmall()).isFalse();
        }
    }
}
