package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.BentCurve;
import dev.yarbel.core.lift.Lift;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is believed of a lifter's strength on a day, and how it came to that. */
public final class LifterStrength {

    private final StrengthFilter filter;
    private final Optional<LifterBelief> belief;
    private final Map<Lift, List<MaxEstimate.Movement>> movements;

    /**
     * @param belief empty before anything was known
     * @param movements of each lift of which something was set down or told
     */
    LifterStrength(
            StrengthFilter filter, Optional<LifterBelief> belief, Map<Lift, List<MaxEstimate.Movement>> movements) {
        this.filter = filter;
        this.belief = belief;
        this.movements = movements;
    }

    /**
     * The estimate of a lift, with how each session moved it; empty where nothing of the lift itself was set down or told: what is known of
     * its variations alone is no estimate of it.
     */
    public Optional<MaxEstimate> estimate(Lift lift) {
        return Optional.ofNullable(movements.get(lift))
                .flatMap(moved -> belief.flatMap(now -> filter.standing(now, lift))
                        .map(standing -> new MaxEstimate(standing.max(), standing.spread(), moved)));
    }

    /** How the lifter's ratings lean in a lift; empty where nothing is known of its family. */
    public Optional<RatingBias> ratingBias(Lift lift) {
        return belief.flatMap(now -> filter.ratingBias(now, lift));
    }

    /** The rep curve of a lift as learnt, near the usual one while little is known; empty where nothing is known of its family. */
    public Optional<BentCurve> curve(Lift lift) {
        return belief.flatMap(now -> filter.curve(now, lift));
    }

    /** The set that would settle a doubt about a lift's max; empty where the range is narrow enough, or nothing would. */
    public Optional<SettlingSet> settling(Lift lift) {
        return estimate(lift).flatMap(known -> belief.flatMap(now -> filter.settling(now, lift)));
    }

    /** What is believed of each set-up of a lift that has numbers of its own. */
    public List<SetUpStrength> setUps(Lift lift) {
        return belief.map(now -> filter.setUps(now, lift)).orElse(List.of());
    }

    /**
     * Draws lifters that what is believed allows; empty before anything was known.
     *
     * @param lifts that they are asked for; of those of whose family nothing is known nothing is drawn
     * @param growth of families' roots of which something is expected; of the others the log tells what it can
     */
    public Optional<PossibleLifter.Draws> possible(List<Lift> lifts, Map<Lift, PossibleLifter.Growth> growth) {
        return belief.map(now -> filter.possible(now, lifts, growth));
    }

    /** A variation's max as a share of its parent's, as learnt; empty where nothing was lifted or set down of it. */
    public Optional<ShareEstimate> ratio(Lift variation) {
        return belief.flatMap(now -> filter.ratio(now, variation));
    }
}
