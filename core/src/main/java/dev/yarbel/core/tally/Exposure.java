package dev.yarbel.core.tally;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Resolver;
import java.util.List;
import java.util.Optional;

/**
 * What a lift is exposed to on one day.
 *
 * @param heaviest the heaviest work load
 * @param hardReps the repetitions of the hard sets, see {@link HardSets}
 * @param done lifted, not only planned
 * @param judgement how what was lifted compares with what was asked; as planned where nothing was lifted yet
 */
public record Exposure(Mass heaviest, int hardReps, boolean done, Judgement judgement) {

    /** How what was lifted compares with the plan. */
    public enum Judgement {
        /** A set was missed, or rated a whole point or more above what was asked. */
        OVER,
        AS_PLANNED,
        /** A set rated a whole point or more below what was asked, and none above. */
        UNDER
    }

    private static final int WHOLE_POINT = 2;

    /** What the day's work sets exposed a lift to; empty when none was of this lift. */
    public static Optional<Exposure> done(Resolver resolver, List<PrescribedSets> day, List<DoneSet> done, Lift lift) {
        List<DoneSet> work = done.stream()
                .filter(d -> d.set().lift().equals(lift) && !d.task().warmUp())
                .toList();
        int hardReps = work.stream()
                .map(DoneSet::set)
                .filter(set -> HardSets.isHard(set, resolver.numbers(lift)))
                .mapToInt(set -> set.reps())
                .sum();
        return work.stream()
                .map(d -> d.set().load())
                .max(Mass::compareTo)
                .map(heaviest -> new Exposure(heaviest, hardReps, true, judgement(day, work)));
    }

    /** How what was lifted compares with what a day asked for, whatever the lifts; warm-ups are no part of it. */
    public static Judgement judgement(List<PrescribedSets> day, List<DoneSet> lifted) {
        List<DoneSet> work =
                lifted.stream().filter(done -> !done.task().warmUp()).toList();
        boolean under = false;
        for (DoneSet done : work) {
            int halves = halvesOverTheTarget(day, done);
            if (!done.set().made() || halves >= WHOLE_POINT) {
                return Judgement.OVER;
            }
            under |= halves <= -WHOLE_POINT;
        }
        return under ? Judgement.UNDER : Judgement.AS_PLANNED;
    }

    /** How much harder than asked a set rated, in halves; zero where no rating was asked for or given. */
    private static int halvesOverTheTarget(List<PrescribedSets> day, DoneSet done) {
        for (PrescribedSets prescription : day) {
            Optional<Rpe> asked = prescription.part().basis().rating();
            Optional<Rpe> rated = done.set().rating();
            if (prescription.isAnsweredBy(done.task()) && asked.isPresent() && rated.isPresent()) {
                return asked.get().halvesLeft() - rated.get().halvesLeft();
            }
        }
        return 0;
    }
}
