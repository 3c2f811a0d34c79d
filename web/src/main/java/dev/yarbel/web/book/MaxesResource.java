package dev.yarbel.web.book;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.Worn;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.rest.JsonMass;
import dev.yarbel.web.rest.Listed;
import dev.yarbel.web.rest.Problems;
import dev.yarbel.web.rest.Versions;
import dev.yarbel.web.roster.LifterCard;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Maxes as they were set down, and what a lifter's numbers are today, for programs. */
@RestController
@RequestMapping(Problems.ROOT + "lifters/{id}")
@Tag(name = "Maxes")
class MaxesResource {

    private final Book book;
    private final StartingNumbers starting;
    private final RecordedMaxRepository maxes;
    private final LiftNames lifts;
    private final Versions versions;
    private final Clock clock;

    MaxesResource(
            Book book,
            StartingNumbers starting,
            RecordedMaxRepository maxes,
            LiftNames lifts,
            Versions versions,
            Clock clock) {
        this.book = book;
        this.starting = starting;
        this.maxes = maxes;
        this.lifts = lifts;
        this.versions = versions;
        this.clock = clock;
    }

    /** A max that was set down. */
    record MaxJson(
            long id,
            String lift,
            RecordedMax.Kind kind,
            JsonMass load,
            int reps,
            LocalDate on,
            Set<Worn> worn,
            String source) {

        static MaxJson of(long id, RecordedMax max) {
            return new MaxJson(
                    id,
                    max.lift().key(),
                    max.kind(),
                    JsonMass.of(max.load()),
                    max.reps(),
                    max.on(),
                    max.worn(),
                    max.source());
        }
    }

    @GetMapping("/maxes")
    @Operation(summary = "The maxes that were set down, in the order they were")
    Listed<MaxJson> maxes(
            LifterCard lifter,
            @RequestParam(required = false) String after,
            @RequestParam(defaultValue = Listed.USUAL) int limit) {
        int most = Listed.limit(limit);
        return Listed.of(
                maxes.after(lifter.clubId(), lifter.id(), Listed.number(after), Limit.of(most + 1)).stream()
                        .map(max -> MaxJson.of(max.id(), max.max()))
                        .toList(),
                most,
                max -> List.of(max.id()));
    }

    /**
     * A max.
     *
     * @param kind of a single that was lifted, guessed or wanted, or a rep max
     * @param reps 1, or of a rep max 2 to 20
     * @param confirmed whether a load that was asked about is meant
     */
    record NewMax(
            @NotBlank String lift,
            @NotNull RecordedMax.Kind kind,
            @NotNull JsonMass load,

            @Schema(description = "1, as where it is left out, or of a rep max 2 to 20")
            Integer reps,

            @NotNull LocalDate on,
            Set<@NotNull Worn> worn,
            @Size(max = 80) String source,
            boolean confirmed) {

        RecordedMax read(Lift of, LocalDate day) {
            boolean single = kind != RecordedMax.Kind.REP_MAX;
            int made = Reading.within(
                    "reps",
                    reps == null ? Integer.valueOf(1) : reps,
                    single ? 1 : 2,
                    single ? 1 : RecordedMax.MOST_REPS);
            return new RecordedMax(
                    of,
                    kind,
                    load.positive("load"),
                    made,
                    day,
                    worn == null ? Set.of() : worn,
                    Objects.requireNonNullElse(source, ""));
        }
    }

    @PostMapping("/maxes")
    @Operation(
            summary = "Set a max down",
            description = "Where there is no working max yet, that too, at the coach's share of it.")
    ResponseEntity<MaxJson> add(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @Valid @RequestBody NewMax body) {
        Lift lift = lift(lifter, body.lift());
        LocalDate on = Reading.past("on", body.on(), LocalDate.ofInstant(clock.instant(), coach.zone()));
        RecordedMax max = body.read(lift, on);
        long id = starting.max(coach, lifter, max, body.load().unit(lifter.unit()), body.confirmed())
                .max();
        return ResponseEntity.status(HttpStatus.CREATED).body(MaxJson.of(id, max));
    }

    private Lift lift(LifterCard lifter, String name) {
        return Reading.field("lift", name, text -> lifts.read(lifter.clubId(), text));
    }

    @DeleteMapping("/maxes/{max}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Strike a max")
    void strike(@AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable long max) {
        starting.struck(coach, lifter, max, true);
    }

    @PostMapping("/maxes/{max}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Bring back a max that was struck")
    void bringBack(@AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable long max) {
        starting.struck(coach, lifter, max, false);
    }

    // ---- numbers of today

    /** What a lifter's numbers are in a lift. */
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    record LiftJson(
            String lift, Optional<JsonMass> workingMax, Optional<EstimateJson> estimate, Optional<JsonMass> eventLoad) {

        static LiftJson of(LiftRecord lift) {
            return new LiftJson(
                    lift.lift().key(),
                    lift.workingMax().map(JsonMass::of),
                    lift.estimate().map(EstimateJson::of),
                    lift.eventLoad().map(JsonMass::of));
        }
    }

    /** A max as the log makes it believed, and the range in which it lies. */
    record EstimateJson(JsonMass max, JsonMass low, JsonMass high) {

        static EstimateJson of(MaxEstimate estimate) {
            return new EstimateJson(about(estimate.max()), about(estimate.low()), about(estimate.high()));
        }

        /** To a hundredth of a kilogram: what is believed is not known as finely as it is reckoned. */
        private static JsonMass about(Mass mass) {
            return JsonMass.of(Mass.of(mass.figure(MassUnit.KG, 2), MassUnit.KG));
        }
    }

    @GetMapping("/lifts")
    @Operation(summary = "Working maxes, and estimates with their range, as they stand today")
    Listed<LiftJson> lifts(LifterCard lifter) {
        return new Listed<>(
                book.standing(lifter).lifts().stream()
                        .filter(lift -> lift.hasNumbers() || lift.eventLoad().isPresent())
                        .map(LiftJson::of)
                        .toList(),
                null);
    }

    @GetMapping("/lifts/{lift}")
    @Operation(summary = "The same of one lift")
    ResponseEntity<LiftJson> lift(LifterCard lifter, @PathVariable Lift lift) {
        return versions.tagged(told(lifter, lift));
    }

    private LiftJson told(LifterCard lifter, Lift lift) {
        LifterRecord standing = book.standing(lifter);
        standing.variation(lift.key());
        return LiftJson.of(standing.of(lift).orElseGet(() -> LiftRecord.none(lift)));
    }

    /** @param confirmed whether a load that was asked about is meant */
    record WorkingMax(@NotNull JsonMass load, boolean confirmed) {}

    @PutMapping("/lifts/{lift}/working-max")
    @Operation(summary = "Move a working max")
    ResponseEntity<LiftJson> move(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @PathVariable Lift lift,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody WorkingMax body) {
        versions.check(seen, told(lifter, lift));
        starting.workingMax(coach, lifter, lift, body.load().positive("load"), body.confirmed());
        return versions.tagged(told(lifter, lift));
    }
}
