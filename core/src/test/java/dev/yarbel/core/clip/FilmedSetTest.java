package dev.yarbel.core.clip;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which filmed set another is held against (common practice, no source). */
class FilmedSetTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 10);

    private static FilmedSet filmed(long number, String lift, String load, int reps, LocalDate on) {
        return new FilmedSet(
                number, on, new LiftedSet(new Lift(lift), Mass.parse(load, MassUnit.KG), reps, Effort.parse("8")));
    }

    private static final FilmedSet THIS = filmed(9, "squat", "200 kg", 3, DAY);

    @ParameterizedTest
    @CsvSource({
        "squat, 200 kg, 3, 2026-03-03, true",
        "squat, 190 kg, 3, 2026-03-03, true",
        "squat, 189.9 kg, 3, 2026-03-03, false",
        "squat, 210 kg, 3, 2026-03-03, true",
        "squat, 210.1 kg, 3, 2026-03-03, false",
        "squat, 441 lb, 3, 2026-03-03, true",
        "squat, 200 kg, 2, 2026-03-03, false",
        "front-squat, 200 kg, 3, 2026-03-03, false",
        "squat, 200 kg, 3, 2026-03-17, false",
        "squat, 200 kg, 3, 2026-03-10, true"
    })
    void anEarlierOneOfTheSameLiftAndRepetitionsAtALikeLoadIsLike(
            String lift, String load, int reps, LocalDate on, boolean like) {
        assertThat(THIS.isLike(filmed(4, lift, load, reps, on))).isEqualTo(like);
    }

    @Test
    void noneIsHeldAgainstItself() {
        assertThat(THIS.isLike(THIS)).isFalse();
    }

    @Test
    void ofOneDayTheEarlierIsLike() {
        assertThat(THIS.isLike(filmed(10, "squat", "200 kg", 3, DAY))).isFalse();
    }

    @Test
    void withoutALoadOnlyOnesWithoutAreLike() {
        FilmedSet chinUps = filmed(9, "chin-up", "0 kg", 8, DAY);
        assertThat(chinUps.isLike(filmed(3, "chin-up", "0 kg", 8, DAY.minusDays(7))))
                .isTrue();
        assertThat(chinUps.isLike(filmed(3, "chin-up", "5 kg", 8, DAY.minusDays(7))))
                .isFalse();
    }

    @Test
    void theLatestComesFirst() {
        FilmedSet lastWeek = filmed(4, "squat", "195 kg", 3, DAY.minusDays(7));
        FilmedSet before = filmed(2, "squat", "200 kg", 3, DAY.minusDays(14));
        FilmedSet other = filmed(3, "deadlift", "200 kg", 3, DAY.minusDays(14));

        assertThat(THIS.like(List.of(before, other, THIS, lastWeek))).containsExactly(lastWeek, before);
    }
}
