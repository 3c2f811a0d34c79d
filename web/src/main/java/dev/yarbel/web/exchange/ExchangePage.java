package dev.yarbel.web.exchange;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.Leaving;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
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
                .addObject(
                        "own",
                        person.isCoach() ? null : lifters.stream().findFirst().orElse(null))
                .addObject(
                        "leavesIf",
                        LocalDate.ofInstant(clock.instant(), person.zone()).plus(Leaving.PAUSE))
                .addObject("tables", tables.of(person))
                .addObject("zone", person.zone())
                .addObject("chosen", null)
                .addObject("state", state);
    }
}
