package dev.yarbel.core.lift;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Percent;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The table of lifts can be read, and says of each what has to be known of it. */
class StandardLiftsTest {

    private static final List<Variation> ALL = StandardLifts.all();

    @Test
    void eachStandsOnceAndAfterWhatItIsAVariationOf() {
        Set<Lift> before = new HashSet<>();
        for (Variation variation : ALL) {
            assertThat(before.add(variation.lift()))
                    .as("%s once", variation.lift())
                    .isTrue();
            variation.parent().ifPresent(ratio -> assertThat(before).contains(ratio.to()));
        }
        assertThat(before).contains(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT, Lift.OVERHEAD_PRESS);
    }

    /** A guess at a lift that nobody has tried errs on the light side of what people do: none is beyond three halves. */
    @Test
    void ratiosAndRecoveryAreWithinWhatTheyAreFor() {
        assertThat(ALL).allSatisfy(variation -> {
            variation.parent().ifPresent(ratio -> assertThat(ratio.share()).isBetween(Percent.of(10), Percent.of(150)));
            assertThat(variation.recovery()).isIn(Percent.of(85), Percent.HUNDRED, Percent.of(110));
        });
    }

    @Test
    void whateverTrainsAMuscleLoadsSomePlace() {
        assertThat(ALL)
                .filteredOn(variation -> !variation.trains().isEmpty())
                .allSatisfy(variation -> assertThat(variation.loads()).isNotEmpty());
    }
}
