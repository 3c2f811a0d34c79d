package dev.yarbel.core.equipment;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * What chains or bands add to the bar on the way up, as a pair together: {@code +chains 15kg}, {@code +bands 10/35kg},
 * or what reverse bands take off: {@code reverse 20kg}.
 *
 * <p>The load of the dose is meant at one {@link End} of the lift or on the bar itself. Where the dose does not say which,
 * a load in figures, or one that hangs on the last time or on the day's top, is what stands on the bar; a percentage is
 * meant at the top, as such sets are usually spoken of (common practice, no source); a rating is worked out where the lift
 * is hardest.
 *
 * @param bottom at the bottom of the lift
 * @param top at the top
 * @param unit as the coach typed
 * @param at where the load of the dose is meant, if the dose says so
 */
public record AccommodatingResistance(Kind kind, Mass bottom, Mass top, MassUnit unit, Optional<End> at) {

    /** Where the load of a dose is meant. */
    public enum End {
        BAR("bar"),
        BOTTOM("bottom"),
        TOP("top");

        private final String word;

        End(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public static final Mass MOST = Mass.ofKg(300);

    /** What hangs on the bar. */
    public enum Kind {
        CHAINS("+chains"),
        BANDS("+bands"),
        REVERSE("reverse");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public AccommodatingResistance {
        boolean right = kind == Kind.REVERSE ? !bottom.isLessThan(top) : !top.isLessThan(bottom);
        if (!right || bottom.plus(top).isZero() || bottom.isNegative() || top.isNegative()) {
            throw new IllegalArgumentException("chains and bands add most at the top, reverse bands help most below");
        }
        if (Mass.max(bottom, top).isGreaterThan(MOST)) {
            throw new IllegalArgumentException("up to " + MOST);
        }
    }

    /** Nothing is said of where the load is meant. */
    public AccommodatingResistance(Kind kind, Mass bottom, Mass top, MassUnit unit) {
        this(kind, bottom, top, unit, Optional.empty());
    }

    /** The same with its load meant there. */
    public AccommodatingResistance at(End end) {
        return new AccommodatingResistance(kind, bottom, top, unit, Optional.of(end));
    }

    /** The same set-up, wherever the load is meant. */
    public AccommodatingResistance setUp() {
        return new AccommodatingResistance(kind, bottom, top, unit);
    }

    /** What has to be on the bar for a load at the bottom; may be less than nothing. */
    public Mass barForBottom(Mass load) {
        return kind == Kind.REVERSE ? load.plus(bottom) : load.minus(bottom);
    }

    /** What has to be on the bar for a load at the top; may be less than nothing. */
    public Mass barForTop(Mass load) {
        return kind == Kind.REVERSE ? load.plus(top) : load.minus(top);
    }

    /** What has to be on the bar for a load meant at an end; may be less than nothing. */
    public Mass barFor(Mass load, End end) {
        return switch (end) {
            case BAR -> load;
            case BOTTOM -> barForBottom(load);
            case TOP -> barForTop(load);
        };
    }

    /** What the lifter holds at the bottom with so much on the bar; never below nothing. */
    public Mass atBottom(Mass bar) {
        return kind == Kind.REVERSE ? Mass.max(Mass.ZERO, bar.minus(bottom)) : bar.plus(bottom);
    }

    /** What the lifter holds at the top with so much on the bar; never below nothing. */
    public Mass atTop(Mass bar) {
        return kind == Kind.REVERSE ? Mass.max(Mass.ZERO, bar.minus(top)) : bar.plus(top);
    }

    /** How it is written in a dose: {@code +chains 15kg}. */
    public String shorthand() {
        return hung() + at.map(end -> " at " + end.word()).orElse("");
    }

    private static final Pattern WRITTEN =
            Pattern.compile("(\\+chains|\\+bands|reverse) ([\\d.]+)(?:/([\\d.]+))?(kg|lb)(?: at (bar|bottom|top))?");

    /** Whether a text is one that {@link #parse} reads. */
    public static boolean isWritten(String text) {
        return WRITTEN.matcher(text).matches();
    }

    /**
     * Reads what {@link #shorthand} writes.
     *
     * @throws IllegalArgumentException when it is something else
     */
    public static AccommodatingResistance parse(String text) {
        Matcher written = WRITTEN.matcher(text);
        if (!written.matches()) {
            throw new IllegalArgumentException("nothing that hangs on a bar: '" + text + "'");
        }
        Kind kind = Stream.of(Kind.values())
                .filter(one -> one.word.equals(written.group(1)))
                .findFirst()
                .orElseThrow();
        MassUnit unit = MassUnit.valueOf(written.group(4).toUpperCase(Locale.ROOT));
        Mass first = Mass.of(new BigDecimal(written.group(2)), unit);
        Optional<Mass> second =
                Optional.ofNullable(written.group(3)).map(figure -> Mass.of(new BigDecimal(figure), unit));
        Mass most = kind == Kind.REVERSE ? first : second.orElse(first);
        Mass least = second.map(other -> kind == Kind.REVERSE ? other : first).orElse(Mass.ZERO);
        Optional<End> end = Stream.of(End.values())
                .filter(one -> one.word.equals(written.group(5)))
                .findFirst();
        return kind == Kind.REVERSE
                ? new AccommodatingResistance(kind, most, least, unit, end)
                : new AccommodatingResistance(kind, least, most, unit, end);
    }

    private String hung() {
        Mass most = kind == Kind.REVERSE ? bottom : top;
        Mass least = kind == Kind.REVERSE ? top : bottom;
        String figures = most.figure(unit, 3) + unit.symbol();
        if (least.isZero()) {
            return kind.word() + " " + figures;
        }
        return kind.word() + " "
                + (kind == Kind.REVERSE
                        ? most.figure(unit, 3) + "/" + least.figure(unit, 3) + unit.symbol()
                        : least.figure(unit, 3) + "/" + figures);
    }
}
