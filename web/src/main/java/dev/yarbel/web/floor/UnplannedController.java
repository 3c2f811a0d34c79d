package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.book.Standing;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.LiftNames;
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
    String show(@AuthenticationPrincipal Person person, @PathVariable long id, Model model) {
        return page(person, roster.lifter(person, id), FormState.NONE, model);
    }

    private String page(Person person, LifterCard lifter, FormState state, Model model) {
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
        model.addAttribute(
                "open",
                unplanned.stream()
                        .filter(session -> !session.finished())
                        .findFirst()
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
                values -> sessions.logUnplanned(lifter, today(person), SetForm.token(values), read(lifter, values)),
                "redirect:/lifters/" + id + "/floor/free",
                state -> page(person, lifter, state, model),
                response);
    }

    private LiftedSet read(LifterCard lifter, Typed typed) {
        Lift lift = typed.read("lift", text -> lifts.read(lifter.clubId(), text));
        Mass load = typed.read("load", text -> Reading.massOrNothing(text, lifter.unit()));
        Effort effort = typed.read("effort", UnplannedController::effort);
        int reps = typed.read("reps", text -> Reading.number(text, 0, MOST_REPS));
        if (reps == 0 && !(effort instanceof Effort.Missed)) {
            throw new UnreadableException("set.error.no-reps").in("reps");
        }
        SetDetails details = typed.readIfAny("note", text -> Reading.words(text, LONGEST_NOTE))
                .map(SetDetails.NONE::noted)
                .orElse(SetDetails.NONE);
        return new LiftedSet(lift, load, reps, effort, details);
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
                "redirect:/lifters/" + id + "/floor/free",
                state -> page(person, lifter, state, model),
                response);
    }
}
