package dev.yarbel.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RpeTest {

    /** Zourdos et al. 2016, J Strength Cond Res 30(1): the scale by repetitions in reserve (values from memory). */
    @ParameterizedTest
    @CsvSource({"10, 0", "9, 2", "8.5, 3", "8, 4", "7.5, 5", "7, 6", "6, 8"})
    void aRatingIsTheRepetitionsLeft(String rpe, int halvesLeft) {
        assertThat(Rpe.parse(rpe).halvesLeft()).isEqualTo(halvesLeft);
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.5", "0", "10.5", "11", "8.2", "8.25", "", "x", "-8"})
    void anythingButHalvesFromOneToTenIsRefused(String text) {
        assertThatThrownBy(() -> Rpe.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aCommaIsAsGoodAsAPoint() {
        assertThat(Rpe.parse("8,5")).isEqualTo(Rpe.parse("8.5")).hasToString("8.5");
    }

    @Test
    void belowSixNothingIsEstimated() {
        assertThat(Rpe.parse("5.5").estimates()).isFalse();
        assertThat(Rpe.of(6).estimates()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "8.5", "10", "easy", "missed"})
    void effortsKeepTheirCode(String code) {
        assertThat(Effort.parse(code).code()).isEqualTo(code);
    }

    @Test
    void oneRepetitionRatedEightIsThreeInAll() {
        assertThat(RepsInAll.of(1, Rpe.of(8))).isEqualTo(RepsInAll.toTheLimit(3));
        assertThat(RepsInAll.of(10, Rpe.of(8)).estimates()).isTrue();
        assertThat(RepsInAll.of(10, Rpe.parse("7.5")).estimates()).isFalse();
        assertThatThrownBy(() -> RepsInAll.of(0, Rpe.of(8))).isInstanceOf(IllegalArgumentException.class);
    }
}
