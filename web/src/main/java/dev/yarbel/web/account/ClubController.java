package dev.yarbel.web.account;

import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.InviteLink;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The coaches of a club, for the head coach. */
@Controller
@RequestMapping("/club")
class ClubController {

    private static final int LONGEST_NAME = 80;

    /** For how many days clips may be kept; 0 as long as nobody deletes them. */
    private static final List<Integer> CLIP_DAYS = List.of(30, 90, 180, 365, 730, 0);

    private final Accounts accounts;
    private final Clubs clubs;
    private final Invites invites;
    private final ChangeLog changes;
    private final CoachedLifters coached;

    ClubController(Accounts accounts, Clubs clubs, Invites invites, ChangeLog changes, CoachedLifters coached) {
        this.accounts = accounts;
        this.clubs = clubs;
        this.invites = invites;
        this.changes = changes;
        this.coached = coached;
    }

    @GetMapping
    String club(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("club", clubs.name(person.clubId()));
        model.addAttribute("coaches", accounts.everyCoach(person.clubId()));
        model.addAttribute("secondFactor", clubs.secondFactor(person.clubId()));
        model.addAttribute("secondFactors", Club.SecondFactor.values());
        model.addAttribute("clipDays", clubs.clipDays(person.clubId()).orElse(0));
        model.addAttribute("clipChoices", CLIP_DAYS);
        return "account/club";
    }

    @PostMapping("/invites")
    @Transactional
    String invite(
            @AuthenticationPrincipal Person person,
            @RequestParam(defaultValue = "") String name,
            HttpServletResponse response,
            Model model,
            RedirectAttributes flash) {
        if (name.isBlank() || name.strip().length() > LONGEST_NAME || Reading.hasControl(name)) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("typed", Reading.visible(name));
            model.addAttribute("error", Reading.hasControl(name) ? "read.control" : "club.error.name");
            return club(person, model);
        }
        changes.write(
                person, Optional.empty(), ChangeKind.ROSTER, List.of("invited"), Optional.empty(), "", name.strip());
        flash.addFlashAttribute("invite", InviteLink.of(invites.forCoach(person, name.strip()), name.strip()));
        return "redirect:/club";
    }

    @PostMapping("/coaches/{id}/invite")
    @Transactional
    String renew(@AuthenticationPrincipal Person person, @PathVariable long id, RedirectAttributes flash) {
        String token = invites.forColleague(person, id);
        String name = accounts.name(person.clubId(), id);
        changes.write(person, Optional.empty(), ChangeKind.ROSTER, List.of("password"), Optional.empty(), "", name);
        flash.addFlashAttribute("invite", InviteLink.of(token, name));
        return "redirect:/club";
    }

    /** Ends a coach's access at once; what they wrote stays, and their lifters were handed over before. */
    @PostMapping("/coaches/{id}/remove")
    @Transactional
    String remove(
            @AuthenticationPrincipal Person person, @PathVariable long id, HttpServletResponse response, Model model) {
        long lifters = coached.count(person.clubId(), id);
        if (lifters > 0) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("keeps", id);
            model.addAttribute("lifters", lifters);
            return club(person, model);
        }
        return close(person, id, true);
    }

    @PostMapping("/coaches/{id}/bring-back")
    @Transactional
    String bringBack(@AuthenticationPrincipal Person person, @PathVariable long id) {
        return close(person, id, false);
    }

    private String close(Person person, long id, boolean closed) {
        String name = accounts.coachCloses(person.clubId(), id, closed).orElseThrow(NotFoundException::new);
        changes.write(
                person,
                Optional.empty(),
                ChangeKind.ROSTER,
                List.of(closed ? "access-ended" : "access-given"),
                Optional.empty(),
                closed ? name : "",
                closed ? "" : name);
        return "redirect:/club";
    }

    @PostMapping("/second-factor")
    @Transactional
    String secondFactor(@AuthenticationPrincipal Person person, @RequestParam(defaultValue = "") String of) {
        Club.SecondFactor before = clubs.secondFactor(person.clubId());
        Club.SecondFactor after = Reading.find(Club.SecondFactor.class, of).orElseThrow(NotFoundException::new);
        if (before != after) {
            clubs.require(person.clubId(), after);
            changes.write(
                    person,
                    Optional.empty(),
                    ChangeKind.ROSTER,
                    List.of("second-factor"),
                    Optional.empty(),
                    before.name(),
                    after.name());
        }
        return "redirect:/club";
    }

    /** Says how long clips are kept; older ones are deleted within the hour. */
    @PostMapping("/clips")
    @Transactional
    String clips(@AuthenticationPrincipal Person person, @RequestParam(defaultValue = "-1") String days) {
        int before = clubs.clipDays(person.clubId()).orElse(0);
        int after = CLIP_DAYS.stream()
                .filter(choice -> choice.toString().equals(days))
                .findFirst()
                .orElseThrow(NotFoundException::new);
        if (before != after) {
            clubs.keepClips(person.clubId(), Optional.of(after).filter(some -> some > 0));
            changes.write(
                    person,
                    Optional.empty(),
                    ChangeKind.ROSTER,
                    List.of("clip-days"),
                    Optional.empty(),
                    String.valueOf(before),
                    String.valueOf(after));
        }
        return "redirect:/club";
    }
}
