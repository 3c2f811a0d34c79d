package dev.yarbel.core.school;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class AssistanceTest {

    static Stream<Assistance.Line> lines() {
        return Assistance.lines().stream();
    }

    /** The table names lifts there are, and no lift that is contested as it stands. */
    @ParameterizedTest
    @MethodSource("lines")
    void everyExerciseOfTheListIsKnown(Assistance.Line line) {
        assertThat(line.lifts()).isNotEmpty().allSatisfy(lift -> assertThat(Catalogue.STANDARD.find(lift))
                .as(lift.key())
                .isPresent());
        assertThat(line.of().equals("*")
                        || Catalogue.STANDARD.root(new Lift(line.of())).key().equals(line.of()))
                .isTrue();
    }

    @ParameterizedTest
    @EnumSource(WeakPoint.class)
    void everyWeakPointIsAnsweredSomewhere(WeakPoint weak) {
        assertThat(Assistance.lines()).anyMatch(line -> line.against().equals(Optional.of(weak)));
    }

    /** Common practice, no source. */
    @ParameterizedTest
    @CsvSource({
        "deadlift, AT_THE_KNEE, romanian-deadlift, back-extension",
        "deadlift, OFF_THE_FLOOR, deficit-deadlift, belt-squat",
        "squat, HIPS_RISE, high-bar-squat, paused-squat",
        "squat, FOLDS_FORWARD, barbell-row, safety-bar-squat",
        "bench-press, AT_THE_CHEST, paused-bench-press, dumbbell-row",
        "bench-press, AT_LOCKOUT, close-grip-bench-press, triceps-extension",
        "yoke-walk, LATE, sandbag-carry, barbell-row",
        "deadlift, GRIP, shrug, barbell-row",
    })
    void theWeakPointIsAnsweredFirst(String lift, WeakPoint weak, String first, String second) {
        assertThat(Assistance.of(new Lift(lift), Optional.of(weak), any -> true, 2))
                .extracting(choice -> choice.lift().key())
                .containsExactly(first, second);
    }

    @Test
    void whatTheGymHasNothingForIsPassedOver() {
        assertThat(Assistance.of(
                        Lift.SQUAT, Optional.empty(), lift -> lift.key().equals("leg-press"), 4))
                .extracting(choice -> choice.lift().key())
                .containsExactly("leg-press");
        assertThat(Assistance.of(Lift.SQUAT, Optional.empty(), lift -> false, 4))
                .isEmpty();
    }

    /** More than the four exercises there used to be, and none twice. */
    @ParameterizedTest
    @EnumSource(School.class)
    void everySchoolHasAssistance(School school) {
        Lift lift = school == School.EVENTS ? new Lift("log-press") : Lift.BENCH_PRESS;
        List<String> purposes = Drawings.draw(Drawings.request(
                        Map.of(lift, LiftRequest.of(school).with(WeakPoint.AT_LOCKOUT)),
                        school.leastWeeks(),
                        List.of(0, 2, 4),
                        0))
                .days()
                .stream()
                .flatMap(day -> day.slots().stream())
                .map(slot -> slot.reason().orElseThrow())
                .toList();
        assertThat(purposes).contains("TRICEPS");
    }

    @ParameterizedTest
    @EnumSource(School.class)
    void noMoreAssistanceStandsBesideASessionThanIsWanted(School school) {
        Lift lift = school == School.EVENTS ? new Lift("log-press") : Lift.BENCH_PRESS;
        int none = slots(lift, LiftRequest.of(school).withAssistance(0));
        int one = slots(lift, LiftRequest.of(school).withAssistance(1));
        int usual = slots(lift, LiftRequest.of(school));
        assertThat(none).isLessThan(one);
        assertThat(one).isLessThanOrEqualTo(usual);
        assertThat(slots(lift, LiftRequest.of(school).withAssistance(9))).isEqualTo(usual);
    }

    private static int slots(Lift lift, LiftRequest wanted) {
        return Drawings.draw(
                        Drawings.request(Map.of(lift, wanted), wanted.school().leastWeeks(), List.of(0, 2, 4), 0))
                .days()
                .stream()
                .mapToInt(day -> day.slots().size())
                .sum();
    }
}
