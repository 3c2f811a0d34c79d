package dev.yarbel.web.floor;

import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.SetTakenException;
import dev.yarbel.web.book.SetUps;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.plan.LifterPlan;
import dev.yarbel.web.plan.Plans;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

@Controller
@RequestMapping("/lifters/{id}/floor")
class FloorController {

    private static final int LONGEST_NOTE = 500;

    private final Roster roster;
    private final Plans plans;
    private final Book book;
    private final FloorPainter painter;
    private final SetUps setUps;

    FloorController(Roster roster, Plans plans, Book book, FloorPainter painter, SetUps setUps) {
        this.roster = roster;
        this.plans = plans;
        this.book = book;
        this.painter = painter;
        this.setUps = setUps;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Integer> day,
            @RequestParam Optional<Integer> week,
            @RequestParam Optional<String> task,
            @RequestHeader("HX-Request") Optional<String> fragment,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        Optional<FloorDay> floor = plans.current(lifter, person.zone())
                .flatMap(plan -> day.isPresent() && week.isPresent()
                        ? Optional.of(day(plan, day.get(), week.get()))
                        : FloorDay.inFocus(plan).map(place -> day(plan, place.day(), place.week())));
        if (floor.isEmpty()) {
            model.addAttribute("lifter", lifter);
            return "floor/none";
        }
        return page(model, floor.get(), task.map(FloorController::key), Optional.empty(), fragment.isPresent());
    }

    @PostMapping("/sets")
    String log(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam String task,
            @RequestParam(required = false) String token,
            @RequestParam(required = false) String load,
            @RequestParam(required = false) String sure,
            @RequestParam(required = false) String reps,
            @RequestParam(required = false) String effort,
            @RequestParam(defaultValue = "false") boolean correct,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        FloorDay floor = floor(person, id, day, week);
        SetForm form = new SetForm(task, token, load, sure, reps, effort, correct, null);
        Task planned = floor.task(key(task)).orElseThrow(NotFoundException::new);
        try {
            keep(person, floor, form, form.read(planned, floor.plan().lifter().unit()));
        } catch (SetForm.Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(model, floor, Optional.of(planned.key()), Optional.of(refused.form()), fragment.isPresent());
        }
        return fragment.isPresent()
                ? page(model, floor(person, id, day, week), Optional.empty(), Optional.empty(), true)
                : "redirect:/lifters/" + id + "/floor?day=" + day + "&week=" + week;
    }

    private void keep(Person person, FloorDay floor, SetForm form, DoneSet done) throws SetForm.Refused {
        LifterCard lifter = floor.plan().lifter();
        if (form.correct()) {
            book.correct(person, lifter, floor.planned(), done);
            return;
        }
        try {
            book.log(person, lifter, floor.planned(), floor.plan().today(), form.tokenOrNew(), done, floor.asked());
        } catch (SetTakenException taken) {
            throw new SetForm.Refused(form, "taken");
        }
    }

    @PostMapping("/finish")
    String finish(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam(defaultValue = "") String pain) {
        FloorDay floor = floor(person, id, day, week);
        String note = pain.strip();
        book.finish(
                floor.plan().lifter(),
                floor.planned(),
                note.isEmpty()
                        ? Optional.empty()
                        : Optional.of(note.length() > LONGEST_NOTE ? note.substring(0, LONGEST_NOTE) : note));
        return "redirect:/lifters/" + id + "/floor?day=" + day + "&week=" + week;
    }

    private FloorDay floor(Person person, long id, int day, int week) {
        return day(
                plans.current(roster.lifter(person, id), person.zone()).orElseThrow(NotFoundException::new), day, week);
    }

    /** The day with what is at hand in the gym it is trained in. */
    private FloorDay day(LifterPlan plan, int day, int week) {
        if (day < 0
                || day >= plan.block().days().size()
                || week < 0
                || week >= plan.block().weeks()) {
            throw new NotFoundException();
        }
        return FloorDay.of(plans.on(plan, plan.block().date(day, week)), day, week);
    }

    private static TaskKey key(String text) {
        try {
            return TaskKey.parse(text);
        } catch (IllegalArgumentException notAKey) {
            throw new NotFoundException();
        }
    }

    private String page(
            Model model, FloorDay floor, Optional<TaskKey> task, Optional<SetForm> refused, boolean fragment) {
        model.addAttribute("lifter", floor.plan().lifter());
        model.addAttribute("floor", painter.view(floor, task, refused));
        model.addAttribute("aches", floor.plan().lifter().aches());
        model.addAttribute("catalogue", floor.plan().standing().catalogue());
        model.addAttribute("cards", setUps.cards(floor.plan().lifter()));
        if (fragment) {
            return "floor/floor :: floor";
        }
        model.addAttribute("strip", plans.strip(floor.plan()));
        return "floor/page";
    }
}
