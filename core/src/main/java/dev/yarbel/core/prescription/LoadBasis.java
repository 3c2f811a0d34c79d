package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;

/** What the load of a dose hangs on. */
public sealed interface LoadBasis {

    /** The load that rates so on the day; today's estimate says about what it will be. */
    record AtRpe(Rpe rpe) implements LoadBasis {}

    /** A share of the lifter's working max, above 0 and up to 130 %. */
    record OfWorkingMax(Percent percent) implements LoadBasis {
        public OfWorkingMax {
            if (percent.compareTo(Percent.ZERO) <= 0 || percent.isGreaterThan(MOST_PERCENT)) {
                throw new IllegalArgumentException("a share of the max lies above 0 and up to 130 %");
            }
        }
    }

    /** So much lighter than the day's last top set of the lift, of the load lifted; above 0 and below 100 %. */
    record BelowTop(Percent drop) implements LoadBasis {
        public BelowTop {
            if (drop.compareTo(Percent.ZERO) <= 0 || drop.compareTo(Percent.HUNDRED) >= 0) {
                throw new IllegalArgumentException("a drop lies above 0 and below 100 %");
            }
        }
    }

    /** A load as such, in the unit the coach typed. */
    record Fixed(Mass load, MassUnit unit) implements LoadBasis {
        public Fixed {
            if (!load.isPositive()) {
                throw new IllegalArgumentException("a load is more than nothing");
            }
        }
    }

    /** Partial lifts go above the max; nothing goes above this. */
    Percent MOST_PERCENT = Percent.of(130);
}
