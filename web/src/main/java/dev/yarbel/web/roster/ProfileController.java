package dev.yarbel.web.roster;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Undo;
import dev.yarbel.web.page.UnreadableException;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.Objects;
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

/** Who a lifter is: every field is kept as it is left, everything that can be struck can be brought back. */
@Controller
@RequestMapping("/lifters/{id}/profile")
class ProfileController {

    private final Profiles profiles;
    private final Accounts accounts;
    private final Clock clock;

    ProfileController(Profiles profiles, Accounts accounts, Clock clock) {
        this.profiles = profiles;
        this.accounts = accounts;
        this.clock = clock;
    }

    @GetMapping
    ModelAndView profile(@AuthenticationPrincipal Person person, @PathVariable long id) {
        return page(person, id, FormState.NONE);
    }

    private ModelAndView page(Person person, long id, FormState state) {
        ProfileView view = profiles.view(person, id);
        ModelAndView page = new ModelAndView("roster/profile")
                .addObject("lifter", view.card())
                .addObject("profile", view)
                .addObject("state", state)
                .addObject("today", today(person))
                .addObject("zone", person.zone());
        if (person.isCoach()) {
            page.addObject("coaches", accounts.coaches(person.clubId()))
                    .addObject("account", accounts.ofLifter(person.clubId(), id).orElse(null));
        }
        return page;
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    /** A form that is in hand: which of the page's it is, and to which part of the page it leads back. */
    private record InHand(Person person, long id, String form, String part) {}

    /** Does the work and goes back to its part of the page, or shows the form again with what is wrong in it. */
    private <F> ModelAndView keep(InHand hand, Sent<F> sent, Consumer<F> work) {
        return sent.answer(
                hand.form(),
                form -> {
                    work.accept(form);
                    return new ModelAndView(back(hand.id(), hand.part()));
                },
                state -> page(hand.person(), hand.id(), state));
    }

    private static String back(long id, String part) {
        return "redirect:/lifters/" + id + "/profile#" + part;
    }

    /** What one field of the profile is to hold; nothing where it was left blank. */
    record FieldForm(String value) {}

    @PostMapping("/fields/{code}")
    ModelAndView field(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable String code,
            Sent<FieldForm> sent) {
        return keep(new InHand(person, id, code, code), sent, form -> {
            try {
                profiles.keep(person, id, code, Objects.requireNonNullElse(form.value(), ""));
            } catch (UnreadableException unreadable) {
                throw unreadable.in("value");
            }
        });
    }

    /** Something measured on a day; the figure hangs on what it is of. */
    record MeasureForm(
            @NotNull MeasureKind kind,
            String figure,
            @NotNull LocalDate on,
            String confirmed) {}

    @PostMapping("/measurements")
    ModelAndView measure(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<MeasureForm> sent) {
        String part = MeasureKind.BODY_MASS.name().equals(sent.text("kind")) ? "body-mass" : "measured";
        return keep(new InHand(person, lifter.id(), part, part), sent, form -> {
            BigDecimal figure =
                    Reading.field("figure", form.figure(), text -> form.kind().read(text, lifter.unit()));
            LocalDate on = Reading.past("on", form.on(), today(person));
            boolean meant = FormExtras.isConfirmed(form.confirmed(), form.figure());
            profiles.measure(person, lifter, form.kind(), figure, on, meant);
        });
    }

    @PostMapping("/measurements/{measurement}/remove")
    String unmeasure(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable long measurement,
            RedirectAttributes flash) {
        profiles.measured(person, id, measurement, true);
        Undo.offer(flash, "/lifters/" + id + "/profile/measurements/" + measurement + "/restore");
        return back(id, "measured");
    }

    @PostMapping("/measurements/{measurement}/restore")
    String remeasure(@AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable long measurement) {
        profiles.measured(person, id, measurement, false);
        return back(id, "measured");
    }

    /** A note, or what somebody wants. */
    record NoteForm(
            @NotNull NoteKind kind,
            @NotBlank @Size(max = Profiles.LONGEST_TEXT) String text) {}

    @PostMapping("/notes")
    ModelAndView note(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<NoteForm> sent) {
        return keep(
                new InHand(person, lifter.id(), sent.text("kind"), "notes"),
                sent,
                form -> profiles.note(person, lifter, form.kind(), form.text()));
    }

    @PostMapping("/notes/{note}/remove")
    String unnote(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable long note,
            RedirectAttributes flash) {
        profiles.noted(person, id, note, true);
        Undo.offer(flash, "/lifters/" + id + "/profile/notes/" + note + "/restore");
        return back(id, "notes");
    }

    @PostMapping("/notes/{note}/restore")
    String renote(@AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable long note) {
        profiles.noted(person, id, note, false);
        return back(id, "notes");
    }

    /**
     * An ache that has come up.
     *
     * @param lifts that bring it on, as they are called, with commas between
     */
    record AcheForm(
            @NotNull Tissue place,
            @Size(max = Profiles.LONGEST_WORDS) String words,
            @Range(min = 1, max = 10) Integer weight,
            @NotNull LocalDate since,
            String lifts) {}

    @PostMapping("/aches")
    ModelAndView ache(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<AcheForm> sent) {
        return keep(
                new InHand(person, lifter.id(), "ache", "aches"),
                sent,
                form -> profiles.ache(
                        person,
                        lifter,
                        new Ache(
                                form.place(),
                                Objects.requireNonNullElse(form.words(), ""),
                                Reading.past("since", form.since(), today(person)),
                                Optional.ofNullable(form.weight()),
                                Reading.fieldIfAny("lifts", form.lifts(), text -> profiles.lifts(lifter.clubId(), text))
                                        .orElse(Set.of()))));
    }

    /** Who says that it is over, or may be trained with, and since when. */
    record ClearedForm(
            @NotBlank @Size(max = Profiles.LONGEST_WORDS) String by,
            @NotNull LocalDate on) {}

    @PostMapping("/aches/{ache}/clear")
    ModelAndView clearAche(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable long ache,
            Sent<ClearedForm> sent) {
        return keep(
                new InHand(person, id, "ache-" + ache, "aches"),
                sent,
                form -> profiles.clearAche(person, id, ache, form.by(), Reading.past("on", form.on(), today(person))));
    }

    @PostMapping("/aches/{ache}/reopen")
    String reopenAche(@AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable long ache) {
        profiles.reopenAche(person, id, ache);
        return back(id, "aches");
    }

    /** Yes or no to the health questions; one that nobody answered is missing. */
    record HealthForm(Map<HealthQuestion, Boolean> answers) {}

    @PostMapping("/health")
    ModelAndView health(@AuthenticationPrincipal Person person, @PathVariable long id, Sent<HealthForm> sent) {
        return keep(
                new InHand(person, id, "health", "health"),
                sent,
                form -> profiles.health(person, id, Objects.requireNonNullElse(form.answers(), Map.of())));
    }

    @PostMapping("/health/clear")
    ModelAndView clearHealth(@AuthenticationPrincipal Person person, @PathVariable long id, Sent<ClearedForm> sent) {
        return keep(
                new InHand(person, id, "clearance", "health"),
                sent,
                form -> profiles.clearHealth(person, id, form.by(), Reading.past("on", form.on(), today(person))));
    }
}
