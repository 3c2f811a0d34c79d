package dev.yarbel.web.roster;

import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.Undo;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Who a lifter is: every field is kept as it is left, everything that can be struck can be brought back. */
@Controller
@RequestMapping("/lifters/{id}/profile")
class ProfileController {

    private final Profiles profiles;
    private final Accounts accounts;
    private final Forms forms;
    private final Clock clock;

    ProfileController(Profiles profiles, Accounts accounts, Forms forms, Clock clock) {
        this.profiles = profiles;
        this.accounts = accounts;
        this.forms = forms;
        this.clock = clock;
    }

    @GetMapping
    String profile(@AuthenticationPrincipal Person person, @PathVariable long id, Model model) {
        return page(person, id, FormState.NONE, model);
    }

    private String page(Person person, long id, FormState state, Model model) {
        ProfileView view = profiles.view(person, id);
        model.addAttribute("lifter", view.card());
        model.addAttribute("profile", view);
        model.addAttribute("state", state);
        model.addAttribute("today", LocalDate.ofInstant(clock.instant(), person.zone()));
        model.addAttribute("zone", person.zone());
        if (person.isCoach()) {
            model.addAttribute("coaches", accounts.coaches(person.clubId()));
            model.addAttribute("account", accounts.ofLifter(person.clubId(), id).orElse(null));
        }
        return "roster/profile";
    }

    /** Does the work and goes back to its part of the page, or shows the form again with what is wrong in it. */
    private String attempt(
            Person person,
            long id,
            String form,
            Map<String, String> typed,
            String part,
            Consumer<Typed> work,
            HttpServletResponse response,
            Model model) {
        return forms.send(form, typed, work, back(id, part), state -> page(person, id, state, model), response);
    }

    private static String back(long id, String part) {
        return "redirect:/lifters/" + id + "/profile#" + part;
    }

    @PostMapping("/fields/{code}")
    String field(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable String code,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return attempt(
                person,
                id,
                code,
                typed,
                code,
                values -> values.read("value", text -> {
                    profiles.keep(person, id, code, text);
                    return text;
                }),
                response,
                model);
    }

    @PostMapping("/measurements")
    String measure(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        String form = "BODY_MASS".equals(typed.get("kind")) ? "body-mass" : "measured";
        return attempt(person, id, form, typed, form, values -> profiles.measure(person, id, values), response, model);
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

    @PostMapping("/notes")
    String note(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        String form = typed.getOrDefault("kind", "NOTE");
        return attempt(person, id, form, typed, "notes", values -> profiles.note(person, id, values), response, model);
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

    @PostMapping("/aches")
    String ache(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return attempt(
                person, id, "ache", typed, "aches", values -> profiles.ache(person, id, values), response, model);
    }

    @PostMapping("/aches/{ache}/clear")
    String clearAche(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable long ache,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return attempt(
                person,
                id,
                "ache-" + ache,
                typed,
                "aches",
                values -> profiles.clearAche(person, id, ache, values),
                response,
                model);
    }

    @PostMapping("/aches/{ache}/reopen")
    String reopenAche(@AuthenticationPrincipal Person person, @PathVariable long id, @PathVariable long ache) {
        profiles.reopenAche(person, id, ache);
        return back(id, "aches");
    }

    @PostMapping("/health")
    String health(
            @AuthenticationPrincipal Person person, @PathVariable long id, @RequestParam Map<String, String> typed) {
        profiles.health(person, id, new Typed(typed));
        return back(id, "health");
    }

    @PostMapping("/health/clear")
    String clearHealth(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            HttpServletResponse response,
            Model model) {
        return attempt(
                person,
                id,
                "clearance",
                typed,
                "health",
                values -> profiles.clearHealth(person, id, values),
                response,
                model);
    }
}
