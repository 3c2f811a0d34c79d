package dev.yarbel.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class CallsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private static CallRule always(String key, int after) {
        return new CallRule() {

            @Override
            public String key() {
                return key;
            }

            @Override
            public List<Finding> look(Subject subject) {
                return List.of(new Finding(
                        key,
                        new Evidence.EstimateMoved(
                                new MaxEstimate.Movement(
                                        DAY, Mass.ofKg(200), Mass.ofKg(after), Mass.ofKg(4), List.of()),
                                Mass.ofKg(after),
                                Percent.HUNDRED,
                                Optional.empty()),
                        new MoveWorkingMax(subject.lift(), Mass.ofKg(200), Mass.ofKg(after))));
            }
        };
    }

    private static List<String> found(Optional<String> pain, List<Ache> aches) {
        Subject subject = new Subject(
                Lift.SQUAT,
                new Subject.Known(Optional.empty(), Optional.empty(), Percent.HUNDRED, Caps.USUAL),
                null,
                new LiftedSession(DAY, List.of()),
                pain,
                aches);
        return new Calls(List.of(always("up", 205), always("down", 195), always("up-again", 210)))
                .look(subject).stream().map(Finding::rule).toList();
    }

    @Test
    void rulesAreAskedInTheirOrder() {
        assertThat(found(Optional.empty(), List.of())).containsExactly("up", "down", "up-again");
    }

    /** Whatever rule proposes it; what lowers may stand. */
    @Test
    void painMeansNoRiseButMayMeanLess() {
        Ache knee = new Ache(Tissue.KNEE, "left", DAY, Set.of());
        assertThat(found(Optional.of("left knee"), List.of())).containsExactly("down");
        assertThat(found(Optional.empty(), List.of(knee))).containsExactly("down");
    }

    @Test
    void everyRuleHasAKeyOfItsOwn() {
        assertThat(Calls.RULES)
                .extracting(CallRule::key)
                .doesNotHaveDuplicates()
                .allMatch(key -> key.matches("[a-z-]+"));
    }
}
