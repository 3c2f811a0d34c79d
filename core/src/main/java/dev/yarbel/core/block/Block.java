package dev.yarbel.core.block;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Some weeks of training towards something.
 *
 * <p>Its days and slots have numbers of their own. Those that come without one are given one here, above the highest.
 *
 * @param name what the coach calls it; empty for one that nobody has named yet
 * @param start the first day of the first week
 * @param days in the order of the week
 * @param shape what each week is for; 1 to 52 weeks
 * @param contest the day of the contest it leads to
 */
public record Block(
        String name, LocalDate start, List<TrainingDay> days, List<BlockWeek> shape, Optional<LocalDate> contest) {

    public static final int MOST_WEEKS = 52;

    public Block {
        shape = List.copyOf(shape);
        if (shape.isEmpty() || shape.size() > MOST_WEEKS) {
            throw new IllegalArgumentException("1 to " + MOST_WEEKS + " weeks");
        }
        days = numbered(days);
        for (TrainingDay day : days) {
            for (Slot slot : day.slots()) {
                if (slot.doses().size() != shape.size()) {
                    throw new IllegalArgumentException("slot " + slot.letter() + " of " + day.name() + " has doses for "
                            + slot.doses().size() + " weeks, not " + shape.size());
                }
            }
        }
    }

    /** A block that nobody has named yet. */
    public Block(LocalDate start, List<TrainingDay> days, List<BlockWeek> shape, Optional<LocalDate> contest) {
        this("", start, days, shape, contest);
    }

    /** A block of plain weeks that leads to no contest. */
    public Block(LocalDate start, int weeks, List<TrainingDay> days) {
        this(start, days, Collections.nCopies(Math.max(0, weeks), BlockWeek.PLAIN), Optional.empty());
    }

    private static List<TrainingDay> numbered(List<TrainingDay> days) {
        Set<Long> dayNumbers = new HashSet<>();
        Set<Long> slotNumbers = new HashSet<>();
        long highestDay = 0;
        long highestSlot = 0;
        boolean anyNew = false;
        for (TrainingDay day : days) {
            anyNew |= day.id().isNew();
            highestDay = Math.max(highestDay, once(dayNumbers, day.id().number()));
            for (Slot slot : day.slots()) {
                anyNew |= slot.id().isNew();
                highestSlot = Math.max(highestSlot, once(slotNumbers, slot.id().number()));
            }
        }
        if (!anyNew) {
            return List.copyOf(days);
        }
        List<TrainingDay> numbered = new ArrayList<>();
        for (TrainingDay day : days) {
            List<Slot> slots = new ArrayList<>();
            for (Slot slot : day.slots()) {
                slots.add(slot.id().isNew() ? slot.as(new SlotId(++highestSlot)) : slot);
            }
            TrainingDay with = day.with(slots);
            numbered.add(day.id().isNew() ? with.as(new DayId(++highestDay)) : with);
        }
        return List.copyOf(numbered);
    }

    private static long once(Set<Long> numbers, long number) {
        if (number != 0 && !numbers.add(number)) {
            throw new IllegalArgumentException("two days or slots have the number " + number);
        }
        return number;
    }

    public int weeks() {
        return shape.size();
    }

    /** The date of a training day, its index and the week counted from 0. */
    public LocalDate date(int day, int week) {
        return start.plusWeeks(week).plusDays(days.get(day).offset());
    }

    /** The places of the days, from 0, in the order in which they come in a week, however the coach lists them. */
    public List<Integer> daysByDate() {
        return IntStream.range(0, days.size())
                .boxed()
                .sorted(Comparator.comparing(day -> days.get(day).offset()))
                .toList();
    }

    /** The last day of the last week. */
    public LocalDate end() {
        return start.plusWeeks(weeks()).minusDays(1);
    }

    /** How many of its weeks have begun before a day; one that begins on the day has not. As many as there are, and more after it. */
    public int weeksBegun(LocalDate day) {
        long days = ChronoUnit.DAYS.between(start, day);
        return days <= 0 ? 0 : (int) ((days + 6) / 7);
    }

    /** Whether nothing is asked for in a week. */
    public boolean isGap(int week) {
        return slots().noneMatch(slot -> slot.doses().get(week).isPresent());
    }

    // ---- by identity

    /** Every slot, day by day. */
    public Stream<Slot> slots() {
        return days.stream().flatMap(day -> day.slots().stream());
    }

    public Optional<TrainingDay> day(DayId id) {
        return days.stream().filter(day -> day.id().equals(id)).findFirst();
    }

    public Optional<Slot> slot(SlotId id) {
        return slots().filter(slot -> slot.id().equals(id)).findFirst();
    }

    /** The day a slot stands in. */
    public Optional<TrainingDay> dayOf(SlotId slot) {
        return days.stream().filter(day -> day.indexOf(slot) >= 0).findFirst();
    }

    /** The place of a day, from 0; -1 where the block has no such day. */
    public int indexOf(DayId id) {
        for (int at = 0; at < days.size(); at++) {
            if (days.get(at).id().equals(id)) {
                return at;
            }
        }
        return -1;
    }

    // ---- the same block otherwise

    public Block named(String other) {
        return new Block(other, start, days, shape, contest);
    }

    public Block from(LocalDate other) {
        return new Block(name, other, days, shape, contest);
    }

    /** The same block toward another contest, or none. */
    public Block toward(Optional<LocalDate> other) {
        return new Block(name, start, days, shape, other);
    }

    public Block with(List<TrainingDay> others) {
        return new Block(name, start, others, shape, contest);
    }

    /** The same block with other days and weeks. */
    public Block with(List<TrainingDay> others, List<BlockWeek> weeks) {
        return new Block(name, start, others, weeks, contest);
    }

    /** The same block without the weeks after one of them, counted from 0. */
    public Block upTo(int week) {
        return withSlots(slot -> slot.with(slot.doses().subList(0, week + 1)), shape.subList(0, week + 1));
    }

    /** The same block with each slot exchanged for another. */
    public Block withSlots(Function<Slot, Slot> exchange) {
        return withSlots(exchange, shape);
    }

    /** The same block with each slot exchanged for another, and other weeks. */
    public Block withSlots(Function<Slot, Slot> exchange, List<BlockWeek> weeks) {
        return with(
                days.stream()
                        .map(day -> day.with(day.slots().stream().map(exchange).toList()))
                        .toList(),
                weeks);
    }
}
