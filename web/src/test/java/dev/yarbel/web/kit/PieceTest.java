package dev.yarbel.web.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Pieces of kit of every shelf, as they are kept and read again. */
class PieceTest {

    private static final Band BAND =
            new Band("Red", Optional.of(2024), Length.ofCm(60), Mass.ofKg(10), Length.ofCm(120), Mass.ofKg(30));

    static List<Piece> pieces() {
        return List.of(
                new BarPiece(
                        new Gym.Holder(Implement.BARBELL, "45 lb bar", Mass.ofLb(45), Optional.empty(), true),
                        MassUnit.LB),
                new BarPiece(
                        new Gym.Holder(
                                Implement.SAFETY_BAR,
                                "Safety bar",
                                Mass.of("29.5", MassUnit.KG),
                                Optional.of("squat"),
                                false,
                                Optional.of("hole 5")),
                        MassUnit.KG),
                new PlatePiece(new Plate(Mass.of("1.25", MassUnit.KG), MassUnit.KG, true, true), 4),
                new PlatePiece(new Plate(Mass.of("2.5", MassUnit.LB), MassUnit.LB, false, false), 200),
                new WholePiece(
                        Implement.DUMBBELL, "", Optional.of(Mass.ofKg(20)), Mass.of("22.5", MassUnit.KG), MassUnit.KG),
                new WholePiece(Implement.STONE, "Grey stone", Optional.empty(), Mass.ofLb(220), MassUnit.LB),
                new MachinePiece(
                        new Gym.Stack("Tower", "lat-pulldown", Mass.ofLb(10), Mass.ofLb(5), Mass.ofLb(200)),
                        MassUnit.LB),
                new BandPiece("Pair", BAND, BAND, MassUnit.KG),
                new BandPiece(
                        "Odd",
                        new Band("", Optional.empty(), Length.ofCm(50), Mass.ofLb(5), Length.ofCm(90), Mass.ofLb(20)),
                        new Band(
                                "Other",
                                Optional.of(2020),
                                Length.ofCm(50),
                                Mass.ofLb(6),
                                Length.ofCm(90),
                                Mass.ofLb(23)),
                        MassUnit.LB),
                new ChainPiece("Chain", Mass.of("15.5", MassUnit.LB), Length.ofCm(150), 2, MassUnit.LB));
    }

    @Test
    void everyShelfIsAmongThem() {
        assertThat(pieces().stream().map(Piece::shelf).collect(Collectors.toSet()))
                .containsExactlyInAnyOrder(Shelf.values());
    }

    @ParameterizedTest
    @MethodSource("pieces")
    void whatIsKeptOfAPieceIsReadAsTheSame(Piece piece) {
        assertThat(piece.shelf().read(PieceAnswers.kept(piece.texts()))).isEqualTo(piece);
        assertThat(piece.shelf().fields()).containsAll(piece.texts().keySet());
        assertThat(piece.label()).isNotEmpty();
    }

    /** A field taken away, filled with nonsense or with what the shelf cannot hold is refused in that field, or was not needed. */
    @ParameterizedTest
    @MethodSource("pieces")
    void whatCannotBeReadNamesItsField(Piece piece) {
        Set<PieceField> words = Set.of(
                PieceField.NAME, PieceField.MAKE, PieceField.OTHER_MAKE, PieceField.SAFETY_HEIGHT, PieceField.MADE_FOR);
        for (PieceField field : piece.shelf().fields()) {
            if (field.input() == PieceField.Input.TICK || words.contains(field)) {
                continue;
            }
            for (String text : List.of("-1", "9e9", "nothing of the kind", "99999 kg")) {
                Map<PieceField, String> texts = new EnumMap<>(piece.texts());
                texts.put(field, text);
                assertThatThrownBy(() -> piece.shelf().read(typed(texts)))
                        .as(field + " = " + text)
                        .isInstanceOfSatisfying(UnreadableException.class, unreadable -> assertThat(unreadable.field())
                                .isEqualTo(PieceAnswers.name(field)));
            }
        }
    }

    private static PieceAnswers typed(Map<PieceField, String> texts) {
        return PieceAnswers.typed(new PieceForm(texts, null, null), MassUnit.KG, Lift::new);
    }

    @Test
    void anImplementOfAnotherShelfIsRefused() {
        for (Implement implement : Implement.values()) {
            boolean whole = implement.made() == Implement.Made.PIECES;
            Map<PieceField, String> texts =
                    Map.of(PieceField.IMPLEMENT, implement.name(), PieceField.NAME, "Thing", PieceField.MASS, "20 kg");
            for (Shelf shelf : List.of(Shelf.BARS, Shelf.PIECES)) {
                boolean belongs = shelf == Shelf.BARS ? implement.made() == Implement.Made.PLATES : whole;
                assertThat(Arrays.asList(PieceField.IMPLEMENT.choices(shelf).toArray())
                                .contains(implement))
                        .isEqualTo(belongs);
                if (!belongs) {
                    assertThatThrownBy(() -> shelf.read(typed(texts))).isInstanceOf(UnreadableException.class);
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"4, 4", "2 pairs, 4", "1 pair, 2", "3pr, 6", "2 Paar, 4", "3, 3"})
    void platesAreCountedSinglyOrInPairs(String typed, int count) {
        assertThat(Shelf.PLATES.read(typed(Map.of(PieceField.MASS, "20", PieceField.COUNT, typed))))
                .isEqualTo(new PlatePiece(new Plate(Mass.ofKg(20), MassUnit.KG, false, false), count));
    }

    @ParameterizedTest
    @ValueSource(strings = {"0 pairs", "101 pairs", "two pairs", "2 x", "pairs"})
    void noOtherCountIsTaken(String typed) {
        assertThatThrownBy(() -> Shelf.PLATES.read(typed(Map.of(PieceField.MASS, "20", PieceField.COUNT, typed))))
                .isInstanceOf(UnreadableException.class);
    }

    @Test
    void manyPlatesAreAskedAboutOnceAndKeptWhenTheyAreMeant() {
        Map<PieceField, String> texts = Map.of(PieceField.MASS, "20", PieceField.COUNT, "150");
        assertThatThrownBy(() -> Shelf.PLATES.read(typed(texts)))
                .isInstanceOfSatisfying(UnreadableException.class, asked -> assertThat(asked.code())
                        .isEqualTo("ask.plates"));
        PieceForm meant = new PieceForm(texts, "150", null);
        assertThat(Shelf.PLATES.read(PieceAnswers.typed(meant, MassUnit.KG, Lift::new)))
                .isEqualTo(new PlatePiece(new Plate(Mass.ofKg(20), MassUnit.KG, false, false), 150));
    }
}
