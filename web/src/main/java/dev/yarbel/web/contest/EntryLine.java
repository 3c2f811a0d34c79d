package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.LiftForm;
import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Somebody who lifts, in the list of a contest.
 *
 * @param mine whether the reader coaches them, or nobody of the club does
 * @param limit of the bodyweight class they fall into; empty in the open class, and where too little is known
 * @param openClass whether they are heavier than the heaviest class's limit
 * @param leads where the lifter's plan leads; empty where the contest is over or off, or the reader does not coach them
 * @param elsewhere the day it leads to instead
 * @param maxes what may be there in each lift; empty where nothing is known, or the reader does not coach them
 */
record EntryLine(
        EntryEntity entry,
        boolean mine,
        Optional<Mass> limit,
        boolean openClass,
        Optional<Leads> leads,
        Optional<LocalDate> elsewhere,
        List<LiftForm> maxes) {

    /** Where a plan leads, beside a contest. */
    enum Leads {
        HERE,
        ELSEWHERE,
        /** To a day, and the contest has none any more, or not yet. */
        TO_A_DAY_THAT_IS_NONE,
        NOWHERE
    }

    /**
     * @param leading the days that the lifters' plans lead to
     * @param ahead whether the contest is still to come
     */
    static EntryLine of(
            ContestEntity contest,
            EntryEntity entry,
            Set<Long> own,
            Map<Long, List<LocalDate>> leading,
            boolean ahead) {
        ContestRules rules = contest.rules();
        boolean mine = entry.lifterId().map(own::contains).orElse(true);
        Optional<DayStrength> day = mine ? entry.day(rules) : Optional.empty();
        boolean weighed = entry.sex().isPresent() && entry.bodyMass().isPresent();
        Optional<Mass> limit = weighed
                ? ContestRules.classOf(
                        entry.sex().orElseThrow(), entry.bodyMass().orElseThrow())
                : Optional.empty();
        List<LocalDate> days = entry.lifterId()
                .map(lifter -> leading.getOrDefault(lifter, List.of()))
                .orElse(List.of());
        boolean asked = ahead && entry.lifterId().filter(own::contains).isPresent();
        return new EntryLine(
                entry,
                mine,
                limit,
                weighed && limit.isEmpty(),
                asked ? Optional.of(leads(contest.on(), days)) : Optional.empty(),
                days.stream().findFirst(),
                day.map(of -> rules.lifts().stream().map(of::form).toList()).orElse(List.of()));
    }

    private static Leads leads(Optional<LocalDate> on, List<LocalDate> days) {
        if (on.filter(days::contains).isPresent()) {
            return Leads.HERE;
        }
        if (days.isEmpty()) {
            return Leads.NOWHERE;
        }
        return on.isPresent() ? Leads.ELSEWHERE : Leads.TO_A_DAY_THAT_IS_NONE;
    }
}
