package dev.yarbel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.regex.Pattern;

/** Reading and printing decimal figures the way people in a gym write them. */
final class Decimals {

    private static final Pattern UNSIGNED = Pattern.compile("\\d{1,7}(?:[.,]\\d{1,6})?");

    private Decimals() {}

    /**
     * Reads an unsigned decimal with a point or a comma, for instance {@code 72.5} or {@code 72,5}.
     *
     * @throws IllegalArgumentException when the text is anything else
     */
    static BigDecimal parse(String text) {
        String figure = text.strip();
        if (!UNSIGNED.matcher(figure).matches()) {
            throw new IllegalArgumentException("not an unsigned decimal: '" + text + "'");
        }
        return new BigDecimal(figure.replace(',', '.'));
    }

    /** Prints with at most the given decimals and no trailing zeros. */
    static String print(BigDecimal value, int decimals) {
        BigDecimal rounded = value.setScale(decimals, RoundingMode.HALF_UP).stripTrailingZeros();
        return (rounded.signum() == 0 ? BigDecimal.ZERO : rounded).toPlainString();
    }
}
