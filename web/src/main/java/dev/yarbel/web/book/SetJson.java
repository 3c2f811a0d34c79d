package dev.yarbel.web.book;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.rest.JsonMass;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;

/**
 * A set of the log, for programs.
 *
 * @param speed of the last repetition in metres a second
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
record SetJson(
        @Schema(description = "Which set of the session: `A.1`, or `A.w1` for a warm-up")
        String task,

        @JsonInclude boolean warmUp,

        @Schema(description = "The key of the lift, such as `squat`")
        String lift,

        JsonMass load,
        @JsonInclude int reps,

        @Schema(description = "An RPE such as `8` or `8.5`, or `easy`, `done` (not rated), `missed`")
        String effort,

        Instant at,
        @JsonInclude int helped,
        Optional<SetDetails.MissedBy> missedBy,
        Optional<BigDecimal> speed,
        Optional<BigDecimal> seconds,
        @Schema(description = "How far it went, in cm") Optional<BigDecimal> distance,
        Optional<Set<Worn>> worn,
        Optional<SetDetails.Video> video,
        Optional<BigDecimal> partner,
        Optional<SetDetails.Proof> proof,
        Optional<String> note,
        Optional<BigDecimal> coachRating,
        Optional<String> coachNote) {

    static SetJson of(DoneSet done, Instant at) {
        SetDetails details = done.set().details();
        return new SetJson(
                done.task().toString(),
                done.task().warmUp(),
                done.set().lift().key(),
                JsonMass.of(done.set().load()),
                done.set().reps(),
                done.set().effort().code(),
                at,
                details.helped(),
                details.missedBy(),
                details.speed().map(speed -> new BigDecimal(speed.toString())),
                details.time().map(Seconds::in).map(BigDecimal::stripTrailingZeros),
                details.distance().map(distance -> distance.in(LengthUnit.CM)),
                details.worn(),
                details.video(),
                details.partner().map(SetJson::figure),
                details.proof(),
                details.note(),
                details.coach().rating().map(SetJson::figure),
                details.coach().note());
    }

    private static BigDecimal figure(Rpe rating) {
        return new BigDecimal(rating.toString());
    }
}
