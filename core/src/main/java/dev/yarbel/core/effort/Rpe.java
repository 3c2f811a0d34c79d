package dev.yarbel.core.effort;

import java.math.BigDecimal;
import java.util.Objects;
import java.util.regex.Pattern;

/**
 * The rating of a set by repetitions left, from 1 to 10 in halves (Zourdos et al. 2016, J Strength Cond Res 30(1)).
 *
 * <p>10 means none left and no more load; 9.5 none left, perhaps a little more load; 9 one; 8.5 one, perhaps two; 8 two;
 * and so on. It is rated after the set. The effort of a whole session is another scale and never this type.
 */
public final class Rpe implements Comparable<Rpe> {

    /** The lowest rating from which a max may be estimated; below it a set was a light warm-up. */
    public static final Rpe LOWEST_THAT_ESTIMATES = new Rpe(12);

    /** Nothing left. */
    public static final Rpe LIMIT = new Rpe(20);

    private static final Pattern TEXT = Pattern.compile("(\\d{1,2})(?:[.,]([05]))?");

    private final int halves;

    private Rpe(int halves) {
        if (halves < 2 || halves > 20) {
            throw new IllegalArgumentException("RPE runs from 1 to 10 in halves");
        }
        this.halves = halves;
    }

    /**
     * A whole rating.
     *
     * @throws IllegalArgumentException outside 1 to 10
     */
    public static Rpe of(int whole) {
        return new Rpe(Math.multiplyExact(whole, 2));
    }

    /**
     * Reads {@code 8}, {@code 8.5} or {@code 8,5}.
     *
     * @throws IllegalArgumentException when the text is no rating from 1 to 10 in halves
     */
    public static Rpe parse(String text) {
        var matcher = TEXT.matcher(text.strip());
        if (!matcher.matches()) {
            throw new IllegalArgumentException("RPE runs from 1 to 10 in halves: '" + text + "'");
        }
        return new Rpe(Integer.parseInt(matcher.group(1)) * 2 + ("5".equals(matcher.group(2)) ? 1 : 0));
    }

    /**
     * The rating that leaves so many half repetitions: 4 are RPE 8.
     *
     * @throws IllegalArgumentException outside 0 to 18
     */
    public static Rpe withHalvesLeft(int halvesLeft) {
        return new Rpe(20 - halvesLeft);
    }

    /** Half a point harder for 1, easier for −1, the same for 0; never beyond the ends of the scale. */
    public Rpe towards(int harder) {
        return new Rpe(Math.max(2, Math.min(20, halves + Integer.signum(harder))));
    }

    /** Repetitions in reserve, 10 − RPE, in halves: 4 for RPE 8. */
    public int halvesLeft() {
        return 20 - halves;
    }

    /** Whether a set rated so may feed an estimate of a max: RPE 6 and up. */
    public boolean estimates() {
        return halves >= LOWEST_THAT_ESTIMATES.halves;
    }

    @Override
    public int compareTo(Rpe other) {
        return Integer.compare(halves, other.halves);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Rpe rpe && rpe.halves == halves;
    }

    @Override
    public int hashCode() {
        return Objects.hash(halves);
    }

    /** The figure: {@code 8} or {@code 8.5}. */
    @Override
    public String toString() {
        return new BigDecimal(halves).divide(BigDecimal.valueOf(2)).toPlainString();
    }
}
