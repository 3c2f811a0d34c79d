package dev.yarbel.lab.lifter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class SimulatedLifterTest {

    private static final List<Life> LIVES = LongStream.range(0, 60)
            .mapToObj(seed -> SimulatedLifter.of(seed).live(52))
            .toList();

    private static List<LiftedSet> sets() {
        return LIVES.stream()
                .flatMap(life -> life.sessions().stream())
                .flatMap(session -> session.sets().stream())
                .toList();
    }

    private static double share(List<LiftedSet> all, Predicate<LiftedSet> which) {
        return (double) all.stream().filter(which).count() / all.size();
    }

    @Test
    void theSameSeedLivesTheSameLifeAndAnotherAnotherOne() {
        assertThat(SimulatedLifter.of(7).live(20))
                .isEqualTo(SimulatedLifter.of(7).live(20));
        assertThat(SimulatedLifter.of(8).live(20))
                .isNotEqualTo(SimulatedLifter.of(7).live(20));
    }

    @Test
    void theyTrainMostOfThreeTimesAWeekInOrderAndSomeStayAwayForWeeks() {
        assertThat(LIVES).allSatisfy(life -> {
            assertThat(life.sessions()).isSortedAccordingTo(Comparator.comparing(LiftedSession::date));
            assertThat(life.sessions()).hasSizeBetween(110, 155);
            assertThat(life.weeks()).hasSize(52);
        });
        long away = LIVES.stream().filter(SimulatedLifterTest::stayedAway).count();
        assertThat(away).isBetween(12L, 36L);
    }

    private static boolean stayedAway(Life life) {
        for (int i = 1; i < life.sessions().size(); i++) {
            if (life.sessions()
                    .get(i - 1)
                    .date()
                    .plusDays(14)
                    .isBefore(life.sessions().get(i).date())) {
                return true;
            }
        }
        return false;
    }

    /** Nobody doubles a squat within a year, and nobody loses a quarter of it. */
    @Test
    void theTruthMovesAsTrainingMovesPeople() {
        assertThat(LIVES).allSatisfy(life -> {
            for (Lift lift : life.tested().keySet()) {
                double first = life.weeks().get(0).standing().get(lift);
                assertThat(life.tested().get(lift)).isCloseTo(first, within(0.1 * first));
                for (int week = 1; week < life.weeks().size(); week++) {
                    double before = life.weeks().get(week - 1).standing().get(lift);
                    double now = life.weeks().get(week).standing().get(lift);
                    assertThat(now / before).isBetween(0.98, 1.02);
                    assertThat(now / first).isBetween(0.9, 1.25);
                }
            }
        });
    }

    @Test
    void whatTheyLogLooksLikeALog() {
        List<LiftedSet> all = sets();
        assertThat(share(all, set -> set.effort().isMissed())).isBetween(0.01, 0.15);
        assertThat(share(all, set -> set.effort().isMoreThanFourLeft())).isBetween(0.05, 0.5);
        assertThat(share(all, set -> set.effort().equals(Effort.rated(Rpe.of(8)))))
                .isBetween(0.05, 0.3);
        assertThat(all).allSatisfy(set -> assertThat(set.load().isPositive()).isTrue());
    }

    /** The published formulas at their own steepness: Brzycki 1993 and Lombardi 1989 at ten repetitions. */
    @ParameterizedTest
    @CsvSource({"LINE, 10, 0.75", "POWER, 10, 0.7943", "HYPERBOLA, 10, 0.7532", "EXPONENTIAL, 1, 1"})
    void aShapeIsThatOfItsFormula(RepFamily family, double reps, double share) {
        assertThat(family.share(reps, 1)).isCloseTo(share, within(0.0001));
    }

    @ParameterizedTest
    @EnumSource(RepFamily.class)
    void aShapeGivesTheWholeMaxForASingleFallsAndIsReadBothWays(RepFamily family) {
        for (double steepness : new double[] {0.7, 1, 1.4}) {
            assertThat(family.share(1, steepness)).isEqualTo(1);
            for (double reps = 1.5; reps < 15; reps += 0.5) {
                assertThat(family.share(reps, steepness)).isLessThan(family.share(reps - 0.5, steepness));
                assertThat(family.repsAt(family.share(reps, steepness), steepness))
                        .isCloseTo(reps, within(0.001));
            }
        }
        assertThat(family.repsAt(1.05, 1)).isLessThan(1);
    }
}
