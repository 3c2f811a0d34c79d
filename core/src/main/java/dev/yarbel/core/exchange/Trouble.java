package dev.yarbel.core.exchange;

/**
 * What stands against taking a cell as it is.
 *
 * @param line of the table, from 1
 * @param column from 0
 * @param text what stands in the cell, or what is asked about
 */
public record Trouble(int line, int column, Kind kind, String text) {

    /** What is wrong, or doubtful. */
    public enum Kind {
        /** The row names no lift, nor does any above it. */
        NO_LIFT(true),
        /** Nobody said yet which lift this name means. */
        UNKNOWN_LIFT(true),
        /** The row names no lifter. */
        NO_LIFTER(true),
        /** None of the coach's lifters has this name. */
        UNKNOWN_LIFTER(true),
        /** The row has no day, nor has any above it. */
        NO_DAY(true),
        UNREADABLE_DAY(true),
        /** A day without its year. */
        DAY_WITHOUT_YEAR(true),
        /** Nobody said yet when the first week began, or on which days was trained. */
        WEEK_WITHOUT_DAY(true),
        DAY_TO_COME(true),
        /** Earlier than anybody's log. */
        DAY_TOO_EARLY(true),
        NO_REPS(true),
        UNREADABLE_REPS(true),
        /** So many that they would be none, or more than 100. */
        REPS_OUT_OF_RANGE(true),
        /** A range says what was planned, not what was done. */
        REPS_PLANNED(true),
        UNREADABLE_SETS(true),
        NO_LOAD(true),
        UNREADABLE_LOAD(true),
        /** Above 1000 kg, or below nothing. */
        LOAD_OUT_OF_RANGE(true),
        /** Nobody weighs so little or so much. */
        BODY_OUT_OF_RANGE(true),
        /** One, or a thousand? */
        THOUSANDS(true),
        /** A spreadsheet took sets and repetitions for a day. */
        MADE_A_DAY(true),
        /** The spreadsheet's own error, such as #REF!. */
        SPREADSHEET_ERROR(true),
        UNREADABLE_SETS_DONE(true),
        /** More lifts or sets on a day than a session has. */
        TOO_MANY(true),
        /** It looks as if it was written in the other unit. */
        OTHER_UNIT(false),
        /** Three figures: so many repetitions and then sets, or the other way round? */
        REPS_OR_SETS(false),
        /** The set can be read, its rating cannot. */
        UNREADABLE_RATING(false),
        /** The set can be read, how long or how far cannot. */
        UNREADABLE_EXTENT(false);

        private final boolean refuses;

        Kind(boolean refuses) {
            this.refuses = refuses;
        }

        /** Whether what it is about cannot come in; else the coach decides. */
        public boolean refuses() {
            return refuses;
        }
    }
}
