package dev.yarbel.core.prescription;

import java.util.regex.Pattern;

/**
 * The beat of a repetition in four figures: lowering, pause at the bottom, raising, pause at the top, in seconds; X is
 * as fast as possible. {@code 4020}, {@code 32X0}. The first figure is the lowering even where a repetition starts with
 * raising.
 */
public record Tempo(String figures) {

    private static final Pattern FIGURES = Pattern.compile("[0-9X]{4}");

    public Tempo {
        if (!FIGURES.matcher(figures).matches()) {
            throw new IllegalArgumentException("tempo is four figures, or X: '" + figures + "'");
        }
    }

    /** The seconds of one repetition; as fast as possible counts as one. */
    public int seconds() {
        return figures.chars().map(figure -> figure == 'X' ? 1 : figure - '0').sum();
    }

    @Override
    public String toString() {
        return figures;
    }
}
