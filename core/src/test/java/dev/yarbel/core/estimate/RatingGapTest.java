package dev.yarbel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import java.util.List;
import org.junit.jupiter.api.Test;

class RatingGapTest {

    /** A set rated by the lifter and, where that is said, by the coach. */
    private static LiftedSet rated(String own, String seen) {
        CoachSeen coach = seen == null ? CoachSeen.NOTHING : CoachSeen.rated(Rpe.parse(seen));
        return new LiftedSet(Lift.SQUAT, Mass.ofKg(150), 3, Effort.parse(own), SetDetails.NONE.seenBy(coach));
    }

    @Test
    void aLifterWhoSaysNineWhereTheCoachSawEightRatesAPointHarder() {
        assertThat(RatingGap.of(List.of(rated("9", "8"), rated("9", "8"), rated("8.5", "7.5"))))
                .contains(new RatingGap(2, 3));
        assertThat(RatingGap.of(List.of(rated("8", "9"), rated("8", "8.5"), rated("8", "8.5"))))
                .contains(new RatingGap(-1, 3));
    }

    @Test
    void twoSetsOrUnratedOnesSayNothing() {
        assertThat(RatingGap.of(List.of(rated("9", "8"), rated("9", "8")))).isEmpty();
        assertThat(RatingGap.of(List.of(rated("9", "8"), rated("9", "8"), rated("9", null), rated("missed", "9"))))
                .isEmpty();
    }
}
