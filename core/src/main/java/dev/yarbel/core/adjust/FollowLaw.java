package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.progress.Step;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The proposal to go on as the dose's own law says: it is what the plan does already, unless the coach puts another load in its
 * place.
 *
 * @param next the part of a day ahead that the law decides
 * @param load what it comes to; empty where nobody can say it
 */
public record FollowLaw(
        Lift lift, Step step, PlanAhead.DayAhead day, PrescribedSets next, Optional<Mass> load, LoadChange.Planned was)
        implements Proposal {

    /** What the law of a lift decided by the session that was looked at; empty where it goes on from nothing lifted there. */
    static Optional<FollowLaw> of(Subject subject) {
        List<SeenSet> work = subject.work().stream().filter(SeenSet::isOfALaw).toList();
        for (PlanAhead.DayAhead day :
                work.isEmpty() ? List.<PlanAhead.DayAhead>of() : subject.plan().daysAhead()) {
            List<PrescribedSets> asked = subject.plan().projection().prescriptions(day.day(), day.week());
            List<ResolvedLoad> loads = subject.plan().projection().loads(day.day(), day.week());
            for (int i = 0; i < asked.size(); i++) {
                PrescribedSets next = asked.get(i);
                Optional<SeenSet> from = work.stream()
                        .filter(set -> set.asked().orElseThrow().letter().equals(next.letter()))
                        .reduce((first, last) -> last);
                boolean lifted = next.before().filter(before -> !before.ahead()).isPresent()
                        && next.step().filter(step -> isOf(work, step)).isPresent();
                if (next.lift().equals(subject.lift()) && lifted && next.step().isPresent() && from.isPresent()) {
                    Step step = next.step().get();
                    return Optional.of(new FollowLaw(
                            subject.lift(),
                            step,
                            day,
                            next,
                            loads.get(i).load(),
                            new LoadChange.Planned(
                                    subject.lift(),
                                    from.get().asked().orElseThrow().part(),
                                    Optional.of(step.before()))));
                }
            }
        }
        return Optional.empty();
    }

    /** What a rule finds of it: what a law answered, where that is one of these. */
    static List<Finding> told(CallRule rule, Subject subject, Set<Step.Answer> answers) {
        return of(subject).filter(follow -> answers.contains(follow.step().answer())).stream()
                .map(follow -> Finding.of(
                        rule,
                        new Evidence.Sets(subject.work().stream()
                                .filter(SeenSet::isOfALaw)
                                .toList()),
                        follow))
                .toList();
    }

    /** Whether a step goes on from these sets: from the load they were done with, or were asked for. */
    private static boolean isOf(List<SeenSet> work, Step step) {
        return work.stream()
                .anyMatch(set -> set.set().load().equals(step.before())
                        || set.askedLoad().filter(step.before()::equals).isPresent());
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.followLaw(this);
    }

    /** The plan does so whether or not anybody agrees; it is no rise on what is planned. */
    @Override
    public boolean raises() {
        return false;
    }

    @Override
    public Percent size() {
        return load.filter(next -> step.before().isPositive())
                .map(next -> next.distanceTo(step.before()).percentOf(step.before()))
                .orElse(Percent.ZERO);
    }

    /** From what was lifted to what comes next. */
    @Override
    public List<LoadChange> changes(PlanAhead plan) {
        return List.of(new LoadChange(
                day.date(),
                day.day(),
                day.week(),
                next.letter(),
                Optional.of(was),
                Optional.of(new LoadChange.Planned(lift, next.part(), load))));
    }
}
