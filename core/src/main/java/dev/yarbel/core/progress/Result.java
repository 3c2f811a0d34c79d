package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails.MissedBy;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;

/**
 * What came of what a law asked for in one session: its work sets in the order they were lifted.
 *
 * @param sets at least one
 */
public record Result(List<Done> sets) {

    /**
     * One set.
     *
     * @param reps the lifter's own: those a spotter helped with are left out
     * @param helped how many were helped
     * @param excused it was missed for something that is not strength or technique: pain, grip, a call
     */
    public record Done(Mass load, int reps, int helped, boolean excused) {}

    public Result {
        sets = List.copyOf(sets);
        if (sets.isEmpty()) {
            throw new IllegalArgumentException("a result has at least one set");
        }
    }

    /** What was lifted. */
    public static Result of(List<LiftedSet> lifted) {
        return new Result(lifted.stream()
                .map(set -> new Done(
                        set.load(),
                        set.reps() - set.details().helped(),
                        set.details().helped(),
                        set.details()
                                .missedBy()
                                .filter(why -> why != MissedBy.STRENGTH && why != MissedBy.TECHNIQUE)
                                .isPresent()))
                .toList());
    }

    /** So many sets of so many repetitions at a load, all made. */
    public static Result made(Work work, Mass load, int reps) {
        return new Result(Collections.nCopies(work.sets(), new Done(load, reps, 0, false)));
    }

    /** The same with the last set short of a repetition. */
    Result withLastShort() {
        List<Done> all = new ArrayList<>(sets);
        Done last = all.remove(all.size() - 1);
        all.add(new Done(last.load, Math.max(0, last.reps - 1), last.helped, last.excused));
        return new Result(all);
    }

    /** The load that so many of the sets were done at or above; of fewer sets, the lightest. */
    Mass loadOf(int asked) {
        List<Mass> heaviestFirst =
                sets.stream().map(Done::load).sorted(Comparator.reverseOrder()).toList();
        return heaviestFirst.get(Math.min(asked, heaviestFirst.size()) - 1);
    }

    /** The sets of at least so many repetitions of the lifter's own at a load or above. */
    List<Done> full(int reps, Mass load) {
        return sets.stream()
                .filter(set -> set.reps >= reps && !set.load.isLessThan(load))
                .toList();
    }

    boolean isExcused() {
        return sets.stream().anyMatch(Done::excused);
    }

    int helped() {
        return sets.stream().mapToInt(Done::helped).sum();
    }

    Done last() {
        return sets.get(sets.size() - 1);
    }

    /** The fewest repetitions of the first so many sets. */
    int fewestReps(int asked) {
        return sets.stream().limit(asked).mapToInt(Done::reps).min().orElse(0);
    }
}
