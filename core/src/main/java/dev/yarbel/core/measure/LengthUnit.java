package dev.yarbel.core.measure;

import java.util.Locale;
import java.util.Optional;

/** A unit in which a height, a grip or a stretched band is measured. One inch is exactly 2.54 cm (NIST SP 811, App. B). */
public enum LengthUnit {
    CM("cm", 100_000),
    IN("in", 254_000),
    /** Twelve inches. */
    FT("ft", 3_048_000),
    M("m", 10_000_000);

    private final String symbol;
    private final long quanta;

    LengthUnit(String symbol, long quanta) {
        this.symbol = symbol;
        this.quanta = quanta;
    }

    /** The symbol printed after a number: {@code cm}, {@code in}, {@code ft} or {@code m}. */
    public String symbol() {
        return symbol;
    }

    /** One of this unit, in quanta of 100 nm. */
    long quanta() {
        return quanta;
    }

    /** Reads a symbol in any case; empty for anything else. */
    public static Optional<LengthUnit> fromSymbol(String text) {
        return switch (text.strip().toLowerCase(Locale.ROOT)) {
            case "cm" -> Optional.of(CM);
            case "in" -> Optional.of(IN);
            case "ft" -> Optional.of(FT);
            case "m" -> Optional.of(M);
            default -> Optional.empty();
        };
    }
}
