package dev.yarbel.core.estimate;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.Worn;
import java.util.Map;

/**
 * What a lifter of whom nothing else is known does in a set-up of its own, as a share of the plain lift. All figures are starting
 * values of ours; which way each goes is common practice, no source.
 */
final class SetUpStart {

    private static final double SLOW = -0.08;
    private static final double HURRIED = -0.05;
    private static final double LIGHTER_BAR = -0.1;
    private static final double HELPED_BAR = 0.1;
    private static final double BELT = 0.06;

    private static final Map<SetUp.Manner, Double> MANNERS = Map.of(
            SetUp.Manner.PARTIAL, 0.15,
            SetUp.Manner.ASSISTED, 0.05,
            SetUp.Manner.LOWERING, 0.1,
            SetUp.Manner.PAUSED, -0.08,
            SetUp.Manner.OTHER, 0.0);
    private static final Map<Worn, Double> KIT =
            Map.of(Worn.BELT, BELT, Worn.KNEE_WRAPS, 0.08, Worn.SUIT, 0.1, Worn.BENCH_SHIRT, 0.15, Worn.STRAPS, 0.03);

    /** One standard deviation of what can be said beforehand of a beat, a rest or a piece of kit. */
    private static final double DOUBT = 0.06;
    /** Of what hangs on the bar, of another range, and of other manners. */
    private static final double MUCH_DOUBT = 0.2;

    private SetUpStart() {}

    /** The natural logarithm of the share. */
    static double share(SetUp setUp) {
        double share = setUp.tempo().map(beat -> SLOW).orElse(0.0)
                + setUp.rest().map(pause -> HURRIED).orElse(0.0)
                + setUp.changing()
                        .map(hung -> hung.kind() == AccommodatingResistance.Kind.REVERSE ? HELPED_BAR : LIGHTER_BAR)
                        .orElse(0.0);
        for (SetUp.Manner manner : setUp.manners()) {
            share += MANNERS.get(manner);
        }
        for (Worn piece : setUp.with()) {
            share += KIT.getOrDefault(piece, 0.0);
        }
        for (Worn piece : setUp.without()) {
            share -= KIT.getOrDefault(piece, 0.0);
        }
        return share;
    }

    /** One standard deviation of it. */
    static double doubt(SetUp setUp) {
        boolean much = setUp.changing().isPresent()
                || !setUp.way().isEmpty()
                || !setUp.manners().isEmpty();
        return much ? MUCH_DOUBT : DOUBT;
    }
}
