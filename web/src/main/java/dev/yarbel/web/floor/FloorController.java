package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.SessionRatings;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Htmx;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Profiles;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The session as it is lifted: showing it, logging and correcting sets, finishing. */
@Controller
@RequestMapping("/lifters/{id}/floor")
class FloorController {

    private static final int LONGEST_NOTE = 500;

    private final Profiles profiles;
    private final FloorDays days;
    private final Sessions sessions;
    private final SetKeeping keeping;
    private final SpeedSensors sensors;
    private final FloorPage page;
    private final Words words;

    FloorController(
            Profiles profiles,
            FloorDays days,
            Sessions sessions,
            SetKeeping keeping,
            SpeedSensors sensors,
            FloorPage page,
            Words words) {
        this.profiles = profiles;
        this.days = days;
        this.sessions = sessions;
        this.keeping = keeping;
        this.sensors = sensors;
        this.page = page;
        this.words = words;
    }

    /**
     * What of a day is asked for.
     *
     * @param task the set in hand
     * @param change the letter of a slot that somebody is about to change
     * @param cards anything: with every set, for a phone that may lose the line
     */
    record Look(TaskKey task, String change, String cards) {

        Focus focus() {
            return new Focus(
                    Optional.ofNullable(task),
                    Optional.ofNullable(change).filter(letter -> !letter.isBlank()),
                    cards != null);
        }
    }

    @GetMapping
    ModelAndView show(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            Optional<FloorDay> floor,
            Look look,
            Htmx htmx,
            HttpServletResponse response) {
        response.setHeader("Yarbel-Account", String.valueOf(person.accountId()));
        return floor.map(day ->
                        look.task() == null ? day : day.choosing(look.task().letter()))
                .map(day -> page.show(day, look.focus(), FormState.NONE, htmx))
                .orElseGet(() -> new ModelAndView("floor/none").addObject("lifter", lifter));
    }

    @PostMapping("/sets")
    ModelAndView log(
            @AuthenticationPrincipal Person person,
            FloorDay floor,
            Sent<SetSent> sent,
            @RequestParam TaskKey task,
            Htmx htmx,
            HttpServletResponse response) {
        Task asked = floor.task(task).orElseThrow(NotFoundException::new);
        return sent.answer(
                DayDocument.SetDoc.formName(task.toString()),
                set -> {
                    keep(person, floor, asked, set, response);
                    return page.after(floor, htmx);
                },
                state -> page.show(floor, Focus.of(task), state, htmx));
    }

    private void keep(Person person, FloorDay floor, Task asked, SetSent sent, HttpServletResponse response) {
        try {
            keeping.keep(person, floor, asked, sent);
        } catch (Sessions.SetTaken taken) {
            // so that the phone asks which of the two stands
            response.setHeader("Yarbel-Taken", "yes");
            throw new UnreadableException(
                            "set.error.taken", said(taken.logged(), floor.plan().lifter()))
                    .in("load");
        }
    }

    private String said(DoneSet logged, LifterCard lifter) {
        return words.say(
                "set.said",
                words.load(logged.set().load(), lifter.unit()),
                String.valueOf(logged.set().reps()),
                words.say("left." + logged.set().effort().code()));
    }

    /**
     * What is said at the end of a session.
     *
     * @param left how many sets the lifter was told are missing, and goes all the same
     */
    record Ending(
            @Range(min = 0, max = 10) Integer rating,
            @Range(min = 1, max = 600) Integer minutes,
            SessionRatings.CountSaid count,
            @Range(min = 0, max = 9999) Integer left,
            @Size(max = LONGEST_NOTE) String pain) {

        Sessions.Finish finish() {
            return new Sessions.Finish(
                    Optional.ofNullable(pain),
                    Optional.ofNullable(rating),
                    Optional.ofNullable(minutes),
                    Optional.ofNullable(count));
        }
    }

    @PostMapping("/finish")
    ModelAndView finish(FloorDay floor, Sent<Ending> sent, Htmx htmx) {
        return sent.answer(
                "finish",
                ending -> {
                    finish(floor, ending);
                    return page.after(floor, htmx);
                },
                state -> page.show(floor, state, htmx));
    }

    private void finish(FloorDay floor, Ending ending) {
        floor.askAboutLeft(ending.count() != null || ending.left() != null && ending.left() >= floor.setsLeft());
        sessions.finish(floor.plan().lifter(), floor.key(), ending.finish());
    }

    /** Opens a finished session again: there was more to it. */
    @PostMapping("/reopen")
    ModelAndView reopen(@AuthenticationPrincipal Person person, FloorDay floor, Htmx htmx) {
        if (floor.finished()) {
            if (!floor.reopens(person)) {
                throw new AccessDeniedException("on another day the coach opens it");
            }
            sessions.reopen(person, floor.plan().lifter(), floor.key());
        }
        return page.after(floor, htmx);
    }

    /** Something that hurts now: where and how badly. */
    record Hurts(
            @NotNull Tissue place,
            @NotNull @Range(min = 1, max = 10) Integer weight,
            @Size(max = Profiles.LONGEST_WORDS) String words) {}

    /** Something hurts; it is an ache until somebody clears it. */
    @PostMapping("/aches")
    ModelAndView ache(@AuthenticationPrincipal Person person, FloorDay floor, Sent<Hurts> sent, Htmx htmx) {
        return sent.answer(
                "ache",
                hurts -> {
                    profiles.acheToday(
                            person,
                            floor.plan().lifter(),
                            hurts.place(),
                            hurts.weight(),
                            Optional.ofNullable(hurts.words()));
                    return htmx.asks()
                            ? page.show(days.fresh(person, floor), FormState.NONE, htmx)
                            : FloorPage.back(floor);
                },
                state -> page.show(floor, state, htmx));
    }

    /** A code by which a bar-speed sensor is paired with the session. */
    @PostMapping("/sensor")
    ModelAndView sensor(FloorDay floor, Htmx htmx) {
        return page.show(floor, FormState.NONE, htmx)
                .addObject("code", sensors.invite(floor.plan().lifter(), floor.key()));
    }

    /** How the lifter is before a session, each 1 to 7. */
    record Before(
            @NotNull @Range(min = 1, max = 7) Integer sleep,
            @NotNull @Range(min = 1, max = 7) Integer fatigue,
            @NotNull @Range(min = 1, max = 7) Integer stress,
            @NotNull @Range(min = 1, max = 7) Integer soreness,
            @NotNull @Range(min = 1, max = 7) Integer joints) {

        /** In the order of {@link SessionRatings#BEFORE}. */
        List<Integer> ratings() {
            return List.of(sleep, fatigue, stress, soreness, joints);
        }
    }

    /** How the lifter is before the session. */
    @PostMapping("/before")
    ModelAndView before(FloorDay floor, Sent<Before> sent, Htmx htmx) {
        return sent.answer(
                "before",
                before -> {
                    sessions.rateBefore(
                            floor.plan().lifter(), floor.key(), floor.plan().today(), before.ratings(), floor.asked());
                    return FloorPage.back(floor);
                },
                state -> page.show(floor, state, htmx));
    }

    /** Why a set was missed, asked once it is logged. */
    @PostMapping("/why")
    ModelAndView why(
            @AuthenticationPrincipal Person person,
            FloorDay floor,
            @RequestParam TaskKey task,
            @RequestParam SetDetails.MissedBy why,
            Htmx htmx) {
        DoneSet done = floor.done().stream()
                .filter(set -> set.task().equals(task))
                .findFirst()
                .orElseThrow(NotFoundException::new);
        sessions.correct(
                person,
                floor.plan().lifter(),
                floor.key(),
                new DoneSet(done.task(), done.set().with(done.set().details().missed(why))));
        return page.after(floor, htmx);
    }
}
