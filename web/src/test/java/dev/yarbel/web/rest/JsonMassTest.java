package dev.yarbel.web.rest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.math.BigDecimal;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class JsonMassTest {

    private static JsonMass mass(String kg, String lb) {
        return new JsonMass(kg == null ? null : new BigDecimal(kg), lb == null ? null : new BigDecimal(lb));
    }

    /** Whatever can be typed in either unit comes back as it is kept, by each of the figures told and by both. */
    @ParameterizedTest
    @EnumSource
    void whatIsToldIsTakenAgain(MassUnit unit) {
        new Random(22).ints(2000, 0, 1_000_001).forEach(thousandths -> isTakenAgain(thousandths, unit));
    }

    private static void isTakenAgain(int thousandths, MassUnit unit) {
        Mass kept = Mass.min(Mass.of(BigDecimal.valueOf(thousandths, 3), unit), Mass.ofKg(1000));

        JsonMass told = JsonMass.of(kept);

        assertThat(new JsonMass(told.kg(), null).mass("load")).isEqualTo(kept);
        assertThat(told.mass("load")).isEqualTo(kept);
        assertThat(new JsonMass(null, told.lb()).mass("load").distanceTo(kept))
                .isLessThanOrEqualTo(Mass.of("0.0005", MassUnit.LB));
        if (unit == MassUnit.LB && thousandths < 1_000_000) {
            assertThat(new JsonMass(null, told.lb()).mass("load")).isEqualTo(kept);
        }
    }

    /** The pound of the international agreement of 1959 is 0.45359237 kg. */
    @Test
    void aPoundIsThePoundOf1959() {
        assertThat(JsonMass.of(Mass.ofLb(1)).kg()).isEqualByComparingTo("0.45359237");
        assertThat(mass(null, "315").mass("load").in(MassUnit.KG)).isEqualByComparingTo("142.88159655");
    }

    @ParameterizedTest
    @CsvSource({
        ",",
        "100,100",
        "-0.5,",
        "1000.001,",
        ",2205",
        "1e999999999,",
        "1e-999999999,",
        "0.000000000001,",
        ",1e999999999"
    })
    void whatIsNoMassIsRefusedAtOnce(String kg, String lb) {
        assertThatThrownBy(() -> mass(kg, lb).mass("load"))
                .isInstanceOfSatisfying(UnreadableException.class, trouble -> assertThat(trouble.field())
                        .isEqualTo("load"));
    }

    @Test
    void nothingIsALoadAndNoMax() {
        assertThat(mass("0", null).mass("load")).isEqualTo(Mass.ZERO);
        assertThatThrownBy(() -> mass("0", null).positive("load")).isInstanceOf(UnreadableException.class);
    }

    @Test
    void itsUnitIsTheOneItWasSentIn() {
        assertThat(mass("100", null).unit(MassUnit.LB)).isEqualTo(MassUnit.KG);
        assertThat(mass(null, "225").unit(MassUnit.KG)).isEqualTo(MassUnit.LB);
        assertThat(JsonMass.of(Mass.ofLb(225)).unit(MassUnit.LB)).isEqualTo(MassUnit.LB);
        assertThat(mass(null, "315").typed("load", Mass.ofKg(1000))).isEqualTo("315 lb");
    }
}
