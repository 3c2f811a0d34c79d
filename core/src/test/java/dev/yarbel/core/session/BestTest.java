package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BestTest {

    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);

    private static LiftedSet set(int kg, int reps, String effort) {
        return new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps, Effort.parse(effort));
    }

    private static SetDetails details(int helped, SetDetails.MissedBy why, boolean modified) {
        SetDetails helping = SetDetails.NONE.withHelp(helped);
        SetDetails missing = why == null ? helping : helping.missed(why);
        return modified ? missing.asked(SetUp.of(SetUp.Manner.ASSISTED)) : missing;
    }

    private static List<Best.PastSet> session(LocalDate on, List<LiftedSet> lifted) {
        return Best.PastSet.of(on, Optional.empty(), numbered(lifted));
    }

    private static List<DoneSet> numbered(List<LiftedSet> lifted) {
        List<DoneSet> done = new ArrayList<>();
        for (LiftedSet set : lifted) {
            done.add(new DoneSet(TaskKey.work("A", done.size() + 1), set));
        }
        return done;
    }

    @SafeVarargs
    private static List<Best.PastSet> sets(List<Best.PastSet>... sessions) {
        return Stream.of(sessions).flatMap(List::stream).toList();
    }

    private static Optional<Best> best(List<Best.PastSet> sets, Lift lift, int reps, Rpe most) {
        return Best.of(sets, lift, KindOfWork.straight(reps), false, reps, most);
    }

    /** Like is compared with like, and a warm-up with nothing. */
    @ParameterizedTest
    @CsvSource({
        "3x5 80%,true",
        "5x5 last +2.5kg,true",
        "3x5 80% speed,false",
        "3x5 80% tempo 4020,false",
        "3x5 80% +bands 10/35kg,false",
        "3x5 80% partial,false",
        "5x5 in 10min gap 30 80%,false",
        "3x5-8 80%,false"
    })
    void onlyTheSameWorkIsBeaten(String dose, boolean counts) {
        AskedDay asked = AskedDay.parse("A\tsquat\t" + dose).orElseThrow();
        List<DoneSet> done = List.of(
                new DoneSet(TaskKey.warmUp("A", 1), set(190, 5, "8")),
                new DoneSet(TaskKey.work("A", 1), set(150, 5, "8")));
        assertThat(best(Best.PastSet.of(MAY, Optional.of(asked), done), Lift.SQUAT, 5, Rpe.of(8))
                        .map(Best::load))
                .isEqualTo(counts ? Optional.of(Mass.ofKg(150)) : Optional.empty());
    }

    @Test
    void aBackOffIsNoNumberToBeatForWorkOfItsOwn() {
        AskedDay asked = AskedDay.parse("A\tsquat\t1 @8 then 3x5 -20%").orElseThrow();
        List<Best.PastSet> past = Best.PastSet.of(
                MAY,
                Optional.of(asked),
                List.of(
                        new DoneSet(TaskKey.work("A", 1), set(180, 1, "8")),
                        new DoneSet(TaskKey.work("A", 2), set(145, 5, "8"))));
        assertThat(best(past, Lift.SQUAT, 5, Rpe.of(8))).isEmpty();
        assertThat(Best.of(past, Lift.SQUAT, KindOfWork.straight(5), true, 5, Rpe.of(8)))
                .isPresent();
    }

    @Test
    void theNumberToBeatIsTheHeaviestForAsManyRepsAtThatRatingOrEasier() {
        List<Best.PastSet> log = sets(
                session(MAY, List.of(set(150, 5, "8"), set(155, 5, "9"), set(170, 3, "8"))),
                session(MAY.plusDays(7), List.of(set(152, 6, "7.5"), set(152, 5, "easy"), set(180, 5, "missed"))));
        assertThat(best(log, Lift.SQUAT, 5, Rpe.of(8)).orElseThrow())
                .isEqualTo(new Best(MAY.plusDays(7), Mass.ofKg(152), 6, Rpe.parse("7.5")));
        assertThat(best(log, Lift.SQUAT, 5, Rpe.of(9)).orElseThrow().load()).isEqualTo(Mass.ofKg(155));
        assertThat(best(log, Lift.SQUAT, 7, Rpe.of(10))).isEmpty();
        assertThat(best(log, Lift.DEADLIFT, 1, Rpe.of(10))).isEmpty();
    }

    @Test
    void helpedAndChangedSetsAreNoBestAndSayNothingOfAMax() {
        LiftedSet helped = set(160, 5, "9").with(details(1, null, false));
        LiftedSet banded = set(160, 5, "9").with(details(0, null, true));
        assertThat(best(session(MAY, List.of(helped, banded)), Lift.SQUAT, 5, Rpe.LIMIT))
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

    /** Heavier than anything for as many repetitions at no harder a rating; alone it is better than nothing. */
    @ParameterizedTest
    @CsvSource({
        "102, 5, 8, true",
        "100, 5, 8, false",
        "102, 5, 9, true",
        "102, 4, 8, false",
        "106, 4, 8, true",
        "100, 6, 8, false",
        "102, 5, missed, false",
        "102, 5, easy, false"
    })
    void aSetIsNewlyBestWhereEverythingLikeItWasLighter(int kg, int reps, String effort, boolean best) {
        List<Best.PastSet> before =
                session(MAY, List.of(set(100, 5, "8"), set(105, 4, "8"), set(120, 5, "9.5"), set(130, 1, "8")));
        Best.PastSet today =
                session(MAY.plusDays(7), List.of(set(kg, reps, effort))).get(0);
        assertThat(Best.isNew(today, before)).isEqualTo(best);
        assertThat(Best.isNew(today, List.of())).isFalse();
    }

    @Test
    void betterThanAllBeforeSinceADayIsToldOnceADayAndNewestFirst() {
        List<Best.PastSet> all = sets(
                session(MAY, List.of(set(100, 5, "8"))),
                session(MAY.plusDays(7), List.of(set(105, 5, "8"), set(110, 5, "9"), set(102, 5, "9"))),
                session(MAY.plusDays(14), List.of(set(107, 5, "9"))),
                session(MAY.plusDays(21), List.of(set(112, 5, "9"))));
        assertThat(Best.since(MAY, all))
                .extracting(best -> best.set().load())
                .containsExactly(Mass.ofKg(112), Mass.ofKg(110));
        assertThat(Best.since(MAY.plusDays(8), all)).hasSize(1);
        assertThat(Best.since(MAY.plusDays(22), all)).isEmpty();
    }
}
