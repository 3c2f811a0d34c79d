package dev.yarbel.core.prescription;

import dev.yarbel.core.measure.Percent;
import java.time.Duration;
import java.util.Optional;

/**
 * What a slot asks for in one week: sets of repetitions and what their load hangs on, with rest and tempo if they matter.
 *
 * <p>Its text form is the shorthand that coaches type, see {@link DoseParser}; {@link #shorthand()} prints the canonical
 * one, which is what is kept.
 *
 * @param sets 1 to 50
 * @param reps 1 to 100 a set
 */
public record Dose(int sets, int reps, LoadBasis basis, Optional<Duration> rest, Optional<Tempo> tempo) {

    public static final int MOST_SETS = 50;
    public static final int MOST_REPS = 100;
    public static final Duration MOST_REST = Duration.ofMinutes(30);

    public Dose {
        if (sets < 1 || sets > MOST_SETS) {
            throw new IllegalArgumentException("1 to " + MOST_SETS + " sets");
        }
        if (reps < 1 || reps > MOST_REPS) {
            throw new IllegalArgumentException("1 to " + MOST_REPS + " repetitions");
        }
        rest.ifPresent(r -> {
            if (r.isNegative() || r.isZero() || r.compareTo(MOST_REST) > 0) {
                throw new IllegalArgumentException("rest of up to " + MOST_REST);
            }
        });
    }

    /** A dose without rest or tempo. */
    public static Dose of(int sets, int reps, LoadBasis basis) {
        return new Dose(sets, reps, basis, Optional.empty(), Optional.empty());
    }

    /**
     * Reads shorthand.
     *
     * @throws IllegalArgumentException when it cannot be read
     */
    public static Dose parse(String shorthand) {
        DoseParser.Result result = DoseParser.parse(shorthand);
        if (result instanceof DoseParser.Read read) {
            return read.dose();
        }
        throw new IllegalArgumentException(shorthand + ": " + result);
    }

    /** Whether other doses may hang on this one: its load does not hang on another set of the day. */
    public boolean isTop() {
        return !(basis instanceof LoadBasis.BelowTop);
    }

    /** The canonical shorthand: {@code 5x5 -22%}, {@code 1 @8}, {@code 4x8 72.5% rest 120 tempo 3010}. */
    public String shorthand() {
        StringBuilder text = new StringBuilder();
        if (sets > 1 || !(basis instanceof LoadBasis.AtRpe)) {
            text.append(sets).append('x');
        }
        text.append(reps).append(' ').append(basisShorthand());
        rest.ifPresent(r -> text.append(" rest ").append(r.toSeconds()));
        tempo.ifPresent(t -> text.append(" tempo ").append(t));
        return text.toString();
    }

    private String basisShorthand() {
        if (basis instanceof LoadBasis.AtRpe at) {
            return "@" + at.rpe();
        }
        if (basis instanceof LoadBasis.OfWorkingMax of) {
            return figure(of.percent()) + "%";
        }
        if (basis instanceof LoadBasis.BelowTop below) {
            return "-" + figure(below.drop()) + "%";
        }
        LoadBasis.Fixed fixed = (LoadBasis.Fixed) basis;
        return fixed.load().figure(fixed.unit(), 3) + fixed.unit().symbol();
    }

    private static String figure(Percent percent) {
        return percent.format(4);
    }
}
