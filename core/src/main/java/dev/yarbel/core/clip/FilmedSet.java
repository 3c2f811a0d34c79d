package dev.yarbel.core.clip;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;

/**
 * A set of which there is a clip.
 *
 * @param number that tells it from others, rising as they were lifted
 */
public record FilmedSet(long number, LocalDate on, LiftedSet set) {

    /** How far apart loads may be of sets that are held against each other (common practice, no source). */
    public static final Percent LIKE = Percent.of(5);

    /**
     * Whether another shows what this one should look like: it was lifted before, of the same lift, with as many repetitions, at a load
     * within five hundredths of this one's. A set on the body alone is like any other of its kind.
     */
    public boolean isLike(FilmedSet earlier) {
        return earlier.number != number
                && (earlier.on.isBefore(on) || earlier.on.equals(on) && earlier.number < number)
                && earlier.set.lift().equals(set.lift())
                && earlier.set.reps() == set.reps()
                && !earlier.set
                        .load()
                        .distanceTo(set.load())
                        .isGreaterThan(set.load().times(LIKE));
    }

    /** Those of some that this one is best held against, the latest first. */
    public List<FilmedSet> like(List<FilmedSet> others) {
        return others.stream()
                .filter(this::isLike)
                .sorted(Comparator.comparing(FilmedSet::on)
                        .thenComparing(FilmedSet::number)
                        .reversed())
                .toList();
    }
}
