package dev.yarbel.core.ramp;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.equipment.Kit;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

/** Tries every ramp there is on small kits and holds the planner's against the best of them. */
class RampBruteForceTest {

    @Provide
    Arbitrary<Map<Plate, Integer>> smallKits() {
        Arbitrary<Plate> plate = Arbitraries.of("25", "20", "15", "10", "7.5", "5", "2.5", "1.25", "0.5")
                .map(f -> Plate.of(f, KG));
        return Arbitraries.maps(plate, Arbitraries.integers().between(1, 2))
                .ofMinSize(1)
                .ofMaxSize(4);
    }

    @Property(tries = 400)
    void noRampIsBetter(@ForAll("smallKits") Map<Plate, Integer> pairs, @ForAll @IntRange(min = 1, max = 60) int pick) {
        Loader loader = Loader.of(new Kit(Kits.BAR_20, Mass.ZERO, PlateSet.of(pairs)));
        List<Mass> loads = loader.loads();
        Mass top = loads.get(pick % loads.size());
        Assume.that(top.isGreaterThan(Mass.ofKg(20)));
        List<PlateStack> stacks = stacks(pairs, top);
        Assume.that(stacks.size() <= 16);

        Ramp ramp = RampPlanner.plan(loader, top);
        List<PlateStack> planned = new ArrayList<>();
        ramp.steps().forEach(step -> planned.add(step.loading().stack()));
        planned.add(ramp.top().stack());

        long best = new Tries(stacks, top).best(new ArrayList<>(List.of(PlateStack.EMPTY)));
        assertThat(cost(planned, top)).as("%s to %s", planned, top).isEqualTo(best);
        assertThat(ramp.strips()).isEqualTo((int) (best % RampRules.BROKEN_RULE / RampRules.STRIP));
        assertThat(ramp.remarks().contains(Ramp.Remark.STRIPS)).isEqualTo(ramp.strips() > 0);
        assertThat(ramp.remarks().contains(Ramp.Remark.STEPS_DO_NOT_SHRINK)
                        || ramp.remarks().contains(Ramp.Remark.LAST_STEP_OUT_OF_RANGE))
                .isEqualTo(best >= RampRules.BROKEN_RULE);
    }

    private record Tries(List<PlateStack> stacks, Mass top) {

        long best(List<PlateStack> ramp) {
            PlateStack last = ramp.get(ramp.size() - 1);
            if (load(last).equals(top)) {
                return cost(ramp, top);
            }
            long best = Long.MAX_VALUE;
            for (PlateStack next : stacks) {
                if (load(next).isGreaterThan(load(last))) {
                    ramp.add(next);
                    best = Math.min(best, best(ramp));
                    ramp.remove(ramp.size() - 1);
                }
            }
            return best;
        }
    }

    private static Mass load(PlateStack stack) {
        return Mass.ofKg(20).plus(stack.mass().times(2));
    }

    private static List<PlateStack> stacks(Map<Plate, Integer> pairs, Mass top) {
        List<List<Plate>> all = new ArrayList<>(List.of(List.of()));
        pairs.forEach((plate, count) -> {
            for (List<Plate> before : List.copyOf(all)) {
                for (int i = 1; i <= count; i++) {
                    List<Plate> more = new ArrayList<>(before);
                    more.addAll(Collections.nCopies(i, plate));
                    all.add(more);
                }
            }
        });
        return all.stream()
                .map(PlateStack::new)
                .filter(stack -> !load(stack).isGreaterThan(top))
                .sorted(Comparator.comparing(RampBruteForceTest::load))
                .toList();
    }

    /** The cost of a ramp as the rules state it, written down afresh from a whole ramp rather than step by step. */
    private static long cost(List<PlateStack> ramp, Mass top) {
        double whole = top.in(KG).doubleValue();
        double[] kg =
                ramp.stream().mapToDouble(s -> load(s).in(KG).doubleValue()).toArray();
        int last = kg.length - 1;
        long cost = last * RampRules.SET;
        boolean heavyBegun = kg[0] >= 0.7 * whole;
        for (int i = 1; i <= last; i++) {
            double step = kg[i] - kg[i - 1];
            cost += RampRules.jump((long) (step * 1000 / whole + 1e-9));
            boolean adds = ramp.get(i - 1).isPrefixOf(ramp.get(i));
            cost += RampRules.PLATE
                    * (ramp.get(i).size() - (adds ? ramp.get(i - 1).size() : 0));
            cost += adds ? 0 : RampRules.STRIP;
            boolean larger = i > 1 && step > kg[i - 1] - kg[i - 2] + 1e-9;
            boolean notSmaller = i > 1 && step > kg[i - 1] - kg[i - 2] - 1e-9;
            if (notSmaller && kg[i - 1] >= 0.7 * whole - 1e-9) {
                cost += RampRules.BROKEN_RULE;
            } else if (larger) {
                cost += RampRules.GROWING_STEP;
            }
            if (i < last && !heavyBegun && kg[i] >= 0.7 * whole - 1e-9) {
                heavyBegun = true;
                cost += kg[i] > 0.8 * whole + 1e-9 ? RampRules.LATE_START : 0;
            }
            List<Plate> plates = ramp.get(i).plates();
            if (i < last && plates.get(plates.size() - 1).mass().in(KG).doubleValue() < 0.01 * whole - 1e-9) {
                cost += RampRules.SMALL_PLATE;
            }
        }
        double warmUp = kg[last - 1];
        boolean inRange = warmUp >= 0.88 * whole - 1e-9 && warmUp <= 0.95 * whole + 1e-9;
        boolean shortStep = warmUp < 0.88 * whole && whole - warmUp <= 10;
        return cost + (inRange || shortStep ? 0 : RampRules.BROKEN_RULE);
    }
}
