package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.recovery.Clock;
import dev.yarbel.core.recovery.DayStrain;
import dev.yarbel.core.recovery.Spread;
import dev.yarbel.core.recovery.TissueLedger;
import dev.yarbel.core.recovery.Wake;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Two weeks of a block by hours, each family of lifts in a row of its own, for an SVG.
 *
 * @param week the first of the two, from 0
 * @param days the weekdays along the top
 * @param overlaps of hard days in these weeks, the deepest first
 * @param gaps that end in these weeks
 * @param trails of these weeks, for the table
 * @param now by how many hours hard days of the whole block come too soon as it is kept
 * @param then the same as the days would lie
 * @param laid where each day of the block would lie
 * @param tissues what each bears, by the plan as it is kept
 * @param better other weekdays on which they come less soon
 */
record WakeView(
        int week,
        List<Column> days,
        List<Row> rows,
        List<Wake.Overlap> overlaps,
        List<Wake.Gap> gaps,
        List<Wake.Trail> trails,
        long now,
        long then,
        List<LaidDay> laid,
        Optional<Spread> better,
        List<Borne> tissues) {

    static final int DAYS = 14;
    /** Room for the lifts' names. */
    static final int LEFT = 130;

    static final int DAY = 72;
    static final int ROW = 34;
    static final int TOP = 26;

    private static final int WEEK = 7;
    private static final double HOURS = 24;
    private static final int BAR = 16;
    private static final int AT = 9;

    /**
     * A day along the top.
     *
     * @param offset its weekday, from 0 for the first day of the block's weeks
     */
    record Column(int x, LocalDate date, boolean trained, int offset) {}

    /** A family of lifts. */
    record Row(Lift root, int y, List<Bar> bars) {}

    /**
     * A day's work and what it trails.
     *
     * @param width of the wake, cut where the drawing ends
     * @param soon the part of it, from its left, that lies after the next hard day of its like; nothing where none comes too soon
     * @param clocks where technique, muscle, force and joints are there again, those that lie in the drawing
     * @param offset the weekday it lies on
     */
    record Bar(
            int x,
            int y,
            int width,
            int height,
            DayStrain strain,
            Wake.Trail trail,
            Optional<Soon> soon,
            List<Integer> clocks,
            int offset) {

        /** Where the last of them lies, for the line that leads there. */
        public int end() {
            return clocks.isEmpty() ? x : clocks.get(clocks.size() - 1);
        }
    }

    /** What is hatched. */
    record Soon(int x, int width) {}

    /**
     * A day of the block.
     *
     * @param kept its weekday as it is kept, from 0
     * @param offset its weekday as it would be
     */
    record LaidDay(int day, String name, int kept, int offset) {

        public boolean isMoved() {
            return kept != offset;
        }
    }

    static int width() {
        return LEFT + DAYS * DAY;
    }

    /** How wide the drawing is. */
    public int wide() {
        return width();
    }

    /** What comes back at a pace of its own, for the table. */
    public List<Clock> clocks() {
        return List.of(Clock.values());
    }

    /** How high the drawing is. */
    public int height() {
        return TOP + rows.size() * ROW + 6;
    }

    /** Whether a day would lie elsewhere than it is kept. */
    public boolean isMoved() {
        return laid.stream().anyMatch(LaidDay::isMoved);
    }

    /**
     * What a tissue bears, in sets a week.
     *
     * @param past the last weeks, the oldest first
     * @param now this week, or the block's first where it is still to come
     * @param next the week after; empty where there is none
     * @param budget empty where it does not ache
     */
    record Borne(
            TissueLedger.Line line,
            List<String> past,
            String usedTo,
            String now,
            String next,
            String most,
            String budget) {

        private static final int PAST_WEEKS = 4;

        private static Borne of(TissueLedger.Line line) {
            return new Borne(
                    line,
                    line.past().stream()
                            .skip(Math.max(0, line.past().size() - PAST_WEEKS))
                            .map(Borne::sets)
                            .toList(),
                    sets(line.usedTo()),
                    line.ahead().isEmpty() ? "" : sets(line.ahead().get(0)),
                    line.ahead().size() < 2 ? "" : sets(line.ahead().get(1)),
                    sets(line.most()),
                    line.budget().map(Borne::sets).orElse(""));
        }

        static String sets(double sets) {
            return BigDecimal.valueOf(Math.round(2 * sets) / 2.0)
                    .stripTrailingZeros()
                    .toPlainString();
        }

        /** What a slot that could spare it loads it with. */
        public String sets(TissueLedger.Relief relief) {
            return sets(relief.sets());
        }
    }

    static WakeView of(
            Block kept, Wake before, Block block, Wake wake, int week, Optional<Spread> better, TissueLedger tissues) {
        LocalDate first = block.start().plusWeeks(week);
        LocalDate end = first.plusDays(DAYS);
        List<Wake.Trail> trails = wake.trails().stream()
                .filter(trail -> !trail.date().isBefore(first) && trail.date().isBefore(end))
                .toList();
        return new WakeView(
                week,
                columns(first, trails),
                rows(wake, trails, first),
                wake.overlaps().stream()
                        .filter(overlap -> !overlap.then().date().isBefore(first)
                                && overlap.then().date().isBefore(end))
                        .toList(),
                wake.gaps().stream()
                        .filter(gap -> !gap.to().isBefore(first) && gap.to().isBefore(end))
                        .toList(),
                trails,
                before.tooSoon(),
                wake.tooSoon(),
                laid(kept, block),
                better,
                tissues.tissues().stream().map(Borne::of).toList());
    }

    private static List<LaidDay> laid(Block kept, Block block) {
        List<LaidDay> laid = new ArrayList<>();
        for (int day = 0; day < kept.days().size(); day++) {
            TrainingDay old = kept.days().get(day);
            laid.add(new LaidDay(
                    day, old.name(), old.offset(), block.days().get(day).offset()));
        }
        return laid;
    }

    private static List<Column> columns(LocalDate first, List<Wake.Trail> trails) {
        List<Column> columns = new ArrayList<>();
        for (int day = 0; day < DAYS; day++) {
            LocalDate date = first.plusDays(day);
            columns.add(new Column(
                    LEFT + day * DAY,
                    date,
                    trails.stream().anyMatch(trail -> trail.date().equals(date)),
                    day % WEEK));
        }
        return columns;
    }

    private static List<Row> rows(Wake wake, List<Wake.Trail> trails, LocalDate first) {
        List<Lift> roots = trails.stream().map(Wake.Trail::root).distinct().toList();
        List<Row> rows = new ArrayList<>();
        for (Lift root : roots) {
            int y = TOP + rows.size() * ROW;
            rows.add(new Row(
                    root,
                    y,
                    trails.stream()
                            .filter(trail -> trail.root().equals(root))
                            .map(trail -> bar(wake, trail, first, y))
                            .toList()));
        }
        return rows;
    }

    private static Bar bar(Wake wake, Wake.Trail trail, LocalDate first, int y) {
        int x = x(first, trail.date());
        int width = Math.min(px(trail.hours()), width() - x);
        return new Bar(
                x,
                y + AT,
                width,
                BAR,
                trail.strain(),
                trail,
                wake.overlaps().stream()
                        .filter(overlap -> overlap.first().equals(trail))
                        .findFirst()
                        .map(overlap -> soon(x, overlap)),
                Stream.of(Clock.values())
                        .map(clock -> x + px(trail.hours(clock)))
                        .filter(at -> at <= width())
                        .toList(),
                (int) (ChronoUnit.DAYS.between(first, trail.date()) % WEEK));
    }

    private static Soon soon(int x, Wake.Overlap overlap) {
        int from = Math.min(x + px(overlap.between()), width());
        return new Soon(from, Math.max(0, Math.min(px(overlap.tooSoonBy()), width() - from)));
    }

    private static int x(LocalDate first, LocalDate date) {
        return LEFT + (int) ChronoUnit.DAYS.between(first, date) * DAY;
    }

    private static int px(long hours) {
        return (int) Math.round(hours * DAY / HOURS);
    }
}
