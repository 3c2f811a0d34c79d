package dev.yarbel.web.block;

import dev.yarbel.web.block.PlanReader.Plan;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionGlance;
import dev.yarbel.web.roster.InTraining;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All blocks of a lifter: what was, what is, what comes, what gave way to another, and what was taken away. */
@Service
@Transactional(readOnly = true)
public class BlockHistory {

    private final PlanReader plans;
    private final Book book;
    private final Roster roster;
    private final Clock clock;

    BlockHistory(PlanReader plans, Book book, Roster roster, Clock clock) {
        this.plans = plans;
        this.book = book;
        this.roster = roster;
        this.clock = clock;
    }

    /** How a block stands today. */
    public enum State {
        /** It is trained. */
        NOW,
        /** It begins later. */
        NEXT,
        /** It has run its course. */
        PAST,
        /** Another took its place before it had. */
        SET_ASIDE,
        /** It was taken away. */
        REMOVED
    }

    /**
     * A block with its sessions.
     *
     * @param putAside the day on which another takes its place before it has run its course
     * @param sessions up to that day
     * @param given the block it was given from
     */
    public record Line(
            InTraining.InBlock block,
            State state,
            Optional<LocalDate> contest,
            Optional<LocalDate> putAside,
            List<InTraining.Planned> sessions,
            Optional<Given> given) {}

    /** Another lifter's block that one was given from. */
    public record Given(String lifter, String block) {}

    /** The latest first. */
    public List<Line> of(LifterCard lifter, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        List<Plan> all = plans.all(lifter.clubId(), lifter.id());
        List<Long> days = all.stream()
                .flatMap(plan -> plan.days().stream())
                .map(PlanReader.Day::number)
                .toList();
        Map<PlannedDay, SessionGlance> held =
                SessionGlance.byPlannedDay(book.glances(lifter.clubId(), List.of(lifter.id()), days));
        Map<Long, String> givers = roster.names(
                lifter.clubId(),
                all.stream().flatMap(plan -> plan.givenBy().stream()).toList());
        List<Line> lines = new ArrayList<>();
        for (Plan plan : all) {
            Optional<LocalDate> next = plan.removed()
                    ? Optional.empty()
                    : all.subList(all.indexOf(plan) + 1, all.size()).stream()
                            .filter(other -> !other.removed())
                            .findFirst()
                            .map(Plan::start);
            lines.add(line(plan, next, held, givers, today));
        }
        Collections.reverse(lines);
        return lines;
    }

    private static Line line(
            Plan plan,
            Optional<LocalDate> next,
            Map<PlannedDay, SessionGlance> held,
            Map<Long, String> givers,
            LocalDate today) {
        InTraining.InBlock block = plan.on(today);
        Optional<LocalDate> putAside = next.filter(begins -> !begins.isAfter(block.end()));
        return new Line(
                block,
                state(plan, block, putAside, today),
                plan.contest(),
                putAside,
                plan.sessions(putAside.orElse(LocalDate.MAX), held, today),
                plan.givenBy().map(giver -> new Given(givers.getOrDefault(giver, ""), plan.givenAs())));
    }

    private static State state(Plan plan, InTraining.InBlock block, Optional<LocalDate> putAside, LocalDate today) {
        if (plan.removed()) {
            return State.REMOVED;
        }
        if (putAside.filter(day -> !day.isAfter(today)).isPresent()) {
            return State.SET_ASIDE;
        }
        return block.isOver() ? State.PAST : block.isBegun() ? State.NOW : State.NEXT;
    }
}
