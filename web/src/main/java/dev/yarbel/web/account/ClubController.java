package dev.yarbel.web.account;

import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.InviteLink;
import dev.yarbel.web.page.Person;
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

    private final Accounts accounts;
    private final Clubs clubs;
    private final Invites invites;
    private final ChangeLog changes;

    ClubController(Accounts accounts, Clubs clubs, Invites invites, ChangeLog changes) {
        this.accounts = accounts;
        this.clubs = clubs;
        this.invites = invites;
        this.changes = changes;
    }

    @GetMapping
    String club(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("club", clubs.name(person.clubId()));
        model.addAttribute("coaches", accounts.coaches(person.clubId()));
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
        if (name.isBlank() || name.strip().length() > LONGEST_NAME) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("typed", name);
            model.addAttribute("error", "first-run.error.name");
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
}
