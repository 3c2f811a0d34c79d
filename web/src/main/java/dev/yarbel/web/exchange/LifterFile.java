package dev.yarbel.web.exchange;

import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.page.ManyRows;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.TableFile;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.LifterParts;
import dev.yarbel.web.roster.LifterParts.Part;
import dev.yarbel.web.roster.TableOut;
import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
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

    private final List<Part> parts;
    private final Tables tables;
    private final ManyRows rows;
    private final Accounts accounts;
    private final JsonMapper json;
    private final Clock clock;

    LifterFile(List<LifterParts> rooms, Tables tables, ManyRows rows, Accounts accounts, JsonMapper json, Clock clock) {
        this.parts = rooms.stream().flatMap(room -> room.parts().stream()).toList();
        this.tables = tables;
        this.rows = rows;
        this.accounts = accounts;
        this.json = json;
        this.clock = clock;
    }

    void json(LifterCard lifter, OutputStream out) throws IOException {
        Writer text = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        text.write("{\"format\": \"yarbel-lifter\", \"version\": " + VERSION + ", \"madeAt\": \"" + clock.instant()
                + "\"");
        String signsIn = accounts.ofLifter(lifter.clubId(), lifter.id())
                .map(Accounts.Colleague::username)
                .map(json::writeValueAsString)
                .orElse("null");
        text.write(",\n\"signsInAs\": " + signsIn);
        for (Part part : parts) {
            text.write(",\n\"" + part.name() + "\": [");
            String[] between = {"\n"};
            rows.each(part.sql(), lifter.clubId(), List.of(lifter.id()), row -> {
                try {
                    text.write(between[0] + row.getString(1));
                } catch (IOException gone) {
                    throw new UncheckedIOException(gone);
                }
                between[0] = ",\n";
            });
            text.write("]");
        }
        text.write("}\n");
        text.flush();
    }

    /** The JSON with its schema, and every table that the person sees. */
    void zip(Person person, LifterCard lifter, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        OutputStream entry = new Kept(zip);
        zip.putNextEntry(new ZipEntry("lifter.json"));
        json(lifter, entry);
        zip.putNextEntry(new ZipEntry(SCHEMA));
        new ClassPathResource("format/" + SCHEMA).getInputStream().transferTo(zip);
        for (TableOut table : tables.of(person)) {
            zip.putNextEntry(new ZipEntry(table.code() + ".csv"));
            TableFile.csv(tables.file(table, person, List.of(lifter)), entry);
        }
        zip.finish();
    }

    /** An entry of an archive, which may be closed and leaves the archive open. */
    private static final class Kept extends FilterOutputStream {

        private Kept(OutputStream zip) {
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
