package dev.yarbel.web.exchange;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.TableFile;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;

/** Workbooks of tables, which are no file before their last row: made while nobody waits, and given away once. */
@Component
class MadeWorkbooks {

    private final Tables tables;
    private final Jobs jobs;

    MadeWorkbooks(Tables tables, Jobs jobs) {
        this.tables = tables;
        this.jobs = jobs;
    }

    /** One that is made; closing it throws it away. */
    record Made(Path file) implements AutoCloseable {

        @Override
        public void close() {
            try {
                Files.deleteIfExists(file);
            } catch (IOException stays) {
                throw new UncheckedIOException(stays);
            }
        }
    }

    /** A workbook with a sheet for each table, or how far it is. */
    Jobs.Job<Made> of(Person person, List<TableOut> wanted, List<LifterCard> lifters) {
        Locale language = LocaleContextHolder.getLocale();
        return jobs.of(name(person, wanted, lifters, language), wanted.size(), progress -> {
            LocaleContextHolder.setLocale(language);
            try {
                return made(wanted.stream()
                        .map(table -> counted(tables.file(table, person, lifters), progress))
                        .toList());
            } finally {
                LocaleContextHolder.resetLocaleContext();
            }
        });
    }

    /** Gives one away and throws it away. */
    void give(Person person, List<TableOut> wanted, List<LifterCard> lifters, OutputStream out) throws IOException {
        try (Made made = of(person, wanted, lifters).outcome()) {
            Files.copy(made.file(), out);
        } finally {
            jobs.forget(name(person, wanted, lifters, LocaleContextHolder.getLocale()));
        }
    }

    private static String name(Person person, List<TableOut> wanted, List<LifterCard> lifters, Locale language) {
        return "workbook " + person.accountId() + " " + language + " "
                + wanted.stream().map(TableOut::code).collect(Collectors.joining(" ")) + " "
                + lifters.stream().map(LifterCard::id).toList();
    }

    private static TableFile.Table counted(TableFile.Table table, Jobs.Progress progress) {
        return new TableFile.Table(table.name(), table.heads(), row -> {
            table.rows().each(row);
            progress.step();
        });
    }

    private static Made made(List<TableFile.Table> wanted) {
        try {
            Path file = Files.createTempFile("yarbel-workbook", ".xlsx");
            try (OutputStream out = Files.newOutputStream(file)) {
                TableFile.xlsx(wanted, out);
            } catch (IOException | RuntimeException failed) {
                Files.deleteIfExists(file);
                throw failed;
            }
            return new Made(file);
        } catch (IOException full) {
            throw new UncheckedIOException(full);
        }
    }
}
