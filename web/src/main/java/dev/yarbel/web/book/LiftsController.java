package dev.yarbel.web.book;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.Worn;
import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Undo;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.hibernate.validator.constraints.Range;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A lifter's lifts, one by one: what is known of each, and what a share of it would hang on. */
@Controller
@RequestMapping("/lifters/{id}/book/lifts")
class LiftsController {

    private static final Percent THREE_QUARTERS = Percent.of(75);

    private final Book book;
    private final StartingNumbers starting;
    private final SetUps setUps;
    private final KitShelf kits;
    private final StripSource strips;
    private final Ledger ledger;
    private final Words words;
    private final Clock clock;

    LiftsController(
            Book book,
            StartingNumbers starting,
            SetUps setUps,
            KitShelf kits,
            StripSource strips,
            Ledger ledger,
            Words words,
            Clock clock) {
        this.book = book;
        this.starting = starting;
        this.setUps = setUps;
        this.kits = kits;
        this.strips = strips;
        this.ledger = ledger;
        this.words = words;
        this.clock = clock;
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    private static String address(LifterCard lifter, String lift) {
        return "/lifters/" + lifter.id() + "/book/lifts/" + lift;
    }

    private ModelAndView framed(
            String view, Person person, LifterCard lifter, LifterRecord standing, AvailableKit kit, FormState state) {
        return new ModelAndView(view)
                .addObject("lifter", lifter)
                .addObject("state", state)
                .addObject("today", today(person))
                .addObject(
                        "strip",
                        strips.strip(lifter, person.zone(), standing, kit).orElse(null));
    }

    @GetMapping
    ModelAndView lifts(@AuthenticationPrincipal Person person, LifterCard lifter) {
        return lifts(person, lifter, FormState.NONE);
    }

    private ModelAndView lifts(Person person, LifterCard lifter, FormState state) {
        LifterRecord standing = book.standing(lifter);
        AvailableKit kit = kits.usual(lifter);
        return framed("book/lifts", person, lifter, standing, kit, state)
                .addObject("aches", lifter.aches())
                .addObject("families", LiftsView.of(standing, kit))
                .addObject("variations", standing.catalogue().all())
                .addObject("muscles", Muscle.values())
                .addObject("tissues", Tissue.values())
                .addObject("implementChoices", Implement.values())
                .addObject("measures", SetUpMeasure.values());
    }

    /** A variation of the club's own: of another lift by a ratio, or on its own with what it trains. */
    record OwnVariationForm(
            @NotBlank @Size(max = 36) String name,
            Lift parent,
            @Range(min = 1, max = 200) BigDecimal ratio,
            @NotNull Implement implement,
            Boolean pins,
            Set<Muscle> trains,
            Set<Tissue> loads,
            List<SetUpMeasure> card) {

        StartingNumbers.OwnLift own(Optional<Variation> of) {
            if (of.isPresent() && ratio == null) {
                throw new UnreadableException("read.needed").in("ratio");
            }
            if (of.isEmpty() && trains == null) {
                throw new UnreadableException("book.trains-what").in("trains");
            }
            return new StartingNumbers.OwnLift(
                    name,
                    of.orElse(null),
                    ratio == null ? null : Percent.of(ratio),
                    implement,
                    pins != null,
                    trains == null ? Set.of() : trains,
                    loads == null ? Set.of() : loads,
                    card == null ? List.of() : card);
        }
    }

    @PostMapping
    ModelAndView add(@AuthenticationPrincipal Person coach, LifterCard lifter, Sent<OwnVariationForm> sent) {
        return sent.answer(
                "own",
                form -> {
                    Lift added = starting.add(coach, lifter, form.own(parent(lifter, form.parent())));
                    return new ModelAndView("redirect:" + address(lifter, added.key()));
                },
                state -> lifts(coach, lifter, state));
    }

    private Optional<Variation> parent(LifterCard lifter, Lift of) {
        return Optional.ofNullable(of).map(lift -> book.catalogue(lifter.clubId())
                .find(lift)
                .orElseThrow(() -> new UnreadableException("read.choice").in("parent")));
    }

    /** The share that is asked of every reference, in percent; three quarters where nothing is said. */
    record Share(@Range(min = 1, max = 130) BigDecimal share) {

        Percent percent() {
            return share == null ? THREE_QUARTERS : Percent.of(share);
        }
    }

    @GetMapping("/{lift}")
    ModelAndView lift(
            @AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable String lift, Sent<Share> sent) {
        return sent.answer(
                "share",
                share -> page(person, lifter, lift, share.percent(), FormState.NONE),
                state -> page(person, lifter, lift, state));
    }

    private ModelAndView page(Person person, LifterCard lifter, String lift, FormState state) {
        return page(person, lifter, lift, THREE_QUARTERS, state);
    }

    private ModelAndView page(Person person, LifterCard lifter, String lift, Percent share, FormState state) {
        LifterRecord standing = book.standing(lifter);
        Variation variation = standing.variation(lift);
        AvailableKit kit = kits.usual(lifter);
        return framed("book/lift", person, lifter, standing, kit, state)
                .addObject("charts", true)
                .addObject(
                        "trend",
                        MaxTrend.of(
                                standing.of(variation.lift()).orElseGet(() -> LiftRecord.none(variation.lift())),
                                ledger.workingMaxSteps(lifter, variation.lift()),
                                today(person),
                                person.zone()))
                .addObject("aches", lifter.aching(variation.lift(), standing.catalogue()))
                .addObject("liftName", words.lift(variation.lift()))
                .addObject(
                        "page",
                        LiftPage.of(
                                lifter,
                                variation,
                                standing,
                                kit.loads(variation),
                                share,
                                lifter.bodyMass(),
                                today(person)))
                .addObject("gymName", kit.gymName())
                .addObject("card", setUps.card(lifter, variation.lift()))
                .addObject("kinds", RecordedMax.Kind.values())
                .addObject("wornChoices", Worn.values())
                .addObject("consistencies", Consistency.values());
    }

    /** Keeps one part of what is known of a lift, or shows the lift's page again with the trouble. */
    private <F> ModelAndView keep(
            Person coach, LifterCard lifter, String lift, String form, Sent<F> sent, Consumer<F> work) {
        return sent.answer(
                form,
                typed -> {
                    work.accept(typed);
                    return new ModelAndView("redirect:" + address(lifter, lift));
                },
                state -> page(coach, lifter, lift, state));
    }

    /** A max as a coach sets it down; the repetitions count for the best of several alone. */
    record MaxForm(
            @NotNull RecordedMax.Kind kind,
            String load,
            String reps,
            @NotNull LocalDate on,
            @Size(max = 80) String source,
            List<Worn> worn,
            String confirmed) {

        RecordedMax max(Lift lift, MassUnit unit, LocalDate today) {
            Mass lifted = Reading.field("load", load, text -> Reading.mass(text, unit));
            int done = kind == RecordedMax.Kind.REP_MAX
                    ? Reading.field("reps", reps, text -> Reading.number(text, 2, RecordedMax.MOST_REPS))
                    : 1;
            LocalDate day = kind == RecordedMax.Kind.GOAL ? on : Reading.past("on", on, today);
            Set<Worn> kit = Worn.inOrder(worn == null ? List.of() : worn);
            return new RecordedMax(lift, kind, lifted, done, day, kit, source == null ? "" : source);
        }
    }

    @PostMapping("/{lift}/max")
    ModelAndView max(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<MaxForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return keep(coach, lifter, lift, "max", sent, form -> {
            RecordedMax max = form.max(variation.lift(), lifter.unit(), today(coach));
            MassUnit typedIn = Reading.unit(form.load(), lifter.unit());
            starting.max(coach, lifter, max, typedIn, FormExtras.isConfirmed(form.confirmed(), form.load()));
        });
    }

    /** A load, as it is typed in the lifter's unit or with another. */
    record LoadForm(String load, String confirmed) {}

    @PostMapping("/{lift}/working-max")
    ModelAndView workingMax(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<LoadForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return keep(coach, lifter, lift, "working-max", sent, form -> {
            Mass load = Reading.field("load", form.load(), text -> Reading.mass(text, lifter.unit()));
            boolean meant = FormExtras.isConfirmed(form.confirmed(), form.load());
            starting.workingMax(coach, lifter, variation.lift(), load, meant);
        });
    }

    @PostMapping("/{lift}/event-load")
    ModelAndView eventLoad(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<LoadForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return keep(coach, lifter, lift, "event-load", sent, form -> {
            Optional<Mass> load = Reading.fieldIfAny("load", form.load(), text -> Reading.mass(text, lifter.unit()));
            starting.eventLoad(coach, lifter, variation.lift(), load);
        });
    }

    /** Since when a lift has been practised, how it holds together, and what the coach calls that. */
    record MasteryForm(LocalDate since, Consistency consistency, Mastery mastery) {

        Book.Practice practice(LocalDate today) {
            return new Book.Practice(
                    Optional.ofNullable(since).map(day -> Reading.past("since", day, today)),
                    Optional.ofNullable(consistency),
                    Optional.ofNullable(mastery));
        }
    }

    @PostMapping("/{lift}/mastery")
    ModelAndView mastery(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @PathVariable String lift,
            Sent<MasteryForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return keep(
                coach,
                lifter,
                lift,
                "mastery",
                sent,
                form -> starting.mastery(coach, lifter, variation.lift(), form.practice(today(coach))));
    }

    /** A lifter's own ratio of a variation to its parent, in percent; blank for the default. */
    record RatioForm(@Range(min = 1, max = 200) BigDecimal ratio) {}

    @PostMapping("/{lift}/ratio")
    ModelAndView ratio(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<RatioForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return keep(
                coach,
                lifter,
                lift,
                "ratio",
                sent,
                form -> starting.ratio(
                        coach,
                        lifter,
                        variation,
                        Optional.ofNullable(form.ratio()).map(Percent::of)));
    }

    /** How ratings of a lift lean, in repetitions said beyond those left, and why; blank for what is learnt. */
    record BiasForm(@Range(min = -4, max = 4) BigDecimal reps, String why) {

        Optional<BigDecimal> decided() {
            return Optional.ofNullable(reps).map(said -> DecidedBias.choices().stream()
                    .filter(choice -> choice.compareTo(said) == 0)
                    .findFirst()
                    .orElseThrow(() -> new UnreadableException("read.choice").in("reps")));
        }
    }

    @PostMapping("/{lift}/ratings")
    ModelAndView ratings(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<BiasForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return keep(
                coach,
                lifter,
                lift,
                "ratings",
                sent,
                form -> starting.bias(coach, lifter, variation, form.decided(), form.why()));
    }

    /** The figures of a set-up card, as words. */
    record SetUpForm(Map<SetUpMeasure, @Size(max = 40) String> card) {}

    @PostMapping("/{lift}/set-up")
    ModelAndView setUp(
            @AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable String lift, Sent<SetUpForm> sent) {
        Variation variation = starting.variation(lifter, lift);
        return keep(
                coach,
                lifter,
                lift,
                "set-up",
                sent,
                form -> starting.setUp(coach, lifter, variation, form.card() == null ? Map.of() : form.card()));
    }

    @PostMapping("/maxes/{max}/remove")
    String strike(
            @AuthenticationPrincipal Person coach,
            LifterCard lifter,
            @PathVariable long max,
            RedirectAttributes flash) {
        starting.struck(coach, lifter, max, true);
        Undo.offer(flash, address(lifter, "maxes/" + max + "/restore"));
        return "redirect:" + address(lifter, starting.liftOf(lifter, max).key());
    }

    @PostMapping("/maxes/{max}/restore")
    String bringBack(@AuthenticationPrincipal Person coach, LifterCard lifter, @PathVariable long max) {
        starting.struck(coach, lifter, max, false);
        return "redirect:" + address(lifter, starting.liftOf(lifter, max).key());
    }
}
