package dev.yarbel.web.roster;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.rest.JsonMass;
import dev.yarbel.web.rest.Listed;
import dev.yarbel.web.rest.Problems;
import dev.yarbel.web.rest.Versions;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Lifters, their profiles and what is measured on them, for programs. */
@RestController
@RequestMapping(Problems.ROOT + "lifters")
@Tag(name = "Lifters")
class LiftersResource {

    private final Roster roster;
    private final TakingOn takingOn;
    private final Profiles profiles;
    private final Versions versions;
    private final Clock clock;

    LiftersResource(Roster roster, TakingOn takingOn, Profiles profiles, Versions versions, Clock clock) {
        this.roster = roster;
        this.takingOn = takingOn;
        this.profiles = profiles;
        this.versions = versions;
        this.clock = clock;
    }

    /** A lifter in a list. */
    record LifterLine(long id, String name, MassUnit unit, boolean archived) {

        static LifterLine of(LifterCard card) {
            return new LifterLine(card.id(), card.name(), card.unit(), card.archived());
        }
    }

    @GetMapping
    @Operation(summary = "The lifters you see, by name")
    Listed<LifterLine> lifters(
            @AuthenticationPrincipal Person person,
            @RequestParam(defaultValue = "false") boolean archived,
            @RequestParam(required = false) String after,
            @RequestParam(defaultValue = Listed.USUAL) int limit) {
        int most = Listed.limit(limit);
        if (!person.isCoach()) {
            return new Listed<>(
                    roster.lifters(person).stream().map(LifterLine::of).toList(), null);
        }
        List<String> place = after == null ? List.of("", "0") : Listed.place(after, 2);
        if (!place.get(1).matches("\\d{1,18}")) {
            throw new UnreadableException("http.cursor").in("after");
        }
        return Listed.of(
                roster.mine(coachs(archived, place), person, most + 1).stream()
                        .map(LifterLine::of)
                        .toList(),
                most,
                line -> List.of(line.name(), line.id()));
    }

    private static Roster.Search coachs(boolean archived, List<String> place) {
        return new Roster.Search("", false, archived, place.get(0), Long.parseLong(place.get(1)));
    }

    /**
     * A lifter.
     *
     * @param bodyMass what they last weighed
     * @param profile what is known, by the codes of the profile's fields
     */
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    record LifterJson(
            long id,
            String name,
            MassUnit unit,
            boolean archived,
            Optional<JsonMass> bodyMass,

            @Schema(
                    description = "The fields of the profile by their codes, each as it reads on its page; what nobody"
                            + " answered is absent.")
            Map<String, String> profile) {}

    private LifterJson told(Person person, long id) {
        LifterCard card = roster.lifter(person, id);
        Lifter row = roster.row(person, id);
        Map<String, String> profile = new TreeMap<>();
        for (ProfileField field : ProfileField.values()) {
            String text = field.text(row);
            if (!text.isEmpty()) {
                profile.put(field.code(), text);
            }
        }
        return new LifterJson(
                card.id(),
                card.name(),
                card.unit(),
                card.archived(),
                card.bodyMass().map(JsonMass::of),
                profile);
    }

    @GetMapping("/{id}")
    @Operation(summary = "A lifter with their profile")
    ResponseEntity<LifterJson> lifter(@AuthenticationPrincipal Person person, @PathVariable long id) {
        return versions.tagged(told(person, id));
    }

    /** @param gym where they usually train; a gym of their own at home where none is said */
    record NewLifterBody(
            @NotBlank @Size(max = 80) String name, @NotNull MassUnit unit, Long gym) {}

    @PostMapping
    @Operation(summary = "Take a lifter on")
    ResponseEntity<LifterJson> takeOn(@AuthenticationPrincipal Person person, @Valid @RequestBody NewLifterBody body) {
        LifterCard lifter = takingOn.takeOn(person, body.name(), body.unit(), Optional.ofNullable(body.gym()));
        return versions.created(Problems.ROOT + "lifters/" + lifter.id(), told(person, lifter.id()));
    }

    @PatchMapping("/{id}")
    @Operation(
            summary = "Change fields of a profile",
            description = "Fields by their codes, such as `birth-year`, each as it is typed on its page; an empty text"
                    + " takes an answer back. What is not sent stays.")
    ResponseEntity<LifterJson> change(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @RequestBody Map<String, String> fields) {
        versions.check(seen, told(person, id));
        fields.forEach((code, text) -> {
            ProfileField.find(code).orElseThrow(() -> new UnreadableException("http.unknown").in(code));
            Reading.field(code, text, value -> {
                profiles.keep(person, id, code, value);
                return value;
            });
        });
        return versions.tagged(told(person, id));
    }

    @PostMapping("/{id}/archive")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Put a lifter away; nothing of theirs is lost")
    void archive(@AuthenticationPrincipal Person person, @PathVariable long id) {
        roster.archive(person, id);
    }

    @PostMapping("/{id}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Bring an archived lifter back")
    void bringBack(@AuthenticationPrincipal Person person, @PathVariable long id) {
        roster.bringBack(person, id);
    }

    // ---- measured

    /** @param figure in kg, in cm or as a number, as the kind has it */
    record MeasurementJson(long id, MeasureKind kind, LocalDate on, BigDecimal figure) {

        static MeasurementJson of(Measurement measured) {
            return new MeasurementJson(
                    measured.id(),
                    measured.kind(),
                    measured.on(),
                    measured.figure().stripTrailingZeros());
        }
    }

    @GetMapping("/{id}/measurements")
    @Operation(summary = "What was measured on a lifter, in the order it was written down")
    Listed<MeasurementJson> measurements(
            LifterCard lifter,
            @RequestParam(required = false) String after,
            @RequestParam(defaultValue = Listed.USUAL) int limit) {
        int most = Listed.limit(limit);
        return Listed.of(
                profiles.measured(lifter, Listed.number(after), most + 1).stream()
                        .map(MeasurementJson::of)
                        .toList(),
                most,
                one -> List.of(one.id()));
    }

    /**
     * Something measured.
     *
     * @param figure in kg, in cm or as a number, as the kind has it
     * @param confirmed whether a figure that was asked about is meant
     */
    record NewMeasurement(
            @NotNull MeasureKind kind,
            @NotNull LocalDate on,
            @NotNull BigDecimal figure,
            boolean confirmed) {}

    @PostMapping("/{id}/measurements")
    @Operation(summary = "Write down something measured")
    ResponseEntity<MeasurementJson> measure(
            @AuthenticationPrincipal Person person, LifterCard lifter, @Valid @RequestBody NewMeasurement body) {
        BigDecimal figure = Reading.field(
                "figure",
                body.figure().scale() > 6 || body.figure().precision() > 12
                        ? "?"
                        : body.figure().toPlainString(),
                text -> body.kind().read(text, MassUnit.KG));
        LocalDate on = Reading.past("on", body.on(), LocalDate.ofInstant(clock.instant(), person.zone()));
        long id = profiles.measure(person, lifter, body.kind(), figure, on, body.confirmed());
        return ResponseEntity.status(HttpStatus.CREATED)
                .body(new MeasurementJson(id, body.kind(), on, figure.stripTrailingZeros()));
    }

    @DeleteMapping("/{id}/measurements/{measurement}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Strike a measurement")
    void strike(@AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable long measurement) {
        profiles.measured(person, id, measurement, true);
    }

    @PostMapping("/{id}/measurements/{measurement}/bring-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Bring back a measurement that was struck")
    void bringBack(@AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable long measurement) {
        profiles.measured(person, id, measurement, false);
    }
}
