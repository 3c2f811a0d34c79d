package dev.yarbel.core.session;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A part of a slot's dose on one day: its letter, the lift and the sets. The sets of a slot are numbered through its parts.
 *
 * @param sets how many sets are asked for today: those of the dose, unless the day was changed on the floor; may be none
 * @param firstSet the number of its first set within the slot, from 1
 * @param last no part of the slot follows
 * @param lastTime what was or will have been lifted the time before, where the plan knows
 * @param earned whether what was done the time before earned a step; taken for granted of what is still to come, except
 *     that a range is worked through first
 */
public record Prescription(
        String letter,
        Lift lift,
        Part part,
        int sets,
        int firstSet,
        boolean last,
        Optional<Mass> lastTime,
        boolean earned) {

    /** The first part of a dose, as the only one of its slot. */
    public Prescription(String letter, Lift lift, Dose dose) {
        this(letter, lift, dose.first(), dose.first().sets(), 1, true, Optional.empty(), true);
    }

    /** What a block asks for on one of its days in one of its weeks, in order; both counted from 0. */
    public static List<Prescription> of(Block block, int day, int week) {
        List<Prescription> prescriptions = new ArrayList<>();
        for (Slot slot : block.days().get(day).slots()) {
            slot.doses().get(week).ifPresent(dose -> prescriptions.addAll(of(slot.letter(), slot.lift(), dose)));
        }
        return prescriptions;
    }

    /** The parts of one slot's dose. */
    public static List<Prescription> of(String letter, Lift lift, Dose dose) {
        List<Prescription> parts = new ArrayList<>();
        int first = 1;
        for (int i = 0; i < dose.parts().size(); i++) {
            Part part = dose.parts().get(i);
            boolean last = i == dose.parts().size() - 1;
            parts.add(new Prescription(letter, lift, part, part.sets(), first, last, Optional.empty(), true));
            first += part.sets();
        }
        return parts;
    }

    /** Whether a work set of this number answers it; sets beyond those asked for answer the last part. */
    public boolean isAnsweredBy(TaskKey task) {
        return !task.warmUp()
                && task.letter().equals(letter)
                && task.number() >= firstSet
                && (last || task.number() < firstSet + sets);
    }

    Prescription after(Mass before, boolean stepEarned) {
        return new Prescription(letter, lift, part, sets, firstSet, last, Optional.of(before), stepEarned);
    }

    /** The number of its last set within the slot; one less than the first where no set is asked for. */
    public int lastSet() {
        return firstSet + sets - 1;
    }

    /** The stem of the letter: slots that share one, C1 and C2, are done in turn. */
    public String group() {
        String stem = letter.replaceAll("\\d+$", "");
        return stem.isEmpty() ? letter : stem;
    }

    Prescription withSets(int number) {
        return new Prescription(letter, lift, part, number, firstSet, last, lastTime, earned);
    }

    Prescription from(int first, boolean lastOfSlot) {
        return new Prescription(letter, lift, part, sets, first, lastOfSlot, lastTime, earned);
    }

    /** The same dose with another lift, of which the time before and a load written for this one say nothing. */
    Prescription with(Lift other) {
        Part taken = part.basis() instanceof LoadBasis.Fixed ? part.with(LoadBasis.FEEL) : part;
        return new Prescription(letter, other, taken, sets, firstSet, last, Optional.empty(), true);
    }
}
