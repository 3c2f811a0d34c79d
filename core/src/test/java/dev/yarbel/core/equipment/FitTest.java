package dev.yarbel.core.equipment;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import org.junit.jupiter.api.Test;

class FitTest {

    /** A load asked of a kit that makes every 2.5 kg from 20 kg on. */
    private static Fit.Miss asked(String kg) {
        return Kits.kg().fit(Mass.of(kg, KG), Rounding.NEAREST).miss();
    }

    @Test
    void aLoadMoreThanOnePartInFortyOffIsAnotherLoad() {
        assertThat(asked("41")).isEqualTo(Fit.Miss.NONE);
        // 40 is 1.2 kg off 41.2, 2.9 %
        assertThat(asked("41.2")).isEqualTo(Fit.Miss.BETWEEN);
        assertThat(asked("101")).isEqualTo(Fit.Miss.NONE);
        assertThat(asked("15")).isEqualTo(Fit.Miss.BELOW_THE_BAR);
        assertThat(asked("2000")).isEqualTo(Fit.Miss.BEYOND_THE_PLATES);
    }
}
