package dev.yarbel.core.prescription;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.measure.Percent;
import java.time.Duration;
import java.util.Optional;

/**
 * Sets of one kind within a dose: how they are built, what their load hangs on, and what else is said of them.
 *
 * @param changing what chains or bands do to the load
 */
public record Part(Work work, LoadBasis basis, Optional<AccommodatingResistance> changing, Details details) {

    public Part {
        if (work.isPreparation() && changing.isPresent()) {
            throw new IllegalArgumentException("preparation needs no chains");
        }
        boolean bounded = details.within().isPresent();
        if (bounded && (basis.rating().isPresent() || basis.isByFeel())) {
            throw new IllegalArgumentException("a rating beside a load, not beside another rating");
        }
        if (basis.belowTop().filter(LoadBasis.BelowTop::each).isPresent() && work.sets() > MOST_STEPPED) {
            throw new IllegalArgumentException("up to " + MOST_STEPPED + " sets that drop from one to the next");
        }
    }

    /** More sets than this, each lighter than the one before, would end at next to nothing. */
    public static final int MOST_STEPPED = 12;

    public static Part of(Work work, LoadBasis basis) {
        return new Part(work, basis, Optional.empty(), Details.NONE);
    }

    public int sets() {
        return work.sets();
    }

    public int reps() {
        return work.reps();
    }

    public Optional<Duration> rest() {
        return details.rest();
    }

    public Optional<Tempo> tempo() {
        return details.tempo();
    }

    public boolean is(SetModifier manner) {
        return details.is(manner);
    }

    /** Whether other doses may hang on this one: its load does not hang on another set of the day, and is counted. */
    public boolean isTop() {
        return !basis.hangsOnTop() && work.countsReps() && !is(SetModifier.SPEED);
    }

    /** The same with another load. */
    public Part with(LoadBasis other) {
        return new Part(work, other, changing, details);
    }

    /** The same with other sets. */
    public Part with(Work other) {
        return new Part(other, basis, changing, details);
    }

    public Part with(Details other) {
        return new Part(work, basis, changing, other);
    }

    /** The canonical shorthand of this part. */
    public String shorthand() {
        StringBuilder text = new StringBuilder(Shorthand.of(work, basis.rating().isPresent()));
        String load = Shorthand.of(basis);
        if (!load.isEmpty() && !(basis.isByFeel() && Shorthand.needsNoLoad(work))) {
            text.append(' ').append(load);
        }
        work.repeatsUntil().ifPresent(rpe -> text.append(" until @").append(rpe));
        changing.ifPresent(c -> text.append(' ').append(c.shorthand()));
        return text.append(details.shorthand()).toString();
    }

    /** The share of the day's top or of the max it asks for, where it asks for one. */
    public Optional<Percent> percent() {
        return basis.share().map(LoadBasis.Share::percent);
    }
}
