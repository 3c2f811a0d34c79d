package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import dev.yarbel.core.exchange.RosterTable.Field;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Tables whose heads say little or nothing, as people bring them (common practice, no source). */
class HeadedTableTest {

    private static final Lift SQUAT = new Lift("squat");
    private static final Lift BENCH = new Lift("bench-press");
    private static final LiftIndex LIFTS = new LiftIndex(Map.of("Squat", SQUAT, "Bench press", BENCH));
    private static final MaxTable.Said SAID = new MaxTable.Said(
            MassUnit.KG, Optional.of(LocalDate.of(2026, 5, 1)), DayText.Order.DAY_FIRST, LocalDate.of(2026, 6, 1));

    private static List<List<String>> table(String... rows) {
        return Arrays.stream(rows)
                .map(row -> Arrays.asList(row.split("\\|", -1)))
                .toList();
    }

    @Test
    void aListOfLiftersWithoutHeadsIsKnownByItsContents() {
        HeadedTable headed =
                RosterTable.headed(table("Wren Halloway|w|1994|strongwoman", "Halloway, Ada|m|3.4.2001|both"));

        assertThat(headed.line()).isNegative();
        assertThat(headed.guessed()).isTrue();
        assertThat(headed.holds()).containsExactly("name", "sex", "born", "sport");
        assertThat(RosterTable.read(headed, MassUnit.KG).orElseThrow().lines())
                .extracting(RosterTable.Line::line, RosterTable.Line::name)
                .containsExactly(tuple(1, "Wren Halloway"), tuple(2, "Ada Halloway"));
    }

    @Test
    void headsInWordsNobodyKnowsAreHeadsAllTheSame() {
        HeadedTable headed = RosterTable.headed(table("Nom|Sexe|Naissance", "Wren Halloway|f|1994"));

        assertThat(headed.line()).isZero();
        assertThat(headed.holds()).containsExactly("name", "sex", "born");
    }

    @Test
    void aColumnWithAHeadOfItsOwnIsNotGuessedWhereTheTableIsUnderstood() {
        assertThat(RosterTable.headed(table("Name|Joined", "Wren Halloway|2015"))
                        .holds())
                .containsExactly("name", HeadedTable.NOTHING);
        assertThat(RosterTable.headed(table("Name|", "Wren Halloway|f")).holds())
                .containsExactly("name", "sex");
    }

    @Test
    void whatSomebodySaysOfAColumnHolds() {
        HeadedTable headed = RosterTable.headed(table("Member|Wt (lb)|Since", "Wren Halloway|165|2015"))
                .saying(List.of("name", Field.BODY.code(), HeadedTable.NOTHING));

        RosterTable.Read read = RosterTable.read(headed, MassUnit.KG).orElseThrow();
        assertThat(read.lines().get(0).body()).contains(Mass.of("165", MassUnit.LB));
        assertThat(read.unread()).containsExactly("Since");
        assertThat(headed.guessed()).isFalse();
    }

    @Test
    void whatIsTakenFromAColumnIsGone() {
        HeadedTable headed = RosterTable.headed(table("Name|Sex", "Wren Halloway|f"));

        assertThat(RosterTable.read(headed.saying(List.of("", "sex")), MassUnit.KG))
                .isEmpty();
    }

    @Test
    void kitWithoutHeadsIsKnownByItsContents() {
        assertThat(KitTable.read(KitTable.headed(table("Plate|20 kg|4", "Plate|25|2")))
                        .orElseThrow()
                        .lines())
                .extracting(KitTable.Line::mass, KitTable.Line::count)
                .containsExactly(tuple("20 kg", "4"), tuple("25", "2"));
    }

    @Test
    void maxesARowEachAreKnownByTheirContents() {
        HeadedTable headed = MaxTable.headed(table("Ada Brook|Squat|120", "Ada Brook|Bench|80"), LIFTS);

        assertThat(headed.holds()).containsExactly("lifter", "lift", "load");
        assertThat(MaxTable.read(headed, LIFTS, SAID).orElseThrow().lines())
                .extracting(MaxTable.Line::mass)
                .containsExactly(Mass.ofKg(120), Mass.ofKg(80));
    }

    @Test
    void aColumnIsSaidToHoldTheMaxesOfALift() {
        HeadedTable headed = MaxTable.headed(table("Name|KB", "Ada|120"), LIFTS);
        assertThat(MaxTable.read(headed, LIFTS, SAID)).isEmpty();

        assertThat(MaxTable.read(headed.saying(List.of("lifter", MaxTable.columnOf(SQUAT))), LIFTS, SAID)
                        .orElseThrow()
                        .lines())
                .extracting(MaxTable.Line::lift)
                .containsExactly(Optional.of(SQUAT));
    }

    @Test
    void bodyMassesBesideAMaxARowComeInBeside() {
        HeadedTable headed = MaxTable.headed(table("Name|Lift|Load|Scales", "Ada|Squat|120|74,5"), LIFTS)
                .saying(List.of("lifter", "lift", "load", "body"));

        assertThat(MaxTable.read(headed, LIFTS, SAID).orElseThrow().lines())
                .extracting(MaxTable.Line::mass)
                .containsExactlyInAnyOrder(Mass.ofKg(120), Mass.of("74.5", MassUnit.KG));
    }

    @Test
    void aBlockWithoutHeadsHasItsWeeksInOrder() {
        PlanTable.Read read = PlanTable.read(
                        PlanTable.headed(table("Squat|5x5 @ 70%|5x4 @ 75%", "Bench|3x8|3x6"), LIFTS), LIFTS)
                .orElseThrow();

        assertThat(read.weeks()).isEqualTo(2);
        assertThat(read.days().get(0).rows()).hasSize(2).allSatisfy(row -> assertThat(row.doses())
                .noneMatch(cell -> cell.text().isEmpty()));
    }

    @Test
    void whatIsSaidOfABlocksHeadHoldsWhereItComesAgain() {
        HeadedTable headed = PlanTable.headed(
                table("Monday||", "What|Wk 1|Alt", "Squat|5x5|5x3", "Friday||", "What|Wk 1|Alt", "Bench|4x8|4x6"),
                LIFTS);

        PlanTable.Read read = PlanTable.read(
                        headed.saying(List.of("lift", PlanTable.columnOf(1), PlanTable.columnOf(2))), LIFTS)
                .orElseThrow();
        assertThat(read.weeks()).isEqualTo(2);
        assertThat(read.days()).hasSize(2);
    }

    @Test
    void ofTwoColumnsSaidToBeOneWeekTheFirstIs() {
        HeadedTable headed = PlanTable.headed(table("What|One|Other", "Squat|5x5|3x3"), LIFTS)
                .saying(List.of("lift", PlanTable.columnOf(1), PlanTable.columnOf(1)));

        assertThat(PlanTable.read(headed, LIFTS)
                        .orElseThrow()
                        .days()
                        .get(0)
                        .rows()
                        .get(0)
                        .doses())
                .extracting(PlanTable.Cell::text)
                .containsExactly("5x5");
    }

    /** Each kind of table with heads that are known, and with the same ones beneath rows that say nothing. */
    static Stream<List<List<String>>> listsOfLifters() {
        return Stream.of(
                table("Name|Sex|Born", "Ada Brook|f|1994"),
                table("", "", "Name|Sex|Born", "Ada Brook|f|1994"),
                table("Members 2026||", "Name|Sex|Born", "Ada Brook|f|1994"));
    }

    @ParameterizedTest
    @MethodSource("listsOfLifters")
    void sayingWhatWasFoundChangesNothing(List<List<String>> rows) {
        HeadedTable headed = RosterTable.headed(rows);

        assertThat(RosterTable.read(headed.saying(headed.holds()), MassUnit.KG))
                .isEqualTo(RosterTable.read(headed, MassUnit.KG));
    }

    @Test
    void theShapeIsItsHeadsWhateverStandsBeneath() {
        assertThat(RosterTable.headed(table("Name|Geschl.", "Ada|w")).shape())
                .isEqualTo(RosterTable.headed(table(" NAME |geschl", "Wren|m", "Ada|w"))
                        .shape())
                .isNotEqualTo(RosterTable.headed(table("Name|Born", "Ada|1994")).shape());
    }

    @Test
    void nothingIsNoTable() {
        assertThat(RosterTable.headed(Collections.nCopies(3, List.of("", "")))).satisfies(none -> {
            assertThat(none.holds()).isEmpty();
            assertThat(none.sample(5)).isEmpty();
        });
    }
}
