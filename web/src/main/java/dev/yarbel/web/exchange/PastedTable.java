package dev.yarbel.web.exchange;

import dev.yarbel.web.page.UnreadableException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.web.multipart.MultipartFile;

/** A small table that was brought: it stays on the page as text, which is what is read and where it is put right. */
final class PastedTable {

    private static final int MOST_ROWS = 3000;
    private static final int LONGEST_TEXT = 300_000;

    private PastedTable() {}

    /**
     * The text of a table: of the file where one was chosen, else what was typed.
     *
     * @throws UnreadableException when there is neither, or too much
     */
    static String text(MultipartFile file, String typed) {
        boolean chosen = file != null && !file.isEmpty();
        if (!chosen && typed.isBlank()) {
            throw new UnreadableException("exchange.error.nothing").in("file");
        }
        if (!chosen && typed.length() > LONGEST_TEXT) {
            throw new UnreadableException("exchange.maxes.error.long").in("text");
        }
        return chosen ? written(rows(file)) : typed;
    }

    /** The rows of a text as it was pasted or {@link #text read}. */
    static List<List<String>> rows(String text) {
        try {
            Path kept = Files.createTempFile("yarbel-table", null);
            try {
                Files.writeString(kept, text, StandardCharsets.UTF_8);
                return rows(kept, "text");
            } finally {
                Files.deleteIfExists(kept);
            }
        } catch (IOException broken) {
            throw new UnreadableException("exchange.error.broken").in("text");
        }
    }

    private static List<List<String>> rows(MultipartFile file) {
        try {
            Path kept = Files.createTempFile("yarbel-table", null);
            try {
                file.transferTo(kept);
                return rows(kept, "file");
            } finally {
                Files.deleteIfExists(kept);
            }
        } catch (IOException broken) {
            throw new UnreadableException("exchange.error.broken").in("file");
        }
    }

    /** The rows of the first sheet that has any. */
    private static List<List<String>> rows(Path kept, String field) throws IOException {
        List<List<String>> rows = new ArrayList<>();
        boolean[] first = {true};
        try {
            BroughtTable.read(kept, new RowSink() {
                @Override
                public void sheet(String name) {
                    first[0] = rows.stream().allMatch(row -> row.stream().allMatch(String::isBlank));
                }

                @Override
                public void row(List<String> cells) {
                    if (first[0]) {
                        rows.add(List.copyOf(cells));
                    }
                    if (rows.size() > MOST_ROWS) {
                        throw new UnreadableException("exchange.maxes.error.long").in(field);
                    }
                }
            });
        } catch (Unusable unusable) {
            throw new UnreadableException("exchange.error." + unusable.code()).in(field);
        }
        return rows;
    }

    /** As it would be pasted. */
    private static String written(List<List<String>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(
                text, CSVFormat.TDF.builder().setRecordSeparator("\n").get())) {
            printer.printRecords(rows);
        } catch (IOException impossible) {
            throw new IllegalStateException(impossible);
        }
        if (text.length() > LONGEST_TEXT) {
            throw new UnreadableException("exchange.maxes.error.long").in("file");
        }
        return text.toString();
    }
}
