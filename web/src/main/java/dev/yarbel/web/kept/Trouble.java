package dev.yarbel.web.kept;

/**
 * Something in a file that cannot be read.
 *
 * @param place as in {@code sessions[3].sets[0].effort}
 * @param text as it stands there, or what is wrong in words where it is not as the schema says
 */
public record Trouble(String place, Kind kind, String text) {

    /** Why it cannot be read. */
    public enum Kind {
        /** It is not as the schema says. */
        SCHEMA,
        /** It is a word, or a text, that nobody can read. */
        TEXT,
        /** It is the number of something that the file does not have. */
        NUMBER,
        /** It is a lift that nobody knows. */
        LIFT
    }

    /** The same in a part of a file. */
    public Trouble within(String part) {
        return new Trouble(part + "." + place, kind, text);
    }
}
