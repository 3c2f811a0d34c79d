package dev.yarbel.core.weekly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.TaskKey;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpanSeenTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    /** A session of squats asked for as {@code 1 @8} and {@code 2x5}, with sets like {@code A 180x1 9}. */
    private static SeenSession session(LocalDate on, String pain, String... sets) {
        AskedDay asked = new AskedDay(
                false,
                List.of(
                        new AskedDay.Line("A", Lift.SQUAT, Dose.parse("1 @8"), List.of()),
                        new AskedDay.Line("B", Lift.SQUAT, Dose.parse("2x5 140kg"), List.of())));
        List<DoneSet> done = new ArrayList<>();
        for (String set : sets) {
            String[] parts = set.split("[ x]");
            int number = (int) done.stream()
                            .filter(before -> before.task().letter().equals(parts[0]))
                            .count()
                    + 1;
            done.add(new DoneSet(
                    TaskKey.work(parts[0], number),
                    new LiftedSet(
                            Lift.SQUAT,
                            Mass.ofKg(Integer.parseInt(parts[1])),
                            Integer.parseInt(parts[2]),
                            Effort.parse(parts[3]))));
        }
        return new SeenSession(on, Optional.of(asked), done, Optional.ofNullable(pain));
    }

    private static MaxEstimate estimate(String... moves) {
        List<MaxEstimate.Movement> movements = Stream.of(moves)
                .map(move -> move.split(" "))
                .map(move -> new MaxEstimate.Movement(
                        MONDAY.plusDays(Long.parseLong(move[0])),
                        Mass.ofKg(Long.parseLong(move[1])),
                        Mass.ofKg(Long.parseLong(move[1])),
                        Mass.ofKg(4),
                        List.of()))
                .toList();
        return new MaxEstimate(movements.get(movements.size() - 1).after(), Mass.ofKg(4), movements);
    }

    private static SpanSeen week(List<SeenSession> log, Optional<MaxEstimate> estimate, LocalDate... notDone) {
        return SpanSeen.week(MONDAY, List.of(notDone), log, lift -> LiftNumbers.NONE, lift -> estimate);
    }

    @Test
    void aWeekIsWhatWasLiftedFromItsMondayToItsSunday() {
        SpanSeen week = week(
                List.of(
                        session(MONDAY.minusDays(1), null, "A 190x1 8"),
                        session(MONDAY, null, "A 180x1 9", "B 140x5 8", "B 140x5 8"),
                        session(MONDAY.plusDays(6), "left knee", "A 170x1 7", "B 140x4 missed"),
                        session(MONDAY.plusDays(7), null, "A 200x1 8")),
                Optional.of(estimate("-1 198", "0 200", "6 197", "7 210")),
                MONDAY.plusDays(3));
        assertThat(week.sessions()).hasSize(2);
        assertThat(week.sessionsAsked()).isEqualTo(3);
        assertThat(week.setsAsked()).isEqualTo(6);
        assertThat(week.setsDone()).isEqualTo(5);
        assertThat(week.pain()).containsExactly("left knee");
        assertThat(week.lifts()).singleElement().satisfies(squat -> {
            assertThat(squat.best().orElseThrow().set().load()).isEqualTo(Mass.ofKg(180));
            assertThat(squat.rated()).isEqualTo(2);
            assertThat(squat.over()).isOne();
            assertThat(squat.under()).isOne();
            assertThat(squat.onTarget()).isZero();
            assertThat(squat.missed()).isOne();
            assertThat(squat.estimate()).contains(Mass.ofKg(197));
            assertThat(squat.moved()).contains(Mass.ofKg(-1));
        });
    }

    /** Pounds written as kilograms are nobody's best set. */
    @Test
    void aSetPerhapsInTheOtherUnitIsNotTheBest() {
        AskedDay asked = new AskedDay(
                false,
                List.of(new AskedDay.Line(
                        "A",
                        Lift.SQUAT,
                        Dose.parse("3x5 140kg"),
                        List.of(new AskedDay.Stood(Optional.of(Mass.ofKg(140)), false)))));
        SeenSession told = session(MONDAY, null, "A 140x5 8", "A 309x5 8");
        LiftSpan squat = week(
                        List.of(new SeenSession(MONDAY, Optional.of(asked), told.done(), Optional.empty())),
                        Optional.empty())
                .lifts()
                .get(0);
        assertThat(squat.best().orElseThrow().set().load()).isEqualTo(Mass.ofKg(140));
        assertThat(squat.doubtful()).isOne();
    }

    @Test
    void whatIsNotKnownIsNotTold() {
        SpanSeen week = week(List.of(session(MONDAY, null, "A 180x1 done")), Optional.empty());
        assertThat(week.lifts()).singleElement().satisfies(squat -> {
            assertThat(squat.rated()).isZero();
            assertThat(squat.estimate()).isEmpty();
            assertThat(squat.moved()).isEmpty();
        });
        // an estimate that begins in the week has moved from nothing
        assertThat(week(List.of(session(MONDAY, null, "A 180x1 8")), Optional.of(estimate("0 200")))
                        .lifts()
                        .get(0)
                        .moved())
                .isEmpty();
        assertThat(week(List.of(), Optional.empty()).isEmpty()).isTrue();
        assertThat(week(List.of(), Optional.empty(), MONDAY).isEmpty()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-09, 2026-03-02",
        "2026-03-11, 2026-03-02",
        "2026-03-12, 2026-03-09",
        "2026-03-15, 2026-03-09",
        "2026-03-16, 2026-03-09"
    })
    void theWeekThatIsReviewedIsTheOneThatIsMostlyOver(LocalDate today, LocalDate monday) {
        assertThat(SpanSeen.reviewedOn(today)).isEqualTo(monday);
        assertThat(monday.getDayOfWeek()).isEqualTo(DayOfWeek.MONDAY);
    }

    @Test
    void aWeekBeginsOnAMonday() {
        assertThatThrownBy(() -> SpanSeen.week(
                        MONDAY.plusDays(1), List.of(), List.of(), lift -> LiftNumbers.NONE, lift -> Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
