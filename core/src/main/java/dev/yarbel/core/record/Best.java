package dev.yarbel.core.record;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/** The number to beat: the heaviest load lifted for so many repetitions at a rating or easier. */
public record Best(LocalDate on, Mass load, int reps, Rpe rpe) {

    /**
     * The best of what was lifted so far; of two alike the later one. Sets that were missed, helped or not rated are none.
     *
     * @param most the hardest rating that counts
     */
    public static Optional<Best> of(Collection<LiftedSession> sessions, Lift lift, int reps, Rpe most) {
        return sessions.stream()
                .flatMap(session -> session.sets().stream()
                        .filter(set -> set.lift().equals(lift)
                                && set.reps() >= reps
                                && set.load().isPositive())
                        .filter(set ->
                                set.details().helped() == 0 && !set.details().modified())
                        .flatMap(set -> set.effort() instanceof Effort.Rated rated
                                ? Optional.of(new Best(session.date(), set.load(), set.reps(), rated.rpe())).stream()
                                : Optional.<Best>empty().stream()))
                .filter(best -> best.rpe.compareTo(most) <= 0)
                .max(Comparator.comparing(Best::load).thenComparing(Best::on));
    }
}
