package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.contest.EventStanding.Trained;
import dev.yarbel.core.contest.EventStanding.Way;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EventStandingTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 9);
    private static final Optional<Mass> LOAD = Optional.of(Mass.ofKg(100));

    private static Trained set(int daysAgo, int kg, int reps, SetDetails details) {
        return new Trained(
                DAY.minusDays(daysAgo),
                new LiftedSet(new Lift("log-press"), Mass.ofKg(kg), reps, Effort.parse("9"), details));
    }

    private static Trained set(int daysAgo, int kg, int reps) {
        return set(daysAgo, kg, reps, SetDetails.NONE);
    }

    private static SetDetails timed(int seconds, Optional<Length> far) {
        return SetDetails.NONE.over(Optional.of(Duration.ofSeconds(seconds)), far);
    }

    private static EventStanding of(EventMeasure measure, Trained... sets) {
        return EventStanding.of(AnnouncedEvent.of(measure, LOAD), List.of(sets), Optional.empty());
    }

    /** Eight with a bar that is too light say nothing of the announced one. */
    @Test
    void onlyAboutTheAnnouncedLoadCounts() {
        EventStanding standing = of(EventMeasure.REPS, set(20, 100, 5), set(10, 97, 6), set(8, 96, 9), set(3, 110, 4));
        assertThat(standing.best().orElseThrow().amount()).isEqualByComparingTo("6");
        assertThat(standing.best().orElseThrow().on()).isEqualTo(DAY.minusDays(10));
        assertThat(standing.lately()).hasSize(3);
    }

    @Test
    void forTheHeaviestLoadAnyCounts() {
        assertThat(of(EventMeasure.LOAD, set(20, 80, 1), set(10, 95, 1))
                        .best()
                        .orElseThrow()
                        .amount())
                .isEqualByComparingTo("95");
    }

    @ParameterizedTest
    @CsvSource({"5 5 5 6 6 6, UP", "6 6 6 5 5 5, DOWN", "6 5 6 6 5 6, LEVEL", "5 6 7, UNKNOWN", "5 5 6 6, UP"})
    void howItGoesIsToldFromTheLaterHalf(String reps, Way way) {
        List<Trained> sets = new ArrayList<>();
        for (String one : reps.split(" ")) {
            sets.add(set(60 - 7 * sets.size(), 100, Integer.parseInt(one)));
        }
        assertThat(EventStanding.of(AnnouncedEvent.of(EventMeasure.REPS, LOAD), sets, Optional.empty())
                        .way())
                .isEqualTo(way);
    }

    /** 20 m in 10 s are two metres a second, whatever the course of the day is. */
    @Test
    void aTimedCourseIsHeldByItsSpeed() {
        SetDetails timed = timed(10, Optional.of(Length.ofCm(2000)));
        EventStanding standing = of(EventMeasure.TIME, set(5, 100, 1, timed), set(3, 100, 1));
        assertThat(standing.best().orElseThrow().amount()).isEqualByComparingTo("2");
        assertThat(of(EventMeasure.DISTANCE, set(5, 100, 1, timed))
                        .best()
                        .orElseThrow()
                        .amount())
                .isEqualByComparingTo("20");
        assertThat(of(EventMeasure.HOLD, set(5, 100, 1, timed(35, Optional.empty())))
                        .best()
                        .orElseThrow()
                        .amount())
                .isEqualByComparingTo("35");
        assertThat(of(EventMeasure.HOLD, set(5, 100, 1, timed)).best()).isEmpty();
    }

    @Test
    void repetitionsAMinuteAreThoseOfTheBestSet() {
        assertThat(of(EventMeasure.REPS, set(5, 100, 8, timed(60, Optional.empty())))
                        .aMinute())
                .contains(new BigDecimal("8.0"));
        assertThat(of(EventMeasure.REPS, set(5, 100, 6, timed(48, Optional.empty())))
                        .aMinute())
                .contains(new BigDecimal("7.5"));
        assertThat(of(EventMeasure.REPS, set(5, 100, 6)).aMinute()).isEmpty();
    }

    /** Epley 1985: the max is the load times 1 + reps / 30, so that 120 kg are good for six with 100 kg. */
    @Test
    void theEstimateSaysHowManyMayBeThere() {
        EventStanding.Max max = new EventStanding.Max(
                new MaxEstimate(Mass.ofKg(121), Mass.ofKg(5), List.of()), RepCurve.parse(RepFormula.EPLEY.key()));
        EventStanding.Expected reps = EventStanding.of(
                        AnnouncedEvent.of(EventMeasure.REPS, LOAD), List.of(), Optional.of(max))
                .byEstimate()
                .orElseThrow();
        assertThat(reps.middle()).isEqualByComparingTo("6");
        assertThat(reps.low()).isLessThan(reps.middle());
        assertThat(reps.high()).isGreaterThan(reps.middle());
        EventStanding.Expected load = EventStanding.of(
                        AnnouncedEvent.of(EventMeasure.LOAD, LOAD), List.of(), Optional.of(max))
                .byEstimate()
                .orElseThrow();
        assertThat(load.middle()).isEqualByComparingTo("121");
        assertThat(EventStanding.of(AnnouncedEvent.of(EventMeasure.TIME, LOAD), List.of(), Optional.of(max))
                        .byEstimate())
                .isEmpty();
    }

    /** Beyond what is there nothing is made up: no repetition with more than the max. */
    @Test
    void moreThanTheMaxIsNoRepetition() {
        EventStanding.Max max =
                new EventStanding.Max(new MaxEstimate(Mass.ofKg(90), Mass.ofKg(2), List.of()), RepCurve.DEFAULT);
        assertThat(EventStanding.of(AnnouncedEvent.of(EventMeasure.REPS, LOAD), List.of(), Optional.of(max))
                        .byEstimate()
                        .orElseThrow()
                        .high())
                .isEqualByComparingTo("0");
    }

    /** The course of the day at the pace of training: 20 m in 10 s are 15 s for 30 m. */
    @Test
    void anAnnouncedCourseTakesAsLongAsTrainingSays() {
        AnnouncedEvent yoke = new AnnouncedEvent(
                EventMeasure.TIME, LOAD, List.of(), Optional.of(Length.ofCm(3000)), Optional.empty());
        EventStanding.Expected time = EventStanding.of(
                        yoke,
                        List.of(
                                set(9, 100, 1, timed(10, Optional.of(Length.ofCm(2000)))),
                                set(2, 100, 1, timed(12, Optional.of(Length.ofCm(2000))))),
                        Optional.empty())
                .byPace()
                .orElseThrow();

        assertThat(time.low()).isEqualByComparingTo("15.0");
        assertThat(time.high()).isEqualByComparingTo("18.0");
        assertThat(time.middle()).isBetween(time.low(), time.high());
        assertThat(of(EventMeasure.TIME, set(9, 100, 1, timed(10, Optional.of(Length.ofCm(2000)))))
                        .byPace())
                .isEmpty();
    }

    /** A series ends at the first piece that is too heavy. */
    @Test
    void ofASeriesAsManyAsAreNotTooHeavy() {
        AnnouncedEvent stones = new AnnouncedEvent(
                EventMeasure.PIECES,
                Optional.empty(),
                List.of(Mass.ofKg(100), Mass.ofKg(115), Mass.ofKg(121), Mass.ofKg(130), Mass.ofKg(160)),
                Optional.empty(),
                Optional.empty());
        EventStanding.Max max = new EventStanding.Max(
                new MaxEstimate(Mass.ofKg(121), Mass.ofKg(5), List.of()), RepCurve.parse(RepFormula.EPLEY.key()));
        EventStanding.Expected pieces = EventStanding.of(stones, List.of(), Optional.of(max))
                .byEstimate()
                .orElseThrow();

        assertThat(pieces.middle()).isEqualByComparingTo("3");
        assertThat(EventStanding.of(stones, List.of(set(3, 90, 8), set(2, 100, 4)), Optional.empty())
                        .best()
                        .orElseThrow()
                        .amount())
                .as("lighter than the lightest says nothing")
                .isEqualByComparingTo("4");
        assertThat(pieces.low()).isLessThanOrEqualTo(pieces.middle());
        assertThat(pieces.high()).isGreaterThanOrEqualTo(pieces.middle());
    }
}
