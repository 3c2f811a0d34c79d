package dev.yarbel.core.block;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.util.List;
import java.util.Optional;

/**
 * One line of a training day: a letter such as A or C1, a lift, and its dose in each week; a week may leave it out.
 *
 * @param doses one for each week of the block
 */
public record Slot(String letter, Lift lift, List<Optional<Dose>> doses) {

    public Slot {
        if (letter.isBlank()) {
            throw new IllegalArgumentException("a slot has a letter");
        }
        doses = List.copyOf(doses);
    }
}
