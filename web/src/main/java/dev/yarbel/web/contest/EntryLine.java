package dev.yarbel.web.contest;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.LiftForm;
import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Somebody who lifts, in the list of a contest.
 *
 * @param mine whether the reader coaches them, or nobody of the club does
 * @param limit of the bodyweight class they fall into; empty in the open class, and where too little is known
 * @param openClass whether they are heavier than the heaviest class's limit
 * @param maxes what may be there in each lift; empty where nothing is known, or the reader does not coach them
 */
record EntryLine(EntryEntity entry, boolean mine, Optional<Mass> limit, boolean openClass, List<LiftForm> maxes) {

    static EntryLine of(ContestEntity contest, EntryEntity entry, Set<Long> own) {
        ContestRules rules = contest.rules();
        boolean mine = entry.lifterId().map(own::contains).orElse(true);
        Optional<DayStrength> day = mine ? entry.day(rules) : Optional.empty();
        boolean weighed = entry.sex().isPresent() && entry.bodyMass().isPresent();
        Optional<Mass> limit = weighed
                ? ContestRules.classOf(
                        entry.sex().orElseThrow(), entry.bodyMass().orElseThrow())
                : Optional.empty();
        return new EntryLine(
                entry,
                mine,
                limit,
                weighed && limit.isEmpty(),
                day.map(of -> rules.lifts().stream().map(of::form).toList()).orElse(List.of()));
    }
}
