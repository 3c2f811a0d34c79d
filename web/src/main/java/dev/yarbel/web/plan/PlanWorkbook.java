package dev.yarbel.web.plan;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.page.Words;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.WorkbookUtil;
import org.apache.poi.xssf.usermodel.XSSFFormulaEvaluator;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.springframework.stereotype.Component;

/**
 * A block as a workbook that looks like its sheet: a page for each day, its slots beneath one another, its weeks side by side, and
 * a page of working maxes. A share of a working max is a formula, since it is nothing else; the load beside it is a figure, since
 * plates, rules of rounding and what was lifted settle it and no cell knows them.
 */
@Component
class PlanWorkbook {

    private static final int DECIMALS = 2;
    private static final int BEFORE_WEEKS = 2;
    /** Of each week: the dose, what a share comes to, the load. */
    private static final int OF_A_WEEK = 3;

    private static final int LIFT_WIDTH = 24 * 256;
    private static final int DOSE_WIDTH = 16 * 256;

    private final Words words;

    PlanWorkbook(Words words) {
        this.words = words;
    }

    void write(LifterBlock plan, OutputStream out) throws IOException {
        try (XSSFWorkbook book = new XSSFWorkbook()) {
            Page page = new Page(plan, book);
            page.maxes();
            for (int day : plan.block().daysByDate()) {
                page.day(day);
            }
            XSSFFormulaEvaluator.evaluateAllFormulaCells(book);
            book.write(out);
        }
    }

    /** What is written of one block. */
    private final class Page {

        private final LifterBlock plan;
        private final MassUnit unit;
        private final XSSFWorkbook book;
        private final CellStyle head;
        private final CellStyle date;
        /** Where each lift's working max stands. */
        private final Map<Lift, String> maxes = new LinkedHashMap<>();

        private Page(LifterBlock plan, XSSFWorkbook book) {
            this.plan = plan;
            this.unit = plan.lifter().unit();
            this.book = book;
            this.head = book.createCellStyle();
            Font bold = book.createFont();
            bold.setBold(true);
            head.setFont(bold);
            this.date = book.createCellStyle();
            date.setDataFormat(book.createDataFormat().getFormat("yyyy-mm-dd"));
        }

        private void maxes() {
            String name = words.say("plan.file.maxes");
            Sheet sheet = sheet(name);
            Row heads = sheet.createRow(0);
            text(heads, 0, words.say("exchange.out.lift"), head);
            text(heads, 1, words.say("exchange.out.working") + ", " + unit.symbol(), head);
            for (LiftRecord lift : plan.standing().lifts()) {
                lift.workingMax().ifPresent(max -> {
                    Row row = sheet.createRow(sheet.getLastRowNum() + 1);
                    text(row, 0, words.lift(lift.lift()), null);
                    row.createCell(1).setCellValue(figure(max));
                    maxes.put(lift.lift(), "'" + sheet.getSheetName() + "'!$B$" + (row.getRowNum() + 1));
                });
            }
            sheet.setColumnWidth(0, LIFT_WIDTH);
            sheet.setColumnWidth(1, DOSE_WIDTH);
        }

        private Sheet sheet(String name) {
            String safe = WorkbookUtil.createSafeSheetName(name.replace("'", "’"));
            String unlike = safe;
            for (int next = 2; book.getSheet(unlike) != null; next++) {
                String end = " " + next;
                unlike = safe.substring(0, Math.min(safe.length(), 31 - end.length())) + end;
            }
            return book.createSheet(unlike);
        }

        private void day(int day) {
            Sheet sheet = sheet(plan.block().days().get(day).name());
            Row weeks = sheet.createRow(0);
            Row dates = sheet.createRow(1);
            Row heads = sheet.createRow(2);
            text(weeks, 0, plan.lifter().name() + ", " + plan.name(), head);
            text(heads, 0, words.say("exchange.out.slot"), head);
            text(heads, 1, words.say("exchange.out.lift"), head);
            sheet.setColumnWidth(1, LIFT_WIDTH);
            Map<String, Row> rows = lines(sheet, day);
            for (int week = 0; week < plan.block().weeks(); week++) {
                int at = BEFORE_WEEKS + week * OF_A_WEEK;
                text(weeks, at, words.say("plan.week", week + 1), head);
                dates.createCell(at).setCellValue(plan.block().date(day, week));
                dates.getCell(at).setCellStyle(date);
                text(heads, at, words.say("exchange.out.dose"), head);
                text(heads, at + 1, words.say("plan.file.share") + ", " + unit.symbol(), head);
                text(heads, at + 2, words.say("exchange.out.load") + ", " + unit.symbol(), head);
                sheet.setColumnWidth(at, DOSE_WIDTH);
                week(rows, day, week, at);
            }
            sheet.createFreezePane(BEFORE_WEEKS, 3);
        }

        /** A row for each part of a slot, in the order of the slots, whichever week it is first asked for in. */
        private Map<String, Row> lines(Sheet sheet, int day) {
            List<String> slots = plan.block().days().get(day).slots().stream()
                    .map(Slot::letter)
                    .toList();
            Map<String, PrescribedSets> lines = new LinkedHashMap<>();
            for (int week = 0; week < plan.block().weeks(); week++) {
                Map<String, Integer> parts = new HashMap<>();
                plan.projection().prescriptions(day, week).forEach(sets -> lines.putIfAbsent(key(sets, parts), sets));
            }
            Map<String, Row> rows = new HashMap<>();
            lines.entrySet().stream()
                    .sorted(Comparator.comparingInt(
                            line -> slots.indexOf(line.getValue().letter())))
                    .forEach(line -> {
                        Row made = sheet.createRow(sheet.getLastRowNum() + 1);
                        text(made, 0, line.getValue().letter(), null);
                        text(made, 1, words.lift(line.getValue().lift()), null);
                        rows.put(line.getKey(), made);
                    });
            return rows;
        }

        /** The place of a part among those of its slot in a week. */
        private static String key(PrescribedSets sets, Map<String, Integer> parts) {
            return sets.letter() + " " + parts.merge(sets.letter(), 1, Integer::sum) + " " + sets.lift();
        }

        private void week(Map<String, Row> rows, int day, int week, int at) {
            Map<String, Integer> parts = new HashMap<>();
            List<PrescribedSets> asked = plan.projection().prescriptions(day, week);
            for (SessionPlan.SlotPlan slot :
                    SessionPlan.of(plan.resolver(), asked, List.of()).slots()) {
                PrescribedSets sets = slot.prescription();
                Row row = rows.get(key(sets, parts));
                text(row, at, sets.part().shorthand(), null);
                share(sets).ifPresent(formula -> row.createCell(at + 1).setCellFormula(formula));
                slot.planned().load().ifPresent(load -> row.createCell(at + 2).setCellValue(figure(load)));
            }
        }

        /** The share of a working max, where that is what the dose asks for and no more is to be known. */
        private Optional<String> share(PrescribedSets sets) {
            return sets.part()
                    .basis()
                    .share()
                    .filter(share -> share.percent().equals(share.most()))
                    .flatMap(share -> max(share, sets.lift())
                            .map(cell -> cell + "*" + share.percent().figure().toPlainString() + "%"));
        }

        private Optional<String> max(LoadBasis.Share share, Lift lift) {
            if (share.of() instanceof Reference.Other other) {
                return Optional.ofNullable(maxes.get(other.lift()));
            }
            return share.of() == Reference.Named.WORKING ? Optional.ofNullable(maxes.get(lift)) : Optional.empty();
        }

        private double figure(Mass mass) {
            return Double.parseDouble(mass.figure(unit, DECIMALS));
        }
    }

    private static void text(Row row, int at, String text, CellStyle style) {
        row.createCell(at).setCellValue(text);
        if (style != null) {
            row.getCell(at).setCellStyle(style);
        }
    }
}
