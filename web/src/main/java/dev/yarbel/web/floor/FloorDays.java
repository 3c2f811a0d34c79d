package dev.yarbel.web.floor;

import dev.yarbel.core.block.DayId;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Finds the day that is on the floor, with what is at hand in the gym it is trained in and what was changed of it. */
@Component
class FloorDays {

    private final Roster roster;
    private final Blocks blocks;
    private final Sessions sessions;

    FloorDays(Roster roster, Blocks blocks, Sessions sessions) {
        this.roster = roster;
        this.blocks = blocks;
        this.sessions = sessions;
    }

    /** The day asked for, else the one in focus; empty when there is no plan with days. */
    Optional<FloorDay> find(Person person, LifterCard lifter, Optional<Integer> day, Optional<Integer> week) {
        return blocks.onFloor(lifter, person.zone())
                .flatMap(plan -> day.isPresent() && week.isPresent()
                        ? Optional.of(open(plan, day.get(), week.get()))
                        : FloorDay.inFocus(plan).map(place -> open(plan, place.day(), place.week())));
    }

    /**
     * A day by its place in the plan.
     *
     * @throws NotFoundException when there is no such lifter for this person, or no such day
     */
    FloorDay get(Person person, LifterCard lifter, int day, int week) {
        return open(blocks.onFloor(lifter, person.zone()).orElseThrow(NotFoundException::new), day, week);
    }

    /** The same day, all of it read anew. */
    FloorDay fresh(Person person, FloorDay floor) {
        return get(person, roster.lifter(person, floor.plan().lifter().id()), floor.day(), floor.week());
    }

    /**
     * The place that a day has in its plan now, by its number, also in one that another took the place of; empty when it is
     * there no more.
     */
    Optional<FloorDay> find(Person person, LifterCard lifter, long planned, int week) {
        DayId asked = new DayId(planned);
        return blocks.onFloor(lifter, person.zone())
                .filter(plan -> plan.block().indexOf(asked) >= 0)
                .or(() -> blocks.holding(lifter, person.zone(), planned))
                .filter(plan -> week >= 0 && week < plan.block().weeks())
                .map(plan -> open(plan, plan.block().indexOf(asked), week));
    }

    /** The same day after something was logged on it. */
    FloorDay again(FloorDay floor) {
        LifterBlock plan = blocks.after(floor.plan(), floor.key());
        return FloorDay.of(plan, floor.day(), floor.week(), changes(plan, floor.day(), floor.week()));
    }

    private FloorDay open(LifterBlock plan, int day, int week) {
        if (day < 0
                || day >= plan.block().days().size()
                || week < 0
                || week >= plan.block().weeks()) {
            throw new NotFoundException();
        }
        return FloorDay.of(blocks.on(plan, plan.block().date(day, week)), day, week, changes(plan, day, week));
    }

    private List<Sessions.FloorChange> changes(LifterBlock plan, int day, int week) {
        return plan.session(day, week)
                .map(session -> sessions.changes(plan.lifter(), session))
                .orElse(List.of());
    }
}
