package dev.yarbel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthTest {

    @Test
    void anInchIsExactlyTwoCentimetresAndFiftyFourHundredths() {
        // International Yard and Pound Agreement, 1959; NIST SP 811, App. B
        assertThat(Length.parse("1 in", LengthUnit.CM)).isEqualTo(Length.parse("2.54 cm", LengthUnit.IN));
    }

    @ParameterizedTest
    @CsvSource({"61, 61 cm", "61 cm, 61 cm", "'24in', 60.96 cm", "'1,2 m', 120 cm", "6 ft, 182.88 cm", "0, 0 cm"})
    void lengthsAreReadAsPeopleWriteThem(String text, String length) {
        assertThat(Length.parse(text, LengthUnit.CM)).hasToString(length);
    }

    /** A foot is twelve inches; five feet ten are 70 inches. */
    @ParameterizedTest
    @ValueSource(
            strings = {"5'10\"", "5' 10", "5'10", "5\u201910\u201d", "5\u203210\u2033", "5 ft 10 in", "5ft10", "5'10''"
            })
    void feetAndInchesAreReadAsPeopleWriteThem(String text) {
        assertThat(Length.parse(text, LengthUnit.CM)).isEqualTo(Length.parse("70 in", LengthUnit.CM));
        assertThat(Length.parse("6'", LengthUnit.CM)).isEqualTo(Length.parse("6 ft", LengthUnit.CM));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "cm", "-3", "5 feet", "1.2.3", "high", "5'12\"", "5'10cm", "'10", "5''10"})
    void whatIsNoLengthIsRefused(String text) {
        assertThatThrownBy(() -> Length.parse(text, LengthUnit.CM)).isInstanceOf(IllegalArgumentException.class);
    }

    @Property
    void thousandthsOfEitherUnitComeBackExactly(@ForAll @IntRange(max = 5_000_000) int thousandths) {
        BigDecimal figure = BigDecimal.valueOf(thousandths, 3);
        for (LengthUnit unit : LengthUnit.values()) {
            assertThat(Length.of(figure, unit).in(unit)).isEqualByComparingTo(figure);
        }
    }
}
