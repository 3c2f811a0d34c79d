package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.web.page.NotFoundException;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What of a block the sheet shows: one day across the weeks, or one week with all its days.
 *
 * @param day the day in hand, from 0; -1 in a block without days
 * @param week from 0, where a week is shown; else empty
 */
record Lens(int day, Optional<Integer> week) {

    static Lens day(int day) {
        return new Lens(day, Optional.empty());
    }

    static Lens week(int day, int week) {
        return new Lens(day, Optional.of(week));
    }

    /** The nearest that a block has of what was asked for. */
    static Lens within(Block block, int day, Optional<Integer> week) {
        int last = block.days().size() - 1;
        return new Lens(
                Math.max(Math.min(day, last), Math.min(0, last)),
                week.map(asked -> Math.max(0, Math.min(asked, block.weeks() - 1))));
    }

    /** @throws NotFoundException when the block has no such day or week */
    void check(Block block) {
        boolean weekThere =
                week.filter(asked -> asked < 0 || asked >= block.weeks()).isEmpty();
        boolean dayThere = day < block.days().size() && (day >= 0 || week.isPresent());
        if (!weekThere || !dayThere) {
            throw new NotFoundException();
        }
    }

    /** The days it shows, from 0. */
    List<Integer> days(Block block) {
        return week.isPresent() ? block.daysByDate() : List.of(day);
    }

    /** The weeks it shows, from 0. */
    List<Integer> weeks(Block block) {
        return week.map(List::of)
                .orElseGet(() -> IntStream.range(0, block.weeks()).boxed().toList());
    }

    /** Whether it shows a slot. */
    boolean shows(Block block, SlotId slot) {
        return days(block).stream().anyMatch(day -> block.days().get(day).indexOf(slot) >= 0);
    }

    /** Which week, from 1, as addresses have it; empty where a day is shown. */
    public String in() {
        return week.map(shown -> "&in=" + (shown + 1)).orElse("");
    }

    public boolean showsWeek() {
        return week.isPresent();
    }
}
