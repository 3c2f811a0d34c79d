package dev.yarbel.core.shape;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.session.LiftNumbers;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * A week's doses made easy: the ways of taking fatigue off that coaches use (common practice, no source).
 *
 * <p>A deload keeps what a dose is: its parts, how its sets are built, how they are meant, what hangs on the bar. Nothing
 * goes to the limit in it. Speed sets stay at their speed and are done for half the sets. More than the max, lowered, has no
 * lighter form and is left out.
 */
public enum Deload {
    /**
     * The same exercises at about half the load, a repetition or two fewer. Where nobody can say what half the load is, or
     * the day decides how much is done, as {@link #HALF_SETS}.
     */
    HALF_LOAD,
    /** Ten points lighter, two on the rating, with half the sets. */
    HALF_SETS,
    /** Days off. */
    OFF;

    private static final Percent HALF = Percent.of(50);
    private static final Percent TEN = Percent.of(10);
    private static final Percent NINE_TENTHS = Percent.of(90);
    private static final Percent LIGHTEST = Percent.of(30);
    private static final int TWO_POINTS = 4;
    private static final int FIVE_LEFT = 10;
    private static final int FOUR_LEFT = 8;
    private static final BigDecimal TWO = BigDecimal.valueOf(2);

    /**
     * The dose of a deload week, from the one of the week before; empty for a day off, and where it has no lighter form.
     *
     * @param numbers what its loads hang on
     */
    public Optional<Dose> of(Dose dose, LiftNumbers numbers) {
        if (this == OFF) {
            return Optional.empty();
        }
        boolean halved = this == HALF_LOAD
                && dose.parts().stream().allMatch(part -> halfOf(part.basis(), part, numbers) != null);
        List<Part> parts = new ArrayList<>();
        boolean leftOut = false;
        for (Part part : dose.parts()) {
            leftOut = isOverloaded(part) || leftOut && part.basis().hangsOnTop();
            if (!leftOut) {
                parts.add(halved ? halfLoad(part, numbers) : halfSets(part));
            }
        }
        return parts.isEmpty() ? Optional.empty() : Optional.of(new Dose(parts));
    }

    /** Whether a dose has a lighter form. */
    public static boolean canLighten(Dose dose) {
        return HALF_SETS.of(dose, LiftNumbers.NONE).isPresent();
    }

    /**
     * Whether a dose is lighter than another: fewer sets in all, or a first load a point of rating, five points of a
     * percentage or a twentieth of the load lighter.
     */
    public static boolean isLighter(Dose dose, Dose than) {
        return dose.sets() < than.sets()
                || isLighter(dose.first().basis(), than.first().basis());
    }

    /**
     * A block in which deloads that were written over have ended: those of which no dose is lighter any more than the one of
     * the week trained before.
     *
     * @param rewritten the weeks, from 0, in which doses were written
     */
    public static Block ended(Block block, Set<Integer> rewritten) {
        List<BlockWeek> shape = new ArrayList<>(block.shape());
        rewritten.stream()
                .filter(week -> shape.get(week).deload())
                .filter(week -> block.slots().noneMatch(slot -> isLighterThanBefore(block, slot, week)))
                .forEach(week -> shape.set(week, shape.get(week).asTraining()));
        return block.with(block.days(), shape);
    }

    private static boolean isLighterThanBefore(Block block, Slot slot, int week) {
        Optional<Dose> before = IntStream.iterate(week - 1, w -> w >= 0, w -> w - 1)
                .filter(w -> !block.shape().get(w).deload())
                .mapToObj(slot::dose)
                .flatMap(Optional::stream)
                .findFirst();
        return before.isPresent()
                && slot.dose(week).map(dose -> isLighter(dose, before.get())).orElse(true);
    }

    private static boolean isLighter(LoadBasis basis, LoadBasis than) {
        if (basis instanceof LoadBasis.Share share && share.of() == Reference.Named.LAST) {
            return share.percent().isLessThan(Percent.HUNDRED);
        }
        if (basis instanceof LoadBasis.Share share && than instanceof LoadBasis.Share other) {
            return share.of().equals(other.of())
                    && !share.percent().isGreaterThan(other.percent().minus(Percent.of(5)));
        }
        if (basis instanceof LoadBasis.AtRpe at && than instanceof LoadBasis.AtRpe other) {
            return at.rpe().halvesLeft() >= other.rpe().halvesLeft() + 2;
        }
        if (basis instanceof LoadBasis.Fixed fixed && than instanceof LoadBasis.Fixed other) {
            return !fixed.load().isGreaterThan(other.load().times(Percent.of(95)));
        }
        return basis instanceof LoadBasis.Share && than instanceof LoadBasis.AtRpe;
    }

    private static boolean isOverloaded(Part part) {
        return part.is(Manner.LOWERING)
                && part.basis() instanceof LoadBasis.Share share
                && share.most().isGreaterThan(Percent.HUNDRED);
    }

    // ---- half the load

    private static Part halfLoad(Part part, LiftNumbers numbers) {
        if (part.is(Manner.SPEED)) {
            return part.with(fewer(part.work()));
        }
        Work work = part.work();
        if (work instanceof Work.Straight straight) {
            work = Work.Straight.of(straight.sets(), Math.max(1, straight.reps() - straight.reps() / 4));
        } else if (work instanceof Work.Carry carry) {
            work = new Work.Carry(carry.sets(), carry.distance(), carry.unit(), Optional.empty());
        }
        return part.with(work).with(halfOf(part.basis(), part, numbers));
    }

    /** Half of a load; null where nobody can say what it is. */
    private static LoadBasis halfOf(LoadBasis basis, Part part, LiftNumbers numbers) {
        boolean byTheDay = part.work() instanceof Work.ToLimit
                || part.work() instanceof Work.Climb
                || part.work() instanceof Work.Until
                || part.work() instanceof Work.InAll
                || part.work() instanceof Work.RepsInTime
                || part.work() instanceof Work.Rounds;
        if (byTheDay) {
            return null;
        }
        if (part.is(Manner.SPEED) || part.work() instanceof Work.Preparation || basis.hangsOnTop()) {
            return basis;
        }
        if (basis instanceof LoadBasis.Share share) {
            boolean ownBody =
                    share.of() == Reference.Named.BODY_MASS && share.percent().equals(Percent.HUNDRED);
            return ownBody
                    ? null
                    : new LoadBasis.Share(
                            share.of(),
                            share.percent().times(HALF),
                            share.most().times(HALF));
        }
        if (basis instanceof LoadBasis.Fixed fixed) {
            return new LoadBasis.Fixed(halves(fixed.load().half(), fixed.unit()), fixed.unit());
        }
        if (basis instanceof LoadBasis.LastTime) {
            return new LoadBasis.Share(Reference.Named.LAST, HALF);
        }
        return basis instanceof LoadBasis.AtRpe at && part.changing().isEmpty() ? halfOf(at, part, numbers) : null;
    }

    private static LoadBasis halfOf(LoadBasis.AtRpe at, Part part, LiftNumbers numbers) {
        Optional<Mass> max = numbers.estimate().or(numbers::workingMax);
        if (max.isEmpty()) {
            return null;
        }
        Mass load = numbers.curve().load(max.get(), part.reps(), at.least()).half();
        Reference of = numbers.workingMax().isPresent() ? Reference.Named.WORKING : Reference.Named.ESTIMATE;
        Percent share = load.percentOf(numbers.workingMax().orElse(max.get()));
        return new LoadBasis.Share(of, Percent.of(halves(share.figure())));
    }

    // ---- half the sets

    private static Part halfSets(Part part) {
        Part fewer = part.with(fewer(part.work()));
        return part.is(Manner.SPEED) ? fewer : fewer.with(lighter(part.basis()));
    }

    private static LoadBasis lighter(LoadBasis basis) {
        if (basis.hangsOnTop()) {
            return basis;
        }
        if (basis instanceof LoadBasis.Share share) {
            boolean ownBody =
                    share.of() == Reference.Named.BODY_MASS && share.percent().equals(Percent.HUNDRED);
            return ownBody ? basis : new LoadBasis.Share(share.of(), tenLess(share.percent()), tenLess(share.most()));
        }
        if (basis instanceof LoadBasis.AtRpe at) {
            return new LoadBasis.AtRpe(easier(at.least(), FIVE_LEFT), easier(at.rpe(), FIVE_LEFT));
        }
        if (basis instanceof LoadBasis.Fixed fixed) {
            return new LoadBasis.Fixed(halves(fixed.load().times(NINE_TENTHS), fixed.unit()), fixed.unit());
        }
        if (basis instanceof LoadBasis.BodyMassPlus plus) {
            return new LoadBasis.BodyMassPlus(halves(plus.more().half(), plus.unit()), plus.unit());
        }
        return basis instanceof LoadBasis.LastTime ? new LoadBasis.Share(Reference.Named.LAST, NINE_TENTHS) : basis;
    }

    private static Percent tenLess(Percent percent) {
        Percent less = percent.minus(TEN);
        if (!less.isLessThan(LIGHTEST)) {
            return less;
        }
        return percent.isLessThan(LIGHTEST) ? percent : LIGHTEST;
    }

    /** Two points easier, but not easier than so many halves left; what is easier already stays. */
    private static Rpe easier(Rpe rpe, int mostLeft) {
        return Rpe.withHalvesLeft(Math.max(rpe.halvesLeft(), Math.min(mostLeft, rpe.halvesLeft() + TWO_POINTS)));
    }

    /** Half the sets, an effort two points easier; what is one set is half as long. */
    private static Work fewer(Work work) {
        Work half = HalfTheSets.of(work);
        if (work instanceof Work.Straight straight) {
            return Work.Straight.of(half.sets(), straight.reps());
        }
        if (work instanceof Work.ToLimit limit) {
            Rpe until = limit.stop() instanceof Work.Stop.At at ? at.rpe() : Rpe.of(9);
            return new Work.ToLimit(half.sets(), new Work.Stop.At(easier(until, FOUR_LEFT)));
        }
        if (work instanceof Work.Climb climb) {
            return new Work.Climb(climb.reps(), easier(climb.until(), FOUR_LEFT));
        }
        if (work instanceof Work.Until until) {
            return new Work.Until(until.reps(), easier(until.until(), FOUR_LEFT));
        }
        if (work instanceof Work.Carry carry) {
            return new Work.Carry(half.sets(), carry.distance(), carry.unit(), Optional.empty());
        }
        return work.sets() > 1 ? half : shorter(half);
    }

    private static Work shorter(Work work) {
        if (work instanceof Work.RepsInTime reps) {
            return new Work.RepsInTime(1, half(reps.time()));
        }
        if (work instanceof Work.Hold hold) {
            return new Work.Hold(1, half(hold.time()));
        }
        return work instanceof Work.Rounds rounds && rounds.goal().isEmpty()
                ? new Work.Rounds(Optional.empty(), rounds.time().map(Deload::half))
                : work;
    }

    private static Duration half(Duration time) {
        return Duration.ofSeconds(Math.max(1, time.toSeconds() / 2));
    }

    private static Mass halves(Mass load, MassUnit unit) {
        return Mass.of(halves(load.in(unit)).max(new BigDecimal("0.5")), unit);
    }

    /** Down to a half. */
    private static BigDecimal halves(BigDecimal figure) {
        return figure.multiply(TWO).setScale(0, RoundingMode.FLOOR).divide(TWO);
    }
}
