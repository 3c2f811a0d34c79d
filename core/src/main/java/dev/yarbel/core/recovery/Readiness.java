package dev.yarbel.core.recovery;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.Trend;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.recovery.FatigueSignal.Kind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.function.ToDoubleBiFunction;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * What tells of fatigue, and what it comes to: a deload now, in some weeks, or not. Signs of three sources say now; of two, or where the
 * usual time is nearly up, in some weeks (common practice, no source: one alone is noise). It never decides.
 *
 * @param signals those that could be worked out; what nobody asked or rated is not among them
 * @param inWeeks in how many weeks; 0 for now; empty for not
 */
public record Readiness(List<FatigueSignal> signals, Advice advice, Optional<Integer> inWeeks) {

    /** What it comes to. */
    public enum Advice {
        NOW,
        IN_WEEKS,
        NOT,
        /** A deload stands within the week in the plan, or is under way. */
        PLANNED,
        /** The plan says that more is done than can be recovered from, on purpose, and a deload follows. */
        REACHING
    }

    /**
     * The estimate of a lift over the last weeks.
     *
     * @param from where it stood
     * @param by how far it moved since
     * @param days since then
     * @param expected how fast it might have grown
     */
    public record Progress(Mass from, Mass by, long days, ExpectedGain expected) {

        /** How a lift's estimate went by the trend that the book shows; empty where it shows none. */
        public static Optional<Progress> of(MaxEstimate estimate, LocalDate today, ExpectedGain expected) {
            return Trend.of(estimate, today).map(trend -> {
                MaxEstimate.Movement last =
                        estimate.movements().get(estimate.movements().size() - 1);
                return new Progress(
                        last.after().minus(trend.by()),
                        trend.by(),
                        ChronoUnit.DAYS.between(trend.since(), last.date()),
                        expected);
            });
        }

        /** By how many percent of the max it lags behind. */
        double behind() {
            double gained = by.percentOf(from).figure().doubleValue();
            double hoped = expected.aWeek().figure().doubleValue() * days / DAYS_A_WEEK;
            return hoped - gained;
        }
    }

    /** What the plan says of the weeks around today. */
    public enum Plan {
        TRAINING,
        DELOAD_AT_HAND,
        REACHING_OVER
    }

    private static final double DAYS_A_WEEK = 7;
    private static final int RECENT_DAYS = 14;
    private static final int EARLIER_DAYS = 56;
    private static final double SAME_LOAD = 0.01;
    private static final int LEAST_ALIKE = 3;
    private static final int LATEST_RATED = 3;
    private static final int LEAST_USUAL = 4;
    private static final int LEAST_WEEKS = 3;
    private static final int WEEKS_BEFORE = 4;
    private static final double HUNDRED = 100;
    private static final int SOURCES_FOR_NOW = 3;
    private static final int SOURCES_FOR_SOON = 2;
    private static final int SOON = 2;

    public Readiness {
        signals = List.copyOf(signals);
    }

    /**
     * How a lifter stands.
     *
     * @param sessions finished, oldest first
     * @param progress of the main lifts
     * @param sinceDeload when training began anew after the last deload or gap; empty where nothing was lifted
     */
    public static Readiness of(
            LocalDate today,
            List<TrainingSeen> sessions,
            Collection<Progress> progress,
            Optional<LocalDate> sinceDeload,
            DeloadDue due,
            Plan plan) {
        List<TrainingSeen> training = sessions.stream()
                .filter(session -> !session.easy() && !session.date().isAfter(today))
                .toList();
        List<FatigueSignal> signals = new ArrayList<>();
        add(
                signals,
                Kind.STAGNATION,
                progress.stream().mapToDouble(Progress::behind).average());
        add(signals, Kind.RATED_HARDER, harder(today, training));
        add(signals, Kind.SLOWER, slower(today, training));
        add(signals, Kind.BODY, worse(training, Wellbeing::body));
        add(signals, Kind.MIND, worse(training, Wellbeing::mind));
        add(signals, Kind.STRAIN, strain(today, sessions));
        add(signals, Kind.MISSES, misses(today, training));
        sinceDeload.ifPresent(since -> signals.add(new FatigueSignal(
                Kind.DUE,
                Math.max(0, Math.floor(ChronoUnit.DAYS.between(since, today) / DAYS_A_WEEK)),
                due.weeks(today))));
        return advise(signals, plan);
    }

    private static void add(List<FatigueSignal> signals, Kind kind, OptionalDouble figure) {
        figure.ifPresent(now -> signals.add(FatigueSignal.of(kind, now)));
    }

    private static Readiness advise(List<FatigueSignal> signals, Plan plan) {
        if (plan == Plan.DELOAD_AT_HAND) {
            return new Readiness(signals, Advice.PLANNED, Optional.empty());
        }
        if (plan == Plan.REACHING_OVER) {
            return new Readiness(signals, Advice.REACHING, Optional.empty());
        }
        int sources = sources(signals);
        int left = signals.stream()
                .filter(signal -> signal.kind() == Kind.DUE)
                .mapToInt(signal -> (int) Math.max(1, signal.limit() - signal.now()))
                .findFirst()
                .orElse(Integer.MAX_VALUE);
        if (sources >= SOURCES_FOR_NOW) {
            return new Readiness(signals, Advice.NOW, Optional.of(0));
        }
        if (sources >= SOURCES_FOR_SOON || left <= SOON) {
            return new Readiness(signals, Advice.IN_WEEKS, Optional.of(Math.min(left, SOON)));
        }
        return new Readiness(signals, Advice.NOT, Optional.empty());
    }

    private static int sources(List<FatigueSignal> signals) {
        return (int) signals.stream()
                .filter(FatigueSignal::speaks)
                .map(signal -> signal.kind().source())
                .distinct()
                .count();
    }

    /** From how many sources signs speak. */
    public int sources() {
        return sources(signals);
    }

    /** Whether fatigue is what the plan says, or about to be taken off. */
    public boolean isMeant() {
        return advice == Advice.PLANNED || advice == Advice.REACHING;
    }

    /** The signs that speak, of however many sources. */
    public List<FatigueSignal> speaking() {
        return signals.stream().filter(FatigueSignal::speaks).toList();
    }

    // ---- the same load, then and now

    private static OptionalDouble harder(LocalDate today, List<TrainingSeen> training) {
        return alike(
                today,
                training,
                set -> set.made() && set.ratingOnRecord().isPresent(),
                (before, now) -> (halvesLeft(before) - halvesLeft(now)) / 2.0);
    }

    private static int halvesLeft(LiftedSet set) {
        return set.ratingOnRecord().orElseThrow().halvesLeft();
    }

    private static OptionalDouble slower(LocalDate today, List<TrainingSeen> training) {
        return alike(
                today,
                training,
                set -> set.made() && set.details().speed().isPresent(),
                (before, now) -> HUNDRED * (speed(before) - speed(now)) / speed(before));
    }

    private static double speed(LiftedSet set) {
        return set.details().speed().orElseThrow().millimetres();
    }

    /**
     * What lies between sets of the last two weeks and those like them of the six before: the same lift and repetitions, no more than
     * 1 % of the load apart, done in the same way. The mean over the recent ones, where there are at least three.
     */
    private static OptionalDouble alike(
            LocalDate today,
            List<TrainingSeen> training,
            Predicate<LiftedSet> telling,
            ToDoubleBiFunction<LiftedSet, LiftedSet> difference) {
        LocalDate recent = today.minusDays(RECENT_DAYS);
        List<LiftedSet> earlier = training.stream()
                .filter(session ->
                        session.date().isBefore(recent) && !session.date().isBefore(today.minusDays(EARLIER_DAYS)))
                .flatMap(session -> session.work().stream())
                .filter(telling)
                .toList();
        List<Double> differences = training.stream()
                .filter(session -> !session.date().isBefore(recent))
                .flatMap(session -> session.work().stream())
                .filter(telling)
                .flatMap(now -> earlier.stream()
                        .filter(before -> isAlike(before, now))
                        .mapToDouble(before -> difference.applyAsDouble(before, now))
                        .average()
                        .stream()
                        .boxed())
                .toList();
        return differences.size() < LEAST_ALIKE
                ? OptionalDouble.empty()
                : differences.stream().mapToDouble(Double::doubleValue).average();
    }

    private static boolean isAlike(LiftedSet one, LiftedSet other) {
        return one.lift().equals(other.lift())
                && one.reps() == other.reps()
                && one.load().isPositive()
                && Math.abs(other.load().percentOf(one.load()).figure().doubleValue() / HUNDRED - 1) <= SAME_LOAD
                && one.details().asked().equals(other.details().asked())
                && one.details().worn().equals(other.details().worn());
    }

    // ---- how the lifter is

    /** How much worse the last three ratings are than those before, the lifter's own usual. */
    private static OptionalDouble worse(List<TrainingSeen> training, ToDoubleFunction<Wellbeing> of) {
        List<Double> rated = training.stream()
                .flatMap(session -> session.before().stream())
                .map(of::applyAsDouble)
                .toList();
        if (rated.size() < LATEST_RATED + LEAST_USUAL) {
            return OptionalDouble.empty();
        }
        int from = rated.size() - LATEST_RATED;
        return OptionalDouble.of(mean(rated.subList(from, rated.size())) - mean(rated.subList(0, from)));
    }

    private static double mean(List<Double> figures) {
        return figures.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }

    // ---- load and misses

    private static OptionalDouble strain(LocalDate today, List<TrainingSeen> sessions) {
        List<SessionLoad> loads =
                sessions.stream().flatMap(session -> session.load().stream()).toList();
        Optional<Double> now = WeekLoad.endingOn(today, loads).strain();
        List<Double> before = Stream.iterate(1, week -> week <= WEEKS_BEFORE, week -> week + 1)
                .flatMap(week -> WeekLoad.endingOn(today.minusWeeks(week), loads).strain().stream())
                .filter(strain -> strain > 0)
                .toList();
        return now.isEmpty() || before.size() < LEAST_WEEKS
                ? OptionalDouble.empty()
                : OptionalDouble.of(HUNDRED * now.get() / mean(before));
    }

    private static OptionalDouble misses(LocalDate today, List<TrainingSeen> training) {
        List<TrainingSeen> recent = training.stream()
                .filter(session -> !session.date().isBefore(today.minusDays(RECENT_DAYS)))
                .toList();
        return recent.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        recent.stream().filter(TrainingSeen::isMissed).count());
    }
}
