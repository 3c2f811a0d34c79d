package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.rehearsal.Likely;
import dev.yarbel.core.rehearsal.MaxOutlook;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class DayStrengthTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);
    private static final List<Lift> LIFTS = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);

    private static LifterStrength strength(String doubt, Map<Lift, Integer> maxes) {
        List<MaxOnRecord> tested = maxes.entrySet().stream()
                .map(max ->
                        new MaxOnRecord(max.getKey(), Mass.ofKg(max.getValue()), TODAY.minusDays(1), Percent.of(doubt)))
                .toList();
        return StrengthHistory.of(new StrengthFilter(Catalogue.STANDARD, Overrules.NONE), tested, List.of())
                .on(TODAY);
    }

    private static LifterStrength strength(String doubt) {
        return strength(doubt, Map.of(Lift.SQUAT, 200, Lift.BENCH_PRESS, 140, Lift.DEADLIFT, 240));
    }

    private static Optional<DayStrength> day(LifterStrength strength, Map<Lift, MaxOutlook> rehearsed) {
        return DayStrength.of(strength, LIFTS, TODAY, TODAY.plusWeeks(3), rehearsed);
    }

    /** About what was tested, wider than the estimate by the form of a day; three weeks without a log do not take it away. */
    @Test
    void theDayIsWhatStandsAndTheFormOfADay() {
        DayStrength day = day(strength("2"), Map.of()).orElseThrow();

        assertThat(day.form(Lift.SQUAT).middle().kilograms()).isCloseTo(200, within(3.0));
        assertThat(day.form(Lift.DEADLIFT).middle().kilograms()).isCloseTo(240, within(4.0));
        double estimate =
                strength("2").estimate(Lift.SQUAT).orElseThrow().spread().kilograms() / 200;
        assertThat(Math.sqrt(day.form(Lift.SQUAT).variance()))
                .isGreaterThan(estimate)
                .isLessThan(0.06);
    }

    /** A good day helps every lift. */
    @Test
    void theFormOfADayIsSharedByItsLifts() {
        DayStrength day = day(strength("2"), Map.of()).orElseThrow();
        List<Attempt> flying =
                List.of(new Attempt(Mass.ofKg(190), Outcome.EASY), new Attempt(Mass.ofKg(200), Outcome.EASY));

        DayStrength after = day.after(Lift.SQUAT, flying);

        assertThat(after.form(Lift.DEADLIFT).middle())
                .isGreaterThan(day.form(Lift.DEADLIFT).middle());
        assertThat(after.form(Lift.DEADLIFT).variance())
                .isLessThan(day.form(Lift.DEADLIFT).variance());
    }

    /** What a rehearsal leaves ready takes the place of what stands. */
    @Test
    void aRehearsalSaysMoreThanToday() {
        Likely ready = new Likely(198, 206, 214.3);
        DayStrength day = day(
                        strength("2"), Map.of(Lift.SQUAT, new MaxOutlook(Lift.SQUAT, ready, ready, List.of(ready))))
                .orElseThrow();

        assertThat(day.form(Lift.SQUAT).middle().kilograms()).isCloseTo(206, within(0.3));
        // as wide as the rehearsal, and the form of a day
        double rehearsed = Math.log(214.3 / 198) / 2 / 1.2816;
        assertThat(Math.sqrt(day.form(Lift.SQUAT).variance())).isBetween(rehearsed, Math.hypot(rehearsed, 0.035));
        assertThat(day.form(Lift.DEADLIFT).middle().kilograms()).isCloseTo(240, within(4.0));
    }

    @Test
    void whereOneLiftIsNotKnownThereIsNoDay() {
        assertThat(day(strength("2", Map.of(Lift.SQUAT, 200, Lift.DEADLIFT, 240)), Map.of()))
                .isEmpty();
        assertThat(DayStrength.of(strength("2"), List.of(), TODAY, TODAY, Map.of()))
                .isEmpty();
    }

    @Test
    void askedTwiceItIsTheSame() {
        assertThat(day(strength("3"), Map.of()).orElseThrow().figures())
                .isEqualTo(day(strength("3"), Map.of()).orElseThrow().figures());
    }
}
