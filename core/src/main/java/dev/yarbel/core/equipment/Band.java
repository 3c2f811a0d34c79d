package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * One band, by what a scale showed at two lengths. Its tension is taken to run straight between the two and is not
 * known outside them: rubber is stiffer at first and again near its end.
 *
 * @param make who made it, as the gym calls it
 * @param bought the year it was bought, if known
 * @param shortLength the shorter of the two lengths measured
 * @param tensionShort what the scale showed there, as a mass
 */
public record Band(
        String make,
        Optional<Integer> bought,
        Length shortLength,
        Mass tensionShort,
        Length longLength,
        Mass tensionLong) {

    private static final Percent ALIKE_WITHIN = Percent.of(5);

    public Band {
        if (!shortLength.isPositive() || !longLength.isGreaterThan(shortLength)) {
            throw new IllegalArgumentException("a band is measured at two lengths, the shorter first");
        }
        if (tensionShort.isNegative() || !tensionLong.isGreaterThan(tensionShort)) {
            throw new IllegalArgumentException("a band pulls harder when it is longer");
        }
    }

    /** What sets two bands of a pair apart. */
    public enum Unlike {
        MAKE,
        AGE,
        /** More than 5 % apart at either length measured (our own starting value). */
        TENSION
    }

    /** Whether the band was measured around this length. */
    public boolean isMeasuredAt(Length length) {
        return !length.isLessThan(shortLength) && !length.isGreaterThan(longLength);
    }

    /** What the band pulls with at a length; beyond the lengths measured, what it pulls with at the nearer of them. */
    public Mass tension(Length length) {
        if (length.isLessThan(shortLength)) {
            return tensionShort;
        }
        if (length.isGreaterThan(longLength)) {
            return tensionLong;
        }
        double way = length.minus(shortLength).over(longLength.minus(shortLength));
        return tensionShort.plus(tensionLong.minus(tensionShort).times(Percent.ofShare(BigDecimal.valueOf(way))));
    }

    /** What sets this band apart from the other of its pair; a pair alike in make, age and tension has nothing here. */
    public Set<Unlike> unlike(Band other) {
        Set<Unlike> unlike = EnumSet.noneOf(Unlike.class);
        if (!make.equalsIgnoreCase(other.make)) {
            unlike.add(Unlike.MAKE);
        }
        if (!bought.equals(other.bought)) {
            unlike.add(Unlike.AGE);
        }
        if (apart(tension(shortLength), other.tension(shortLength))
                || apart(tension(longLength), other.tension(longLength))) {
            unlike.add(Unlike.TENSION);
        }
        return unlike;
    }

    private static boolean apart(Mass one, Mass other) {
        return one.distanceTo(other).isGreaterThan(Mass.max(one, other).times(ALIKE_WITHIN));
    }
}
