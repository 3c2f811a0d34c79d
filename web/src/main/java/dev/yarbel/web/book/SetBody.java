package dev.yarbel.web.book;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.rest.JsonMass;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * A set as a program sends it.
 *
 * @param lift by key or name
 * @param load nothing where nothing but the body was moved
 * @param effort as {@link Effort#code()} has it; done, and not rated, where nothing is sent
 * @param missedBy why, of a set that was missed
 * @param confirmed whether figures that were asked about are meant
 */
public record SetBody(
        @Schema(description = "The key of a lift, such as `squat`, or its name")
        String lift,

        @Schema(description = "Leave it out where nothing but the body was moved")
        JsonMass load,

        @Schema(description = "The repetitions made, 0 to 100; none only of a set that was missed")
        Integer reps,

        @Schema(
                description =
                        "An RPE such as `8` or `8.5`, or `easy`, `done` (not rated, as where it is left out), `missed`")
        String effort,

        Integer helped,
        SetDetails.MissedBy missedBy,

        @Schema(description = "Of the last repetition, in metres a second")
        BigDecimal speed,

        BigDecimal seconds,
        @Schema(description = "In cm") BigDecimal distance,
        String note,

        @Schema(description = "Whether figures that were asked about are meant")
        boolean confirmed) {

    private static final int MOST_REPS = 100;
    private static final Length NEAREST = Length.ofCm(10);
    private static final Length FARTHEST = Length.ofCm(200_000);

    /** A figure as it is typed; one with more signs than anybody types is none. */
    private static String text(BigDecimal figure) {
        return figure.precision() > 12 || Math.abs(figure.scale()) > 6 ? "?" : figure.toPlainString();
    }

    /**
     * The set.
     *
     * @param in what stands before the names of fields in a trouble, such as {@code sets[0].}
     * @param lifts reads the name of a lift
     * @param known what is known of the set besides, and stays
     * @throws UnreadableException when it cannot be one
     */
    LiftedSet read(String in, Function<String, Lift> lifts, SetDetails known) {
        Lift of = Reading.field(in + "lift", lift, lifts);
        Mass mass = load == null ? Mass.ZERO : load.mass(in + "load");
        Effort rated = effort(in);
        int made = Reading.within(in + "reps", reps, 0, MOST_REPS);
        if (made == 0 && !rated.isMissed()) {
            throw new UnreadableException("set.error.no-reps").in(in + "reps");
        }
        return new LiftedSet(of, mass, made, rated, details(in, made, rated, known));
    }

    private Effort effort(String in) {
        return Reading.field(in + "effort", Objects.requireNonNullElse(effort, "done"), Reading::effort);
    }

    private SetDetails details(String in, int made, Effort rated, SetDetails known) {
        SetDetails details = known.withHelp(helped == null ? 0 : Reading.within(in + "helped", helped, 0, made))
                .over(
                        time(in),
                        Optional.ofNullable(distance)
                                .map(far -> Reading.field(
                                        in + "distance",
                                        text(far),
                                        cm -> Reading.length(cm, LengthUnit.CM, NEAREST, FARTHEST))));
        if (missedBy != null && rated.isMissed()) {
            details = details.missed(missedBy);
        }
        if (speed != null) {
            details = details.with(Reading.field(in + "speed", text(speed), SetBody::speed));
        }
        return note == null || note.isBlank()
                ? details
                : details.noted(
                        Reading.field(in + "note", note, words -> Reading.words(words, SetDetails.LONGEST_NOTE)));
    }

    private static BarSpeed speed(String metres) {
        try {
            return BarSpeed.parse(metres);
        } catch (IllegalArgumentException none) {
            throw new UnreadableException("http.unreadable-value");
        }
    }

    private Optional<Duration> time(String in) {
        return Optional.ofNullable(seconds).map(taken -> {
            String figure = text(taken);
            boolean usable = figure.matches("\\d{1,4}(\\.\\d{1,6})?");
            Duration time = usable ? Seconds.of(taken) : Duration.ZERO;
            if (time.isZero() || time.compareTo(SetDetails.LONGEST_TIME) > 0) {
                throw new UnreadableException("set.error.time").in(in + "seconds");
            }
            return time;
        });
    }
}
