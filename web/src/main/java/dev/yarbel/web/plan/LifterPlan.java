package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Standing;
import dev.yarbel.web.kit.AtHand;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A lifter's block with everything its loads hang on, read once for one request.
 *
 * @param dayIds the number of each training day, in the block's order
 * @param slotIds the numbers of each day's slots, in the block's order
 * @param sessions what was logged, by the day of the plan it answers
 * @param kit the gym its loads are made with
 */
public record LifterPlan(
        LifterCard lifter,
        String name,
        Block block,
        List<Long> dayIds,
        List<List<Long>> slotIds,
        Standing standing,
        Map<PlannedDay, SessionLog> sessions,
        AtHand kit,
        Resolver resolver,
        LocalDate today) {

    LifterPlan with(AtHand other, Resolver resolving) {
        return new LifterPlan(lifter, name, block, dayIds, slotIds, standing, sessions, other, resolving, today);
    }

    /** The key under which the book knows a day of this plan. */
    public PlannedDay planned(int day, int week) {
        return new PlannedDay(dayIds.get(day), week);
    }

    public Optional<SessionLog> session(int day, int week) {
        return Optional.ofNullable(sessions.get(planned(day, week)));
    }

    /** Whether this day has been lifted and finished. */
    public boolean isFinished(int day, int week) {
        return session(day, week).filter(SessionLog::finished).isPresent();
    }

    /** The week that today lies in, from 0; before the block its first, after it its last. */
    public int currentWeek() {
        long days = ChronoUnit.DAYS.between(block.start(), today);
        return (int) Math.max(0, Math.min(block.weeks() - 1L, Math.floorDiv(days, 7)));
    }
}
