package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.DoubleStream;
import org.hipparchus.linear.RealVector;

/** One session's corrections of what is believed of a lifter, set by set; made for one day and thrown away. */
final class SessionUpdate {

    /** Nobody with very many left says that there are few; a variance. */
    private static final double MOST_NOISE = 2 * 2;
    /** Of Student's distribution. */
    private static final double FREEDOM = 4;
    /** A rating this many spreads off is a slip. */
    private static final double SLIP = 5;
    /** Bounds that hold so seldom are a slip. */
    private static final double SELDOM = 0.0005;
    /** What somebody stands by is a slip more seldom. */
    private static final double HARDLY_EVER = 1e-8;
    /** A rating of more than four left begins where 4 ends. */
    private static final double EASY = 4.25;

    /** A rating of 10 says that less than this was left. */
    private static final double NOTHING_LEFT = 0.5;
    /** In how far repetitions that were made, or not, hold for the day. */
    private static final double DOUBT_OF_REPS = 0.1;

    private static final double BEYOND = 1000;
    /** A session moves a standing max by this share of it, or by its doubt where that is more. */
    private static final double MOST_STEP = 0.03;
    /** A single that was made may move it as far as to what it would be on a good day. */
    private static final double GOOD_DAY = 0.025;

    private static final double TELLING = 1e-3;
    private static final double DOUBT_OF_FIRST = 0.15;
    private static final double DOUBT_OF_FIRST_APART = 0.05;
    private static final double HEAVY = 0.9;
    private static final double LIGHTER = 0.87;

    private final Kin kin;
    private final LifterProcess process;
    private final Set<Ingredient> without;
    private final LocalDate date;
    private final Gaussian unknowns;
    private final Map<Lift, LifterBelief.Trained> trained;
    private final SetModel model;
    private final RatingModel ratings;

    private final Map<Lift, Integer> setsDone = new HashMap<>();
    private final Map<Lift, Double> heaviestSingle = new HashMap<>();
    private final List<Made> made = new ArrayList<>();
    private final List<Made> easy = new ArrayList<>();
    /** Of which somebody says that nothing more would have gone. */
    private final List<Made> limits = new ArrayList<>();

    private final Map<Lift, Told> told = new LinkedHashMap<>();

    SessionUpdate(Kin kin, LifterProcess process, Set<Ingredient> without, LifterBelief before) {
        this.kin = kin;
        this.process = process;
        this.without = without;
        this.date = before.date();
        this.unknowns = before.unknowns();
        this.trained = before.trained();
        this.model = new SetModel(unknowns, kin);
        this.ratings = new RatingModel(unknowns, kin);
    }

    /** What the sets of a lift told. */
    private static final class Told {

        private final double before;
        private final List<Part> parts = new ArrayList<>();

        private Told(double before) {
            this.before = before;
        }
    }

    /** What one set told. */
    private static final class Part {

        private final LiftedSet set;
        private double speaksFor;
        /** The logarithm of the standing max, by so much. */
        private double moved;
        /** By how much the logarithm of its variance fell. */
        private double surer;

        private Part(LiftedSet set) {
            this.set = set;
        }
    }

    LifterBelief belief() {
        return new LifterBelief(date, unknowns, trained);
    }

    /** A max is set down. */
    void know(Lift lift, double logMax, double doubt) {
        Lift root = kin.root(lift);
        if (!trained.containsKey(root)) {
            begin(lift, logMax, doubt);
        } else {
            process.beginVariation(unknowns, lift);
            RealVector slope = unknowns.slope(kin.derivativesOfStanding(lift, 1));
            unknowns.correct(slope, logMax - model.standing(lift), doubt * doubt);
        }
    }

    private void begin(Lift lift, double logMax, double doubt) {
        Lift root = kin.root(lift);
        double ratios = kin.line(lift).stream()
                .mapToDouble(variation ->
                        Math.log(kin.parent(variation).share().figure().doubleValue() / 100))
                .sum();
        process.begin(unknowns, root, logMax - ratios, doubt);
        process.beginVariation(unknowns, lift);
        trained.put(root, LifterBelief.Trained.AT_THE_USUAL_PACE);
    }

    StrengthFilter.Learned after(LiftedSession session) {
        Map<Lift, Double> maxes = new HashMap<>();
        trained.keySet().forEach(root -> maxes.put(root, unknowns.mean(new Unknown.Max(root))));
        for (LiftedSet set : session.sets()) {
            if (!set.load().isZero() && saysSomething(set)) {
                take(set);
            }
        }
        boundByWhatWasMade();
        maxes.forEach(this::boundTheStep);
        told.keySet().stream()
                .map(kin::root)
                .distinct()
                .forEach(root -> trained.computeIfPresent(root, (lift, lately) -> lately.in(date)));
        Map<Lift, MaxEstimate.Movement> movements = new LinkedHashMap<>();
        told.forEach((lift, of) -> {
            if (of.parts.stream().anyMatch(SessionUpdate::isShown)) {
                movements.put(lift, movement(lift, of));
            }
        });
        return new StrengthFilter.Learned(belief(), movements);
    }

    /** A miss for another reason than strength says nothing of it, nor does a set of which nothing was clean or the lifter's own. */
    private static boolean saysSomething(LiftedSet set) {
        return set.details()
                        .missedBy()
                        .filter(why -> why != SetDetails.MissedBy.STRENGTH)
                        .isEmpty()
                && (set.cleanReps() > 0 || set.reps() == 0);
    }

    private void take(LiftedSet set) {
        Lift root = kin.root(set.lift());
        SetUp setUp = kin.setUp(set);
        if (!trained.containsKey(root) && (!setUp.isPlain() || !beginsWith(set))) {
            return;
        }
        process.beginVariation(unknowns, set.lift());
        Circumstances under = circumstances(root, set, setUp);
        if (setUp.isPlain()) {
            takePlain(under, set);
        } else if (unknowns.knows(under.apart())) {
            observe(under, new Part(set));
        } else {
            beginApart(under, set);
        }
        if (set.effort().isMissed() || set.rating().filter(Rpe::estimates).isPresent()) {
            setsDone.merge(root, 1, Integer::sum);
        }
        if (setUp.isPlain() && set.reps() == 1 && set.made()) {
            heaviestSingle.merge(root, StrengthFilter.kg(set.load()), Math::max);
        }
    }

    private void takePlain(Circumstances under, LiftedSet set) {
        Part part = new Part(set);
        told.computeIfAbsent(set.lift(), lift -> new Told(model.standing(lift)))
                .parts
                .add(part);
        part.speaksFor = speaksFor(under, set);
        tells(part, () -> observe(under, part));
    }

    /** What is done with a set moves the standing max of its lift. */
    private void tells(Part part, Runnable work) {
        Lift lift = part.set.lift();
        RealVector standing = unknowns.slope(kin.derivativesOfStanding(lift, 1));
        double before = model.standing(lift);
        double variance = unknowns.varianceOf(standing);
        work.run();
        part.moved += model.standing(lift) - before;
        part.surer += Math.log(variance / unknowns.varianceOf(standing));
    }

    /** Nothing was known of the family: a set that speaks for a max begins it, with much doubt. */
    private boolean beginsWith(LiftedSet set) {
        Optional<RepsInAll> inAll = set.repsThatEstimate();
        inAll.ifPresent(reps -> begin(
                set.lift(),
                Math.log(StrengthFilter.kg(set.load())
                        * (1 + new CurveShape(CurveShape.USUAL_STEEPNESS, 1).over(reps.halves() / 2.0))),
                DOUBT_OF_FIRST));
        return inAll.isPresent();
    }

    /** The first set of a set-up that tells a max says more of its ratio than any guess, however far it lies from that. */
    private void beginApart(Circumstances under, LiftedSet set) {
        double share = SetUpStart.share(under.setUp());
        double doubt = SetUpStart.doubt(under.setUp());
        boolean tells = set.cleanReps() == set.reps()
                && set.ratingOnRecord().filter(Rpe::estimates).isPresent();
        if (tells) {
            Circumstances asPlain =
                    new Circumstances(under.lift(), SetUp.PLAIN, under.tired(), under.setsBefore(), under.primed());
            double told = Math.log(speaksFor(asPlain, set)) - model.standing(under.lift());
            double noise = DOUBT_OF_FIRST_APART * DOUBT_OF_FIRST_APART
                    + unknowns.varianceOf(unknowns.slope(kin.derivativesOfStanding(under.lift(), 1)));
            double gain = doubt * doubt / (doubt * doubt + noise);
            unknowns.add(under.apart(), share + gain * (told - share), doubt * Math.sqrt(1 - gain));
            made.add(new Made(under, new Part(set)));
        } else {
            unknowns.add(under.apart(), share, doubt);
            observe(under, new Part(set));
        }
    }

    private Circumstances circumstances(Lift root, LiftedSet set, SetUp setUp) {
        double single = heaviestSingle.getOrDefault(root, 0.0);
        boolean heavy = single >= HEAVY * Math.exp(model.standing(set.lift()));
        return new Circumstances(
                set.lift(),
                setUp,
                trained.get(root).tired(),
                setsDone.getOrDefault(root, 0),
                heavy && StrengthFilter.kg(set.load()) <= LIGHTER * single);
    }

    private void observe(Circumstances under, Part part) {
        LiftedSet set = part.set;
        if (set.cleanReps() < set.reps()) {
            // what was helped or broken is no miss either: only that so many could be done
            made.add(new Made(under, part));
            return;
        }
        if (set.provesTheLimit()) {
            bound(under, set, new Bounds(set.reps() == 0 ? -BEYOND : set.reps(), set.reps() + 1));
            if (set.made()) {
                limits.add(new Made(under, part));
            }
            return;
        }
        if (set.effort().isMissed()) {
            return;
        }
        if (isEasy(set)) {
            easy.add(new Made(under, part));
        } else {
            rating(under, set);
        }
        made.add(new Made(under, part));
    }

    private static boolean isEasy(LiftedSet set) {
        return set.effort().isMoreThanFourLeft()
                || set.ratingOnRecord().filter(rpe -> !rpe.estimates()).isPresent();
    }

    /** A set of which every repetition was made. */
    private record Made(Circumstances under, Part part) {

        LiftedSet set() {
            return part.set;
        }

        /** Of the lift itself, as it is usually done. */
        private boolean isOf(Lift lift) {
            return under.setUp().isPlain() && set().lift().equals(lift);
        }
    }

    /**
     * What was made could be done, and what was easy left some. Sets of a day hang on the same unknowns, so that each after the first would
     * count again what the first told: of each family of lifts the set that was least to be expected is used.
     */
    private void boundByWhatWasMade() {
        leastExpected(easy)
                .forEach(one ->
                        tells(one.part, () -> boundRating(one.under, said(one.under, one.set()), Bounds.above(EASY))));
        leastExpected(made)
                .forEach(one -> tells(
                        one.part,
                        () -> bound(one.under, one.set(), Bounds.above(one.set().cleanReps()))));
    }

    private Collection<Made> leastExpected(List<Made> sets) {
        Map<Object, Made> least = new LinkedHashMap<>();
        for (Made one : sets) {
            Object ofOneKind = one.under.setUp().isPlain() ? kin.root(one.set().lift()) : one.under.apart();
            least.merge(ofOneKind, one, (a, b) -> spreadsToSpare(b) < spreadsToSpare(a) ? b : a);
        }
        return least.values();
    }

    private double spreadsToSpare(Made one) {
        SetModel.CanDo can = canDo(one.under, one.set());
        double variance = unknowns.varianceOf(unknowns.slope(can.derivatives())) + DOUBT_OF_REPS * DOUBT_OF_REPS;
        return (can.reps() - one.set().cleanReps()) / Math.sqrt(variance);
    }

    private SetModel.CanDo canDo(Circumstances under, LiftedSet set) {
        return model.canDo(under, StrengthFilter.kg(set.load()), set.reps() > 1);
    }

    /** The repetitions that could be done lay within bounds, whatever anybody says. */
    private void bound(Circumstances under, LiftedSet set, Bounds bounds) {
        if (!without.contains(Ingredient.BOUNDS)) {
            SetModel.CanDo can = canDo(under, set);
            unknowns.bound(
                    unknowns.slope(can.derivatives()),
                    can.reps(),
                    DOUBT_OF_REPS * DOUBT_OF_REPS,
                    bounds,
                    set.details().proof().isPresent() ? HARDLY_EVER : SELDOM,
                    alone(under));
        }
    }

    private RatingModel.Said said(Circumstances under, LiftedSet set) {
        return ratings.of(under, StrengthFilter.kg(set.load()), set.reps());
    }

    private void rating(Circumstances under, LiftedSet set) {
        set.ratingOnRecord().ifPresent(rated -> {
            RatingModel.Said said = said(under, set);
            if (rated.equals(Rpe.LIMIT)) {
                boundRating(under, said, Bounds.below(NOTHING_LEFT));
            } else {
                correct(under, said.slope(), rated.halvesLeft() / 2.0 - said.left(), said.noise());
            }
        });
    }

    private void boundRating(Circumstances under, RatingModel.Said said, Bounds bounds) {
        if (!without.contains(Ingredient.BOUNDS)) {
            unknowns.bound(said.slope(), said.left(), Math.min(MOST_NOISE, said.noise()), bounds, SELDOM, alone(under));
        }
    }

    /** A set-up apart learns its own ratio alone: it never feeds the plain lift, nor what is believed of ratings or the day. */
    private static Optional<Unknown> alone(Circumstances under) {
        return under.setUp().isPlain() ? Optional.empty() : Optional.of(under.apart());
    }

    private void correct(Circumstances under, RealVector slope, double innovation, double noise) {
        double off = innovation * innovation / (unknowns.varianceOf(slope) + noise);
        if (without.contains(Ingredient.ROBUST_WEIGHTS)) {
            unknowns.correct(slope, innovation, noise, alone(under));
        } else if (off < SLIP * SLIP) {
            unknowns.correct(slope, innovation, noise * (FREEDOM + off) / (FREEDOM + 1), alone(under));
        }
    }

    /**
     * What is beyond the most that a session may move a max by becomes doubt: the next session has its way if it agrees. What proves where the limit
     * was may move it as far as to what that would be on a good day, or on a bad one.
     */
    private void boundTheStep(Lift root, double before) {
        Unknown max = new Unknown.Max(root);
        double moved = unknowns.mean(max) - before;
        double usual = Math.max(MOST_STEP, Math.sqrt(unknowns.variance(max)));
        double most = Math.max(usual, moved > 0 ? provenAbove(root) - before : before - provenBelow(root));
        if (Math.abs(moved) > most && !without.contains(Ingredient.BOUNDED_STEP)) {
            double surplus = Math.abs(moved) - most;
            unknowns.shift(max, -Math.signum(moved) * surplus);
            unknowns.widen(max, max, surplus * surplus);
        }
    }

    /** What the singles that were made and the limits that were found in this session prove at least of a root itself, on a good day. */
    private double provenAbove(Lift root) {
        double singles = made.stream()
                .filter(one -> one.isOf(root) && one.set().reps() == 1)
                .mapToDouble(one -> StrengthFilter.kg(one.set().load()))
                .max()
                .orElse(0);
        return Math.log(Math.max(singles, limits(root).max().orElse(0))) - GOOD_DAY;
    }

    private double provenBelow(Lift root) {
        return Math.log(limits(root).max().orElse(Double.POSITIVE_INFINITY)) + GOOD_DAY;
    }

    /** What the sets to the limit speak for, in kg. */
    private DoubleStream limits(Lift root) {
        return limits.stream().filter(one -> one.isOf(root)).mapToDouble(one -> one.part.speaksFor);
    }

    private double speaksFor(Circumstances under, LiftedSet set) {
        double load = StrengthFilter.kg(set.load());
        double left = set.cleanReps() < set.reps()
                ? 0
                : set.ratingOnRecord()
                        .map(rpe -> rpe.halvesLeft() / 2.0)
                        .orElse(set.effort().isMoreThanFourLeft() ? EASY : 0.0);
        return model.speaksFor(under, load, set.reps() > 1, set.cleanReps() + left);
    }

    /** Warm-ups that told nothing are not shown; a rating that was taken for a slip is. */
    private static boolean isShown(Part part) {
        return part.surer > TELLING
                || part.set.effort().isMissed()
                || part.set.rating().isPresent();
    }

    private MaxEstimate.Movement movement(Lift lift, Told of) {
        StrengthFilter.Standing after = StrengthFilter.standing(unknowns, kin, lift);
        double whole =
                of.parts.stream().mapToDouble(part -> Math.max(0, part.surer)).sum();
        double scale = Math.exp(of.before);
        List<MaxEstimate.Contribution> contributions = of.parts.stream()
                .filter(SessionUpdate::isShown)
                .map(part -> new MaxEstimate.Contribution(
                        part.set,
                        StrengthFilter.mass(part.speaksFor),
                        Percent.ofShare(BigDecimal.valueOf(whole > 0 ? Math.max(0, part.surer) / whole : 0)),
                        StrengthFilter.mass(scale * part.moved)))
                .toList();
        return new MaxEstimate.Movement(date, StrengthFilter.mass(scale), after.max(), after.spread(), contributions);
    }
}
