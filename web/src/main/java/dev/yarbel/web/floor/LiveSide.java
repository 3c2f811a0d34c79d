package dev.yarbel.web.floor;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** One lifter's side of the page on which a coach sees several lift. */
@Component
class LiveSide {

    private final FloorDays days;
    private final DayWriter writer;
    private final FloorWords spoken;

    LiveSide(FloorDays days, DayWriter writer, FloorWords spoken) {
        this.days = days;
        this.writer = writer;
        this.spoken = spoken;
    }

    /** The name of its form. */
    static String form(LifterCard lifter) {
        return "side-" + lifter.id();
    }

    /** As things stand now. */
    ModelAndView of(Person person, LifterCard lifter, FormState state) {
        return of(lifter, days.find(person, lifter, Optional.empty(), Optional.empty()), state);
    }

    ModelAndView of(LifterCard lifter, Optional<FloorDay> floor, FormState state) {
        return new ModelAndView("floor/live :: side")
                .addObject("lifter", lifter)
                .addObject("state", state)
                .addObject("said", spoken.lately(lifter))
                .addObject("token", UUID.randomUUID())
                .addObject(
                        "floor",
                        floor.map(day -> writer.write(day, Focus.NEXT, FormState.NONE))
                                .orElse(null));
    }
}
