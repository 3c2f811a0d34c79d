package dev.yarbel.core.lift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AlternativesTest {

    private static final Catalogue ALL = Catalogue.STANDARD;

    @Test
    void withoutAnAcheTheNearestOfKinComeFirst() {
        List<Lift> lifts = Alternatives.of(Lift.SQUAT, Set.of(), ALL, 5);
        assertThat(lifts).hasSize(5).doesNotContain(Lift.SQUAT);
        assertThat(ALL.root(lifts.get(0))).isEqualTo(Lift.SQUAT);
    }

    @Property
    void whatIsOfferedTrainsAThirdOfTheSameAndLoadsTheAcheLess(
            @ForAll @IntRange(min = 0, max = 40) int which, @ForAll Tissue ache) {
        Variation lift = ALL.all().get(which);
        for (Lift other : Alternatives.of(lift.lift(), Set.of(ache), ALL, 8)) {
            assertThat(ALL.of(other).trains().stream()
                                    .filter(lift.trains()::contains)
                                    .count()
                            * 3)
                    .isGreaterThanOrEqualTo(lift.trains().size());
            if (lift.loads().contains(ache)) {
                assertThat(ALL.of(other).load(ache)).isLessThan(lift.load(ache));
            }
        }
    }

    /** Common practice, no source: what hurts is trained around, never through. */
    @Test
    void anAchingWristFindsSomethingForTheBench() {
        List<Lift> lifts = Alternatives.of(Lift.BENCH_PRESS, Set.of(Tissue.WRIST), ALL, 5);
        assertThat(lifts).isNotEmpty().allMatch(lift -> !ALL.loads(lift, Tissue.WRIST));
    }

    /** Common practice, no source: each of these finds something that loads the place less. */
    @ParameterizedTest
    @CsvSource({
        "deadlift,LOW_BACK",
        "bench-press,SHOULDER",
        "squat,KNEE",
        "squat,LOW_BACK",
        "squat,SHOULDER",
        "overhead-press,LOW_BACK",
        "barbell-row,LOW_BACK"
    })
    void anAcheFindsAStandIn(String lift, Tissue ache) {
        List<Lift> lifts = Alternatives.of(new Lift(lift), Set.of(ache), ALL, 5);
        assertThat(lifts).isNotEmpty();
        assertThat(ALL.of(lifts.get(0)).load(ache)).isLessThan(2);
    }

    @Test
    void theLowBarSquatLoadsShouldersElbowsAndWrists() {
        assertThat(ALL.of(Lift.SQUAT).loads()).contains(Tissue.SHOULDER, Tissue.ELBOW, Tissue.WRIST);
        assertThat(ALL.of(new Lift("safety-bar-squat")).loads()).doesNotContain(Tissue.WRIST);
    }
}
