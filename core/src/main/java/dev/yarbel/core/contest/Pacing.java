package dev.yarbel.core.contest;

import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Seconds;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The even pace that comes to a result: how much is to be done by when. Most go out faster and slow down; a crew that calls the marks sees which
 * it is (common practice, no source).
 *
 * @param marks on the way, without its end; what is counted is whole
 */
public record Pacing(List<Mark> marks) {

    private static final int QUARTERS = 4;
    /** Up to so many, each is a mark. */
    private static final int FEW = 6;

    /**
     * What is to be done by when.
     *
     * @param amount in repetitions, pieces or metres
     */
    public record Mark(BigDecimal amount, BigDecimal seconds) {}

    public Pacing {
        marks = List.copyOf(marks);
    }

    /** Of an event that takes a time, and of which there is more than one to do; empty of any other. */
    public static Optional<Pacing> of(AnnouncedEvent event, EventResult result) {
        if (!result.scores()) {
            return Optional.empty();
        }
        Optional<BigDecimal> limit = event.limit().map(Seconds::in);
        return switch (event.measure()) {
            case REPS -> limit.flatMap(time -> counted(result.amount(), time));
            case PIECES -> result.seconds().or(() -> limit).flatMap(time -> counted(result.amount(), time));
            case DISTANCE -> result.seconds().or(() -> limit).map(time -> quarters(result.amount(), time));
            case TIME -> event.course().map(far -> quarters(far.in(LengthUnit.M), result.amount()));
            case LOAD, HOLD, ROUNDS -> Optional.empty();
        };
    }

    private static Optional<Pacing> counted(BigDecimal amount, BigDecimal time) {
        int many = amount.intValue();
        IntStream at = many <= FEW
                ? IntStream.range(1, many)
                : IntStream.range(1, QUARTERS).map(quarter -> Math.round((float) many * quarter / QUARTERS));
        List<Mark> marks = at.mapToObj(done -> mark(BigDecimal.valueOf(done), BigDecimal.valueOf(many), time))
                .toList();
        return marks.isEmpty() ? Optional.empty() : Optional.of(new Pacing(marks));
    }

    private static Pacing quarters(BigDecimal far, BigDecimal time) {
        return new Pacing(Stream.of("0.25", "0.5", "0.75")
                .map(share -> mark(far.multiply(new BigDecimal(share)), far, time))
                .toList());
    }

    private static Mark mark(BigDecimal done, BigDecimal all, BigDecimal time) {
        return new Mark(
                done.setScale(1, RoundingMode.HALF_UP),
                time.multiply(done).divide(all, MathContext.DECIMAL32).setScale(1, RoundingMode.HALF_UP));
    }
}
