package dev.yarbel.web.book;

import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What was decided about a lifter: who, when, why, from what to what. */
@Controller
class DecisionsController {

    private static final int ENTRIES = 60;

    private final Ledger ledger;
    private final Words words;

    DecisionsController(Ledger ledger, Words words) {
        this.ledger = ledger;
        this.words = words;
    }

    /**
     * The decisions, newest first.
     *
     * @param about only those about this; all where it is empty
     * @param before only those older than this entry
     */
    @GetMapping("/lifters/{id}/book/decisions")
    ModelAndView show(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            @RequestParam Optional<ChangeKind.About> about,
            @RequestParam Optional<Long> before) {
        Ledger.Entries entries = ledger.entries(lifter, ChangeKind.of(about), before, ENTRIES);
        return new ModelAndView("book/decisions")
                .addObject("lifter", lifter)
                .addObject("about", about.orElse(null))
                .addObject("abouts", ChangeKind.About.values())
                .addObject("before", before.orElse(null))
                .addObject("older", entries.older().orElse(null))
                .addObject("changes", LedgerLine.together(entries.changes(), words))
                .addObject("zone", person.zone());
    }
}
