package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.Htmx;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Changing the day on the floor: leaving out, cutting short, swapping, adding, answering what a set raised. */
@Controller
@RequestMapping("/lifters/{id}/floor")
class FloorChangesController {

    private static final int LONGEST_REASON = 200;

    private final Sessions sessions;
    private final FloorPage page;

    FloorChangesController(Sessions sessions, FloorPage page) {
        this.sessions = sessions;
        this.page = page;
    }

    /** What can be changed of a slot. */
    enum What {
        SKIP,
        SHORTEN,
        SWAP,
        STEP,
        DOSE
    }

    /**
     * A change of a slot as it was typed into its form; what the change does not ask for is not looked at.
     *
     * @param what it is to be
     * @param sets how many are to be left
     * @param lift that is to stand in
     * @param load and repetitions of another warm-up
     * @param from the set from which on a dose is given
     */
    record Change(
            @NotNull What what,
            String token,
            @Size(max = LONGEST_REASON) String reason,
            String sets,
            String lift,
            String load,
            String reps,
            String from,
            String dose) {}

    /** Changes a slot by what was typed into its form. */
    @PostMapping("/slots/{letter}")
    ModelAndView slot(
            @AuthenticationPrincipal Person person,
            FloorDay floor,
            @PathVariable String letter,
            Sent<Change> sent,
            Htmx htmx) {
        return sent.answer(
                "slot-" + letter,
                change -> {
                    keep(
                            person,
                            floor,
                            read(person, floor, letter, change),
                            FormExtras.token(change.token()),
                            Optional.ofNullable(change.reason()));
                    return page.after(floor, htmx);
                },
                state -> page.show(floor, Focus.changing(letter), state, htmx));
    }

    private static Amendment read(Person person, FloorDay floor, String letter, Change change) {
        PrescribedSets asked = floor.amended().day().stream()
                .filter(p -> p.letter().equals(letter))
                .findFirst()
                .orElseThrow(NotFoundException::new);
        MassUnit unit = floor.plan().lifter().unit();
        return switch (change.what()) {
            case SKIP -> new Amendment.Shorten(letter, 0);
            case SHORTEN ->
                new Amendment.Shorten(
                        letter, Reading.field("sets", change.sets(), text -> Reading.number(text, 1, Work.MOST_SETS)));
            case SWAP -> Reading.field("lift", change.lift(), text -> swap(floor, asked, text));
            case STEP -> {
                Mass load = Reading.field("load", change.load(), text -> Reading.mass(text, unit));
                int reps = Reading.field("reps", change.reps(), text -> Reading.number(text, 1, 20));
                yield new Amendment.Step(letter, load, Reading.unit(change.load(), unit), reps);
            }
            case DOSE -> {
                if (!person.isCoach()) {
                    throw new AccessDeniedException("the coach gives doses");
                }
                int from = Reading.field("from", change.from(), text -> Reading.number(text, 1, 99));
                yield Reading.field("dose", change.dose(), text -> redose(floor, asked, from, text));
            }
        };
    }

    private static Amendment swap(FloorDay floor, PrescribedSets asked, String text) {
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

    static Amendment redose(FloorDay floor, PrescribedSets asked, int from, String text) {
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
    ModelAndView changes(
            @AuthenticationPrincipal Person person, FloorDay floor, @RequestParam List<String> change, Htmx htmx) {
        for (String text : change) {
            keep(person, floor, answer(text), UUID.randomUUID(), Optional.empty());
        }
        return page.after(floor, htmx);
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
    ModelAndView takeBack(
            @AuthenticationPrincipal Person person, FloorDay floor, @PathVariable UUID change, Htmx htmx) {
        sessions.takeBack(person, floor.plan().lifter(), floor.key(), change);
        return page.after(floor, htmx);
    }

    /** A warm-up was the top set. */
    @PostMapping("/retask")
    ModelAndView retask(
            @AuthenticationPrincipal Person person,
            FloorDay floor,
            @RequestParam("warm-up") TaskKey from,
            @RequestParam("top") TaskKey to,
            Htmx htmx) {
        sessions.retask(person, floor.plan().lifter(), floor.key(), from, to);
        return page.after(floor, htmx);
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
}
