package dev.yarbel.web.block;

import dev.yarbel.core.review.Situation;
import dev.yarbel.web.block.PlanReader.Plan;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionGlance;
import dev.yarbel.web.roster.InTraining;
import dev.yarbel.web.roster.TrainingOverview;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Holds the days that blocks ask for against the sessions that were held, for many lifters in two statements. */
@Component
class PlansInSight implements TrainingOverview {

    private final PlanReader plans;
    private final Book book;

    PlansInSight(PlanReader plans, Book book) {
        this.plans = plans;
        this.book = book;
    }

    @Override
    public Map<Long, InTraining> of(long clubId, Collection<Long> lifterIds, LocalDate today) {
        if (lifterIds.isEmpty()) {
            return Map.of();
        }
        Map<Long, List<Plan>> byLifter =
                plans.fromToday(clubId, lifterIds, today).stream().collect(Collectors.groupingBy(Plan::lifter));
        List<Long> days = byLifter.values().stream()
                .flatMap(List::stream)
                .flatMap(plan -> plan.days().stream())
                .map(PlanReader.Day::number)
                .toList();
        Map<Long, List<SessionGlance>> sessions =
                book.glances(clubId, lifterIds, days).stream().collect(Collectors.groupingBy(SessionGlance::lifterId));
        return lifterIds.stream()
                .distinct()
                .collect(Collectors.toMap(
                        Function.identity(),
                        lifter -> of(
                                byLifter.getOrDefault(lifter, List.of()),
                                sessions.getOrDefault(lifter, List.of()),
                                today)));
    }

    private static InTraining of(List<Plan> plans, List<SessionGlance> sessions, LocalDate today) {
        Map<PlannedDay, SessionGlance> held = SessionGlance.byPlannedDay(sessions);
        List<InTraining.Planned> all = new ArrayList<>();
        List<InTraining.Planned> shown = List.of();
        for (int at = 0; at < plans.size(); at++) {
            // from the day the next block begins on, this one is not trained any more
            LocalDate until = at + 1 < plans.size() ? plans.get(at + 1).start() : LocalDate.MAX;
            List<InTraining.Planned> planned = plans.get(at).sessions(until, held, today);
            shown = at == 0 ? planned : shown;
            all.addAll(planned);
        }
        List<LocalDate> ahead = all.stream()
                .map(InTraining.Planned::on)
                .filter(on -> !on.isBefore(today))
                .toList();
        Situation situation = new Situation(
                today,
                false,
                0,
                false,
                sessions.isEmpty() ? Optional.empty() : Optional.of(last(sessions.get(sessions.size() - 1))),
                on(all, InTraining.State.MISSED),
                all.stream()
                        .filter(session -> session.state() != InTraining.State.DONE)
                        .map(InTraining.Planned::on)
                        .filter(on -> !on.isBefore(today))
                        .min(Comparator.naturalOrder()),
                ahead.stream().max(Comparator.naturalOrder()),
                plans.stream()
                        .flatMap(plan -> plan.contest().stream())
                        .filter(contest -> !contest.isBefore(today))
                        .min(Comparator.naturalOrder()));
        return new InTraining(situation, plans.stream().findFirst().map(plan -> plan.on(today)), shown);
    }

    private static Situation.Last last(SessionGlance session) {
        return new Situation.Last(
                session.date(), session.finished(), session.judgement(), session.pain(), session.cutShort());
    }

    private static List<LocalDate> on(List<InTraining.Planned> sessions, InTraining.State state) {
        return sessions.stream()
                .filter(session -> session.state() == state)
                .map(InTraining.Planned::on)
                .toList();
    }
}
