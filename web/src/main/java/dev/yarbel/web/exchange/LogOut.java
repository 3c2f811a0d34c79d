package dev.yarbel.web.exchange;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.book.WholeLog;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * A log, a row for each set, which {@link Brought} reads back to the same sets. Loads are in the unit of the lifter, who finds the
 * figures that were typed.
 */
@Component
class LogOut implements TableOut {

    private static final int DECIMALS = 3;

    private final WholeLog log;
    private final Words words;

    LogOut(WholeLog log, Words words) {
        this.log = log;
        this.words = words;
    }

    @Override
    public String code() {
        return "log";
    }

    @Override
    public List<String> columns() {
        return List.of(
                "day",
                "lifter",
                "lift",
                "load",
                "unit",
                "reps",
                "rating",
                "missed",
                "warm-up",
                "note",
                "seconds",
                "distance");
    }

    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        Map<Long, LifterCard> byId = lifters.stream().collect(Collectors.toMap(LifterCard::id, Function.identity()));
        log.each(person.clubId(), byId.keySet(), logged -> row.accept(cells(byId.get(logged.lifterId()), logged)));
    }

    /** What stands in a row: text, a figure, a day, or nothing. */
    private List<Object> cells(LifterCard lifter, WholeLog.Logged logged) {
        LiftedSet set = logged.done().set();
        List<Object> cells = new ArrayList<>();
        cells.add(logged.day());
        cells.add(lifter.name());
        cells.add(words.lift(set.lift()));
        cells.add(new BigDecimal(set.load().figure(lifter.unit(), DECIMALS)));
        cells.add(lifter.unit().symbol());
        cells.add(BigDecimal.valueOf(set.reps()));
        cells.add(
                set.effort().isMoreThanFourLeft()
                        ? "easy"
                        : set.effort()
                                .rating()
                                .map(Rpe::toString)
                                .map(BigDecimal::new)
                                .map(Object.class::cast)
                                .orElse(""));
        cells.add(set.made() ? "" : words.say("exchange.out.yes"));
        cells.add(logged.done().task().warmUp() ? words.say("exchange.out.warm-up") : "");
        cells.add(set.details().note().orElse(""));
        cells.add(set.details()
                .time()
                .map(Seconds::in)
                .map(BigDecimal::stripTrailingZeros)
                .map(Object.class::cast)
                .orElse(""));
        cells.add(set.details()
                .distance()
                .map(way -> way.in(LengthUnit.CM).movePointLeft(2).stripTrailingZeros())
                .map(Object.class::cast)
                .orElse(""));
        return cells;
    }
}
