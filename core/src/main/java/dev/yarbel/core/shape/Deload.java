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
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.session.LiftNumbers;
import java.math.BigDecimal;
import java.math.RoundingMode;
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

    private static final int TWO_POINTS = 4;
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
                && dose.parts().stream().allMatch(part -> halfOf(part, numbers).isPresent());
        List<Part> parts = new ArrayList<>();
        boolean leftOut = false;
        for (Part part : dose.parts()) {
            leftOut = isOverloaded(part) || leftOut && part.basis().hangsOnTop();
            if (!leftOut) {
                parts.add(
                        halved && !part.is(SetModifier.SPEED)
                                ? halfLoad(part, halfOf(part, numbers).orElseThrow())
                                : halfSets(part));
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
        Optional<LoadBasis.Share> share = basis.share();
        if (basis.isShareOfLast()) {
            return share.orElseThrow().percent().isLessThan(Percent.HUNDRED);
        }
        if (share.isPresent() && than.share().isPresent()) {
            LoadBasis.Share other = than.share().get();
            return share.get().of().equals(other.of())
                    && !share.get().percent().isGreaterThan(other.percent().minus(Percent.of(5)));
        }
        if (basis.rating().isPresent() && than.rating().isPresent()) {
            return basis.rating().get().halvesLeft() >= than.rating().get().halvesLeft() + 2;
        }
        if (basis.written().isPresent() && than.written().isPresent()) {
            return !basis.written().get().isGreaterThan(than.written().get().times(Percent.of(95)));
        }
        return share.isPresent() && than.rating().isPresent();
    }

    private static boolean isOverloaded(Part part) {
        return part.is(SetModifier.LOWERING)
                && part.basis()
                        .share()
                        .filter(share -> share.most().isGreaterThan(Percent.HUNDRED))
                        .isPresent();
    }

    // ---- half the load

    private static Part halfLoad(Part part, LoadBasis half) {
        Work work = part.work();
        Work shorter = work.straight()
                .<Work>map(straight ->
                        Work.Straight.of(straight.sets(), Math.max(1, straight.reps() - straight.reps() / 4)))
                .orElse(work);
        return part.with(shorter.withoutTime()).with(half);
    }

    /** Half of a load; empty where nobody can say what it is. */
    private static Optional<LoadBasis> halfOf(Part part, LiftNumbers numbers) {
        if (part.work().isOpen()) {
            return Optional.empty();
        }
        boolean stays = part.is(SetModifier.SPEED)
                || part.work().isPreparation()
                || part.basis().hangsOnTop();
        return stays ? Optional.of(part.basis()) : part.basis().accept(ShareOfTheLoad.half(part, numbers));
    }

    // ---- half the sets

    /** The same with half of the sets, and nothing to the limit; the load stays. */
    public static Part fewerSets(Part part) {
        return part.with(part.work().accept(new EasierWork()));
    }

    private static Part halfSets(Part part) {
        Part fewer = fewerSets(part);
        return part.is(SetModifier.SPEED) ? fewer : fewer.with(part.basis().accept(new LighterLoad()));
    }

    /** Two points easier, but not easier than so many halves left; what is easier already stays. */
    static Rpe easier(Rpe rpe, int mostLeft) {
        return Rpe.withHalvesLeft(Math.max(rpe.halvesLeft(), Math.min(mostLeft, rpe.halvesLeft() + TWO_POINTS)));
    }

    static Mass halves(Mass load, MassUnit unit) {
        return Mass.of(halves(load.in(unit)).max(new BigDecimal("0.5")), unit);
    }

    /** Down to a half. */
    static BigDecimal halves(BigDecimal figure) {
        return figure.multiply(TWO).setScale(0, RoundingMode.FLOOR).divide(TWO);
    }
}
