package dev.yarbel.web.book;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.ManyRows;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Maxes as they were set down, each in the unit it was typed in. */
@Component
class MaxesOut implements TableOut {

    private static final int DECIMALS = 3;

    private final ManyRows rows;
    private final Words words;

    MaxesOut(ManyRows rows, Words words) {
        this.rows = rows;
        this.words = words;
    }

    @Override
    public String code() {
        return "maxes";
    }

    @Override
    public List<String> columns() {
        return List.of("day", "lifter", "lift", "kind", "load", "unit", "reps", "note");
    }

    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        Map<Long, String> names = lifters.stream().collect(Collectors.toMap(LifterCard::id, LifterCard::name));
        rows.each("""
                select lifter_id, on_date, lift, kind, load, unit, reps, source from recorded_max
                where club_id = ? and lifter_id = any (?) and removed_at is null order by lifter_id, on_date, id""", person.clubId(), names.keySet(), max -> {
            MassUnit unit = MassUnit.valueOf(max.getString("unit"));
            row.accept(List.of(
                    max.getObject("on_date", LocalDate.class),
                    names.get(max.getLong("lifter_id")),
                    words.liftOf(max.getString("lift")),
                    words.say("book.max.kind." + max.getString("kind")),
                    TableOut.figure(
                            Mass.of(max.getBigDecimal("load"), MassUnit.KG).figure(unit, DECIMALS)),
                    unit.symbol(),
                    BigDecimal.valueOf(max.getInt("reps")),
                    max.getString("source")));
        });
    }
}
