package dev.yarbel.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.effort.SpeedTable;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class PracticeTest {

    private static SpeedTable table(int sets) {
        SpeedTable.Builder builder = new SpeedTable.Builder();
        for (int i = 0; i < sets; i++) {
            // none left at 0.20, each repetition 0.06 faster
            builder.add(Rpe.withHalvesLeft(i % 9), new BarSpeed(200 + 30 * (i % 9)));
        }
        return builder.build();
    }

    @Test
    void aDrawnSetMovesAsTheLiftersOwnDo() {
        for (long number = 0; number < 500; number++) {
            DrawnSet drawn = DrawnSet.of(Optional.of(table(36)), number);
            assertThat(drawn.own()).isTrue();
            for (int rep = 1; rep <= drawn.reps(); rep++) {
                int after = drawn.reps() - rep + drawn.left();
                assertThat(drawn.speeds().get(rep - 1).millimetres()).isCloseTo(200 + 60 * after, within(25));
            }
        }
    }

    @Test
    void everyAnswerComesUpAndTheSameNumberDrawsTheSame() {
        List<DrawnSet> drawn = LongStream.range(0, 300)
                .mapToObj(number -> DrawnSet.of(Optional.empty(), number))
                .toList();
        assertThat(drawn.stream().map(DrawnSet::left).distinct()).containsExactlyInAnyOrder(0, 1, 2, 3, 4);
        assertThat(drawn.stream().map(DrawnSet::reps).distinct()).containsExactlyInAnyOrder(2, 3, 4, 5, 6);
        assertThat(drawn).noneMatch(DrawnSet::own);
        assertThat(DrawnSet.of(Optional.empty(), 7)).isEqualTo(drawn.get(7));
        assertThat(DrawnSet.of(Optional.of(table(5)), 7)).as("too thin").isEqualTo(drawn.get(7));
    }

    /** Zourdos et al. 2016: experienced squatters move their single best at 0.24 ± 0.04 m/s. */
    @Test
    void nobodysLimitIsThatOfExperiencedSquatters() {
        double mean = LongStream.range(0, 2000)
                .mapToObj(number -> DrawnSet.of(Optional.empty(), number))
                .filter(drawn -> drawn.left() == 0)
                .mapToInt(drawn -> drawn.speeds().get(drawn.reps() - 1).millimetres())
                .average()
                .orElseThrow();
        assertThat(mean).isCloseTo(240, within(3.0));
    }

    @Test
    void theScoreIsThatOfTheLatestBesideThoseBefore() {
        assertThat(PracticeScore.of(List.of())).isEmpty();
        List<PracticeScore.Guess> guesses = new ArrayList<>();
        IntStream.range(0, 10).forEach(i -> guesses.add(new PracticeScore.Guess(8, 4)));
        assertThat(PracticeScore.of(guesses).orElseThrow().before()).isEmpty();
        IntStream.range(0, 10).forEach(i -> guesses.add(new PracticeScore.Guess(i % 2 * 2 + 2, 2)));
        PracticeScore score = PracticeScore.of(guesses).orElseThrow();
        assertThat(score.off()).isEqualByComparingTo("0.5");
        assertThat(score.before().orElseThrow()).isEqualByComparingTo("2");
        assertThat(score.more()).isEqualByComparingTo("0.5");
        assertThat(score.isBetter()).isTrue();
    }

    private static LiftedSet squat(String kg, int reps, String effort) {
        return new LiftedSet(Lift.SQUAT, Mass.of(kg, MassUnit.KG), reps, Effort.parse(effort));
    }

    private static LiftedSet limit(String kg, int reps) {
        return squat(kg, reps, "10").with(SetDetails.NONE.proven(SetDetails.Proof.LIMIT_SET));
    }

    @Test
    void theLimitShowsWhatRatingsWereWorth() {
        // eight went with 150: the four before it, rated 8, left four
        List<Hindsight> seen =
                Hindsight.of(List.of(squat("150", 4, "8"), limit("150", 8), squat("150", 8, "easy")), RepCurve.DEFAULT);
        assertThat(seen).hasSize(1);
        assertThat(seen.get(0).said()).isEqualTo(4);
        assertThat(seen.get(0).was()).isEqualTo(8);
        // a lighter load would have gone on for longer than anybody can say
        assertThat(Hindsight.of(List.of(squat("60", 5, "6"), limit("150", 8)), RepCurve.DEFAULT)
                        .get(0)
                        .was())
                .isEqualTo(Hindsight.MOST_HALVES);
        // more than the limit set was good for left nothing
        assertThat(Hindsight.of(List.of(squat("180", 5, "8"), limit("150", 8)), RepCurve.DEFAULT)
                        .get(0)
                        .was())
                .isZero();
    }

    @Test
    void whatProvesNothingShowsNothing() {
        assertThat(Hindsight.of(List.of(squat("150", 4, "8"), squat("150", 8, "10")), RepCurve.DEFAULT))
                .isEmpty();
        LiftedSet slow = squat("150", 4, "8").with(SetDetails.NONE.asked(SetUp.parse("tempo 4020")));
        assertThat(Hindsight.of(List.of(slow, limit("150", 8)), RepCurve.DEFAULT))
                .isEmpty();
        // a miss for want of strength is a limit too
        assertThat(Hindsight.of(List.of(squat("150", 4, "8"), squat("150", 6, "missed")), RepCurve.DEFAULT))
                .hasSize(1);
    }
}
