package dev.yarbel.lab.sensor;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.random.RandomGenerator;

/**
 * How fast one invented lifter moves one lift: a straight line from the speed at the limit up to the speed of an unloaded
 * bar. Each repetition of a set is as slow as a single of the share of what could still be lifted for that many, so that the
 * last one before the limit moves at the limit's speed. That speed falls about linearly with the load is what the
 * literature on the bench press reports (González-Badillo and Sánchez-Medina 2010); the figures here are invented.
 *
 * @param max the most the lifter can lift once
 * @param atLimit metres a second at the limit
 * @param unloaded metres a second with next to nothing
 * @param noise the standard deviation of a reading, in metres a second
 */
record LoadSpeedLine(Mass max, double atLimit, double unloaded, double noise, RepCurve curve) {

    LoadSpeedLine {
        if (!(atLimit > 0 && unloaded > atLimit && noise >= 0)) {
            throw new IllegalArgumentException("a lighter bar moves faster");
        }
    }

    /** The speed of a repetition of a set, without noise; zero where it cannot be made. */
    double speed(Mass load, int rep) {
        double most = max.times(curve.share(RepsInAll.toTheLimit(rep)))
                .in(MassUnit.KG)
                .doubleValue();
        double share = load.kilograms() / most;
        return share > 1 ? 0 : atLimit + (unloaded - atLimit) * (1 - share);
    }

    /** The same as a sensor measures it. */
    double measured(Mass load, int rep, RandomGenerator random) {
        double speed = speed(load, rep);
        return speed == 0 ? 0 : Math.max(0.01, speed + noise * random.nextGaussian());
    }
}
