package dev.yarbel.web.floor;

import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.SentSet;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.SessionRatings;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.book.SetTakenException;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Profiles;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The session as it is lifted: showing it, logging and correcting sets, finishing. */
@Controller
@RequestMapping("/lifters/{id}/floor")
class FloorController {

    private static final int LONGEST_NOTE = 500;
    /** What waited longer on a phone than this is taken to have been lifted then. */
    private static final Duration OLDEST = Duration.ofDays(14);

    private final Roster roster;
    private final Profiles profiles;
    private final FloorDays days;
    private final Sessions sessions;
    private final SpeedSensors sensors;
    private final FloorPage page;
    private final Forms forms;
    private final Words words;
    private final Clock clock;

    FloorController(
            Roster roster,
            Profiles profiles,
            FloorDays days,
            Sessions sessions,
            SpeedSensors sensors,
            FloorPage page,
            Forms forms,
            Words words,
            Clock clock) {
        this.roster = roster;
        this.profiles = profiles;
        this.days = days;
        this.sessions = sessions;
        this.sensors = sensors;
        this.page = page;
        this.forms = forms;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping
    String show(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<Integer> day,
            @RequestParam Optional<Integer> week,
            @RequestParam Optional<String> task,
            @RequestParam Optional<String> change,
            @RequestParam Optional<String> cards,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        response.setHeader("Yarbel-Account", String.valueOf(person.accountId()));
        LifterCard lifter = roster.lifter(person, id);
        Optional<FloorDay> floor = days.find(person, lifter, day, week);
        if (floor.isEmpty()) {
            model.addAttribute("lifter", lifter);
            return "floor/none";
        }
        Optional<TaskKey> chosen = task.map(FloorDays::key);
        return page.show(
                model,
                chosen.map(key -> floor.get().choosing(key.letter())).orElse(floor.get()),
                new Focus(chosen, change, cards.isPresent()),
                FormState.NONE,
                fragment.isPresent());
    }

    @PostMapping("/sets")
    String log(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam String task,
            @RequestParam Optional<Long> planned,
            @RequestParam MultiValueMap<String, String> sent,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        Map<String, String> typed = new HashMap<>(sent.toSingleValueMap());
        typed.put("worn", String.join(",", sent.getOrDefault("worn", List.of())));
        FloorDay floor = planned.map(
                        number -> days.find(person, id, number, week).orElseThrow(DayGoneException::new))
                .orElseGet(() -> days.get(person, id, day, week));
        TaskKey key = FloorDays.key(task);
        Task asked = floor.task(key).orElseThrow(NotFoundException::new);
        return forms.sendTo(
                "set-" + key,
                typed,
                values -> {
                    keep(person, floor, asked, values, response);
                    return fragment.isPresent()
                            ? page.show(
                                    model,
                                    days.get(person, id, floor.day(), floor.week()),
                                    Focus.NEXT,
                                    FormState.NONE,
                                    true)
                            : back(id, floor.day(), floor.week());
                },
                state -> page.show(model, floor, Focus.of(key), state, fragment.isPresent()),
                response);
    }

    private void keep(Person person, FloorDay floor, Task asked, Typed typed, HttpServletResponse response) {
        LifterCard lifter = floor.plan().lifter();
        Optional<DoneSet> before = floor.log().stream()
                .flatMap(log -> log.sets().stream())
                .filter(set -> set.task().equals(asked.key()))
                .findFirst();
        DoneSet done = new SetForm(
                        typed,
                        asked,
                        floor.plan().standing().catalogue(),
                        floor.plan().resolver().numbers(asked.lift()),
                        lifter.unit())
                .read(before.map(set -> set.set().details().coach()));
        if (typed.text("correct").equals("true")) {
            sessions.correct(person, lifter, floor.key(), done);
            return;
        }
        Instant at = lifted(typed);
        try {
            sessions.log(
                    person,
                    lifter,
                    floor.key(),
                    floor.plan().today(),
                    new SentSet(SetForm.token(typed), measured(floor, done, at), at),
                    floor.asked());
        } catch (SetTakenException taken) {
            // so that the phone asks which of the two stands
            response.setHeader("Yarbel-Taken", "yes");
            throw new UnreadableException("set.error.taken", said(taken.logged(), lifter)).in("load");
        }
    }

    /** With the speed of its last repetition, where a sensor measured it and nobody typed another. */
    private DoneSet measured(FloorDay floor, DoneSet done, Instant at) {
        if (done.set().details().speed().isPresent()) {
            return done;
        }
        List<BarSpeed> speeds = sensors.since(floor.plan().lifter(), floor.key(), floor.log(), at);
        return speeds.isEmpty()
                ? done
                : new DoneSet(done.task(), done.set().with(done.set().details().with(speeds.get(speeds.size() - 1))));
    }

    private String said(DoneSet logged, LifterCard lifter) {
        return words.say(
                "set.said",
                words.load(logged.set().load(), lifter.unit()),
                String.valueOf(logged.set().reps()),
                words.say("left." + logged.set().effort().code()));
    }

    /** When it was lifted, by our clock as the phone made it out; never to come, and not for ever ago. */
    private Instant lifted(Typed typed) {
        Instant now = clock.instant();
        String at = typed.text("at");
        if (!at.matches("\\d{10,15}")) {
            return now;
        }
        Instant lifted = Instant.ofEpochMilli(Long.parseLong(at));
        Instant oldest = now.minus(OLDEST);
        return lifted.isAfter(now) ? now : lifted.isBefore(oldest) ? oldest : lifted;
    }

    @PostMapping("/finish")
    String finish(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam Map<String, String> typed,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        return forms.sendTo(
                "finish",
                typed,
                values -> {
                    finish(floor, values);
                    return fragment.isPresent()
                            ? page.show(model, days.get(person, id, day, week), Focus.NEXT, FormState.NONE, true)
                            : back(id, day, week);
                },
                state -> page.show(model, floor, Focus.NEXT, state, fragment.isPresent()),
                response);
    }

    private void finish(FloorDay floor, Typed typed) {
        Optional<Integer> effort = typed.readIfAny("rating", text -> Reading.number(text, 0, 10));
        Optional<Integer> minutes = typed.readIfAny("minutes", text -> Reading.number(text, 1, 600));
        Optional<SessionRatings.CountSaid> count =
                typed.readIfAny("count", text -> Reading.choice(SessionRatings.CountSaid.class, text));
        int left = floor.setsLeft();
        boolean meant = count.isPresent()
                || typed.readIfAny("left", text -> Reading.number(text, 0, 9999))
                        .filter(said -> said >= left)
                        .isPresent();
        if (left > 0 && !floor.finished() && !meant) {
            throw new UnreadableException("ask.sets-left", left).in("left");
        }
        Optional<String> pain = typed.readIfAny("pain", text -> Reading.words(text, LONGEST_NOTE));
        sessions.finish(floor.plan().lifter(), floor.key(), new Sessions.Finish(pain, effort, minutes, count));
    }

    /** Opens a finished session again: there was more to it. */
    @PostMapping("/reopen")
    String reopen(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestHeader("HX-Request") Optional<String> fragment,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        if (floor.finished()) {
            if (!floor.reopens(person)) {
                throw new AccessDeniedException("on another day the coach opens it");
            }
            sessions.reopen(person, floor.plan().lifter(), floor.key());
        }
        return fragment.isPresent()
                ? page.show(model, days.get(person, id, day, week), Focus.NEXT, FormState.NONE, true)
                : back(id, day, week);
    }

    /** Something hurts: where and how badly; it is an ache until somebody clears it. */
    @PostMapping("/aches")
    String ache(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam Map<String, String> typed,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        return forms.sendTo(
                "ache",
                typed,
                values -> {
                    profiles.acheToday(person, id, values);
                    return fragment.isPresent()
                            ? page.show(model, days.get(person, id, day, week), Focus.NEXT, FormState.NONE, true)
                            : back(id, day, week);
                },
                state -> page.show(model, days.get(person, id, day, week), Focus.NEXT, state, fragment.isPresent()),
                response);
    }

    /** A code by which a bar-speed sensor is paired with the session. */
    @PostMapping("/sensor")
    String sensor(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestHeader("HX-Request") Optional<String> fragment,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        model.addAttribute("code", sensors.invite(floor.plan().lifter(), floor.key()));
        return page.show(model, floor, Focus.NEXT, FormState.NONE, fragment.isPresent());
    }

    /** How the lifter is before the session. */
    @PostMapping("/before")
    String before(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam Map<String, String> typed,
            @RequestHeader("HX-Request") Optional<String> fragment,
            HttpServletResponse response,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        return forms.send(
                "before",
                typed,
                values -> sessions.rateBefore(
                        floor.plan().lifter(),
                        floor.key(),
                        floor.plan().today(),
                        SessionRatings.BEFORE.stream()
                                .map(what -> values.read(what, text -> Reading.number(text, 1, 7)))
                                .toList(),
                        floor.asked()),
                back(id, day, week),
                state -> page.show(model, floor, Focus.NEXT, state, fragment.isPresent()),
                response);
    }

    /** Why a set was missed, asked once it is logged. */
    @PostMapping("/why")
    String why(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam int day,
            @RequestParam int week,
            @RequestParam String task,
            @RequestParam Map<String, String> typed,
            @RequestHeader("HX-Request") Optional<String> fragment,
            Model model) {
        FloorDay floor = days.get(person, id, day, week);
        DoneSet done = floor.log().map(SessionLog::sets).stream()
                .flatMap(List::stream)
                .filter(set -> set.task().equals(FloorDays.key(task)))
                .findFirst()
                .orElseThrow(NotFoundException::new);
        SetDetails.MissedBy why = Reading.find(SetDetails.MissedBy.class, typed.getOrDefault("why", ""))
                .orElseThrow(NotFoundException::new);
        sessions.correct(
                person,
                floor.plan().lifter(),
                floor.key(),
                new DoneSet(done.task(), done.set().with(done.set().details().missed(why))));
        return fragment.isPresent()
                ? page.show(model, days.get(person, id, day, week), Focus.NEXT, FormState.NONE, true)
                : back(id, day, week);
    }

    static String back(long id, int day, int week) {
        return "redirect:/lifters/" + id + "/floor?day=" + day + "&week=" + week;
    }
}
