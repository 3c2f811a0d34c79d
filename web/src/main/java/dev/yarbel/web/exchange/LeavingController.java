package dev.yarbel.web.exchange;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.Leaving;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;

/** A lifter has everything of theirs deleted, or thinks better of it. */
@Controller
class LeavingController {

    private final Leaving leaving;
    private final Roster roster;
    private final ExchangePage page;

    LeavingController(Leaving leaving, Roster roster, ExchangePage page) {
        this.leaving = leaving;
        this.roster = roster;
        this.page = page;
    }

    /** @param name their own, by which they say that they mean it */
    record LeaveForm(String name) {}

    @PostMapping("/exchange/leave")
    ModelAndView leave(@AuthenticationPrincipal Person person, Sent<LeaveForm> sent) {
        LifterCard own = own(person);
        return sent.answer(
                "leave",
                form -> {
                    if (form.name() == null || !form.name().strip().equalsIgnoreCase(own.name())) {
                        throw new UnreadableException("exchange.leave.error").in("name");
                    }
                    leaving.ask(person, own);
                    return new ModelAndView("redirect:/exchange#leave");
                },
                state -> page.of(person, state));
    }

    @PostMapping("/exchange/stay")
    String stay(@AuthenticationPrincipal Person person) {
        leaving.takeBack(person, own(person));
        return "redirect:/exchange#leave";
    }

    private LifterCard own(Person person) {
        return person.lifterId().map(id -> roster.lifter(person, id)).orElseThrow(NotFoundException::new);
    }
}
