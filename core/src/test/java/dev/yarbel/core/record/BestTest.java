package dev.yarbel.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class BestTest {

    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);

    private static LiftedSet set(int kg, int reps, String effort) {
        return new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps, Effort.parse(effort));
    }

    private static SetDetails details(int helped, SetDetails.MissedBy why, boolean modified) {
        SetDetails none = SetDetails.NONE;
        return new SetDetails(
                helped,
                Optional.ofNullable(why),
                none.speed(),
                none.worn(),
                none.video(),
                none.partner(),
                none.coach(),
                none.note(),
                none.time(),
                none.distance(),
                modified);
    }

    @Test
    void theNumberToBeatIsTheHeaviestForAsManyRepsAtThatRatingOrEasier() {
        List<LiftedSession> log = List.of(
                new LiftedSession(MAY, List.of(set(150, 5, "8"), set(155, 5, "9"), set(170, 3, "8"))),
                new LiftedSession(
                        MAY.plusDays(7), List.of(set(152, 6, "7.5"), set(152, 5, "easy"), set(180, 5, "missed"))));
        assertThat(Best.of(log, Lift.SQUAT, 5, Rpe.of(8)).orElseThrow())
                .isEqualTo(new Best(MAY.plusDays(7), Mass.ofKg(152), 6, Rpe.parse("7.5")));
        assertThat(Best.of(log, Lift.SQUAT, 5, Rpe.of(9)).orElseThrow().load()).isEqualTo(Mass.ofKg(155));
        assertThat(Best.of(log, Lift.SQUAT, 7, Rpe.of(10))).isEmpty();
        assertThat(Best.of(log, Lift.DEADLIFT, 1, Rpe.of(10))).isEmpty();
    }

    @Test
    void helpedAndChangedSetsAreNoBestAndSayNothingOfAMax() {
        LiftedSet helped = set(160, 5, "9").with(details(1, null, false));
        LiftedSet banded = set(160, 5, "9").with(details(0, null, true));
        assertThat(Best.of(List.of(new LiftedSession(MAY, List.of(helped, banded))), Lift.SQUAT, 5, Rpe.LIMIT))
                .isEmpty();
        assertThat(helped.repsThatEstimate()).isEmpty();
        assertThat(banded.repsThatEstimate()).isEmpty();
        assertThat(set(160, 5, "9").repsThatEstimate()).isPresent();
    }

    @Test
    void onlyAMissForWantOfStrengthSaysSomethingOfAMax() {
        LiftedSet missed = set(160, 3, "missed");
        assertThat(missed.repsThatEstimate()).isPresent();
        assertThat(missed.with(details(0, SetDetails.MissedBy.STRENGTH, false)).repsThatEstimate())
                .isPresent();
        assertThat(missed.with(details(0, SetDetails.MissedBy.GRIP, false)).repsThatEstimate())
                .isEmpty();
        assertThat(missed.with(details(0, SetDetails.MissedBy.PAIN, false)).repsThatEstimate())
                .isEmpty();
    }

    @Test
    void workWithTheBodyAloneHasNoLoadAndNoMax() {
        LiftedSet set = new LiftedSet(Lift.SQUAT, Mass.ZERO, 10, Effort.parse("8"));
        assertThat(set.repsThatEstimate()).isEmpty();
        assertThat(new LiftedSet(Lift.SQUAT, Mass.ofKg(50), 1, Effort.parse("done")).repsThatEstimate())
                .isEmpty();
    }

    @Test
    void noMoreRepsAreHelpedThanWereMade() {
        assertThatThrownBy(() -> set(160, 2, "9").with(details(3, null, false)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
