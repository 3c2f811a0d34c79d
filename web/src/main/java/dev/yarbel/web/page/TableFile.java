package dev.yarbel.web.page;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Consumer;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.WorkbookUtil;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;

/** Tables as files, each row written as it comes. */
public final class TableFile {

    private static final int ROWS_IN_MEMORY = 200;
    private static final int MOST_ROWS = 1_000_000;

    private TableFile() {}

    /** Hands the rows of a table over, one after the other: each of texts, figures and days; nothing is an empty text. */
    @FunctionalInterface
    public interface Rows {

        void each(Consumer<List<?>> row);
    }

    /** A table with what stands above its columns. */
    public record Table(String name, List<String> heads, Rows rows) {}

    /** As CSV by RFC 4180, in UTF-8 with a mark, by which spreadsheets know it. */
    public static void csv(Table table, OutputStream out) throws IOException {
        Writer text = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        text.write('\ufeff');
        CSVPrinter rows = new CSVPrinter(text, CSVFormat.RFC4180);
        rows.printRecord(table.heads());
        table.rows().each(cells -> {
            try {
                rows.printRecord(cells.stream().map(TableFile::plain).toList());
            } catch (IOException gone) {
                throw new UncheckedIOException(gone);
            }
        });
        rows.flush();
    }

    private static String plain(Object cell) {
        return cell instanceof BigDecimal figure ? figure.toPlainString() : harmless(String.valueOf(cell));
    }

    /** A text that a spreadsheet would take for a formula is marked as text. */
    public static String harmless(String text) {
        return text.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + text : text;
    }

    /** As a workbook with a sheet for each table, the rows on disk while it is made. */
    public static void xlsx(List<Table> tables, OutputStream out) throws IOException {
        try (SXSSFWorkbook book = new SXSSFWorkbook(ROWS_IN_MEMORY)) {
            CellStyle day = book.createCellStyle();
            day.setDataFormat(book.createDataFormat().getFormat("yyyy-mm-dd"));
            for (Table table : tables) {
                Sheet sheet = book.createSheet(WorkbookUtil.createSafeSheetName(table.name()));
                int[] next = {0};
                fill(sheet.createRow(next[0]++), table.heads(), day);
                table.rows().each(cells -> {
                    if (next[0] < MOST_ROWS) {
                        fill(sheet.createRow(next[0]++), cells, day);
                    }
                });
                sheet.createFreezePane(0, 1);
            }
            book.write(out);
        }
    }

    private static void fill(Row row, List<?> cells, CellStyle ofDays) {
        for (int at = 0; at < cells.size(); at++) {
            Object value = cells.get(at);
            if ("".equals(value)) {
                continue;
            }
            Cell cell = row.createCell(at);
            if (value instanceof BigDecimal figure) {
                cell.setCellValue(figure.doubleValue());
            } else if (value instanceof LocalDate day) {
                cell.setCellValue(day);
                cell.setCellStyle(ofDays);
            } else {
                cell.setCellValue(String.valueOf(value));
            }
        }
    }
}
