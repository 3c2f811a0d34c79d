package dev.yarbel.core.measure;

import static dev.yarbel.core.measure.MassUnit.KG;
import static dev.yarbel.core.measure.MassUnit.LB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MassTest {

    /** International Yard and Pound Agreement, 1959; NIST SP 811, App. B (value from memory; exact by definition). */
    @Test
    void aPoundIsExactlyTheAgreedPartOfAKilogram() {
        assertThat(Mass.ofLb(1).in(KG)).isEqualByComparingTo("0.45359237");
        assertThat(Mass.ofLb(45).in(KG)).isEqualByComparingTo("20.41165665");
    }

    /** Derived from the definition of the pound. */
    @ParameterizedTest
    @CsvSource({"100, 220.462262185", "20, 44.092452437", "190, 418.878298151"})
    void kilogramsPrintInPounds(String kg, String lb) {
        assertThat(Mass.of(kg, KG).in(LB)).isEqualByComparingTo(lb);
    }

    /** Common practice, no source: 150 kg and 30 lb of chain are 163.6 kg, not 180. */
    @Test
    void kilogramsAndPoundsAddUp() {
        assertThat(Mass.ofKg(150).plus(Mass.ofLb(30)).format(KG, 1)).isEqualTo("163.6 kg");
    }

    @Property
    void whateverIsStatedInThousandthsComesBackExactly(
            @ForAll @LongRange(min = 0, max = 9_000_000) long thousandths, @ForAll MassUnit unit) {
        BigDecimal figure = BigDecimal.valueOf(thousandths, 3);
        assertThat(Mass.of(figure, unit).in(unit)).isEqualByComparingTo(figure);
    }

    @Property
    void printingAndParsingAreInverse(
            @ForAll @LongRange(min = 0, max = 9_000_000) long thousandths, @ForAll MassUnit unit) {
        Mass mass = Mass.of(BigDecimal.valueOf(thousandths, 3), unit);
        assertThat(Mass.parse(mass.format(unit, 3), unit.other())).isEqualTo(mass);
    }

    @Property
    void sumsOfBothUnitsAreTheSameInAnyOrder(
            @ForAll @IntRange(min = 0, max = 500) int kg,
            @ForAll @IntRange(min = 0, max = 1000) int lb,
            @ForAll @IntRange(min = 0, max = 99) int times) {
        Mass sum = Mass.ofKg(kg).plus(Mass.ofLb(lb));
        assertThat(Mass.ofLb(lb).plus(Mass.ofKg(kg))).isEqualTo(sum);
        assertThat(sum.minus(Mass.ofKg(kg))).isEqualTo(Mass.ofLb(lb));
        assertThat(sum.times(times)).isEqualTo(Mass.ofKg((long) kg * times).plus(Mass.ofLb((long) lb * times)));
    }

    @Property
    void aShareAndItsWholeAreInverseToTheLastDigitHeld(
            @ForAll @IntRange(min = 1, max = 1_000_000) int grams,
            @ForAll @IntRange(min = 1000, max = 13000) int hundredths) {
        Mass whole = Mass.of(BigDecimal.valueOf(grams, 3), KG);
        Percent share = Percent.of(BigDecimal.valueOf(hundredths, 2));
        Mass back = whole.times(share).asShareOf(share);
        assertThat(back.distanceTo(whole)).isLessThanOrEqualTo(Mass.ofTensOfNanograms(5));
        assertThat(whole.times(share).in(KG))
                .isEqualByComparingTo(
                        new BigDecimal(grams).movePointLeft(3).multiply(new BigDecimal(hundredths).movePointLeft(4)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"102.5 kg|102.5", "102,5kg|102.5", " 225 lbs |102.058", "225 LB|102.058", "60|60"})
    void loadsAreReadAsPeopleWriteThem(String text, String kg) {
        assertThat(Mass.parse(text, KG).figure(KG, 3)).isEqualTo(kg);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "kg", "-5 kg", "10 stone", "1.2.3", "1e3 kg", "12345678 kg", "5 kg kg", "٣ kg"})
    void anythingElseIsRefused(String text) {
        assertThatThrownBy(() -> Mass.parse(text, KG)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void overflowIsAnException() {
        assertThatThrownBy(() -> Mass.ofKg(90_000_000).plus(Mass.ofKg(90_000_000)))
                .isInstanceOf(ArithmeticException.class);
        assertThatThrownBy(() -> Mass.ofKg(100_000_000)).isInstanceOf(ArithmeticException.class);
    }

    @Test
    void printsNoTrailingZerosAndNoMinusZero() {
        assertThat(Mass.of("100.00", KG).format(KG, 2)).isEqualTo("100 kg");
        assertThat(Mass.of("-0.001", KG).format(KG, 1)).isEqualTo("0 kg");
        assertThat(Mass.of("2.25", KG).format(KG, 1)).isEqualTo("2.3 kg");
    }

    @Test
    void percentagesReadAndPrint() {
        assertThat(Percent.parse("72,5 %")).isEqualTo(Percent.of("72.5"));
        assertThat(Percent.parse("72.5").format(1)).isEqualTo("72.5");
        assertThat(Percent.of(90).times(Percent.of(80))).isEqualTo(Percent.of(72));
        assertThat(Mass.ofKg(90).percentOf(Mass.ofKg(120))).isEqualTo(Percent.of(75));
        assertThatThrownBy(() -> Percent.parse("-5")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Mass.ofKg(1).percentOf(Mass.ZERO)).isInstanceOf(ArithmeticException.class);
    }

    /** What a phone looks at before it sends a load; it must refuse nothing that is read. */
    @Test
    void theWayALoadIsWrittenIsTheWayItIsRead() {
        for (String load : new String[] {"225 LB", "102,5kg", "100 kgs", " 72.5 ", "60", "140Lbs"}) {
            assertThat(load).matches(Mass.WRITTEN);
            assertThat(Mass.parse(load, MassUnit.KG)).isNotNull();
        }
        for (String none : new String[] {"", "a lot", "-5", "1,2,3", "100 st"}) {
            assertThat(none).doesNotMatch(Mass.WRITTEN);
            assertThatThrownBy(() -> Mass.parse(none, MassUnit.KG)).isInstanceOf(IllegalArgumentException.class);
        }
    }

    /** What models reckon with is the exact figure, as near as a double comes. */
    @ParameterizedTest
    @ValueSource(strings = {"0", "0.00000000001", "1.25", "102.5", "61.23496995", "453.59237", "89999.99999999999"})
    void kilogramsAsADoubleAreTheExactFigures(String figure) {
        Mass mass = Mass.of(figure, MassUnit.KG);
        assertThat(mass.kilograms()).isEqualTo(mass.in(MassUnit.KG).doubleValue());
        assertThat(Mass.ofLb(315).kilograms()).isEqualTo(142.88159655);
    }
}
