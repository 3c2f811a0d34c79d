package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/** What the load of a dose hangs on. */
public sealed interface LoadBasis {

    /**
     * The load that rates so on the day; today's estimate says about what it will be.
     *
     * @param least where a range was asked for, its lower end; else the same as {@code rpe}
     */
    record AtRpe(Rpe least, Rpe rpe) implements LoadBasis {
        public AtRpe {
            if (least.compareTo(rpe) > 0) {
                throw new IllegalArgumentException("a range of ratings runs upward");
            }
        }

        public AtRpe(Rpe rpe) {
            this(rpe, rpe);
        }
    }

    /**
     * A share of one of the lifter's numbers.
     *
     * @param most where a range was asked for, its upper end; else the same as {@code percent}
     */
    record Share(Reference of, Percent percent, Percent most) implements LoadBasis {
        public Share {
            if (percent.compareTo(Percent.ZERO) <= 0 || most.isLessThan(percent) || most.isGreaterThan(of.most())) {
                throw new IllegalArgumentException("a share of " + of.word() + " lies above 0 and up to " + of.most());
            }
        }

        public Share(Reference of, Percent percent) {
            this(of, percent, percent);
        }
    }

    /**
     * So much lighter than the day's last top set of the lift, of the load lifted; above 0 and below 100 %.
     *
     * @param most where a range was asked for, the largest drop; else the same as {@code drop}
     * @param each every set is so much lighter than the one before it
     * @param of the lift whose top it is; empty: the lift's own
     */
    record BelowTop(Percent drop, Percent most, boolean each, Optional<Lift> of) implements LoadBasis {
        public BelowTop {
            if (drop.compareTo(Percent.ZERO) <= 0 || most.isLessThan(drop) || most.compareTo(Percent.HUNDRED) >= 0) {
                throw new IllegalArgumentException("a drop lies above 0 and below 100 %");
            }
        }

        public BelowTop(Percent drop, Percent most, boolean each) {
            this(drop, most, each, Optional.empty());
        }

        public BelowTop(Percent drop) {
            this(drop, drop, false);
        }
    }

    /** A load as such, in the unit the coach typed. */
    record Fixed(Mass load, MassUnit unit) implements LoadBasis {

        public static final Mass MOST = Mass.ofKg(1000);

        public Fixed {
            if (!load.isPositive()) {
                throw new IllegalArgumentException("a load is more than nothing");
            }
        }
    }

    /** The lifter's own body and so much more: {@code bw+10kg}. In the unit the coach typed. */
    record BodyMassPlus(Mass more, MassUnit unit) implements LoadBasis {
        public BodyMassPlus {
            if (!more.isPositive() || more.isGreaterThan(Fixed.MOST)) {
                throw new IllegalArgumentException("a load is more than nothing");
            }
        }
    }

    /** What was lifted the last time and a step more; none: the same again. In the unit the coach typed. */
    record LastTime(Mass step, MassUnit unit) implements LoadBasis {

        public static final Mass MOST = Mass.ofKg(50);

        public LastTime {
            if (step.isNegative() || step.isGreaterThan(MOST)) {
                throw new IllegalArgumentException("a step goes up to " + MOST);
            }
        }
    }

    /** The load that moves so fast. */
    record AtSpeed(BarSpeed speed) implements LoadBasis {}

    /** As it feels right: the lifter's choice, or nothing to put on. */
    record ByFeel() implements LoadBasis {}

    LoadBasis FEEL = new ByFeel();

    /** A share of the working max. */
    static Share ofWorkingMax(Percent percent) {
        return new Share(Reference.Named.WORKING, percent);
    }

    /** Whether it hangs on another set of the same day. */
    default boolean hangsOnTop() {
        return this instanceof BelowTop || this instanceof Share share && share.of() == Reference.Named.TOP;
    }

    /** Whether it is a share of what was lifted the last time: lighter work beside a run, and no session of it. */
    default boolean isShareOfLast() {
        return this instanceof Share share && share.of() == Reference.Named.LAST;
    }

    /** Whether it is a percentage above the lifter's own max. */
    default boolean isAboveMax() {
        return this instanceof Share share && share.of().isMax() && share.most().isGreaterThan(Percent.HUNDRED);
    }
}
