package dev.yarbel.web.roster;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Forms;
import dev.yarbel.web.page.InviteLink;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Undo;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The list of lifters, and their place in the club. */
@Controller
class RosterController {

    private static final int LONGEST_NAME = 80;

    private final Roster roster;
    private final TakingOn takingOn;
    private final Accounts accounts;
    private final GymChooser gyms;
    private final Forms forms;
    private final Clock clock;

    RosterController(Roster roster, TakingOn takingOn, Accounts accounts, GymChooser gyms, Forms forms, Clock clock) {
        this.roster = roster;
        this.takingOn = takingOn;
        this.accounts = accounts;
        this.gyms = gyms;
        this.forms = forms;
        this.clock = clock;
    }

    /** Everyone starts where their work is: a coach at the lifters, a lifter on the floor. */
    @GetMapping("/")
    String home(@AuthenticationPrincipal Person person) {
        return person.isCoach()
                ? "redirect:/lifters"
                : "redirect:/lifters/" + person.lifterId().orElseThrow() + "/floor";
    }

    /**
     * Which lifters are looked for; what is not said is null.
     *
     * @param q what their name holds
     * @param whole the club's, not the coach's own alone
     * @param afterName and number of the last one on the page before
     */
    record Asked(String q, Boolean whole, Boolean archived, String afterName, Long afterId) {

        Roster.Search search(Person person) {
            return new Roster.Search(
                    Reading.visible(Objects.requireNonNullElse(q, "")),
                    Boolean.TRUE.equals(whole) && person.isHeadCoach(),
                    Boolean.TRUE.equals(archived),
                    Objects.requireNonNullElse(afterName, ""),
                    Objects.requireNonNullElse(afterId, 0L));
        }
    }

    @GetMapping("/lifters")
    String lifters(@AuthenticationPrincipal Person person, Asked asked, Model model) {
        return page(person, asked.search(person), FormState.NONE, model);
    }

    private String page(Person person, Roster.Search search, FormState state, Model model) {
        List<Roster.Found> found = roster.search(person, search);
        List<Roster.Found> shown = found.stream().limit(Roster.PAGE).toList();
        List<Long> ids = shown.stream().map(line -> line.card().id()).toList();
        model.addAttribute("found", shown);
        model.addAttribute("more", found.size() > shown.size());
        model.addAttribute("search", search);
        model.addAttribute("aching", roster.aching(person.clubId(), ids));
        model.addAttribute("usual", gyms.usual(person.clubId(), ids));
        model.addAttribute("gyms", gyms.gyms(person.clubId()));
        List<Accounts.Colleague> coaches = accounts.coaches(person.clubId());
        model.addAttribute("coaches", coaches);
        model.addAttribute(
                "coachNames", coaches.stream().collect(Collectors.toMap(Accounts.Colleague::id, c -> c.name())));
        model.addAttribute("today", LocalDate.ofInstant(clock.instant(), person.zone()));
        model.addAttribute("state", state);
        return "roster/lifters";
    }

    @PostMapping("/lifters")
    String takeOn(
            @AuthenticationPrincipal Person person,
            @RequestParam Map<String, String> typed,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        return forms.sendTo(
                "take-on",
                typed,
                values -> {
                    LifterCard lifter = takingOn.takeOn(
                            person,
                            values.read("name", text -> Reading.words(text, LONGEST_NAME)),
                            values.read("unit", text -> Reading.choice(MassUnit.class, text)),
                            values.readIfAny("gym", text -> (long) Reading.number(text, 1, 999_999)),
                            values.isTicked("me"),
                            request,
                            response);
                    return "redirect:/lifters/" + lifter.id() + "/profile";
                },
                state -> page(person, new Roster.Search("", false, false, "", 0), state, model),
                response);
    }

    @PostMapping("/lifters/{id}/invite")
    String invite(@AuthenticationPrincipal Person person, @PathVariable long id, RedirectAttributes flash) {
        String token = takingOn.invite(person, id);
        flash.addFlashAttribute(
                "invite", InviteLink.of(token, roster.lifter(person, id).name()));
        return "redirect:/lifters/" + id + "/profile#signs-in";
    }

    @PostMapping("/lifters/{id}/archive")
    String archive(@AuthenticationPrincipal Person person, @PathVariable long id, RedirectAttributes flash) {
        flash.addFlashAttribute("archived", roster.archive(person, id).name());
        Undo.offer(flash, "/lifters/" + id + "/bring-back");
        return "redirect:/lifters";
    }

    @PostMapping("/lifters/{id}/bring-back")
    String bringBack(@AuthenticationPrincipal Person person, @PathVariable long id) {
        roster.bringBack(person, id);
        return "redirect:/lifters";
    }

    @PostMapping("/lifters/{id}/hand-over")
    String handOver(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam long coach,
            @RequestParam(defaultValue = "false") boolean whole,
            RedirectAttributes flash) {
        flash.addFlashAttribute("handedTo", roster.handOver(person, id, coach));
        return whole ? "redirect:/lifters?whole=true" : "redirect:/lifters";
    }
}
