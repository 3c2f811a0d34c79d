package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads what stands in the fields of a piece of kit. What cannot be read is an {@link UnreadableException} with its field. */
final class PieceAnswers {

    private static final Pattern PAIRS = Pattern.compile("(?i)(\\d{1,3})\\s*(?:pairs?|pr|paare?)");

    private static final Length LEAST_LENGTH = Length.ofCm(5);
    private static final Length MOST_LENGTH = Length.ofCm(1000);
    private static final int LONGEST_NAME = 60;

    private final Map<PieceField, String> texts;
    private final MassUnit unitless;
    private final Function<String, Lift> lifts;
    private final Optional<PieceForm> asked;

    private PieceAnswers(
            Map<PieceField, String> texts, MassUnit unitless, Function<String, Lift> lifts, Optional<PieceForm> asked) {
        this.texts = texts;
        this.unitless = unitless;
        this.lifts = lifts;
        this.asked = asked;
    }

    /**
     * What was typed.
     *
     * @param unitless the unit of figures without one
     * @param lifts reads the name of a lift
     */
    static PieceAnswers typed(PieceForm form, MassUnit unitless, Function<String, Lift> lifts) {
        return new PieceAnswers(form.fields(), unitless, lifts, Optional.of(form));
    }

    /** What was kept: it was looked at when it was typed, and its lifts stand by their keys. */
    static PieceAnswers kept(Map<PieceField, String> texts) {
        return new PieceAnswers(texts, MassUnit.KG, Lift::new, Optional.empty());
    }

    /** A field's name in the form. */
    static String name(PieceField field) {
        return "fields[" + field + "]";
    }

    /** Whether what stands in a field is to be kept however unlikely it looks. */
    boolean isMeant(PieceField field) {
        return asked.isEmpty() || asked.get().isMeant(text(field));
    }

    String text(PieceField field) {
        String text = texts.get(field);
        return text == null ? "" : text.strip();
    }

    boolean isBlank(PieceField field) {
        return text(field).isEmpty();
    }

    boolean isTicked(PieceField field) {
        return !isBlank(field);
    }

    <T> T read(PieceField field, Function<String, T> reader) {
        return Reading.field(name(field), text(field), reader);
    }

    <T> Optional<T> readIfAny(PieceField field, Function<String, T> reader) {
        return Reading.fieldIfAny(name(field), text(field), reader);
    }

    /** An implement that can stand on the shelf. */
    Implement implement(Shelf shelf) {
        return read(PieceField.IMPLEMENT, text -> Reading.find(Implement.class, text)
                .filter(PieceField.IMPLEMENT.choices(shelf)::contains)
                .orElseThrow(() -> new UnreadableException("read.choice")));
    }

    String name() {
        return words(PieceField.NAME)
                .orElseThrow(() -> new UnreadableException("read.words", LONGEST_NAME).in(name(PieceField.NAME)));
    }

    Optional<String> words(PieceField field) {
        return readIfAny(field, text -> Reading.words(text, LONGEST_NAME));
    }

    Mass mass(PieceField field) {
        return read(field, text -> Reading.mass(text, unitless));
    }

    Optional<Mass> massIfAny(PieceField field) {
        return readIfAny(field, text -> Reading.mass(text, unitless));
    }

    /** The unit a mass was typed in. */
    MassUnit unit(PieceField field) {
        return Reading.unit(text(field), unitless);
    }

    Length length(PieceField field) {
        return read(field, text -> Reading.length(text, LengthUnit.CM, LEAST_LENGTH, MOST_LENGTH));
    }

    int number(PieceField field, int least, int most) {
        return read(field, text -> Reading.number(text, least, most));
    }

    /** How many there are, singly or in pairs: {@code 4}, {@code 2 pairs}. */
    int count(PieceField field, int least, int most) {
        return read(field, text -> {
            Matcher pairs = PAIRS.matcher(text.strip());
            return pairs.matches()
                    ? 2 * Reading.number(pairs.group(1), 1, most / 2)
                    : Reading.number(text, least, most);
        });
    }

    Optional<Integer> year(PieceField field) {
        return readIfAny(field, text -> Reading.number(text, 1980, 2100));
    }

    Optional<Lift> lift() {
        return readIfAny(PieceField.MADE_FOR, lifts);
    }
}
