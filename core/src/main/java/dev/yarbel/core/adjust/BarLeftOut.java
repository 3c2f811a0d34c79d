package dev.yarbel.core.adjust;

import dev.yarbel.core.adjust.AskLifter.Asking;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * A set was logged with the load asked for less the bar, and rated so hard that it speaks for the load with the bar and not for the one that
 * is written: the plates were counted, and the bar was not (common practice, no source; the figures are ours).
 */
final class BarLeftOut implements CallRule {

    private static final Threshold OFF = Threshold.of("8", "2", "4", "16", Threshold.Unit.PERCENT);

    /** How near the load with the bar lies to what was asked for. */
    private static final Percent NEAR = Percent.of(1);

    @Override
    public String key() {
        return "bar-left-out";
    }

    @Override
    public Urgency urgency() {
        return Urgency.DOUBTFUL;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(OFF);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Optional<Mass> bar = subject.plan()
                .resolver()
                .kit(subject.lift())
                .flatMap(loads -> loads.loader())
                .map((BarLoads loads) -> loads.kit().bar().mass());
        Optional<Mass> max = subject.numbers().estimate();
        if (bar.isEmpty() || max.isEmpty()) {
            return List.of();
        }
        List<SeenSet> slips = subject.work().stream()
                .filter(set -> isPlatesOnly(set, bar.get()) && isTooHard(subject, set, bar.get(), max.get(), threshold))
                .toList();
        return slips.isEmpty()
                ? List.of()
                : List.of(Finding.of(
                        this,
                        new Evidence.Sets(slips),
                        new AskLifter(
                                subject.lift(),
                                Asking.WITH_THE_BAR,
                                slips.get(0),
                                Optional.of(slips.get(0).set().load().plus(bar.get())))));
    }

    private static boolean isPlatesOnly(SeenSet set, Mass bar) {
        return set.askedLoad()
                .filter(asked -> !set.set().load().plus(bar).distanceTo(asked).isGreaterThan(asked.times(NEAR)))
                .isPresent();
    }

    /** Whether what is written speaks for a max that much too low, and the load with the bar does not. */
    private static boolean isTooHard(Subject subject, SeenSet set, Mass bar, Mass max, BigDecimal percent) {
        Mass low = max.minus(max.times(Percent.of(percent)));
        return set.set()
                .repsThatEstimate()
                .filter(reps -> speaksFor(subject, set.set().load(), reps).isLessThan(low)
                        && !speaksFor(subject, set.set().load().plus(bar), reps).isLessThan(low))
                .isPresent();
    }

    private static Mass speaksFor(Subject subject, Mass load, RepsInAll reps) {
        return subject.numbers().curve().max(load, reps);
    }
}
