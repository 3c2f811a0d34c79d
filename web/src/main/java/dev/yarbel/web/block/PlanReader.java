package dev.yarbel.web.block;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionGlance;
import dev.yarbel.web.roster.InTraining;
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
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.RowCallbackHandler;
import org.springframework.stereotype.Component;

/** Reads of blocks on which days they ask for something, and nothing of what. */
@Component
class PlanReader {

    private static final String DAYS = """
            select b.lifter_id, b.id, b.name, b.start_on, b.weeks, b.shape, b.contest_on, b.removed_at,
              given.lifter_id as given_by, given.name as given_as, d.id as day, d.name as day_name, d.day_offset,
              string_agg(distinct c.week::text, ',') as asked
            from block b
            left join block given on given.id = b.given_from and given.club_id = b.club_id
            left join block_day d on d.block_id = b.id and d.club_id = b.club_id and d.removed_at is null
            left join slot s on s.block_day_id = d.id and s.club_id = d.club_id and s.removed_at is null
            left join dose_cell c on c.slot_id = s.id and c.club_id = s.club_id and c.week < b.weeks
            where b.club_id = ? and b.lifter_id = any (?)""";
    private static final String ORDER =
            " group by b.id, given.id, d.id order by b.lifter_id, b.start_on, b.id, d.day_offset";
    private static final String FROM_TODAY = """
             and b.removed_at is null and (b.start_on > ? or b.id = (
              select l.id from block l
              where l.club_id = b.club_id and l.lifter_id = b.lifter_id and l.removed_at is null and l.start_on <= ?
              order by l.start_on desc, l.id desc limit 1))""";

    private static final String NOT_OVER = " and b.removed_at is null and b.start_on + 7 * b.weeks > ?";

    private final JdbcTemplate jdbc;

    PlanReader(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A block with the days of its week and the weeks in which each of them asks for something.
     *
     * @param givenBy whose block it was given from
     * @param givenAs what that is called
     */
    record Plan(
            long lifter,
            long id,
            String name,
            LocalDate start,
            List<BlockWeek> shape,
            Optional<LocalDate> contest,
            boolean removed,
            Optional<Long> givenBy,
            String givenAs,
            List<Day> days) {

        private static Plan of(ResultSet row) throws SQLException {
            return new Plan(
                    row.getLong("lifter_id"),
                    row.getLong("id"),
                    row.getString("name"),
                    row.getObject("start_on", LocalDate.class),
                    WeekCodes.parse(row.getString("shape"), row.getInt("weeks")),
                    Optional.ofNullable(row.getObject("contest_on", LocalDate.class)),
                    row.getObject("removed_at") != null,
                    Optional.ofNullable(row.getObject("given_by", Long.class)),
                    row.getString("given_as"),
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

        /** Its sessions before a day, by their dates. */
        List<InTraining.Planned> sessions(LocalDate until, Map<PlannedDay, SessionGlance> held, LocalDate today) {
            List<InTraining.Planned> planned = new ArrayList<>();
            for (Day day : days) {
                for (int week : day.weeks()) {
                    LocalDate on = start.plusWeeks(week).plusDays(day.offset());
                    Optional<SessionGlance> session = Optional.ofNullable(held.get(new PlannedDay(day.number(), week)));
                    if (on.isBefore(until)) {
                        planned.add(new InTraining.Planned(
                                on,
                                shape.get(week).deload(),
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

    record Day(long number, String name, int offset, List<Integer> weeks) {

        private static Day of(ResultSet row) throws SQLException {
            String asked = row.getString("asked");
            return new Day(
                    row.getLong("day"),
                    row.getString("day_name"),
                    row.getInt("day_offset"),
                    asked == null
                            ? List.of()
                            : Arrays.stream(asked.split(","))
                                    .map(Integer::valueOf)
                                    .toList());
        }
    }

    /** The block each lifter is in, else the last begun, and all that begin later; oldest first. */
    List<Plan> fromToday(long clubId, Collection<Long> lifters, LocalDate today) {
        return plans(DAYS + FROM_TODAY + ORDER, clubId, lifters.toArray(Long[]::new), today, today);
    }

    /** What days ask for, by day and week, slot after slot. */
    Map<PlannedDay, List<PlannedSessions.Slot>> work(long clubId, Collection<Long> days) {
        Map<PlannedDay, List<PlannedSessions.Slot>> work = new HashMap<>();
        jdbc.query(
                """
                select s.block_day_id, c.week, s.letter, s.lift, c.shorthand from slot s
                join dose_cell c on c.slot_id = s.id and c.club_id = s.club_id
                where s.club_id = ? and s.block_day_id = any (?) and s.removed_at is null order by s.position, s.id""",
                (RowCallbackHandler) row -> work.computeIfAbsent(
                                new PlannedDay(row.getLong("block_day_id"), row.getInt("week")),
                                day -> new ArrayList<>())
                        .add(new PlannedSessions.Slot(
                                row.getString("letter"), new Lift(row.getString("lift")), row.getString("shorthand"))),
                clubId,
                days.toArray(Long[]::new));
        return work;
    }

    /** The blocks of lifters that were not over on a day, and all that begin later; oldest first. */
    List<Plan> since(long clubId, Collection<Long> lifters, LocalDate day) {
        return plans(DAYS + NOT_OVER + ORDER, clubId, lifters.toArray(Long[]::new), day);
    }

    /** Every block of a lifter, those that were taken away among them; oldest first. */
    List<Plan> all(long clubId, long lifter) {
        return plans(DAYS + ORDER, clubId, (Object) new Long[] {lifter});
    }

    private List<Plan> plans(String sql, Object... parameters) {
        Map<Long, Plan> byNumber = new LinkedHashMap<>();
        jdbc.query(
                sql,
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
                parameters);
        return List.copyOf(byNumber.values());
    }
}
