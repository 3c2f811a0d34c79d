package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;

/**
 * A law of the next load: from what a session asked for and what came of it, what the next one asks for. Everything that
 * says what comes next asks here: the sheet, the strip, the paper, the floor, the calls.
 *
 * <p>Which law a dose follows is written in it, see {@link #of}. Laws do not round: their caller puts on what can be
 * loaded and tells the run so.
 */
public interface Law {

    /**
     * What follows a session.
     *
     * @param run what it asked for
     * @param result what came of it
     * @param step what is added when it is earned; may be nothing
     */
    Step after(Run run, Result result, Mass step);

    /**
     * What a session is taken to come to that is still ahead.
     *
     * @param beyond whether it asks for more than can be expected of the lifter then
     */
    default Result expected(Run run, boolean beyond) {
        Result made = Result.made(run.work(), run.load(), run.work().reps());
        return beyond ? made.withLastShort() : made;
    }

    /**
     * The law of a dose whose load hangs on the session before.
     *
     * <p>Set-drop stages where the dose says so; density, clusters, climbing sets and a range by how the sets are built;
     * steady add for two straight sets and more with a step, or a plus set; otherwise a step more when it was made.
     */
    static Law of(Part part) {
        Work work = part.work();
        if (part.is(Manner.STAGES)) {
            return SetDropStages.LAW;
        }
        if (work instanceof Work.Density) {
            return DensitySingles.LAW;
        }
        if (work instanceof Work.Clusters) {
            return ClusterRounds.LAW;
        }
        if (work instanceof Work.Climb) {
            return ClimbingSets.LAW;
        }
        if (work instanceof Work.Straight straight) {
            if (straight.isRange()) {
                return RangeThenLoad.LAW;
            }
            boolean steps = !(part.basis() instanceof LoadBasis.LastTime last)
                    || last.step().isPositive();
            boolean several = straight.sets() > 1 || straight.plus().isPresent();
            if (steps && several && !part.is(Manner.SPEED)) {
                return SteadyAdd.LAW;
            }
        }
        return LastAndStep.LAW;
    }
}
