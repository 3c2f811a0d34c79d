package dev.yarbel.web.exchange;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.TableFile;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/** The tables that all rooms offer. */
@Component
class Tables {

    private static final List<String> ORDER =
            List.of("log", "maxes", "estimates", "plan", "reckoning", "calls", "contests", "measurements", "lifters");

    private final List<TableOut> tables;
    private final Words words;

    Tables(List<TableOut> tables, Words words) {
        this.tables = tables.stream()
                .sorted(Comparator.comparingInt(table -> ORDER.indexOf(table.code())))
                .toList();
        this.words = words;
    }

    /** Those that somebody may take along, the log first. */
    List<TableOut> of(Person person) {
        return tables.stream().filter(table -> table.isFor(person)).toList();
    }

    TableFile.Table file(TableOut table, Person person, List<LifterCard> lifters) {
        return new TableFile.Table(
                words.say("exchange.table." + table.code()),
                table.columns().stream()
                        .map(column -> words.say("exchange.out." + column))
                        .toList(),
                row -> table.each(person, lifters, row));
    }
}
