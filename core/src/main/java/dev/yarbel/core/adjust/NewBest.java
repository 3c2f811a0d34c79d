package dev.yarbel.core.adjust;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.Best;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A set was heavier than everything like it before, at the same rating or an easier one: the number to beat. Runs that add a step
 * each session are better than before by their nature, and are not told.
 */
final class NewBest implements CallRule {

    private static final Threshold HEAVIER = Threshold.of("0", "2", "0", "5", Threshold.Unit.PERCENT);

    @Override
    public String key() {
        return "new-best";
    }

    @Override
    public Urgency urgency() {
        return Urgency.NEWS;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(HEAVIER);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> work = subject.work();
        List<Best.PastSet> now = subject.session().past();
        List<Best.PastSet> before = subject.before().stream()
                .flatMap(session -> session.past().stream())
                .toList();
        return now.stream()
                .filter(past -> past.set().lift().equals(subject.lift()) && Best.isNew(past, before))
                .flatMap(past -> work.stream()
                        .filter(seen -> seen.set().equals(past.set()) && !seen.isOfALaw())
                        .flatMap(seen -> best(past, before, seen).stream()))
                .filter(best -> isHeavier(best, Percent.of(threshold)))
                .max(Comparator.comparing(best -> best.set().set().load()))
                .map(best -> Finding.of(this, best, new Hold(subject.lift())))
                .stream()
                .toList();
    }

    private static Optional<Evidence.NewBest> best(Best.PastSet past, List<Best.PastSet> before, SeenSet seen) {
        Rpe rated = past.set().rating().orElse(Rpe.LIMIT);
        return Best.of(
                        before,
                        past.set().lift(),
                        past.kind(),
                        past.backOff(),
                        past.set().reps(),
                        rated)
                .map(beaten -> new Evidence.NewBest(seen, beaten));
    }

    private static boolean isHeavier(Evidence.NewBest best, Percent by) {
        return !best.set()
                .set()
                .load()
                .minus(best.before().load())
                .percentOf(best.before().load())
                .isLessThan(by);
    }
}
