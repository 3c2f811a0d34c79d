package dev.yarbel.core.school;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.PredictedEffort;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.HardSets;
import java.util.List;
import org.junit.jupiter.api.Test;

class HighFrequencyTest {

    /** Common practice, no source: 60 to 80 %, RPE 7 to 9; by our own words it used to have no hard set at all. */
    @Test
    void everySessionOfTheLiftItselfIsHardAndRates7To9AtItsEnd() {
        Block block = Drawings.draw(Drawings.request(
                Drawings.all(School.HIGH_FREQUENCY, Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT),
                8,
                List.of(0, 1, 3, 4),
                0));
        Resolver resolver = Drawings.resolver();
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        for (int week = 0; week < block.weeks(); week++) {
            for (int day = 0; day < block.days().size(); day++) {
                for (int i = 0; i < projection.prescriptions(day, week).size(); i++) {
                    var asked = projection.prescriptions(day, week).get(i);
                    if (Drawings.MAXES.containsKey(asked.lift())) {
                        var load = projection.loads(day, week).get(i).load().orElseThrow();
                        var numbers = resolver.numbers(asked.lift());
                        assertThat(HardSets.isHard(asked.part(), load, numbers))
                                .as(asked.part().shorthand())
                                .isTrue();
                        assertThat(PredictedEffort.of(asked, load, numbers))
                                .as(asked.lift() + " " + asked.part().shorthand())
                                .get()
                                .isInstanceOfSatisfying(PredictedEffort.About.class, about -> assertThat(about.rpe())
                                        .isBetween(Rpe.parse("6.5"), Rpe.of(9)));
                    }
                }
            }
        }
    }
}
