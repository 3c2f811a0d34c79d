package dev.yarbel.core.prescription;

import java.util.List;
import java.util.stream.Collectors;

/**
 * What a slot asks for in one week: sets of one kind, or of several done one after the other, such as a top set and its
 * back-offs.
 *
 * <p>Its text form is the shorthand that coaches type, see {@link DoseParser}; {@link #shorthand()} prints the canonical
 * one, which is what is kept.
 *
 * @param parts 1 to 6
 */
public record Dose(List<Part> parts) {

    public static final int MOST_PARTS = 6;

    public Dose {
        parts = List.copyOf(parts);
        if (parts.isEmpty() || parts.size() > MOST_PARTS) {
            throw new IllegalArgumentException("1 to " + MOST_PARTS + " parts");
        }
    }

    /** A dose of one part. */
    public static Dose of(Part part) {
        return new Dose(List.of(part));
    }

    /** Straight sets without anything else said. */
    public static Dose of(int sets, int reps, LoadBasis basis) {
        return of(Part.of(Work.Straight.of(sets, reps), basis));
    }

    /**
     * Reads shorthand.
     *
     * @throws IllegalArgumentException when it cannot be read
     */
    public static Dose parse(String shorthand) {
        DoseParser.Result result = DoseParser.parse(shorthand);
        return result.dose().orElseThrow(() -> new IllegalArgumentException(shorthand + ": " + result));
    }

    /** The first part, which most doses consist of. */
    public Part first() {
        return parts.get(0);
    }

    /** All sets of all parts. */
    public int sets() {
        return parts.stream().mapToInt(Part::sets).sum();
    }

    public boolean is(SetModifier manner) {
        return parts.stream().anyMatch(part -> part.is(manner));
    }

    /** The canonical shorthand: {@code 5x5 -22%}, {@code 1 @8 then 5x5 -22%}, {@code 4x8 72.5% rest 120 tempo 3010}. */
    public String shorthand() {
        return parts.stream().map(Part::shorthand).collect(Collectors.joining(" then "));
    }
}
