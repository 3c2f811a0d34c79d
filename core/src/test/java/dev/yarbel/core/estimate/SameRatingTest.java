package dev.yarbel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SameRatingTest {

    private static LiftedSet five(int kg, String rating) {
        return new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), 5, Effort.parse(rating));
    }

    /** Common practice, no source: the overconfident call everything 7.5, the work-shy 9.5. */
    @ParameterizedTest
    @ValueSource(strings = {"7.5", "9.5"})
    void whoCallsEverythingTheSameIsTold(String rating) {
        List<LiftedSet> sets = IntStream.range(0, 14)
                .mapToObj(i -> five(110 + 5 * (i % 7), i == 3 ? "8" : rating))
                .toList();
        assertThat(SameRating.of(sets, RepCurve.DEFAULT)).contains(new SameRating(Rpe.parse(rating), 13, 14));
        assertThat(SameRating.of(sets.subList(0, 11), RepCurve.DEFAULT)).isEmpty();
    }

    @Test
    void whoWasAskedForTheSameAndLiftedItIsNot() {
        List<LiftedSet> sets = IntStream.range(0, 14)
                .mapToObj(i -> five(i % 3 == 0 ? 142 : 140, "8"))
                .toList();
        assertThat(SameRating.of(sets, RepCurve.DEFAULT)).isEmpty();
    }

    @Test
    void whoseRatingsFollowTheLoadIsNot() {
        List<LiftedSet> sets = IntStream.range(0, 14)
                .mapToObj(i ->
                        five(120 + 5 * (i % 7), Rpe.withHalvesLeft(8 - i % 7).toString()))
                .toList();
        assertThat(SameRating.of(sets, RepCurve.DEFAULT)).isEmpty();
    }
}
