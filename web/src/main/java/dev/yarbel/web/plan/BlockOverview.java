package dev.yarbel.web.plan;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.prescription.Details;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.block.LifterBlock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A whole block on one page: its days below one another, its weeks side by side, each dose shortened to its sets and what
 * their load hangs on, with the load.
 *
 * @param days in the order of the week
 */
record BlockOverview(List<WeekHead> weeks, List<Day> days) {

    /** A column; {@code phase} is its code, empty where nothing is said. */
    record WeekHead(int number, boolean current, boolean deload, String phase) {}

    /**
     * A training day.
     *
     * @param at its place in the block, from 0
     */
    record Day(int at, String name, List<Held> held, List<Row> rows) {}

    /** A day in one of the weeks. */
    record Held(LocalDate date, boolean lifted) {}

    record Row(String letter, String lift, String reason, List<Cell> cells) {}

    /**
     * A dose in small.
     *
     * @param dose shortened; empty where nothing is asked for
     * @param whole the dose as it is written
     * @param loads what its parts come to, in the lifter's unit, or what was lifted
     * @param about some of it is settled by the day itself
     * @param tint how heavy it is, 0 to 5
     * @param mark what a coach may want to look at there, in words; empty where there is nothing
     */
    record Cell(String dose, String whole, String loads, boolean about, int tint, boolean lifted, String mark) {

        /** The whole of it, and what is marked; null where there is nothing. */
        public String title() {
            String all = mark.isEmpty() ? whole : whole + " — " + mark;
            return all.isEmpty() ? null : all;
        }
    }

    /** @param cells what the sheet shows of each dose */
    static BlockOverview of(LifterBlock plan, Cells cells, LiftName names) {
        List<WeekHead> weeks = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            BlockWeek shape = plan.block().shape().get(week);
            weeks.add(new WeekHead(
                    week + 1,
                    week == plan.currentWeek(),
                    shape.deload(),
                    shape.phase().name().toLowerCase(Locale.ROOT)));
        }
        return new BlockOverview(
                weeks,
                plan.block().daysByDate().stream()
                        .map(day -> day(plan, day, cells, names))
                        .toList());
    }

    /** The same in pages of so many weeks. */
    List<BlockOverview> inParts(int most) {
        List<BlockOverview> parts = new ArrayList<>();
        for (int from = 0; from < weeks.size(); from += most) {
            parts.add(part(from, Math.min(weeks.size(), from + most)));
        }
        return parts;
    }

    private BlockOverview part(int from, int to) {
        return new BlockOverview(
                weeks.subList(from, to),
                days.stream()
                        .map(day -> new Day(
                                day.at,
                                day.name,
                                day.held.subList(from, to),
                                day.rows.stream()
                                        .map(row ->
                                                new Row(row.letter, row.lift, row.reason, row.cells.subList(from, to)))
                                        .toList()))
                        .toList());
    }

    /** How small a page of it is likely to be printed: 0 for few weeks and slots, 3 for many. */
    int print() {
        int slots = days.stream().mapToInt(day -> day.rows.size() + 1).sum();
        return (weeks.size() > 12 ? 2 : weeks.size() > 8 ? 1 : 0) + (slots > 24 ? 1 : 0);
    }

    /** Finds what the sheet shows of a dose. */
    @FunctionalInterface
    interface Cells {
        CellView of(CellKey key);
    }

    /** Names lifts in the reader's words. */
    @FunctionalInterface
    interface LiftName {
        String of(Slot slot);
    }

    private static Day day(LifterBlock plan, int at, Cells cells, LiftName names) {
        TrainingDay day = plan.block().days().get(at);
        List<Held> held = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            held.add(new Held(plan.block().date(at, week), plan.isFinished(at, week)));
        }
        return new Day(
                at,
                day.name(),
                held,
                day.slots().stream().map(slot -> row(plan, slot, cells, names)).toList());
    }

    private static Row row(LifterBlock plan, Slot slot, Cells cells, LiftName names) {
        List<Cell> row = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            row.add(cell(slot.dose(week), cells.of(new CellKey(slot.id(), week))));
        }
        return new Row(slot.letter(), names.of(slot), slot.reason().orElse(""), row);
    }

    private static Cell cell(Optional<Dose> dose, CellView shown) {
        return new Cell(
                dose.map(BlockOverview::shortened).orElse(""),
                shown.kept(),
                String.join(
                        " · ",
                        shown.loads().stream()
                                .map(CellView.LoadView::figure)
                                .filter(figure -> figure != null)
                                .toList()),
                shown.loads().stream().anyMatch(CellView.LoadView::about),
                shown.tint(),
                shown.lifted(),
                String.join(" ", shown.marks()));
    }

    /** The dose without rest, tempo, kit, cue and reason; a sign tells where there is more. */
    private static String shortened(Dose dose) {
        Dose bare = new Dose(
                dose.parts().stream().map(part -> part.with(Details.NONE)).toList());
        return bare.equals(dose) ? dose.shorthand() : bare.shorthand() + " …";
    }
}
