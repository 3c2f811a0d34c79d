package dev.yarbel.core.lift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class AlternativesTest {

    private static final Catalogue ALL = Catalogue.STANDARD;

    @Test
    void withoutAnAcheTheNearestOfKinComeFirst() {
        List<Lift> lifts = Alternatives.of(Lift.SQUAT, Set.of(), ALL, 5);
        assertThat(lifts).hasSize(5).doesNotContain(Lift.SQUAT);
        assertThat(ALL.root(lifts.get(0))).isEqualTo(Lift.SQUAT);
    }

    @Property
    void whatIsOfferedTrainsHalfOfTheSameAndLoadsTheAcheLess(
            @ForAll @IntRange(min = 0, max = 40) int which, @ForAll Tissue ache) {
        Variation lift = ALL.all().get(which);
        for (Lift other : Alternatives.of(lift.lift(), Set.of(ache), ALL, 8)) {
            assertThat(ALL.of(other).trains().stream()
                                    .filter(lift.trains()::contains)
                                    .count()
                            * 2)
                    .isGreaterThanOrEqualTo(lift.trains().size());
            if (lift.loads().contains(ache)) {
                assertThat(ALL.of(other).loads()).doesNotContain(ache);
            }
        }
    }

    /** Common practice, no source: what hurts is trained around, never through. */
    @Test
    void anAchingWristFindsSomethingForTheBench() {
        List<Lift> lifts = Alternatives.of(Lift.BENCH_PRESS, Set.of(Tissue.WRIST), ALL, 5);
        assertThat(lifts).isNotEmpty().allMatch(lift -> !ALL.loads(lift, Tissue.WRIST));
    }
}
