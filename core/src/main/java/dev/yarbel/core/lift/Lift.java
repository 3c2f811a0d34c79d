package dev.yarbel.core.lift;

import java.util.regex.Pattern;

/**
 * A lift, known by a short key such as {@code squat}, which is also what is kept of it.
 *
 * <p>The key is lower case, of letters, figures and hyphens, up to 40 characters.
 */
public record Lift(String key) implements Comparable<Lift> {

    private static final Pattern KEY = Pattern.compile("[a-z][a-z0-9-]{0,39}");

    public static final Lift SQUAT = new Lift("squat");
    public static final Lift BENCH_PRESS = new Lift("bench-press");
    public static final Lift DEADLIFT = new Lift("deadlift");
    public static final Lift OVERHEAD_PRESS = new Lift("overhead-press");

    public Lift {
        if (!KEY.matcher(key).matches()) {
            throw new IllegalArgumentException("not the key of a lift: '" + key + "'");
        }
    }

    /** As any record's, written out because it is asked for each set of a long log. */
    @Override
    public boolean equals(Object other) {
        return this == other || other instanceof Lift lift && key.equals(lift.key);
    }

    @Override
    public int hashCode() {
        return key.hashCode();
    }

    @Override
    public int compareTo(Lift other) {
        return key.compareTo(other.key);
    }

    @Override
    public String toString() {
        return key;
    }
}
