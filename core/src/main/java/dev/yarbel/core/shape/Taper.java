package dev.yarbel.core.shape;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Details;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.WithinReach;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Function;

/**
 * What the days around a contest make of their doses.
 *
 * <p>Over the last two weeks the volume is about halved with the load kept, assistance and variations go, and kit is worn as
 * on the day. The last heavy pull lies ten days out or more, the last full run of an event too, the last heavy squat seven,
 * the last heavy press five; from there the sessions are light, the last of them three days out. The week after the contest
 * is light. Nothing is trained on the last two days and on the day itself.
 *
 * <p>Pritchard et al. 2016 (J Strength Cond Res 30(7)) and Grgic & Mikulic 2017 (J Strength Cond Res 31(9)), surveys of
 * powerlifting champions: volume down by half and more, heaviest loads 8 to 13 days out, last session 3 to 4 days out
 * (values from memory); the days for each lift and for events are common practice, no source.
 *
 * @param contest the day
 * @param numbers what the loads of a lift hang on
 */
public record Taper(LocalDate contest, Catalogue catalogue, Function<Lift, LiftNumbers> numbers) {

    /** The days before the contest over which the volume comes down. */
    public static final int DAYS = 14;

    /** The days after it that are light. */
    public static final int LIGHT_AFTER = 6;

    /** The last session lies so many days out at least. */
    public static final int LAST_SESSION = 3;

    private static final int LAST_PULL = 10;
    private static final int LAST_RUN = 10;
    private static final int LAST_SQUAT = 7;
    private static final int LAST_PRESS = 5;

    private static final Percent LIGHT = Percent.of(75);
    private static final Percent LIGHTEST = Percent.of(65);
    private static final Percent LIGHT_RUN = Percent.of(60);
    private static final Percent OF_LAST = Percent.of(80);
    private static final Percent NEARLY_LAST = Percent.of(90);
    /** Sets of the last two weeks as a share of the two before them, up to which they count as shaped; ours. */
    public static final double SHAPED = 0.75;

    private static final int VERY_NEAR = 4;
    private static final int MOST_REPS = 3;
    private static final Length TEN_METRES = Length.ofCm(1000);
    private static final Rpe FROM_HEAVY = Rpe.of(7);
    private static final Percent HEAVY = Percent.of(80);

    /** Work that has no place near a contest in any form. */
    private static final Set<SetModifier> GONE =
            EnumSet.of(SetModifier.PARTIAL, SetModifier.LOWERING, SetModifier.ASSISTED);

    /** How many days out the last heavy work of a lift lies at least; empty for what is not contested. */
    public static Optional<Integer> lastHeavy(Lift lift, Catalogue catalogue) {
        if (!isContested(lift, catalogue)) {
            return Optional.empty();
        }
        Lift root = catalogue.root(lift);
        if (isEvent(catalogue.of(lift))) {
            return Optional.of(LAST_RUN);
        }
        if (root.equals(Lift.DEADLIFT)) {
            return Optional.of(LAST_PULL);
        }
        return Optional.of(root.equals(Lift.SQUAT) ? LAST_SQUAT : LAST_PRESS);
    }

    private static boolean isContested(Lift lift, Catalogue catalogue) {
        return catalogue.of(lift).contest()
                || catalogue.of(catalogue.root(lift)).contest();
    }

    /** Whether it is trained toward an announced load, in a strongman contest. */
    static boolean isEvent(Variation variation) {
        return switch (variation.implement()) {
            case AXLE, LOG, YOKE, FRAME, HANDLES, EVENT_DUMBBELL, STONE, SANDBAG, KEG -> true;
            default -> false;
        };
    }

    /** Days from a date to the contest; negative after it. */
    public int daysOut(LocalDate on) {
        return (int) ChronoUnit.DAYS.between(on, contest);
    }

    /** Whether a date lies where it shapes the doses. */
    public boolean shapes(LocalDate on) {
        int out = daysOut(on);
        return out <= DAYS && out >= -LIGHT_AFTER;
    }

    /**
     * What a dose becomes on a date.
     *
     * @param stands whether the lift stands for its family there, as nothing that is contested itself does
     */
    public Optional<Dose> of(Lift lift, Dose dose, LocalDate on, boolean stands) {
        int out = daysOut(on);
        if (!shapes(on) || dose.first().work().isPreparation()) {
            return out < LAST_SESSION && out >= 0 ? Optional.empty() : Optional.of(dose);
        }
        if (out >= 0 && out < LAST_SESSION) {
            return Optional.empty();
        }
        if (out < 0) {
            return afterwards(lift, dose, stands);
        }
        if (!isKept(lift, stands)) {
            return Optional.empty();
        }
        return out < lastHeavy(lift, catalogue).orElse(DAYS) ? light(dose, lift, out) : fewer(dose);
    }

    /** What a dose becomes in the light week after the contest. */
    public Optional<Dose> afterwards(Lift lift, Dose dose, boolean stands) {
        return isKept(lift, stands) ? light(dose, lift, -1) : Optional.empty();
    }

    private boolean isKept(Lift lift, boolean stands) {
        return catalogue.of(lift).contest() || stands && isContested(lift, catalogue);
    }

    // ---- half the volume, the load kept

    private static Optional<Dose> fewer(Dose dose) {
        List<Part> parts = new ArrayList<>();
        for (Part part : dose.parts()) {
            if (GONE.stream().noneMatch(part::is)) {
                parts.add(asOnTheDay(fewer(part)));
            }
        }
        return parts.isEmpty()
                        || parts.get(0).basis().hangsOnTop()
                                && !dose.first().basis().hangsOnTop()
                ? Optional.empty()
                : Optional.of(new Dose(parts));
    }

    /** Sets that a law drops hang on the last time instead, a little lighter as that may be missed: or they would come back. */
    private static Part fewer(Part part) {
        Part fewer = part.with(fewer(part.work()));
        return part.is(SetModifier.STAGES) && part.basis().goesOnFromLast()
                ? fewer.with(new LoadBasis.Share(Reference.Named.LAST, NEARLY_LAST))
                : fewer;
    }

    private static Work fewer(Work work) {
        Work fewer = HalfTheSets.of(work);
        return work.isToLimit()
                ? new Work.ToLimit(
                        fewer.sets(), new Work.Stop.At(stop(work.stop().orElseThrow())))
                : fewer;
    }

    private static Rpe stop(Work.Stop stop) {
        Rpe two = Rpe.of(8);
        return stop.rating().filter(rpe -> rpe.compareTo(two) < 0).orElse(two);
    }

    /** Kit is no longer left off. */
    private static Part asOnTheDay(Part part) {
        return part.with(part.details().withNothingLeftOff());
    }

    // ---- light

    private Optional<Dose> light(Dose dose, Lift lift, int out) {
        Part part = dose.first();
        if (GONE.stream().anyMatch(part::is) || part.basis().hangsOnTop()) {
            return Optional.empty();
        }
        int sets = Math.max(1, Math.min(out >= 0 && out <= VERY_NEAR ? 2 : 3, (dose.sets() + 1) / 2));
        return Optional.of(Dose.of(
                asOnTheDay(Part.of(part.work().accept(new LightWork(sets)), light(part, numbers.apply(lift), out))
                        .with(plain(part)))));
    }

    /** Without stages, which a light day must not move, and without rests and beats of heavier work. */
    private static Details plain(Part part) {
        return part.is(SetModifier.SPEED) ? Details.of(SetModifier.SPEED) : Details.NONE;
    }

    /** So many sets, light: three repetitions at most, ten metres, half the time. */
    private record LightWork(int sets) implements Work.Visitor<Work> {

        @Override
        public Work straight(Work.Straight straight) {
            return few(straight.reps());
        }

        @Override
        public Work toLimit(Work.ToLimit toLimit) {
            return few(MOST_REPS - 1);
        }

        @Override
        public Work climb(Work.Climb climb) {
            return few(MOST_REPS - 1);
        }

        @Override
        public Work clusters(Work.Clusters clusters) {
            return few(MOST_REPS - 1);
        }

        @Override
        public Work density(Work.Density density) {
            return few(density.reps());
        }

        @Override
        public Work until(Work.Until until) {
            return few(MOST_REPS - 1);
        }

        @Override
        public Work inAll(Work.InAll inAll) {
            return few(MOST_REPS - 1);
        }

        @Override
        public Work repsInTime(Work.RepsInTime repsInTime) {
            return few(MOST_REPS - 1);
        }

        @Override
        public Work hold(Work.Hold hold) {
            return new Work.Hold(sets, hold.time().dividedBy(2).plusSeconds(1));
        }

        @Override
        public Work carry(Work.Carry carry) {
            boolean shorter = carry.distance().isGreaterThan(TEN_METRES);
            return new Work.Carry(
                    sets,
                    shorter ? TEN_METRES : carry.distance(),
                    shorter ? LengthUnit.M : carry.unit(),
                    Optional.empty());
        }

        @Override
        public Work rounds(Work.Rounds rounds) {
            return few(MOST_REPS - 1);
        }

        @Override
        public Work preparation(Work.Preparation preparation) {
            return few(MOST_REPS - 1);
        }

        private Work few(int reps) {
            return Work.Straight.of(sets, Math.max(1, Math.min(MOST_REPS, reps)));
        }
    }

    private static LoadBasis light(Part part, LiftNumbers known, int out) {
        Percent most = out >= 0 && out <= VERY_NEAR ? LIGHTEST : LIGHT;
        LoadBasis basis = part.basis();
        if (basis.share().isPresent()) {
            LoadBasis.Share share = basis.share().get();
            // a goal is more than the max
            Percent limit =
                    share.of() == Reference.Named.EVENT || share.of() == Reference.Named.GOAL ? LIGHT_RUN : most;
            return new LoadBasis.Share(share.of(), share.percent().isGreaterThan(limit) ? limit : share.percent());
        }
        if (basis.goesOnFromLast()) {
            // a run may stand anywhere from 60 % up
            return known.workingMax().isPresent()
                    ? LoadBasis.ofWorkingMax(LIGHT_RUN)
                    : new LoadBasis.Share(Reference.Named.LAST, OF_LAST);
        }
        if (known.workingMax().isPresent()) {
            return LoadBasis.ofWorkingMax(most);
        }
        if (known.estimate().isPresent()) {
            return new LoadBasis.Share(Reference.Named.ESTIMATE, most);
        }
        if (basis.written().isPresent()) {
            return new LoadBasis.Fixed(
                    basis.written().get().times(OF_LAST), basis.unitWritten().orElseThrow());
        }
        return basis.rating().isPresent() || part.work().isClimb() ? new LoadBasis.AtRpe(Rpe.of(6)) : basis;
    }

    // ---- what is heavy

    /** Whether a dose is heavy work, as none should be so near a contest: from 80 % of the max up, or rated 7.5 and harder. */
    public static boolean isHeavy(Dose dose, LiftNumbers numbers) {
        return dose.parts().stream().anyMatch(part -> isHeavy(part, numbers));
    }

    private static boolean isHeavy(Part part, LiftNumbers numbers) {
        if (part.basis().rating().isPresent()) {
            return part.basis().rating().get().compareTo(FROM_HEAVY) > 0;
        }
        if (part.work().isToLimit() || part.work().isClimb()) {
            return true;
        }
        if (part.basis().isShareOf(Reference.Named.EVENT) || part.basis().isShareOfLast()) {
            return !part.percent().orElseThrow().isLessThan(HEAVY.plus(Percent.of(1)));
        }
        if (part.basis().goesOnFromLast()) {
            return true;
        }
        return WithinReach.load(part, numbers)
                .flatMap(load -> numbers.estimate().or(numbers::workingMax).map(load::percentOf))
                .filter(share -> !share.isLessThan(HEAVY))
                .isPresent();
    }

    // ---- days that were shaped already

    /** A dose of a day that was shaped before the contest moved a little: only what now stands too near to it changes. */
    private Optional<Dose> near(Lift lift, Dose dose, LocalDate on, boolean stands) {
        int out = daysOut(on);
        if (!shapes(on) || out < LAST_SESSION && out >= 0 || !isKept(lift, stands)) {
            return of(lift, dose, on, stands);
        }
        boolean tooNear = out < lastHeavy(lift, catalogue).orElse(DAYS);
        return tooNear && isHeavy(dose, numbers.apply(lift)) ? of(lift, dose, on, stands) : Optional.of(dose);
    }

    /** Whether a block leads to the contest and was shaped for it: its volume comes down, and nothing stands on the last days. */
    public boolean hasShaped(Block block) {
        int last = 0;
        int before = 0;
        for (int day = 0; day < block.days().size(); day++) {
            for (int week = 0; week < block.weeks(); week++) {
                int out = daysOut(block.date(day, week));
                int sets = 0;
                for (Slot slot : block.days().get(day).slots()) {
                    sets += slot.dose(week).map(Dose::sets).orElse(0);
                }
                if (sets > 0 && out >= 0 && out < LAST_SESSION) {
                    return false;
                }
                last += out >= 0 && out <= DAYS ? sets : 0;
                before += out > DAYS && out <= 2 * DAYS ? sets : 0;
            }
        }
        return block.contest().filter(contest::equals).isPresent() && last <= before * SHAPED;
    }

    // ---- a whole block

    /**
     * A block that was shaped for a contest which moved a little since: what stands too near to it now goes or becomes light, and nothing is
     * made less a second time.
     *
     * @param stays whether a day of a week, both from 0, is left as it is
     */
    public Block again(Block block, BiPredicate<Integer, Integer> stays) {
        return over(block, stays, this::near);
    }

    /**
     * A block with the weeks around the contest shaped for it; the week after it becomes a deload.
     *
     * @param stays whether a day of a week, both from 0, is left as it is
     */
    public Block over(Block block, BiPredicate<Integer, Integer> stays) {
        return over(block, stays, this::of);
    }

    /** What a day makes of a dose. */
    private interface Shaped {

        Optional<Dose> of(Lift lift, Dose dose, LocalDate on, boolean stands);
    }

    private Block over(Block block, BiPredicate<Integer, Integer> stays, Shaped shaped) {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < block.days().size(); day++) {
            TrainingDay training = block.days().get(day);
            List<Slot> slots = new ArrayList<>();
            for (Slot slot : training.slots()) {
                List<Optional<Dose>> doses = new ArrayList<>(slot.doses());
                for (int week = 0; week < doses.size(); week++) {
                    LocalDate on = block.date(day, week);
                    if (!stays.test(day, week)) {
                        boolean stands = stands(block, slot.lift(), week);
                        doses.set(week, doses.get(week).flatMap(dose -> shaped.of(slot.lift(), dose, on, stands)));
                    }
                }
                slots.add(slot.with(doses));
            }
            days.add(training.with(slots));
        }
        List<BlockWeek> shape = new ArrayList<>(block.shape());
        for (int week = 0; week < shape.size(); week++) {
            LocalDate first = block.start().plusWeeks(week);
            if (first.isAfter(contest) && !first.isAfter(contest.plusDays(LIGHT_AFTER))) {
                shape.set(week, shape.get(week).asDeload());
            }
        }
        return block.with(days, shape).toward(Optional.of(contest));
    }

    /** Whether no slot of a week does what the lift is a variation of, as it is contested. */
    private boolean stands(Block block, Lift lift, int week) {
        Lift root = catalogue.root(lift);
        return block.days().stream()
                .flatMap(day -> day.slots().stream())
                .filter(slot -> slot.doses().get(week).isPresent())
                .noneMatch(slot -> catalogue.of(slot.lift()).contest()
                        && catalogue.root(slot.lift()).equals(root));
    }
}
