package dev.yarbel.core.session;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.progress.LastSession;
import dev.yarbel.core.progress.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Works out what doses come to for one lifter with the kit at hand. */
public final class Resolver {

    private final Catalogue catalogue;
    private final KitInUse kit;
    private final Rounding rounding;
    private final Numbers numbers;

    /**
     * @param kit what the lifter has at hand
     * @param rounding the coach's rule for loads that cannot be made exactly
     * @param numbers what loads of each lift can hang on today
     */
    public Resolver(KitInUse kit, Rounding rounding, Numbers numbers) {
        this(Catalogue.STANDARD, kit, rounding, numbers);
    }

    /** The same for a club with lifts of its own. */
    public Resolver(Catalogue catalogue, KitInUse kit, Rounding rounding, Numbers numbers) {
        this.catalogue = catalogue;
        this.kit = kit;
        this.rounding = rounding;
        this.numbers = numbers;
    }

    /** What a lift is done with here; empty when nothing is made for it. */
    public Optional<AvailableLoads> kit(Lift lift) {
        return kit.forLift(lift);
    }

    public Catalogue catalogue() {
        return catalogue;
    }

    public Rounding rounding() {
        return rounding;
    }

    /** What is known of a lift. */
    public LiftNumbers numbers(Lift lift) {
        return numbers.of(lift);
    }

    /** The same lifter with another kit at hand. */
    public Resolver with(KitInUse other) {
        return new Resolver(catalogue, other, rounding, numbers);
    }

    /** The same lifter and kit with other numbers for one lift. */
    public Resolver with(Lift lift, UnaryOperator<LiftNumbers> change) {
        return new Resolver(catalogue, kit, rounding, numbers.with(lift, change));
    }

    /** What a day's doses come to before anything was lifted, one for each. */
    public List<ResolvedLoad> resolve(List<PrescribedSets> day) {
        return resolve(day, List.of());
    }

    /**
     * What a day's doses come to with what was lifted so far, one for each.
     *
     * <p>A percentage below the top hangs on the nearest top set of the same lift above it. Once that was lifted, it hangs
     * on what was really lifted, whatever had been planned; where the top was missed, on the last set of the lift that was
     * made, a warm-up included.
     *
     * @param done today's sets in the order they were lifted
     */
    public List<ResolvedLoad> resolve(List<PrescribedSets> day, List<DoneSet> done) {
        List<ResolvedLoad> loads = new ArrayList<>(day.size());
        for (int i = 0; i < day.size(); i++) {
            PrescribedSets prescription = day.get(i);
            LoadBasis basis = prescription.part().basis();
            ResolvedLoad load =
                    basis.hangsOnTop() ? belowTop(day, i, keptOf(basis), loads, done) : standing(prescription, basis);
            loads.add(inFull(prescription, load, done));
        }
        return loads;
    }

    /** The share of the top that is kept. */
    private static Percent keptOf(LoadBasis basis) {
        return basis.belowTop()
                .map(below -> Percent.HUNDRED.minus(below.drop()))
                .orElseGet(() -> basis.share().orElseThrow().percent());
    }

    private ResolvedLoad standing(PrescribedSets prescription, LoadBasis basis) {
        Optional<AskedDay.Stood> stood =
                prescription.stood().filter(then -> then.load().isPresent());
        if (stood.isPresent()) {
            return fit(
                    prescription.lift(),
                    stood.get().load().orElseThrow(),
                    new ResolvedLoad.Origin.AsItStood(stood.get().about()));
        }
        return basis.accept(new ByBasis(prescription));
    }

    /** What a load comes to that hangs on no other set of the day. */
    private final class ByBasis implements LoadBasis.Visitor<ResolvedLoad> {

        private final PrescribedSets prescription;

        private ByBasis(PrescribedSets prescription) {
            this.prescription = prescription;
        }

        @Override
        public ResolvedLoad atRpe(LoadBasis.AtRpe at) {
            return atRating(prescription, at);
        }

        @Override
        public ResolvedLoad share(LoadBasis.Share share) {
            return Resolver.this.share(prescription, share);
        }

        @Override
        public ResolvedLoad belowTop(LoadBasis.BelowTop below) {
            return unknown(ResolvedLoad.Why.TOP_UNKNOWN);
        }

        @Override
        public ResolvedLoad fixed(LoadBasis.Fixed fixed) {
            return fit(
                    prescription.lift(),
                    onTheBar(prescription.part().changing(), fixed.load(), AccommodatingResistance.End.BAR),
                    new ResolvedLoad.Origin.AsWritten());
        }

        @Override
        public ResolvedLoad bodyMassPlus(LoadBasis.BodyMassPlus plus) {
            return bodyAnd(prescription, plus);
        }

        @Override
        public ResolvedLoad lastTime(LoadBasis.LastTime last) {
            return Resolver.this.lastTime(prescription);
        }

        @Override
        public ResolvedLoad atSpeed(LoadBasis.AtSpeed at) {
            return numbers(prescription.lift())
                    .references()
                    .speeds()
                    .filter(table -> !table.isThin())
                    .map(table -> table.rating(at.speed())
                            .map(rating -> atRating(prescription, new LoadBasis.AtRpe(rating)))
                            .orElseGet(() -> unlessClimb(ResolvedLoad.Why.BEYOND_SPEED_TABLE)))
                    .orElseGet(() -> unlessClimb(ResolvedLoad.Why.NO_SPEED_TABLE));
        }

        @Override
        public ResolvedLoad byFeel(LoadBasis.ByFeel byFeel) {
            return unlessClimb(ResolvedLoad.Why.BY_FEEL);
        }

        private ResolvedLoad unlessClimb(ResolvedLoad.Why why) {
            Optional<Rpe> until = prescription.part().work().climbsTo();
            if (until.isEmpty()) {
                return unknown(why);
            }
            return numbers(prescription.lift()).estimate().isPresent()
                    ? atRating(prescription, new LoadBasis.AtRpe(until.get()))
                    : Resolver.this.lastTime(prescription);
        }
    }

    private ResolvedLoad atRating(PrescribedSets prescription, LoadBasis.AtRpe at) {
        LiftNumbers known = numbers(prescription.lift());
        Part part = prescription.part();
        Demand demand = Demand.of(prescription, known);
        Percent share = known.curve().share(demand.inAll(part, at.least()));
        Optional<Mass> best = known.ownBest(part);
        if (best.isPresent()) {
            Percent ofBest = share.times(demand.share());
            return fit(
                    prescription.lift(),
                    best.get().times(ofBest),
                    new ResolvedLoad.Origin.FromOwnBest(best.get(), ofBest, true));
        }
        return known.estimate()
                .map(estimate -> fit(
                        prescription.lift(),
                        demand.bar(estimate.times(share)),
                        new ResolvedLoad.Origin.FromEstimate(estimate, share.times(demand.share()))))
                .orElse(unknown(ResolvedLoad.Why.NO_ESTIMATE));
    }

    private ResolvedLoad share(PrescribedSets prescription, LoadBasis.Share share) {
        Lift lift = prescription.lift();
        LiftNumbers known = numbers(lift);
        // more than the max, lowered, hangs on today's estimate, never on a max that may be stale
        boolean overloaded = prescription.part().is(SetModifier.LOWERING)
                && share.of().isMax()
                && share.most().isGreaterThan(Percent.HUNDRED);
        Reference of = overloaded ? Reference.Named.ESTIMATE : share.of();
        Optional<AccommodatingResistance> changing = prescription.part().changing();
        Optional<Mass> best = known.ownBest(prescription.part())
                .filter(mass -> of.isMax()
                        && changing.flatMap(AccommodatingResistance::at).isEmpty());
        if (best.isPresent()) {
            return fit(
                    lift,
                    best.get().times(share.percent()),
                    new ResolvedLoad.Origin.FromOwnBest(best.get(), share.percent(), false));
        }
        return of.accept(new ShareOf(prescription, share, of));
    }

    /** A share of one of the lifter's numbers. */
    private final class ShareOf implements Reference.Visitor<ResolvedLoad> {

        private final PrescribedSets prescription;
        private final LoadBasis.Share share;
        private final Reference of;
        private final LiftNumbers known;

        private ShareOf(PrescribedSets prescription, LoadBasis.Share share, Reference of) {
            this.prescription = prescription;
            this.share = share;
            this.of = of;
            this.known = numbers(prescription.lift());
        }

        @Override
        public ResolvedLoad named(Reference.Named named) {
            return switch (named) {
                case WORKING -> ofWorkingMax();
                case CONTEST -> of(known.references().contest(), ResolvedLoad.Why.NO_CONTEST_MAX);
                case ESTIMATE -> of(known.estimate(), ResolvedLoad.Why.NO_ESTIMATE);
                case GOAL -> of(known.references().goal(), ResolvedLoad.Why.NO_GOAL);
                case BODY_MASS ->
                    hangsFromTheBody(prescription.lift())
                            ? onTheBelt(prescription.lift(), share)
                            : of(numbers.bodyMass(), ResolvedLoad.Why.NO_BODY_MASS);
                case EVENT -> of(known.references().event(), ResolvedLoad.Why.NO_EVENT_LOAD);
                case LAST -> ofLast();
                case TOP -> throw new IllegalStateException("what hangs on the day's top is looked up beside it");
            };
        }

        @Override
        public ResolvedLoad repMax(Reference.RepMax repMax) {
            return of(known.repMax(repMax.reps()), ResolvedLoad.Why.NO_REP_MAX);
        }

        @Override
        public ResolvedLoad other(Reference.Other other) {
            return of(numbers(other.lift()).workingMax(), ResolvedLoad.Why.NO_OTHER_MAX);
        }

        private ResolvedLoad of(Optional<Mass> whole, ResolvedLoad.Why missing) {
            return part(prescription, share, of, whole, missing);
        }

        private ResolvedLoad ofLast() {
            return lastSession(prescription)
                    .map(last -> fit(
                            prescription.lift(),
                            last.load().times(share.percent()),
                            new ResolvedLoad.Origin.ShareOfLast(last.load(), share.percent(), last.ahead())))
                    .orElse(unknown(ResolvedLoad.Why.NO_LAST_TIME));
        }

        private ResolvedLoad ofWorkingMax() {
            Optional<AccommodatingResistance> changing = prescription.part().changing();
            return known.workingMax()
                    .map(max -> fit(
                            prescription.lift(),
                            onTheBar(changing, max.times(share.percent()), AccommodatingResistance.End.TOP),
                            new ResolvedLoad.Origin.FromWorkingMax(max, share.percent())))
                    .orElse(unknown(ResolvedLoad.Why.NO_WORKING_MAX));
        }
    }

    /** Whether the lifter's own body is what is lifted, and a load is what hangs on the belt. */
    private boolean hangsFromTheBody(Lift lift) {
        return catalogue.of(lift).implement() == Implement.BODY;
    }

    private ResolvedLoad onTheBelt(Lift lift, LoadBasis.Share share) {
        if (!share.percent().isGreaterThan(Percent.HUNDRED)) {
            return unknown(ResolvedLoad.Why.BY_FEEL);
        }
        return numbers.bodyMass()
                .map(body -> fit(
                        lift,
                        body.times(share.percent().minus(Percent.HUNDRED)),
                        new ResolvedLoad.Origin.FromReference(share.of(), body, share.percent())))
                .orElse(unknown(ResolvedLoad.Why.NO_BODY_MASS));
    }

    private ResolvedLoad bodyAnd(PrescribedSets prescription, LoadBasis.BodyMassPlus plus) {
        ResolvedLoad.Origin origin = new ResolvedLoad.Origin.AsWritten();
        if (hangsFromTheBody(prescription.lift())) {
            return fit(prescription.lift(), plus.more(), origin);
        }
        return numbers.bodyMass()
                .map(body -> fit(prescription.lift(), body.plus(plus.more()), origin))
                .orElse(unknown(ResolvedLoad.Why.NO_BODY_MASS));
    }

    private ResolvedLoad part(
            PrescribedSets prescription,
            LoadBasis.Share share,
            Reference of,
            Optional<Mass> whole,
            ResolvedLoad.Why missing) {
        return whole.map(mass -> fit(
                        prescription.lift(),
                        onTheBar(
                                prescription.part().changing(),
                                mass.times(share.percent()),
                                AccommodatingResistance.End.TOP),
                        new ResolvedLoad.Origin.FromReference(of, mass, share.percent())))
                .orElse(unknown(missing));
    }

    /** What has to be on the bar for a load as it is meant: where the dose says, else at the end given. */
    private static Mass onTheBar(
            Optional<AccommodatingResistance> changing, Mass meant, AccommodatingResistance.End usual) {
        return changing.map(c -> Mass.max(Mass.ZERO, c.barFor(meant, c.at().orElse(usual))))
                .orElse(meant);
    }

    private ResolvedLoad lastTime(PrescribedSets prescription) {
        return lastSession(prescription)
                .map(session -> afterLast(prescription, session.next(prescription.part()), session.ahead()))
                .orElse(unknown(ResolvedLoad.Why.NO_LAST_TIME));
    }

    private Optional<LastSession> lastSession(PrescribedSets prescription) {
        return prescription
                .before()
                .or(() -> numbers(prescription.lift()).references().lastTime(prescription.part()));
    }

    /** A step that was earned goes up by one step of the gym at least, else a step smaller than that would never come. */
    private ResolvedLoad afterLast(PrescribedSets prescription, Step step, boolean ahead) {
        ResolvedLoad.Origin origin = new ResolvedLoad.Origin.AfterLastTime(step, ahead);
        Mass asked = step.run().load();
        Mass before = step.before();
        Optional<Mass> least = kit(prescription.lift())
                .filter(loads -> step.isEarned()
                        && asked.isGreaterThan(before)
                        && !loads.round(asked, rounding).isGreaterThan(before))
                .map(loads -> loads.round(before.plus(loads.stepAt(before)), Rounding.DOWN));
        return fit(prescription.lift(), least.orElse(asked), origin);
    }

    /** The upper end of a range, from the load of its lower end. */
    private Optional<Mass> upperEnd(PrescribedSets prescription, Mass asked) {
        LoadBasis basis = prescription.part().basis();
        if (basis.share().isPresent()) {
            LoadBasis.Share share = basis.share().get();
            return share.most().isGreaterThan(share.percent())
                    ? Optional.of(asked.asShareOf(share.percent()).times(share.most()))
                    : Optional.empty();
        }
        if (basis.belowTop().isPresent()) {
            LoadBasis.BelowTop below = basis.belowTop().get();
            return below.most().isGreaterThan(below.drop())
                    ? Optional.of(asked.asShareOf(keptOf(below)).times(Percent.HUNDRED.minus(below.most())))
                    : Optional.empty();
        }
        if (basis.rating().equals(basis.leastRating())) {
            return Optional.empty();
        }
        LiftNumbers known = numbers(prescription.lift());
        Demand demand = Demand.of(prescription, known);
        Percent least = known.curve()
                .share(demand.inAll(prescription.part(), basis.leastRating().orElseThrow()));
        Percent most = known.curve()
                .share(demand.inAll(prescription.part(), basis.rating().orElseThrow()));
        return Optional.of(asked.asShareOf(least).times(most));
    }

    /** Adds what a range or sets that drop one from the other come to. */
    private ResolvedLoad inFull(PrescribedSets prescription, ResolvedLoad load, List<DoneSet> done) {
        return load.known().map(known -> inFull(prescription, known, done)).orElse(load);
    }

    private ResolvedLoad inFull(PrescribedSets prescription, ResolvedLoad.Known known, List<DoneSet> done) {
        LoadBasis basis = prescription.part().basis();
        Lift lift = prescription.lift();
        Optional<LoadBasis.BelowTop> each = basis.belowTop().filter(LoadBasis.BelowTop::each);
        if (each.isPresent()) {
            return new ResolvedLoad.Known(
                    known.fit(), known.origin(), steps(prescription, known, each.get(), done), Optional.empty());
        }
        Optional<Mass> upTo = upperEnd(prescription, known.fit().asked());
        return new ResolvedLoad.Known(known.fit(), known.origin(), List.of(), upTo.flatMap(mass -> kit.forLift(lift)
                .map(loads -> loads.fit(mass, rounding))));
    }

    /** Each set's load from the one before it: as that one was lifted, once it was. */
    private List<Fit> steps(
            PrescribedSets prescription, ResolvedLoad.Known first, LoadBasis.BelowTop below, List<DoneSet> done) {
        List<Fit> steps = new ArrayList<>(List.of(first.fit()));
        AvailableLoads loads = kit.forLift(prescription.lift()).orElseThrow();
        while (steps.size() < prescription.sets()) {
            Fit before = steps.get(steps.size() - 1);
            TaskKey key = TaskKey.work(prescription.letter(), prescription.firstSet() + steps.size() - 1);
            Mass from = done.stream()
                    .filter(d -> d.task().equals(key) && d.set().lift().equals(prescription.lift()))
                    .map(d -> d.set().load())
                    .filter(lifted -> !lifted.equals(before.load()))
                    .findFirst()
                    .orElse(before.asked());
            steps.add(loads.fit(from.times(keptOf(below)), rounding));
        }
        return steps;
    }

    private static ResolvedLoad unknown(ResolvedLoad.Why why) {
        return new ResolvedLoad.Unknown(why);
    }

    private ResolvedLoad belowTop(
            List<PrescribedSets> day, int index, Percent kept, List<ResolvedLoad> above, List<DoneSet> done) {
        Optional<Integer> topIndex = topAbove(day, index);
        if (topIndex.isEmpty()) {
            return unknown(ResolvedLoad.Why.NO_TOP_ABOVE);
        }
        PrescribedSets top = day.get(topIndex.get());
        List<DoneSet> tops =
                done.stream().filter(d -> top.isAnsweredBy(d.task())).toList();
        if (!tops.isEmpty()) {
            return belowLifted(top, kept, tops, done);
        }
        ResolvedLoad planned = above.get(topIndex.get());
        return planned.load()
                .map(load -> fit(
                        top.lift(),
                        load.times(kept),
                        new ResolvedLoad.Origin.BelowPlannedTop(
                                top.letter(), load, Percent.HUNDRED.minus(kept), planned.isAbout())))
                .orElse(unknown(ResolvedLoad.Why.TOP_UNKNOWN));
    }

    private static Optional<Integer> topAbove(List<PrescribedSets> day, int index) {
        Lift own = day.get(index).lift();
        Lift topOf = day.get(index)
                .part()
                .basis()
                .belowTop()
                .flatMap(LoadBasis.BelowTop::of)
                .orElse(own);
        for (int i = index - 1; i >= 0; i--) {
            if (day.get(i).lift().equals(topOf) && day.get(i).part().isTop()) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    private ResolvedLoad belowLifted(PrescribedSets top, Percent kept, List<DoneSet> tops, List<DoneSet> done) {
        Optional<Mass> made = lastMade(top.lift(), tops);
        boolean missed = made.isEmpty();
        // a back-off of its own is no ground for the next one, or they would fall with each set
        List<DoneSet> upToTheTop = done.subList(0, done.lastIndexOf(tops.get(tops.size() - 1)));
        return made.or(() -> lastMade(top.lift(), upToTheTop))
                .map(load -> fit(
                        top.lift(),
                        load.times(kept),
                        new ResolvedLoad.Origin.BelowLiftedTop(
                                top.letter(), load, Percent.HUNDRED.minus(kept), missed)))
                .orElse(unknown(ResolvedLoad.Why.NOTHING_MADE));
    }

    private static Optional<Mass> lastMade(Lift lift, List<DoneSet> sets) {
        return sets.stream()
                .map(DoneSet::set)
                .filter(set -> set.made() && set.lift().equals(lift))
                .reduce((first, second) -> second)
                .map(set -> set.load());
    }

    private ResolvedLoad fit(Lift lift, Mass asked, ResolvedLoad.Origin origin) {
        return kit.forLift(lift)
                .<ResolvedLoad>map(loads -> new ResolvedLoad.Known(loads.fit(asked, rounding), origin))
                .orElse(new ResolvedLoad.Unknown(ResolvedLoad.Why.NO_KIT));
    }
}
