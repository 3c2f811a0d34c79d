package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Optional;
import org.hipparchus.special.Erf;

/** What attempts are chosen for: what a total, or none, is worth. */
public sealed interface Aim {

    /** How good it is to end the day with a total; empty for a lifter who is out. More is better; only differences mean anything. */
    double worth(Optional<Mass> total);

    /** So little that a lighter load is taken for it. */
    double trifle();

    /** As much as may be expected on average, where no total counts as nothing. */
    record MostOnAverage() implements Aim {

        @Override
        public double worth(Optional<Mass> total) {
            return total.map(Mass::kilograms).orElse(0.0);
        }

        @Override
        public double trifle() {
            return 0.1;
        }
    }

    /** What a total is worth that falls short of what is aimed at, beside one that does not and none at all; ours. */
    double FALLS_SHORT = 0.5;

    /**
     * A total of so much, for a rank, a record or to qualify, as surely as can be; beyond it nothing is risked. A total that falls short is
     * still one: nobody is to be out for a chance.
     */
    record AtLeast(Mass total) implements Aim {

        @Override
        public double worth(Optional<Mass> reached) {
            return reached.map(mass -> mass.isLessThan(total) ? FALLS_SHORT * mass.kilograms() / total.kilograms() : 1)
                    .orElse(0.0);
        }

        @Override
        public double trifle() {
            return 0.001;
        }
    }

    /** To end before all of some rivals; to end behind them is still better than to be out. */
    record Ahead(List<Rival> rivals) implements Aim {

        public Ahead {
            rivals = List.copyOf(rivals);
        }

        @Override
        public double worth(Optional<Mass> total) {
            return total.map(mass -> rivals.stream()
                            .mapToDouble(rival -> rival.beatenBy(mass))
                            .reduce(1, (one, other) -> one * other))
                    .map(ahead -> FALLS_SHORT + (1 - FALLS_SHORT) * ahead)
                    .orElse(0.0);
        }

        @Override
        public double trifle() {
            return 0.001;
        }
    }

    /**
     * Somebody to be beaten.
     *
     * @param total as is expected of them
     * @param doubt one standard deviation of it; none where it stands
     * @param winsTies whether they come first with an equal total, being lighter
     */
    record Rival(Mass total, Mass doubt, boolean winsTies) {

        private static final double ROOT_TWO = Math.sqrt(2);

        /** How likely they end behind a total. */
        double beatenBy(Mass mass) {
            if (doubt.isZero()) {
                return mass.isGreaterThan(total) || !winsTies && mass.equals(total) ? 1 : 0;
            }
            double spreads = mass.minus(total).kilograms() / doubt.kilograms();
            return Erf.erfc(-spreads / ROOT_TWO) / 2;
        }
    }
}
