package dev.yarbel.core.adjust;

import dev.yarbel.core.adjust.AskLifter.Asking;
import dev.yarbel.core.session.PrescribedSets;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * Fewer sets of the lift are logged than its day asked for, and nothing in the log says why: miscounted or cut? (common practice,
 * no source). What the lifter said of it when they ended the session, a miss, a rating over its target, pain or a note are reason enough, and nobody is asked.
 */
final class SetsUnlike implements CallRule {

    private static final Threshold SETS = Threshold.of("1", "1", "1", "5", Threshold.Unit.SETS);

    @Override
    public String key() {
        return "sets-unlike";
    }

    @Override
    public Urgency urgency() {
        return Urgency.APART;
    }

    @Override
    public Optional<Threshold> threshold() {
        return Optional.of(SETS);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        List<SeenSet> work = subject.work();
        int missing = missing(subject, work);
        return BigDecimal.valueOf(missing).compareTo(threshold) < 0 || isExplained(subject, work)
                ? List.of()
                : List.of(Finding.of(
                        this,
                        new Evidence.Sets(work),
                        new AskLifter(subject.lift(), Asking.HOW_MANY_SETS, work.get(work.size() - 1))));
    }

    /** How many sets of what was asked for are not there; those of work that is open anyway are not counted. */
    private static int missing(Subject subject, List<SeenSet> work) {
        return subject.session()
                .asked()
                .map(day -> day.prescriptions().stream()
                        .filter(asked -> asked.lift().equals(subject.lift())
                                && asked.part().work().straight().isPresent())
                        .mapToInt(asked -> missing(asked, work))
                        .sum())
                .orElse(0);
    }

    private static int missing(PrescribedSets asked, List<SeenSet> work) {
        long done = work.stream().filter(set -> asked.isAnsweredBy(set.task())).count();
        return (int) Math.max(0, asked.sets() - done);
    }

    private static boolean isExplained(Subject subject, List<SeenSet> work) {
        return subject.session().pain().isPresent()
                || subject.session().countSaid()
                || work.stream()
                        .anyMatch(set -> !set.set().made()
                                || set.set().details().note().isPresent()
                                || set.isToTheLimit()
                                || set.halvesOver(subject.numbers())
                                        .filter(halves -> halves > 0)
                                        .isPresent());
    }
}
