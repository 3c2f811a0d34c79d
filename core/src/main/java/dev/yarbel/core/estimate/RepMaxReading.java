package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.measure.Mass;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.Map;

/**
 * What several repetitions to the limit say of the single, by every published formula and by the lifter's own curve.
 *
 * @param own by the lifter's curve
 * @param byFormula by each published formula
 * @param estimates whether so few repetitions say enough about a single to be used: twelve at most
 */
public record RepMaxReading(Mass own, Map<RepFormula, Mass> byFormula, boolean estimates) {

    public RepMaxReading {
        byFormula = Map.copyOf(byFormula);
    }

    /** Reads a load that was good for so many repetitions. */
    public static RepMaxReading of(Mass load, int reps, RepCurve curve) {
        RepsInAll inAll = RepsInAll.toTheLimit(reps);
        Map<RepFormula, Mass> byFormula = new EnumMap<>(RepFormula.class);
        for (RepFormula formula : RepFormula.values()) {
            byFormula.put(formula, formula.max(load, inAll));
        }
        return new RepMaxReading(curve.max(load, inAll), byFormula, inAll.estimates());
    }

    /** The lowest that any formula says. */
    public Mass lowest() {
        return byFormula.values().stream().min(Comparator.naturalOrder()).orElseThrow();
    }

    /** The highest that any formula says. */
    public Mass highest() {
        return byFormula.values().stream().max(Comparator.naturalOrder()).orElseThrow();
    }
}
