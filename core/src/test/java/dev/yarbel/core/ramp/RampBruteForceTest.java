package dev.yarbel.core.ramp;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
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

    @Property(tries = 800)
    void noRampIsBetter(@ForAll("smallKits") Map<Plate, Integer> pairs, @ForAll @IntRange(min = 1, max = 60) int pick) {
        BarLoads loader = BarLoads.of(new BarKit(Kits.BAR_20, Mass.ZERO, PlateSet.of(pairs)));
        List<Mass> loads = loader.loads();
        Mass top = loads.get(pick % loads.size());
        Assume.that(top.isGreaterThan(Mass.ofKg(20)));
        List<PlateStack> stacks = stacks(pairs, top);
        Assume.that(stacks.size() <= 16);

        Ramp ramp = RampPlanner.plan(loader, top);
        List<PlateStack> planned = new ArrayList<>();
        ramp.steps().forEach(step -> planned.add(step.loading().stack()));
        planned.add(ramp.top().stack());

        assertThat(ramp.steps()).as("something lighter first").isNotEmpty();
        Tries tries = new Tries(stacks, top);
        tries.go(new ArrayList<>(List.of(PlateStack.EMPTY)));
        long givesWay = givingWay(planned, top);
        assertThat(givesWay)
                .as("%s to %s gives way no more than need be", planned, top)
                .isEqualTo(tries.givingWay);
        assertThat(handled(planned))
                .as("%s to %s handles no more than need be", planned, top)
                .isLessThanOrEqualTo(tries.handled + RampRules.BEYOND_THE_LEAST);
        for (PlateStack stack : planned) {
            assertThat(stack.size())
                    .isLessThanOrEqualTo(loader.fewestPlates(load(stack)) + RampRules.BEYOND_THE_FEWEST);
        }
        assertThat(ramp.handled(PlateStack.EMPTY)).isEqualTo(handled(planned));
        assertThat(ramp.remarks().contains(Ramp.Remark.STEPS_DO_NOT_SHRINK)
                        || ramp.remarks().contains(Ramp.Remark.LAST_STEP_OUT_OF_RANGE))
                .as("what is broken is said")
                .isEqualTo(givesWay >= RampRules.BROKEN_RULE
                        || givesWay % RampRules.SMALL_PLATE >= RampRules.LATE_SHRINKING);
    }

    private static int handled(List<PlateStack> ramp) {
        int handled = 0;
        for (int i = 1; i < ramp.size(); i++) {
            int shared = ramp.get(i - 1).sharedWith(ramp.get(i));
            handled += ramp.get(i - 1).size() - shared + ramp.get(i).size() - shared;
        }
        return handled;
    }

    /** Every ramp there is with plates coming off twice at most, and no more plates a side than two beyond the fewest. */
    private static final class Tries {

        private final List<PlateStack> stacks;
        private final Mass top;
        private long givingWay = Long.MAX_VALUE;
        private int handled = Integer.MAX_VALUE;

        Tries(List<PlateStack> stacks, Mass top) {
            Map<Mass, Integer> fewest = new HashMap<>();
            stacks.forEach(stack -> fewest.merge(load(stack), stack.size(), Math::min));
            this.stacks = stacks.stream()
                    .filter(stack -> stack.size() <= fewest.get(load(stack)) + RampRules.BEYOND_THE_FEWEST)
                    .toList();
            this.top = top;
        }

        void go(List<PlateStack> ramp) {
            PlateStack last = ramp.get(ramp.size() - 1);
            if (load(last).equals(top)) {
                long way = givingWay(ramp, top);
                int plates = handled(ramp);
                if (way < givingWay || way == givingWay && plates < handled) {
                    givingWay = way;
                    handled = plates;
                }
                return;
            }
            for (PlateStack next : stacks) {
                if (load(next).isGreaterThan(load(last))) {
                    ramp.add(next);
                    if (takenOff(ramp) <= 2) {
                        go(ramp);
                    }
                    ramp.remove(ramp.size() - 1);
                }
            }
        }

        private static int takenOff(List<PlateStack> ramp) {
            int times = 0;
            for (int i = 1; i < ramp.size(); i++) {
                times += ramp.get(i - 1).isPrefixOf(ramp.get(i)) ? 0 : 1;
            }
            return times;
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

    /** More than two plates a side come off, or not for a larger one. */
    private static boolean isStripped(PlateStack on, PlateStack next) {
        int shared = on.sharedWith(next);
        if (shared == on.size()) {
            return false;
        }
        boolean larger = next.size() > shared
                && next.plates()
                        .get(shared)
                        .mass()
                        .isGreaterThan(on.plates().get(shared).mass());
        return on.size() - shared > 2 || !larger;
    }

    /** How far a ramp gives way as the rules state it, written down afresh from a whole ramp. */
    private static long givingWay(List<PlateStack> ramp, Mass top) {
        double whole = top.in(KG).doubleValue();
        double[] kg =
                ramp.stream().mapToDouble(s -> load(s).in(KG).doubleValue()).toArray();
        int last = kg.length - 1;
        long cost = 0;
        for (int i = 1; i <= last; i++) {
            double step = kg[i] - kg[i - 1];
            cost += isStripped(ramp.get(i - 1), ramp.get(i)) ? RampRules.STRIP : 0;
            double earlier = i > 1 ? kg[i - 1] - kg[i - 2] : Double.MAX_VALUE;
            boolean shrinks = step < earlier - 1e-9 || step < earlier + 1e-9 && step <= 10 + 1e-9;
            if (!shrinks && kg[i - 1] >= 0.75 * whole - 1e-9) {
                cost += RampRules.BROKEN_RULE;
            } else if (!shrinks && kg[i - 1] >= 0.7 * whole - 1e-9) {
                cost += RampRules.LATE_SHRINKING;
            }
            List<Plate> plates = ramp.get(i).plates();
            if (i < last && plates.get(plates.size() - 1).mass().in(KG).doubleValue() < 0.01 * whole - 1e-9) {
                cost += RampRules.SMALL_PLATE;
            }
        }
        double warmUp = kg[last - 1];
        boolean inRange = warmUp >= 0.8 * whole - 1e-9 && warmUp <= 0.96 * whole + 1e-9;
        boolean shortStep = warmUp < 0.88 * whole && whole - warmUp <= 10 + 1e-9;
        return cost + (inRange || shortStep ? 0 : RampRules.BROKEN_RULE);
    }
}
