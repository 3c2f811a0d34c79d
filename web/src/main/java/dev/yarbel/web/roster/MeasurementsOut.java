package dev.yarbel.web.roster;

import dev.yarbel.web.page.ManyRows;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What was measured on lifters: body mass above all. */
@Component
class MeasurementsOut implements TableOut {

    private final ManyRows rows;
    private final Words words;

    MeasurementsOut(ManyRows rows, Words words) {
        this.rows = rows;
        this.words = words;
    }

    @Override
    public String code() {
        return "measurements";
    }

    @Override
    public List<String> columns() {
        return List.of("day", "lifter", "measured", "figure", "unit");
    }

    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        Map<Long, LifterCard> byId = lifters.stream().collect(Collectors.toMap(LifterCard::id, Function.identity()));
        rows.each("""
                select lifter_id, on_date, kind, figure from measurement
                where club_id = ? and lifter_id = any (?) and removed_at is null order by lifter_id, on_date, id""", person.clubId(), byId.keySet(), measured -> {
            LifterCard lifter = byId.get(measured.getLong("lifter_id"));
            MeasureKind kind = MeasureKind.valueOf(measured.getString("kind"));
            row.accept(List.of(
                    measured.getObject("on_date", LocalDate.class),
                    lifter.name(),
                    words.say("measured." + kind),
                    kind.in(measured.getBigDecimal("figure"), lifter.unit()),
                    kind.symbol(lifter.unit())));
        });
    }
}
