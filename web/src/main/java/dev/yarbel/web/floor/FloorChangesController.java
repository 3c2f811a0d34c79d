package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Changing the day on the floor: leaving out, cutting short, swapping, adding, answering what a set raised. */
@Controller
@RequestMapping("/lifters/{id}/floor")
class FloorChangesController {

    private static final int LONGEST_REASON = 200;

    private final FloorDays days;
    private final Sessions sessions;
    private final FloorPage page;
    private final Forms forms;

    FloorChangesController(FloorDays days, Sessions sessions, FloorPage page, Forms forms) {
        this.days = days;
        this.sessions = sessions;
        this.page = page;
        this.forms = forms;
    }

    /** Changes a slot by what was typed into its form. */
    @PostMapping("/slots/{letter}")
    String slot(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable String letter,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam Map<String, String> typed,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        return forms.sendTo(
                "slot-" + letter,
                typed,
                values -> {
                    Amendment amendment = read(person, floor, letter, values);
                    Optional<String> reason = values.readIfAny("reason", text -> Reading.words(text, LONGEST_REASON));
                    keep(person, floor, amendment, SetForm.token(values), reason);
                    return again(person, id, day, week, fragment.isPresent(), model);
                },
                state -> page.show(model, floor, Focus.changing(letter), state, fragment.isPresent()),
                response);
    }

    private Amendment read(Person person, FloorDay floor, String letter, Typed typed) {
        Prescription asked = floor.amended().day().stream()
                .filter(p -> p.letter().equals(letter))
                .findFirst()
                .orElseThrow(NotFoundException::new);
        MassUnit unit = floor.plan().lifter().unit();
        return switch (typed.text("what")) {
            case "skip" -> new Amendment.Shorten(letter, 0);
            case "shorten" ->
                new Amendment.Shorten(letter, typed.read("sets", text -> Reading.number(text, 1, Work.MOST_SETS)));
            case "swap" -> typed.read("lift", text -> swap(floor, asked, text));
            case "step" -> {
                Mass load = typed.read("load", text -> Reading.mass(text, unit));
                int reps = typed.read("reps", text -> Reading.number(text, 1, 20));
                yield new Amendment.Step(letter, load, Reading.unit(typed.text("load"), unit), reps);
            }
            case "dose" -> {
                if (!person.isCoach()) {
                    throw new AccessDeniedException("the coach gives doses");
                }
                int from = typed.read("from", text -> Reading.number(text, 1, 99));
                yield typed.read("dose", text -> redose(floor, asked, from, text));
            }
            default -> throw new NotFoundException();
        };
    }

    private static Amendment swap(FloorDay floor, Prescription asked, String text) {
        Lift lift = floor.plan()
                .standing()
                .catalogue()
                .find(lift(text))
                .orElseThrow(() -> new UnreadableException("read.choice"))
                .lift();
        refuseGates(
                floor,
                lift,
                floor.amended().day().stream()
                        .filter(p -> p.letter().equals(asked.letter()))
                        .map(p -> Dose.of(p.part()))
                        .toList());
        return new Amendment.Swap(asked.letter(), lift);
    }

    private static Lift lift(String text) {
        try {
            return new Lift(text);
        } catch (IllegalArgumentException notALift) {
            throw new UnreadableException("read.choice");
        }
    }

    static Amendment redose(FloorDay floor, Prescription asked, int from, String text) {
        Dose dose = DoseParser.parse(text, floor.plan().lifter().unit())
                .dose()
                .orElseThrow(() -> new UnreadableException("amended.no-dose"));
        refuseGates(floor, asked.lift(), List.of(dose));
        return new Amendment.Redose(asked.letter(), from, dose);
    }

    /** What stands behind a gate is planned with it open, not on the floor. */
    private static void refuseGates(FloorDay floor, Lift lift, List<Dose> doses) {
        Lift root = floor.plan().standing().catalogue().root(lift);
        Optional<Mass> max = floor.plan().resolver().numbers(lift).estimate();
        if (doses.stream().anyMatch(dose -> !Gate.before(root, dose, max).isEmpty())) {
            throw new UnreadableException("amended.gated");
        }
    }

    /** Makes the changes that answer a question, or ticks off what had to be looked over. */
    @PostMapping("/changes")
    String changes(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam List<String> change,
            @RequestHeader("HX-Request") Optional<String> fragment,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        for (String text : change) {
            keep(person, floor, answer(text), UUID.randomUUID(), Optional.empty());
        }
        return again(person, id, day, week, fragment.isPresent(), model);
    }

    /** Reads an answer; a dose or another lift is no answer. */
    private static Amendment answer(String text) {
        try {
            Amendment amendment = Amendment.parse(text);
            if (amendment.answersAQuestion()) {
                return amendment;
            }
        } catch (IllegalArgumentException notAnAmendment) {
            // refused below
        }
        throw new NotFoundException();
    }

    @PostMapping("/changes/{change}/back")
    String takeBack(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable UUID change,
            @RequestParam int day,
            @RequestParam int week,
            @RequestHeader("HX-Request") Optional<String> fragment,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        sessions.takeBack(person, floor.plan().lifter(), floor.key(), change);
        return again(person, id, day, week, fragment.isPresent(), model);
    }

    /** A warm-up was the top set. */
    @PostMapping("/retask")
    String retask(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam("warm-up") String from,
            @RequestParam("top") String to,
            @RequestHeader("HX-Request") Optional<String> fragment,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        sessions.retask(person, floor.plan().lifter(), floor.key(), FloorDays.key(from), FloorDays.key(to));
        return again(person, id, day, week, fragment.isPresent(), model);
    }

    private void keep(Person person, FloorDay floor, Amendment amendment, UUID token, Optional<String> reason) {
        sessions.amend(
                person,
                floor.plan().lifter(),
                floor.key(),
                floor.plan().today(),
                token,
                amendment,
                reason,
                floor.asked());
    }

    private String again(Person person, long id, int day, int week, boolean fragment, Model model) {
        return fragment
                ? page.show(model, days.get(person, id, day, week), Focus.NEXT, FormState.NONE, true)
                : FloorController.back(id, day, week);
    }
}
