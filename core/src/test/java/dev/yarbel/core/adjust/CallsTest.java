package dev.yarbel.core.adjust;

import static dev.yarbel.core.adjust.CallScene.TODAY;
import static dev.yarbel.core.adjust.CallScene.squat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CallsTest {

    private static final Ache KNEE = new Ache(Tissue.KNEE, "left", TODAY.minusDays(30), Set.of());

    private static CallRule always(String key, Urgency urgency, int after) {
        return new CallRule() {

            @Override
            public String key() {
                return key;
            }

            @Override
            public Urgency urgency() {
                return urgency;
            }

            @Override
            public List<Finding> look(Subject subject, BigDecimal threshold) {
                return List.of(Finding.of(
                        this,
                        new Evidence.Sets(subject.work()),
                        new MoveWorkingMax(subject.lift(), Mass.ofKg(200), Mass.ofKg(after))));
            }
        };
    }

    private static List<String> found(CallScene scene, Tuning tuning) {
        List<CallRule> rules = List.of(
                always("news", Urgency.NEWS, 205),
                always("down", Urgency.APART, 195),
                always("up", Urgency.APART, 210),
                always("missed", Urgency.MISSED, 190));
        return new Calls(rules)
                .look(scene.subject(), tuning).stream().map(Finding::rule).toList();
    }

    @Test
    void theWeightiestSpeaksFirstAndOfThoseThatWeighTheSameTheFirst() {
        assertThat(found(squat().lifted(1, "1 @8", "180x1 8"), Tuning.USUAL))
                .containsExactly("missed", "down", "up", "news");
    }

    /** Whatever rule proposes it; what lowers may stand. */
    @Test
    void painMeansNoRiseButMayMeanLess() {
        assertThat(found(squat().session(1, "1 @8", Optional.of("left knee"), "180x1 8"), Tuning.USUAL))
                .containsExactly("missed", "down");
        assertThat(found(squat().aching(KNEE).lifted(1, "1 @8", "180x1 8"), Tuning.USUAL))
                .containsExactly("missed", "down");
    }

    @Test
    void aRuleThatIsSwitchedOffIsNotAsked() {
        Tuning tuning = new Tuning(Map.of("missed", new Tuning.Setting(false, Optional.empty())));
        assertThat(found(squat().lifted(1, "1 @8", "180x1 8"), tuning)).containsExactly("down", "up", "news");
    }

    @Test
    void painCannotBeSwitchedOff() {
        CallRule pain = new PainNoted();
        assertThat(new Tuning(Map.of(pain.key(), new Tuning.Setting(false, Optional.empty()))).isOn(pain))
                .isTrue();
    }

    /** The order of conflicts over the rules there are. */
    @Test
    void painOutweighsMissesAndMissesOutweighRatingsAndThoseGoodNews() {
        CallScene all = squat().estimate("200", "220")
                .lifted(8, "1 @8 then 3x5 -20%", "180x1 8", "144x5 8")
                .session(1, "2x1 @8 then 3x5 -20%", Optional.of("knee"), "182.5x1 8", "182.5x1 9.5", "144x2 missed");
        List<String> found = all.found();
        assertThat(found).startsWith("pain-noted", "missed-reps", "hard-once");
        assertThat(found).endsWith("new-best");
        // no rise while something hurts
        assertThat(found).doesNotContain("estimate-apart", "lighter");
    }

    /** A hard session once is held, not punished: nothing of it is heavier or lighter. */
    @Test
    void oneHardSessionIsHeld() {
        CallScene hard = squat().estimate("200", "185").ahead("1 @8", "3x5 75%").lifted(7, "1 @8", "180x1 9.5");
        assertThat(new Calls(Calls.RULES).look(hard.subject(), Tuning.USUAL))
                .isNotEmpty()
                .allSatisfy(finding -> assertThat(finding.proposal()).isEqualTo(new Hold(Lift.SQUAT)));
    }

    @Test
    void everyRuleHasAKeyOfItsOwnAndStandsWhereItWeighs() {
        assertThat(Calls.RULES)
                .extracting(CallRule::key)
                .doesNotHaveDuplicates()
                .allMatch(key -> key.matches("[a-z-]+"));
        assertThat(Calls.RULES).extracting(CallRule::urgency).isSortedAccordingTo(Comparator.naturalOrder());
        assertThat(Calls.rule("hard-once")).isPresent();
        assertThat(Calls.rule("soft-once")).isEmpty();
    }

    static List<CallRule> withThreshold() {
        return Calls.RULES.stream().filter(rule -> rule.threshold().isPresent()).toList();
    }

    /** Learning to be quieter ends somewhere, and a figure beside the range is never used. */
    @ParameterizedTest
    @MethodSource("withThreshold")
    void aThresholdGrowsByHalfAStepAndIsNeverSilence(CallRule rule) {
        Threshold threshold = rule.threshold().orElseThrow();
        BigDecimal half = threshold.step().divide(BigDecimal.valueOf(2));
        BigDecimal raised = threshold.raised(threshold.usual());
        assertThat(raised).isEqualByComparingTo(threshold.usual().add(half).min(threshold.most()));
        BigDecimal further = raised;
        for (int i = 0; i < 100; i++) {
            further = threshold.raised(further);
        }
        assertThat(further).isEqualByComparingTo(threshold.most());
        assertThat(threshold.allows(further)).isTrue();
        assertThat(tuned(rule, raised).threshold(rule)).isEqualByComparingTo(raised);
        assertThat(tuned(rule, threshold.most().add(BigDecimal.ONE)).threshold(rule))
                .isEqualByComparingTo(threshold.usual());
    }

    private static Tuning tuned(CallRule rule, BigDecimal figure) {
        return new Tuning(Map.of(rule.key(), new Tuning.Setting(true, Optional.of(figure))));
    }

    @Test
    void aThresholdLiesWithinItsRange() {
        assertThatIllegalArgumentException().isThrownBy(() -> Threshold.of("5", "1", "1", "4", Threshold.Unit.DAYS));
        assertThatIllegalArgumentException().isThrownBy(() -> Threshold.of("1", "0", "1", "4", Threshold.Unit.DAYS));
        assertThatIllegalArgumentException().isThrownBy(() -> Threshold.of("1", "1", "2", "4", Threshold.Unit.DAYS));
    }
}
