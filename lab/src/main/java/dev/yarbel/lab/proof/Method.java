package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.estimate.MaxEstimator;
import dev.yarbel.core.estimate.StartingMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A way to tell a standing max from a log. */
interface Method {

    String name();

    /**
     * What it says on the evening of a day.
     *
     * @param start what was tested before the first session
     * @param sessions all of them up to that day, in order
     */
    Optional<Guess> on(LocalDate day, Lift lift, StartingMax start, List<LiftedSession> sessions);

    /** An estimator of the application's, fed as the application feeds it: with the log of half a year. */
    record Ours(String name, MaxEstimator estimator) implements Method {

        private static final int WEEKS_THAT_COUNT = 26;

        @Override
        public Optional<Guess> on(LocalDate day, Lift lift, StartingMax start, List<LiftedSession> sessions) {
            List<LiftedSession> counting = sessions.stream()
                    .filter(session -> !session.date().isBefore(day.minusWeeks(WEEKS_THAT_COUNT)))
                    .toList();
            return estimator
                    .estimate(lift, RepCurve.DEFAULT, Optional.of(start), counting, false)
                    .map(estimate -> new Guess(kg(estimate.max()), kg(estimate.spread())));
        }
    }

    /**
     * The best that a published formula makes of the sets of the last four weeks; where none was lifted, of the last there were.
     * It gets the same help against slips as anybody would give it: what lies more than a quarter off the middle is left out.
     */
    record BestRecent(RepFormula formula) implements Method {

        private static final int RECENT_WEEKS = 4;
        private static final double FAR_OFF = 0.25;

        @Override
        public String name() {
            String authors =
                    switch (formula) {
                        case EPLEY -> "Epley";
                        case BRZYCKI -> "Brzycki";
                        case LOMBARDI -> "Lombardi";
                        case LANDER -> "Lander";
                        case OCONNER -> "O'Conner et al.";
                        case MAYHEW -> "Mayhew et al.";
                        case WATHAN -> "Wathan";
                    };
            return authors + " " + formula.year() + ", best of four weeks";
        }

        @Override
        public Optional<Guess> on(LocalDate day, Lift lift, StartingMax start, List<LiftedSession> sessions) {
            for (int weeks = RECENT_WEEKS; weeks <= 4 * RECENT_WEEKS; weeks += RECENT_WEEKS) {
                LocalDate since = day.minusWeeks(weeks);
                double[] maxes = sessions.stream()
                        .filter(session -> session.date().isAfter(since))
                        .flatMap(session -> session.sets().stream())
                        .filter(set -> set.lift().equals(lift))
                        .flatMap(set -> set.repsThatEstimate().map(reps -> max(set.load(), reps)).stream())
                        .mapToDouble(Double::doubleValue)
                        .sorted()
                        .toArray();
                if (maxes.length > 0) {
                    double middle = maxes[maxes.length / 2];
                    OptionalDouble best = Arrays.stream(maxes)
                            .filter(max -> Math.abs(max - middle) <= FAR_OFF * middle)
                            .max();
                    return Optional.of(new Guess(best.orElseThrow(), 0));
                }
            }
            return Optional.of(new Guess(kg(start.max()), 0));
        }

        private double max(Mass load, RepsInAll reps) {
            return kg(formula.max(load, reps));
        }
    }

    private static double kg(Mass mass) {
        return mass.in(MassUnit.KG).doubleValue();
    }
}
