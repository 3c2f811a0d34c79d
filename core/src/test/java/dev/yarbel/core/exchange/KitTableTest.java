package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.exchange.KitTable.Line;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Lists of kit as gyms keep them (common practice, no source). */
class KitTableTest {

    private static List<List<String>> table(String... rows) {
        return Arrays.stream(rows)
                .map(row -> Arrays.asList(row.split("\\|", -1)))
                .toList();
    }

    private static List<Line> read(String... rows) {
        return KitTable.read(KitTable.headed(table(rows))).orElseThrow().lines();
    }

    @Test
    void aListOfAGymIsRead() {
        KitTable.Read read = KitTable.read(KitTable.headed(table(
                        "Inventory|||",
                        "Item|Weight (lb)|Qty|Colour",
                        "Plates|45|8|red",
                        "|25 kg|2 pairs|",
                        "Power bar|45||",
                        "Atlas stone|220|1|",
                        "Canoe|80|1|")))
                .orElseThrow();

        assertThat(read.unread()).containsExactly("Colour");
        assertThat(read.lines()).extracting(Line::mass).containsExactly("45 lb", "25 kg", "45 lb", "220 lb", "80 lb");
        assertThat(read.lines()).extracting(Line::count).containsExactly("8", "2 pairs", "", "1", "1");
        assertThat(read.lines())
                .extracting(Line::implement)
                .containsExactly(
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Implement.BARBELL),
                        Optional.of(Implement.STONE),
                        Optional.empty());
        assertThat(read.lines()).extracting(Line::known).containsExactly(true, true, true, true, false);
        assertThat(read.lines().get(1).line()).isEqualTo(4);
    }

    @Test
    void aPieceHasANameOfItsOwnBesideWhatItIs() {
        Line bar = read("Art|Bezeichnung|Gewicht|Einheit", "Langhantel|Die alte|20|kg")
                .get(0);

        assertThat(bar.implement()).contains(Implement.BARBELL);
        assertThat(bar.name()).isEqualTo("Die alte");
        assertThat(bar.mass()).isEqualTo("20 kg");
    }

    @ParameterizedTest
    @CsvSource({
        "Scheiben, ",
        "bumper plates, ",
        "SSB, SAFETY_BAR",
        "Hex bar, TRAP_BAR",
        "Farmers handles, HANDLES",
        "Kurzhanteln, DUMBBELL",
        "Kegs, KEG"
    })
    void thingsAreCalledAsPeopleCallThem(String written, Implement implement) {
        Line line = read("Name|kg", written + "|20").get(0);

        assertThat(line.known()).isTrue();
        assertThat(line.implement()).isEqualTo(Optional.ofNullable(implement));
        assertThat(line.mass()).isEqualTo("20 kg");
    }

    @ParameterizedTest
    @ValueSource(strings = {"Weight|Count", "Kind|Count"})
    void aTableWithoutThingsOrMassesIsNone(String head) {
        assertThat(KitTable.read(KitTable.headed(table(head, "Plate|20")))).isEmpty();
    }
}
