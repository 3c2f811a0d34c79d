package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.BentCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.UsualKit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.hipparchus.linear.RealVector;

/**
 * Estimates all of a lifter's maxes together, session by session: an extended Kalman filter (Jazwinski 1970, <i>Stochastic
 * Processes and Filtering Theory</i>, 8.3) whose measurements are what the lifter said of each set.
 *
 * <p>What it is unsure of: each lift's standing max and how fast it grows, the day's form, the lifter's rep curves, how their ratings lean, what
 * training and the sets before take, and each variation's ratio to its parent. A set is not turned into a max: the filter predicts what this lifter
 * would say of that load and those repetitions, and learns from what they said instead. How far a rating can be trusted hangs
 * on the repetitions left that were expected, not on those that were said. Ratings far off count less (the weights of Student's
 * distribution, Meinhold and Singpurwalla 1989, J Am Stat Assoc 84), slips not at all; what only lies within bounds is used
 * as that. All figures are starting values of ours, chosen on simulated lifters.
 */
public final class StrengthFilter {

    /** Moves on whenever the same log makes believe something else than before: what was kept by another version is worked out anew. */
    public static final int VERSION = 1;

    /** A set settles a doubt that leaves this share of it; a starting value of ours. */
    private static final double NARROWER = 0.85;

    private record Ask(int reps, Rpe rpe) {}

    private static final List<Ask> LEAST_ASKED_FIRST = List.of(
            new Ask(5, Rpe.of(7)),
            new Ask(3, Rpe.of(7)),
            new Ask(5, Rpe.of(8)),
            new Ask(3, Rpe.of(8)),
            new Ask(1, Rpe.of(8)),
            new Ask(3, Rpe.of(9)),
            new Ask(1, Rpe.of(9)));

    private final Kin kin;
    private final Set<Ingredient> without;
    private final LifterProcess process;

    /** For a lifter whose lifts hang together as in the catalogue, but for what their coach decided. */
    public StrengthFilter(Catalogue catalogue, Overrules overrules) {
        this(catalogue, overrules, new UsualKit(catalogue, Map.of()));
    }

    /** @param usual what the lifter wears where nobody says anything else */
    public StrengthFilter(Catalogue catalogue, Overrules overrules, UsualKit usual) {
        this(new Kin(catalogue, overrules, usual), Set.of());
    }

    private StrengthFilter(Kin kin, Set<Ingredient> without) {
        this.kin = kin;
        this.without = without;
        this.process = new LifterProcess(kin, without);
    }

    /** The same without a part of it, to measure what that part is worth; for a lifter whose coach decided nothing. */
    public static StrengthFilter without(Ingredient part, Catalogue catalogue) {
        return new StrengthFilter(
                new Kin(catalogue, Overrules.NONE, new UsualKit(catalogue, Map.of())), EnumSet.of(part));
    }

    /** The speeds of a lifter of whom none was measured. */
    RecentSpeeds noSpeeds() {
        return new RecentSpeeds(kin);
    }

    /** What is believed of a lifter before anything is known. */
    public LifterBelief start(LocalDate day) {
        return new LifterBelief(day, process.atFirst(), Map.of());
    }

    /**
     * What is believed after a max was set down.
     *
     * @param before what was believed on its day or before
     */
    public LifterBelief after(LifterBelief before, MaxOnRecord max) {
        LifterBelief now = process.until(before, max.on());
        SessionUpdate update = new SessionUpdate(kin, process, without, now);
        update.know(max.lift(), Math.log(kg(max.max())), max.doubt().figure().doubleValue() / 100);
        return update.belief();
    }

    /** What is believed after a session, and what each of its sets had to do with it. */
    public Learned after(LifterBelief before, LiftedSession session) {
        LifterBelief now = process.until(before, session.date());
        SessionUpdate update = new SessionUpdate(kin, process, without, now);
        return update.after(session);
    }

    /**
     * What a session taught.
     *
     * @param movements of the lifts of which something was known before or after, and that were lifted
     */
    public record Learned(LifterBelief after, Map<Lift, MaxEstimate.Movement> movements) {

        public Learned {
            movements = Map.copyOf(movements);
        }
    }

    /** What is believed on a later day on which nothing was lifted since. */
    public LifterBelief on(LifterBelief belief, LocalDate day) {
        return process.until(belief, day);
    }

    /** The standing max, without the day's form and tiredness; empty where nothing is known of the lift. */
    public Optional<Standing> standing(LifterBelief belief, Lift lift) {
        Gaussian unknowns = belief.unknowns();
        if (!belief.knows(kin.root(lift))
                || !kin.line(lift).stream().allMatch(variation -> unknowns.knows(new Unknown.Share(variation)))) {
            return Optional.empty();
        }
        return Optional.of(standing(unknowns, kin, lift));
    }

    /** What is known of each set-up of a lift that has numbers of its own, in the order in which they were first lifted. */
    public List<SetUpStrength> setUps(LifterBelief belief, Lift lift) {
        if (standing(belief, lift).isEmpty()) {
            return List.of();
        }
        Gaussian unknowns = belief.unknowns();
        double plain = new SetModel(unknowns, kin).standing(lift);
        return unknowns.ofKind(Unknown.Apart.class)
                .filter(apart -> apart.lift().equals(lift))
                .map(apart -> {
                    Map<Unknown, Double> derivatives = kin.derivativesOfStanding(lift, 1);
                    derivatives.put(apart, 1.0);
                    double max = Math.exp(plain + unknowns.mean(apart));
                    double doubt = Math.sqrt(unknowns.varianceOf(unknowns.slope(derivatives)));
                    return new SetUpStrength(
                            apart.setUp(),
                            new MaxEstimate(mass(max), mass(max * doubt), List.of()),
                            ShareEstimate.of(unknowns.mean(apart), Math.sqrt(unknowns.variance(apart))));
                })
                .toList();
    }

    /** A variation's max as a share of its parent's; empty for a lift that is none, and before anything was lifted or set down of it. */
    public Optional<ShareEstimate> ratio(LifterBelief belief, Lift variation) {
        Gaussian unknowns = belief.unknowns();
        Unknown share = new Unknown.Share(variation);
        return unknowns.knows(share)
                ? Optional.of(ShareEstimate.of(unknowns.mean(share), Math.sqrt(unknowns.variance(share))))
                : Optional.empty();
    }

    static Standing standing(Gaussian unknowns, Kin kin, Lift lift) {
        double max = Math.exp(new SetModel(unknowns, kin).standing(lift));
        double doubt = Math.sqrt(unknowns.varianceOf(unknowns.slope(kin.derivativesOfStanding(lift, 1))));
        return new Standing(mass(max), mass(max * doubt));
    }

    /**
     * A standing max.
     *
     * @param spread one standard deviation
     */
    public record Standing(Mass max, Mass spread) {}

    /** How the lifter's ratings lean in a lift, as the coach decided or as learnt; empty where nothing is known of its family. */
    public Optional<RatingBias> ratingBias(LifterBelief belief, Lift lift) {
        Lift root = kin.root(lift);
        if (!belief.knows(root)) {
            return Optional.empty();
        }
        Gaussian unknowns = belief.unknowns();
        RatingModel.Lean lean = new RatingModel(unknowns, kin).lean(root);
        return Optional.of(
                RatingBias.of(lean.reps(), Math.sqrt(unknowns.varianceOf(unknowns.slope(lean.derivatives())))));
    }

    /** The rep curve of a lift as learnt, near the usual one while little is known; empty where nothing is known of its family. */
    public Optional<BentCurve> curve(LifterBelief belief, Lift lift) {
        return belief.knows(kin.root(lift))
                ? Optional.of(new SetModel(belief.unknowns(), kin).curve(lift).toCurve())
                : Optional.empty();
    }

    /**
     * The set that would settle a doubt about a max: of those that make its range a good deal narrower the one that asks least, from five at 7 to a
     * single at 9. Empty where the range is narrow enough to plan by, or nothing would narrow it, or nothing is known of the lift.
     */
    public Optional<SettlingSet> settling(LifterBelief belief, Lift lift) {
        return standing(belief, lift).flatMap(standing -> {
            Gaussian unknowns = belief.unknowns();
            RealVector of = unknowns.slope(kin.derivativesOfStanding(lift, 1));
            double doubt = Math.sqrt(unknowns.varianceOf(of));
            if (!new MaxEstimate(standing.max(), standing.spread(), List.of()).isWide()) {
                return Optional.empty();
            }
            Circumstances rested = new Circumstances(lift, SetUp.PLAIN, belief.tired(kin.root(lift)), 0, false);
            RatingModel ratings = new RatingModel(unknowns, kin);
            BentCurve curve = new SetModel(unknowns, kin).curve(lift).toCurve();
            for (Ask ask : LEAST_ASKED_FIRST) {
                Mass load = curve.load(standing.max(), ask.reps, ask.rpe);
                RatingModel.Said said = ratings.of(rested, kg(load), ask.reps);
                double after = Math.sqrt(unknowns.varianceAfter(of, said.slope(), said.noise()));
                if (after <= NARROWER * doubt) {
                    MaxEstimate then = new MaxEstimate(standing.max(), mass(kg(standing.max()) * after), List.of());
                    return Optional.of(new SettlingSet(lift, load, ask.reps, ask.rpe, then.low(), then.high()));
                }
            }
            return Optional.empty();
        });
    }

    /**
     * Draws lifters that what is believed allows.
     *
     * @param lifts that they are asked for; of those of whose family nothing is known nothing is drawn
     * @param growth of families' roots of which something is expected; of the others the log tells what it can
     */
    PossibleLifter.Draws possible(LifterBelief belief, List<Lift> lifts, Map<Lift, PossibleLifter.Growth> growth) {
        return new PossibleLifter.Draws(kin, process, belief, lifts, growth);
    }

    static double kg(Mass mass) {
        return mass.kilograms();
    }

    /** Rounded to a gram, far below what an estimate can know. */
    static Mass mass(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(3, RoundingMode.HALF_UP), MassUnit.KG);
    }
}
