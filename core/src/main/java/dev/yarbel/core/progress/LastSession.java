package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.prescription.Part;

/**
 * The last session of the same work: what it asked for and what came of it.
 *
 * @param kind of the work
 * @param ahead it is still to come, and the result is what is expected of it
 */
public record LastSession(KindOfWork kind, Run run, Result result, boolean ahead) {

    /** What was lifted for all its sets, or will have been. */
    public Mass load() {
        return result.loadOf(run.work().sets());
    }

    /** What a part of a dose asks for after it, by the part's own law. */
    public Step next(Part part) {
        return Law.of(part).after(run, result, part.basis().stepOnLast().orElse(Mass.ZERO));
    }
}
