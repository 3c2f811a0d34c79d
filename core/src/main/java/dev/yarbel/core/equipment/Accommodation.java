package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;

/**
 * What makes a load change over the height of a lift. Heights are of the bar above the floor; everything hangs or pulls
 * straight up or down.
 */
public sealed interface Accommodation {

    /** What it adds to the bar at a height; negative where it helps. */
    Mass at(Length height);

    /** Whether what it adds at this height was measured, rather than taken from the nearest measurement. */
    default boolean isMeasuredAt(Length height) {
        return true;
    }

    /**
     * Chains hung from both ends of the bar, alike on each.
     *
     * <p>Whatever hangs free loads the bar, and what lies on the floor does not; the links are taken as evenly spread over
     * the length. {@code mass per metre × min(length, max(0, bar height − drop))} for each chain.
     *
     * @param perMetre the mass of one metre of one chain
     * @param length of one chain
     * @param aSide how many hang on each end
     * @param drop how far below the bar the chain itself begins: the leader it hangs from
     */
    record Chains(Mass perMetre, Length length, int aSide, Length drop) implements Accommodation {

        private static final Length METRE = Length.ofCm(100);

        public Chains {
            if (!perMetre.isPositive() || !length.isPositive() || aSide < 1 || drop.isNegative()) {
                throw new IllegalArgumentException("chains have a mass, a length and a number");
            }
        }

        @Override
        public Mass at(Length height) {
            Length free = height.minus(drop);
            if (!free.isPositive()) {
                return Mass.ZERO;
            }
            Length hanging = free.isGreaterThan(length) ? length : free;
            return perMetre.times(Percent.ofShare(BigDecimal.valueOf(hanging.over(METRE))))
                    .times(2L * aSide);
        }
    }

    /**
     * A pair of bands that pulls the bar down, each from an anchor under its end of the bar: the higher, the heavier.
     *
     * @param anchor the height above the floor at which they are fixed
     */
    record Bands(Band left, Band right, Length anchor) implements Accommodation {

        @Override
        public Mass at(Length height) {
            Length stretched = height.minus(anchor);
            return left.tension(stretched).plus(right.tension(stretched));
        }

        @Override
        public boolean isMeasuredAt(Length height) {
            return left.isMeasuredAt(height.minus(anchor)) && right.isMeasuredAt(height.minus(anchor));
        }
    }

    /**
     * A pair of bands that hangs from above and helps, most at the bottom.
     *
     * @param anchor the height above the floor at which they are fixed
     */
    record ReverseBands(Band left, Band right, Length anchor) implements Accommodation {

        @Override
        public Mass at(Length height) {
            Length stretched = anchor.minus(height);
            return Mass.ZERO.minus(left.tension(stretched).plus(right.tension(stretched)));
        }

        @Override
        public boolean isMeasuredAt(Length height) {
            return left.isMeasuredAt(anchor.minus(height)) && right.isMeasuredAt(anchor.minus(height));
        }
    }
}
