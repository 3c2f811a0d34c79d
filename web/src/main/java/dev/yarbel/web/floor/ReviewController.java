package dev.yarbel.web.floor;

import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Going through a session set by set: the coach's rating beside the lifter's, how it looked, where it is weak, a note. */
@Controller
@RequestMapping("/lifters/{id}/floor/review")
class ReviewController {

    private final FloorDays days;
    private final Sessions sessions;
    private final DayWriter writer;
    private final Forms forms;

    ReviewController(FloorDays days, Sessions sessions, DayWriter writer, Forms forms) {
        this.days = days;
        this.sessions = sessions;
        this.writer = writer;
        this.forms = forms;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            Model model) {
        return page(days.get(person, id, day, week), FormState.NONE, model);
    }

    @PostMapping("/sets")
    String see(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam String task,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        return forms.send(
                "seen-" + task,
                typed,
                values -> sessions.see(floor.plan().lifter(), floor.key(), FloorDays.key(task), seen(values)),
                back(id, day, week) + "#set-" + task,
                state -> page(floor, state, model),
                response);
    }

    private static CoachSeen seen(Typed typed) {
        return new CoachSeen(
                typed.readIfAny("rating", SetForm::rating),
                typed.readIfAny("form", text -> Reading.choice(CoachSeen.Form.class, text)),
                typed.readIfAny("link", text -> Reading.choice(CoachSeen.WeakLink.class, text)),
                typed.readIfAny("note", text -> Reading.words(text, SetDetails.LONGEST_NOTE)));
    }

    @PostMapping("/note")
    String note(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        return forms.send(
                "session",
                typed,
                values -> {
                    Optional<String> words =
                            values.readIfAny("note", text -> Reading.words(text, SetDetails.LONGEST_NOTE));
                    sessions.noteOn(floor.plan().lifter(), floor.key(), words);
                },
                back(id, day, week),
                state -> page(floor, state, model),
                response);
    }

    private String page(FloorDay floor, FormState state, Model model) {
        model.addAttribute("lifter", floor.plan().lifter());
        model.addAttribute("state", state);
        model.addAttribute("review", writer.review(floor));
        model.addAttribute("forms", CoachSeen.Form.values());
        model.addAttribute("links", CoachSeen.WeakLink.values());
        return "floor/review";
    }

    private static String back(long id, int day, int week) {
        return "redirect:/lifters/" + id + "/floor/review?day=" + day + "&week=" + week;
    }
}
