package dev.yarbel.core.session;

import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import java.time.Duration;

/**
 * The rest after a set. Where a dose says nothing, sets of one to three are taken to rest three minutes, of four to six two
 * and a half, of seven to nine two, above that one and a half; speed work rests one, rounds of a cluster three, and what is not counted in repetitions
 * two. All of these are starting values of ours.
 */
public final class Rest {

    private Rest() {}

    /** The rest after a set of a part, as the dose says or as is usual. */
    public static Duration after(Part part) {
        return part.rest().orElseGet(() -> Duration.ofSeconds(usual(part)));
    }

    private static long usual(Part part) {
        if (part.is(SetModifier.SPEED)) {
            return 60;
        }
        if (part.work().clusters().isPresent()) {
            return 180;
        }
        if (!part.work().countsReps()) {
            return 120;
        }
        int reps = part.reps();
        return reps <= 3 ? 180 : reps <= 6 ? 150 : reps <= 9 ? 120 : 90;
    }
}
