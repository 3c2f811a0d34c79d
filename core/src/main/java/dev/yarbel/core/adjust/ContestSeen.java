package dev.yarbel.core.adjust;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A contest that a lifter is entered in, beside the day that their plan was written for.
 *
 * @param name of the contest
 * @param was the day it was on when the plan was written; empty where it had none
 * @param on the day it is on now; empty where it has none, or is not held
 * @param cancelled whether it is not held, or the lifter is not in it any more
 * @param next the lifter's next other contest to come, which a plan can lead to instead
 */
public record ContestSeen(
        String name, Optional<LocalDate> was, Optional<LocalDate> on, boolean cancelled, Optional<Other> next) {

    /** Another contest of the lifter. */
    public record Other(String name, LocalDate on) {}

    public ContestSeen {
        if (cancelled) {
            on = Optional.empty();
        }
    }

    /** The day a plan should lead to: the contest's, where it is not held that of the next one; where it has no day, none. */
    public Optional<LocalDate> target() {
        return cancelled ? next.map(Other::on) : on;
    }

    /** What became of its day. */
    public enum Became {
        LATER,
        EARLIER,
        /** It got a day. */
        SET,
        NO_DAY,
        CANCELLED
    }

    /** What became of its day; one that is not held is {@link Became#CANCELLED}, whatever day it had. */
    public Became became() {
        if (cancelled) {
            return Became.CANCELLED;
        }
        if (on.isEmpty()) {
            return Became.NO_DAY;
        }
        if (was.isEmpty()) {
            return Became.SET;
        }
        return on.get().isAfter(was.get()) ? Became.LATER : Became.EARLIER;
    }
}
