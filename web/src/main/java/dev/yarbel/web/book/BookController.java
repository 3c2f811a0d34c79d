package dev.yarbel.web.book;

import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

@Controller
class BookController {

    private static final int ENTRIES = 20;
    private static final int LATEST = 4;

    private final Roster roster;
    private final Book book;
    private final Ledger ledger;
    private final KitShelf kits;
    private final StripSource strips;
    private final Words words;
    private final Clock clock;

    BookController(
            Roster roster, Book book, Ledger ledger, KitShelf kits, StripSource strips, Words words, Clock clock) {
        this.roster = roster;
        this.book = book;
        this.ledger = ledger;
        this.kits = kits;
        this.strips = strips;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping("/lifters/{id}/book")
    String book(@AuthenticationPrincipal Person person, @PathVariable long id, Model model) {
        LifterCard lifter = roster.lifter(person, id);
        LifterRecord standing = book.standing(lifter);
        LocalDate today = LocalDate.ofInstant(clock.instant(), person.zone());
        model.addAttribute("lifter", lifter);
        model.addAttribute("book", BookPage.of(standing, today));
        model.addAttribute(
                "latest",
                LedgerLine.together(ledger.latest(lifter, ENTRIES), words).stream()
                        .limit(LATEST)
                        .toList());
        model.addAttribute("zone", person.zone());
        model.addAttribute("aches", lifter.aches());
        model.addAttribute("today", today);
        model.addAttribute(
                "strip",
                strips.strip(lifter, person.zone(), standing, kits.usual(lifter))
                        .orElse(null));
        return "book/book";
    }
}
