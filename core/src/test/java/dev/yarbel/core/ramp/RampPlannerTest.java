package dev.yarbel.core.ramp;

import static dev.yarbel.core.measure.MassUnit.KG;
import static dev.yarbel.core.measure.MassUnit.LB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

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
        BarLoads loader = Kits.lb();
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
        assertThat(ramp.remarks()).containsExactly(Ramp.Remark.SWAPS);
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
        BarLoads loader = Kits.kg();
        Ramp ramp = RampPlanner.plan(loader, Mass.of("2.5", KG).times(steps));
        List<Mass> loads = allLoads(ramp);
        assertThat(loads).doesNotHaveDuplicates().isSorted().allMatch(loader::canLoad);
        assertThat(loads.get(0)).isEqualTo(Mass.ofKg(20));
        for (int i = 1; i < ramp.steps().size(); i++) {
            assertThat(ramp.steps().get(i).reps())
                    .isLessThanOrEqualTo(ramp.steps().get(i - 1).reps());
        }
    }

    /** 42.5 kg used to get the bare bar and 35 kg once. */
    @Test
    void aLightPressGetsMoreThanTheBarAndOneStep() {
        assertThat(RampPlanner.plan(Kits.kg(), Mass.of("42.5", KG)).steps()).hasSizeGreaterThanOrEqualTo(3);
    }

    // ---- few, large plates

    /** Common practice, no source: 135 lb is one 45 a side, 225 two, 315 three; 185 is 45 and 25, or 45, 10, 10 and 5. */
    @ParameterizedTest
    @CsvSource({"135,45", "225,45 45", "315,45 45 45", "405,45 45 45 45", "185,45 10 10 5|45 25"})
    void poundsAreLoadedAsEverybodyLoadsThem(int lb, String plates) {
        for (BarLoads gym : List.of(Kits.lb(), Kits.lbOf45s())) {
            Ramp ramp = RampPlanner.plan(gym, Mass.ofLb(lb));
            assertThat(plates.split("\\|"))
                    .contains(ramp.top().stack().plates().stream()
                            .map(Plate::label)
                            .collect(Collectors.joining(" ")));
        }
    }

    @Test
    void threeHundredAndTwentyFivePoundsAreFourToSixPlates() {
        assertThat(RampPlanner.plan(Kits.lb(), Mass.ofLb(325)).top().stack().size())
                .isBetween(4, 6);
    }

    /** Below about 70 % of the top a step is a big plate a side, wherever one fits. */
    @Property(tries = 200)
    void lightStepsAreBigPlates(@ForAll boolean pounds, @ForAll @IntRange(min = 40, max = 110) int steps) {
        BarLoads gym = pounds ? Kits.lbOf45s() : Kits.kg();
        Mass top = pounds ? Mass.ofLb(5L * steps) : Mass.of("2.5", KG).times(steps);
        Mass big = pounds ? Mass.ofLb(45) : Mass.ofKg(20);
        List<Mass> loads = allLoads(RampPlanner.plan(gym, top));
        if (!gym.lightest().plus(big.times(2)).isGreaterThan(top.times(Percent.of(70)))) {
            assertThat(loads.get(1).minus(loads.get(0))).isGreaterThanOrEqualTo(big.times(2));
        }
    }

    static Stream<BarLoads> richGyms() {
        return Stream.of(Kits.kg(), Kits.lb(), Kits.lbOf45s(), Kits.bar20("25:6 20:1 15:1 10:1 5:1 2.5:1 1.25:1"));
    }

    /**
     * No bar of a ramp in a rich gym carries more than two plates a side beyond the fewest for its load, no more than two
     * come off at once, and the last warm-up lies within practice.
     */
    @ParameterizedTest
    @MethodSource("richGyms")
    void noBarIsFullOfSmallPlates(BarLoads gym) {
        Mass most = Mass.ofKg(260);
        for (Mass top : gym.loads()) {
            if (top.isGreaterThan(gym.lightest().plus(Mass.ofKg(20))) && top.isLessThan(most)) {
                Ramp ramp = RampPlanner.plan(gym, top);
                assertThat(ramp.remarks())
                        .as("%s", loads(ramp))
                        .doesNotContain(Ramp.Remark.STRIPS, Ramp.Remark.LAST_STEP_OUT_OF_RANGE);
                List<LoadedBar> loadings = new ArrayList<>(
                        ramp.steps().stream().map(RampStep::loading).toList());
                loadings.add(ramp.top());
                for (LoadedBar loading : loadings) {
                    assertThat(loading.stack().size())
                            .as("%s", loading.total())
                            .isLessThanOrEqualTo(gym.fewestPlates(loading.total()) + 2);
                }
            }
        }
    }

    // ---- from where the bar stands, and the way down

    @Property(tries = 200)
    void aLiftThatIsWarmGoesOnFromWhatIsOnTheBar(
            @ForAll @IntRange(min = 24, max = 100) int warm, @ForAll @IntRange(min = 1, max = 40) int more) {
        BarLoads gym = Kits.kg();
        Mass done = Mass.of("2.5", KG).times(warm);
        Mass top = done.plus(Mass.of("2.5", KG).times(more));
        PlateStack on = gym.fit(done, Rounding.NEAREST).loading().stack();
        Ramp ramp = RampPlanner.plan(gym, top, RampKind.SHRINKING, Start.COLD.after(done, on));
        assertThat(allLoads(ramp)).allMatch(load -> load.isGreaterThan(done)).isSorted();
        assertThat(ramp.top().total()).isEqualTo(top);
        if (done.isLessThan(top.times(Percent.of(80))) && top.minus(done).isGreaterThan(Mass.ofKg(10))) {
            assertThat(ramp.steps()).as("%s after %s", top, done).isNotEmpty();
        }
    }

    @Test
    void whatWasDoneHeavierNeedsNoRamp() {
        Start warm = Start.COLD.after(
                Mass.ofKg(150),
                Kits.kg().fit(Mass.ofKg(150), Rounding.NEAREST).loading().stack());
        assertThat(RampPlanner.plan(Kits.kg(), Mass.ofKg(140), RampKind.SHRINKING, warm)
                        .steps())
                .isEmpty();
    }

    /** The plates of a top are chosen with its back-offs in mind. */
    @Property(tries = 200)
    void theWayDownCounts(
            @ForAll @IntRange(min = 40, max = 100) int steps, @ForAll @IntRange(min = 10, max = 30) int off) {
        BarLoads gym = Kits.kg();
        Mass top = Mass.of("2.5", KG).times(steps);
        Mass down = gym.round(top.times(Percent.of(100L - off)), Rounding.NEAREST);
        Ramp alone = RampPlanner.plan(gym, top);
        Ramp both = RampPlanner.plan(gym, top, RampKind.SHRINKING, Start.COLD.then(List.of(down)));
        assertThat(handledWith(gym, both, down)).isLessThanOrEqualTo(handledWith(gym, alone, down) + 2);
    }

    private static int handledWith(BarLoads gym, Ramp ramp, Mass down) {
        PlateStack top = ramp.top().stack();
        return ramp.handled(PlateStack.EMPTY)
                + top.handledFor(gym.fit(down, Rounding.NEAREST, top).loading().stack());
    }

    // ---- pulls from the floor

    private static final Start PULL = Start.COLD.fromTheFloor(true);

    @ParameterizedTest
    @CsvSource({"100,20 20|25 15", "60,20", "140,25 20 10 5|25 25 10|20 20 20"})
    void aPullStandsOnFullSizeDiscs(int kg, String plates) {
        Ramp ramp = RampPlanner.plan(Kits.kg(), Mass.ofKg(kg), RampKind.SHRINKING, PULL);
        assertThat(plates.split("\\|"))
                .contains(ramp.top().stack().plates().stream().map(Plate::label).collect(Collectors.joining(" ")));
    }

    @Property(tries = 200)
    void nobodyPullsTheBareBar(@ForAll @IntRange(min = 24, max = 120) int steps) {
        Ramp ramp = RampPlanner.plan(Kits.kg(), Mass.of("2.5", KG).times(steps), RampKind.SHRINKING, PULL);
        assertThat(ramp.steps()).allMatch(step -> step.loading().stack().isFullHeight());
        assertThat(ramp.top().stack().isFullHeight()).isTrue();
        assertThat(ramp.remarks()).doesNotContain(Ramp.Remark.ON_BLOCKS);
    }

    @Test
    void lighterPullsStandOnBlocksAndSayIt() {
        assertThat(RampPlanner.plan(Kits.kg(), Mass.ofKg(50), RampKind.SHRINKING, PULL)
                        .remarks())
                .contains(Ramp.Remark.ON_BLOCKS);
        BarLoads bumpers = BarLoads.of(
                new BarKit(Kits.BAR_20, Mass.ZERO, PlateSet.of(Map.of(new Plate(Mass.ofKg(10), KG, false, true), 2))));
        Ramp light = RampPlanner.plan(bumpers, Mass.ofKg(40), RampKind.SHRINKING, PULL);
        assertThat(light.remarks()).doesNotContain(Ramp.Remark.ON_BLOCKS);
        assertThat(light.top().stack().isFullHeight()).isTrue();
    }

    // ---- beyond what the lifter can do

    /** 120 % lowered by somebody of 129 kg used to be warmed up by 130 and 150, alone. */
    @Property(tries = 100)
    void overMaxWorkIsWarmedUpByWhatTheLifterCanDo(@ForAll @IntRange(min = 60, max = 200) int max) {
        BarLoads gym = Kits.kg();
        Mass ability = Mass.ofKg(max).times(Percent.of(93));
        Mass top = gym.round(Mass.ofKg(max).times(Percent.of(120)), Rounding.NEAREST);
        Ramp ramp = RampPlanner.beyond(gym, top, ability, Start.COLD);
        assertThat(ramp.steps()).allMatch(step -> !step.load().isGreaterThan(ability));
        RampStep last = ramp.steps().get(ramp.steps().size() - 1);
        assertThat(last.load().percentOf(Mass.ofKg(max))).isGreaterThan(Percent.of(85));
        assertThat(last.reps()).isEqualTo(1);
        assertThat(ramp.remarks()).contains(Ramp.Remark.HANDLED);
        assertThat(ramp.top().total()).isEqualTo(top);
    }
}
