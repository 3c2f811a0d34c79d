package dev.yarbel.web.book;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What was changed about the club itself: its kit and its coaches. */
@Controller
class LedgerController {

    private static final int ENTRIES = 100;

    private final Ledger ledger;
    private final Words words;

    LedgerController(Ledger ledger, Words words) {
        this.ledger = ledger;
        this.words = words;
    }

    @GetMapping("/kit/ledger")
    String ofClub(@AuthenticationPrincipal Person person, Model model) {
        model.addAttribute("changes", LedgerLine.together(ledger.latestOfClub(person.clubId(), ENTRIES), words));
        model.addAttribute("zone", person.zone());
        return "book/ledger";
    }
}
