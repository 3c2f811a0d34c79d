package dev.yarbel.web.contest;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.ManyRows;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What lifters did in contests: each attempt and each event of a line; one without either stands there for being entered. */
@Component
class AttemptsOut implements TableOut {

    private static final int DECIMALS = 2;

    private final ManyRows rows;
    private final Words words;

    AttemptsOut(ManyRows rows, Words words) {
        this.rows = rows;
        this.words = words;
    }

    @Override
    public String code() {
        return "contests";
    }

    @Override
    public List<String> columns() {
        return List.of("day", "contest", "lifter", "body", "unit", "lift", "attempt", "load", "outcome");
    }

    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        Map<Long, LifterCard> byId = lifters.stream().collect(Collectors.toMap(LifterCard::id, Function.identity()));
        rows.each(
                """
                select e.lifter_id, c.held_on, c.name as contest, e.body_mass, done.lift, done.named, done.number, done.load,
                  done.outcome, done.written
                from contest_entry e
                join contest c on c.id = e.contest_id and c.club_id = e.club_id and c.removed_at is null
                left join (
                  select a.club_id, a.entry_id, a.lift, null as named, a.number, a.load, a.outcome, null as written,
                    row_number() over (partition by a.entry_id order by a.id) as place
                  from contest_attempt a
                  union all
                  select r.club_id, r.entry_id, v.lift, v.name, null, null, null, r.written, v.place
                  from contest_result r join contest_event v on v.id = r.event_id and v.club_id = r.club_id
                ) as done on done.entry_id = e.id and done.club_id = e.club_id
                where e.club_id = ? and e.lifter_id = any (?) and e.removed_at is null
                order by c.held_on, c.id, e.id, done.place""",
                person.clubId(),
                byId.keySet(),
                done -> row.accept(cells(done, byId.get(done.getLong("lifter_id")))));
    }

    private List<Object> cells(ResultSet done, LifterCard lifter) throws SQLException {
        String lift = done.getString("lift");
        String named = done.getString("named");
        String outcome = done.getString("outcome");
        String written = done.getString("written");
        int number = done.getInt("number");
        return List.of(
                TableOut.cell(Optional.ofNullable(done.getObject("held_on", LocalDate.class))),
                done.getString("contest"),
                lifter.name(),
                mass(done.getBigDecimal("body_mass"), lifter),
                lifter.unit().symbol(),
                named == null ? lift == null ? "" : words.liftOf(lift) : named,
                number == 0 ? "" : BigDecimal.valueOf(number),
                mass(done.getBigDecimal("load"), lifter),
                outcome == null ? written == null ? "" : written : words.say("contest.is." + outcome));
    }

    private static Object mass(BigDecimal kg, LifterCard lifter) {
        return TableOut.cell(Optional.ofNullable(kg)
                .map(figure -> TableOut.figure(Mass.of(figure, MassUnit.KG).figure(lifter.unit(), DECIMALS))));
    }
}
