package dev.yarbel.core.session;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;

/** A slot's dose on one day: its letter, the lift and the dose. */
public record Prescription(String letter, Lift lift, Dose dose) {

    /** What a block asks for on one of its days in one of its weeks, in order; both counted from 0. */
    public static List<Prescription> of(Block block, int day, int week) {
        List<Prescription> prescriptions = new ArrayList<>();
        for (Slot slot : block.days().get(day).slots()) {
            slot.doses()
                    .get(week)
                    .ifPresent(dose -> prescriptions.add(new Prescription(slot.letter(), slot.lift(), dose)));
        }
        return prescriptions;
    }
}
