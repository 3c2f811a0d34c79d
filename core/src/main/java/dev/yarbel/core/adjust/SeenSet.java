package dev.yarbel.core.adjust;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails.MissedBy;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.TaskKey;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A work set beside what asked for it.
 *
 * @param asked empty where nobody planned it
 */
public record SeenSet(LocalDate date, TaskKey task, LiftedSet set, Optional<PrescribedSets> asked) {

    /** Another load than asked, and no rounding; starting values of ours. */
    private static final Percent MORE = Percent.of("102.5");

    private static final Percent LESS = Percent.of("97.5");

    /** More than four left is at least four and a half; how many, nobody knows. */
    private static final Rpe EASIEST_KNOWN = Rpe.withHalvesLeft(9);

    /** The load that was asked for when the day began. */
    public Optional<Mass> askedLoad() {
        return asked.flatMap(PrescribedSets::stood).flatMap(AskedDay.Stood::load);
    }

    /** The rating that was asked for, the upper end of a range. */
    public Optional<Rpe> askedRating() {
        return asked.flatMap(prescription -> prescription.part().basis().rating());
    }

    /**
     * By how many half points a set that others hang on left its target: above nothing harder, below it easier, and nothing within a
     * range. The rating is the one on record, read as a lifter means it whose ratings lean. Empty where no rating was asked for
     * or given, of back-offs, and of a miss.
     */
    public Optional<Integer> halvesOver(LiftNumbers numbers) {
        if (!set.made()
                || asked.filter(a -> a.part().isTop()).isEmpty()
                || askedRating().isEmpty()) {
            return Optional.empty();
        }
        Rpe most = askedRating().get();
        Rpe least = asked.get().part().basis().leastRating().orElse(most);
        return rated(numbers, most)
                .map(rated -> rated.compareTo(most) > 0
                        ? most.halvesLeft() - rated.halvesLeft()
                        : Math.min(0, least.halvesLeft() - rated.halvesLeft()));
    }

    private Optional<Rpe> rated(LiftNumbers numbers, Rpe target) {
        return set.effort().isMoreThanFourLeft()
                ? Optional.of(EASIEST_KNOWN)
                : numbers.heard(set, target).ratingOnRecord();
    }

    /** Whether more was on the bar than was asked for, by 2.5 % and more: then a harder rating is no wonder. */
    boolean isHeavierThanAsked() {
        return askedLoad()
                .filter(asked -> set.load().isGreaterThan(asked.times(MORE)))
                .isPresent();
    }

    /** Whether less was on the bar than was asked for, by 2.5 % and more: then an easier rating is no wonder. */
    boolean isLighterThanAsked() {
        return askedLoad()
                .filter(asked -> set.load().isLessThan(asked.times(LESS)))
                .isPresent();
    }

    /** Whether its load was perhaps written in the other unit: then nothing is concluded from it. */
    public boolean isPerhapsInOtherUnit() {
        return UnitSlip.isSlip(this);
    }

    /** The repetitions that were asked for and not made, from 0. */
    public int missing() {
        return asked.map(a -> Math.max(0, a.part().reps() - set.reps())).orElse(0);
    }

    /** Whether it was missed for want of strength or technique, or nobody said why. */
    public boolean isMissed() {
        return !set.made() && !isExcused();
    }

    /** Whether it was missed for something else: pain, grip, sleep, kit, a call. */
    public boolean isExcused() {
        return !set.made()
                && set.details()
                        .missedBy()
                        .filter(why -> why != MissedBy.STRENGTH && why != MissedBy.TECHNIQUE)
                        .isPresent();
    }

    /** Whether a law decides what follows it. */
    public boolean isOfALaw() {
        return asked.filter(a -> a.part().basis().goesOnFromLast()).isPresent();
    }

    /** Whether it went as far as it could: missed for strength, or nothing left. */
    boolean isToTheLimit() {
        return isMissed()
                || set.ratingOnRecord().filter(rated -> rated.halvesLeft() <= 1).isPresent();
    }

    /** Whether going so far was asked for. */
    boolean limitWasAsked() {
        return asked.filter(a -> a.part().work().stop().isPresent()
                        || a.part()
                                .basis()
                                .rating()
                                .filter(rating -> rating.halvesLeft() <= 1)
                                .isPresent())
                .isPresent();
    }
}
