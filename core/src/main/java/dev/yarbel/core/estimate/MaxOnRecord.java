package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What a max that somebody set down says of a standing max on its day.
 *
 * @param doubt one standard deviation, as a share of it: 4 % for a single that was lifted, 6 % for several repetitions to
 *     the limit, 8 % for somebody's guess (starting values of ours)
 */
public record MaxOnRecord(Lift lift, Mass max, LocalDate on, Percent doubt) {

    private static final Percent LIFTED = Percent.of(4);
    private static final Percent READ = Percent.of(6);
    private static final Percent GUESSED = Percent.of(8);

    /** A single that was lifted. */
    public MaxOnRecord(Lift lift, Mass max, LocalDate on) {
        this(lift, max, on, LIFTED);
    }

    public MaxOnRecord {
        if (!max.isPositive()) {
            throw new IllegalArgumentException("a max is more than nothing");
        }
    }

    /**
     * What a recorded max says; a goal says nothing, nor do more repetitions than a max can be told from.
     *
     * @param curve reads a rep max
     */
    public static Optional<MaxOnRecord> of(RecordedMax max, RepCurve curve) {
        Optional<Percent> doubt =
                switch (max.kind()) {
                    case CONTEST, TESTED -> Optional.of(LIFTED);
                    case REP_MAX ->
                        Optional.of(READ)
                                .filter(read -> RepsInAll.toTheLimit(max.reps()).estimates());
                    case ESTIMATED -> Optional.of(GUESSED);
                    case GOAL -> Optional.empty();
                };
        return doubt.map(share -> new MaxOnRecord(max.lift(), max.max(curve), max.on(), share));
    }
}
