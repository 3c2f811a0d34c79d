package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A smoothed mean, to be compared with: the local-level filter (the Kalman filter of one slowly wandering level) on the max,
 * one step a session, lift by lift.
 *
 * <p>Each set that may estimate is turned into a max by the usual curve. A set closer to the limit and of fewer repetitions says
 * more: its doubt, as a share of the max, is 1.5 points and 1 for each repetition left and 0.5 for each further one done. A
 * session's sets are averaged with the inverse squares of their doubts as weights; n sets alike together weigh as √n, and a session is
 * never surer than 2 points. Between sessions the doubt grows by 0.4 points for the square root of each day, at most to 8.
 */
record SmoothedLevel(String name) implements Method {

    private static final double SET_DOUBT = 0.015;
    private static final double DOUBT_PER_REP_LEFT = 0.010;
    private static final double DOUBT_PER_FURTHER_REP = 0.005;
    private static final double SESSION_DOUBT = 0.02;
    private static final double DOUBT_PER_ROOT_DAY = 0.004;
    private static final double MOST_DOUBT = 0.08;

    @Override
    public Telling of(Map<Lift, MaxOnRecord> starts) {
        return new Log() {
            @Override
            public Optional<Guess> on(LocalDate day, Lift lift) {
                MaxOnRecord start = starts.get(lift);
                Level level = new Level(
                        start.max().kilograms(), start.doubt().figure().doubleValue() / 100, start.on());
                for (LiftedSession session : sessions) {
                    level = level.after(session, lift);
                }
                return Optional.of(new Guess(level.max, level.max * level.doubt));
            }
        };
    }

    /** The max in kg, the doubt as a share of it, and the day it holds for. */
    private record Level(double max, double doubt, LocalDate date) {

        Level after(LiftedSession session, Lift lift) {
            List<LiftedSet> telling = session.sets().stream()
                    .filter(set ->
                            set.lift().equals(lift) && set.repsThatEstimate().isPresent())
                    .toList();
            if (telling.isEmpty()) {
                return this;
            }
            double weights = 0;
            double maxes = 0;
            for (LiftedSet set : telling) {
                RepsInAll inAll = set.repsThatEstimate().orElseThrow();
                double left = inAll.halves() / 2.0 - set.reps();
                double off = SET_DOUBT + DOUBT_PER_REP_LEFT * left + DOUBT_PER_FURTHER_REP * (set.reps() - 1);
                long alike = telling.stream()
                        .filter(other -> other.load().equals(set.load()) && other.reps() == set.reps())
                        .count();
                double weight = 1 / (off * off * Math.sqrt(alike));
                weights += weight;
                maxes += weight
                        * RepCurve.DEFAULT
                                .max(set.load(), inAll)
                                .in(MassUnit.KG)
                                .doubleValue();
            }
            return grown(session.date()).corrected(maxes / weights, Math.max(SESSION_DOUBT, Math.sqrt(1 / weights)));
        }

        private Level grown(LocalDate later) {
            long days = Math.max(0, ChronoUnit.DAYS.between(date, later));
            double now = Math.sqrt(doubt * doubt + DOUBT_PER_ROOT_DAY * DOUBT_PER_ROOT_DAY * days);
            return new Level(max, Math.min(now, Math.max(MOST_DOUBT, doubt)), later);
        }

        private Level corrected(double seen, double doubtOfIt) {
            double own = doubt * doubt;
            double gain = own / (own + doubtOfIt * doubtOfIt);
            return new Level(max + gain * (seen - max), Math.sqrt((1 - gain) * own), date);
        }
    }
}
