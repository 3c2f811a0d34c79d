package dev.yarbel.core.review;

import java.util.List;

/**
 * One question of the coach's checklist for a block, answered.
 *
 * @param lines what it rests on, as data
 */
public record Judged(Question question, Verdict verdict, List<Line> lines) {

    public Judged {
        lines = List.copyOf(lines);
    }

    /** What coaches ask of a block (common practice, no source). */
    public enum Question {
        /** How much of it is the contest lifts and what is close to them. */
        SPECIFICITY,
        /** Whether it asks more as it goes on. */
        OVERLOAD,
        /** Whether fatigue comes off in time. */
        FATIGUE,
        /** Whether it is this lifter's. */
        FIT,
        /** How much the day may settle. */
        AUTO_REGULATION,
        /** Where the work goes. */
        VOLUME,
        /** Where the loads go. */
        INTENSITY,
        /** What leads up to the peak. */
        PEAK,
        SESSION_LENGTH,
        FREQUENCY
    }

    /** How it stands. */
    public enum Verdict {
        SOUND,
        /** Worth a look: there may be a reason. */
        LOOK,
        WEAK,
        /** It cannot be said. */
        OPEN
    }

    /**
     * A sentence as data.
     *
     * @param facts in the order its words name them: lifts, shares, masses, counts, days, a mark
     */
    public record Line(Saying saying, List<Object> facts) {

        public Line {
            facts = List.copyOf(facts);
        }

        static Line of(Saying saying, Object... facts) {
            return new Line(saying, List.of(facts));
        }
    }

    /** What can be said. */
    public enum Saying {
        /** Repetitions in contest lifts and close variations, all of them, and the share. */
        CLOSE_REPS,
        /** The lift that is done most of all that is not close; its repetitions. */
        MOST_ELSE,
        /** No lift of a contest is in it. */
        NO_CONTEST_LIFT,
        /** Nothing in it is counted in repetitions. */
        NO_REPS,
        /** A lift gets heavier: its heaviest share in the first third and in the last one. */
        HEAVIER,
        /** A lift gets more: repetitions a week in the first third and in the last one. */
        MORE_WORK,
        /** A lift is asked no more of at the end than at the beginning. */
        NO_MORE,
        /** Too short to say: the weeks that are trained. */
        TOO_SHORT,
        /** Weeks in a row without a deload, the most. */
        LONGEST_STRETCH,
        /** How many deloads there are. */
        DELOADS,
        /** By how many hours hard days come too soon in all. */
        TOO_SOON,
        /** Something that the review marks. */
        MARKED,
        /** A lift's hard sets in the first week, those the lifter is used to, and from how many weeks that is known. */
        FIRST_WEEK,
        /** Nothing is logged to hold it against. */
        NO_HABIT,
        /** Sets whose load the day settles, all of them, and the share. */
        SETTLED,
        /** Repetitions a week in the first third and in the last one. */
        REPS_FROM_TO,
        /** The mean share of the max in the first third and in the last one. */
        MEAN_FROM_TO,
        /** Volume, intensity and frequency are all up on what they were. */
        TRIANGLE,
        /** It leads to no contest. */
        NO_CONTEST,
        /** The contest's day, and the days from the block's end to it. */
        CONTEST,
        /** Singles of 90 % and more in the six weeks before the contest. */
        SINGLES,
        /** Repetitions of the last two weeks before the contest, as a share of the two before. */
        LAST_WEEKS,
        /** The longest session's minutes. */
        LONGEST,
        /** Minutes the lifter has. */
        AT_HAND,
        /** On how many days a week a lift is trained, at most. */
        DAYS_A_WEEK,
        /** How often a lift is left alone for more than five days. */
        LEFT_ALONE
    }
}
