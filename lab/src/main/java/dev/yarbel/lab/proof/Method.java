package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.estimate.LifterBelief;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** A way to tell standing maxes from a log. */
interface Method {

    String name();

    /**
     * One lifter, told in order of time.
     *
     * @param starts what was tested before the first session
     */
    Telling of(Map<Lift, MaxOnRecord> starts);

    /** What it says of one lifter. */
    interface Telling {

        void add(LiftedSession session);

        /** What it says on the evening of a day, after all that was added. */
        Optional<Guess> on(LocalDate day, Lift lift);
    }

    /** All lifts of a lifter together. */
    record Filter(String name, StrengthFilter filter) implements Method {

        @Override
        public Telling of(Map<Lift, MaxOnRecord> starts) {
            return new Telling() {
                private LifterBelief belief =
                        filter.start(starts.values().iterator().next().on());

                {
                    starts.values().forEach(max -> belief = filter.after(belief, max));
                }

                @Override
                public void add(LiftedSession session) {
                    belief = filter.after(belief, session).after();
                }

                @Override
                public Optional<Guess> on(LocalDate day, Lift lift) {
                    return filter.standing(filter.on(belief, day), lift)
                            .map(standing -> new Guess(kg(standing.max()), kg(standing.spread())));
                }
            };
        }
    }

    /** Keeps what was added. */
    abstract class Log implements Telling {

        final List<LiftedSession> sessions = new ArrayList<>();

        @Override
        public void add(LiftedSession session) {
            sessions.add(session);
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
        public Telling of(Map<Lift, MaxOnRecord> starts) {
            return new Log() {
                @Override
                public Optional<Guess> on(LocalDate day, Lift lift) {
                    return Optional.of(best(day, lift, sessions)
                            .orElseGet(() -> new Guess(kg(starts.get(lift).max()), 0)));
                }
            };
        }

        private Optional<Guess> best(LocalDate day, Lift lift, List<LiftedSession> sessions) {
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
            return Optional.empty();
        }

        private double max(Mass load, RepsInAll reps) {
            return kg(formula.max(load, reps));
        }
    }

    private static double kg(Mass mass) {
        return mass.kilograms();
    }
}
