package dev.yarbel.core.block;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
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
        String letter, Lift lift, List<Optional<Dose>> doses, Optional<String> school, Optional<String> reason) {

    public Slot {
        if (letter.isBlank()) {
            throw new IllegalArgumentException("a slot has a letter");
        }
        doses = List.copyOf(doses);
    }

    /** A slot that a coach wrote without giving a reason. */
    public Slot(String letter, Lift lift, List<Optional<Dose>> doses) {
        this(letter, lift, doses, Optional.empty(), Optional.empty());
    }
}
