package dev.yarbel.web.exchange;

import dev.yarbel.web.page.Secrets;
import dev.yarbel.web.page.UnreadableException;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.web.multipart.MultipartFile;

/** A small table that was brought: it stays on the page as text, which is what is read and where it is put right. */
final class PastedTable {

    private static final int MOST_ROWS = 3000;
    private static final int MOST_SHEETS = 30;
    private static final int LONGEST_TEXT = 300_000;

    private PastedTable() {}

    /**
     * The text of a table: of the file where one was chosen, else what was typed. Of a workbook it is the first sheet that fits, or the first that
     * holds anything where none does.
     *
     * @param fits whether a sheet is what is looked for
     * @throws UnreadableException when there is neither, or too much
     */
    static String text(MultipartFile file, String typed, Predicate<List<List<String>>> fits) {
        return read(file, typed, sheets -> first(sheets, fits));
    }

    /** The same of all sheets that fit, one under the other, each under its name where somebody gave it one. */
    static String textOfAll(MultipartFile file, String typed, Predicate<List<List<String>>> fits) {
        return read(file, typed, sheets -> {
            List<Sheet> fitting =
                    sheets.stream().filter(sheet -> fits.test(sheet.rows)).toList();
            return fitting.isEmpty()
                    ? first(sheets, fits)
                    : fitting.stream().flatMap(Sheet::underItsName).toList();
        });
    }

    private static List<List<String>> first(List<Sheet> sheets, Predicate<List<List<String>>> fits) {
        return sheets.stream()
                .filter(sheet -> fits.test(sheet.rows))
                .findFirst()
                .or(() -> sheets.stream().findFirst())
                .map(Sheet::rows)
                .orElse(List.of());
    }

    /** A sheet of a file; a text has one, which has no name. */
    private record Sheet(String name, List<List<String>> rows) {

        /** As spreadsheets call a sheet before anybody does. */
        private static final Pattern UNNAMED =
                Pattern.compile("|(?:sheet|table|tabelle|blatt)\\s*\\d*", Pattern.CASE_INSENSITIVE);

        private Stream<List<String>> underItsName() {
            return UNNAMED.matcher(name).matches()
                    ? rows.stream()
                    : Stream.concat(Stream.of(List.of(name)), rows.stream());
        }
    }

    private static String read(MultipartFile file, String typed, Function<List<Sheet>, List<List<String>>> chosenOf) {
        boolean chosen = file != null && !file.isEmpty();
        if (!chosen && typed.isBlank()) {
            throw new UnreadableException("exchange.error.nothing").in("file");
        }
        if (!chosen && typed.length() > LONGEST_TEXT) {
            throw new UnreadableException("exchange.maxes.error.long").in("text");
        }
        return chosen ? written(rows(file, chosenOf)) : typed;
    }

    /** What was looked at, as a page remembers it: the text of a table, and all that is said of it. */
    static String seen(String text, Object... said) {
        return Secrets.hash(text.replace("\r\n", "\n").strip() + "\n" + Arrays.toString(said));
    }

    /** The rows of a text as it was pasted or {@link #text read}. */
    static List<List<String>> rows(String text) {
        try {
            Path kept = Files.createTempFile("yarbel-table", null);
            try {
                Files.writeString(kept, text, StandardCharsets.UTF_8);
                return rows(kept, "text", sheets -> first(sheets, rows -> true));
            } finally {
                Files.deleteIfExists(kept);
            }
        } catch (IOException broken) {
            throw new UnreadableException("exchange.error.broken").in("text");
        }
    }

    private static List<List<String>> rows(MultipartFile file, Function<List<Sheet>, List<List<String>>> chosenOf) {
        try {
            Path kept = Files.createTempFile("yarbel-table", null);
            try {
                file.transferTo(kept);
                return rows(kept, "file", chosenOf);
            } finally {
                Files.deleteIfExists(kept);
            }
        } catch (IOException broken) {
            throw new UnreadableException("exchange.error.broken").in("file");
        }
    }

    private static List<List<String>> rows(Path kept, String field, Function<List<Sheet>, List<List<String>>> chosenOf)
            throws IOException {
        List<Sheet> sheets = new ArrayList<>();
        try {
            BroughtTable.read(kept, new RowSink() {

                @Override
                public void sheet(String name) {
                    sheets.add(new Sheet(name, new ArrayList<>()));
                }

                @Override
                public void row(List<String> cells) {
                    if (sheets.isEmpty()) {
                        sheets.add(new Sheet("", new ArrayList<>()));
                    }
                    List<List<String>> sheet = sheets.get(sheets.size() - 1).rows;
                    // one row more tells that there are too many
                    if (sheet.size() <= MOST_ROWS && sheets.size() <= MOST_SHEETS) {
                        sheet.add(List.copyOf(cells));
                    }
                }
            });
        } catch (Unusable unusable) {
            throw new UnreadableException("exchange.error." + unusable.code()).in(field);
        }
        List<List<String>> chosen = chosenOf.apply(sheets.stream()
                .filter(sheet ->
                        sheet.rows.stream().anyMatch(row -> row.stream().anyMatch(text -> !text.isBlank())))
                .toList());
        if (chosen.size() > MOST_ROWS) {
            throw new UnreadableException("exchange.maxes.error.long").in(field);
        }
        return chosen;
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
