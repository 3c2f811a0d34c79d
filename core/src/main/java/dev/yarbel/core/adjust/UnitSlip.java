package dev.yarbel.core.adjust;

import dev.yarbel.core.adjust.AskLifter.Asking;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * A set was logged with about 2.2 times the load that was asked for, or with 1/2.2 of it: pounds were written as kilograms, or
 * the other way round. Within 3 % of that it is told (a starting value of ours), since a step up or down may lie in between.
 */
final class UnitSlip implements CallRule {

    private static final Threshold WITHIN = Threshold.of("3", "1", "1", "5", Threshold.Unit.PERCENT);

    @Override
    public String key() {
        return "unit-slip";
    }

    @Override
    public Urgency urgency() {
        return Urgency.DOUBTFUL;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(WITHIN);
    }

    /** The nearer a load must be, the less it says; so the threshold is what is still taken for a slip. */
    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Percent within = Percent.of(threshold);
        List<SeenSet> slips =
                subject.work().stream().filter(set -> isSlip(set, within)).toList();
        return slips.isEmpty()
                ? List.of()
                : List.of(Finding.of(
                        this,
                        new Evidence.Sets(slips),
                        new AskLifter(subject.lift(), Asking.WHICH_UNIT, slips.get(0), otherLoad(slips.get(0)))));
    }

    /** What the load comes to in the other unit: of the two the one nearer to what was asked for. */
    private static Optional<Mass> otherLoad(SeenSet set) {
        Mass load = set.set().load();
        Mass pounds = Mass.of(load.in(MassUnit.KG), MassUnit.LB);
        Mass kilograms = Mass.of(load.in(MassUnit.LB), MassUnit.KG);
        return set.askedLoad()
                .map(asked -> pounds.distanceTo(asked).isLessThan(kilograms.distanceTo(asked)) ? pounds : kilograms);
    }

    /** Whether a set was perhaps written in the other unit, as long as nobody set another threshold. */
    static boolean isSlip(SeenSet set) {
        return isSlip(set, Percent.of(WITHIN.usual()));
    }

    private static boolean isSlip(SeenSet set, Percent within) {
        return set.askedLoad()
                .filter(asked -> isSlip(set.set().load(), asked, within))
                .isPresent();
    }

    private static boolean isSlip(Mass lifted, Mass asked, Percent within) {
        // as many kilograms as there are pounds, or as many pounds as kilograms
        Mass more = Mass.of(asked.in(MassUnit.LB), MassUnit.KG);
        Mass less = Mass.of(asked.in(MassUnit.KG), MassUnit.LB);
        return near(lifted, more, within) || near(lifted, less, within);
    }

    private static boolean near(Mass lifted, Mass other, Percent within) {
        return other.isPositive() && !lifted.distanceTo(other).percentOf(other).isGreaterThan(within);
    }
}
