package dev.yarbel.web.book;

import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.estimate.NoviceStart;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.web.kit.AtHand;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
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

/** The page on which a novice finds a starting working max for one lift. */
@Controller
@RequestMapping("/lifters/{id}/book/lifts/{lift}/start")
class NoviceStartController {

    private final Roster roster;
    private final Book book;
    private final StartingNumbers starting;
    private final NoviceTests tests;
    private final KitShelf kits;
    private final StripSource strips;
    private final Forms forms;
    private final Words words;
    private final Clock clock;

    NoviceStartController(
            Roster roster,
            Book book,
            StartingNumbers starting,
            NoviceTests tests,
            KitShelf kits,
            StripSource strips,
            Forms forms,
            Words words,
            Clock clock) {
        this.roster = roster;
        this.book = book;
        this.starting = starting;
        this.tests = tests;
        this.kits = kits;
        this.strips = strips;
        this.forms = forms;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping
    String start(
            @AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable String lift, Model model) {
        return start(person, roster.lifter(person, id), lift, FormState.NONE, model);
    }

    private String start(Person person, LifterCard lifter, String key, FormState state, Model model) {
        Standing standing = book.standing(lifter);
        Variation variation = standing.variation(key);
        AtHand kit = kits.usual(lifter);
        Optional<Loads> loads = kit.loads(variation);
        List<TestSetEntity> sets = tests.test(person, lifter, variation.lift());
        model.addAttribute("lifter", lifter);
        model.addAttribute("state", state);
        model.addAttribute("today", LocalDate.ofInstant(clock.instant(), person.zone()));
        model.addAttribute(
                "strip", strips.strip(lifter, person.zone(), standing, kit).orElse(null));
        model.addAttribute("aches", lifter.aching(variation.lift(), standing.catalogue()));
        model.addAttribute("liftName", words.lift(variation.lift()));
        model.addAttribute("variation", variation);
        model.addAttribute("sets", sets);
        model.addAttribute("gymName", kit.gymName());
        loads.ifPresent(there -> {
            NoviceStart.Step step = NoviceStart.next(
                    sets.stream().map(TestSetEntity::set).toList(),
                    there,
                    standing.of(variation.lift())
                            .orElseGet(() -> LiftStanding.none(variation.lift()))
                            .curve());
            model.addAttribute("test", TestView.of(step, there));
        });
        return "book/start";
    }

    @PostMapping("/sets")
    String testSet(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @PathVariable String lift,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(coach, id);
        Variation variation = starting.variation(lifter, lift);
        return forms.send(
                "test",
                typed,
                values -> tests.testSet(coach, lifter, variation.lift(), values),
                "redirect:/lifters/" + id + "/book/lifts/" + lift + "/start",
                state -> start(coach, lifter, lift, state, model),
                response);
    }

    @PostMapping("/back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable long id, @PathVariable String lift) {
        LifterCard lifter = roster.lifter(coach, id);
        tests.takeBack(coach, lifter, starting.variation(lifter, lift).lift());
        return "redirect:/lifters/" + id + "/book/lifts/" + lift + "/start";
    }

    @PostMapping("/end")
    String endTest(@AuthenticationPrincipal Person coach, @PathVariable long id, @PathVariable String lift) {
        LifterCard lifter = roster.lifter(coach, id);
        Variation variation = starting.variation(lifter, lift);
        tests.endTest(coach, lifter, variation, loads(lifter, variation));
        return "redirect:/lifters/" + id + "/book/lifts/" + lift;
    }

    @PostMapping("/good-for")
    String goodFor(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @PathVariable String lift,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(coach, id);
        Variation variation = starting.variation(lifter, lift);
        return forms.send(
                "good-for",
                typed,
                values -> tests.goodFor(coach, lifter, variation, values),
                "redirect:/lifters/" + id + "/book/lifts/" + lift,
                state -> start(coach, lifter, lift, state, model),
                response);
    }

    private Loads loads(LifterCard lifter, Variation variation) {
        return kits.usual(lifter).loads(variation).orElseThrow(NotFoundException::new);
    }
}
