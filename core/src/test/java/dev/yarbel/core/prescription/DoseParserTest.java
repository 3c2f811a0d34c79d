package dev.yarbel.core.prescription;

import static dev.yarbel.core.measure.MassUnit.KG;
import static dev.yarbel.core.measure.MassUnit.LB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.DoseParser.Problem;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DoseParserTest {

    @Test
    void aTopSingleAtARating() {
        assertThat(Dose.parse("1 @8")).isEqualTo(Dose.of(1, 1, new LoadBasis.AtRpe(Rpe.of(8))));
    }

    @Test
    void backOffsBelowTheTop() {
        assertThat(Dose.parse("5x5 -22%")).isEqualTo(Dose.of(5, 5, new LoadBasis.BelowTop(Percent.of(22))));
    }

    @Test
    void straightSetsInPercentOfTheWorkingMaxWithRestAndTempo() {
        assertThat(Dose.parse("4x8 72.5% rest 120 tempo 3010"))
                .isEqualTo(new Dose(
                        4,
                        8,
                        new LoadBasis.OfWorkingMax(Percent.of("72.5")),
                        Optional.of(Duration.ofSeconds(120)),
                        Optional.of(new Tempo("3010"))));
    }

    @Test
    void loadsInEitherUnit() {
        assertThat(Dose.parse("3x5 102.5kg").basis()).isEqualTo(new LoadBasis.Fixed(Mass.of("102.5", KG), KG));
        assertThat(Dose.parse("3x5 225 lbs").basis()).isEqualTo(new LoadBasis.Fixed(Mass.ofLb(225), LB));
    }

    /** What coaches type, and the canonical text that is kept of it. Texts once kept must stay readable for ever. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1 @8|1 @8",
                "1@8|1 @8",
                " 1 x 1 @ 8,5 |1 @8.5",
                "3x1 @9|3x1 @9",
                "5x5 -22%|5x5 -22%",
                "5×5 −22 %|5x5 -22%",
                "5X5 – 22%|5x5 -22%",
                "3*5 75%|3x5 75%",
                "3x5 72,5%|3x5 72.5%",
                "3x5 72.50 %|3x5 72.5%",
                "5 80%|1x5 80%",
                "3x5 102,5 kg|3x5 102.5kg",
                "3x5 225LBS|3x5 225lb",
                "4x8 72.5% rest 120 tempo 3010|4x8 72.5% rest 120 tempo 3010",
                "4x8 72.5% TEMPO 32x0 Rest 90s|4x8 72.5% rest 90 tempo 32X0",
                "3x3 105%|3x3 105%",
            })
    void whatCoachesTypeIsReadAndKeptInOneForm(String typed, String kept) {
        assertThat(Dose.parse(typed).shorthand()).isEqualTo(kept);
        assertThat(Dose.parse(kept)).isEqualTo(Dose.parse(typed));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "\"\"|0|EMPTY",
                "\"   \"|3|EMPTY",
                "squat|0|EXPECTED_REPS",
                "5x|2|EXPECTED_REPS",
                "5x5|3|EXPECTED_LOAD",
                "5x5 heavy|4|EXPECTED_LOAD",
                "0x5 75%|0|REPS_OUT_OF_RANGE",
                "5x0 75%|2|REPS_OUT_OF_RANGE",
                "60x5 75%|0|SETS_OUT_OF_RANGE",
                "5x101 75%|2|REPS_OUT_OF_RANGE",
                "99999999999x5 75%|0|REPS_OUT_OF_RANGE",
                "1 @|3|EXPECTED_RPE",
                "1 @11|3|EXPECTED_RPE",
                "1 @8.3|3|EXPECTED_RPE",
                "1 @x|3|EXPECTED_RPE",
                "5x5 75|6|EXPECTED_UNIT",
                "5x5 -22|7|EXPECTED_PERCENT",
                "5x5 -22 kg|8|EXPECTED_PERCENT",
                "5x5 -|5|EXPECTED_FIGURE",
                "5x5 75.%|7|EXPECTED_FIGURE",
                "5x5 0%|4|PERCENT_OUT_OF_RANGE",
                "5x5 131%|4|PERCENT_OUT_OF_RANGE",
                "5x5 -100%|5|PERCENT_OUT_OF_RANGE",
                "5x5 0 kg|4|LOAD_OUT_OF_RANGE",
                "5x5 1001 kg|4|LOAD_OUT_OF_RANGE",
                "5x5 75% rest|12|EXPECTED_REST",
                "5x5 75% rest 2m|14|EXPECTED_REST",
                "5x5 75% rest 1801|13|EXPECTED_REST",
                "5x5 75% tempo 30|16|EXPECTED_TEMPO",
                "5x5 75% tempo 30105|18|EXPECTED_TEMPO",
                "5x5 75% rest 60 rest 90|16|TWICE",
                "5x5 75% slow|8|UNEXPECTED",
                "5x5 75.1234%|10|UNEXPECTED",
            })
    void whatCannotBeReadIsMarkedAtItsCharacter(String typed, int at, Problem problem) {
        assertThat(DoseParser.parse(typed)).isEqualTo(new DoseParser.Unreadable(at, problem));
    }

    @Property
    void anyTextIsReadOrMarkedWithinIt(@ForAll @StringLength(max = 40) String text) {
        assertMarkedWithin(text);
    }

    @Property
    void textOfTheRightLettersIsReadOrMarkedWithinIt(@ForAll("shorthandLetters") @StringLength(max = 25) String text) {
        assertMarkedWithin(text);
    }

    private static void assertMarkedWithin(String text) {
        DoseParser.Result result = DoseParser.parse(text);
        if (result instanceof DoseParser.Unreadable unreadable) {
            assertThat(unreadable.at()).isBetween(0, text.length());
        } else {
            assertThat(Dose.parse(text)).isEqualTo(((DoseParser.Read) result).dose());
        }
    }

    @Provide
    Arbitrary<String> shorthandLetters() {
        return Arbitraries.strings().withChars("0123456789 x×@%-−.,kglbrestmpo");
    }

    @Property
    void everyDoseIsReadBackFromItsShorthand(@ForAll("doses") Dose dose) {
        assertThat(Dose.parse(dose.shorthand())).isEqualTo(dose);
    }

    @Provide
    Arbitrary<Dose> doses() {
        Arbitrary<LoadBasis> basis = Arbitraries.oneOf(
                Arbitraries.integers()
                        .between(2, 20)
                        .map(h -> new LoadBasis.AtRpe(Rpe.parse(h / 2 + (h % 2 == 0 ? "" : ".5")))),
                Arbitraries.integers().between(1, 1300).map(t -> new LoadBasis.OfWorkingMax(tenths(t))),
                Arbitraries.integers().between(1, 999).map(t -> new LoadBasis.BelowTop(tenths(t))),
                Combinators.combine(Arbitraries.integers().between(1, 4000), Arbitraries.of(MassUnit.class))
                        .as((q, unit) -> new LoadBasis.Fixed(Mass.of(BigDecimal.valueOf(q * 25L, 2), unit), unit)));
        return Combinators.combine(
                        Arbitraries.integers().between(1, 50),
                        Arbitraries.integers().between(1, 100),
                        basis,
                        Arbitraries.integers()
                                .between(1, 1800)
                                .map(Duration::ofSeconds)
                                .optional(),
                        Arbitraries.of("3010", "32X0", "XXXX").map(Tempo::new).optional())
                .as(Dose::new);
    }

    private static Percent tenths(int tenths) {
        return Percent.of(BigDecimal.valueOf(tenths, 1));
    }

    @Test
    void parsingTextThatIsNoDoseThrows() {
        assertThatThrownBy(() -> Dose.parse("5x5")).hasMessageContaining("EXPECTED_LOAD");
        assertThatThrownBy(() -> Dose.of(0, 5, new LoadBasis.AtRpe(Rpe.of(8))))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
