package dev.yarbel.web.calls;

import dev.yarbel.web.page.ManyRows;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What was found in lifters' sessions, and what their coaches answered. */
@Component
class CallsOut implements TableOut {

    private final ManyRows rows;
    private final Words words;

    CallsOut(ManyRows rows, Words words) {
        this.rows = rows;
        this.words = words;
    }

    @Override
    public String code() {
        return "calls";
    }

    @Override
    public List<String> columns() {
        return List.of("day", "lifter", "lift", "found", "answer", "answered", "by", "why");
    }

    @Override
    public boolean isFor(Person person) {
        return person.isCoach();
    }

    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        Map<Long, String> names = lifters.stream().collect(Collectors.toMap(LifterCard::id, LifterCard::name));
        rows.each(
                """
                select s.lifter_id, s.lift, s.rule, s.status, s.opened_at, s.answered_at, a.name as by, c.why
                from slip s
                left join account a on a.id = s.answered_by and a.club_id = s.club_id
                left join change_entry c on c.id = s.answer_entry and c.club_id = s.club_id
                where s.club_id = ? and s.lifter_id = any (?) and s.status <> 'OVERTAKEN' order by s.lifter_id, s.opened_at, s.id""",
                person.clubId(),
                names.keySet(),
                slip -> row.accept(cells(slip, names.get(slip.getLong("lifter_id")), person.zone())));
    }

    private List<Object> cells(ResultSet slip, String lifter, ZoneId zone) throws SQLException {
        return List.of(
                day(slip.getTimestamp("opened_at"), zone).orElseThrow(),
                lifter,
                words.liftOf(slip.getString("lift")),
                words.sayIfAny("calls.line." + slip.getString("rule"), slip.getString("rule")),
                words.say("calls.answer." + slip.getString("status")),
                TableOut.cell(day(slip.getTimestamp("answered_at"), zone)),
                TableOut.cell(Optional.ofNullable(slip.getString("by"))),
                TableOut.cell(Optional.ofNullable(slip.getString("why"))));
    }

    private static Optional<LocalDate> day(Timestamp at, ZoneId zone) {
        return Optional.ofNullable(at).map(moment -> LocalDate.ofInstant(moment.toInstant(), zone));
    }
}
