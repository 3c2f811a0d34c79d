package dev.yarbel.core.equipment;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import java.util.List;
import org.junit.jupiter.api.Test;

class FitTest {

    /** A load asked of a kit that makes every 2.5 kg from 20 kg on. */
    private static Fit.Miss asked(String kg) {
        return Kits.kg().fit(Mass.of(kg, KG), Rounding.NEAREST).miss();
    }

    @Test
    void theEndsOfAKitAreToldAndWhatItMakesIsNot() {
        assertThat(asked("101")).isEqualTo(Fit.Miss.NONE);
        assertThat(asked("15")).isEqualTo(Fit.Miss.BELOW_THE_BAR);
        assertThat(asked("2000")).isEqualTo(Fit.Miss.BEYOND_THE_PLATES);
    }

    /** The same of stones of 60 and 80 kg. */
    private static Fit.Miss ofStones(String kg) {
        return FixedLoads.of("stone", List.of(new Bar("small", Mass.ofKg(60)), new Bar("big", Mass.ofKg(80))))
                .fit(Mass.of(kg, KG), Rounding.DOWN)
                .miss();
    }

    @Test
    void whereStonesLieFarApartTheOneAskedForIsAnother() {
        assertThat(ofStones("70")).isEqualTo(Fit.Miss.BETWEEN);
        assertThat(ofStones("61.5")).isEqualTo(Fit.Miss.NONE);
        assertThat(ofStones("61.6")).isEqualTo(Fit.Miss.BETWEEN);
        assertThat(ofStones("60")).isEqualTo(Fit.Miss.NONE);
    }

    @Test
    void ordinaryRoundingOfALightLoadIsNone() {
        // 20 kg for 21.25: 5.9 %, but half a step
        assertThat(asked("21.2")).isEqualTo(Fit.Miss.NONE);
    }
}
