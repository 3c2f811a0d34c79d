package dev.yarbel.core.adjust;

import static dev.yarbel.core.adjust.CallScene.squat;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A lift that hurt comes back by a ladder: light, few, then load (common practice, no source; the figures are ours). */
class ComingBackTest {

    private static final CallRule RULE = new AcheCleared();

    private static List<String> doses(List<Finding> found) {
        assertThat(found).hasSize(1);
        return ((ReturnLadder) found.get(0).proposal())
                .doses().stream()
                        .map(change -> change.to().map(Dose::shorthand).orElse("-"))
                        .toList();
    }

    @Test
    void aLiftThatWasSparedComesBackStepByStep() {
        assertThat(doses(squat().lifted(20, "4x6 80%", "160x6 8")
                        .healed(14, 1, null)
                        .ahead("4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%")
                        .look(RULE)))
                .containsExactly("2x6 40%", "4x6 56%", "4x6 68%");
    }

    @Test
    void aLongOrHeavyAcheHasMoreSteps() {
        String[] ahead = Stream.generate(() -> "2x5 70%").limit(12).toArray(String[]::new);
        assertThat(doses(squat().lifted(40, "2x5 70%", "140x5 8")
                        .healed(30, 1, null)
                        .ahead(ahead)
                        .look(RULE)))
                .hasSize(6)
                .startsWith("1x5 28%");
        assertThat(doses(squat().lifted(20, "2x5 70%", "140x5 8")
                        .healed(10, 1, 6)
                        .ahead(ahead)
                        .look(RULE)))
                .hasSize(6);
        assertThat(doses(squat().lifted(20, "2x5 70%", "140x5 8")
                        .healed(10, 1, 5)
                        .ahead(ahead)
                        .look(RULE)))
                .hasSize(3);
    }

    /** Whatever a dose hangs on: the first step is lighter than what stands, and goes to no limit. */
    @ParameterizedTest
    @ValueSource(
            strings = {"3x5 75%", "3x5 140kg", "3x5 @8", "1 @8 then 3x5 -20%", "3x5 last +2.5kg", "5+ 80%", "amrap 70%"
            })
    void noStepIsHeavierThanWhatStandsAndNoneGoesToTheLimit(String dose) {
        String[] ahead = Stream.generate(() -> dose).limit(5).toArray(String[]::new);
        CallScene scene = squat().lifted(20, "3x5 140kg | 140", "140x5 8")
                .healed(14, 1, null)
                .ahead(ahead);
        List<Finding> found = scene.look(RULE);
        assertThat(doses(found))
                .isNotEmpty()
                .allSatisfy(step -> assertThat(Dose.parse(step).parts()).allSatisfy(part -> assertThat(
                                part.work().isToLimit() && part.work().stop().isEmpty())
                        .isFalse()));
        List<LoadChange> changes = found.get(0).proposal().changes(scene.plan());
        assertThat(changes).isNotEmpty().allSatisfy(change -> {
            Mass before = change.before().flatMap(LoadChange.Planned::load).orElse(Mass.ofKg(1000));
            Mass after = change.after().flatMap(LoadChange.Planned::load).orElse(Mass.ZERO);
            assertThat(after).isLessThanOrEqualTo(before);
        });
    }

    static Stream<CallScene> noLadderIsNeeded() {
        return Stream.of(
                // trained through it at four fifths and more
                squat().lifted(20, "4x6 80%", "160x6 8")
                        .lifted(7, "4x6 65%", "130x6 6")
                        .healed(14, 1, null),
                // trained since it was cleared
                squat().lifted(20, "4x6 80%", "160x6 8")
                        .lifted(1, "2x5 50%", "100x5 5")
                        .healed(14, 3, null),
                // nothing was cleared
                squat().lifted(20, "4x6 80%", "160x6 8"));
    }

    @ParameterizedTest
    @MethodSource
    void noLadderIsNeeded(CallScene scene) {
        assertThat(scene.ahead("4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%").look(RULE))
                .isEmpty();
    }

    @Test
    void aLittleLighterMeanwhileIsSpared() {
        assertThat(squat().lifted(20, "4x6 80%", "160x6 8")
                        .lifted(7, "4x6 60%", "127x6 6")
                        .healed(14, 1, null)
                        .ahead("4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%", "4x6 80%")
                        .look(RULE))
                .singleElement()
                .satisfies(found -> {
                    Evidence.Healed seen = (Evidence.Healed) found.evidence();
                    assertThat(seen.before().orElseThrow().set().load()).isEqualTo(Mass.ofKg(160));
                    assertThat(seen.meanwhile().orElseThrow().set().load()).isEqualTo(Mass.ofKg(127));
                });
    }

    @Test
    void whereNothingIsPlannedThereIsOnlyToHold() {
        assertThat(squat().lifted(20, "4x6 80%", "160x6 8").healed(14, 1, null).look(RULE))
                .singleElement()
                .satisfies(found -> assertThat(found.proposal()).isInstanceOf(Hold.class));
    }
}
