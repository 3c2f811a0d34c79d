package dev.yarbel.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * How fast the bar moves: the mean speed of the raising part of a repetition, held in whole millimetres a second.
 *
 * <p>The mean propulsive speed is another quantity and never this type.
 *
 * @param millimetres a second, 10 to 3000
 */
public record BarSpeed(int millimetres) implements Comparable<BarSpeed> {

    public BarSpeed {
        if (millimetres < 10 || millimetres > 3000) {
            throw new IllegalArgumentException("a bar moves at 0.01 to 3 m/s");
        }
    }

    /**
     * Reads metres a second: {@code 0.32}, {@code 0,32}.
     *
     * @throws IllegalArgumentException when the text is no speed of 0.01 to 3 m/s
     */
    public static BarSpeed parse(String metres) {
        BigDecimal figure = Decimals.parse(metres.strip()).movePointRight(3).setScale(0, RoundingMode.HALF_UP);
        if (figure.compareTo(BigDecimal.valueOf(3000)) > 0) {
            throw new IllegalArgumentException("a bar moves at 0.01 to 3 m/s");
        }
        return new BarSpeed(figure.intValueExact());
    }

    /** Metres a second: {@code 0.32}. */
    @Override
    public String toString() {
        return BigDecimal.valueOf(millimetres, 3).stripTrailingZeros().toPlainString();
    }

    /** Metres a second to the hundredth, which is about as closely as a set repeats: {@code 0.30}. */
    public String toHundredths() {
        return BigDecimal.valueOf(millimetres, 3)
                .setScale(2, RoundingMode.HALF_UP)
                .toPlainString();
    }

    @Override
    public int compareTo(BarSpeed other) {
        return Integer.compare(millimetres, other.millimetres);
    }
}
