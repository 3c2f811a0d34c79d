package dev.yarbel.core.block;

/** What was lifted of a block, as far as edits must leave it as it is. */
public interface Lifted {

    /** Nothing was lifted yet. */
    Lifted NOTHING = new Lifted() {
        @Override
        public boolean isFinished(DayId day, int week) {
            return false;
        }

        @Override
        public boolean hasHistory(DayId day) {
            return false;
        }

        @Override
        public int firstOpenWeek() {
            return 0;
        }
    };

    /** Whether a day of a week, counted from 0, was lifted and finished; its doses are history. */
    boolean isFinished(DayId day, int week);

    /** Whether anything was logged on a day in any week; its slots keep their letters and lifts. */
    boolean hasHistory(DayId day);

    /** The first week, from 0, that nothing was logged in and nothing after; weeks before it stay where they are. */
    int firstOpenWeek();
}
