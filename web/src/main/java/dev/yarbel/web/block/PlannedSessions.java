package dev.yarbel.web.block;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.PlanReader.Plan;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionGlance;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sessions that blocks ask for, by their days, for calendars: many lifters in three statements. */
@Service
@Transactional(readOnly = true)
public class PlannedSessions {

    private final PlanReader plans;
    private final Book book;

    PlannedSessions(PlanReader plans, Book book) {
        this.plans = plans;
        this.book = book;
    }

    /**
     * A session.
     *
     * @param planned the day of a plan and its week, which together stay the same when it moves
     * @param name what the day is called
     * @param on the day it is planned for; once it is begun, the day it was
     * @param week of its block, from 1
     * @param easy its week is a deload
     */
    public record Session(
            long lifterId,
            PlannedDay planned,
            String block,
            String name,
            LocalDate on,
            int week,
            boolean easy,
            boolean done,
            List<Slot> slots) {}

    /** What a session asks for: the letter of a slot, its lift, and its dose as it is written. */
    public record Slot(String letter, Lift lift, String dose) {}

    /** From a day on, those to come among them; what another block took the place of is not. */
    public List<Session> since(long clubId, Collection<Long> lifters, LocalDate day) {
        if (lifters.isEmpty()) {
            return List.of();
        }
        Map<Long, List<Plan>> byLifter =
                plans.since(clubId, lifters, day).stream().collect(Collectors.groupingBy(Plan::lifter));
        List<Long> days = byLifter.values().stream()
                .flatMap(List::stream)
                .flatMap(plan -> plan.days().stream())
                .map(PlanReader.Day::number)
                .toList();
        Map<PlannedDay, SessionGlance> held = SessionGlance.byPlannedDay(book.glances(clubId, lifters, days));
        Map<PlannedDay, List<Slot>> work = days.isEmpty() ? Map.of() : plans.work(clubId, days);
        List<Session> sessions = new ArrayList<>();
        byLifter.values().forEach(own -> add(own, held, work, day, sessions));
        return sessions;
    }

    private static void add(
            List<Plan> plans,
            Map<PlannedDay, SessionGlance> held,
            Map<PlannedDay, List<Slot>> work,
            LocalDate since,
            List<Session> sessions) {
        for (int at = 0; at < plans.size(); at++) {
            LocalDate until = at + 1 < plans.size() ? plans.get(at + 1).start() : LocalDate.MAX;
            Plan plan = plans.get(at);
            for (PlanReader.Day day : plan.days()) {
                for (int week : day.weeks()) {
                    LocalDate asked = plan.start().plusWeeks(week).plusDays(day.offset());
                    PlannedDay planned = new PlannedDay(day.number(), week);
                    Optional<SessionGlance> session = Optional.ofNullable(held.get(planned));
                    LocalDate on = session.map(SessionGlance::date).orElse(asked);
                    if (!on.isBefore(since) && (session.isPresent() || asked.isBefore(until))) {
                        sessions.add(new Session(
                                plan.lifter(),
                                planned,
                                plan.name(),
                                day.name(),
                                on,
                                week + 1,
                                plan.shape().get(week).deload(),
                                session.filter(SessionGlance::finished).isPresent(),
                                work.getOrDefault(planned, List.of())));
                    }
                }
            }
        }
    }
}
