package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.book.UnlikelySets;
import dev.yarbel.web.book.UnplannedSessions;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** What was not planned is logged all the same: without a block, on a free day, or something else today. */
@Controller
@RequestMapping("/lifters/{id}/floor/free")
class UnplannedController {

    private static final int LONGEST_NOTE = 500;
    private static final int MOST_REPS = 100;

    private final Book book;
    private final UnplannedSessions sessions;
    private final LiftNames lifts;
    private final Clock clock;

    UnplannedController(Book book, UnplannedSessions sessions, LiftNames lifts, Clock clock) {
        this.book = book;
        this.sessions = sessions;
        this.lifts = lifts;
        this.clock = clock;
    }

    /** A set that was logged and is looked at once more: its session too, for another of the day has the same keys. */
    record LoggedBefore(Long session, TaskKey task) {

        boolean isNone() {
            return task == null;
        }
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person person, LifterCard lifter, LoggedBefore correcting) {
        if (!correcting.isNone() && correcting.session() == null) {
            throw new NotFoundException();
        }
        return page(person, lifter, correcting, FormState.NONE);
    }

    private ModelAndView page(Person person, LifterCard lifter, LoggedBefore correcting, FormState state) {
        LocalDate today = today(person);
        LifterRecord standing = book.standing(lifter);
        List<SessionLog> unplanned = standing.log().stream()
                .filter(session -> session.planned().isEmpty() && session.date().equals(today))
                .toList();
        Optional<SessionLog> open =
                unplanned.stream().filter(session -> !session.finished()).findFirst();
        List<DoneSet> done = open.map(SessionLog::sets).orElse(List.of());
        Optional<DoneSet> looked = open.filter(session -> Objects.equals(correcting.session(), session.id()))
                .flatMap(session -> done.stream()
                        .filter(set -> set.task().equals(correcting.task()))
                        .findFirst());
        return new ModelAndView("floor/free")
                .addObject("lifter", lifter)
                .addObject("state", state)
                .addObject("today", today)
                .addObject("aches", lifter.aches())
                .addObject("names", lifts.all(lifter.clubId()))
                .addObject("token", UUID.randomUUID())
                .addObject("open", open.orElse(null))
                .addObject("correcting", looked.orElse(null))
                // the next set starts from the one before it
                .addObject(
                        "like",
                        looked.or(() -> done.stream().reduce((one, next) -> next))
                                .map(DoneSet::set)
                                .orElse(null))
                .addObject(
                        "finished",
                        unplanned.stream().filter(SessionLog::finished).toList());
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    /**
     * A set that nobody planned.
     *
     * @param session and task of the one that it corrects; null for another one
     */
    record FreeSet(
            String token,
            Long session,
            TaskKey task,
            String lift,
            String load,
            String reps,
            String effort,
            @Size(max = LONGEST_NOTE) String note,
            String meant) {

        LoggedBefore correcting() {
            return new LoggedBefore(session, task);
        }
    }

    @PostMapping("/sets")
    ModelAndView log(
            @AuthenticationPrincipal Person person, LifterCard lifter, LoggedBefore correcting, Sent<FreeSet> sent) {
        return sent.answer(
                "free",
                set -> {
                    keep(person, lifter, set);
                    return back(lifter);
                },
                state -> page(person, lifter, correcting, state));
    }

    private void keep(Person person, LifterCard lifter, FreeSet sent) {
        LiftedSet set = read(lifter, sent);
        if (sent.correcting().isNone()) {
            sessions.log(lifter, today(person), FormExtras.token(sent.token()), set);
        } else if (sent.session() == null) {
            throw new NotFoundException();
        } else {
            sessions.correct(person, lifter, sent.session(), new DoneSet(sent.task(), set));
        }
    }

    private static ModelAndView back(LifterCard lifter) {
        return new ModelAndView("redirect:/lifters/" + lifter.id() + "/floor/free");
    }

    /** Opens a finished one again on its day, the only one this page shows. */
    @PostMapping("/{session}/reopen")
    ModelAndView reopen(@AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long session) {
        sessions.reopen(person, lifter, today(person), session);
        return back(lifter);
    }

    private LiftedSet read(LifterCard lifter, FreeSet sent) {
        Lift lift = Reading.field("lift", sent.lift(), text -> lifts.read(lifter.clubId(), text));
        Mass load = Reading.field("load", sent.load(), text -> Reading.massOrNothing(text, lifter.unit()));
        Effort effort = Reading.field("effort", sent.effort(), Reading::effort);
        int reps = Reading.field("reps", sent.reps(), text -> Reading.number(text, 0, MOST_REPS));
        if (reps == 0 && !effort.isMissed()) {
            throw new UnreadableException("set.error.no-reps").in("reps");
        }
        if (!FormExtras.isMeant(sent.meant(), sent.load(), sent.reps(), sent.effort())) {
            UnlikelySets.ask(book.standing(lifter), lifter, "", new LiftedSet(lift, load, reps, effort));
        }
        SetDetails details =
                Optional.ofNullable(sent.note()).map(SetDetails.NONE::noted).orElse(SetDetails.NONE);
        return new LiftedSet(lift, load, reps, effort, details);
    }

    /** What is said at the end of it. */
    record Ending(
            @Size(max = LONGEST_NOTE) String pain,
            @Range(min = 0, max = 10) Integer rating,
            @Range(min = 1, max = 600) Integer minutes) {}

    @PostMapping("/finish")
    ModelAndView finish(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<Ending> sent) {
        return sent.answer(
                "free-finish",
                ending -> {
                    sessions.finish(
                            lifter,
                            today(person),
                            new Sessions.Finish(
                                    Optional.ofNullable(ending.pain()),
                                    Optional.ofNullable(ending.rating()),
                                    Optional.ofNullable(ending.minutes()),
                                    Optional.empty()));
                    return back(lifter);
                },
                state -> page(person, lifter, new LoggedBefore(null, null), state));
    }
}
