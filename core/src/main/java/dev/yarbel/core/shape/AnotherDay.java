package dev.yarbel.core.shape;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.LiftNumbers;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * A block whose contest lies on another day than it was written for, or on none.
 *
 * <p>Further off: strength is held for the weeks between, and the weeks before the contest come as they were written; where they have begun, they
 * come anew. Nearer: weeks between go. Without a day the plan is parked: strength is held, and no peak comes. Where a parked block, or one that led
 * nowhere, gets a day, it is held until then and its last weeks are shaped by {@link Peak} and {@link Taper}. Strength is held at
 * sustainable loads (85 % or what rates about so at most, nothing to the limit), every seventh week of it easy (common practice, no source). Weeks after the contest stay after it.
 *
 * @param from the first week, from 0, that may be written otherwise
 * @param day the new day; empty for none
 * @param numbers what the loads of a lift hang on
 */
public record AnotherDay(
        Block block,
        int from,
        Optional<LocalDate> day,
        Way way,
        Catalogue catalogue,
        Function<Lift, LiftNumbers> numbers) {

    /** What becomes of the weeks between, as coaches differ. */
    public enum Way {
        /** Those that come next are held, or go. */
        AT_ONCE,
        /** Those before the last two weeks are held, or go. */
        BEFORE_THE_PEAK,
        /** Strength is held, whatever the day, until a coach writes on. */
        PARKED,
        /** Only the day is noted. */
        DAY_ONLY
    }

    /** A parked plan holds for so many weeks at least. */
    public static final int LEAST_PARKED = 6;

    /** Strength is not held for longer than so without an easy week. */
    private static final int HELD = 6;

    /** A week of the new order: which it was, and whether it is held, or easy on top of it. */
    private record Week(int was, boolean held, boolean easy) {

        static Week asWritten(int was) {
            return new Week(was, false, false);
        }
    }

    /**
     * The block for that day; empty where it would be longer than a block can be.
     *
     * @param stays whether a day of a week, both from 0, is left as it is, as those are that were lifted
     */
    public Optional<Block> of(BiPredicate<Integer, Integer> stays) {
        if (way == Way.DAY_ONLY) {
            return Optional.of(block.toward(day));
        }
        Optional<LocalDate> leadsTo = way == Way.PARKED ? Optional.empty() : day;
        List<Week> order = new ArrayList<>(
                IntStream.range(0, from).mapToObj(Week::asWritten).toList());
        if (leadsTo.isEmpty()) {
            order.addAll(held(Math.max(LEAST_PARKED, block.weeks() - from), base(firstShaped())));
        } else {
            order.addAll(toward(leadsTo.get()));
        }
        if (order.size() > Block.MOST_WEEKS) {
            return Optional.empty();
        }
        Block reordered = written(order).toward(leadsTo);
        return Optional.of(leadsTo.map(on -> shaped(reordered, on, stays)).orElse(reordered));
    }

    private Block shaped(Block reordered, LocalDate on, BiPredicate<Integer, Integer> stays) {
        Taper taper = new Taper(on, catalogue, numbers);
        return block.contest().isPresent()
                ? taper.again(reordered, stays)
                : taper.over(new Peak(on, catalogue, numbers).over(reordered, stays), stays);
    }

    // ---- the order of the weeks

    /** Those from the first that may be written otherwise on. */
    private List<Week> toward(LocalDate on) {
        int end = block.weeks() - 1;
        // the day may lie a little behind the block's last week
        int ledTo = block.contest().map(this::week).orElse(end);
        int led = Math.min(end, ledTo);
        int total = Math.max(0, week(on) - from + 1 - (ledTo - led));
        int peak = firstShaped();
        List<Week> weeks = new ArrayList<>(
                IntStream.rangeClosed(from, led).mapToObj(Week::asWritten).toList());
        int more = total - weeks.size();
        if (more <= 0) {
            int keep = way == Way.BEFORE_THE_PEAK ? Math.max(0, Math.min(peak - from + more, total)) : 0;
            // the last weeks before the contest are the last to go
            List<Week> cut = new ArrayList<>(weeks.subList(0, keep));
            cut.addAll(weeks.subList(weeks.size() - (total - keep), weeks.size()));
            weeks = cut;
        } else if (from <= peak) {
            int at = way == Way.BEFORE_THE_PEAK ? peak : from;
            weeks.addAll(at - from, held(more, at < peak ? next(at, peak) : base(peak)));
        } else {
            int anew = Math.min(total, led - peak + 1);
            weeks = new ArrayList<>(held(total - anew, base(peak)));
            IntStream.rangeClosed(led - anew + 1, led).mapToObj(Week::asWritten).forEach(weeks::add);
        }
        IntStream.range(Math.max(from, led + 1), block.weeks())
                .mapToObj(Week::asWritten)
                .forEach(weeks::add);
        return weeks;
    }

    /** The week of a day, from 0. */
    private int week(LocalDate on) {
        return (int) Math.floorDiv(ChronoUnit.DAYS.between(block.start(), on), 7);
    }

    /** The first week that the contest shapes; the one after the last where it leads to none. */
    private int firstShaped() {
        return block.contest()
                .map(on -> Math.max(0, Math.min(block.weeks(), week(on.minusDays(Taper.DAYS)))))
                .orElse(block.weeks());
    }

    private boolean isTrained(int week) {
        return !block.shape().get(week).deload() && !block.isGap(week);
    }

    /** The next week that is trained, before another one. */
    private int next(int week, int before) {
        return IntStream.range(week, before).filter(this::isTrained).findFirst().orElseGet(() -> base(before));
    }

    /** The last week before another one that is trained; where there is none the next one. */
    private int base(int before) {
        return IntStream.iterate(before - 1, week -> week >= 0, week -> week - 1)
                .filter(this::isTrained)
                .findFirst()
                .orElseGet(() -> IntStream.range(before, block.weeks())
                        .filter(this::isTrained)
                        .findFirst()
                        .orElse(0));
    }

    private static List<Week> held(int weeks, int base) {
        return IntStream.range(0, weeks)
                .mapToObj(week -> new Week(base, true, week % (HELD + 1) == HELD))
                .toList();
    }

    // ---- written

    private Block written(List<Week> order) {
        List<BlockWeek> shape = new ArrayList<>();
        for (Week week : order) {
            shape.add(
                    week.held()
                            ? new BlockWeek(Phase.HOLD, week.easy())
                            : block.shape().get(week.was()));
        }
        return block.withSlots(
                slot -> slot.with(order.stream()
                        .map(week ->
                                slot.dose(week.was()).flatMap(dose -> dose(dose, week, numbers.apply(slot.lift()))))
                        .toList()),
                shape);
    }

    private static Optional<Dose> dose(Dose dose, Week week, LiftNumbers known) {
        if (!week.held()) {
            return Optional.of(dose);
        }
        Dose held = Held.of(dose);
        return week.easy() ? Deload.HALF_SETS.of(held, known) : Optional.of(held);
    }
}
