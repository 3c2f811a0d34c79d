package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.book.Standing;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What was not planned is logged all the same: without a block, on a free day, or something else today. */
@Controller
@RequestMapping("/lifters/{id}/floor/free")
class UnplannedController {

    private static final int LONGEST_NOTE = 500;
    private static final int MOST_REPS = 100;

    private final Roster roster;
    private final Book book;
    private final Sessions sessions;
    private final LiftNames lifts;
    private final Forms forms;
    private final Clock clock;

    UnplannedController(Roster roster, Book book, Sessions sessions, LiftNames lifts, Forms forms, Clock clock) {
        this.roster = roster;
        this.book = book;
        this.sessions = sessions;
        this.lifts = lifts;
        this.forms = forms;
        this.clock = clock;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> asked,
            Model model) {
        return page(person, roster.lifter(person, id), LoggedBefore.of(asked), FormState.NONE, model);
    }

    /** A set that was logged and is looked at once more: its session, for another of the day has the same keys. */
    private record LoggedBefore(long session, TaskKey task) {

        static Optional<LoggedBefore> of(Map<String, String> sent) {
            if (sent.getOrDefault("task", "").isBlank()) {
                return Optional.empty();
            }
            try {
                return Optional.of(new LoggedBefore(
                        Long.parseLong(sent.getOrDefault("session", "")), FloorDays.key(sent.get("task"))));
            } catch (NumberFormatException notASession) {
                throw new NotFoundException();
            }
        }
    }

    private String page(
            Person person, LifterCard lifter, Optional<LoggedBefore> correcting, FormState state, Model model) {
        LocalDate today = today(person);
        Standing standing = book.standing(lifter);
        List<SessionLog> unplanned = standing.log().stream()
                .filter(session -> session.planned().isEmpty() && session.date().equals(today))
                .toList();
        model.addAttribute("lifter", lifter);
        model.addAttribute("state", state);
        model.addAttribute("today", today);
        model.addAttribute("aches", lifter.aches());
        model.addAttribute("names", lifts.all(lifter.clubId()));
        model.addAttribute("token", UUID.randomUUID());
        Optional<SessionLog> open =
                unplanned.stream().filter(session -> !session.finished()).findFirst();
        List<DoneSet> done = open.map(SessionLog::sets).orElse(List.of());
        Optional<DoneSet> looked = correcting
                .filter(set ->
                        open.filter(session -> session.id() == set.session()).isPresent())
                .flatMap(before -> done.stream()
                        .filter(set -> set.task().equals(before.task()))
                        .findFirst());
        model.addAttribute("open", open.orElse(null));
        model.addAttribute("correcting", looked.orElse(null));
        // the next set starts from the one before it
        model.addAttribute(
                "like",
                looked.or(() -> done.stream().reduce((one, next) -> next))
                        .map(DoneSet::set)
                        .orElse(null));
        model.addAttribute(
                "finished", unplanned.stream().filter(SessionLog::finished).toList());
        return "floor/free";
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    @PostMapping("/sets")
    String log(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        return forms.send(
                "free",
                typed,
                values -> keep(person, lifter, values),
                back(id),
                state -> page(person, lifter, LoggedBefore.of(typed), state, model),
                response);
    }

    private void keep(Person person, LifterCard lifter, Typed values) {
        LiftedSet set = read(lifter, values);
        LoggedBefore.of(values.values())
                .ifPresentOrElse(
                        before -> sessions.correctUnplanned(
                                person, lifter, before.session(), new DoneSet(before.task(), set)),
                        () -> sessions.logUnplanned(lifter, today(person), SetForm.token(values), set));
    }

    private static String back(long id) {
        return "redirect:/lifters/" + id + "/floor/free";
    }

    /** Opens a finished one again on its day, the only one this page shows. */
    @PostMapping("/{session}/reopen")
    String reopen(@AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable long session) {
        sessions.reopenUnplanned(person, roster.lifter(person, id), today(person), session);
        return back(id);
    }

    private LiftedSet read(LifterCard lifter, Typed typed) {
        Lift lift = typed.read("lift", text -> lifts.read(lifter.clubId(), text));
        Mass load = typed.read("load", text -> Reading.massOrNothing(text, lifter.unit()));
        Effort effort = typed.read("effort", UnplannedController::effort);
        int reps = typed.read("reps", text -> Reading.number(text, 0, MOST_REPS));
        if (reps == 0 && !effort.isMissed()) {
            throw new UnreadableException("set.error.no-reps").in("reps");
        }
        ask(lifter, typed, new LiftedSet(lift, load, reps, effort));
        SetDetails details = typed.readIfAny("note", text -> Reading.words(text, LONGEST_NOTE))
                .map(SetDetails.NONE::noted)
                .orElse(SetDetails.NONE);
        return new LiftedSet(lift, load, reps, effort, details);
    }

    /** What is far from likely for this lifter is asked about before it is kept. */
    private void ask(LifterCard lifter, Typed typed, LiftedSet set) {
        if (typed.isMeant("load", "reps", "effort")) {
            return;
        }
        LiftNumbers numbers = book.standing(lifter).numbers().of(set.lift());
        FarOff.load(set.load(), Optional.empty(), numbers.estimate()).ifPresent(max -> {
            throw new UnreadableException("ask.free-load", max.format(lifter.unit(), 0)).in("load");
        });
        FarOff.reps(set.reps(), Optional.empty(), set.load(), numbers).ifPresent(limit -> {
            throw new UnreadableException("ask.free-reps", limit).in("reps");
        });
    }

    private static Effort effort(String text) {
        try {
            return Effort.parse(text);
        } catch (IllegalArgumentException noEffort) {
            throw new UnreadableException("set.error.effort");
        }
    }

    @PostMapping("/finish")
    String finish(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        return forms.send(
                "free-finish",
                typed,
                values -> sessions.finishUnplanned(
                        lifter,
                        today(person),
                        new Sessions.Finish(
                                values.readIfAny("pain", text -> Reading.words(text, LONGEST_NOTE)),
                                values.readIfAny("rating", text -> Reading.number(text, 0, 10)),
                                values.readIfAny("minutes", text -> Reading.number(text, 1, 600)),
                                Optional.empty())),
                back(id),
                state -> page(person, lifter, Optional.empty(), state, model),
                response);
    }
}
