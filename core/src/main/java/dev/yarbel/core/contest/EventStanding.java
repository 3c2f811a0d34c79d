package dev.yarbel.core.contest;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.LiftedSet;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How a lifter stands for an event, from training: the best, how it went lately, what the estimate of the max says.
 *
 * <p>Only what was done with about the announced load counts, or the lightest of a series, a thirtieth less at most; where none is announced, any load. What counts is what the event
 * measures, but a course that is timed is held by metres a second, as training seldom has its length. That the last six sessions tell, and that
 * they go up or down where their later half is better or worse by a twentieth, is ours.
 *
 * @param best of the last {@link #WEEKS} weeks
 * @param lately the best of each of the last six sessions, the oldest first
 * @param way how those go
 * @param byEstimate what may be there by the estimate of the max, as four days of five will have it: least, middle, most; empty where nobody can say
 * @param byPace how long the announced course takes at the pace of the last sessions: the best, their mean, the worst of them; empty without
 *     either
 * @param aMinute repetitions a minute in the best set, where it was timed
 */
public record EventStanding(
        Optional<Done> best,
        List<Done> lately,
        Way way,
        Optional<Expected> byEstimate,
        Optional<Expected> byPace,
        Optional<BigDecimal> aMinute) {

    public static final int WEEKS = 16;

    private static final int SESSIONS = 6;
    private static final Percent ABOUT = Percent.of("96.6");
    private static final double NOTABLE = 0.05;
    private static final int MOST_REPS = 30;
    private static final BigDecimal MINUTE = BigDecimal.valueOf(60);

    /** What was done on a day, in the event's unit; in metres a second where a course is timed. */
    public record Done(LocalDate on, BigDecimal amount, Mass load) {}

    /** Least, middle and most. */
    public record Expected(BigDecimal low, BigDecimal middle, BigDecimal high) {}

    /** How the last sessions go. */
    public enum Way {
        UP,
        LEVEL,
        DOWN,
        /** Too few to say. */
        UNKNOWN
    }

    /** A set of a day. */
    public record Trained(LocalDate on, LiftedSet set) {}

    /** What is known of the max of what the event is trained as. */
    public record Max(MaxEstimate estimate, RepCurve curve) {}

    /**
     * @param trained sets of what the event is trained as, oldest first
     */
    public static EventStanding of(AnnouncedEvent event, List<Trained> trained, Optional<Max> max) {
        EventMeasure measure = event.measure();
        List<Done> done = new ArrayList<>();
        Optional<BigDecimal> aMinute = Optional.empty();
        Optional<Done> best = Optional.empty();
        for (Trained one : trained) {
            Optional<Done> counted = counted(measure, event.lightest(), one);
            if (counted.isEmpty()) {
                continue;
            }
            done.add(counted.get());
            if (best.filter(most -> counted.get().amount().compareTo(most.amount()) <= 0)
                    .isEmpty()) {
                best = counted;
                aMinute = measure == EventMeasure.REPS ? pace(one.set()) : Optional.empty();
            }
        }
        List<Done> lately = lately(done);
        return new EventStanding(
                best,
                lately,
                way(lately),
                max.flatMap(known -> expected(event, known)),
                byPace(event, lately),
                aMinute);
    }

    // ---- what counts

    private static Optional<Done> counted(EventMeasure measure, Optional<Mass> announced, Trained one) {
        LiftedSet set = one.set();
        boolean enough = measure == EventMeasure.LOAD
                || announced
                        .filter(load -> set.load().isLessThan(load.times(ABOUT)))
                        .isEmpty();
        return enough && set.cleanReps() > 0
                ? amount(measure, set).map(amount -> new Done(one.on(), amount, set.load()))
                : Optional.empty();
    }

    private static Optional<BigDecimal> amount(EventMeasure measure, LiftedSet set) {
        return switch (measure) {
            case LOAD -> Optional.of(set.load().in(MassUnit.KG)).filter(load -> load.signum() > 0);
            case REPS, PIECES -> Optional.of(BigDecimal.valueOf(set.cleanReps()));
            case DISTANCE -> set.details().distance().map(far -> far.in(LengthUnit.M));
            // how long somebody stands it is not trained
            case ROUNDS -> Optional.empty();
            case HOLD ->
                set.details().distance().isPresent()
                        ? Optional.empty()
                        : set.details().time().map(Seconds::in);
            case TIME ->
                set.details().distance().flatMap(far -> set.details()
                        .time()
                        .map(Seconds::in)
                        .filter(time -> time.signum() > 0)
                        .map(time -> far.in(LengthUnit.M).divide(time, MathContext.DECIMAL32)));
        };
    }

    private static Optional<BigDecimal> pace(LiftedSet set) {
        return set.details()
                .time()
                .map(Seconds::in)
                .filter(time -> time.signum() > 0)
                .map(time ->
                        BigDecimal.valueOf(set.cleanReps()).multiply(MINUTE).divide(time, 1, RoundingMode.HALF_UP));
    }

    // ---- how it goes

    private static List<Done> lately(List<Done> done) {
        List<Done> byDay = done.stream()
                .map(Done::on)
                .distinct()
                .sorted()
                .flatMap(day ->
                        done.stream()
                                .filter(one -> one.on().equals(day))
                                .max(Comparator.comparing(Done::amount))
                                .stream())
                .toList();
        return byDay.subList(Math.max(0, byDay.size() - SESSIONS), byDay.size());
    }

    private static Way way(List<Done> lately) {
        int half = lately.size() / 2;
        if (half < 2) {
            return Way.UNKNOWN;
        }
        double before = mean(lately.subList(0, half));
        double after = mean(lately.subList(lately.size() - half, lately.size()));
        if (after > before * (1 + NOTABLE)) {
            return Way.UP;
        }
        return after < before * (1 - NOTABLE) ? Way.DOWN : Way.LEVEL;
    }

    private static double mean(List<Done> done) {
        return done.stream()
                .mapToDouble(one -> one.amount().doubleValue())
                .average()
                .orElseThrow();
    }

    // ---- by the estimate

    private static Optional<Expected> expected(AnnouncedEvent event, Max known) {
        MaxEstimate max = known.estimate();
        return switch (event.measure()) {
            case LOAD -> Optional.of(new Expected(kg(max.low()), kg(max.max()), kg(max.high())));
            case REPS ->
                event.load()
                        .map(load -> new Expected(
                                reps(known.curve(), max.low(), load),
                                reps(known.curve(), max.max(), load),
                                reps(known.curve(), max.high(), load)));
            case PIECES ->
                event.series().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Expected(
                                pieces(event, max.low()), pieces(event, max.max()), pieces(event, max.high())));
            case DISTANCE, HOLD, TIME, ROUNDS -> Optional.empty();
        };
    }

    /** The pieces of a series up to the first that is too heavy. */
    private static BigDecimal pieces(AnnouncedEvent event, Mass max) {
        return BigDecimal.valueOf(event.series().stream()
                .takeWhile(piece -> !piece.isGreaterThan(max))
                .count());
    }

    private static Optional<Expected> byPace(AnnouncedEvent event, List<Done> lately) {
        if (event.measure() != EventMeasure.TIME || lately.isEmpty()) {
            return Optional.empty();
        }
        DoubleSummaryStatistics speed =
                lately.stream().mapToDouble(done -> done.amount().doubleValue()).summaryStatistics();
        return event.course()
                .map(far -> far.in(LengthUnit.M).doubleValue())
                .map(far -> new Expected(
                        tenths(far / speed.getMax()), tenths(far / speed.getAverage()), tenths(far / speed.getMin())));
    }

    private static BigDecimal tenths(double seconds) {
        return BigDecimal.valueOf(seconds).setScale(1, RoundingMode.HALF_UP);
    }

    private static BigDecimal kg(Mass mass) {
        return mass.in(MassUnit.KG).setScale(1, RoundingMode.HALF_UP);
    }

    /** The most repetitions that the curve gives a load, 0 to 30. */
    private static BigDecimal reps(RepCurve curve, Mass max, Mass load) {
        return BigDecimal.valueOf(Stream.iterate(1, reps -> reps <= MOST_REPS, reps -> reps + 1)
                .takeWhile(reps -> !curve.load(max, reps, Rpe.LIMIT).isLessThan(load))
                .count());
    }
}
