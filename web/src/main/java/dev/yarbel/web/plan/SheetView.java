package dev.yarbel.web.plan;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/** What a lens shows of a block, with what is marked and what the block adds up to. */
record SheetView(
        Lens lens,
        List<Tab> tabs,
        List<DayHead> heads,
        List<Week> weeks,
        List<Row> rows,
        List<MarkView> marks,
        TallyView reckoning) {

    /** A day to turn to. */
    record Tab(int day, String name, int offset, boolean open) {}

    /** The day in hand, from 0; -1 in a block without days. */
    public int day() {
        return lens.day();
    }

    /** The head of a day where a week is shown; its parts as those of a week's head. */
    record DayHead(int day, String name, LocalDate date, boolean lifted, boolean underWay, int minutes) {}

    /**
     * A column's head.
     *
     * @param underWay somebody is logging it, or began to and did not finish
     * @param minutes how long the day will take; 0 where nothing is asked for
     * @param movable nothing was logged in it or after it
     */
    record Week(
            int number,
            LocalDate date,
            boolean current,
            boolean lifted,
            boolean underWay,
            BlockWeek shape,
            boolean gap,
            int minutes,
            boolean movable) {}

    /**
     * A slot with its cells.
     *
     * @param day it stands in, from 0
     * @param kit what its loads are made with; null when the gym has nothing for the lift
     * @param school in words; null when a coach wrote it
     * @param reason why it is there; null when nobody said
     * @param growth the gain its loads count on, in words; null where they count on none
     * @param hurting the open aches that the lift loads
     */
    record Row(
            int day,
            SlotId slotId,
            String letter,
            Lift lift,
            String kit,
            String school,
            String reason,
            String growth,
            List<Ache> hurting,
            List<CellView> cells) {}

    /**
     * A mark in words.
     *
     * @param kind its code
     * @param stop whether it is one that can hurt
     * @param places where it stands; none when it concerns a lift or the whole block
     * @param contest the day whose weeks could be shaped for it; null where it is about something else
     */
    record MarkView(String kind, boolean stop, String text, List<PlaceView> places, LocalDate contest) {}

    /** Where something is marked: in words, and the day and week to look at. */
    record PlaceView(String text, int day, int week) {}

    /**
     * The same with those cells only that may show something else than before: whose load differs, which stand in a row
     * with a dose that changed, and those with a mark or a trouble.
     *
     * @param before what each cell showed, without marks
     */
    SheetView since(Map<CellKey, CellView> before) {
        List<Row> changed = rows.stream()
                .map(row -> {
                    boolean rowChanged =
                            row.cells().stream().anyMatch(cell -> !cell.kept().equals(keptBefore(before, cell)));
                    return new Row(
                            row.day(),
                            row.slotId(),
                            row.letter(),
                            row.lift(),
                            row.kit(),
                            row.school(),
                            row.reason(),
                            row.growth(),
                            row.hurting(),
                            row.cells().stream()
                                    .filter(cell -> rowChanged || differs(before.get(cell.key()), cell))
                                    .toList());
                })
                .toList();
        return new SheetView(lens, tabs, heads, weeks, changed, marks, reckoning);
    }

    private static String keptBefore(Map<CellKey, CellView> before, CellView cell) {
        CellView was = before.get(cell.key());
        return was == null ? "" : was.kept();
    }

    private static boolean differs(CellView was, CellView is) {
        return was == null
                || is.trouble().isPresent()
                || !is.marks().isEmpty()
                || !was.loads().equals(is.loads());
    }

    /** The slots of a day, where a week is shown. */
    public List<Row> rowsOf(int day) {
        return rows.stream().filter(row -> row.day() == day).toList();
    }

    /** How many slots the longest day has. */
    public int longest() {
        return tabs.stream().mapToInt(tab -> rowsOf(tab.day()).size()).max().orElse(0);
    }
}
