package dev.yarbel.core.prescription;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.TextCursor.Stop;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

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
    public sealed interface Result {

        /** The dose, where it could be read. */
        Optional<Dose> dose();

        /** Why it could not; empty where it could. */
        Optional<Unreadable> trouble();

        /** Whether a load was written without a unit, and taken in the one given. */
        boolean unitGuessed();
    }

    /**
     * The dose that was read.
     *
     * @param unitGuessed whether a load was written without a unit, and taken in the one given
     */
    public record Read(Dose read, boolean unitGuessed) implements Result {
        @Override
        public Optional<Dose> dose() {
            return Optional.of(read);
        }

        @Override
        public Optional<Unreadable> trouble() {
            return Optional.empty();
        }
    }

    /**
     * Why the text is no dose.
     *
     * @param at the index of the first character that was not understood; the length of the text when something is
     *     missing at its end
     * @param suggestion a text close to it that can be read
     */
    public record Unreadable(int at, Problem problem, Optional<String> suggestion) implements Result {
        @Override
        public Optional<Dose> dose() {
            return Optional.empty();
        }

        @Override
        public Optional<Unreadable> trouble() {
            return Optional.of(this);
        }

        @Override
        public boolean unitGuessed() {
            return false;
        }
    }

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
        /** One, or a thousand? */
        THOUSANDS,
        /** Seconds, or minutes? */
        REST_UNIT,
        /** Repetitions, or a load? */
        LOAD_OR_REPS,
        /** So many repetitions, or sets and repetitions with the sign between them missing? */
        MISSING_TIMES,
        /** Nothing of the kind may follow here. */
        UNEXPECTED
    }

    /** The longest text that is read, in characters: more than any dose that can be written. */
    public static final int LONGEST = 4000;

    private static final String FIGURES = "\\d+(?:[.,]\\d+)?(?:\\s*[-–−]\\s*\\d+(?:[.,]\\d+)?)?\\s*";
    private static final Pattern LOAD_FIRST = Pattern.compile(
            "(?:@?\\s*" + FIGURES + "(?:kgs?|lbs?|%)|(?:@|rpe)\\s*" + FIGURES + ")\\s*[:,]?\\s*"
                    + "(?=\\d+(?:\\s*[-–]\\s*\\d+)?\\s*[x×X*]\\s*\\d)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern REPS_LIST = Pattern.compile("\\d{1,3}(?:\\s*,\\s*\\d{1,3}){1,20}(?=\\s+[^\\s,])");
    private static final Pattern UNTIL = Pattern.compile(
            "\\d{1,3}\\s*[x×X*]\\s*(?=@|rpe|last|bw|event|feel|-|" + FIGURES
                    + "(?:%|kg|lb|rm|bw|m/s))[^,;]{1,60}?\\buntil\\b",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern NEXT_PART = Pattern.compile(
            "[,+]\\s*(?:then\\s+)?(?:\\d|max\\b|amrap\\b|climb\\b|emom\\b|(?:work\\s+)?up\\s+to\\b|prep\\b|rounds?\\b)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern OFF = Pattern.compile("(?:off|rest day|-|–|—)", Pattern.CASE_INSENSITIVE);

    private final TextCursor in;
    private final Optional<MassUnit> unitless;
    private boolean unitGuessed;

    private DoseParser(String text, Optional<MassUnit> unitless) throws Stop {
        this.in = new TextCursor(text);
        this.unitless = unitless;
        if (text.length() > LONGEST) {
            throw in.stop(LONGEST, Problem.TOO_LONG);
        }
        for (int at = 0; at < text.length(); at++) {
            if (Character.isISOControl(text.charAt(at)) && !Character.isWhitespace(text.charAt(at))) {
                throw in.stop(at, Problem.CONTROL);
            }
        }
    }

    /** Reads a dose whose loads all have a unit, as canonical text has; never throws. */
    public static Result parse(String text) {
        return parse(text, Optional.empty());
    }

    /** Reads what a coach typed for a lifter who thinks in a unit; never throws. */
    public static Result parse(String text, MassUnit unit) {
        return parse(text, Optional.of(unit));
    }

    /** Whether a coach wrote that nothing is done: a blank, off, a dash. */
    public static boolean isOff(String text) {
        return text.isBlank() || OFF.matcher(text.strip()).matches();
    }

    private static Result parse(String text, Optional<MassUnit> unitless) {
        try {
            DoseParser parser = new DoseParser(text, unitless);
            Dose dose = parser.dose();
            return new Read(dose, parser.unitGuessed);
        } catch (Stop stop) {
            Unreadable why = stop.why();
            return new Unreadable(why.at(), why.problem(), DoseSuggestion.of(text, why));
        }
    }

    /** Reads without looking for a suggestion. */
    static Optional<Dose> read(String text) {
        try {
            return Optional.of(new DoseParser(text, Optional.empty()).dose());
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
            addPart(parts);
        } while (takeThen());
        if (!in.atEnd()) {
            throw in.stop(Problem.UNEXPECTED);
        }
        return new Dose(parts);
    }

    private boolean takeThen() {
        int before = in.at();
        if (isAtNextPart()) {
            in.take(",+");
            in.takeWord("then");
            return true;
        }
        in.take(",;");
        if (in.takeWord("then")) {
            return true;
        }
        in.backTo(before);
        return in.take(";");
    }

    private boolean isAtNextPart() {
        return in.isAt(",+") && in.looksAt(NEXT_PART);
    }

    private void addPart(List<Part> parts) throws Stop {
        if (in.takeWord("work")) {
            if (!in.takeWord("up")) {
                throw in.stop(Problem.EXPECTED_WORD);
            }
            takeUpTo();
        } else if (in.takeWord("up")) {
            takeUpTo();
        }
        if (in.isNumberBefore(",") && in.looksAt(REPS_LIST)) {
            addEach(parts);
        } else {
            parts.add(part());
        }
        if (parts.size() > Dose.MOST_PARTS) {
            throw in.stop(Problem.TOO_MANY_PARTS);
        }
    }

    private void takeUpTo() throws Stop {
        if (!in.takeWord("to")) {
            throw in.stop(Problem.EXPECTED_WORD);
        }
    }

    /** Sets of different repetitions with one load: {@code 8,8,6,6 70%}. */
    private void addEach(List<Part> parts) throws Stop {
        List<Integer> reps = new ArrayList<>();
        do {
            reps.add(in.count(Work.MOST_REPS, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE));
        } while (in.take(","));
        Part like = loaded(Work.Straight.of(1, reps.get(0)), Optional.empty());
        int from = 0;
        while (from < reps.size()) {
            int to = from;
            while (to < reps.size() && reps.get(to).equals(reps.get(from))) {
                to++;
            }
            parts.add(like.with(Work.Straight.of(to - from, reps.get(from))));
            from = to;
        }
    }

    private Part part() throws Stop {
        LoadReader load = new LoadReader(in, unitless);
        if (!in.isNumberBefore(WorkReader.TIMES) && in.looksAt(LOAD_FIRST)) {
            LoadBasis basis = load.basis(Work.Straight.of(1, 1));
            in.take(":,");
            return loaded(new WorkReader(in).work(), Optional.of(basis));
        }
        if (in.holds('u') && in.looksAt(UNTIL)) {
            return until(load);
        }
        in.skipSpaces();
        int start = in.at();
        WorkReader reader = new WorkReader(in);
        Work work = reader.work();
        Optional<String> first = reader.loadWrittenFirst();
        if (first.isPresent()) {
            LoadBasis basis = load.writtenFirst(first.get(), start);
            unitGuessed = true;
            return loaded(work, Optional.of(basis));
        }
        return loaded(work, Optional.empty());
    }

    private Part until(LoadReader load) throws Stop {
        int reps = in.count(Work.MOST_REPS, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE);
        in.take(WorkReader.TIMES);
        LoadBasis basis = load.basis(Work.Straight.of(1, reps));
        unitGuessed |= load.isUnitGuessed();
        if (!in.takeWord("until")) {
            throw in.stop(Problem.EXPECTED_WORD);
        }
        in.take("@");
        in.takeWord("rpe");
        return loaded(new Work.Until(reps, in.rpe()), Optional.of(basis));
    }

    /** The rest of a part, after its work and perhaps its load. */
    private Part loaded(Work work, Optional<LoadBasis> before) throws Stop {
        LoadReader load = new LoadReader(in, unitless);
        DetailsReader details = new DetailsReader(in, load);
        while (before.isEmpty() && details.takeBeforeLoad()) {
            // each side stands before the load as often as after it
        }
        LoadBasis basis = before.isPresent() ? before.get() : load.basis(work);
        Optional<AccommodatingResistance> changing = Optional.empty();
        while (!isAtNextPart()) {
            in.skipSpaces();
            int start = in.at();
            Optional<AccommodatingResistance> more = load.changing();
            if (more.isPresent()) {
                if (changing.isPresent()) {
                    throw in.stop(start, Problem.TWICE);
                }
                changing = more;
            } else if (!details.takeOne()) {
                break;
            }
        }
        unitGuessed |= load.isUnitGuessed();
        try {
            return new Part(work, basis, changing, details.details());
        } catch (IllegalArgumentException cannotBe) {
            throw in.stop(Problem.CANNOT_BE_DONE);
        }
    }
}
