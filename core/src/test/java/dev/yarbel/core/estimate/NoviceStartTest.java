package dev.yarbel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.estimate.NoviceStart.Step;
import dev.yarbel.core.estimate.NoviceStart.TestSet;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class NoviceStartTest {

    private static final AvailableLoads KIT = Kits.kg();

    private static TestSet set(String kg, String effort) {
        return new TestSet(Mass.of(kg, MassUnit.KG), Effort.parse(effort));
    }

    private static Step next(TestSet... sets) {
        return NoviceStart.next(List.of(sets), KIT, RepCurve.DEFAULT);
    }

    @Test
    void theTestStartsWithTheBareBarAndClimbsFasterWhileItIsEasy() {
        assertThat(next()).isEqualTo(new Step.Another(Mass.ofKg(20)));
        assertThat(next(set("20", "easy"))).isEqualTo(new Step.Another(Mass.of("32.5", MassUnit.KG)));
        assertThat(next(set("20", "easy"), set("32.5", "easy"), set("52.5", "easy")))
                .isEqualTo(new Step.Another(Mass.of("77.5", MassUnit.KG)));
        assertThat(next(set("60", "6"))).isEqualTo(new Step.Another(Mass.of("62.5", MassUnit.KG)));
        // 5 % of 20 kg is less than the kit's smallest step
        assertThat(next(set("20", "6"))).isEqualTo(new Step.Another(Mass.of("22.5", MassUnit.KG)));
    }

    @Test
    void threeLeftEndIt() {
        Step.Over over = (Step.Over) next(set("60", "easy"), set("70", "7"));
        assertThat(over.max()).isEqualTo(RepCurve.DEFAULT.max(Mass.ofKg(70), RepsInAll.of(5, Rpe.of(7))));
        assertThat(over.workingMax()).isEqualTo(over.max().times(Percent.of(90)));
        assertThat(over.overshot()).isFalse();
        assertThat(((Step.Over) next(set("70", "9"))).overshot()).isTrue();
    }

    @Test
    void aMissedSetFallsBackToTheOneBefore() {
        Step.Over over = (Step.Over) next(set("60", "6"), set("65", "missed"));
        assertThat(over.max()).isEqualTo(RepCurve.DEFAULT.max(Mass.ofKg(60), RepsInAll.of(5, Rpe.of(6))));
        assertThat(over.overshot()).isTrue();
        assertThat(next(set("20", "missed"))).isEqualTo(new Step.TooHeavy());
    }

    @Test
    void theKitOrTheDayMayEndFirst() {
        AvailableLoads bare = Kits.bar20("");
        assertThat(NoviceStart.next(List.of(set("20", "easy")), bare, RepCurve.DEFAULT))
                .isInstanceOf(Step.Ended.class);
    }

    @Property
    void whoeverIsHonestIsFoundWithinEightSetsAndNeverAboveTheirMax(@ForAll @IntRange(min = 40, max = 220) int maxKg) {
        Mass max = Mass.ofKg(maxKg);
        List<TestSet> sets = new ArrayList<>();
        Step step = NoviceStart.next(sets, KIT, RepCurve.DEFAULT);
        while (step instanceof Step.Another another) {
            sets.add(new TestSet(another.load(), rate(max, another.load())));
            step = NoviceStart.next(sets, KIT, RepCurve.DEFAULT);
        }
        assertThat(sets).hasSizeLessThanOrEqualTo(NoviceStart.MOST_SETS);
        Mass workingMax = step instanceof Step.Over over ? over.workingMax() : ((Step.Ended) step).workingMax();
        assertThat(workingMax.isGreaterThan(max)).isFalse();
        assertThat(workingMax).as("and not far below it").isGreaterThan(max.times(Percent.of(75)));
    }

    /** As somebody of that max would rate five with the load. */
    private static Effort rate(Mass max, Mass load) {
        for (String rating : List.of("6", "7", "8", "9", "10")) {
            Mass good = max.times(RepCurve.DEFAULT.share(RepsInAll.of(5, Rpe.parse(rating))));
            if (!load.isGreaterThan(good)) {
                Mass easy = max.times(RepCurve.DEFAULT.share(RepsInAll.of(5, Rpe.parse("5"))));
                return load.isGreaterThan(easy) ? Effort.parse(rating) : Effort.parse("easy");
            }
        }
        return Effort.parse("missed");
    }

    @Test
    void aLoadGoodForFifteenIsSixtyPercent() {
        assertThat(NoviceStart.workingMax(Mass.ofKg(30))).isEqualTo(Mass.ofKg(50));
    }

    /** A step of more than 12 % is far (a starting value of ours); of no more, what was made before the miss speaks. */
    @Test
    void onlyAStepThatWasFarTooLargeIsHalved() {
        assertThat(next(set("60", "easy"), set("90", "missed"))).isInstanceOf(Step.Another.class);
        Mass justFar = Mass.ofKg(60).times(Percent.of(112));
        assertThat(next(set("60", "easy"), new TestSet(justFar, Effort.parse("missed"))))
                .as("no farther than that")
                .isInstanceOf(Step.Over.class);
    }

    @Test
    void theLastSetOfATestIsItsLast() {
        List<TestSet> sets = new ArrayList<>();
        for (int i = 0; i < NoviceStart.MOST_SETS - 1; i++) {
            sets.add(set(String.valueOf(20 + 5 * i), "easy"));
        }
        assertThat(NoviceStart.next(sets, KIT, RepCurve.DEFAULT)).isInstanceOf(Step.Another.class);
        sets.add(set("100", "easy"));
        Step ended = NoviceStart.next(sets, KIT, RepCurve.DEFAULT);
        assertThat(ended).isInstanceOf(Step.Ended.class);
        assertThat(ended.found().orElseThrow().max()).isEqualTo(((Step.Ended) ended).atLeast());
    }

    /** Each step is said to be what it is, and tells what it found. */
    @Test
    void eachStepIsWhatItIs() {
        Step.Visitor<String> names = new Step.Visitor<>() {
            @Override
            public String another(Step.Another another) {
                return "another";
            }

            @Override
            public String over(Step.Over over) {
                return "over";
            }

            @Override
            public String ended(Step.Ended ended) {
                return "ended";
            }

            @Override
            public String tooHeavy(Step.TooHeavy tooHeavy) {
                return "too heavy";
            }
        };
        Step over = next(set("60", "easy"), set("70", "7"));
        assertThat(List.of(
                        next().accept(names),
                        over.accept(names),
                        next(set("20", "missed")).accept(names),
                        new Step.Ended(Mass.ofKg(80), Mass.ofKg(72)).accept(names)))
                .containsExactly("another", "over", "too heavy", "ended");
        assertThat(over.found().orElseThrow())
                .isEqualTo(new Step.Found(((Step.Over) over).max(), ((Step.Over) over).workingMax()));
        assertThat(next().found()).isEmpty();
        assertThat(next(set("20", "missed")).found()).isEmpty();
    }

    @Test
    void aPullFromTheFloorBeginsWithFullSizeDiscsAndGoesToBlocksOnlyWhenTheseAreTooHeavy() {
        // a 20 kg bar lies at its height with a pair of 20s, the lightest of full size there
        assertThat(NoviceStart.next(List.of(), KIT, RepCurve.DEFAULT, true)).isEqualTo(new Step.Another(Mass.ofKg(60)));
        assertThat(NoviceStart.next(List.of(), KIT, RepCurve.DEFAULT, false))
                .isEqualTo(new Step.Another(Mass.ofKg(20)));
        List<TestSet> tooHeavy = List.of(set("60", "missed"));
        assertThat(NoviceStart.next(tooHeavy, KIT, RepCurve.DEFAULT, true)).isEqualTo(new Step.Another(Mass.ofKg(30)));
        // what is made from blocks then speaks
        assertThat(NoviceStart.next(List.of(set("60", "missed"), set("30", "7")), KIT, RepCurve.DEFAULT, true)
                        .found())
                .isPresent();
        assertThat(NoviceStart.next(List.of(set("60", "missed"), set("30", "missed")), KIT, RepCurve.DEFAULT, true))
                .isInstanceOf(Step.TooHeavy.class);
    }
}
