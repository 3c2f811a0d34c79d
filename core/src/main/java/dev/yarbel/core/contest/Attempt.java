package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Optional;

/** A load that was called in a contest and what became of it. */
public record Attempt(Mass load, Outcome outcome) {

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
