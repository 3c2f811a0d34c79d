package dev.yarbel.web.contest;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.rest.Listed;
import dev.yarbel.web.rest.Problems;
import dev.yarbel.web.rest.Versions;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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

/** Contests, who lifts in them and what came of it, for programs. Whoever changes one is told all of it again. */
@RestController
@RequestMapping(Problems.ROOT + "contests")
@Tag(name = "Contests")
class ContestsResource {

    private final Contests contests;
    private final Taps taps;
    private final Events events;
    private final Roster roster;
    private final Book book;
    private final Words words;
    private final Versions versions;
    private final Clock clock;

    ContestsResource(
            Contests contests,
            Taps taps,
            Events events,
            Roster roster,
            Book book,
            Words words,
            Versions versions,
            Clock clock) {
        this.contests = contests;
        this.taps = taps;
        this.events = events;
        this.roster = roster;
        this.book = book;
        this.words = words;
        this.versions = versions;
        this.clock = clock;
    }

    /** A contest in the list. */
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    record ContestLine(long id, String name, Optional<LocalDate> on, boolean cancelled, long lifters) {}

    @GetMapping
    @Operation(summary = "The contests of your club, by day")
    Listed<ContestLine> contests(@AuthenticationPrincipal Person coach) {
        return new Listed<>(
                contests.all(coach.clubId()).entrySet().stream()
                        .map(each -> new ContestLine(
                                each.getKey().id(),
                                each.getKey().name(),
                                each.getKey().on(),
                                each.getKey().isCancelled(),
                                each.getValue()))
                        .toList(),
                null);
    }

    @GetMapping("/{contest}")
    @Operation(summary = "A contest with who lifts in it, attempts, events and results")
    ResponseEntity<ContestJson> contest(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        return versions.tagged(told(coach, contest));
    }

    private ContestJson told(Person coach, long id) {
        ContestEntity contest = contests.contest(coach, id);
        Set<Long> own = roster.lifters(coach).stream().map(LifterCard::id).collect(Collectors.toSet());
        boolean ofEvents = contest.rules().isOfEvents();
        return ContestJson.of(
                contest,
                contests.entries(contest),
                ofEvents ? List.of() : taps.of(contest),
                ofEvents ? events.of(contest) : List.of(),
                ofEvents ? events.results(contest) : List.of(),
                own);
    }

    /** The contest as it is kept, for whoever saw it as it is. */
    private ContestEntity seen(Person coach, long contest, String seen) {
        versions.check(seen, told(coach, contest));
        return contests.contest(coach, contest);
    }

    private LocalDate today(Person coach) {
        return LocalDate.ofInstant(clock.instant(), coach.zone());
    }

    @PostMapping
    @Operation(summary = "Add a contest")
    ResponseEntity<ContestJson> add(
            @AuthenticationPrincipal Person coach, @Valid @RequestBody ContestBodies.ContestBody body) {
        long contest = contests.add(coach, body.form().read(today(coach)));
        return versions.created(Problems.ROOT + "contests/" + contest, told(coach, contest));
    }

    @PutMapping("/{contest}")
    @Operation(
            summary = "Change what is set of a contest",
            description = "Where its day moves, whoever's plan leads there gets a call.")
    ResponseEntity<ContestJson> change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody ContestBodies.ContestBody body) {
        seen(coach, contest, seen);
        contests.change(coach, contest, body.form().read(today(coach)));
        return versions.tagged(told(coach, contest));
    }

    @DeleteMapping("/{contest}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(summary = "Strike a contest")
    void remove(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        contests.removed(coach, contest, true);
    }

    @PostMapping("/{contest}/bring-back")
    @Operation(summary = "Bring back a contest that was struck")
    ResponseEntity<ContestJson> bringBack(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        contests.removed(coach, contest, false);
        return versions.tagged(told(coach, contest));
    }

    // ---- who lifts

    @PostMapping("/{contest}/entries")
    @Operation(summary = "Enter one of your lifters, or somebody else by name")
    ResponseEntity<ContestJson> enter(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @Valid @RequestBody ContestBodies.EntryBody body) {
        ContestEntity held = contests.contest(coach, contest);
        if (body.lifter() == null) {
            String name = Reading.field("name", body.name(), text -> Reading.words(text, 120));
            contests.enterGuest(coach, held, name, body.form().read());
        } else {
            contests.enter(coach, held, roster.lifter(coach, body.lifter()));
        }
        return versions.created(Problems.ROOT + "contests/" + contest, told(coach, contest));
    }

    @PutMapping("/{contest}/entries/{entry}")
    @Operation(summary = "Change what is set of somebody who lifts")
    ResponseEntity<ContestJson> change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long entry,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody ContestBodies.EntryBody body) {
        contests.change(coach, seen(coach, contest, seen), entry, body.form().read());
        return versions.tagged(told(coach, contest));
    }

    @DeleteMapping("/{contest}/entries/{entry}")
    @Operation(summary = "Withdraw somebody")
    ResponseEntity<ContestJson> withdraw(
            @AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long entry) {
        contests.removed(coach, contests.contest(coach, contest), entry, true);
        return versions.tagged(told(coach, contest));
    }

    @PostMapping("/{contest}/entries/{entry}/bring-back")
    @Operation(summary = "Enter somebody again who was withdrawn")
    ResponseEntity<ContestJson> enterAgain(
            @AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long entry) {
        contests.removed(coach, contests.contest(coach, contest), entry, false);
        return versions.tagged(told(coach, contest));
    }

    @PutMapping("/{contest}/entries/{entry}/attempts/{lift}/{number}")
    @Operation(
            summary = "Name an attempt, or say what became of it",
            description =
                    "With a load it is named; with an outcome that one is said of it. Whoever belongs to the club may"
                            + " say it.")
    ResponseEntity<ContestJson> attempt(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long entry,
            @PathVariable Lift lift,
            @PathVariable int number,
            @Valid @RequestBody ContestBodies.AttemptBody body) {
        ContestEntity held = contests.ofLifts(coach, contest);
        Taps.Which which = new Taps.Which(entry, lift, number, Optional.empty());
        if (body.load() == null && body.outcome() == null) {
            throw new UnreadableException("read.needed").in("load");
        }
        if (body.load() != null) {
            taps.name(coach, held, which, body.load().positive("load"), body.confirmed());
        }
        if (body.outcome() != null) {
            taps.say(coach, held, which, body.outcome(), Optional.empty());
        }
        if (body.outcome() != null && (body.why() != null || body.lights() != null)) {
            taps.tell(coach, held, which, Optional.ofNullable(body.why()), Optional.ofNullable(body.lights()));
        }
        return versions.tagged(told(coach, contest));
    }

    // ---- events

    private ContestEntity ofEvents(Person coach, long contest) {
        return Optional.of(contests.contest(coach, contest))
                .filter(held -> held.rules().isOfEvents())
                .orElseThrow(NotFoundException::new);
    }

    private EventEntity.Set read(Person coach, ContestBodies.EventBody body) {
        Catalogue catalogue = book.catalogue(coach.clubId());
        return body.form().read(lift -> catalogue.find(lift).isPresent(), words::lift);
    }

    @PostMapping("/{contest}/events")
    @Operation(summary = "Announce an event of a strongman contest")
    ResponseEntity<ContestJson> announce(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @Valid @RequestBody ContestBodies.EventBody body) {
        events.add(coach, ofEvents(coach, contest), read(coach, body));
        return versions.created(Problems.ROOT + "contests/" + contest, told(coach, contest));
    }

    @PutMapping("/{contest}/events/{event}")
    @Operation(summary = "Announce an event otherwise")
    ResponseEntity<ContestJson> change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long event,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody ContestBodies.EventBody body) {
        versions.check(seen, told(coach, contest));
        events.change(coach, ofEvents(coach, contest), event, read(coach, body));
        return versions.tagged(told(coach, contest));
    }

    @DeleteMapping("/{contest}/events/{event}")
    @Operation(summary = "Strike an event")
    ResponseEntity<ContestJson> removeEvent(
            @AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long event) {
        events.removed(coach, ofEvents(coach, contest), event, true);
        return versions.tagged(told(coach, contest));
    }

    @PostMapping("/{contest}/events/{event}/bring-back")
    @Operation(summary = "Bring back an event that was struck")
    ResponseEntity<ContestJson> bringBackEvent(
            @AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long event) {
        events.removed(coach, ofEvents(coach, contest), event, false);
        return versions.tagged(told(coach, contest));
    }

    @PutMapping("/{contest}/events/{event}/results/{entry}")
    @Operation(summary = "Say what somebody did in an event")
    ResponseEntity<ContestJson> result(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long event,
            @PathVariable long entry,
            @Valid @RequestBody ContestBodies.ResultBody body) {
        ContestEntity held = ofEvents(coach, contest);
        EventEntity of = events.of(held).stream()
                .filter(one -> one.id() == event)
                .findFirst()
                .orElseThrow(NotFoundException::new);
        EntryEntity by = contests.entries(held).stream()
                .filter(one -> one.id() == entry)
                .findFirst()
                .orElseThrow(NotFoundException::new);
        Reading.fieldIfAny("written", body.written(), text -> EventsController.read(text, of));
        events.say(coach, held, List.of(new Events.Said(of, by, body.written())));
        return versions.tagged(told(coach, contest));
    }
}
