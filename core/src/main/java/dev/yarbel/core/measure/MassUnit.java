package dev.yarbel.core.measure;

import java.util.Locale;
import java.util.Optional;

/**
 * A unit in which a lifter, a plate or a rule book states a mass.
 *
 * <p>The pound is the international avoirdupois pound, exactly 0.45359237 kg (International Yard and Pound Agreement,
 * 1959; NIST SP 811, App. B).
 */
public enum MassUnit {
    KG("kg", 100_000_000_000L),
    LB("lb", 45_359_237_000L);

    private final String symbol;
    private final long quanta;

    MassUnit(String symbol, long quanta) {
        this.symbol = symbol;
        this.quanta = quanta;
    }

    /** The symbol printed after a number: {@code kg} or {@code lb}. */
    public String symbol() {
        return symbol;
    }

    /** The other of the two units. */
    public MassUnit other() {
        return this == KG ? LB : KG;
    }

    /** One of this unit, in quanta of 10 ng. */
    long quanta() {
        return quanta;
    }

    /** Reads {@code kg}, {@code kgs}, {@code lb} or {@code lbs} in any case; empty for anything else. */
    public static Optional<MassUnit> fromSymbol(String text) {
        return switch (text.strip().toLowerCase(Locale.ROOT)) {
            case "kg", "kgs" -> Optional.of(KG);
            case "lb", "lbs" -> Optional.of(LB);
            default -> Optional.empty();
        };
    }
}
