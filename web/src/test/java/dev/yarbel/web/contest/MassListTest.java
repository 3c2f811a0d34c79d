package dev.yarbel.web.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MassListTest {

    /** As people write them, with commas as points and with commas between. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            100, 120, 140           | 100 120 140
            100,120,140             | 100 120 140
            80,90,100               | 80 90 100
            25,20                   | 25 20
            102,5                   | 102.5
            102,5 110,5             | 102.5 110.5
            102,5, 110, 117,5 kg    | 102.5 110 117.5
            25; 20; 2,5; 1,25       | 25 20 2.5 1.25
            100/120/140 kg          | 100 120 140
            100 kg, 120 kg          | 100 120
            100kg 120kg             | 100 120
            100 – 120 - 140         | 100 120 140
            25 + 20 + 2.5           | 25 20 2.5
            140                     | 140
            """)
    void asPeopleWriteThem(String typed, String kg) {
        assertThat(MassList.read(typed).stream()
                        .map(mass -> mass.in(MassUnit.KG).stripTrailingZeros().toPlainString())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(kg);
    }

    @Test
    void poundsAreSaidOnceOrEachTime() {
        Mass pounds = Mass.of("200", MassUnit.LB);

        assertThat(MassList.read("200 220 lb").get(0)).isEqualTo(pounds);
        assertThat(MassList.read("200 lb, 100 kg")).containsExactly(pounds, Mass.ofKg(100));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"heavy", "100, 0", "1 2 3 4 5 6 7 8 9 10 11 12 13", "100, 5000", "-20", "100,,120", "100 x 3"})
    void whatIsNone(String typed) {
        assertThatThrownBy(() -> MassList.read(typed)).isInstanceOf(UnreadableException.class);
    }

    @Test
    void whatIsKeptIsReadAgain() {
        List<Mass> masses = MassList.read("102,5 110 1.25");

        assertThat(MassList.of(MassList.kept(masses).orElseThrow())).isEqualTo(masses);
        assertThat(MassList.kept(List.of())).isEmpty();
        assertThat(MassList.of(null)).isEmpty();
    }
}
