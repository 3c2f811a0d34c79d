package dev.yarbel.web.contest;

import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.ContestSeen;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.Replan;
import dev.yarbel.core.adjust.Subject;
import dev.yarbel.core.adjust.Tuning;
import dev.yarbel.core.adjust.WeekBeside;
import dev.yarbel.core.shape.AnotherDay;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.LifterBlock;
import java.time.LocalDate;
import java.time.Period;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A lifter's season on one line: their blocks, and the contests they are entered in.
 *
 * @param from its first day
 * @param days it is long
 * @param months begun within it
 * @param today where it lies, as the others do in thousandths of the line
 * @param undated contests that have no day
 */
record SeasonView(
        LocalDate from,
        long days,
        List<Bar> bars,
        List<Flag> flags,
        List<Month> months,
        double today,
        List<ContestEntity> undated) {

    private static final int LINE = 1000;
    private static final int MOST_MONTHS_BACK = 12;
    private static final int AROUND = 10;

    /**
     * A block.
     *
     * @param lane 0, or 1 where the one before it is still running
     */
    record Bar(BlockSummary block, double x, double width, int lane) {}

    /**
     * A contest.
     *
     * @param entry the lifter's in it
     * @param through whether it is trained through
     * @param days to go, negative where it is over
     * @param leads the block that leads to this very day; empty where none does
     * @param uncovered days before it that no block covers, counted from today; nothing where all are
     */
    record Flag(
            ContestEntity contest,
            long entry,
            boolean through,
            double x,
            long days,
            Optional<BlockSummary> leads,
            long uncovered) {}

    record Month(LocalDate first, double x) {}

    /**
     * What would follow if a contest were on another day.
     *
     * @param leads whether the lifter's plan leads to the contest's day, so that it would be written otherwise
     * @param way how; empty where nothing of the plan would change
     * @param weeks before and after
     */
    record Moving(
            ContestEntity contest, LocalDate to, boolean leads, Optional<AnotherDay.Way> way, List<WeekBeside> weeks) {

        static Moving of(ContestEntity contest, LocalDate to, Optional<LifterBlock> current) {
            Optional<LifterBlock> plan = current.filter(
                    block -> contest.on().isPresent() && block.block().contest().equals(contest.on()));
            Optional<Replan> replan = plan.flatMap(block -> {
                ContestSeen seen =
                        new ContestSeen(contest.name(), contest.on(), Optional.of(to), false, Optional.empty());
                return new Calls(Calls.RULES)
                        .look(Subject.of(seen, block.ahead(), block.lifter().aches()), Tuning.USUAL).stream()
                                .map(Finding::proposal)
                                .filter(Replan.class::isInstance)
                                .map(Replan.class::cast)
                                .findFirst();
            });
            return new Moving(
                    contest,
                    to,
                    plan.isPresent(),
                    replan.map(Replan::way),
                    replan.map(proposal -> proposal.weeks(plan.get().ahead())).orElse(List.of()));
        }
    }

    /** @param entered each contest with the number of the lifter's entry */
    static SeasonView of(List<BlockSummary> blocks, List<Entered> entered, LocalDate today) {
        LocalDate oldest = today.minusMonths(MOST_MONTHS_BACK);
        List<BlockSummary> shown = blocks.stream()
                .filter(block -> block.end().isAfter(oldest))
                .sorted(Comparator.comparing(BlockSummary::start))
                .toList();
        List<Entered> dated = entered.stream()
                .filter(one -> one.contest.on().filter(on -> on.isAfter(oldest)).isPresent())
                .toList();
        LocalDate from = Stream.of(
                        shown.stream().map(BlockSummary::start),
                        dated.stream().map(one -> one.contest.on().orElseThrow()),
                        Stream.of(today))
                .flatMap(days -> days)
                .min(Comparator.naturalOrder())
                .orElseThrow()
                .minusDays(AROUND);
        LocalDate to = Stream.of(
                        shown.stream().map(BlockSummary::end),
                        dated.stream().map(one -> one.contest.on().orElseThrow()),
                        Stream.of(today))
                .flatMap(days -> days)
                .max(Comparator.naturalOrder())
                .orElseThrow()
                .plusDays(AROUND);
        Scale scale = new Scale(from, ChronoUnit.DAYS.between(from, to));
        return new SeasonView(
                from,
                scale.days,
                bars(shown, scale),
                dated.stream().map(one -> flag(one, shown, scale, today)).toList(),
                months(from, to, scale),
                scale.x(today),
                entered.stream()
                        .map(Entered::contest)
                        .filter(contest -> contest.on().isEmpty() && !contest.isCancelled())
                        .toList());
    }

    /** A contest that the lifter is entered in. */
    record Entered(ContestEntity contest, long entry, boolean through) {}

    private record Scale(LocalDate from, long days) {

        double x(LocalDate day) {
            return (double) LINE * ChronoUnit.DAYS.between(from, day) / days;
        }
    }

    private static List<Bar> bars(List<BlockSummary> blocks, Scale scale) {
        List<Bar> bars = new ArrayList<>();
        LocalDate busy = LocalDate.MIN;
        for (BlockSummary block : blocks) {
            int lane = !bars.isEmpty() && block.start().isBefore(busy) ? 1 - bars.get(bars.size() - 1).lane : 0;
            // another block takes its place before it has run its course
            LocalDate over = block.putAside().orElse(block.end().plusDays(1));
            double x = scale.x(block.start());
            bars.add(new Bar(block, x, scale.x(over) - x, lane));
            busy = over.isAfter(busy) ? over : busy;
        }
        return bars;
    }

    private static Flag flag(Entered one, List<BlockSummary> blocks, Scale scale, LocalDate today) {
        LocalDate on = one.contest.on().orElseThrow();
        long uncovered = today.datesUntil(on.isAfter(today) ? on : today)
                .filter(day ->
                        blocks.stream().noneMatch(block -> !day.isBefore(block.start()) && !day.isAfter(block.end())))
                .count();
        return new Flag(
                one.contest,
                one.entry,
                one.through,
                scale.x(on),
                ChronoUnit.DAYS.between(today, on),
                blocks.stream()
                        .filter(block -> block.contest().equals(Optional.of(on)))
                        .findFirst(),
                uncovered);
    }

    private static List<Month> months(LocalDate from, LocalDate to, Scale scale) {
        return from.withDayOfMonth(1)
                .plusMonths(1)
                .datesUntil(to, Period.ofMonths(1))
                .map(first -> new Month(first, scale.x(first)))
                .toList();
    }
}
