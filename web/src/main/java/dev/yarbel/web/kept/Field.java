package dev.yarbel.web.kept;

import dev.yarbel.core.lift.Lift;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A field of a thing in the file, and where the database keeps it. Loads are in kg, lengths in cm. A name with a point in it stands in
 * an object within: {@code health.clearedBy}.
 *
 * @param name in the file; empty where the file does not have it
 * @param column empty where it is not read back
 * @param give how it is written, with {@code {t}} for the row
 * @param take how it is read back, with {@code {v}} for its text, {@code {j}} for its JSON, {@code e.v} for the whole thing, {@code :club},
 *     {@code :reader} and {@code :file}
 * @param refers to what kind of number; empty for anything else
 * @param own whether it is the number by which others refer to the thing
 * @param check refuses a text that does not read
 * @param within the things it holds
 */
public record Field(
        String name,
        String column,
        String give,
        String take,
        String refers,
        boolean own,
        Optional<Consumer<String>> check,
        Optional<Kept> within) {

    private static final Consumer<String> LIFT = Lift::new;

    private static Field plain(String name, String column, String give, String take) {
        return new Field(name, column, give, take, "", false, Optional.empty(), Optional.empty());
    }

    /** A text, in the column of its name. */
    public static Field text(String name) {
        return text(name, column(name));
    }

    public static Field text(String name, String column) {
        return plain(name, column, "{t}." + column, "{v}");
    }

    /** A lift, by its key. */
    public static Field lift(String name, String column) {
        return text(name, column).as(LIFT);
    }

    public static Field lift(String name) {
        return lift(name, name);
    }

    public static Field whole(String name) {
        return whole(name, column(name));
    }

    public static Field whole(String name, String column) {
        return plain(name, column, "{t}." + column, "({v})::int");
    }

    /** A figure with as many digits as it needs. */
    public static Field number(String name) {
        return number(name, column(name));
    }

    public static Field number(String name, String column) {
        return plain(name, column, "trim_scale({t}." + column + ")", "({v})::numeric");
    }

    public static Field yes(String name) {
        return yes(name, column(name));
    }

    public static Field yes(String name, String column) {
        return plain(name, column, "{t}." + column, "({v})::boolean");
    }

    public static Field day(String name, String column) {
        return plain(name, column, "{t}." + column, "({v})::date");
    }

    public static Field moment(String name, String column) {
        return plain(name, column, "{t}." + column, "({v})::timestamptz");
    }

    /** A time of the day. */
    public static Field time(String name, String column) {
        return plain(name, column, "{t}." + column, "({v})::time");
    }

    public static Field texts(String name, String column) {
        return plain(
                name,
                column,
                "to_jsonb({t}." + column + ")",
                "case when jsonb_typeof({j}) = 'array' then array(select jsonb_array_elements_text({j})) end");
    }

    /** Figures of an estimate, as they are worked with. */
    public static Field figures(String name, String column) {
        return plain(
                name,
                column,
                "to_jsonb({t}." + column + ")",
                "case when jsonb_typeof({j}) = 'array' then array(select jsonb_array_elements_text({j})::float8) end");
    }

    /** An object whose fields are the room's own. */
    public static Field object(String name, String column) {
        return plain(name, column, "{t}." + column, "{j}");
    }

    /** Something the file calls by a name: how that is found, and what it names where it is read. */
    public static Field named(String name, String column, String give, String take) {
        return plain(name, column, give, take);
    }

    /** Something that is told, and not read back. */
    public static Field told(String name, String give) {
        return plain(name, "", give, "");
    }

    /** What the file does not have. */
    public static Field made(String column, String take) {
        return plain("", column, "", take);
    }

    /** Whoever reads the file stands for whoever did it; the name of the latter is a field of its own. */
    public static Field reader(String column) {
        return made(column, ":reader");
    }

    /** The number by which others in the file refer to it, of a kind. */
    public static Field own(String name, String kind) {
        return new Field(name, "", "{t}.id", "", kind, true, Optional.empty(), Optional.empty());
    }

    /** The number of another thing, under the name that this has there. */
    public static Field refers(String name, String column, String to) {
        return new Field(
                name,
                column,
                "{t}." + column,
                "(e.v ->> '" + Kept.HIDDEN + column + "')::bigint",
                to,
                false,
                Optional.empty(),
                Optional.empty());
    }

    /** Things that belong to it. */
    public static Field within(Kept things) {
        return new Field(things.name(), "", "", "", "", false, Optional.empty(), Optional.of(things));
    }

    /** The same, refused where its text, or one of its texts, does not read. */
    public Field as(Consumer<String> reads) {
        return new Field(name, column, give, take, refers, own, Optional.of(reads), within);
    }

    /** The same, which is one of some. */
    public <E extends Enum<E>> Field of(Class<E> choices) {
        return as(text -> Enum.valueOf(choices, text));
    }

    private static String column(String name) {
        StringBuilder column = new StringBuilder();
        for (char letter : name.toCharArray()) {
            if (Character.isUpperCase(letter)) {
                column.append('_').append(Character.toLowerCase(letter));
            } else {
                column.append(letter);
            }
        }
        return column.toString();
    }

    boolean isLift() {
        return check.filter(LIFT::equals).isPresent();
    }

    String[] path() {
        return name.split("\\.");
    }

    boolean isWritten() {
        return !give.isEmpty() || within.isPresent();
    }

    boolean isReadBack() {
        return !column.isEmpty();
    }

    boolean isReference() {
        return !refers.isEmpty() && !own;
    }

    /** How it is read back, of a thing {@code e.v} whose place is {@code e.ord}. */
    String taken() {
        String path = "'{" + name.replace('.', ',') + "}'";
        return take.replace("{v}", "(e.v #>> " + path + ")").replace("{j}", "(e.v #> " + path + ")");
    }
}
