package dev.yarbel.core.lift;

import java.util.ArrayList;
import java.util.List;
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

    /** A part of a repetition. */
    public enum Phase {
        LOWER,
        HOLD_BELOW,
        RAISE,
        HOLD_ABOVE
    }

    /**
     * One beat of a repetition.
     *
     * @param seconds how long it takes, 0 to 9; 0 also where it is as fast as possible
     */
    public record Beat(Phase phase, int seconds) {}

    /** The four beats in the order in which a lift goes through them: one that starts from the floor is raised first. */
    public List<Beat> beats(Start start) {
        List<Beat> beats = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            int at = start == Start.RAISING ? (i + 2) % 4 : i;
            char figure = figures.charAt(at);
            beats.add(new Beat(Phase.values()[at], figure == 'X' ? 0 : figure - '0'));
        }
        return beats;
    }

    @Override
    public String toString() {
        return figures;
    }
}
