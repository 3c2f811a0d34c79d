package dev.yarbel.web.contest;

import dev.yarbel.core.contest.AnnouncedEvent;
import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.hibernate.validator.constraints.Range;

/**
 * An event as it is announced.
 *
 * @param lift blank where it is none of the club's
 * @param name blank where the lift's own is meant
 * @param series what each piece weighs: {@code 100, 120, 140 kg}
 * @param course how far it goes, in metres where no unit is said
 * @param seconds there are
 * @param begins when the first one goes
 * @param minutes one takes, with setting up again
 */
record EventForm(
        Lift lift,
        @Size(max = 80) String name,
        @NotNull EventMeasure measure,
        String load,
        @Size(max = 200) String series,
        String course,
        @Range(min = 5, max = 1800) Integer seconds,
        LocalTime begins,
        @Range(min = 1, max = 60) Integer minutes) {

    private static final Length LEAST_COURSE = Length.ofCm(100);
    private static final Length MOST_COURSE = Length.ofCm(100_000);

    /**
     * @param known whether the club knows a lift
     * @param named what a lift is called
     * @throws UnreadableException when it cannot be announced like this
     */
    EventEntity.Set read(Predicate<Lift> known, Function<Lift, String> named) {
        Optional<Lift> trained = Optional.ofNullable(lift);
        if (trained.filter(known.negate()).isPresent()) {
            throw new UnreadableException("plan.no-such-lift").in("lift");
        }
        List<Mass> pieces = Reading.fieldIfAny("series", series, MassList::read).orElse(List.of());
        if (!pieces.isEmpty() && measure != EventMeasure.PIECES) {
            throw new UnreadableException("contest.error.series.measure").in("series");
        }
        return new EventEntity.Set(
                Optional.ofNullable(name)
                        .or(() -> trained.map(named))
                        .orElseThrow(() -> new UnreadableException("read.needed").in("name")),
                trained,
                new AnnouncedEvent(
                        measure,
                        Reading.fieldIfAny("load", load, text -> Reading.mass(text, MassUnit.KG)),
                        pieces,
                        Reading.fieldIfAny(
                                "course",
                                course,
                                text -> Reading.length(text, LengthUnit.M, LEAST_COURSE, MOST_COURSE)),
                        Optional.ofNullable(seconds).map(Duration::ofSeconds)),
                Optional.ofNullable(begins),
                Optional.ofNullable(minutes));
    }
}
