package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.Projection;
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
import java.util.Set;

/**
 * A lifter's block with everything its loads hang on, read once for one request.
 *
 * @param stamp tells its days, slots and weeks from any others
 * @param copies how many blocks were given from it
 * @param dayIds the number of each training day, in the block's order
 * @param slotIds the numbers of each day's slots, in the block's order
 * @param gates the gates a coach opened, by slot, each with the spotter they named
 * @param sessions what was logged, by the day of the plan it answers
 * @param kit the gym its loads are made with
 * @param projection what each day's doses come to
 */
public record LifterPlan(
        LifterCard lifter,
        long blockId,
        String name,
        String stamp,
        int copies,
        Block block,
        List<Long> dayIds,
        List<List<Long>> slotIds,
        Map<Long, Map<Gate, String>> gates,
        Standing standing,
        Map<PlannedDay, SessionLog> sessions,
        AtHand kit,
        Resolver resolver,
        Projection projection,
        LocalDate today) {

    LifterPlan with(AtHand other, Resolver resolving) {
        return new LifterPlan(
                lifter,
                blockId,
                name,
                stamp,
                copies,
                block,
                dayIds,
                slotIds,
                gates,
                standing,
                sessions,
                other,
                resolving,
                Projection.of(block, resolving, log(sessions, dayIds)),
                today);
    }

    /** The same with other doses, which nobody has kept yet. */
    LifterPlan with(Block other) {
        return new LifterPlan(
                lifter,
                blockId,
                name,
                stamp,
                copies,
                other,
                dayIds,
                slotIds,
                gates,
                standing,
                sessions,
                kit,
                resolver,
                Projection.of(other, resolver, log(sessions, dayIds)),
                today);
    }

    /** What was lifted, as the projection asks for it. */
    public Projection.Log log() {
        return log(sessions, dayIds);
    }

    static Projection.Log log(Map<PlannedDay, SessionLog> sessions, List<Long> dayIds) {
        return new Projection.Log() {

            private Optional<SessionLog> session(int day, int week) {
                return Optional.ofNullable(sessions.get(new PlannedDay(dayIds.get(day), week)));
            }

            @Override
            public Optional<List<DoneSet>> on(int day, int week) {
                return session(day, week).filter(SessionLog::finished).map(SessionLog::sets);
            }

            @Override
            public Optional<AskedDay> asked(int day, int week) {
                return session(day, week).flatMap(SessionLog::asked);
            }
        };
    }

    /** The gates of a slot that a coach opened. */
    Set<Gate> opened(long slot) {
        return gates.getOrDefault(slot, Map.of()).keySet();
    }

    /** Who stands by a slot of a day, by the gate that was opened for it. */
    public Optional<String> spotter(int day, String letter) {
        List<Slot> slots = block.days().get(day).slots();
        for (int slot = 0; slot < slots.size(); slot++) {
            if (slots.get(slot).letter().equals(letter)) {
                return gates.getOrDefault(slotIds.get(day).get(slot), Map.of()).values().stream()
                        .findFirst();
            }
        }
        return Optional.empty();
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

    /** The same of a day by its number. */
    boolean isFinished(long dayId, int week) {
        return Optional.ofNullable(sessions.get(new PlannedDay(dayId, week)))
                .filter(SessionLog::finished)
                .isPresent();
    }

    /** Whether anything was logged on a day in any week. */
    boolean hasHistory(long dayId) {
        return sessions.keySet().stream().anyMatch(planned -> planned.day() == dayId);
    }

    /** The first week that nothing was logged in and nothing after; weeks before it stay where they are. */
    public int firstOpenWeek() {
        return sessions.keySet().stream()
                .filter(planned -> dayIds.contains(planned.day()))
                .mapToInt(planned -> planned.week() + 1)
                .max()
                .orElse(0);
    }

    /** The week that today lies in, from 0; before the block its first, after it its last. */
    public int currentWeek() {
        long days = ChronoUnit.DAYS.between(block.start(), today);
        return (int) Math.max(0, Math.min(block.weeks() - 1L, Math.floorDiv(days, 7)));
    }
}
