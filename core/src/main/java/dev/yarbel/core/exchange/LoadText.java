package dev.yarbel.core.exchange;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A load as people write it into a cell: {@code 140}, {@code 142,5 kg}, {@code 315lbs}, {@code bw}, {@code bw+10}. */
final class LoadText {

    /** A figure with a point or a comma before its decimals. */
    static final String FIGURE = "\\d{1,4}(?:[.,]\\d{1,3})?";

    static final String UNIT = "(?:kgs?|kilos?|lbs?|pounds?|#)";

    private static final Mass MOST = Mass.ofKg(1000);
    private static final Pattern TEXT = Pattern.compile("\\+?\\s*(" + FIGURE + ")\\s*(" + UNIT + ")?\\.?");
    private static final Pattern BODY =
            Pattern.compile("(?:bw|body\\s*weight|bodyweight|kg\\s*bw|kgw|körpergewicht)\\s*(?:\\+\\s*(.+))?");
    private static final Pattern THOUSANDS = Pattern.compile("[1-9]\\d{0,2}[.,]\\d{3}");

    private LoadText() {}

    /** Reads a load; one without a unit is in the unit given. What hangs on the body alone weighs nothing. */
    static Mass read(String text, MassUnit unitless) throws Unclear {
        String load = text.strip().toLowerCase(Locale.ROOT).replace('\u00a0', ' ');
        Matcher body = BODY.matcher(load);
        if (body.matches()) {
            return body.group(1) == null ? Mass.ZERO : read(body.group(1), unitless);
        }
        Matcher matcher = TEXT.matcher(load);
        if (!matcher.matches()) {
            throw new Unclear(
                    load.startsWith("-") || load.startsWith("−")
                            ? Trouble.Kind.LOAD_OUT_OF_RANGE
                            : Trouble.Kind.UNREADABLE_LOAD);
        }
        String figure = matcher.group(1);
        if (THOUSANDS.matcher(figure).matches()) {
            throw new Unclear(Trouble.Kind.THOUSANDS);
        }
        MassUnit unit =
                Optional.ofNullable(matcher.group(2)).map(LoadText::unit).orElse(unitless);
        Mass mass = Mass.of(figure.replace(',', '.'), unit);
        if (mass.isGreaterThan(MOST)) {
            throw new Unclear(Trouble.Kind.LOAD_OUT_OF_RANGE);
        }
        return mass;
    }

    static MassUnit unit(String written) {
        return written.startsWith("k") ? MassUnit.KG : MassUnit.LB;
    }

    /** The unit that a cell of its own names. */
    static Optional<MassUnit> unitIn(String cell) {
        String plain = cell.strip().toLowerCase(Locale.ROOT);
        return plain.matches(UNIT + "\\.?") ? Optional.of(unit(plain)) : Optional.empty();
    }
}
