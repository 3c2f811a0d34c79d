package dev.yarbel.web.page;

import java.util.Arrays;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;

/** What forms send besides their fields. */
public final class FormExtras {

    private FormExtras() {}

    /**
     * Whether a person was asked about these very values and stands by them.
     *
     * @param meant what the form sent along because it was asked about, see {@link #mark}; null where nothing
     */
    public static boolean isMeant(String meant, String... values) {
        return mark(values).equals(meant);
    }

    /**
     * Whether a person was asked about what stands in a field and stands by it.
     *
     * @param confirmed what was asked about, sent along by the button that says so; null where nothing was
     */
    public static boolean isConfirmed(String confirmed, String text) {
        return confirmed != null && confirmed.equals(text);
    }

    /** What a form sends along when these values are meant. */
    public static String mark(String... values) {
        return Arrays.stream(values)
                .map(value -> Objects.requireNonNullElse(value, ""))
                .collect(Collectors.joining(" "));
    }

    /** A token that was sent, made afresh where none that can be read was. */
    public static UUID token(String text) {
        try {
            return UUID.fromString(Objects.requireNonNullElse(text, ""));
        } catch (IllegalArgumentException notAToken) {
            return UUID.randomUUID();
        }
    }
}
