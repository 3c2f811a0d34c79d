package dev.yarbel.web.book;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.estimate.NoviceStart;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** The page on which a novice finds a starting working max for one lift. */
@Controller
@RequestMapping("/lifters/{id}/book/lifts/{lift}/start")
class NoviceStartController {

    private final Book book;
    private final StartingNumbers starting;
    private final NoviceTests tests;
    private final KitShelf kits;
    private final StripSource strips;
    private final Words words;
    private final Clock clock;

    NoviceStartController(
            Book book,
            StartingNumbers starting,
            NoviceTests tests,
            KitShelf kits,
            StripSource strips,
            Words words,
            Clock clock) {
        this.book = book;
        this.starting = starting;
        this.tests = tests;
        this.kits = kits;
        this.strips = strips;
        this.words = words;
        this.clock = clock;
    }

    private static String address(LifterCard lifter, String lift) {
        return "/lifters/" + lifter.id() + "/book/lifts/" + lift;
    }

    @GetMapping
    ModelAndView start(@AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable String lift) {
        return start(person, lifter, lift, FormState.NONE);
    }

    private ModelAndView start(Person person, LifterCard lifter, String key, FormState state) {
        LifterRecord standing = book.standing(lifter);
        Variation variation = standing.variation(key);
        AvailableKit kit = kits.usual(lifter);
        Optional<AvailableLoads> loads = kit.loads(variation);
        List<TestSetEntity> sets = tests.test(person, lifter, variation.lift());
        ModelAndView page = new ModelAndView("book/start")
                .addObject("lifter", lifter)
                .addObject("state", state)
                .addObject("today", LocalDate.ofInstant(clock.instant(), person.zone()))
                .addObject(
                        "strip",
                        strips.strip(lifter, person.zone(), standing, kit).orElse(null))
                .addObject("aches", lifter.aching(variation.lift(), standing.catalogue()))
                .addObject("liftName", words.lift(variation.lift()))
                .addObject("variation", variation)
                .addObject("sets", sets)
                .addObject("gymName", kit.gymName());
        loads.ifPresent(there -> {
            NoviceStart.Step step = NoviceStart.next(
                    sets.stream().map(TestSetEntity::set).toList(),
                    there,
                    standing.of(variation.lift())
                            .orElseGet(() -> LiftRecord.none(variation.lift()))
                            .curve(),
                    standing.catalogue().isPulledFromTheFloor(variation.lift()));
            page.addObject("test", TestView.of(step, there));
            page.addObject("fromTheFloor", standing.catalogue().isPulledFromTheFloor(variation.lift()));
        });
        return page;
    }

    /** A set of the test, which is always of five; what it was rated stands for how it went. */
    record TestForm(
            String load,
            String effort,

            @NotNull @Range(min = 1, max = NoviceStart.MOST_SETS)
            Integer number) {

        NoviceStart.TestSet set(MassUnit unit) {
            return new NoviceStart.TestSet(
                    Reading.field("load", load, text -> Reading.mass(text, unit)),
                    Reading.field("effort", effort, Reading::effort));
        }
    }

    @PostMapping("/sets")
    ModelAndView testSet(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<TestForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return sent.answer(
                "test",
                form -> {
                    tests.testSet(coach, lifter, variation.lift(), form.number(), form.set(lifter.unit()));
                    return new ModelAndView("redirect:" + address(lifter, lift) + "/start");
                },
                state -> start(coach, lifter, lift, state));
    }

    @PostMapping("/back")
    String takeBack(@AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift) {
        tests.takeBack(coach, lifter, starting.variation(lifter, lift).lift());
        return "redirect:" + address(lifter, lift) + "/start";
    }

    @PostMapping("/end")
    String endTest(@AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift) {
        Variation variation = starting.variation(lifter, lift);
        tests.endTest(
                coach,
                lifter,
                variation,
                loads(lifter, variation),
                book.catalogue(lifter.clubId()).isPulledFromTheFloor(variation.lift()));
        return "redirect:" + address(lifter, lift);
    }

    /** A load that is good for 15 to 20 repetitions. */
    record GoodForm(String good) {}

    @PostMapping("/good-for")
    ModelAndView goodFor(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<GoodForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return sent.answer(
                "good-for",
                form -> {
                    Mass load = Reading.field("good", form.good(), text -> Reading.mass(text, lifter.unit()));
                    tests.goodFor(coach, lifter, variation, load);
                    return new ModelAndView("redirect:" + address(lifter, lift));
                },
                state -> start(coach, lifter, lift, state));
    }

    private AvailableLoads loads(LifterCard lifter, Variation variation) {
        return kits.usual(lifter).loads(variation).orElseThrow(NotFoundException::new);
    }
}
