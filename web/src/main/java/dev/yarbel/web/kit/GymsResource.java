package dev.yarbel.web.kit;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
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
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Gyms and what is in them, for programs. */
@RestController
@RequestMapping(Problems.ROOT + "gyms")
@Tag(name = "Kit")
class GymsResource {

    private final Gyms gyms;
    private final Versions versions;

    GymsResource(Gyms gyms, Versions versions) {
        this.gyms = gyms;
        this.versions = versions;
    }

    /** A gym in the list. */
    record GymLine(long id, String name, MassUnit unit) {}

    @GetMapping
    @Operation(summary = "The gyms of your club, by name")
    Listed<GymLine> gyms(@AuthenticationPrincipal Person person) {
        return new Listed<>(
                gyms.all(person.clubId()).stream()
                        .map(gym -> new GymLine(gym.id(), gym.name(), gym.unit()))
                        .toList(),
                null);
    }

    /** A gym with what is in it. */
    record GymJson(long id, String name, MassUnit unit, JsonMass collars, List<PieceJson> pieces) {}

    /**
     * A piece of kit.
     *
     * @param fields by their codes, as they read in its form
     */
    record PieceJson(
            long id,
            String shelf,

            @Schema(description = "The fields of its shelf by their codes, as they are typed on its page")
            Map<String, String> fields) {

        static PieceJson of(PieceEntity piece) {
            Map<String, String> fields = new TreeMap<>();
            for (PieceField field : piece.shelf().fields()) {
                String text = piece.text(field);
                if (!text.isEmpty()) {
                    fields.put(field.code(), text);
                }
            }
            return new PieceJson(piece.id(), piece.shelf().code(), fields);
        }
    }

    private GymJson told(Person person, long gym) {
        Gyms.Stock stock = gyms.stock(person.clubId(), gym);
        return new GymJson(
                stock.gym().id(),
                stock.gym().name(),
                stock.gym().unit(),
                JsonMass.of(stock.gym().collars()),
                stock.pieces().stream().map(PieceJson::of).toList());
    }

    @GetMapping("/{gym}")
    @Operation(summary = "A gym with what is in it")
    ResponseEntity<GymJson> gym(@AuthenticationPrincipal Person person, @PathVariable long gym) {
        return versions.tagged(told(person, gym));
    }

    /** @param collars a pair; they weigh nothing where none are said */
    record GymBody(
            @NotBlank @Size(max = Gyms.LONGEST_NAME) String name,
            @NotNull MassUnit unit,
            JsonMass collars) {

        Mass weigh() {
            return collars == null ? Mass.ZERO : collars.mass("collars");
        }
    }

    @PostMapping
    @Operation(summary = "Set up a gym")
    ResponseEntity<GymJson> add(@AuthenticationPrincipal Person coach, @Valid @RequestBody GymBody body) {
        long gym = gyms.addGym(coach, body.name(), body.unit());
        gyms.changeGym(coach, gym, body.name(), body.unit(), body.weigh());
        return versions.created(Problems.ROOT + "gyms/" + gym, told(coach, gym));
    }

    @PutMapping("/{gym}")
    @Operation(summary = "Change a gym's name, unit and collars")
    ResponseEntity<GymJson> change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long gym,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody GymBody body) {
        versions.check(seen, told(coach, gym));
        gyms.changeGym(coach, gym, body.name(), body.unit(), body.weigh());
        return versions.tagged(told(coach, gym));
    }

    @DeleteMapping("/{gym}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Close a gym in which nobody trains any more")
    void close(@AuthenticationPrincipal Person coach, @PathVariable long gym) {
        gyms.closed(coach, gym, true);
    }

    @PostMapping("/{gym}/bring-back")
    @Operation(summary = "Open a gym that was closed")
    ResponseEntity<GymJson> open(@AuthenticationPrincipal Person coach, @PathVariable long gym) {
        gyms.closed(coach, gym, false);
        return versions.tagged(told(coach, gym));
    }

    /**
     * A piece of kit.
     *
     * @param fields by their codes, as they are typed
     * @param confirmed whether a figure that was asked about is meant
     */
    record PieceBody(
            @NotBlank String shelf, @NotNull Map<String, @NotNull @Size(max = 200) String> fields, boolean confirmed) {

        Shelf on() {
            return Arrays.stream(Shelf.values())
                    .filter(one -> one.code().equals(shelf))
                    .findFirst()
                    .orElseThrow(() -> new UnreadableException("http.unknown").in("shelf"));
        }

        PieceForm form() {
            Map<PieceField, String> typed = new EnumMap<>(PieceField.class);
            fields.forEach((code, text) -> typed.put(
                    on().fields().stream()
                            .filter(field -> field.code().equals(code))
                            .findFirst()
                            .orElseThrow(() -> new UnreadableException("http.unknown").in("fields." + code)),
                    text));
            return new PieceForm(typed, null, confirmed);
        }
    }

    @PostMapping("/{gym}/pieces")
    @Operation(summary = "Add a piece of kit")
    ResponseEntity<GymJson> addPiece(
            @AuthenticationPrincipal Person coach, @PathVariable long gym, @Valid @RequestBody PieceBody body) {
        coded(() -> gyms.add(coach, gym, body.on(), body.form()));
        return versions.created(Problems.ROOT + "gyms/" + gym, told(coach, gym));
    }

    @PutMapping("/{gym}/pieces/{piece}")
    @Operation(summary = "Change a piece of kit: send all its fields anew")
    ResponseEntity<GymJson> changePiece(
            @AuthenticationPrincipal Person coach,
            @PathVariable long gym,
            @PathVariable long piece,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody PieceBody body) {
        GymJson now = told(coach, gym);
        versions.check(seen, now);
        in(now, piece, body.on().code());
        coded(() -> gyms.change(coach, piece, body.form()));
        return versions.tagged(told(coach, gym));
    }

    @DeleteMapping("/{gym}/pieces/{piece}")
    @Operation(summary = "Take a piece of kit away")
    ResponseEntity<GymJson> removePiece(
            @AuthenticationPrincipal Person coach, @PathVariable long gym, @PathVariable long piece) {
        in(told(coach, gym), piece, null);
        gyms.remove(coach, piece);
        return versions.tagged(told(coach, gym));
    }

    @PostMapping("/{gym}/pieces/{piece}/bring-back")
    @Operation(summary = "Bring back a piece of kit that was taken away")
    ResponseEntity<GymJson> bringBackPiece(
            @AuthenticationPrincipal Person coach, @PathVariable long gym, @PathVariable long piece) {
        if (gyms.gymOf(coach, piece) != gym) {
            throw new NotFoundException();
        }
        gyms.restore(coach, piece);
        return versions.tagged(told(coach, gym));
    }

    /** A piece stands in the gym that was asked for, on the shelf that was said. */
    private static void in(GymJson gym, long piece, String shelf) {
        PieceJson there = gym.pieces().stream()
                .filter(one -> one.id() == piece)
                .findFirst()
                .orElseThrow(NotFoundException::new);
        if (shelf != null && !there.shelf().equals(shelf)) {
            throw new UnreadableException("read.choice").in("shelf");
        }
    }

    /** Names fields by their codes, as they were sent, and not as the page's form has them. */
    private static void coded(Runnable work) {
        try {
            work.run();
        } catch (UnreadableException trouble) {
            throw trouble.in(Arrays.stream(PieceField.values())
                    .filter(field -> PieceAnswers.name(field).equals(trouble.field()))
                    .findFirst()
                    .map(field -> "fields." + field.code())
                    .orElse(trouble.field()));
        }
    }
}
