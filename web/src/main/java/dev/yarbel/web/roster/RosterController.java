package dev.yarbel.web.roster;

import dev.yarbel.web.page.Person;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

@Controller
class RosterController {

    private final Roster roster;

    RosterController(Roster roster) {
        this.roster = roster;
    }

    /** Everyone starts where their work is: a coach at the lifters, a lifter on the floor. */
    @GetMapping("/")
    String home(@AuthenticationPrincipal Person person) {
        return person.isCoach()
                ? "redirect:/lifters"
                : "redirect:/lifters/" + person.lifterId().orElseThrow() + "/floor";
    }

    @GetMapping("/lifters")
    String lifters(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("lifters", roster.lifters(person));
        return "roster/lifters";
    }
}
