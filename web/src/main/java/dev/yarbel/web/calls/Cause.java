package dev.yarbel.web.calls;

import java.time.LocalDate;
import java.util.Optional;

/** What gave cause to a slip. */
sealed interface Cause {

    /** The number of the session, where it was one. */
    default Optional<Long> session() {
        return Optional.empty();
    }

    /** A finished session. */
    record OfSession(long id) implements Cause {

        @Override
        public Optional<Long> session() {
            return Optional.of(id);
        }
    }

    /**
     * A contest whose day is another.
     *
     * @param was the day that the plan leads to; empty where it leads to none
     */
    record OfContest(long id, Optional<LocalDate> was) implements Cause {}
}
