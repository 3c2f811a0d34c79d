package dev.yarbel.web.block;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.DayEdit;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.block.WeekEdit;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class EditJsonTest {

    private static final DayId DAY = new DayId(7);
    private static final SlotId SLOT = new SlotId(12);
    private static final Slot BENCH = new Slot(
            SLOT,
            "B",
            Lift.BENCH_PRESS,
            List.of(Optional.of(Dose.parse("1 @8 then 5x5 -22%")), Optional.empty()),
            Optional.of("rpe-led"),
            Optional.of("slow \"off\" the chest"));

    private final EditJson json = new EditJson();

    static List<BlockEdit> edits() {
        BlockWeek peak = new BlockWeek(Phase.PEAK, true);
        return List.of(
                new SetDoses(List.of(
                        new SetDoses.Change(SLOT, 3, Optional.empty(), Optional.of(Dose.parse("3x5 102.5kg"))))),
                new WeekEdit.Set(1, BlockWeek.PLAIN, peak),
                new WeekEdit.Insert(2, peak, Map.of(SLOT, Dose.parse("3x5 75%"))),
                new WeekEdit.Repeat(4),
                new WeekEdit.Remove(0, BlockWeek.PLAIN, Map.of(SLOT, Dose.parse("max 75%"))),
                new WeekEdit.Move(3, 1),
                new DayEdit.Set(DAY, new DayEdit.Title("Heavy", 0), new DayEdit.Title("Heavier", 2)),
                new DayEdit.Add(1, new TrainingDay(DAY, "Light", 3, List.of(BENCH))),
                new DayEdit.Copy(DAY, new DayId(8), new DayEdit.Title("Twin", 5), Map.of(SLOT, new SlotId(13))),
                new DayEdit.Remove(new TrainingDay(DAY, "Light", 3, List.of(BENCH))),
                new DayEdit.Move(DAY, -1),
                new SlotEdit.Set(
                        SLOT,
                        new SlotEdit.Title("B", Lift.BENCH_PRESS, Optional.empty()),
                        new SlotEdit.Title("C1", Lift.SQUAT, Optional.of("why"))),
                new SlotEdit.Add(DAY, 0, BENCH),
                new SlotEdit.Remove(BENCH),
                new SlotEdit.Move(SLOT, 1, true),
                new BlockEdit.Rename(
                        new BlockEdit.Title("Neap", Optional.empty()),
                        new BlockEdit.Title("Spring", Optional.of(LocalDate.of(2026, 5, 2)))),
                new BlockEdit.Start(LocalDate.of(2026, 3, 2), LocalDate.of(2026, 3, 9)),
                new BlockEdit.Shift(LocalDate.of(2026, 3, 2), LocalDate.of(2026, 3, 5)),
                new BlockEdit.Several(List.of(new WeekEdit.Repeat(1), new WeekEdit.Move(2, 3))));
    }

    @ParameterizedTest
    @MethodSource("edits")
    void whatIsWrittenIsReadBack(BlockEdit edit) {
        EditJson.Kept kept = new EditJson.Kept(edit, new BlockEdit.Several(List.of(edit)));
        assertThat(json.read(json.write(kept))).contains(kept);
    }

    @Test
    void everyKindOfEditHasAName() {
        assertThat(kinds(BlockEdit.class)).containsExactlyInAnyOrderElementsOf(EditJson.NAMES.keySet());
        assertThat(edits().stream().map(BlockEdit::getClass).distinct()).hasSameSizeAs(EditJson.NAMES.keySet());
    }

    private static Stream<Class<?>> kinds(Class<?> kind) {
        return kind.isSealed()
                ? Arrays.stream(kind.getPermittedSubclasses()).flatMap(EditJsonTest::kinds)
                : Stream.of(kind);
    }

    /** As a ledger of this version holds them; a version that cannot read one of them cannot take it back. */
    @ParameterizedTest
    @ValueSource(strings = {"""
                {"edit":{"edit":"doses","changes":[{"slot":"12","week":1,"from":"3x5 75%","to":null}]},
                 "back":{"edit":"doses","changes":[{"slot":"12","week":1,"from":null,"to":"3x5 75%"}]}}""", """
                {"edit":{"edit":"week-insert","at":2,"week":{"phase":"GENERAL","deload":false},"doses":{}},
                 "back":{"edit":"week-remove","at":2,"week":{"phase":"GENERAL","deload":false},"doses":{}}}""", """
                {"edit":{"edit":"several","edits":[{"edit":"week-repeat","week":1},{"edit":"slot-move","slot":"12","by":1,
                 "lettersStay":false}]},"back":{"edit":"several","edits":[]}}"""})
    void whatALedgerHoldsIsRead(String text) {
        assertThat(json.read(text)).isPresent();
    }

    @Test
    void whatAnOlderYarbelWroteIsNotTakenBack() {
        assertThat(json.read("{\"cell.12.1\":[\"3x5 75%\",\"\"]}")).isEmpty();
    }
}
