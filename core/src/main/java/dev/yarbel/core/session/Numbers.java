package dev.yarbel.core.session;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.measure.Mass;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;

/**
 * What one lifter's loads can hang on today, lift by lift. A variation without a number of its own takes its parent's by
 * their ratio, and the parent's again from its own parent.
 */
public final class Numbers {

    private final Map<Lift, LiftNumbers> own;
    private final Map<Lift, Ratio> ratios;
    private final Optional<Mass> bodyMass;
    private final Demand.Figures figures;
    /** What was asked for already. */
    private final Map<Lift, LiftNumbers> known = new ConcurrentHashMap<>();

    private Numbers(
            Map<Lift, LiftNumbers> own, Map<Lift, Ratio> ratios, Optional<Mass> bodyMass, Demand.Figures figures) {
        this.figures = figures;
        this.bodyMass = bodyMass;
        this.own = Map.copyOf(own);
        this.ratios = Map.copyOf(ratios);
    }

    /** Lifts with their own numbers, and none that take theirs from another. */
    public static Numbers of(Map<Lift, LiftNumbers> own) {
        return of(own, Map.of());
    }

    /**
     * Lifts with their own numbers.
     *
     * @param ratios for each variation, its ratio to the parent
     */
    public static Numbers of(Map<Lift, LiftNumbers> own, Map<Lift, Ratio> ratios) {
        return new Numbers(own, ratios, Optional.empty(), Demand.Figures.START);
    }

    /** The same lifter, who weighs so much; empty where nobody knows. */
    public Numbers withBodyMass(Optional<Mass> mass) {
        return new Numbers(own, ratios, mass, figures);
    }

    /** The same lifter, for whom this makes a load heavier than it is. */
    public Numbers with(Demand.Figures others) {
        return new Numbers(own, ratios, bodyMass, others);
    }

    /** What the lifter weighs. */
    public Optional<Mass> bodyMass() {
        return bodyMass;
    }

    /** What loads of a lift can hang on. */
    public LiftNumbers of(Lift lift) {
        LiftNumbers numbers = known.get(lift);
        if (numbers == null) {
            numbers = of(lift, new HashSet<>());
            numbers = figures.equals(Demand.Figures.START) ? numbers : numbers.with(figures);
            known.put(lift, numbers);
        }
        return numbers;
    }

    private LiftNumbers of(Lift lift, Set<Lift> onTheWay) {
        LiftNumbers numbers = own.getOrDefault(lift, LiftNumbers.NONE);
        Ratio ratio = ratios.get(lift);
        return ratio == null || !onTheWay.add(lift) ? numbers : numbers.orFrom(of(ratio.to(), onTheWay), ratio);
    }

    /** The same lifter with other numbers for one lift, and so for those that take theirs from it. */
    public Numbers with(Lift lift, UnaryOperator<LiftNumbers> change) {
        Map<Lift, LiftNumbers> changed = new HashMap<>(own);
        changed.put(lift, change.apply(own.getOrDefault(lift, LiftNumbers.NONE)));
        return new Numbers(changed, ratios, bodyMass, figures);
    }
}
