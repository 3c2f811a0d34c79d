package dev.yarbel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UnitSlipTest {

    @Property
    void theSameFigureInTheOtherUnitIsAlwaysSuspected(@ForAll @IntRange(min = 1, max = 1000) int figure) {
        assertThat(UnitSlip.isSuspected(Mass.ofKg(figure), Mass.ofLb(figure))).isTrue();
        assertThat(UnitSlip.isSuspected(Mass.ofLb(figure), Mass.ofKg(figure))).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"200, 190", "200, 110", "190, 340", "100, 260", "60, 24"})
    void ordinaryChangeIsNot(int entered, int last) {
        assertThat(UnitSlip.isSuspected(Mass.ofKg(entered), Mass.ofKg(last))).isFalse();
    }
}
