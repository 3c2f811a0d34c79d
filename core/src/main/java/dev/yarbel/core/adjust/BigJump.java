package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.DoneSet;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * A jump near the top: to a set of 90 % of the max and more from one so much lighter (common practice, no source; the figures are
 * ours). Jumps shrink toward the top; a large one meets a lifter who is not ready for the load.
 */
final class BigJump implements CallRule {

    private static final Threshold JUMP = Threshold.of("15", "2.5", "7.5", "30", Threshold.Unit.PERCENT);
    private static final Percent NEAR_THE_TOP = Percent.of(90);

    @Override
    public String key() {
        return "big-jump";
    }

    @Override
    public Urgency urgency() {
        return Urgency.NEWS;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(JUMP);
    }

    @Override
    public Optional<Care> care() {
        return Optional.of(Care.SPOTTERS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        Optional<Mass> max =
                subject.numbers().estimate().or(() -> subject.numbers().workingMax());
        List<DoneSet> done = subject.session().done().stream()
                .filter(set -> set.set().lift().equals(subject.lift()))
                .toList();
        for (int i = 1; i < done.size() && max.isPresent(); i++) {
            Mass from = done.get(i - 1).set().load();
            Mass to = done.get(i).set().load();
            boolean near = !to.isLessThan(max.get().times(NEAR_THE_TOP));
            if (near && !to.minus(from).isLessThan(max.get().times(Percent.of(threshold)))) {
                return List.of(Finding.of(
                        this,
                        new Evidence.Sets(List.of(seen(subject, done.get(i - 1)), seen(subject, done.get(i)))),
                        new Hold(subject.lift())));
            }
        }
        return List.of();
    }

    private static SeenSet seen(Subject subject, DoneSet done) {
        return new SeenSet(subject.session().date(), done.task(), done.set(), Optional.empty());
    }
}
