package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Optional;

/**
 * A load that was called in a contest and what became of it.
 *
 * @param why it was no good one; empty for a good one, and where nobody said
 */
public record Attempt(Mass load, Outcome outcome, Optional<NoLift> why) {

    /** @throws IllegalArgumentException when that is no reason for what became of it */
    public Attempt {
        if (why.filter(said -> said.of() != outcome).isPresent()) {
            throw new IllegalArgumentException(why.get() + " is no reason for " + outcome);
        }
    }

    /** Nobody said why. */
    public Attempt(Mass load, Outcome outcome) {
        this(load, outcome, Optional.empty());
    }

    /** Whether it says anything of strength: not where it was missed by something else. */
    boolean tellsOfStrength() {
        return why.map(NoLift::tellsOfStrength).orElse(true);
    }

    /** Whether it was missed because something hurt. */
    public boolean hurt() {
        return why.filter(NoLift.PAIN::equals).isPresent();
    }

    public boolean isMade() {
        return outcome.isMade();
    }

    /** The heaviest that was made and counts: a fourth attempt does not. Empty while none was. */
    public static Optional<Mass> best(List<Attempt> attempts) {
        return attempts.stream()
                .limit(ContestRules.ATTEMPTS)
                .filter(Attempt::isMade)
                .map(Attempt::load)
                .max(Mass::compareTo);
    }
}
