package dev.yarbel.web.page;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads what people type into fields. Whatever cannot be used is an {@link UnreadableException} that says what can; blank
 * where something is needed is one too.
 */
public final class Reading {

    /** Nothing anybody loads on anything weighs more. */
    public static final Mass MOST = Mass.ofKg(1000);

    private static final Pattern UNIT = Pattern.compile("[a-zA-Z]+\\s*$");
    private static final int OLDEST_YEARS = 80;

    private Reading() {}

    /** Reads a field that must not be left blank; what cannot be read says which field it is. */
    public static <T> T field(String name, String text, Function<String, T> reader) {
        try {
            return reader.apply(Objects.requireNonNullElse(text, ""));
        } catch (UnreadableException unreadable) {
            throw unreadable.in(name);
        }
    }

    /** Reads a field that may be left blank. */
    public static <T> Optional<T> fieldIfAny(String name, String text, Function<String, T> reader) {
        return text == null || text.isBlank() ? Optional.empty() : Optional.of(field(name, text, reader));
    }

    /** What a field holds, which must not be left blank. */
    public static <T> T needed(String name, T given) {
        if (given == null) {
            throw new UnreadableException("read.needed").in(name);
        }
        return given;
    }

    /** The whole number of a field, between two others. */
    public static int within(String name, Integer given, int least, int most) {
        if (given == null || given < least || given > most) {
            throw new UnreadableException("read.number", String.valueOf(least), String.valueOf(most)).in(name);
        }
        return given;
    }

    /** A load above nothing; without a unit in the unit given. */
    public static Mass mass(String text, MassUnit unitless) {
        return mass(text, unitless, MOST);
    }

    /** A mass above nothing and up to the most given. */
    public static Mass mass(String text, MassUnit unitless, Mass most) {
        try {
            Mass mass = Mass.parse(text, unitless);
            if (mass.isPositive() && !mass.isGreaterThan(most)) {
                return mass;
            }
        } catch (IllegalArgumentException | ArithmeticException notAMass) {
            // refused below, like a mass out of range
        }
        throw new UnreadableException("read.mass", most.format(unitless, 0));
    }

    /** A mass that may be nothing. */
    public static Mass massOrNothing(String text, MassUnit unitless) {
        return text.isBlank() || text.strip().equals("0") ? Mass.ZERO : mass(text, unitless);
    }

    /** The unit that was typed after a figure; the one given where none was. */
    public static MassUnit unit(String text, MassUnit unitless) {
        Matcher matcher = UNIT.matcher(text.strip());
        return matcher.find() ? MassUnit.fromSymbol(matcher.group()).orElse(unitless) : unitless;
    }

    /** What a set was rated: repetitions left, an RPE, easy or missed. */
    public static Effort effort(String text) {
        try {
            return Effort.parse(text);
        } catch (IllegalArgumentException none) {
            throw new UnreadableException("set.error.effort");
        }
    }

    /** A length between two others. */
    public static Length length(String text, LengthUnit unitless, Length least, Length most) {
        try {
            Length length = Length.parse(text, unitless);
            if (length.compareTo(least) >= 0 && length.compareTo(most) <= 0) {
                return length;
            }
        } catch (IllegalArgumentException | ArithmeticException notALength) {
            // refused below, like a length out of range
        }
        throw new UnreadableException("read.length", least.format(unitless, 1), most.format(unitless, 1));
    }

    /** A whole number between two others. */
    public static int number(String text, int least, int most) {
        String figure = text.strip();
        if (figure.matches("\\d{1,6}")) {
            int number = Integer.parseInt(figure);
            if (number >= least && number <= most) {
                return number;
            }
        }
        throw new UnreadableException("read.number", String.valueOf(least), String.valueOf(most));
    }

    /** A number with two decimals at most, between two others. */
    public static BigDecimal decimal(String text, int least, int most) {
        String figure = text.strip().replace(',', '.');
        if (figure.matches("\\d{1,6}(\\.\\d{1,2})?")) {
            BigDecimal number = new BigDecimal(figure);
            if (number.compareTo(BigDecimal.valueOf(least)) >= 0 && number.compareTo(BigDecimal.valueOf(most)) <= 0) {
                return number;
            }
        }
        throw new UnreadableException("read.number", String.valueOf(least), String.valueOf(most));
    }

    /** A day that has come, of the last eighty years. */
    public static LocalDate pastDay(String text, LocalDate today) {
        return past(day(text), today);
    }

    /** The day of a field, that must have come, in the last eighty years. */
    public static LocalDate past(String name, LocalDate day, LocalDate today) {
        return field(name, "", any -> past(day, today));
    }

    private static LocalDate past(LocalDate day, LocalDate today) {
        if (day.isAfter(today)) {
            throw new UnreadableException("read.day.to-come");
        }
        if (day.isBefore(today.minusYears(OLDEST_YEARS))) {
            throw new UnreadableException("read.day.long-ago");
        }
        return day;
    }

    /** Any day. */
    public static LocalDate day(String text) {
        try {
            return LocalDate.parse(text.strip());
        } catch (DateTimeParseException noDay) {
            throw new UnreadableException("read.day");
        }
    }

    /** Whether a text holds a character that stands for nothing that can be written, a NUL for instance. */
    public static boolean hasControl(String text) {
        return text.chars()
                .anyMatch(sign -> Character.isISOControl(sign) && sign != '\n' && sign != '\r' && sign != '\t');
    }

    /** A text as a page can show it: what cannot be written has a sign in its place, {@code ␀} for a NUL. */
    public static String visible(String text) {
        if (!hasControl(text)) {
            return text;
        }
        StringBuilder shown = new StringBuilder();
        text.chars()
                .forEach(sign -> shown.append(
                        !Character.isISOControl(sign) || sign == '\n' || sign == '\r' || sign == '\t'
                                ? (char) sign
                                : sign < 0x20 ? (char) (0x2400 + sign) : '\u2421'));
        return shown.toString();
    }

    /** Some words, up to so many characters. */
    public static String words(String text, int most) {
        if (text.isBlank() || text.strip().length() > most) {
            throw new UnreadableException("read.words", String.valueOf(most));
        }
        return text.strip();
    }

    /** One of a list. */
    public static <E extends Enum<E>> E choice(Class<E> of, String text) {
        return find(of, text).orElseThrow(() -> new UnreadableException("read.choice"));
    }

    /** One of a list, or none where nothing was chosen. */
    public static <E extends Enum<E>> Optional<E> find(Class<E> of, String text) {
        return Arrays.stream(of.getEnumConstants())
                .filter(constant -> constant.name().equals(text.strip()))
                .findFirst();
    }
}
