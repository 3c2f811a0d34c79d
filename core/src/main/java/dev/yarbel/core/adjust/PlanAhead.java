package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A lifter's block as it stands, and what of it is still ahead.
 *
 * @param resolver what makes loads of its doses
 * @param log what was lifted of it
 * @param lifted which of its days were, for whoever changes it
 * @param projection what its doses come to
 * @param today where the lifter is
 */
public record PlanAhead(
        Block block, Resolver resolver, Projection.Log log, Lifted lifted, Projection projection, LocalDate today) {

    /** A day of the block that is still to come, its place and week counted from 0. */
    public record DayAhead(int day, int week, LocalDate date) {}

    /** The first week, from 0, that has not begun and that nothing was logged in. */
    int firstOpenWeek() {
        return Math.max(block.weeksBegun(today), lifted.firstOpenWeek());
    }

    /** What another block of the same days comes to. */
    Projection projected(Block other) {
        return Projection.of(other, resolver, log);
    }

    /** The days from today on that nothing was logged on, in order of dates: one that has begun stays as it stood. */
    public List<DayAhead> daysAhead() {
        return daysAhead(block);
    }

    /** The same of another block of the same days. */
    List<DayAhead> daysAhead(Block block) {
        List<DayAhead> ahead = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            for (int day : block.daysByDate()) {
                LocalDate date = block.date(day, week);
                if (!date.isBefore(today)
                        && log.on(day, week).isEmpty()
                        && log.asked(day, week).isEmpty()) {
                    ahead.add(new DayAhead(day, week, date));
                }
            }
        }
        ahead.sort(Comparator.comparing(DayAhead::date));
        return ahead;
    }

    /** The next day ahead that asks for a lift, and those of the six days after it. */
    List<DayAhead> nextWeekOf(Lift lift) {
        List<DayAhead> days = daysAhead().stream()
                .filter(day -> block.days().get(day.day()).slots().stream()
                        .anyMatch(slot -> slot.lift().equals(lift)
                                && slot.dose(day.week()).isPresent()))
                .toList();
        return days.stream()
                .filter(day -> day.date().isBefore(days.get(0).date().plusWeeks(1)))
                .toList();
    }

    /** Every load that comes out differently by other numbers or kit, from today on, on days not yet finished. */
    public List<LoadChange> changes(Resolver other) {
        return LoadChange.between(this, block, Projection.of(block, other, log));
    }

    /** Everything that is asked for differently by another block of the same days, from today on, on days not yet finished. */
    public List<LoadChange> changes(Block other) {
        return LoadChange.between(this, other, projected(other));
    }
}
