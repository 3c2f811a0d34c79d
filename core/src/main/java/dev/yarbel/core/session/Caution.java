package dev.yarbel.core.session;

import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Work;

/** What a set needs before it is begun, beyond the load. */
public final class Caution {

    private static final int HALVES_LEFT_NEAR_THE_LIMIT = 4;
    private static final Percent NEAR_THE_LIMIT = Percent.of(85);

    private Caution() {}

    /**
     * Whether a work set is near the limit in a lift that can pin the lifter, so that spotters or set safeties belong
     * there: sets to the limit, plus sets and climbing sets, whose last one nobody knows beforehand; asked at RPE 8 or
     * harder; or at 85 % of the estimate and up (common practice, no source).
     */
    public static boolean needsSpotters(
            Variation variation, PrescribedSets prescription, ResolvedLoad load, LiftNumbers numbers) {
        if (!variation.pinsTheLifter()) {
            return false;
        }
        Work work = prescription.part().work();
        if (work.stop().isPresent() || work.isClimb()) {
            return true;
        }
        if (prescription
                .part()
                .basis()
                .rating()
                .filter(rpe -> rpe.halvesLeft() <= HALVES_LEFT_NEAR_THE_LIMIT)
                .isPresent()) {
            return true;
        }
        return numbers.estimate()
                .or(numbers::workingMax)
                .flatMap(max -> load.load()
                        .map(mass ->
                                Demand.of(prescription, numbers).plain(mass).percentOf(max)))
                .filter(share -> share.compareTo(NEAR_THE_LIMIT) >= 0)
                .isPresent();
    }
}
