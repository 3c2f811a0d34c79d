package dev.yarbel.core.prescription;

import dev.yarbel.core.prescription.TextCursor.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads the shorthand in which coaches write a dose.
 *
 * <pre>
 * dose    = part { "then" part }
 * part    = work [ load ] { changing | detail }
 * work    = [ sets "x" ] reps [ "-" reps ] [ "+" [ stop ] ]        4x8   3x8-12   3x5+
 *         | [ sets "x" ] "max" [ stop | "in" time ]                max   max to @9   max in 60s
 *         | "climb" reps "to" "@" rpe                              climb 8 to @7
 *         | sets "x" "(" count "x" reps time ")"                   3x(5x1 20s)
 *         | [ sets "x" ] reps "in" time "gap" time                 10x1 in 10min gap 30
 *         | [ sets "x" ] time                                      3x30s
 *         | [ sets "x" ] length [ "in" time ]                      3x20m   1x50ft in 60s
 *         | [ count ] "rounds" [ "in" time ]                       5 rounds   rounds in 12min
 *         | "prep" time                                            prep 10min
 * stop    = "to" ( "form" | "@" rpe )
 * load    = "@" rpe [ "-" rpe ]                                    @8   @7-8
 *         | percent [ "-" percent ] "%" [ reference ]              75%   70-75%   90% goal
 *         | [ figure ] "bw" | "event" | count "rm"                 1.5bw   event   3rm
 *         | "-" percent [ "-" percent ] "%" [ "each" ]             -22%   -5-10% each
 *         | mass                                                   102.5kg   225lb
 *         | "last" [ "+" mass ]                                    last +2.5kg
 *         | figure "m/s"                                           0.32m/s
 *         | "feel"
 * reference = "working" | "contest" | "est" | "goal" | "top" | "bw" | "event" | count "rm" | "of" lift
 * changing = ( "+chains" | "+bands" | "reverse" ) [ figure "/" ] mass
 * detail  = "speed" | "partial" | "assisted" | "lowering" | "stages" | "blind" | "choice" | "apart"
 *         | "rest" time | "tempo" figures | [ "no" ] kit | "cue" quoted | "why" quoted
 * </pre>
 *
 * <p>Spaces are free, letters of either case, a comma is as good as a point. What cannot be read is reported with the
 * character where reading ended and, where one helps, a text that can be read.
 */
public final class DoseParser {

    /** What came of reading: a dose, or where and why it could not be read. */
    public sealed interface Result {}

    /** The dose that was read. */
    public record Read(Dose dose) implements Result {}

    /**
     * Why the text is no dose.
     *
     * @param at the index of the first character that was not understood; the length of the text when something is
     *     missing at its end
     * @param suggestion a text close to it that can be read
     */
    public record Unreadable(int at, Problem problem, Optional<String> suggestion) implements Result {}

    /** What is wrong at that character. */
    public enum Problem {
        /** Nothing was typed. */
        EMPTY,
        /** Sets or repetitions should stand here. */
        EXPECTED_REPS,
        /** More sets than 50, or none. */
        SETS_OUT_OF_RANGE,
        /** More repetitions than 100, or none. */
        REPS_OUT_OF_RANGE,
        /** A range runs from less to more. */
        RANGE_DOWNWARD,
        /** A load should stand here: @, a percentage, kg or lb, or a word. */
        EXPECTED_LOAD,
        /** A rating should stand here: 1 to 10 in halves. */
        EXPECTED_RPE,
        /** A number should stand here. */
        EXPECTED_FIGURE,
        /** A number needs %, kg or lb after it. */
        EXPECTED_UNIT,
        /** A drop below the top is a percentage. */
        EXPECTED_PERCENT,
        /** A percentage lies above 0 and up to what makes sense of its reference, a drop above 0 and below 100. */
        PERCENT_OUT_OF_RANGE,
        /** What the percentage is of should stand here. */
        EXPECTED_REFERENCE,
        /** A load lies above 0 and up to 1000 kg. */
        LOAD_OUT_OF_RANGE,
        /** Chains and bands add most at the top, reverse bands help most at the bottom. */
        CHANGING_WRONG,
        /** A time of up to half an hour of rest should stand here. */
        EXPECTED_REST,
        /** A time should stand here. */
        EXPECTED_TIME,
        /** A distance of up to a kilometre should stand here. */
        DISTANCE_OUT_OF_RANGE,
        /** So many small sets, or such a gap, cannot be done. */
        CANNOT_BE_DONE,
        /** Four figures of tempo should stand here. */
        EXPECTED_TEMPO,
        /** Text between quotation marks should stand here. */
        EXPECTED_QUOTE,
        /** Text of 1 to 80 characters. */
        TEXT_TOO_LONG,
        /** A closing bracket should stand here. */
        EXPECTED_BRACKET,
        /** A word that belongs here is missing: to, in, gap. */
        EXPECTED_WORD,
        /** The name of a piece of kit should stand here. */
        EXPECTED_KIT,
        /** Said twice. */
        TWICE,
        /** More than {@link #LONGEST} characters. */
        TOO_LONG,
        /** A character that nobody can write, a NUL for instance. */
        CONTROL,
        /** More than six parts. */
        TOO_MANY_PARTS,
        /** Nothing of the kind may follow here. */
        UNEXPECTED
    }

    /** The longest text that is read, in characters: more than any dose that can be written. */
    public static final int LONGEST = 4000;

    private final TextCursor in;

    private DoseParser(String text) throws Stop {
        this.in = new TextCursor(text);
        if (text.length() > LONGEST) {
            throw in.stop(LONGEST, Problem.TOO_LONG);
        }
        for (int at = 0; at < text.length(); at++) {
            if (Character.isISOControl(text.charAt(at)) && !Character.isWhitespace(text.charAt(at))) {
                throw in.stop(at, Problem.CONTROL);
            }
        }
    }

    /** Reads a dose; never throws. */
    public static Result parse(String text) {
        try {
            return new Read(new DoseParser(text).dose());
        } catch (Stop stop) {
            Unreadable why = stop.why();
            return new Unreadable(why.at(), why.problem(), DoseSuggestion.of(text, why));
        }
    }

    /** Reads without looking for a suggestion. */
    static Optional<Dose> read(String text) {
        try {
            return Optional.of(new DoseParser(text).dose());
        } catch (Stop stop) {
            return Optional.empty();
        }
    }

    private Dose dose() throws Stop {
        if (in.atEnd()) {
            throw in.stop(Problem.EMPTY);
        }
        List<Part> parts = new ArrayList<>();
        do {
            if (parts.size() == Dose.MOST_PARTS) {
                throw in.stop(Problem.TOO_MANY_PARTS);
            }
            parts.add(part());
        } while (takeThen());
        if (!in.atEnd()) {
            throw in.stop(Problem.UNEXPECTED);
        }
        return new Dose(parts);
    }

    private boolean takeThen() {
        int before = in.at();
        in.take(",;");
        if (in.takeWord("then")) {
            return true;
        }
        in.backTo(before);
        return in.take(";");
    }

    private Part part() throws Stop {
        Work work = new WorkReader(in).work();
        LoadReader load = new LoadReader(in);
        LoadBasis basis = load.basis(work);
        Optional<Changing> changing = Optional.empty();
        DetailsReader details = new DetailsReader(in);
        while (true) {
            in.skipSpaces();
            int start = in.at();
            Optional<Changing> more = load.changing();
            if (more.isPresent()) {
                if (changing.isPresent()) {
                    throw in.stop(start, Problem.TWICE);
                }
                changing = more;
            } else if (!details.takeOne()) {
                break;
            }
        }
        try {
            return new Part(work, basis, changing, details.details());
        } catch (IllegalArgumentException cannotBe) {
            throw in.stop(Problem.CANNOT_BE_DONE);
        }
    }
}
