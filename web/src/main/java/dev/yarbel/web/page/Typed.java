package dev.yarbel.web.page;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** What was typed into a form's fields, on its way to be read. */
public record Typed(Map<String, String> values) {

    /** What a form sends besides its fields when a question was answered with yes. */
    public static final String CONFIRMED = "confirmed";

    public Typed {
        values = Map.copyOf(values);
    }

    /** The text of a field, empty where nothing was sent. */
    public String text(String field) {
        return values.getOrDefault(field, "").strip();
    }

    public boolean isBlank(String field) {
        return text(field).isEmpty();
    }

    /** Whether a box was ticked. */
    public boolean isTicked(String field) {
        return values.containsKey(field);
    }

    /** Whether the person was asked about these very values and stands by them. */
    public boolean isConfirmed(String field) {
        return !isBlank(CONFIRMED) && text(CONFIRMED).equals(text(field));
    }

    /** Reads a field; what cannot be read says which field it is. */
    public <T> T read(String field, Function<String, T> reader) {
        try {
            return reader.apply(text(field));
        } catch (UnreadableException unreadable) {
            throw unreadable.in(field);
        }
    }

    /** Reads a field that may be left blank. */
    public <T> Optional<T> readIfAny(String field, Function<String, T> reader) {
        return isBlank(field) ? Optional.empty() : Optional.of(read(field, reader));
    }
}
