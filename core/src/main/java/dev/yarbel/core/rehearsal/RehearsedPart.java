package dev.yarbel.core.rehearsal;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.session.Demand;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import java.util.List;
import java.util.Optional;

/**
 * A part of a day in plain figures: what repetitions and loads ask of a lifter.
 *
 * @param says whether anything can be said of whether it is made; else it only tires
 * @param reps of a set, as hard as all of it is: of clusters and density work fewer than are done
 * @param open the last set goes on until so many are left; of a set to the limit every one
 * @param most the most repetitions of a set, where a range ends; else no end
 * @param kg of each set, on the bar
 * @param plain what a load on the bar is worth as a plain one, as a share
 * @param asked repetitions left that the rating asks for; none where the load is settled otherwise
 * @param top the place of the part of the same day that the load hangs on; below nothing where on none
 * @param movable whether the load hangs on a max, and so goes after it where calls are taken
 * @param step between the loads that can be made near it, in kg
 * @param lightest that can be made, in kg
 */
record RehearsedPart(
        PrescribedSets prescription,
        Lift root,
        boolean says,
        double reps,
        Optional<Open> open,
        int most,
        double[] kg,
        double plain,
        Optional<Double> asked,
        int top,
        boolean movable,
        double step,
        double lightest) {

    /** Whoever stops where form breaks leaves so many; a starting value of ours. */
    private static final double FORM_LEAVES = 1;

    private static final int NO_END = Integer.MAX_VALUE;

    /**
     * A set that goes on as far as it can.
     *
     * @param left when it ends
     * @param every not only the last one does
     */
    record Open(double left, boolean every) {}

    Lift lift() {
        return prescription.lift();
    }

    int sets() {
        return prescription.sets();
    }

    /** @param known the lifts of which something can be said */
    static RehearsedPart of(List<PrescribedSets> day, int at, ResolvedLoad load, Resolver resolver, List<Lift> known) {
        PrescribedSets prescription = day.get(at);
        Part part = prescription.part();
        LiftNumbers numbers = resolver.numbers(prescription.lift());
        Optional<ResolvedLoad.Known> loaded = load.known();
        boolean says = loaded.filter(of -> of.fit().load().isPositive()).isPresent()
                && known.contains(prescription.lift())
                && isCounted(part);
        Optional<AvailableLoads> kit =
                Optional.of(prescription.lift()).filter(lift -> says).flatMap(resolver::kit);
        Demand demand = Demand.of(prescription, numbers);
        double[] kg = new double[prescription.sets()];
        for (int i = 0; says && i < kg.length; i++) {
            kg[i] = kg(loaded.orElseThrow().load(i + 1));
        }
        return new RehearsedPart(
                prescription,
                resolver.catalogue().root(prescription.lift()),
                says,
                reps(part),
                open(part),
                part.work().straight().map(Work.Straight::most).orElse(NO_END),
                kg,
                says ? plain(part, loaded.orElseThrow().fit().load(), demand, numbers) : 1,
                part.basis().rating().map(rating -> rating.halvesLeft() / 2.0),
                loaded.map(of -> topOf(of, day, at)).orElse(-1),
                part.basis().share().filter(share -> share.of().isMax()).isPresent(),
                kit.map(made -> kg(made.stepAt(loaded.orElseThrow().fit().load())))
                        .orElse(0.0),
                kit.map(AvailableLoads::lightest).map(RehearsedPart::kg).orElse(0.0));
    }

    /** Whether a max says whether it is made: partials, what is only lowered and what is helped say nothing of it. */
    private static boolean isCounted(Part part) {
        return part.work().countsReps()
                && !part.work().isPreparation()
                && !part.work().isInAll()
                && !part.work().isClimb()
                && part.work().repeatsUntil().isEmpty()
                && !part.is(SetModifier.PARTIAL)
                && !part.is(SetModifier.LOWERING)
                && !part.is(SetModifier.ASSISTED);
    }

    private static double reps(Part part) {
        return part.work().straight().isPresent() || part.work().isToLimit() ? part.reps() : Demand.alone(part) / 2.0;
    }

    private static Optional<Open> open(Part part) {
        Optional<Double> left = part.work().stop().map(stop -> stop.rating()
                .map(Rpe::halvesLeft)
                .map(halves -> halves / 2.0)
                .orElse(FORM_LEAVES));
        return left.map(of -> new Open(of, part.work().isToLimit()));
    }

    private static double plain(Part part, Mass load, Demand demand, LiftNumbers numbers) {
        Optional<Mass> max = numbers.estimate().or(numbers::workingMax);
        Mass plain = numbers.ownBest(part)
                .filter(best -> best.isPositive() && max.isPresent())
                .map(best ->
                        load.asShareOf(demand.share()).times(max.orElseThrow().percentOf(best)))
                .orElseGet(() -> demand.plain(load));
        return kg(plain) / kg(load);
    }

    private static int topOf(ResolvedLoad.Known loaded, List<PrescribedSets> day, int at) {
        if (loaded.origin() instanceof ResolvedLoad.Origin.BelowPlannedTop below) {
            for (int i = at - 1; i >= 0; i--) {
                if (day.get(i).letter().equals(below.letter())
                        && day.get(i).part().isTop()) {
                    return i;
                }
            }
        }
        return -1;
    }

    /** Whether repetitions are worked up through a range. */
    boolean isRange() {
        return most < NO_END && most > reps;
    }

    static double kg(Mass mass) {
        return mass.kilograms();
    }

    /** A load as it can be made, near the planned one. */
    double made(double wanted, int set) {
        return step <= 0 ? wanted : Math.max(lightest, kg[set] + Math.round((wanted - kg[set]) / step) * step);
    }
}
