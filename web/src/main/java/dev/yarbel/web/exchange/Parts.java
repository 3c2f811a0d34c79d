package dev.yarbel.web.exchange;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the rows of a brought table, some thousands in a part, so that they are read again and again without the whole being held. */
@Component
class Parts {

    private static final int ROWS = 5000;
    private static final int MOST_ROWS = 1_000_000;
    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setIgnoreEmptyLines(false).get();

    private final JdbcTemplate jdbc;

    Parts(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** Takes each row of a table, with its number from 1. */
    interface Reader {
        void row(int line, List<String> cells);
    }

    /** Hands the rows of a sheet over, in their order; on a line of its own to the database, since whoever writes them may be busy on theirs. */
    @Transactional(propagation = Propagation.NOT_SUPPORTED)
    public void read(long clubId, long importId, int sheet, Reader reader) {
        int[] line = {0};
        int part = 0;
        List<byte[]> next = part(clubId, importId, sheet, part);
        while (!next.isEmpty()) {
            for (CSVRecord row : rows(next.get(0))) {
                reader.row(++line[0], cells(row));
            }
            part++;
            next = part(clubId, importId, sheet, part);
        }
    }

    /** Takes the rows of a file as they are read. */
    public Writer writer(long clubId, long importId) {
        return new Writer(clubId, importId);
    }

    /** The first rows of a sheet. */
    public List<List<String>> first(long clubId, long importId, int sheet, int most) {
        return part(clubId, importId, sheet, 0).stream()
                .flatMap(bytes -> rows(bytes).stream())
                .limit(most)
                .map(Parts::cells)
                .toList();
    }

    private List<byte[]> part(long clubId, long importId, int sheet, int part) {
        return jdbc.queryForList(
                "select rows from import_part where club_id = ? and import_id = ? and sheet = ? and part = ?",
                byte[].class,
                clubId,
                importId,
                sheet,
                part);
    }

    private static List<String> cells(CSVRecord row) {
        return row.size() == 1 && row.get(0).isEmpty() ? List.of() : row.toList();
    }

    private static List<CSVRecord> rows(byte[] part) {
        try (CSVParser rows = CSVParser.parse(
                new InputStreamReader(new GZIPInputStream(new ByteArrayInputStream(part)), StandardCharsets.UTF_8),
                FORMAT)) {
            return rows.getRecords();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** Writes the rows of one brought file as they come. */
    final class Writer implements RowSink {

        private final long clubId;
        private final long importId;
        private final List<String> sheets = new ArrayList<>();
        private final List<Integer> counts = new ArrayList<>();
        private final List<List<String>> waiting = new ArrayList<>();
        private int part;
        private int all;

        Writer(long clubId, long importId) {
            this.clubId = clubId;
            this.importId = importId;
        }

        @Override
        public void sheet(String name) {
            flush();
            sheets.add(name);
            counts.add(0);
            part = 0;
        }

        @Override
        public void row(List<String> cells) throws IOException {
            if (++all > MOST_ROWS) {
                throw new TooLong();
            }
            waiting.add(cells);
            counts.set(counts.size() - 1, counts.get(counts.size() - 1) + 1);
            if (waiting.size() >= ROWS) {
                flush();
            }
        }

        /** Writes what is left; nothing may come after. */
        void flush() {
            if (!waiting.isEmpty()) {
                jdbc.update(
                        "insert into import_part (club_id, import_id, sheet, part, rows) values (?, ?, ?, ?, ?)",
                        clubId,
                        importId,
                        sheets.size() - 1,
                        part++,
                        packed());
                waiting.clear();
            }
        }

        private byte[] packed() {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            try (CSVPrinter rows = new CSVPrinter(
                    new OutputStreamWriter(new GZIPOutputStream(bytes), StandardCharsets.UTF_8), FORMAT)) {
                for (List<String> row : waiting) {
                    rows.printRecord(row.isEmpty() ? Collections.singletonList("") : row);
                }
            } catch (IOException impossible) {
                throw new UncheckedIOException(impossible);
            }
            return bytes.toByteArray();
        }

        List<String> sheets() {
            return sheets;
        }

        List<Integer> counts() {
            return counts;
        }
    }

    /** More rows than a file may have. */
    static final class TooLong extends IOException {

        private static final long serialVersionUID = 1;

        int most() {
            return MOST_ROWS;
        }
    }
}
