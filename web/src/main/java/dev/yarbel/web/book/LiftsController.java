package dev.yarbel.web.book;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.Worn;
import dev.yarbel.web.kit.AtHand;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.Undo;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A lifter's lifts, one by one: what is known of each, and what a share of it would hang on. */
@Controller
@RequestMapping("/lifters/{id}/book/lifts")
class LiftsController {

    private final Roster roster;
    private final Book book;
    private final StartingNumbers starting;
    private final SetUps setUps;
    private final KitShelf kits;
    private final StripSource strips;
    private final Forms forms;
    private final Words words;
    private final Clock clock;

    LiftsController(
            Roster roster,
            Book book,
            StartingNumbers starting,
            SetUps setUps,
            KitShelf kits,
            StripSource strips,
            Forms forms,
            Words words,
            Clock clock) {
        this.roster = roster;
        this.book = book;
        this.starting = starting;
        this.setUps = setUps;
        this.kits = kits;
        this.strips = strips;
        this.forms = forms;
        this.words = words;
        this.clock = clock;
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    private void frame(Person person, LifterCard lifter, Standing standing, AtHand kit, FormState state, Model model) {
        model.addAttribute("lifter", lifter);
        model.addAttribute("state", state);
        model.addAttribute("today", today(person));
        model.addAttribute(
                "strip", strips.strip(lifter, person.zone(), standing, kit).orElse(null));
    }

    @GetMapping
    String lifts(@AuthenticationPrincipal Person person, @PathVariable long id, Model model) {
        return lifts(person, roster.lifter(person, id), FormState.NONE, model);
    }

    private String lifts(Person person, LifterCard lifter, FormState state, Model model) {
        Standing standing = book.standing(lifter);
        AtHand kit = kits.usual(lifter);
        frame(person, lifter, standing, kit, state, model);
        model.addAttribute("aches", lifter.aches());
        model.addAttribute("families", LiftsView.of(standing, kit));
        model.addAttribute("variations", standing.catalogue().all());
        model.addAttribute("muscles", Muscle.values());
        model.addAttribute("tissues", Tissue.values());
        model.addAttribute("implementChoices", Implement.values());
        model.addAttribute("measures", SetUpMeasure.values());
        return "book/lifts";
    }

    @PostMapping
    String add(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(coach, id);
        return forms.sendTo(
                "own",
                typed,
                values -> "redirect:/lifters/" + id + "/book/lifts/"
                        + starting.add(coach, lifter, values).key(),
                state -> lifts(coach, lifter, state, model),
                response);
    }

    /** @param share what is asked of every reference, in percent */
    @GetMapping("/{lift}")
    String lift(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable String lift,
            @RequestParam Optional<String> share,
            HttpServletResponse response,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        FormState state = FormState.NONE;
        try {
            Percent asked = Percent.of(Reading.decimal(share.orElse("75"), 1, 130));
            return page(person, lifter, lift, asked, state, model);
        } catch (UnreadableException unreadable) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            state = FormState.of("share", Map.of("share", share.orElse("")), unreadable.in("share"), words);
            return page(person, lifter, lift, Percent.of(75), state, model);
        }
    }

    private String page(Person person, LifterCard lifter, String lift, Percent share, FormState state, Model model) {
        Standing standing = book.standing(lifter);
        Variation variation = standing.variation(lift);
        AtHand kit = kits.usual(lifter);
        frame(person, lifter, standing, kit, state, model);
        model.addAttribute("aches", lifter.aching(variation.lift(), standing.catalogue()));
        model.addAttribute("liftName", words.lift(variation.lift()));
        model.addAttribute(
                "page",
                LiftPage.of(
                        lifter, variation, standing, kit.loads(variation), share, lifter.bodyMass(), today(person)));
        model.addAttribute("gymName", kit.gymName());
        model.addAttribute("card", setUps.card(lifter, variation.lift()));
        model.addAttribute("kinds", RecordedMax.Kind.values());
        model.addAttribute("wornChoices", Worn.values());
        model.addAttribute("consistencies", Consistency.values());
        return "book/lift";
    }

    /** Keeps one part of what is known of a lift. */
    @PostMapping("/{lift}/{part}")
    ModelAndView keep(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @PathVariable String lift,
            @PathVariable String part,
            @RequestParam Map<String, String> typed) {
        Variation variation = starting.variation(lifter, lift);
        Consumer<Typed> work =
                switch (part) {
                    case "max" -> values -> starting.max(coach, lifter, variation.lift(), values);
                    case "working-max" -> values -> starting.workingMax(coach, lifter, variation.lift(), values);
                    case "mastery" -> values -> starting.mastery(coach, lifter, variation.lift(), values);
                    case "ratio" -> values -> starting.ratio(coach, lifter, variation, values);
                    case "event-load" -> values -> starting.eventLoad(coach, lifter, variation.lift(), values);
                    case "set-up" -> values -> starting.setUp(coach, lifter, variation, values);
                    default -> throw new NotFoundException();
                };
        return forms.answer(
                part,
                typed,
                values -> {
                    work.accept(values);
                    return new ModelAndView("redirect:/lifters/" + lifter.id() + "/book/lifts/" + lift);
                },
                state -> {
                    Model model = new ExtendedModelMap();
                    return new ModelAndView(page(coach, lifter, lift, Percent.of(75), state, model), model.asMap());
                });
    }

    @PostMapping("/maxes/{max}/remove")
    String strike(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @PathVariable long max,
            RedirectAttributes flash) {
        LifterCard lifter = roster.lifter(coach, id);
        starting.struck(coach, lifter, max, true);
        Undo.offer(flash, "/lifters/" + id + "/book/lifts/maxes/" + max + "/restore");
        return "redirect:/lifters/" + id + "/book/lifts/"
                + starting.liftOf(lifter, max).key();
    }

    @PostMapping("/maxes/{max}/restore")
    String bringBack(@AuthenticationPrincipal Person coach, @PathVariable long id, @PathVariable long max) {
        LifterCard lifter = roster.lifter(coach, id);
        starting.struck(coach, lifter, max, false);
        return "redirect:/lifters/" + id + "/book/lifts/"
                + starting.liftOf(lifter, max).key();
    }
}
