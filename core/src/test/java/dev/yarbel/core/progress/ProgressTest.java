package dev.yarbel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProgressTest {

    private static final Mass STEP = Mass.of("2.5", MassUnit.KG);

    // ---- shrinking steps

    @Property
    void stepsNeverGrowAndLeadWhereTheyShould(
            @ForAll @IntRange(min = 60, max = 200) int from,
            @ForAll @IntRange(min = 0, max = 80) int way,
            @ForAll @IntRange(min = 1, max = 24) int weeks) {
        Percent start = Percent.of(BigDecimal.valueOf(from).divide(BigDecimal.valueOf(2)));
        Percent goal = start.plus(Percent.of(BigDecimal.valueOf(way).divide(BigDecimal.valueOf(2))));
        List<Percent> shares = ShrinkingSteps.between(start, goal, weeks);
        assertThat(shares).hasSize(weeks);
        assertThat(shares.get(weeks - 1)).isEqualTo(goal);
        for (int i = 2; i < weeks; i++) {
            Percent before = shares.get(i - 1).minus(shares.get(i - 2));
            Percent now = shares.get(i).minus(shares.get(i - 1));
            assertThat(now).as(shares.toString()).isLessThanOrEqualTo(before);
        }
    }

    /** Common practice, no source: 5 to 10 points a week early, at most 2.5 in the last two weeks. */
    @Test
    void tenWeeksFrom60To95() {
        List<Percent> shares = ShrinkingSteps.between(Percent.of(60), Percent.of(95), 10);
        assertThat(shares.get(1).minus(shares.get(0))).isBetween(Percent.of(5), Percent.of(10));
        assertThat(shares.get(9).minus(shares.get(8))).isLessThanOrEqualTo(Percent.of("2.5"));
        assertThat(shares.get(8).minus(shares.get(7))).isLessThanOrEqualTo(Percent.of("2.5"));
    }

    @Test
    void stepsDoNotLeadDownward() {
        assertThatThrownBy(() -> ShrinkingSteps.between(Percent.of(80), Percent.of(70), 4))
                .isInstanceOf(IllegalArgumentException.class);
    }

    // ---- filling a row of weeks

    private static String fill(FillRule rule, String from, int weeks) {
        return FillRule.fill(rule, Dose.parse(from), weeks).stream()
                .map(dose -> dose.map(Dose::shorthand).orElse("-"))
                .collect(Collectors.joining(", "));
    }

    @Test
    void theSameAgain() {
        assertThat(fill(new FillRule.Same(), "4x8 70%", 2)).isEqualTo("4x8 70%, 4x8 70%");
    }

    @Test
    void steadily() {
        FillRule steady = new FillRule.Steady(Percent.of("2.5"), STEP);
        assertThat(fill(steady, "4x8 70%", 3)).isEqualTo("4x8 72.5%, 4x8 75%, 4x8 77.5%");
        assertThat(fill(steady, "5x5 100kg", 2)).isEqualTo("5x5 102.5kg, 5x5 105kg");
        assertThat(fill(new FillRule.Steady(Percent.of(5), STEP), "1 @7 then 5x5 -22%", 2))
                .isEqualTo("1 @7.5 then 5x5 -22%, 1 @8 then 5x5 -22%");
        assertThat(fill(steady, "5x5 last +2.5kg", 1)).isEqualTo("5x5 last +2.5kg");
        assertThat(fill(steady, "3x5 70-75%", 1)).isEqualTo("3x5 72.5-77.5%");
    }

    @Test
    void inShrinkingSteps() {
        assertThat(fill(new FillRule.Shrinking(Percent.of(90)), "3x3 75%", 4))
                .isEqualTo("3x3 80.5%, 3x3 85%, 3x3 87.5%, 3x3 90%");
    }

    @Test
    void inWaves() {
        assertThat(fill(new FillRule.Wave(Percent.of(5), STEP), "3x5 70%", 6))
                .isEqualTo("3x5 75%, 3x5 80%, 3x5 75%, 3x5 80%, 3x5 85%, 3x5 80%");
    }

    @Test
    void withADeloadNext() {
        assertThat(fill(new FillRule.DeloadNext(Deload.HALF_SETS), "4x5 80%", 2))
                .isEqualTo("2x5 70%, 4x5 80%");
        assertThat(fill(new FillRule.DeloadNext(Deload.OFF), "4x5 80%", 2)).isEqualTo("-, 4x5 80%");
    }

    @Test
    void backwardsFromAGoal() {
        assertThat(fill(new FillRule.Backwards(Dose.parse("1x1 95%")), "3x5 75%", 4))
                .isEqualTo("3x5 83%, 3x5 90%, 3x5 92.5%, 1x1 95%");
    }

    @Test
    void whatHasNoPercentageLeadsToNone() {
        assertThatThrownBy(() -> fill(new FillRule.Shrinking(Percent.of(90)), "1 @8", 3))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> fill(new FillRule.Steady(Percent.of(5), STEP), "3x30s", 3))
                .isInstanceOf(IllegalArgumentException.class);
    }

    // ---- deload

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "HALF_LOAD|4x8 72.5%|4x6 36.25%",
                "HALF_LOAD|1 @8 then 5x5 -22%|3x1 50%",
                "HALF_LOAD|3x20m 80% event|3x20m 40% event",
                "HALF_SETS|4x8 72.5% rest 120|2x8 62.5% rest 120",
                "HALF_SETS|1 @8 then 5x5 -22%|1 @6 then 3x5 -22%",
                "HALF_SETS|5x5+ last +2.5kg|3x5 60%",
                "HALF_SETS|max 80%|2x5 60%",
                "HALF_SETS|3x(5x1 20s) 3rm|2x2 90% 3rm",
                "HALF_SETS|10x1 in 10min gap 30 90%|2x1 80%",
            })
    void aDeloadIsEasier(Deload deload, String dose, String easier) {
        assertThat(deload.of(Dose.parse(dose)).map(Dose::shorthand)).contains(easier);
    }

    @Test
    void aDeloadOfDaysOffHasNoDose() {
        assertThat(Deload.OFF.of(Dose.parse("4x8 70%"))).isEmpty();
    }

    @Test
    void fillingNoWeeksFillsNone() {
        assertThat(FillRule.fill(new FillRule.DeloadNext(Deload.OFF), Dose.parse("1 @8"), 0))
                .isEqualTo(List.<Optional<Dose>>of());
    }
}
