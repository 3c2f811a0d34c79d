package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.RepsSeen;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Going through a session set by set: the coach's rating beside the lifter's, how it looked, where it is weak, a note. */
@Controller
@RequestMapping("/lifters/{id}/floor/review")
class ReviewController {

    private final Book book;
    private final Sessions sessions;
    private final DayWriter writer;

    ReviewController(Book book, Sessions sessions, DayWriter writer) {
        this.book = book;
        this.sessions = sessions;
        this.writer = writer;
    }

    @GetMapping
    ModelAndView show(FloorDay floor) {
        return page(floor, FormState.NONE);
    }

    /** The session that was lifted last, wherever it stands in a plan. */
    @GetMapping("/last")
    String last(LifterCard lifter) {
        PlannedDay day = book.lastPlanned(lifter).orElseThrow(NotFoundException::new);
        return "redirect:" + address(lifter, day);
    }

    /** What the coach says of a set. */
    record Seen(
            Rpe rating,
            CoachSeen.Form form,
            CoachSeen.WeakLink link,
            String broken,
            @Size(max = SetDetails.LONGEST_NOTE) String note) {

        CoachSeen seen() {
            return new CoachSeen(
                    Optional.ofNullable(rating),
                    Optional.ofNullable(form),
                    Optional.ofNullable(link),
                    Optional.ofNullable(note),
                    Reading.fieldIfAny("broken", broken, Seen::reps));
        }

        /** Numbers of broken repetitions; 0 where all were clean. */
        private static RepsSeen reps(String text) {
            try {
                return text.strip().equals("0") ? RepsSeen.CLEAN : RepsSeen.parse(text);
            } catch (IllegalArgumentException notNumbers) {
                throw new UnreadableException("review.error.broken");
            }
        }
    }

    @PostMapping("/sets")
    ModelAndView see(FloorDay floor, @RequestParam TaskKey task, Sent<Seen> sent) {
        return sent.answer(
                "seen-" + task,
                said -> {
                    sessions.see(floor.plan().lifter(), floor.key(), task, said.seen());
                    return back(floor, "#set-" + task);
                },
                state -> page(floor, state));
    }

    /** What the coach says of the whole session. */
    record Note(@Size(max = SetDetails.LONGEST_NOTE) String note) {}

    @PostMapping("/note")
    ModelAndView note(FloorDay floor, Sent<Note> sent) {
        return sent.answer(
                "session",
                said -> {
                    sessions.noteOn(floor.plan().lifter(), floor.key(), Optional.ofNullable(said.note()));
                    return back(floor, "");
                },
                state -> page(floor, state));
    }

    private ModelAndView page(FloorDay floor, FormState state) {
        return new ModelAndView("floor/review")
                .addObject("lifter", floor.plan().lifter())
                .addObject("state", state)
                .addObject("review", writer.review(floor))
                .addObject("forms", CoachSeen.Form.values())
                .addObject("links", CoachSeen.WeakLink.values());
    }

    private static ModelAndView back(FloorDay floor, String set) {
        return new ModelAndView("redirect:" + address(floor.plan().lifter(), floor.key()) + set);
    }

    /** By the day's number, which is the same in whatever block it stands and wherever it was moved. */
    private static String address(LifterCard lifter, PlannedDay day) {
        return "/lifters/" + lifter.id() + "/floor/review?planned=" + day.day() + "&week=" + day.week();
    }
}
