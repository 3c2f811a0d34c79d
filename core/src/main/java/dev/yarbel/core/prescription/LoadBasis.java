package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/** What the load of a dose hangs on. */
public sealed interface LoadBasis {

    /**
     * The load that rates so on the day; today's estimate says about what it will be.
     *
     * @param least where a range was asked for, its lower end; else the same as {@code rpe}
     */
    record AtRpe(Rpe least, Rpe rpe) implements LoadBasis {
        public AtRpe {
            if (least.compareTo(rpe) > 0) {
                throw new IllegalArgumentException("a range of ratings runs upward");
            }
        }

        public AtRpe(Rpe rpe) {
            this(rpe, rpe);
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.atRpe(this);
        }

        @Override
        public Optional<Rpe> rating() {
            return Optional.of(rpe);
        }

        @Override
        public Optional<Rpe> leastRating() {
            return Optional.of(least);
        }
    }

    /**
     * A share of one of the lifter's numbers.
     *
     * @param most where a range was asked for, its upper end; else the same as {@code percent}
     */
    record Share(Reference of, Percent percent, Percent most) implements LoadBasis {
        public Share {
            if (percent.compareTo(Percent.ZERO) <= 0 || most.isLessThan(percent) || most.isGreaterThan(of.most())) {
                throw new IllegalArgumentException("a share of " + of.word() + " lies above 0 and up to " + of.most());
            }
        }

        public Share(Reference of, Percent percent) {
            this(of, percent, percent);
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.share(this);
        }

        @Override
        public Optional<Share> share() {
            return Optional.of(this);
        }

        /** Whether it is just the lifter's own body. */
        public boolean isOwnBody() {
            return of == Reference.Named.BODY_MASS && percent.equals(Percent.HUNDRED);
        }

        @Override
        public boolean hangsOnTop() {
            return of == Reference.Named.TOP;
        }
    }

    /**
     * So much lighter than the day's last top set of the lift, of the load lifted; above 0 and below 100 %.
     *
     * @param most where a range was asked for, the largest drop; else the same as {@code drop}
     * @param each every set is so much lighter than the one before it
     * @param of the lift whose top it is; empty: the lift's own
     */
    record BelowTop(Percent drop, Percent most, boolean each, Optional<Lift> of) implements LoadBasis {
        public BelowTop {
            if (drop.compareTo(Percent.ZERO) <= 0 || most.isLessThan(drop) || most.compareTo(Percent.HUNDRED) >= 0) {
                throw new IllegalArgumentException("a drop lies above 0 and below 100 %");
            }
        }

        public BelowTop(Percent drop, Percent most, boolean each) {
            this(drop, most, each, Optional.empty());
        }

        public BelowTop(Percent drop) {
            this(drop, drop, false);
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.belowTop(this);
        }

        @Override
        public boolean hangsOnTop() {
            return true;
        }

        @Override
        public Optional<BelowTop> belowTop() {
            return Optional.of(this);
        }
    }

    /** A load as such, in the unit the coach typed. */
    record Fixed(Mass load, MassUnit unit) implements LoadBasis {

        public static final Mass MOST = Mass.ofKg(1000);

        public Fixed {
            if (!load.isPositive()) {
                throw new IllegalArgumentException("a load is more than nothing");
            }
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.fixed(this);
        }

        @Override
        public Optional<Mass> written() {
            return Optional.of(load);
        }

        @Override
        public Optional<MassUnit> unitWritten() {
            return Optional.of(unit);
        }
    }

    /** The lifter's own body and so much more: {@code bw+10kg}. In the unit the coach typed. */
    record BodyMassPlus(Mass more, MassUnit unit) implements LoadBasis {
        public BodyMassPlus {
            if (!more.isPositive() || more.isGreaterThan(Fixed.MOST)) {
                throw new IllegalArgumentException("a load is more than nothing");
            }
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.bodyMassPlus(this);
        }
    }

    /** What was lifted the last time and a step more; none: the same again. In the unit the coach typed. */
    record LastTime(Mass step, MassUnit unit) implements LoadBasis {

        public static final Mass MOST = Mass.ofKg(50);

        public LastTime {
            if (step.isNegative() || step.isGreaterThan(MOST)) {
                throw new IllegalArgumentException("a step goes up to " + MOST);
            }
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.lastTime(this);
        }

        @Override
        public Optional<Mass> stepOnLast() {
            return Optional.of(step);
        }

        @Override
        public Optional<MassUnit> unitWritten() {
            return Optional.of(unit);
        }
    }

    /** The load that moves so fast. */
    record AtSpeed(BarSpeed speed) implements LoadBasis {
        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.atSpeed(this);
        }

        @Override
        public Optional<BarSpeed> askedSpeed() {
            return Optional.of(speed);
        }
    }

    /** As it feels right: the lifter's choice, or nothing to put on. */
    record ByFeel() implements LoadBasis {
        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.byFeel(this);
        }

        @Override
        public boolean isByFeel() {
            return true;
        }
    }

    LoadBasis FEEL = new ByFeel();

    /** A share of the working max. */
    static Share ofWorkingMax(Percent percent) {
        return new Share(Reference.Named.WORKING, percent);
    }

    /** Whether it hangs on another set of the same day. */
    default boolean hangsOnTop() {
        return false;
    }

    /** The rating it asks for, the upper end of a range. */
    default Optional<Rpe> rating() {
        return Optional.empty();
    }

    /** The rating it asks for, the lower end of a range. */
    default Optional<Rpe> leastRating() {
        return Optional.empty();
    }

    /** The speed it asks for. */
    default Optional<BarSpeed> askedSpeed() {
        return Optional.empty();
    }

    /** The share of one of the lifter's numbers that it asks for. */
    default Optional<Share> share() {
        return Optional.empty();
    }

    /** Whether it is a share of a number. */
    default boolean isShareOf(Reference reference) {
        return share().filter(share -> share.of().equals(reference)).isPresent();
    }

    /** How far below the day's top it lies. */
    default Optional<BelowTop> belowTop() {
        return Optional.empty();
    }

    /** The load as such, where the coach wrote one. */
    default Optional<Mass> written() {
        return Optional.empty();
    }

    /** The unit in which that load was written. */
    default Optional<MassUnit> unitWritten() {
        return Optional.empty();
    }

    /** What is added to the last time's load; zero: the same again; empty for what does not go on from there. */
    default Optional<Mass> stepOnLast() {
        return Optional.empty();
    }

    /** Whether it goes on from what was lifted the last time. */
    default boolean goesOnFromLast() {
        return stepOnLast().isPresent();
    }

    /** Whether it is the lifter's choice, or nothing to put on. */
    default boolean isByFeel() {
        return false;
    }

    /** Whether it is a share of what was lifted the last time: lighter work beside a run, and no session of it. */
    default boolean isShareOfLast() {
        return isShareOf(Reference.Named.LAST);
    }

    /** Whether it is a percentage above the lifter's own max. */
    default boolean isAboveMax() {
        return share().filter(share -> share.of().isMax() && share.most().isGreaterThan(Percent.HUNDRED))
                .isPresent();
    }

    /** Asks what kind of load this is. */
    <T> T accept(Visitor<T> visitor);

    /** What somebody makes of each kind of load; whoever adds a kind says here what becomes of it everywhere. */
    interface Visitor<T> {

        T atRpe(AtRpe atRpe);

        T share(Share share);

        T belowTop(BelowTop belowTop);

        T fixed(Fixed fixed);

        T bodyMassPlus(BodyMassPlus bodyMassPlus);

        T lastTime(LastTime lastTime);

        T atSpeed(AtSpeed atSpeed);

        T byFeel(ByFeel byFeel);
    }
}
