package dev.yarbel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.estimate.RecordedMax.Kind;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.Worn;
import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RecordedMaxTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 10);

    private static RecordedMax max(Kind kind, int kg, int reps, int daysAgo) {
        return new RecordedMax(Lift.SQUAT, kind, Mass.ofKg(kg), reps, TODAY.minusDays(daysAgo), Set.of(), "");
    }

    @ParameterizedTest
    @CsvSource({"CONTEST, 84, false", "CONTEST, 90, false", "CONTEST, 91, true", "TESTED, 200, true", "GOAL, 400, false"
    })
    void aMaxIsStaleAfterTwelveWeeksAndAGoalNever(Kind kind, int daysAgo, boolean stale) {
        assertThat(max(kind, 200, 1, daysAgo).isStale(TODAY)).isEqualTo(stale);
    }

    @Test
    void whatWasWornIsSaidInTheSameOrderHoweverItWasGiven() {
        Set<Worn> worn = new LinkedHashSet<>(List.of(Worn.WRIST_WRAPS, Worn.KNEE_SLEEVES, Worn.BELT));
        assertThat(new RecordedMax(Lift.SQUAT, Kind.TESTED, Mass.ofKg(200), 1, TODAY, worn, "").worn())
                .containsExactly(Worn.BELT, Worn.KNEE_SLEEVES, Worn.WRIST_WRAPS);
    }

    @Test
    void aLiftedSingleIsTrustedMostARepMaxLessAndAGuessLeast() {
        assertThat(read(Kind.CONTEST, 200, 1).orElseThrow())
                .isEqualTo(new MaxOnRecord(Lift.SQUAT, Mass.ofKg(200), TODAY));
        assertThat(read(Kind.TESTED, 200, 1)).isEqualTo(read(Kind.CONTEST, 200, 1));
        MaxOnRecord threes = read(Kind.REP_MAX, 180, 3).orElseThrow();
        assertThat(threes.max()).isEqualTo(max(Kind.REP_MAX, 180, 3, 0).max(RepCurve.DEFAULT));
        assertThat(threes.doubt())
                .isGreaterThan(read(Kind.CONTEST, 200, 1).orElseThrow().doubt());
        assertThat(read(Kind.ESTIMATED, 200, 1).orElseThrow().doubt()).isGreaterThan(threes.doubt());
    }

    @Test
    void aGoalAndARepMaxOfVeryManySayNothing() {
        assertThat(read(Kind.GOAL, 300, 1)).isEmpty();
        assertThat(read(Kind.REP_MAX, 100, 12)).isPresent();
        assertThat(read(Kind.REP_MAX, 100, 13)).isEmpty();
    }

    private static Optional<MaxOnRecord> read(Kind kind, int kg, int reps) {
        return MaxOnRecord.of(max(kind, kg, reps, 0), RepCurve.DEFAULT);
    }

    /** 87 % of a max for five to the limit, by the default curve within two points (published tables, value from memory). */
    @Test
    void aRepMaxSpeaksForASingleAndASingleForItself() {
        Mass single = max(Kind.REP_MAX, 100, 5, 0).max(RepCurve.DEFAULT);
        assertThat(Mass.ofKg(100).percentOf(single).figure().doubleValue()).isCloseTo(87, within(2.0));
        RepCurve steep = RepFormula.BRZYCKI;
        assertThat(max(Kind.TESTED, 100, 1, 0).max(steep)).isEqualTo(Mass.ofKg(100));
        assertThat(max(Kind.REP_MAX, 100, 5, 0).max(steep)).isNotEqualTo(single);
    }

    @ParameterizedTest
    @CsvSource({"EPLEY, 116.667", "BRZYCKI, 112.5", "LOMBARDI, 117.462", "OCONNER, 112.5", "LANDER, 113.71"})
    void aRepMaxIsReadByEachPublishedFormula(RepFormula formula, double kg) {
        // 100 kg for five to the limit; each value by hand from the formula as published
        RepMaxReading reading = RepMaxReading.of(Mass.ofKg(100), 5, RepCurve.DEFAULT);
        assertThat(reading.byFormula().get(formula).in(MassUnit.KG).doubleValue())
                .isCloseTo(kg, within(0.01));
        assertThat(reading.byFormula()).hasSize(RepFormula.values().length);
    }

    @Test
    void theReadingHasARangeAndSaysWhenTheRepsAreTooMany() {
        RepMaxReading five = RepMaxReading.of(Mass.ofKg(100), 5, RepCurve.DEFAULT);
        assertThat(five.lowest()).isEqualTo(five.byFormula().get(RepFormula.OCONNER));
        assertThat(five.highest().isGreaterThan(five.own())).isTrue();
        assertThat(five.estimates()).isTrue();
        assertThat(RepMaxReading.of(Mass.ofKg(100), 12, RepCurve.DEFAULT).estimates())
                .isTrue();
        assertThat(RepMaxReading.of(Mass.ofKg(100), 13, RepCurve.DEFAULT).estimates())
                .isFalse();
    }

    @Test
    void onlyARepMaxHasRepetitions() {
        assertThatThrownBy(() -> max(Kind.CONTEST, 200, 3, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> max(Kind.REP_MAX, 200, 1, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> max(Kind.REP_MAX, 200, 21, 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
