package dev.yarbel.web.exchange;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.Leaving;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** The page on which things come in and go out. */
@Component
class ExchangePage {

    private final Brought brought;
    private final Tables tables;
    private final Roster roster;
    private final Clock clock;

    ExchangePage(Brought brought, Tables tables, Roster roster, Clock clock) {
        this.brought = brought;
        this.tables = tables;
        this.roster = roster;
        this.clock = clock;
    }

    ModelAndView of(Person person, FormState state) {
        List<LifterCard> lifters = roster.lifters(person);
        return new ModelAndView("exchange/exchange")
                .addObject("files", brought.latest(person))
                .addObject("lifters", lifters)
                .addObject("own", own(person, lifters).orElse(null))
                .addObject(
                        "leavesIf",
                        LocalDate.ofInstant(clock.instant(), person.zone()).plus(Leaving.PAUSE))
                .addObject("tables", tables.of(person))
                .addObject("zone", person.zone())
                .addObject("chosen", null)
                .addObject("state", state);
    }

    /** Themselves, of whoever lifts; a coach who does may be coached by another. */
    private Optional<LifterCard> own(Person person, List<LifterCard> lifters) {
        return person.lifterId().map(id -> lifters.stream()
                .filter(card -> card.id() == id)
                .findFirst()
                .orElseGet(() -> roster.lifter(person, id)));
    }
}
