package dev.yarbel.core.adjust;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/** What takes the loads of a lift toward what the lifter's estimate bears out, as far as one decision may. */
final class TowardEstimate {

    /** The least that is worth lowering by (common practice, no source). */
    static final Percent LEAST_LOWER = Percent.of("2.5");

    /** Less than this above the working max, the estimate bears no rise out; a starting value of ours. */
    private static final Percent LEAST_RAISE = Percent.of(1);

    private TowardEstimate() {}

    /** A higher working max, as far as the estimate bears it out and the caps allow; empty where it bears none out. */
    static Optional<MoveWorkingMax> raise(Subject subject) {
        return subject.known().workingMax().flatMap(now -> subject.known()
                .target()
                .filter(target -> target.minus(now).isGreaterThan(now.times(LEAST_RAISE)))
                .flatMap(target -> step(subject, now).map(step -> move(subject, now, target, step))));
    }

    /** A working max on its way to a target: no further than the caps, but by one loadable step at least. */
    static MoveWorkingMax move(Subject subject, Mass workingMax, Mass target, Mass step) {
        Mass gap = target.minus(workingMax);
        Mass moved = Mass.min(gap.abs(), most(subject, workingMax, target, step));
        return new MoveWorkingMax(
                subject.lift(), workingMax, gap.isPositive() ? workingMax.plus(moved) : workingMax.minus(moved));
    }

    /** How far it may go at once. */
    static Mass most(Subject subject, Mass workingMax, Mass target, Mass step) {
        return Mass.max(step, workingMax.times(cap(subject, workingMax, target)));
    }

    static Percent cap(Subject subject, Mass workingMax, Mass target) {
        Caps caps = subject.known().caps();
        return target.isGreaterThan(workingMax) ? caps.raise() : caps.lower();
    }

    /** The step of what the lift is loaded with; empty where the gym has nothing for it. */
    static Optional<Mass> step(Subject subject, Mass at) {
        return subject.plan().resolver().kit(subject.lift()).map((AvailableLoads loads) -> loads.stepAt(at));
    }

    /**
     * Lower by 2.5 % to what the caps allow, as far as the estimate says: the working max where loads ahead hang on it, else the
     * next loads that are written or hang on something else. Where no load ahead is any of these, there is only to hold.
     */
    static Proposal lower(Subject subject) {
        Percent by = share(subject);
        Optional<Proposal> max = subject.known()
                .workingMax()
                .map(now -> new MoveWorkingMax(subject.lift(), now, now.minus(now.times(by))));
        return max.filter(move -> !move.changes(subject.plan()).isEmpty())
                .or(() -> NextLoads.scaled(subject.plan(), subject.lift(), Percent.HUNDRED.minus(by))
                        .map(Proposal.class::cast))
                .orElseGet(() -> new Hold(subject.lift()));
    }

    private static Percent share(Subject subject) {
        Percent most = subject.known().caps().lower();
        return subject.known()
                .workingMax()
                .flatMap(now -> subject.known()
                        .target()
                        .filter(target -> target.isLessThan(now))
                        .map(target -> now.minus(target).percentOf(now)))
                .map(gap -> gap.isLessThan(LEAST_LOWER) ? LEAST_LOWER : gap.isGreaterThan(most) ? most : gap)
                .orElse(LEAST_LOWER);
    }
}
