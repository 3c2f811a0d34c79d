package dev.yarbel.web.exchange;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.book.WholeLog;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.streaming.SXSSFWorkbook;
import org.springframework.stereotype.Component;

/**
 * A log as a file: a row for each set, which is written as it is read, and which {@link Brought} reads back to the same sets. Loads are in the
 * unit of the lifter, who finds the figures that were typed.
 */
@Component
class LogFile {

    private static final List<String> HEADS = List.of(
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
    private static final int DECIMALS = 3;
    private static final int ROWS_IN_MEMORY = 200;
    private static final int MOST_ROWS = 1_000_000;

    private final WholeLog log;
    private final Words words;

    LogFile(WholeLog log, Words words) {
        this.log = log;
        this.words = words;
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

    private List<String> heads() {
        return HEADS.stream().map(head -> words.say("exchange.out." + head)).toList();
    }

    private void each(List<LifterCard> lifters, Consumer<List<Object>> row) {
        Map<Long, LifterCard> byId = lifters.stream().collect(Collectors.toMap(LifterCard::id, Function.identity()));
        Optional<LifterCard> any = lifters.stream().findFirst();
        any.ifPresent(one -> log.each(
                one.clubId(), byId.keySet(), logged -> row.accept(cells(byId.get(logged.lifterId()), logged))));
    }

    /** As CSV by RFC 4180, in UTF-8 with a mark, by which spreadsheets know it. */
    void csv(List<LifterCard> lifters, OutputStream out) throws IOException {
        Writer text = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        text.write('\ufeff');
        CSVPrinter rows = new CSVPrinter(text, CSVFormat.RFC4180);
        rows.printRecord(heads());
        each(lifters, cells -> {
            try {
                rows.printRecord(cells.stream().map(LogFile::plain).toList());
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
    static String harmless(String text) {
        return text.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + text : text;
    }

    /** As a workbook, its rows on disk while it is made. */
    void xlsx(List<LifterCard> lifters, OutputStream out) throws IOException {
        try (SXSSFWorkbook book = new SXSSFWorkbook(ROWS_IN_MEMORY)) {
            Sheet sheet = book.createSheet(words.say("exchange.out.sheet"));
            CellStyle day = book.createCellStyle();
            day.setDataFormat(book.createDataFormat().getFormat("yyyy-mm-dd"));
            int[] next = {0};
            fill(sheet.createRow(next[0]++), List.copyOf(heads()), day);
            each(lifters, cells -> {
                if (next[0] < MOST_ROWS) {
                    fill(sheet.createRow(next[0]++), cells, day);
                }
            });
            sheet.createFreezePane(0, 1);
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
