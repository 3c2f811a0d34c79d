package dev.yarbel.lab.proof;

/**
 * What a method says of a standing max.
 *
 * @param max in kg
 * @param spread one standard deviation in kg; nothing where the method does not say how sure it is
 */
record Guess(double max, double spread) {

    /** The standard normal's quantile between whose two sides 80 % lie. */
    private static final double EIGHTY = 1.2816;

    /** @return how far it lies from the truth, as a share of the truth; below nothing where it is too low */
    double error(double truth) {
        return (max - truth) / truth;
    }

    boolean saysHowSure() {
        return spread > 0;
    }

    /** How many spreads the truth lies off; the logarithm of a max is what is normally distributed. */
    double spreadsOff(double truth) {
        return Math.abs(Math.log(truth / max)) * max / spread;
    }

    /** Whether the truth lies in the range that is to hold it four times of five. */
    boolean holds(double truth) {
        return spreadsOff(truth) <= EIGHTY;
    }

    /** Half of that range, as a share of what it is about. */
    double halfWidth() {
        return EIGHTY * spread / max;
    }
}
