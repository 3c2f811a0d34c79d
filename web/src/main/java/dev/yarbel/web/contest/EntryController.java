package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Toward;
import dev.yarbel.core.contest.TowardClass;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Profiles;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One who lifts in a contest: what the day may bring, and which attempts serve it. */
@Controller
@RequestMapping("/contests/{contest}/entries/{entry}")
class EntryController {

    private final Contests contests;
    private final Events events;
    private final Profiles profiles;
    private final IntoTheLog log;
    private final Words words;

    EntryController(Contests contests, Events events, Profiles profiles, IntoTheLog log, Words words) {
        this.contests = contests;
        this.events = events;
        this.profiles = profiles;
        this.log = log;
        this.words = words;
    }

    @GetMapping
    ModelAndView entry(@AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long entry) {
        return page(coach, contest, entry, FormState.NONE);
    }

    @PostMapping
    ModelAndView change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long entry,
            Sent<EntryForm> sent,
            RedirectAttributes flash) {
        return sent.answer(
                "entry",
                form -> {
                    contests.change(coach, contests.contest(coach, contest), entry, form.read());
                    flash.addFlashAttribute("notice", words.say("contest.kept"));
                    return new ModelAndView("redirect:/contests/" + contest + "/entries/" + entry);
                },
                state -> page(coach, contest, entry, state));
    }

    /** Nothing is asked: what was said of the day is written. */
    record Nothing() {}

    @PostMapping("/log")
    ModelAndView log(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long entry,
            Sent<Nothing> sent,
            RedirectAttributes flash) {
        return sent.answer(
                "log",
                form -> {
                    ContestEntity held = contests.contest(coach, contest);
                    EntryEntity of = contests.entry(coach, held, entry);
                    int sets = log.write(coach, held, of);
                    flash.addFlashAttribute("notice", words.say("contest.log.written", sets, of.name()));
                    return new ModelAndView("redirect:/contests/" + contest + "/entries/" + entry);
                },
                state -> page(coach, contest, entry, state));
    }

    private ModelAndView page(Person coach, long contest, long entry, FormState state) {
        ContestEntity held = contests.contest(coach, contest);
        Contests.Opened opened = contests.opened(coach, held, entry);
        EntryEntity of = opened.entry();
        ModelAndView page = new ModelAndView("contest/entry")
                .addObject("kg", MassUnit.KG)
                .addObject("contest", held)
                .addObject("entry", of)
                .addObject("ways", Way.values())
                .addObject("sexes", Sex.values())
                .addObject("state", state);
        if (opened.lifter().isPresent()) {
            LifterCard lifter = opened.lifter().get();
            Contests.Known known = contests.known(coach, held, of, lifter);
            List<EventEntity> announced = held.rules().isOfEvents() ? events.of(held) : List.of();
            page.addObject("card", lifter)
                    .addObject("toLog", log.toWrite(coach, held, of).size())
                    .addObject("minor", lifter.mayBeMinor(known.plan().today()))
                    .addObject("plan", known.plan())
                    .addObject("toward", toward(held, announced, known.plan()).orElse(null))
                    .addObject("standings", StandingView.of(announced, known.plan()))
                    .addObject(
                            "body",
                            towardClass(held, of, lifter, known.plan().today()).orElse(null))
                    .addObject(
                            "view",
                            held.rules().isOfEvents()
                                    ? null
                                    : EntryView.of(held, of, known, Rivals.asked(opened.all(), of)));
        }
        return page;
    }

    /** Body mass beside the limit of the class that is meant; empty without one, without a day to come, and where nobody weighed them. */
    private Optional<TowardClass> towardClass(
            ContestEntity contest, EntryEntity of, LifterCard lifter, LocalDate today) {
        return contest.on()
                .filter(on -> on.isAfter(today) && !contest.isCancelled())
                .flatMap(on -> of.classLimit()
                        .flatMap(limit -> TowardClass.of(
                                profiles.weighed(lifter, today.minusWeeks(TowardClass.WEEKS_SEEN)),
                                limit,
                                today,
                                on,
                                lifter.mayBeMinor(today))));
    }

    /** The way to the day from where the lifter stands; empty without a day to come. */
    private static Optional<Toward> toward(ContestEntity contest, List<EventEntity> announced, LifterBlock plan) {
        List<Lift> lifts = contest.rules().isOfEvents()
                ? announced.stream().flatMap(event -> event.lift().stream()).toList()
                : contest.rules().lifts();
        return contest.on()
                .filter(on -> on.isAfter(plan.today()) && !contest.isCancelled())
                .map(on -> Toward.of(
                        lifts,
                        contest.rules().allowed(),
                        plan.standing().catalogue(),
                        on,
                        plan.block(),
                        plan.block().days().isEmpty() ? Optional.empty() : plan.shapedFor(on)));
    }
}
