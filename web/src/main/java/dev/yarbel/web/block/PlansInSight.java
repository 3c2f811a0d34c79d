package dev.yarbel.web.block;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.review.Situation;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionGlance;
import dev.yarbel.web.roster.InTraining;
import dev.yarbel.web.roster.TrainingOverview;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Holds the days that blocks ask for against the sessions that were held, for many lifters in two statements. */
@Component
class PlansInSight implements TrainingOverview {

    /** The block each lifter is in, else the last begun, and all that begin later: a row for each of their days. */
    private static final String DAYS = """
            select b.lifter_id, b.id, b.name, b.start_on, b.weeks, b.shape, b.contest_on, d.id as day, d.day_offset,
              string_agg(distinct c.week::text, ',') as asked
            from block b
            left join block_day d on d.block_id = b.id and d.club_id = b.club_id and d.removed_at is null
            left join slot s on s.block_day_id = d.id and s.club_id = d.club_id and s.removed_at is null
            left join dose_cell c on c.slot_id = s.id and c.club_id = s.club_id and c.week < b.weeks
            where b.club_id = ? and b.lifter_id = any (?) and b.removed_at is null and (b.start_on > ? or b.id = (
              select l.id from block l
              where l.club_id = b.club_id and l.lifter_id = b.lifter_id and l.removed_at is null and l.start_on <= ?
              order by l.start_on desc, l.id desc limit 1))
            group by b.id, d.id order by b.lifter_id, b.start_on, b.id, d.day_offset""";

    private final JdbcTemplate jdbc;
    private final Book book;

    PlansInSight(JdbcTemplate jdbc, Book book) {
        this.jdbc = jdbc;
        this.book = book;
    }

    /** A block with the days of its week and the weeks in which each of them asks for something. */
    private record Plan(
            long lifter,
            long id,
            String name,
            LocalDate start,
            List<BlockWeek> shape,
            Optional<LocalDate> contest,
            List<Day> days) {

        static Plan of(ResultSet row) throws SQLException {
            return new Plan(
                    row.getLong("lifter_id"),
                    row.getLong("id"),
                    row.getString("name"),
                    row.getObject("start_on", LocalDate.class),
                    WeekCodes.parse(row.getString("shape"), row.getInt("weeks")),
                    Optional.ofNullable(row.getObject("contest_on", LocalDate.class)),
                    new ArrayList<>());
        }

        InTraining.InBlock on(LocalDate today) {
            int week = Math.floorDiv((int) ChronoUnit.DAYS.between(start, today), 7) + 1;
            boolean within = week >= 1 && week <= shape.size();
            return new InTraining.InBlock(
                    id,
                    name,
                    start,
                    shape.size(),
                    week,
                    within && shape.get(week - 1).deload());
        }
    }

    private record Day(long number, int offset, List<Integer> weeks) {

        static Day of(ResultSet row) throws SQLException {
            String asked = row.getString("asked");
            return new Day(
                    row.getLong("day"),
                    row.getInt("day_offset"),
                    asked == null
                            ? List.of()
                            : Arrays.stream(asked.split(","))
                                    .map(Integer::valueOf)
                                    .toList());
        }
    }

    @Override
    public Map<Long, InTraining> of(long clubId, Collection<Long> lifterIds, LocalDate today) {
        if (lifterIds.isEmpty()) {
            return Map.of();
        }
        Map<Long, List<Plan>> plans = plans(clubId, lifterIds, today);
        List<Long> days = plans.values().stream()
                .flatMap(List::stream)
                .flatMap(plan -> plan.days().stream())
                .map(Day::number)
                .toList();
        Map<Long, List<SessionGlance>> sessions =
                book.glances(clubId, lifterIds, days).stream().collect(Collectors.groupingBy(SessionGlance::lifterId));
        return lifterIds.stream()
                .distinct()
                .collect(Collectors.toMap(
                        Function.identity(),
                        lifter -> of(
                                plans.getOrDefault(lifter, List.of()),
                                sessions.getOrDefault(lifter, List.of()),
                                today)));
    }

    private Map<Long, List<Plan>> plans(long clubId, Collection<Long> lifterIds, LocalDate today) {
        Map<Long, Plan> byNumber = new LinkedHashMap<>();
        jdbc.query(
                DAYS,
                row -> {
                    Plan plan = byNumber.get(row.getLong("id"));
                    if (plan == null) {
                        plan = Plan.of(row);
                        byNumber.put(plan.id(), plan);
                    }
                    if (row.getObject("day") != null) {
                        plan.days().add(Day.of(row));
                    }
                },
                clubId,
                lifterIds.toArray(Long[]::new),
                today,
                today);
        return byNumber.values().stream().collect(Collectors.groupingBy(Plan::lifter));
    }

    private static InTraining of(List<Plan> plans, List<SessionGlance> sessions, LocalDate today) {
        Map<PlannedDay, SessionGlance> held = new HashMap<>();
        sessions.forEach(session -> session.planned().ifPresent(day -> held.put(day, session)));
        List<InTraining.Planned> all = new ArrayList<>();
        List<InTraining.Planned> shown = List.of();
        for (int at = 0; at < plans.size(); at++) {
            // from the day the next block begins on, this one is not trained any more
            LocalDate until = at + 1 < plans.size() ? plans.get(at + 1).start() : LocalDate.MAX;
            List<InTraining.Planned> planned = planned(plans.get(at), until, held, today);
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

    /** The sessions of a block that come before a day, by their dates. */
    private static List<InTraining.Planned> planned(
            Plan plan, LocalDate until, Map<PlannedDay, SessionGlance> held, LocalDate today) {
        List<InTraining.Planned> planned = new ArrayList<>();
        for (Day day : plan.days()) {
            for (int week : day.weeks()) {
                LocalDate on = plan.start().plusWeeks(week).plusDays(day.offset());
                Optional<SessionGlance> session = Optional.ofNullable(held.get(new PlannedDay(day.number(), week)));
                if (on.isBefore(until)) {
                    planned.add(new InTraining.Planned(
                            on,
                            plan.shape().get(week).deload(),
                            state(on, session, today),
                            session.flatMap(SessionGlance::judgement)));
                }
            }
        }
        planned.sort(Comparator.comparing(InTraining.Planned::on));
        return planned;
    }

    private static InTraining.State state(LocalDate on, Optional<SessionGlance> session, LocalDate today) {
        if (session.isPresent()) {
            return session.get().finished() ? InTraining.State.DONE : InTraining.State.BEGUN;
        }
        return on.isBefore(today) ? InTraining.State.MISSED : InTraining.State.TO_COME;
    }
}
