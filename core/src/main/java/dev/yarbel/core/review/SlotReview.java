package dev.yarbel.core.review;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.progress.ShrinkingSteps;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.review.Mark.Place;
import dev.yarbel.core.session.Demand;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PredictedEffort;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.shape.Deload;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Looks one slot of a plan over: its lift, its doses, and the numbers they hang on. */
final class SlotReview {

    private static final Percent NEAR_THE_TOP = Percent.of(85);
    private static final int FRESH_WEEKS = 12;
    private static final Mass ONE_STEP = Mass.of("2.6", MassUnit.KG);
    private static final Mass TWO_STEPS = Mass.of("5.1", MassUnit.KG);

    private final Reviewed plan;

    SlotReview(Reviewed plan) {
        this.plan = plan;
    }

    /** Marks a slot of a day. */
    void look(int day, int index) {
        Slot slot = plan.slot(day, index);
        List<Integer> weeks = plan.weeksToCome(day, slot);
        if (weeks.isEmpty()) {
            return;
        }
        Place whole = new Place(day, index, weeks.get(0), weeks.get(weeks.size() - 1));
        Lift lift = slot.lift();
        plan.known().aches().stream()
                .filter(ache -> ache.isLoadedBy(lift, plan.catalogue()))
                .forEach(ache -> plan.mark(Kind.ACHE, whole, lift, ache.place()));
        boolean loaded = weeks.stream()
                .anyMatch(week ->
                        !slot.doses().get(week).orElseThrow().first().work().isPreparation());
        if (loaded && plan.resolver().kit(lift).isEmpty()) {
            plan.mark(Kind.KIT_GONE, whole, lift);
        }
        if (isVariation(lift)
                && slot.reason().isEmpty()
                && weeks.stream().noneMatch(week -> slot.doses().get(week).orElseThrow().parts().stream()
                        .anyMatch(part -> part.details().reason().isPresent()))) {
            plan.mark(Kind.NO_REASON, whole, lift);
        }
        gates(day, index, slot, weeks);
        aboveMax(day, index, slot, weeks);
        aboveMaxWithBands(day, index, slot, weeks);
        numbers(day, index, slot, weeks);
        growingStep(day, index, slot, weeks);
        beyondTheCurve(day, index, slot, weeks);
        farOff(day, index, slot, weeks);
        leftOutOfDeload(day, index, slot);
    }

    private void beyondTheCurve(int day, int index, Slot slot, List<Integer> weeks) {
        LiftNumbers numbers = plan.resolver().numbers(slot.lift());
        if (isPartial(slot.lift()) && numbers.estimateThrough().isPresent()) {
            return;
        }
        for (int week : weeks) {
            List<PrescribedSets> asked = plan.projection().prescriptions(day, week);
            List<ResolvedLoad> loads = plan.projection().loads(day, week);
            long ahead = Math.max(
                    0,
                    ChronoUnit.WEEKS.between(plan.known().today(), plan.block().date(day, week)));
            for (int i = 0; i < asked.size(); i++) {
                Part part = asked.get(i).part();
                // what rounding adds is the coach's rule
                Optional<Mass> load = loads.get(i)
                        .known()
                        .map(known -> Mass.min(known.fit().asked(), known.fit().load()));
                if (asked.get(i).letter().equals(slot.letter())
                        && isHeldToTheCurve(part)
                        && load.isPresent()
                        && PredictedEffort.isBeyondReach(asked.get(i), load.get(), numbers)
                        && PredictedEffort.isBeyondReach(asked.get(i), load.get(), numbers.in((int) ahead))) {
                    plan.mark(
                            Kind.BEYOND_CURVE, new Place(day, index, week, week), slot.lift(), load.get(), part.reps());
                    break;
                }
            }
        }
    }

    /**
     * What hangs on the last time meets its wall, what hangs on a goal its pace; over the max is marked as such, and a goal
     * in so many minutes is kept until it is made.
     */
    private static boolean isHeldToTheCurve(Part part) {
        boolean ofItsOwn = part.is(SetModifier.PARTIAL)
                || part.is(SetModifier.LOWERING)
                || part.is(SetModifier.ASSISTED)
                || part.work().density().isPresent();
        boolean share = part.basis()
                .share()
                .filter(of -> of.of().isMax()
                        && of.of() != Reference.Named.GOAL
                        && !of.most().isGreaterThan(Percent.HUNDRED))
                .isPresent();
        return !ofItsOwn && (share || part.basis().written().isPresent());
    }

    /** A load in figures that is rather one in the other unit, or far over the max. */
    private void farOff(int day, int index, Slot slot, List<Integer> weeks) {
        LiftNumbers numbers = plan.resolver().numbers(slot.lift());
        Optional<Mass> max = numbers.estimate().or(numbers::workingMax);
        for (int week : weeks) {
            for (Part part : slot.doses().get(week).orElseThrow().parts()) {
                boolean plain = part.changing().isEmpty() && part.work().countsReps() && !part.is(SetModifier.SPEED);
                Optional<Mass> written = part.basis().written();
                if (max.isPresent() && plain && written.isPresent()) {
                    Mass likely = numbers.curve().load(max.get(), part.reps(), Rpe.of(8));
                    if (UnitSlip.isSuspected(written.get(), likely)
                            || FarOff.load(written.get(), Optional.empty(), max).isPresent()) {
                        plan.mark(
                                Kind.LOAD_FAR_OFF,
                                new Place(day, index, week, week),
                                slot.lift(),
                                written.get(),
                                likely);
                    }
                }
            }
        }
    }

    /** In a deload that leaves other work standing, a slot is empty for want of a lighter form of its dose. */
    private void leftOutOfDeload(int day, int index, Slot slot) {
        for (int week = 1; week < plan.block().weeks(); week++) {
            Optional<Dose> before = slot.doses().get(week - 1);
            if (plan.block().shape().get(week).deload()
                    && slot.doses().get(week).isEmpty()
                    && !plan.block().isGap(week)
                    && before.filter(dose -> !Deload.canLighten(dose)).isPresent()) {
                plan.mark(Kind.LEFT_OUT_OF_DELOAD, new Place(day, index, week, week), slot.lift());
            }
        }
    }

    /** Whether somebody should say why it is there: it is neither contested nor a root that stands for itself. */
    private boolean isVariation(Lift lift) {
        return plan.catalogue().of(lift).parent().isPresent()
                && !plan.catalogue().of(lift).contest();
    }

    private void gates(int day, int index, Slot slot, List<Integer> weeks) {
        Map<Gate, List<Integer>> gated = new LinkedHashMap<>();
        for (int week : weeks) {
            for (Gate gate : Gate.before(
                    plan.catalogue().root(slot.lift()),
                    slot.doses().get(week).orElseThrow(),
                    plan.resolver().numbers(slot.lift()).estimate())) {
                gated.computeIfAbsent(gate, g -> new ArrayList<>()).add(week);
            }
        }
        gated.forEach((gate, in) -> {
            boolean open = plan.known().confirmed(day, index).contains(gate);
            plan.mark(Kind.GATED, new Place(day, index, in.get(0), in.get(in.size() - 1)), slot.lift(), gate, open);
        });
    }

    private void aboveMax(int day, int index, Slot slot, List<Integer> weeks) {
        for (int week : weeks) {
            for (Part part : slot.doses().get(week).orElseThrow().parts()) {
                if (part.changing().isPresent()) {
                    continue;
                }
                if (part.basis().isAboveMax()
                        && !part.is(SetModifier.PARTIAL)
                        && !part.is(SetModifier.LOWERING)
                        && !isPartial(slot.lift())
                        && !part.basis().isShareOf(Reference.Named.GOAL)) {
                    plan.mark(
                            Kind.ABOVE_MAX,
                            new Place(day, index, week, week),
                            slot.lift(),
                            part.basis().share().orElseThrow().most());
                }
            }
        }
    }

    /** With chains or bands, what is held at the bottom or the top counts, not what stands on the bar. */
    private void aboveMaxWithBands(int day, int index, Slot slot, List<Integer> weeks) {
        Optional<Mass> max = plan.resolver().numbers(slot.lift()).estimate();
        for (int week : weeks) {
            List<Part> parts = slot.doses().get(week).orElseThrow().parts();
            List<ResolvedLoad> loads = plan.loadsOf(day, slot, week);
            for (int i = 0; i < Math.min(parts.size(), loads.size()); i++) {
                Part part = parts.get(i);
                boolean asked =
                        part.changing().isPresent() && !part.is(SetModifier.PARTIAL) && !part.is(SetModifier.LOWERING);
                Optional<Mass> plain =
                        loads.get(i).load().map(Demand.of(part, plan.resolver().numbers(slot.lift()))::plain);
                if (asked
                        && max.isPresent()
                        && plain.filter(max.get()::isLessThan).isPresent()) {
                    plan.mark(
                            Kind.ABOVE_MAX,
                            new Place(day, index, week, week),
                            slot.lift(),
                            plain.get().percentOf(max.get()));
                }
            }
        }
    }

    private boolean isPartial(Lift lift) {
        return plan.catalogue()
                .of(lift)
                .parent()
                .filter(ratio -> ratio.share().isGreaterThan(Percent.HUNDRED))
                .isPresent();
    }

    private void numbers(int day, int index, Slot slot, List<Integer> weeks) {
        Optional<Integer> missing = weeks.stream()
                .filter(week -> plan.loadsOf(day, slot, week).stream()
                        .anyMatch(load ->
                                load.missing().filter(SlotReview::isMissing).isPresent()))
                .findFirst();
        missing.ifPresent(week -> plan.mark(
                Kind.NUMBER_MISSING,
                new Place(day, index, week, weeks.get(weeks.size() - 1)),
                slot.lift(),
                plan.loadsOf(day, slot, week).stream()
                        .flatMap(load -> load.missing().stream())
                        .filter(SlotReview::isMissing)
                        .findFirst()
                        .orElseThrow()));
        boolean hangsOnMax = weeks.stream().anyMatch(week -> slot.doses().get(week).orElseThrow().parts().stream()
                .flatMap(part -> part.basis().share().stream())
                .anyMatch(share -> share.of().isMax() && share.of() != Reference.Named.GOAL));
        if (hangsOnMax && missing.isEmpty()) {
            plan.known()
                    .lastSeen(slot.lift())
                    .map(seen -> ChronoUnit.WEEKS.between(seen, plan.known().today()))
                    .filter(old -> old > FRESH_WEEKS)
                    .ifPresent(old -> plan.mark(
                            Kind.STALE_MAX,
                            new Place(day, index, weeks.get(0), weeks.get(weeks.size() - 1)),
                            slot.lift(),
                            old));
        }
        goalPace(day, index, slot, weeks);
    }

    private static boolean isMissing(ResolvedLoad.Why why) {
        return switch (why) {
            case NO_WORKING_MAX, NO_CONTEST_MAX, NO_GOAL, NO_REP_MAX, NO_BODY_MASS, NO_EVENT_LOAD, NO_OTHER_MAX -> true;
            default -> false;
        };
    }

    private void goalPace(int day, int index, Slot slot, List<Integer> weeks) {
        boolean hangsOnGoal = weeks.stream().anyMatch(week -> slot.doses().get(week).orElseThrow().parts().stream()
                .anyMatch(part -> part.basis().isShareOf(Reference.Named.GOAL) && !part.is(SetModifier.SPEED)));
        LiftNumbers numbers = plan.resolver().numbers(slot.lift());
        if (!hangsOnGoal
                || numbers.estimate().isEmpty()
                || numbers.references().goal().isEmpty()) {
            return;
        }
        Mass asked = numbers.references().goal().get().minus(numbers.estimate().get());
        long weeksLeft = Math.max(
                1,
                ChronoUnit.WEEKS.between(
                        plan.known().today(), plan.block().end().plusDays(1)));
        Mass shown = plan.known().gainAWeek(slot.lift()).orElse(Mass.ZERO).times(weeksLeft);
        if (asked.isPositive() && asked.isGreaterThan(Mass.max(Mass.ZERO, shown))) {
            plan.mark(
                    Kind.GOAL_PACE,
                    new Place(day, index, weeks.get(0), weeks.get(weeks.size() - 1)),
                    slot.lift(),
                    asked,
                    Mass.max(Mass.ZERO, shown),
                    weeksLeft);
        }
    }

    /** Whether a step grew by no more than passing a round number costs: two of the smallest steps, beside one. */
    private boolean isMadeByAMilestone(Slot slot, LoadBasis.Share share, Percent before, Percent growth) {
        return plan.resolver()
                .numbers(slot.lift())
                .of(share.of())
                .filter(whole -> !whole.times(growth).isGreaterThan(TWO_STEPS))
                .filter(whole -> hasMilestone(whole.times(before), whole.times(share.percent())))
                .isPresent();
    }

    private boolean hasMilestone(Mass from, Mass to) {
        Mass round = plan.known().unit() == MassUnit.KG ? Mass.ofKg(50) : Mass.ofLb(100);
        for (Mass at = round; !at.isGreaterThan(to.plus(ONE_STEP)); at = at.plus(round)) {
            if (at.isGreaterThan(from.minus(TWO_STEPS))) {
                return true;
            }
        }
        return false;
    }

    private void growingStep(int day, int index, Slot slot, List<Integer> weeks) {
        Percent before = null;
        Percent step = null;
        Reference reference = null;
        for (int week : weeks) {
            Dose dose = slot.doses().get(week).orElseThrow();
            Optional<LoadBasis.Share> asked = dose.first().basis().share();
            if (plan.block().shape().get(week).deload()
                    || asked.isEmpty()
                    || dose.first().is(SetModifier.SPEED)) {
                before = null;
                step = null;
                continue;
            }
            LoadBasis.Share share = asked.get();
            // a phase begins anew
            boolean anew = week > 0
                    && plan.block().shape().get(week).phase()
                            != plan.block().shape().get(week - 1).phase();
            if (!Objects.equals(reference, share.of()) || anew) {
                before = null;
                step = null;
            }
            Percent now = before == null ? null : share.percent().minus(before);
            boolean shaped = ContestReview.isShaped(plan, plan.block().date(day, week));
            if (now != null && now.isGreaterThan(ShrinkingSteps.LARGEST_STEP) && !shaped) {
                plan.mark(Kind.LARGE_STEP, new Place(day, index, week, week), slot.lift(), now, before);
            }
            if (now != null
                    && step != null
                    && now.isGreaterThan(step)
                    && step.compareTo(Percent.ZERO) > 0
                    && !shaped
                    && !isMadeByAMilestone(slot, share, before, now.minus(step))
                    && !share.percent().isLessThan(NEAR_THE_TOP)) {
                plan.mark(Kind.GROWING_STEP, new Place(day, index, week, week), slot.lift(), now, step);
            }
            step = now;
            before = share.percent();
            reference = share.of();
        }
    }
}
