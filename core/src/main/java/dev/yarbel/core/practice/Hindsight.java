package dev.yarbel.core.practice;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a rating was worth, by the set to the limit of the same session and lift. It leaves out what the sets in between took, so that it is told as
 * about so much (common practice, no source).
 *
 * @param set that was rated
 * @param said half repetitions left as it was rated
 * @param was half repetitions left by the limit, up to {@link #MOST_HALVES}
 * @param limit the set that showed it
 */
public record Hindsight(LiftedSet set, int said, int was, LiftedSet limit) {

    /** Farther from the limit nobody can tell. */
    public static final int MOST_HALVES = 12;

    /**
     * Of each rated set of a lift in a session in which a set of it went to the limit; none where that proved nothing.
     *
     * @param sets of one session
     * @param curve of the lifter in the lift
     */
    public static List<Hindsight> of(Collection<LiftedSet> sets, RepCurve curve) {
        Optional<LiftedSet> limit = sets.stream()
                .filter(set -> set.provesTheLimit() && set.reps() > 0 && isPlain(set))
                .max(Comparator.comparing(set -> max(set, curve)));
        return limit.stream()
                .flatMap(proof -> sets.stream()
                        .filter(set -> !set.provesTheLimit() && isPlain(set) && set.cleanReps() == set.reps())
                        .flatMap(set -> set.rating().filter(Rpe::estimates).stream()
                                .map(rpe -> new Hindsight(
                                        set, rpe.halvesLeft(), left(set, max(proof, curve), curve), proof))))
                .toList();
    }

    private static boolean isPlain(LiftedSet set) {
        return set.load().isPositive() && set.details().asked().isPlain();
    }

    private static Mass max(LiftedSet limit, RepCurve curve) {
        return curve.max(limit.load(), RepsInAll.toTheLimit(limit.reps()));
    }

    /** The most half repetitions left with which the curve still gives the load. */
    private static int left(LiftedSet set, Mass max, RepCurve curve) {
        int left = 0;
        while (left < MOST_HALVES
                && !max.times(curve.share(new RepsInAll(2 * set.reps() + left + 1)))
                        .isLessThan(set.load())) {
            left++;
        }
        return left;
    }

    /** Repetitions left by the limit: {@code 2.5}. */
    public String wasReps() {
        return was / 2 + (was % 2 == 0 ? "" : ".5");
    }
}
