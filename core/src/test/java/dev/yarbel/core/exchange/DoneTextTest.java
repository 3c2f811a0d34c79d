package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.measure.MassUnit;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How people write down what they did (common practice, no source). */
class DoneTextTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            5x5 @ 140                    | 140 kg: 5 5 5 5 5
            5x5@140                      | 140 kg: 5 5 5 5 5
            5 x 5 140kg                  | 140 kg: 5 5 5 5 5
            5×5 à 140 kg                 | 140 kg: 5 5 5 5 5
            5 sets of 5 at 140           | 140 kg: 5 5 5 5 5
            3x5 82,5                     | 82.5 kg: 5 5 5
            3x5 140 @8                   | 140 kg: 5 5 5 8
            3x5 140 @8,5                 | 140 kg: 5 5 5 8.5
            3x5 140 RPE 8                | 140 kg: 5 5 5 8
            3x5 140 2RIR                 | 140 kg: 5 5 5 8
            140x5                        | 140 kg: 5
            315lbs x 5                   | 142.88159655 kg: 5
            140x5x5                      | 140 kg: 5 5 5 5 5
            5x5x140                      | 140 kg: 5 5 5 5 5
            5@140                        | 140 kg: 5
            5 x 15kg                     | 15 kg: 5
            3x140                        | 140 kg: 3
            140: 5,5,4                   | 140 kg: 5 5 4
            140 5/5/4                    | 140 kg: 5 5 4
            140 5 5 4                    | 140 kg: 5 5 4
            5,5,4 @ 140                  | 140 kg: 5 5 4
            140x2F                       | 140 kg: 2 missed
            140x0                        | 140 kg: 0
            140x1 miss                   | 140 kg: 1 missed
            180x1 @9; 5x5 140            | 180 kg: 1 9 + 140 kg: 5 5 5 5 5
            180x1 then 150x3x2           | 180 kg: 1 + 150 kg: 3 3
            180x1, 150x5, 150x5          | 180 kg: 1 + 150 kg: 5 + 150 kg: 5
            100x5 + 110x3                | 100 kg: 5 + 110 kg: 3
            5x5                          | none: 5 5 5 5 5
            5x5 @8                       | none: 5 5 5 5 5 8
            5x20                         | none: 20 20 20 20 20
            1x3 150kg then 3x5 140kg     | 150 kg: 3 + 140 kg: 5 5 5
            """)
    void isReadAsItWasMeant(String text, String meant) throws Unclear {
        assertThat(shown(DoneText.read(text, MassUnit.KG))).isEqualTo(meant);
    }

    private static String shown(List<DoneText.Sets> all) {
        return all.stream()
                .map(sets -> sets.load().map(Object::toString).orElse("none") + ": "
                        + sets.reps().stream().map(String::valueOf).collect(Collectors.joining(" "))
                        + (sets.effort().isUnrated() ? "" : " " + sets.effort().code()))
                .collect(Collectors.joining(" + "));
    }

    @Test
    void aFigureWithoutAUnitIsInTheGivenOne() throws Unclear {
        assertThat(shown(DoneText.read("5x5 @ 315", MassUnit.LB))).isEqualTo("142.88159655 kg: 5 5 5 5 5");
    }

    @Test
    void threeFiguresThatCouldMeanEitherAreAskedAbout() throws Unclear {
        assertThat(DoneText.read("140x3x5", MassUnit.KG).get(0).repsOrSets()).isTrue();
        assertThat(DoneText.read("140x5x5", MassUnit.KG).get(0).repsOrSets()).isFalse();
        assertThat(DoneText.read("3x5x140", MassUnit.KG).get(0).repsOrSets()).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "heavy",
                "10x10x10",
                "140kg x 5 x 3kg",
                "3x5+ 140",
                "~140 x 5",
                "5x5 75%",
                "1,500x5",
                "140x5x5x5",
                "140x999",
                "0x5 140",
                "99x5 140",
                "5x8-12 60kg",
                "x",
                "))((",
                "140 x",
                "@",
                "5x5 @ -140"
            })
    void whatCannotBeReadSurelyIsRefused(String text) {
        assertThatThrownBy(() -> DoneText.read(text, MassUnit.KG)).isInstanceOf(Unclear.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "-", "—", "off", "Rest", "x", "n/a", "skipped", "frei"})
    void nothingDoneIsNoTrouble(String text) {
        assertThat(DoneText.isNothing(text)).isTrue();
    }

    @Property
    void setsRepsAndLoadComeBackFromEveryWayOfWritingThem(
            @ForAll @IntRange(min = 1, max = 10) int sets,
            @ForAll @IntRange(min = 1, max = 20) int reps,
            @ForAll @IntRange(min = 40, max = 400) int load)
            throws Unclear {
        String expected = load + " kg: " + (reps + " ").repeat(sets).strip();
        for (String way :
                List.of("%1$dx%2$d @ %3$d", "%1$dx%2$d %3$dkg", "%1$d x %2$d x %3$d", "%3$d kg x %2$d x %1$d")) {
            assertThat(shown(DoneText.read(way.formatted(sets, reps, load), MassUnit.KG)))
                    .isEqualTo(expected);
        }
    }

    @Property
    void nothingThatAnybodyTypesBreaksIt(@ForAll String text) {
        try {
            DoneText.read(text, MassUnit.KG);
        } catch (Unclear refused) {
            assertThat(refused.kind().refuses()).isTrue();
        }
    }
}
