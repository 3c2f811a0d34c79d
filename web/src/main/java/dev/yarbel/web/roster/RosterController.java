package dev.yarbel.web.roster;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Frame;
import dev.yarbel.web.page.InviteLink;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Remembered;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Undo;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The list of lifters, and their place in the club. */
@Controller
class RosterController {

    static final int LONGEST_NAME = 80;

    private final Roster roster;
    private final Mornings mornings;
    private final TakingOn takingOn;
    private final Accounts accounts;
    private final GymChooser gyms;
    private final Clock clock;

    RosterController(
            Roster roster, Mornings mornings, TakingOn takingOn, Accounts accounts, GymChooser gyms, Clock clock) {
        this.roster = roster;
        this.mornings = mornings;
        this.takingOn = takingOn;
        this.accounts = accounts;
        this.gyms = gyms;
        this.clock = clock;
    }

    /** Everyone starts where their work is: a coach at the lifters, a lifter at home, or with today's session. */
    @GetMapping("/")
    String home(@AuthenticationPrincipal Person person) {
        return person.isCoach()
                ? "redirect:/lifters"
                : "redirect:/lifters/" + person.lifterId().orElseThrow() + "/home?now=true";
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

    /**
     * How a coach looks at their own lifters; what is not said is null.
     *
     * @param order of the lines, by its code
     * @param only which of them, by its code
     * @param from which line the page begins with
     */
    record Looked(String order, String only, Integer from) {}

    @GetMapping("/lifters")
    ModelAndView lifters(
            @AuthenticationPrincipal Person person,
            Asked asked,
            Looked looked,
            @ModelAttribute("frame") Frame frame,
            @CookieValue(name = MorningLook.COOKIE, required = false) String kept,
            HttpServletResponse response) {
        Roster.Search search = asked.search(person);
        MorningLook look = MorningLook.of(looked.order(), looked.only(), kept);
        if (looked.order() != null || looked.only() != null) {
            response.addHeader(HttpHeaders.SET_COOKIE, Remembered.cookie(MorningLook.COOKIE, look.kept()));
        }
        return search.whole() || search.archived()
                ? page(person, search, FormState.NONE)
                : morning(
                        person,
                        search,
                        mornings.of(
                                person,
                                look,
                                search.part(),
                                frame::openCalls,
                                Objects.requireNonNullElse(looked.from(), 0)),
                        FormState.NONE);
    }

    private ModelAndView morning(Person person, Roster.Search search, Mornings.Morning morning, FormState state) {
        List<Long> ids = morning.lines().stream().map(line -> line.card().id()).toList();
        return common(person, search, ids, state).addObject("morning", morning);
    }

    private ModelAndView page(Person person, Roster.Search search, FormState state) {
        List<Roster.Found> found = roster.search(person, search);
        List<Roster.Found> shown = found.stream().limit(Roster.PAGE).toList();
        List<Long> ids = shown.stream().map(line -> line.card().id()).toList();
        List<Accounts.Colleague> coaches = accounts.coaches(person.clubId());
        return common(person, search, ids, state)
                .addObject("found", shown)
                .addObject("more", found.size() > shown.size())
                .addObject("aching", roster.aching(person.clubId(), ids))
                .addObject("coaches", coaches)
                .addObject(
                        "coachNames",
                        coaches.stream().collect(Collectors.toMap(Accounts.Colleague::id, c -> c.name())));
    }

    private ModelAndView common(Person person, Roster.Search search, List<Long> ids, FormState state) {
        return new ModelAndView("roster/lifters")
                .addObject("search", search)
                .addObject("usual", gyms.usual(person.clubId(), ids))
                .addObject("gyms", gyms.gyms(person.clubId()))
                .addObject("today", LocalDate.ofInstant(clock.instant(), person.zone()))
                .addObject("state", state);
    }

    /**
     * What starts a lifter.
     *
     * @param gym where they usually train; null for a gym of their own at home
     * @param me whether the coach is this lifter
     */
    record TakeOn(
            @NotBlank @Size(max = LONGEST_NAME) String name,
            @NotNull MassUnit unit,
            Long gym,
            Boolean me) {}

    @PostMapping("/lifters")
    ModelAndView takeOn(
            @AuthenticationPrincipal Person person,
            Sent<TakeOn> sent,
            @ModelAttribute("frame") Frame frame,
            HttpServletRequest request,
            HttpServletResponse response) {
        return sent.answer(
                "take-on",
                form -> {
                    LifterCard lifter = takingOn.takeOn(person, form, request, response);
                    return new ModelAndView("redirect:/lifters/" + lifter.id() + "/profile");
                },
                state -> morning(
                        person,
                        new Roster.Search("", false, false, "", 0),
                        mornings.of(person, MorningLook.FIRST, "", frame::openCalls, 0),
                        state));
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
