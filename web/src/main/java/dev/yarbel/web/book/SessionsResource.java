package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.rest.Listed;
import dev.yarbel.web.rest.Problems;
import dev.yarbel.web.rest.Versions;
import dev.yarbel.web.roster.LifterCard;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sessions with their sets, for programs: read, logged without a plan, corrected, finished. */
@RestController
@RequestMapping(Problems.ROOT + "lifters/{id}/sessions")
@Tag(name = "Sessions")
class SessionsResource {

    private static final int LONGEST_PAIN = 500;
    private static final int MOST_SETS = 200;

    private final Book book;
    private final LogReader logs;
    private final Sessions sessions;
    private final UnplannedSessions unplanned;
    private final LiftNames lifts;
    private final Versions versions;
    private final Clock clock;

    SessionsResource(
            Book book,
            LogReader logs,
            Sessions sessions,
            UnplannedSessions unplanned,
            LiftNames lifts,
            Versions versions,
            Clock clock) {
        this.book = book;
        this.logs = logs;
        this.sessions = sessions;
        this.unplanned = unplanned;
        this.lifts = lifts;
        this.versions = versions;
        this.clock = clock;
    }

    @GetMapping
    @Operation(summary = "A lifter's sessions with their sets, in the order they were begun")
    Listed<SessionJson> sessions(
            LifterCard lifter,
            @RequestParam(required = false) String after,
            @RequestParam(defaultValue = Listed.USUAL) int limit) {
        int most = Listed.limit(limit);
        return Listed.of(
                logs.after(lifter.clubId(), lifter.id(), Listed.number(after), most + 1).stream()
                        .map(SessionJson::of)
                        .toList(),
                most,
                session -> List.of(session.id()));
    }

    @GetMapping("/{session}")
    @Operation(summary = "A session with its sets")
    ResponseEntity<SessionJson> session(LifterCard lifter, @PathVariable long session) {
        return versions.tagged(told(lifter, session));
    }

    private SessionJson told(LifterCard lifter, long session) {
        return SessionJson.of(logged(lifter, session));
    }

    private SessionLog logged(LifterCard lifter, long session) {
        return logs.numbered(lifter.clubId(), lifter.id(), session).orElseThrow(NotFoundException::new);
    }

    /**
     * What was lifted on a day without a plan that asked for it.
     *
     * @param finished whether that was all of it
     */
    record NewSession(
            @NotNull LocalDate on,
            @NotNull @Size(min = 1, max = MOST_SETS) List<@NotNull SetBody> sets,
            boolean finished,
            @Size(max = LONGEST_PAIN) String pain,
            @Range(min = 0, max = 10) Integer effort,
            @Range(min = 1, max = 600) Integer minutes) {}

    @PostMapping
    @Operation(
            summary = "Log what was lifted without a plan",
            description =
                    "The sets go to the open session of that day that nobody planned; the first one begins it. Sets"
                            + " that a plan asked for are logged on its day.")
    ResponseEntity<SessionJson> log(
            @AuthenticationPrincipal Person person, LifterCard lifter, @Valid @RequestBody NewSession body) {
        LocalDate on = Reading.past("on", body.on(), today(person));
        List<LiftedSet> sets = read(lifter, body.sets());
        long session = unplanned.log(lifter, on, sets);
        if (body.finished()) {
            unplanned.finish(lifter, on, finish(body.pain(), body.effort(), body.minutes()));
        }
        return versions.created(
                Problems.ROOT + "lifters/" + lifter.id() + "/sessions/" + session, told(lifter, session));
    }

    private List<LiftedSet> read(LifterCard lifter, List<SetBody> bodies) {
        LifterRecord standing = book.standing(lifter);
        List<LiftedSet> sets = new ArrayList<>();
        for (int at = 0; at < bodies.size(); at++) {
            String in = "sets[" + at + "].";
            LiftedSet set = bodies.get(at).read(in, name -> lift(lifter, name), SetDetails.NONE);
            if (!bodies.get(at).confirmed()) {
                UnlikelySets.ask(standing, lifter, in, set);
            }
            sets.add(set);
        }
        return sets;
    }

    private Lift lift(LifterCard lifter, String name) {
        return lifts.read(lifter.clubId(), name);
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    private static Sessions.Finish finish(String pain, Integer effort, Integer minutes) {
        return new Sessions.Finish(
                Optional.ofNullable(pain).filter(words -> !words.isBlank()),
                Optional.ofNullable(effort),
                Optional.ofNullable(minutes),
                Optional.empty());
    }

    @PutMapping("/{session}/sets/{task}")
    @Operation(
            summary = "Correct a set",
            description =
                    "Send all of it anew; what a coach said of it stays. What it said before stays in the ledger.")
    ResponseEntity<SessionJson> correct(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            @PathVariable long session,
            @PathVariable TaskKey task,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody SetBody body) {
        SessionLog log = logged(lifter, session);
        versions.check(seen, SessionJson.of(log));
        DoneSet before = log.sets().stream()
                .filter(set -> set.task().equals(task))
                .findFirst()
                .orElseThrow(NotFoundException::new);
        LiftedSet now =
                body.read("", name -> lift(lifter, name), before.set().details().unsaid());
        if (!body.confirmed()) {
            UnlikelySets.ask(book.standing(lifter), lifter, "", now);
        }
        if (log.planned().isPresent()) {
            sessions.correct(person, lifter, session, task, set -> now);
        } else {
            unplanned.correct(person, lifter, session, new DoneSet(task, now));
        }
        return versions.tagged(told(lifter, session));
    }

    /** What is said at the end of a session. */
    record Ending(
            @Size(max = LONGEST_PAIN) String pain,
            @Range(min = 0, max = 10) Integer effort,
            @Range(min = 1, max = 600) Integer minutes) {}

    @PostMapping("/{session}/finish")
    @Operation(summary = "Finish a session; one that is finished stays as it is")
    ResponseEntity<SessionJson> finish(LifterCard lifter, @PathVariable long session, @Valid @RequestBody Ending said) {
        sessions.finish(lifter, session, finish(said.pain(), said.effort(), said.minutes()));
        return versions.tagged(told(lifter, session));
    }

    @PostMapping("/{session}/reopen")
    @Operation(summary = "Open a finished session again: a coach any time, the lifter on the day itself")
    ResponseEntity<SessionJson> reopen(
            @AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long session) {
        SessionLog log = logged(lifter, session);
        if (!person.isCoach() && !log.date().equals(today(person))) {
            throw new AccessDeniedException("on another day the coach opens it");
        }
        if (log.planned().isPresent()) {
            sessions.reopen(person, lifter, log.planned().get());
        } else {
            unplanned.reopen(person, lifter, log.date(), session);
        }
        return versions.tagged(told(lifter, session));
    }
}
