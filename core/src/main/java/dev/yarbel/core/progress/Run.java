package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Work;

/**
 * Where a run of a law stands: what a session asks for, and what the law remembers of those before.
 *
 * @param work what is asked for
 * @param load what it is asked with, as it can be loaded
 * @param misses sessions in a row in which it was missed
 * @param resets how often load was taken off since the run began
 * @param fresh nothing was lifted in this stage yet
 * @param reached by how many repetitions a range has been worked up from its bottom
 */
public record Run(Work work, Mass load, int misses, int resets, boolean fresh, int reached) {

    /** The first session of a run. */
    public static Run start(Work work, Mass load) {
        return new Run(work, load, 0, 0, true, 0);
    }

    /** The same with the sets as they are written now and the load as it can be made. */
    public Run with(Work asked, Mass loaded) {
        return new Run(asked, loaded, misses, resets, fresh, reached);
    }

    /** On to the next session with another load. */
    Run go(Mass next) {
        return new Run(work, next, 0, resets, false, 0);
    }

    Run missed(Mass again) {
        return new Run(work, again, misses + 1, resets, fresh, 0);
    }

    Run held(Mass again) {
        return new Run(work, again, misses, resets, fresh, reached);
    }

    Run reset(Mass less) {
        return new Run(work, less, 0, resets + 1, fresh, 0);
    }

    /** On to fewer sets or repetitions. */
    Run dropped(Work stage, Mass next) {
        return new Run(stage, next, 0, resets, true, 0);
    }

    Run reached(Mass again, int further) {
        return new Run(work, again, 0, resets, false, further);
    }
}
