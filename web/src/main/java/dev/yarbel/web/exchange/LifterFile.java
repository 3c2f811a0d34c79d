package dev.yarbel.web.exchange;

import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.kept.AllKept;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.KeptRows;
import dev.yarbel.web.kept.LifterFiles;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.TableFile;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** All that is kept of a lifter: as JSON, by a schema that goes with it, and as tables for whoever wants to look. Written as it is read. */
@Component
class LifterFile {

    static final String SCHEMA = "lifter-1.schema.json";

    private static final int VERSION = 1;

    private final AllKept kept;
    private final Tables tables;
    private final KeptRows rows;
    private final Accounts accounts;
    private final List<LifterFiles> files;
    private final JsonMapper json;
    private final Clock clock;

    LifterFile(
            AllKept kept,
            Tables tables,
            KeptRows rows,
            Accounts accounts,
            List<LifterFiles> files,
            JsonMapper json,
            Clock clock) {
        this.kept = kept;
        this.tables = tables;
        this.rows = rows;
        this.accounts = accounts;
        this.files = files;
        this.json = json;
        this.clock = clock;
    }

    void json(LifterCard lifter, OutputStream out) throws IOException {
        try (JsonLists file = new JsonLists(out)) {
            file.say("format", "\"yarbel-lifter\"");
            file.say("version", String.valueOf(VERSION));
            file.say("madeAt", "\"" + clock.instant() + "\"");
            file.say(
                    "signsInAs",
                    accounts.ofLifter(lifter.clubId(), lifter.id())
                            .map(Accounts.Colleague::username)
                            .map(json::writeValueAsString)
                            .orElse("null"));
            // what the lifter's club calls lifts of its own
            kept.lifts().forEach(part -> file.list(part.name(), to -> rows.ofClub(part, lifter.clubId(), to)));
            List<Kept> parts = kept.ofLifters();
            rows.ofLifters(
                    parts,
                    lifter.clubId(),
                    List.of(lifter.id()),
                    one -> parts.forEach(part -> file.list(part.name(), to -> one.each(part, to))));
        }
    }

    /** The JSON with its schema, every table that the person sees, and what is kept of them as files. */
    void zip(Person person, LifterCard lifter, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        OutputStream entry = new Entry(zip);
        zip.putNextEntry(new ZipEntry("lifter.json"));
        json(lifter, entry);
        zip.putNextEntry(new ZipEntry(SCHEMA));
        new ClassPathResource("format/" + SCHEMA).getInputStream().transferTo(zip);
        for (TableOut table : tables.of(person)) {
            zip.putNextEntry(new ZipEntry(table.code() + ".csv"));
            TableFile.csv(tables.file(table, person, List.of(lifter)), entry);
        }
        for (LifterFiles room : files) {
            for (LifterFiles.KeptFile file : room.files(lifter.clubId(), lifter.id())) {
                zip.putNextEntry(new ZipEntry(file.folder() + "/" + file.name()));
                try (InputStream content = file.content().getInputStream()) {
                    content.transferTo(zip);
                }
            }
        }
        zip.finish();
    }

    /** An entry of an archive, which may be closed and leaves the archive open. */
    private static final class Entry extends FilterOutputStream {

        private Entry(OutputStream zip) {
            super(zip);
        }

        @Override
        public void write(byte[] bytes, int from, int length) throws IOException {
            out.write(bytes, from, length);
        }

        @Override
        public void close() throws IOException {
            flush();
        }
    }
}
