package dev.yarbel.core.block;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One line of a training day: a letter such as A or C1, a lift, and its dose in each week; a week may leave it out.
 *
 * @param doses one for each week of the block
 * @param school the key of the school that drew it up, whose own law it follows
 * @param reason why it is there
 */
public record Slot(
        SlotId id,
        String letter,
        Lift lift,
        List<Optional<Dose>> doses,
        Optional<String> school,
        Optional<String> reason) {

    public Slot {
        if (letter.isBlank()) {
            throw new IllegalArgumentException("a slot has a letter");
        }
        doses = List.copyOf(doses);
    }

    /** A slot that its block gives a number. */
    public Slot(
            String letter, Lift lift, List<Optional<Dose>> doses, Optional<String> school, Optional<String> reason) {
        this(SlotId.NEW, letter, lift, doses, school, reason);
    }

    /** A slot that a coach wrote without giving a reason, and that its block gives a number. */
    public Slot(String letter, Lift lift, List<Optional<Dose>> doses) {
        this(letter, lift, doses, Optional.empty(), Optional.empty());
    }

    /** The dose of a week, counted from 0; empty for a week that leaves it out, and for one outside the block. */
    public Optional<Dose> dose(int week) {
        return week >= 0 && week < doses.size() ? doses.get(week) : Optional.empty();
    }

    /** The same slot under another number. */
    public Slot as(SlotId other) {
        return new Slot(other, letter, lift, doses, school, reason);
    }

    /** The same slot with other doses. */
    public Slot with(List<Optional<Dose>> others) {
        return new Slot(id, letter, lift, others, school, reason);
    }

    /** The same slot with another dose in a week, or none. */
    public Slot with(int week, Optional<Dose> dose) {
        List<Optional<Dose>> others = new ArrayList<>(doses);
        others.set(week, dose);
        return with(others);
    }

    /** The same slot under another letter. */
    public Slot lettered(String other) {
        return new Slot(id, other, lift, doses, school, reason);
    }
}
