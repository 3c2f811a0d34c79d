package dev.yarbel.web.block;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A block as a template keeps it: without dates, its doses in canonical shorthand.
 *
 * @param shape the weeks' codes
 */
record BlockText(int weeks, String shape, List<DayText> days) {

    /** A training day. */
    record DayText(String name, int offset, List<SlotText> slots) {}

    /** A slot; a week without a dose is empty. */
    record SlotText(String letter, String lift, String school, String reason, List<String> doses) {}

    static BlockText of(Block block) {
        List<DayText> days = new ArrayList<>();
        for (TrainingDay day : block.days()) {
            days.add(new DayText(
                    day.name(),
                    day.offset(),
                    day.slots().stream()
                            .map(slot -> new SlotText(
                                    slot.letter(),
                                    slot.lift().key(),
                                    slot.school().orElse(""),
                                    slot.reason().orElse(""),
                                    slot.doses().stream()
                                            .map(dose ->
                                                    dose.map(Dose::shorthand).orElse(""))
                                            .toList()))
                            .toList()));
        }
        return new BlockText(block.weeks(), WeekCodes.of(block.shape()), days);
    }

    /** The block from a day on. */
    Block from(LocalDate start) {
        return new Block(start, trainingDays(), WeekCodes.parse(shape, weeks), Optional.empty());
    }

    private List<TrainingDay> trainingDays() {
        return days.stream()
                .map(day -> new TrainingDay(
                        day.name(),
                        day.offset(),
                        day.slots().stream().map(BlockText::slot).toList()))
                .toList();
    }

    private static Slot slot(SlotText slot) {
        return new Slot(
                slot.letter(),
                new Lift(slot.lift()),
                slot.doses().stream()
                        .map(dose -> dose.isEmpty() ? Optional.<Dose>empty() : Optional.of(Dose.parse(dose)))
                        .toList(),
                Optional.of(slot.school()).filter(text -> !text.isEmpty()),
                Optional.of(slot.reason()).filter(text -> !text.isEmpty()));
    }
}
