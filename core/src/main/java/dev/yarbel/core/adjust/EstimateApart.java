package dev.yarbel.core.adjust;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Estimate and working max have parted: the working max is to follow.
 *
 * <p>They have when the coach's share of the estimate and the working max are more than 2.5 % of the working max apart and
 * more than one loadable step. One decision moves it by no more than the lifter's {@link Caps}, but by no less than one
 * loadable step, or a small max could never move. A fall is proposed only where the two were as far apart before the last session
 * already: one hard session is held. Common practice, no source.
 */
public final class EstimateApart implements CallRule {

    /** Less than this apart, estimate and working max agree. */
    public static final Threshold TOLERANCE = Threshold.of("2.5", "2.5", "1", "10", Threshold.Unit.PERCENT);

    @Override
    public String key() {
        return "estimate-apart";
    }

    @Override
    public Urgency urgency() {
        return Urgency.APART;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(TOLERANCE);
    }

    @Override
    public boolean isStanding() {
        return true;
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Optional<Mass> workingMax = subject.known().workingMax();
        Optional<Mass> target = subject.known().target();
        if (workingMax.isEmpty() || target.isEmpty()) {
            return List.of();
        }
        return TowardEstimate.step(subject, workingMax.get())
                .flatMap(step -> finding(subject, workingMax.get(), target.get(), step, Percent.of(threshold)))
                .stream()
                .toList();
    }

    private Optional<Finding> finding(Subject subject, Mass workingMax, Mass target, Mass step, Percent tolerance) {
        MaxEstimate estimate = subject.known().estimate().orElseThrow();
        MaxEstimate.Movement last =
                estimate.movements().get(estimate.movements().size() - 1);
        Mass least = Mass.max(workingMax.times(tolerance), step);
        Mass gap = target.minus(workingMax);
        Mass earlier = last.before().times(subject.known().share()).minus(workingMax);
        boolean onlyNow = gap.isNegative() && !earlier.isLessThan(least.times(-1));
        if (!gap.abs().isGreaterThan(least) || onlyNow) {
            return Optional.empty();
        }
        boolean capped = gap.abs().isGreaterThan(TowardEstimate.most(subject, workingMax, target, step));
        return Optional.of(Finding.of(
                this,
                new Evidence.EstimateMoved(
                        last,
                        target,
                        subject.known().share(),
                        capped ? Optional.of(TowardEstimate.cap(subject, workingMax, target)) : Optional.empty()),
                TowardEstimate.move(subject, workingMax, target, step)));
    }
}
