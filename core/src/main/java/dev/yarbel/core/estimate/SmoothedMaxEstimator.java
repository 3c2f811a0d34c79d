package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The local-level filter (the Kalman filter of one slowly wandering level) on the max, one step a session.
 *
 * <p>Each set that may estimate is turned into a max by the rep curve. A set closer to the limit and of fewer repetitions
 * says more: its doubt, as a share of the max, is 1.5 points plus 1 for each repetition left plus 0.5 for each further
 * one done, twice that for sets of several repetitions that flatter the single. A session's sets are averaged with the inverse squares
 * of their doubts as weights; n sets alike in load and repetitions err alike and together weigh as √n; since all share the day's form, a session is never surer than 2 points. Between sessions
 * the doubt of the estimate grows by 0.4 points for the square root of each day, at most to 8. All these figures are
 * starting values of our own.
 */
public final class SmoothedMaxEstimator implements MaxEstimator {

    private static final double SET_DOUBT = 0.015;
    private static final double DOUBT_PER_REP_LEFT = 0.010;
    private static final double DOUBT_PER_FURTHER_REP = 0.005;
    private static final double FLATTERING = 2;
    private static final double SESSION_DOUBT = 0.02;
    private static final double DOUBT_PER_ROOT_DAY = 0.004;
    private static final double MOST_DOUBT = 0.08;
    private static final int GRAM = 3;

    @Override
    public Optional<MaxEstimate> estimate(
            Lift lift, RepCurve curve, Optional<StartingMax> start, List<LiftedSession> sessions, boolean repsFlatter) {
        List<LiftedSession> inOrder = sessions.stream()
                .filter(session ->
                        start.filter(s -> session.date().isBefore(s.since())).isEmpty())
                .sorted(Comparator.comparing(LiftedSession::date))
                .toList();
        Level level = start.map(s -> new Level(kg(s.max()), s.doubt().figure().doubleValue() / 100, s.since()))
                .orElse(null);
        List<MaxEstimate.Movement> movements = new ArrayList<>();
        for (LiftedSession session : inOrder) {
            List<Evidence> evidence = evidence(lift, curve, session, repsFlatter);
            if (evidence.isEmpty()) {
                continue;
            }
            Observation observation = Observation.of(evidence);
            Level before = level == null ? null : level.on(session.date());
            level = before == null
                    ? new Level(observation.max, observation.doubt, session.date())
                    : before.corrected(observation);
            movements.add(movement(session.date(), before, level, observation, evidence));
        }
        return level == null
                ? Optional.empty()
                : Optional.of(new MaxEstimate(mass(level.max), mass(level.max * level.doubt), movements));
    }

    /** The max in kg, the doubt as a share of it, and the day it holds for. */
    private record Level(double max, double doubt, LocalDate date) {

        Level on(LocalDate later) {
            long days = Math.max(0, ChronoUnit.DAYS.between(date, later));
            double grown = Math.sqrt(doubt * doubt + DOUBT_PER_ROOT_DAY * DOUBT_PER_ROOT_DAY * days);
            return new Level(max, Math.min(grown, Math.max(MOST_DOUBT, doubt)), later);
        }

        Level corrected(Observation seen) {
            double own = doubt * doubt;
            double gain = own / (own + seen.doubt * seen.doubt);
            return new Level(max + gain * (seen.max - max), Math.sqrt((1 - gain) * own), date);
        }
    }

    /** A set as a max, its doubt, and how many sets of the session are alike. */
    private record Evidence(LiftedSet set, double max, double doubt, long alike) {

        double weight() {
            return 1 / (doubt * doubt * Math.sqrt(alike));
        }
    }

    private record Observation(double max, double doubt, double weights) {

        static Observation of(List<Evidence> evidence) {
            double weights = evidence.stream().mapToDouble(Evidence::weight).sum();
            double max = evidence.stream().mapToDouble(e -> e.max * e.weight()).sum() / weights;
            return new Observation(max, Math.max(SESSION_DOUBT, Math.sqrt(1 / weights)), weights);
        }
    }

    private static List<Evidence> evidence(Lift lift, RepCurve curve, LiftedSession session, boolean repsFlatter) {
        List<Telling> telling = session.sets().stream()
                .filter(set -> set.lift().equals(lift))
                .flatMap(set -> set.repsThatEstimate().map(inAll -> new Telling(set, inAll)).stream())
                .toList();
        return telling.stream()
                .map(set -> evidence(curve, set.set, set.inAll, alike(set.set, telling), repsFlatter))
                .toList();
    }

    /** A set that says something about a max, and the repetitions it was good for. */
    private record Telling(LiftedSet set, RepsInAll inAll) {}

    private static long alike(LiftedSet set, List<Telling> sets) {
        return sets.stream()
                .filter(other -> other.set.load().equals(set.load()) && other.set.reps() == set.reps())
                .count();
    }

    private static Evidence evidence(RepCurve curve, LiftedSet set, RepsInAll inAll, long alike, boolean repsFlatter) {
        double left = inAll.halves() / 2.0 - set.reps();
        double doubt = SET_DOUBT + DOUBT_PER_REP_LEFT * left + DOUBT_PER_FURTHER_REP * (set.reps() - 1);
        if (repsFlatter && set.reps() > 1) {
            doubt *= FLATTERING;
        }
        return new Evidence(set, kg(curve.max(set.load(), inAll)), doubt, alike);
    }

    private static MaxEstimate.Movement movement(
            LocalDate date, Level before, Level after, Observation observation, List<Evidence> evidence) {
        double from = before == null ? after.max : before.max;
        double gain = observation.max == from ? 0 : (after.max - from) / (observation.max - from);
        List<MaxEstimate.Contribution> contributions = evidence.stream()
                .map(e -> {
                    double share = e.weight() / observation.weights;
                    return new MaxEstimate.Contribution(
                            e.set,
                            mass(e.max),
                            Percent.ofShare(BigDecimal.valueOf(share)),
                            mass(gain * share * (e.max - from)));
                })
                .toList();
        return new MaxEstimate.Movement(
                date, mass(from), mass(after.max), mass(after.max * after.doubt), contributions);
    }

    private static double kg(Mass mass) {
        return mass.in(MassUnit.KG).doubleValue();
    }

    /** Rounded to a gram, far below what an estimate can know. */
    private static Mass mass(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(GRAM, RoundingMode.HALF_UP), MassUnit.KG);
    }
}
