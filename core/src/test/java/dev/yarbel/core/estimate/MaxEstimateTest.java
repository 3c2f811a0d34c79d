package dev.yarbel.core.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class MaxEstimateTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private static MaxEstimate.Movement movement(int week, long before, long after) {
        return new MaxEstimate.Movement(
                MONDAY.plusWeeks(week), Mass.ofKg(before), Mass.ofKg(after), Mass.ofKg(4), List.of());
    }

    private static MaxEstimate estimate(MaxEstimate.Movement... movements) {
        return new MaxEstimate(Mass.ofKg(200), Mass.ofKg(3), List.of(movements));
    }

    @Test
    void theGainAWeekIsFromTheFirstMovementToTheLast() {
        assertThat(estimate(movement(0, 200, 201), movement(2, 201, 199), movement(4, 199, 208))
                        .gainAWeek())
                .contains(Mass.ofKg(2));
        assertThat(estimate(movement(0, 200, 200), movement(4, 200, 196))
                        .gainAWeek()
                        .orElseThrow()
                        .isNegative())
                .isTrue();
    }

    @Test
    void threeWeeksAreEnoughForATrend() {
        assertThat(estimate(movement(0, 200, 200), movement(3, 200, 203))
                        .gainAWeek()
                        .orElseThrow()
                        .format(MassUnit.KG, 3))
                .isEqualTo("1 kg");
    }

    @Test
    void lessThanThreeWeeksShowNoTrend() {
        assertThat(estimate().gainAWeek()).isEmpty();
        assertThat(estimate(movement(0, 200, 201), movement(2, 201, 206)).gainAWeek())
                .isEmpty();
    }
}
