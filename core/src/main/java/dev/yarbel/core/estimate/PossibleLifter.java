package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;

/**
 * One of the lifters that the log allows: what is unknown of the real one, drawn from what is believed, and gone on with from day to day by
 * the process that the estimate takes them to follow. Many of them say what a plan may meet. The same draw is the same lifter.
 */
public final class PossibleLifter {

    private final LifterProcess process;
    private final RandomGenerator random;
    private final Map<Lift, Family> families = new LinkedHashMap<>();
    private final Map<Lift, OfLift> lifts = new HashMap<>();
    private final double fatigue;
    private final double tiring;
    private final double priming;
    private double form;
    private LocalDate day;

    private PossibleLifter(
            LifterProcess process, LocalDate day, ToDoubleFunction<Unknown> drawn, RandomGenerator random) {
        this.process = process;
        this.random = random;
        this.day = day;
        this.form = drawn.applyAsDouble(Unknown.OfLifter.FORM);
        this.fatigue = drawn.applyAsDouble(Unknown.OfLifter.FATIGUE);
        this.tiring = drawn.applyAsDouble(Unknown.OfLifter.TIRING);
        this.priming = drawn.applyAsDouble(Unknown.OfLifter.PRIMING);
    }

    /**
     * How a max may be expected to grow while it is trained.
     *
     * @param aWeek as a share of it
     * @param doubt one standard deviation
     */
    public record Growth(double aWeek, double doubt) {}

    private static final class Family {

        private double log;
        private double gain;
        private double lean;
        private double flatters;
        private LifterBelief.Trained trained;
    }

    private record OfLift(Family family, double share, CurveShape curve) {}

    /** Draws them one after another. */
    public static final class Draws {

        private final Kin kin;
        private final LifterProcess process;
        private final LifterBelief belief;
        private final Gaussian unknowns;
        private final Gaussian.Draws draws;
        private final List<Lift> known;
        private final Map<Lift, Growth> growths = new HashMap<>();

        Draws(Kin kin, LifterProcess process, LifterBelief belief, List<Lift> wanted, Map<Lift, Growth> growths) {
            this.kin = kin;
            this.process = process;
            this.belief = belief;
            this.unknowns = belief.unknowns();
            this.known =
                    wanted.stream().filter(lift -> belief.knows(kin.root(lift))).toList();
            known.forEach(lift -> process.beginVariation(unknowns, lift));
            this.draws = unknowns.draws();
            known.stream()
                    .map(kin::root)
                    .distinct()
                    .forEach(root -> this.growths.put(root, growths.getOrDefault(root, process.growth(unknowns))));
        }

        /** The lifts that something is known of, of those that were asked for. */
        public List<Lift> known() {
            return known;
        }

        /** The next one. */
        public PossibleLifter next(RandomGenerator random) {
            ToDoubleFunction<Unknown> drawn = draws.next(random);
            PossibleLifter lifter = new PossibleLifter(process, belief.date(), drawn, random);
            double grows = random.nextGaussian();
            for (Lift lift : known) {
                Lift root = kin.root(lift);
                Family family = lifter.families.computeIfAbsent(root, of -> family(of, drawn, grows));
                double share = kin.line(lift).stream()
                        .mapToDouble(variation -> drawn.applyAsDouble(new Unknown.Share(variation)))
                        .sum();
                Lift owner = kin.curveOf(lift);
                lifter.lifts.put(
                        lift,
                        new OfLift(
                                family,
                                share,
                                CurveShape.of(
                                        drawn.applyAsDouble(new Unknown.Steepness(owner)),
                                        drawn.applyAsDouble(new Unknown.Bend(owner)))));
            }
            return lifter;
        }

        private Family family(Lift root, ToDoubleFunction<Unknown> drawn, double grows) {
            Family family = new Family();
            family.log = drawn.applyAsDouble(new Unknown.Max(root));
            family.trained = belief.trained().get(root);
            Growth growth = growths.get(root);
            family.gain = growth.aWeek() + grows * growth.doubt();
            family.lean = kin.decidedBias(root)
                    .map(decided -> decided.doubleValue())
                    .orElseGet(() ->
                            drawn.applyAsDouble(Unknown.OfLifter.BIAS) + drawn.applyAsDouble(new Unknown.Bias(root)));
            family.flatters = kin.flatters(root) ? drawn.applyAsDouble(new Unknown.Flatter(root)) : 0;
            return family;
        }
    }

    /** Lets days go by up to one; what was before it stays as it is. */
    public void until(LocalDate later) {
        long days = ChronoUnit.DAYS.between(day, later);
        if (days <= 0) {
            return;
        }
        form = process.formAfter(form, days, random);
        double together = random.nextGaussian();
        for (Family family : families.values()) {
            LifterBelief.Trained now = family.trained.until(day, later);
            family.log += family.gain * family.trained.keptUp(day, later) / 7
                    - (now.lost() - family.trained.lost())
                    + process.wandering(family.trained, days, together, random);
            family.trained = now;
        }
        day = later;
    }

    /** The standing max, without the day's form and tiredness, in kg. */
    public double standing(Lift lift) {
        OfLift of = lifts.get(lift);
        return Math.exp(of.family.log + of.share);
    }

    /** What today's session shows of the standing max, with the day's form, in kg. */
    public double shown(Lift lift) {
        return standing(lift) * Math.exp(form);
    }

    /**
     * How a set finds them.
     *
     * @param setsBefore work sets of the same family of lifts before it in the session
     * @param primed a heavy single came before it, and it is lighter
     * @param several whether it has more than one repetition
     */
    public record Before(int setsBefore, boolean primed, boolean several) {}

    /** What is there today for a single at the limit, in kg. */
    private double today(OfLift of, Before before) {
        return Math.exp(of.family.log
                + of.share
                + form
                - taken(of.family)
                - tiring * before.setsBefore
                + (before.primed ? priming : 0)
                + (before.several ? of.family.flatters : 0));
    }

    private double taken(Family family) {
        return fatigue * family.trained.tired();
    }

    /** How many repetitions a load is good for; less than one where it lies above what is there. */
    public double reps(Lift lift, double kg, Before before) {
        OfLift of = lifts.get(lift);
        return of.curve.count(today(of, before) / kg - 1);
    }

    /** The load in kg that is good for so many repetitions. */
    public double load(Lift lift, double reps, Before before) {
        OfLift of = lifts.get(lift);
        return today(of, before) / (1 + of.curve.over(Math.max(1, reps)));
    }

    /** What they say is left where so much is; more or less than there is, as they lean, and as unsure as they are. */
    public double said(Lift lift, double left, int reps) {
        return left + lifts.get(lift).family.lean + RatingModel.spread(left, reps) * random.nextGaussian();
    }

    /**
     * A session of a lift is over.
     *
     * @param share how tiring it was beside a usual one
     */
    public void trained(Lift lift, double share) {
        Family family = lifts.get(lift).family;
        family.trained = family.trained.in(day, share);
    }

    /** What training of the last days takes off a lift, as a share of its standing max. */
    public double taken(Lift lift) {
        return taken(lifts.get(lift).family);
    }
}
