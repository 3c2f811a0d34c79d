package dev.yarbel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ProgressTest {

    // ---- shrinking steps

    /** Common practice, no source: 5 to 10 points a week early, at most 2.5 in the last two weeks. */
    @Property
    void stepsNeverGrowAreNeverTooLargeAndLeadWhereTheyShould(
            @ForAll @IntRange(min = 60, max = 200) int from,
            @ForAll @IntRange(min = 0, max = 120) int way,
            @ForAll @IntRange(min = 1, max = 24) int weeks,
            @ForAll @IntRange(min = 0, max = 3) int after) {
        Percent start = halves(from);
        Percent goal = halves(from + way);
        Optional<List<Percent>> found = ShrinkingSteps.between(start, goal, weeks, after);
        boolean reachable = weeks == 1 || !goal.minus(start).isGreaterThan(ShrinkingSteps.longest(weeks, after));
        assertThat(found.isPresent()).isEqualTo(reachable);
        List<Percent> shares = found.orElseGet(() -> ShrinkingSteps.reaching(start, goal, weeks));
        int follow = found.isPresent() ? after : 0;
        assertThat(shares).hasSize(weeks);
        assertThat(shares.get(weeks - 1)).isEqualTo(goal);
        Percent before = ShrinkingSteps.LARGEST_STEP;
        for (int i = 1; i < weeks; i++) {
            Percent now = shares.get(i).minus(shares.get(i - 1));
            assertThat(now).as(shares.toString()).isLessThanOrEqualTo(before);
            if (weeks - 1 - i + follow < 2) {
                assertThat(now).as(shares.toString()).isLessThanOrEqualTo(ShrinkingSteps.LAST_STEP);
            }
            before = now;
        }
    }

    private static Percent halves(int halves) {
        return Percent.of(BigDecimal.valueOf(halves).divide(BigDecimal.valueOf(2)));
    }

    @Test
    void tenWeeksFrom60To95() {
        List<Percent> shares =
                ShrinkingSteps.between(Percent.of(60), Percent.of(95), 10).orElseThrow();
        assertThat(shares.get(1).minus(shares.get(0))).isBetween(Percent.of(5), Percent.of(10));
        assertThat(shares.get(9).minus(shares.get(8))).isLessThanOrEqualTo(Percent.of("2.5"));
        assertThat(shares.get(8).minus(shares.get(7))).isLessThanOrEqualTo(Percent.of("2.5"));
    }

    /** 65 to 88 % in a week is 23 points; a short block starts where it can still rise by steps that are allowed. */
    @Test
    void aShortBlockStartsWhereItCanStillRise() {
        assertThat(ShrinkingSteps.between(Percent.of(65), Percent.of(88), 2)).isEmpty();
        assertThat(ShrinkingSteps.reaching(Percent.of(65), Percent.of(88), 2))
                .containsExactly(Percent.of("85.5"), Percent.of(88));
        assertThat(ShrinkingSteps.reaching(Percent.of(65), Percent.of(88), 4))
                .containsExactly(Percent.of(73), Percent.of(83), Percent.of("85.5"), Percent.of(88));
    }

    @Test
    void stepsDoNotLeadDownward() {
        assertThatThrownBy(() -> ShrinkingSteps.between(Percent.of(80), Percent.of(70), 4))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
