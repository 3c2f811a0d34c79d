package dev.yarbel.web.roster;

import dev.yarbel.core.review.Situation;
import dev.yarbel.core.tally.Exposure;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * How things stand with a lifter's training.
 *
 * @param block the block they are in; else the last one begun; else the next
 * @param sessions the sessions of that block by their dates, those to come among them
 */
public record InTraining(Situation situation, Optional<InBlock> block, List<Planned> sessions) {

    public InTraining {
        sessions = List.copyOf(sessions);
    }

    /**
     * A block, and how far it is.
     *
     * @param week the week of today from 1; 0 or less before it begins, and more than it has when it is over
     * @param deload this week is one
     */
    public record InBlock(long id, String name, LocalDate start, int weeks, int week, boolean deload) {

        public LocalDate end() {
            return start.plusWeeks(weeks).minusDays(1);
        }

        public boolean isBegun() {
            return week > 0;
        }

        public boolean isOver() {
            return week > weeks;
        }
    }

    /**
     * A planned session.
     *
     * @param easy its week is a deload
     * @param judgement how what was lifted compares with what was asked, where that is known
     */
    public record Planned(LocalDate on, boolean easy, State state, Optional<Exposure.Judgement> judgement) {}

    /** What became of a planned session. */
    public enum State {
        /** Its day has not passed. */
        TO_COME,
        /** Its day has passed without a set. */
        MISSED,
        /** It was begun and not ended. */
        BEGUN,
        /** It was lifted to its end. */
        DONE
    }
}
