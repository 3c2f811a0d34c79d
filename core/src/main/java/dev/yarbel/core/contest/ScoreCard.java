package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a lifter attempted in a contest so far, by lift, in order. */
public record ScoreCard(ContestRules rules, Map<Lift, List<Attempt>> lifted) {

    public ScoreCard {
        Map<Lift, List<Attempt>> copy = new HashMap<>();
        lifted.forEach((lift, attempts) -> copy.put(lift, List.copyOf(attempts)));
        lifted = Map.copyOf(copy);
    }

    public List<Attempt> at(Lift lift) {
        return lifted.getOrDefault(lift, List.of());
    }

    /** Whether the attempts at a lift that count are over. */
    public boolean isOver(Lift lift) {
        return at(lift).size() >= ContestRules.ATTEMPTS;
    }

    /** Whether some lift has no good attempt and never will. */
    public boolean isOut() {
        return rules.lifts().stream()
                .anyMatch(lift -> isOver(lift) && best(lift).isEmpty());
    }

    /** The heaviest good attempt at a lift that counts. */
    public Optional<Mass> best(Lift lift) {
        return Attempt.best(at(lift));
    }

    /** Whether a lifter is at a lift: each before it was begun, and none after it. */
    public boolean isAt(Lift lift) {
        int at = rules.lifts().indexOf(lift);
        return rules.lifts().subList(0, at).stream().noneMatch(one -> at(one).isEmpty())
                && rules.lifts().subList(at + 1, rules.lifts().size()).stream().allMatch(one -> at(one).isEmpty());
    }

    /** The best of each lift before one. */
    public Mass subtotal(Lift before) {
        return rules.lifts().stream()
                .limit(rules.lifts().indexOf(before))
                .flatMap(lift -> best(lift).stream())
                .reduce(Mass.ZERO, Mass::plus);
    }

    /** The best of all lifts so far; empty for whoever is out, and before the first good attempt. */
    public Optional<Mass> soFar() {
        Mass sum = rules.lifts().stream().flatMap(lift -> best(lift).stream()).reduce(Mass.ZERO, Mass::plus);
        return isOut() || sum.isZero() ? Optional.empty() : Optional.of(sum);
    }

    /** The total; empty until each lift has a good attempt. */
    public Optional<Mass> total() {
        return rules.lifts().stream().allMatch(lift -> best(lift).isPresent()) ? soFar() : Optional.empty();
    }

    /** What is to be thought of a day after what was lifted in it: every lift that was begun before one tells of those that come. */
    public DayStrength told(DayStrength before, Lift at) {
        DayStrength told = before;
        for (Lift lift : rules.lifts().subList(0, rules.lifts().indexOf(at))) {
            told = told.after(lift, at(lift));
        }
        return told;
    }
}
