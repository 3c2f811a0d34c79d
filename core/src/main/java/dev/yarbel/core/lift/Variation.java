package dev.yarbel.core.lift;

import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What is known of a lift or event apart from who does it.
 *
 * @param parent what it is a variation of, with the cautious default ratio to it; empty for a lift that stands alone
 * @param contest whether it is contested
 * @param trains the muscles it trains
 * @param loads the places of the body it loads
 * @param eases which of these it loads less than the lifts it can stand in for
 * @param recovery how long it takes to recover from, as a share of what its parent takes: 85, 100 or 110 %
 * @param start the phase a repetition begins with
 * @param implement what it is done with
 * @param pins whether the bar is set down on pins
 * @param pinsTheLifter whether a miss leaves the load on the lifter: spotters or set safeties belong near the limit
 * @param measures what stands on its set-up card
 */
public record Variation(
        Lift lift,
        Optional<Ratio> parent,
        boolean contest,
        Set<Muscle> trains,
        Set<Tissue> loads,
        Set<Tissue> eases,
        Percent recovery,
        Start start,
        Implement implement,
        boolean pins,
        boolean pinsTheLifter,
        List<SetUpMeasure> measures) {

    public Variation {
        if (parent.filter(ratio -> ratio.to().equals(lift)).isPresent()) {
            throw new IllegalArgumentException(lift + " cannot be its own parent");
        }
        trains = Set.copyOf(trains);
        loads = Set.copyOf(loads);
        eases = Set.copyOf(eases);
        if (!loads.containsAll(eases)) {
            throw new IllegalArgumentException(lift + " eases what it does not load");
        }
        measures = List.copyOf(measures);
    }

    /** A lift of which nothing is known but its key: done with a barbell, lowered first. */
    public static Variation unknown(Lift lift) {
        return new Variation(
                lift,
                Optional.empty(),
                false,
                Set.of(),
                Set.of(),
                Set.of(),
                Percent.HUNDRED,
                Start.LOWERING,
                Implement.BARBELL,
                false,
                true,
                List.of());
    }

    /**
     * A coach's own variation: like its parent in what it trains and loads, with its own ratio, implement and measures.
     */
    public Variation varied(Lift own, Percent ratio, Implement with, boolean onPins, List<SetUpMeasure> card) {
        return new Variation(
                own,
                Optional.of(new Ratio(lift, ratio, Ratio.Source.DEFAULT)),
                false,
                trains,
                loads,
                eases,
                Percent.HUNDRED,
                start,
                with,
                onPins,
                pinsTheLifter,
                card);
    }

    /** How much it loads a place: not at all, less, or in full. */
    int load(Tissue place) {
        return !loads.contains(place) ? 0 : eases.contains(place) ? 1 : 2;
    }

    /** A lift of a coach's own that is no variation of another: a sled, a hanging band. */
    public static Variation alone(
            Lift own, Set<Muscle> trains, Set<Tissue> loads, Implement with, boolean onPins, List<SetUpMeasure> card) {
        return new Variation(
                own,
                Optional.empty(),
                false,
                trains,
                loads,
                Set.of(),
                Percent.HUNDRED,
                Start.RAISING,
                with,
                onPins,
                false,
                card);
    }

    /** What a gym must have for it. */
    public Gym.Need need() {
        return new Gym.Need(implement, lift.key(), pins);
    }
}
