package dev.yarbel.core.contest;

import java.math.BigDecimal;
import java.util.Collection;
import java.util.Optional;
import org.hipparchus.special.Erf;

/**
 * What more in an event is worth, where the others' results are known or guessed: each is taken to be normally distributed about what is
 * expected, one tenth of it either way where it is guessed (ours), and what is done stands.
 *
 * <p>Where others have come, or are expected to come, just as far and the time tells them apart, more is a shorter time: a course ends where it
 * ends.
 *
 * @param points that may be expected
 * @param unitMore that one repetition, metre, piece or second, or five kilograms more would bring
 * @param percentMore that five percent more would bring, by which events of different units compare
 * @param percentLess that five percent less would cost
 * @param byTime whether a second less is meant by more
 * @param next what it takes to be level with the next better one as expected; empty for whoever leads
 */
public record CheapestPoint(
        double points, double unitMore, double percentMore, double percentLess, boolean byTime, Optional<Ahead> next) {

    /**
     * By what the next better one is ahead, who may be another one than those whom time tells apart.
     *
     * @param by in seconds, or in the event's unit
     * @param level the result that is level with theirs
     */
    public record Ahead(BigDecimal by, boolean byTime, EventResult level) {

        private static Ahead of(EventResult own, EventResult other) {
            boolean timed = isTimed(own, other);
            BigDecimal gap = timed
                    ? own.seconds().orElseThrow().subtract(other.seconds().orElseThrow())
                    : other.amount().subtract(own.amount()).abs();
            return new Ahead(
                    gap, timed, new EventResult(other.amount(), timed ? other.seconds() : Optional.empty(), true));
        }
    }

    private static final double GUESS = 0.1;
    private static final double SHARE = 0.05;
    private static final double LOAD_UNIT = 5;
    private static final double ROOT_TWO = Math.sqrt(2);

    /**
     * @param own what is expected of the lifter
     * @param others of those who have a result, done or expected
     * @throws IllegalArgumentException when the own result is none
     */
    public static CheapestPoint of(EventMeasure measure, EventResult own, Collection<EventResult> others) {
        if (!own.scores()) {
            throw new IllegalArgumentException("nothing is expected of the lifter");
        }
        boolean byTime = others.stream().anyMatch(other -> isTimed(own, other));
        double unit = byTime ? 1 : measure == EventMeasure.LOAD ? LOAD_UNIT : 1;
        double share = SHARE * (byTime ? own.seconds().orElseThrow() : own.amount()).doubleValue();
        Field field = new Field(measure, own, others, byTime);
        double points = field.points(0);
        return new CheapestPoint(
                points,
                field.points(unit) - points,
                field.points(share) - points,
                points - field.points(-share),
                byTime,
                others.stream()
                        .filter(EventResult::scores)
                        .filter(other -> measure.best().compare(other, own) < 0)
                        .max(measure.best())
                        .map(other -> Ahead.of(own, other))
                        .filter(ahead -> ahead.by.signum() > 0));
    }

    /** Whether time tells two apart, having come just as far. */
    private static boolean isTimed(EventResult own, EventResult other) {
        return own.seconds().isPresent()
                && other.seconds().isPresent()
                && own.amount().compareTo(other.amount()) == 0;
    }

    private record Field(EventMeasure measure, EventResult own, Collection<EventResult> others, boolean byTime) {

        /** One for being there and one for each that is beaten, half of one for each that is level, with so much more than is expected. */
        private double points(double more) {
            double points = 1;
            for (EventResult other : others) {
                points += other.scores() ? beats(other, more) : 1;
            }
            return points;
        }

        private double beats(EventResult other, double more) {
            if (isTimed(own, other)) {
                return below(
                        own.seconds().orElseThrow().doubleValue() - (byTime ? more : 0),
                        other.seconds().orElseThrow().doubleValue(),
                        other.guessed());
            }
            double amount = own.amount().doubleValue();
            double theirs = other.amount().doubleValue();
            if (measure.isFewer()) {
                return below(amount - more, theirs, other.guessed());
            }
            return 1 - below(amount + (byTime ? 0 : more), theirs, other.guessed());
        }

        /** How likely one figure turns out below another, half of it where they are the same for sure. */
        private double below(double mine, double theirs, boolean guessed) {
            double spread = Math.hypot(own.guessed() ? GUESS * mine : 0, guessed ? GUESS * theirs : 0);
            if (spread == 0) {
                return mine < theirs ? 1 : mine == theirs ? 0.5 : 0;
            }
            return Erf.erfc((mine - theirs) / spread / ROOT_TWO) / 2;
        }
    }
}
