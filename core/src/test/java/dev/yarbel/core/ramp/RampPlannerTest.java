package dev.yarbel.core.ramp;

import static dev.yarbel.core.measure.MassUnit.KG;
import static dev.yarbel.core.measure.MassUnit.LB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Loading;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RampPlannerTest {

    private static List<String> loads(Ramp ramp) {
        return ramp.steps().stream().map(step -> step.load().figure(KG, 2)).toList();
    }

    private static List<Mass> allLoads(Ramp ramp) {
        List<Mass> loads =
                new ArrayList<>(ramp.steps().stream().map(RampStep::load).toList());
        loads.add(ramp.top().total());
        return loads;
    }

    @Test
    void aHeavyTopIsReachedInBigStepsAndThenSmallerOnes() {
        Ramp ramp = RampPlanner.plan(Kits.kg(), Mass.ofKg(180));
        assertThat(loads(ramp)).containsExactly("20", "70", "120", "160");
        assertThat(ramp.steps()).extracting(RampStep::reps).containsExactly(10, 5, 3, 1);
        assertThat(ramp.remarks()).isEmpty();
    }

    /** Common practice, no source: towards 600 the steps after 365 are 90, 75, 40, 30, each smaller than the last. */
    @Test
    void towardsSixHundredPoundsTheStepsShrinkToo() {
        Loader loader = Kits.lb();
        Ramp ramp = RampPlanner.plan(loader, loader.round(Mass.ofLb(550), Rounding.NEAREST));
        List<Mass> loads = allLoads(ramp);
        Mass top = loads.get(loads.size() - 1);
        for (int i = 1; i + 1 < loads.size(); i++) {
            if (!loads.get(i).isLessThan(top.times(Percent.of(70)))) {
                assertThat(loads.get(i + 1).minus(loads.get(i)))
                        .as("after %s", loads.get(i).format(LB, 0))
                        .isLessThan(loads.get(i).minus(loads.get(i - 1)));
            }
        }
        assertThat(ramp.remarks()).isEmpty();
    }

    @Test
    void aTopThatIsTheBareBarNeedsNoRamp() {
        Ramp ramp = RampPlanner.plan(Kits.kg(), Mass.ofKg(20));
        assertThat(ramp.steps()).isEmpty();
        assertThat(ramp.remarks()).containsExactly(Ramp.Remark.TOP_IS_THE_BAR);
    }

    @Test
    void aLightTopTakesTheBareBarFirst() {
        Ramp ramp = RampPlanner.plan(Kits.kg(), Mass.ofKg(25));
        assertThat(loads(ramp)).containsExactly("20");
        assertThat(ramp.remarks()).isEmpty();
    }

    @Test
    void aTinyInventoryGivesTheBestRampThereIsAndSaysWhatItLacks() {
        Ramp ramp = RampPlanner.plan(Kits.bar20("20:2"), Mass.ofKg(100));
        assertThat(loads(ramp)).containsExactly("20", "60");
        assertThat(ramp.remarks()).containsExactly(Ramp.Remark.LAST_STEP_OUT_OF_RANGE);
    }

    @Test
    void wherePlatesMustComeOffTheRampSaysSo() {
        Ramp ramp = RampPlanner.plan(Kits.bar20("25:4 10:1 5:1"), Mass.ofKg(220));
        assertThat(loads(ramp)).containsExactly("20", "70", "120", "170", "200");
        assertThat(ramp.remarks()).containsExactly(Ramp.Remark.STRIPS);
        assertThat(ramp.strips()).isEqualTo(1);
    }

    @Test
    void aTopThatCannotBeLoadedIsRefused() {
        assertThatThrownBy(() -> RampPlanner.plan(Kits.kg(), Mass.ofKg(101))).hasMessageContaining("cannot load");
        assertThatThrownBy(() -> RampPlanner.plan(Kits.kg(), Mass.ofKg(10))).hasMessageContaining("cannot load");
        assertThatThrownBy(() -> RampPlanner.plan(Kits.kg(), Mass.ofKg(900))).hasMessageContaining("cannot load");
    }

    @Property(tries = 200)
    void everyStepCanBeLoadedAndRisesAndRepetitionsNeverDo(@ForAll @IntRange(min = 8, max = 130) int steps) {
        Loader loader = Kits.kg();
        Ramp ramp = RampPlanner.plan(loader, Mass.of("2.5", KG).times(steps));
        List<Mass> loads = allLoads(ramp);
        assertThat(loads).doesNotHaveDuplicates().isSorted().allMatch(loader::canLoad);
        assertThat(loads.get(0)).isEqualTo(Mass.ofKg(20));
        for (int i = 1; i < ramp.steps().size(); i++) {
            assertThat(ramp.steps().get(i).reps())
                    .isLessThanOrEqualTo(ramp.steps().get(i - 1).reps());
        }
    }

    @Property(tries = 200)
    void aWellStockedGymNeverStripsAndKeepsAllRules(@ForAll @IntRange(min = 24, max = 120) int steps) {
        Ramp ramp = RampPlanner.plan(Kits.kg(), Mass.of("2.5", KG).times(steps));
        assertThat(ramp.remarks()).as("%s", loads(ramp)).isEmpty();
        assertThat(ramp.strips()).isZero();
        List<Loading> loadings =
                new ArrayList<>(ramp.steps().stream().map(RampStep::loading).toList());
        loadings.add(ramp.top());
        for (int i = 1; i < loadings.size(); i++) {
            assertThat(loadings.get(i - 1).stack().isPrefixOf(loadings.get(i).stack()))
                    .isTrue();
        }
    }
}
