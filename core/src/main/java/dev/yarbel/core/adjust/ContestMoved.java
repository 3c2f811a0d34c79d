package dev.yarbel.core.adjust;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;

/**
 * A contest that a plan was written for is on another day, on none, or not held; or one that had no day got one, and the plan leads
 * nowhere. The plan is written for the day that is now, or parked. Nothing is found once the plan leads somewhere else than it did.
 */
final class ContestMoved implements CallRule {

    @Override
    public String key() {
        return "contest-moved";
    }

    @Override
    public Urgency urgency() {
        return Urgency.CONTEST;
    }

    @Override
    public Scope scope() {
        return Scope.CONTEST;
    }

    /** Whether it concerns a day to come: one that is over and struck, or loses its day then, asks nothing of a plan. */
    private static boolean isAhead(ContestSeen seen, LocalDate today) {
        boolean wasAhead = seen.was().map(was -> !was.isBefore(today)).orElse(true);
        boolean heldOtherwise = !seen.cancelled() && seen.on().isPresent();
        return seen.target().map(today::isBefore).orElse(true) && (wasAhead || heldOtherwise);
    }

    @Override
    public List<Finding> look(Subject subject, BigDecimal threshold) {
        PlanAhead plan = subject.plan();
        return subject
                .contest()
                .filter(seen -> plan.block().contest().equals(seen.was())
                        && !seen.target().equals(seen.was())
                        && isAhead(seen, plan.today()))
                .map(seen -> Finding.of(
                        this, new Evidence.ContestElsewhere(seen), Replan.of(plan, seen.target(), subject.hurts())))
                .stream()
                .toList();
    }
}
