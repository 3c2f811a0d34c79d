package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Undo;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The room of contests: those of the club, one of them, who lifts in it. */
@Controller
@RequestMapping("/contests")
class ContestsController {

    private final Contests contests;
    private final Roster roster;
    private final Blocks blocks;
    private final Words words;
    private final Clock clock;

    ContestsController(Contests contests, Roster roster, Blocks blocks, Words words, Clock clock) {
        this.contests = contests;
        this.roster = roster;
        this.blocks = blocks;
        this.words = words;
        this.clock = clock;
    }

    private LocalDate today(Person coach) {
        return LocalDate.ofInstant(clock.instant(), coach.zone());
    }

    // ---- all of them

    /** A contest in the list. */
    record Line(ContestEntity contest, long lifters) {}

    @GetMapping
    ModelAndView all(@AuthenticationPrincipal Person coach) {
        return list(coach, FormState.NONE);
    }

    @PostMapping
    ModelAndView add(@AuthenticationPrincipal Person coach, Sent<ContestForm> sent) {
        return sent.answer(
                "new", form -> to(contests.add(coach, form.read(today(coach)))), state -> list(coach, state));
    }

    private static ModelAndView to(long contest) {
        return new ModelAndView("redirect:/contests/" + contest);
    }

    private ModelAndView list(Person coach, FormState state) {
        LocalDate today = today(coach);
        Map<When, List<Line>> groups = contests.all(coach.clubId()).entrySet().stream()
                .map(entry -> new Line(entry.getKey(), entry.getValue()))
                .collect(Collectors.groupingBy(line -> When.of(line.contest(), today)));
        return new ModelAndView("contest/contests")
                .addObject("kg", MassUnit.KG)
                .addObject("groups", groups)
                .addObject("whens", When.values())
                .addObject("sets", ContestRules.keys())
                .addObject("today", today)
                .addObject("state", state);
    }

    /** When a contest is, as a coach looks for it. */
    enum When {
        TODAY,
        TO_COME,
        NO_DAY,
        OVER,
        CANCELLED;

        static When of(ContestEntity contest, LocalDate today) {
            if (contest.isCancelled()) {
                return CANCELLED;
            }
            return contest.on()
                    .map(on -> on.equals(today) ? TODAY : on.isAfter(today) ? TO_COME : OVER)
                    .orElse(NO_DAY);
        }
    }

    // ---- one of them

    @GetMapping("/{contest}")
    ModelAndView contest(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        return page(coach, contests.contest(coach, contest), FormState.NONE);
    }

    @PostMapping("/{contest}")
    ModelAndView change(@AuthenticationPrincipal Person coach, @PathVariable long contest, Sent<ContestForm> sent) {
        return sent.answer(
                "contest",
                form -> {
                    contests.change(coach, contest, form.read(today(coach)));
                    return to(contest);
                },
                state -> page(coach, contests.contest(coach, contest), state));
    }

    /** @param on the day it is on now */
    record MoveForm(@NotNull LocalDate on) {}

    @PostMapping("/{contest}/move")
    ModelAndView move(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            Sent<MoveForm> sent,
            RedirectAttributes flash) {
        return sent.answer(
                "contest",
                form -> {
                    LocalDate on = ContestForm.day(form.on(), today(coach));
                    contests.change(
                            coach,
                            contest,
                            contests.contest(coach, contest).set().on(Optional.of(on)));
                    flash.addFlashAttribute("notice", words.say("contest.moved"));
                    return to(contest);
                },
                state -> page(coach, contests.contest(coach, contest), state));
    }

    @PostMapping("/{contest}/remove")
    ModelAndView remove(@AuthenticationPrincipal Person coach, @PathVariable long contest, RedirectAttributes flash) {
        contests.removed(coach, contest, true);
        Undo.offer(flash, "/contests/" + contest + "/restore");
        return new ModelAndView("redirect:/contests");
    }

    @PostMapping("/{contest}/restore")
    ModelAndView restore(@AuthenticationPrincipal Person coach, @PathVariable long contest) {
        contests.removed(coach, contest, false);
        return to(contest);
    }

    private ModelAndView page(Person coach, ContestEntity contest, FormState state) {
        List<EntryEntity> entries = contests.entries(contest);
        List<LifterCard> mine = roster.lifters(coach);
        Set<Long> own = mine.stream().map(LifterCard::id).collect(Collectors.toSet());
        Set<Long> entered =
                entries.stream().flatMap(entry -> entry.lifterId().stream()).collect(Collectors.toSet());
        When when = When.of(contest, today(coach));
        Set<Long> asked = new HashSet<>(entered);
        asked.retainAll(own);
        Map<Long, List<LocalDate>> leading = blocks.leadingTo(coach.clubId(), asked, today(coach));
        boolean ahead = when == When.TO_COME || when == When.NO_DAY;
        return new ModelAndView("contest/contest")
                .addObject("kg", MassUnit.KG)
                .addObject("contest", contest)
                .addObject("when", when)
                .addObject("today", today(coach))
                .addObject("sets", ContestRules.keys())
                .addObject(
                        "lines",
                        entries.stream()
                                .map(entry -> EntryLine.of(contest, entry, own, leading, ahead))
                                .toList())
                .addObject(
                        "choices",
                        mine.stream()
                                .filter(card -> !entered.contains(card.id()))
                                .toList())
                .addObject("state", state);
    }

    // ---- who lifts

    @PostMapping("/{contest}/entries")
    ModelAndView enter(@AuthenticationPrincipal Person coach, @PathVariable long contest, Sent<EntryForm> sent) {
        ContestEntity held = contests.contest(coach, contest);
        boolean guest = !sent.text("guest").isEmpty();
        return sent.answer(
                guest ? "guest" : "enter",
                form -> {
                    if (guest) {
                        String name = Reading.field("name", form.name(), text -> Reading.words(text, 120));
                        contests.enterGuest(coach, held, name, form.read());
                    } else {
                        long lifter = Reading.needed("lifter", form.lifter());
                        contests.enter(coach, held, roster.lifter(coach, lifter));
                    }
                    return to(contest);
                },
                state -> page(coach, held, state));
    }

    @PostMapping("/{contest}/entries/{entry}/remove")
    ModelAndView withdraw(
            @AuthenticationPrincipal Person coach,
            @PathVariable long contest,
            @PathVariable long entry,
            RedirectAttributes flash) {
        contests.removed(coach, contests.contest(coach, contest), entry, true);
        Undo.offer(flash, "/contests/" + contest + "/entries/" + entry + "/restore");
        return to(contest);
    }

    @PostMapping("/{contest}/entries/{entry}/restore")
    ModelAndView enterAgain(
            @AuthenticationPrincipal Person coach, @PathVariable long contest, @PathVariable long entry) {
        contests.removed(coach, contests.contest(coach, contest), entry, false);
        return to(contest);
    }
}
