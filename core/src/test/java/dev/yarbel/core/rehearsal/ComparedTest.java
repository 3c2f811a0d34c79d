package dev.yarbel.core.rehearsal;

import static dev.yarbel.core.rehearsal.Stages4Tests.block;
import static dev.yarbel.core.rehearsal.Stages4Tests.rehearsed;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.lift.Lift;
import org.junit.jupiter.api.Test;

/** Two rehearsals beside each other, lifter by lifter. */
class ComparedTest {

    private static final Rehearsal HARD = rehearsed(block(4, "0 squat 5x5 86%, bench-press 3x5 75%"));
    private static final Rehearsal EASY = rehearsed(block(4, "0 squat 5x5 80%, bench-press 3x5 75%"));

    @Test
    void aPlanBesideItselfHasNoDifference() {
        Compared same = Compared.of(HARD, rehearsed(block(4, "0 squat 5x5 86%, bench-press 3x5 75%")));
        assertThat(same.missed()).isEqualTo(new Compared.Difference(0, 0, 0));
        assertThat(same.ready()).containsOnlyKeys(Lift.SQUAT, Lift.BENCH_PRESS);
        assertThat(same.ready().values()).containsOnly(new Compared.Difference(0, 0, 0));
    }

    /** No lifter misses more with less on the bar; turned round, the shares change places. */
    @Test
    void whoMissesWithLessMissesWithMore() {
        Compared compared = Compared.of(EASY, HARD);
        assertThat(compared.missed().less()).isZero();
        assertThat(compared.missed().more()).isGreaterThan(0.5);
        Compared.Difference turned = Compared.of(HARD, EASY).missed();
        assertThat(turned.less()).isEqualTo(compared.missed().more());
        assertThat(turned.more()).isZero();
    }

    /** What each lifter missed adds up to what the weeks say may be expected. */
    @Test
    void theLiftersAddUpToTheWeeks() {
        double ofLifters =
                HARD.lifters().stream().mapToInt(OneLifter::missed).average().orElseThrow();
        double ofWeeks =
                HARD.weeks().stream().mapToDouble(WeekOutlook::missedSets).sum();
        assertThat(ofLifters).isCloseTo(ofWeeks, within(1e-9));
    }

    /** A last week that is easy leaves less to recover from on its last day. */
    @Test
    void anEasyLastWeekLeavesMoreToBeReadyWith() {
        Rehearsal through = rehearsed(block(3, "0 squat 4x4 80%", "3 squat 4x4 80%", "5 squat 4x4 80%"));
        Rehearsal easy = rehearsed(block(
                3, "0 squat 4x4 80%|4x4 80%|2x2 60%", "3 squat 4x4 80%|4x4 80%|2x2 60%", "5 squat 4x4 80%|4x4 80%|-"));
        Compared.Difference ready = Compared.of(through, easy).ready().get(Lift.SQUAT);
        assertThat(ready.middle()).isGreaterThan(0);
        assertThat(ready.more()).isGreaterThan(ready.less());
    }

    @Test
    void onlyTheSameLiftersAreCompared() {
        Rehearsal fewer = Rehearsal.of(Stages4Tests.staged(block(4, "0 squat 5x5 86%")), new Manner(false, 0.5, 20, 1))
                .orElseThrow();
        assertThatThrownBy(() -> Compared.of(HARD, fewer)).isInstanceOf(IllegalArgumentException.class);
    }
}
