package dev.yarbel.core.adjust;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Optional;

/**
 * Estimate and working max have parted: the working max is to follow.
 *
 * <p>They have when the coach's share of the estimate and the working max are more than 2.5 % of the working max apart and
 * more than one loadable step. One decision moves it by no more than the lifter's {@link Caps}, but by no less than one
 * loadable step, or a small max could never move. Common practice, no source.
 */
public final class EstimateApart implements CallRule {

    /** Less than this apart, estimate and working max agree. */
    public static final Percent TOLERANCE = Percent.of("2.5");

    @Override
    public String key() {
        return "estimate-apart";
    }

    @Override
    public List<Finding> look(Subject subject) {
        Optional<Mass> workingMax = subject.known().workingMax();
        Optional<MaxEstimate> estimate = subject.known().estimate();
        Optional<AvailableLoads> loads = subject.plan().resolver().kit(subject.lift());
        if (workingMax.isEmpty()
                || loads.isEmpty()
                || estimate.filter(e -> !e.movements().isEmpty()).isEmpty()) {
            return List.of();
        }
        return finding(subject, workingMax.get(), estimate.get(), loads.get()).stream()
                .toList();
    }

    private Optional<Finding> finding(Subject subject, Mass workingMax, MaxEstimate estimate, AvailableLoads loads) {
        Mass target = estimate.max().times(subject.known().share());
        Mass gap = target.minus(workingMax);
        Mass step = loads.stepAt(workingMax);
        if (gap.abs().compareTo(workingMax.times(TOLERANCE)) <= 0 || gap.abs().compareTo(step) <= 0) {
            return Optional.empty();
        }
        Percent cap = gap.isPositive()
                ? subject.known().caps().raise()
                : subject.known().caps().lower();
        Mass most = Mass.max(step, workingMax.times(cap));
        boolean capped = gap.abs().isGreaterThan(most);
        Mass moved = capped ? most : gap.abs();
        Mass after = gap.isPositive() ? workingMax.plus(moved) : workingMax.minus(moved);
        MaxEstimate.Movement last =
                estimate.movements().get(estimate.movements().size() - 1);
        return Optional.of(new Finding(
                key(),
                new Evidence.EstimateMoved(
                        last, target, subject.known().share(), capped ? Optional.of(cap) : Optional.empty()),
                new MoveWorkingMax(subject.lift(), workingMax, after)));
    }
}
