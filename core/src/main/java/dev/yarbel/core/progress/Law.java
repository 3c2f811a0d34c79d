package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
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
        return part.is(SetModifier.STAGES) ? SetDropStages.LAW : part.work().accept(new LawOf(part));
    }

    /** The law of a part by how its sets are built. */
    record LawOf(Part part) implements Work.Visitor<Law> {

        @Override
        public Law straight(Work.Straight straight) {
            if (straight.isRange()) {
                return RangeThenLoad.LAW;
            }
            boolean steps = part.basis().stepOnLast().filter(Mass::isZero).isEmpty();
            boolean several = straight.sets() > 1 || straight.plus().isPresent();
            return steps && several && !part.is(SetModifier.SPEED) ? SteadyAdd.LAW : LastAndStep.LAW;
        }

        @Override
        public Law toLimit(Work.ToLimit toLimit) {
            return LastAndStep.LAW;
        }

        @Override
        public Law climb(Work.Climb climb) {
            return ClimbingSets.LAW;
        }

        @Override
        public Law clusters(Work.Clusters clusters) {
            return ClusterRounds.LAW;
        }

        @Override
        public Law density(Work.Density density) {
            return DensitySingles.LAW;
        }

        @Override
        public Law until(Work.Until until) {
            return LastAndStep.LAW;
        }

        @Override
        public Law inAll(Work.InAll inAll) {
            return LastAndStep.LAW;
        }

        @Override
        public Law repsInTime(Work.RepsInTime repsInTime) {
            return LastAndStep.LAW;
        }

        @Override
        public Law hold(Work.Hold hold) {
            return LastAndStep.LAW;
        }

        @Override
        public Law carry(Work.Carry carry) {
            return LastAndStep.LAW;
        }

        @Override
        public Law rounds(Work.Rounds rounds) {
            return LastAndStep.LAW;
        }

        @Override
        public Law preparation(Work.Preparation preparation) {
            return LastAndStep.LAW;
        }
    }
}
