package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.TextCursor.Stop;
import dev.yarbel.core.record.Worn;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

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
 * detail  = "speed" | "partial" | "assisted" | "lowering" | "stages" | "blind" | "choice"
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
        /** More than six parts. */
        TOO_MANY_PARTS,
        /** Nothing of the kind may follow here. */
        UNEXPECTED
    }

    private static final int MOST_FIGURES = 10;
    private static final String TIMES = "x×X*";
    private static final String MINUS = "-−–";

    private final TextCursor in;

    private DoseParser(String text) {
        this.in = new TextCursor(text);
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
        Work work = work();
        LoadBasis basis = basis(work);
        Optional<Changing> changing = Optional.empty();
        DetailsReader details = new DetailsReader();
        while (true) {
            in.skipSpaces();
            int start = in.at();
            Optional<Changing> more = changing();
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

    // ---- sets and repetitions

    private Work work() throws Stop {
        if (in.takeWord("climb")) {
            int reps = reps();
            if (!in.takeWord("to")) {
                throw in.stop(Problem.EXPECTED_WORD);
            }
            in.take("@");
            return new Work.Climb(reps, rpe());
        }
        if (in.takeWord("prep")) {
            return new Work.Preparation(in.time(Work.MOST_TIME, Problem.EXPECTED_TIME));
        }
        if (in.takeAnyWord("rounds", "round")) {
            return rounds(Optional.empty());
        }
        if (in.takeAnyWord("max", "amrap")) {
            return max(1);
        }
        in.skipSpaces();
        int start = in.at();
        String first = in.atDigit() ? in.number() : "";
        if (first.isEmpty()) {
            throw in.stop(Problem.EXPECTED_REPS);
        }
        if (in.take(TIMES)) {
            int sets = counted(first, start, Work.MOST_SETS, Problem.SETS_OUT_OF_RANGE);
            if (in.takeAnyWord("max", "amrap")) {
                return max(sets);
            }
            if (in.take("(")) {
                return clusters(sets);
            }
            in.skipSpaces();
            int second = in.at();
            if (!in.atDigit()) {
                throw in.stop(Problem.EXPECTED_REPS);
            }
            return sized(sets, in.number(), second);
        }
        if (in.takeAnyWord("rounds", "round")) {
            return rounds(Optional.of(counted(first, start, Work.MOST_SETS, Problem.SETS_OUT_OF_RANGE)));
        }
        return sized(1, first, start);
    }

    private int counted(String figure, int start, int most, Problem outOfRange) throws Stop {
        in.skipSpaces();
        int after = in.at();
        in.backTo(start);
        int count = in.count(most, Problem.EXPECTED_REPS, outOfRange);
        if (in.at() != start + figure.length()) {
            throw in.stop(in.at(), Problem.UNEXPECTED);
        }
        in.backTo(after);
        return count;
    }

    /** Sets whose size was just read: seconds, metres, feet or repetitions. */
    private Work sized(int sets, String figure, int start) throws Stop {
        int end = start + figure.length();
        in.backTo(end);
        if (in.takeAnyWord("s", "sec", "secs", "seconds", "min", "mins", "minutes")) {
            in.backTo(start);
            return new Work.Hold(sets, in.time(Work.MOST_TIME, Problem.EXPECTED_TIME));
        }
        for (LengthUnit unit : List.of(LengthUnit.M, LengthUnit.FT)) {
            if (in.takeWord(unit.symbol())) {
                if (in.take("/")) {
                    break;
                }
                return carry(sets, figure, start, unit);
            }
        }
        in.backTo(start);
        int reps = reps();
        if (in.takeRange()) {
            int top = in.at();
            int most = reps();
            if (most < reps) {
                throw in.stop(top, Problem.RANGE_DOWNWARD);
            }
            return new Work.Straight(sets, reps, most, Optional.empty());
        }
        if (in.takeWord("in")) {
            return density(sets, reps, start);
        }
        int beforePlus = in.at();
        if (in.take("+")) {
            if (!in.takeAnyWord("chains", "chain", "bands", "band")) {
                return new Work.Straight(sets, reps, reps, Optional.of(stop()));
            }
            in.backTo(beforePlus);
        }
        return Work.Straight.of(sets, reps);
    }

    private Work carry(int sets, String figure, int start, LengthUnit unit) throws Stop {
        Length distance = figure.length() > MOST_FIGURES ? Length.ZERO : Length.parse(figure, unit);
        if (!distance.isPositive() || distance.isGreaterThan(Work.Carry.MOST_DISTANCE)) {
            throw in.stop(start, Problem.DISTANCE_OUT_OF_RANGE);
        }
        Optional<Duration> within =
                in.takeWord("in") ? Optional.of(in.time(Work.MOST_TIME, Problem.EXPECTED_TIME)) : Optional.empty();
        return new Work.Carry(sets, distance, unit, within);
    }

    private Work density(int sets, int reps, int start) throws Stop {
        Duration time = in.time(Work.MOST_TIME, Problem.EXPECTED_TIME);
        if (!in.takeWord("gap")) {
            throw in.stop(Problem.EXPECTED_WORD);
        }
        Duration gap = in.time(Work.MOST_TIME, Problem.EXPECTED_TIME);
        try {
            return new Work.Density(sets, reps, time, gap);
        } catch (IllegalArgumentException tooSlow) {
            throw in.stop(start, Problem.CANNOT_BE_DONE);
        }
    }

    private Work clusters(int rounds) throws Stop {
        in.skipSpaces();
        int start = in.at();
        int within = in.count(20, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE);
        if (!in.take(TIMES)) {
            throw in.stop(Problem.EXPECTED_REPS);
        }
        int each = reps();
        Duration gap = in.time(Work.MOST_TIME, Problem.EXPECTED_TIME);
        if (!in.take(")")) {
            throw in.stop(Problem.EXPECTED_BRACKET);
        }
        try {
            return new Work.Clusters(rounds, within, each, gap);
        } catch (IllegalArgumentException impossible) {
            throw in.stop(start, Problem.CANNOT_BE_DONE);
        }
    }

    private Work rounds(Optional<Integer> goal) throws Stop {
        Optional<Duration> time =
                in.takeWord("in") ? Optional.of(in.time(Work.MOST_TIME, Problem.EXPECTED_TIME)) : Optional.empty();
        if (goal.isEmpty() && time.isEmpty()) {
            throw in.stop(Problem.EXPECTED_WORD);
        }
        return new Work.Rounds(goal, time);
    }

    private Work max(int sets) throws Stop {
        if (in.takeWord("in")) {
            return new Work.RepsInTime(sets, in.time(Work.MOST_TIME, Problem.EXPECTED_TIME));
        }
        return new Work.ToLimit(sets, stop());
    }

    private Work.Stop stop() throws Stop {
        if (!in.takeWord("to")) {
            return Work.Stop.FORM;
        }
        if (in.takeWord("form")) {
            return Work.Stop.FORM;
        }
        in.take("@");
        return new Work.Stop.At(rpe());
    }

    private int reps() throws Stop {
        return in.count(Work.MOST_REPS, Problem.EXPECTED_REPS, Problem.REPS_OUT_OF_RANGE);
    }

    // ---- the load

    private LoadBasis basis(Work work) throws Stop {
        in.skipSpaces();
        int start = in.at();
        if (in.take("@")) {
            Rpe least = rpe();
            if (!in.takeRange()) {
                return new LoadBasis.AtRpe(least);
            }
            int top = in.at();
            Rpe most = rpe();
            if (most.compareTo(least) < 0) {
                throw in.stop(top, Problem.RANGE_DOWNWARD);
            }
            return new LoadBasis.AtRpe(least, most);
        }
        if (in.take(MINUS)) {
            return drop();
        }
        if (in.atDigit()) {
            return figured();
        }
        if (in.takeWord("last")) {
            return lastTime();
        }
        if (in.takeWord("feel")) {
            return LoadBasis.FEEL;
        }
        for (Reference.Named whole : List.of(Reference.Named.BODY_MASS, Reference.Named.EVENT)) {
            if (in.takeWord(whole.word())) {
                return new LoadBasis.Share(whole, Percent.HUNDRED);
            }
        }
        if (Shorthand.needsNoLoad(work)) {
            in.backTo(start);
            return LoadBasis.FEEL;
        }
        throw in.stop(start, Problem.EXPECTED_LOAD);
    }

    private LoadBasis drop() throws Stop {
        in.skipSpaces();
        int start = in.at();
        Percent from = Percent.parse(in.figure());
        Percent to = in.take(MINUS) ? Percent.parse(in.figure()) : from;
        if (!in.take("%")) {
            throw in.stop(Problem.EXPECTED_PERCENT);
        }
        try {
            return new LoadBasis.BelowTop(from, to, in.takeWord("each"));
        } catch (IllegalArgumentException outOfRange) {
            throw in.stop(start, Problem.PERCENT_OUT_OF_RANGE);
        }
    }

    private LoadBasis figured() throws Stop {
        in.skipSpaces();
        int start = in.at();
        String figure = in.figure();
        boolean range = in.take(MINUS);
        String upTo = range ? in.figure() : figure;
        if (in.take("%")) {
            return share(start, Percent.parse(figure), Percent.parse(upTo), reference());
        }
        in.skipSpaces();
        int unitAt = in.at();
        if (range) {
            throw in.stop(unitAt, Problem.EXPECTED_PERCENT);
        }
        if (in.takeAnyWord("bw")) {
            Percent percent = Percent.ofShare(new java.math.BigDecimal(figure.replace(',', '.')));
            return share(start, percent, percent, Reference.Named.BODY_MASS);
        }
        if (in.takeWord("rm")) {
            return share(start, Percent.HUNDRED, Percent.HUNDRED, repMax(figure, start));
        }
        if (in.takeWord("m/s")) {
            try {
                return new LoadBasis.AtSpeed(BarSpeed.parse(figure));
            } catch (IllegalArgumentException outOfRange) {
                throw in.stop(start, Problem.LOAD_OUT_OF_RANGE);
            }
        }
        MassUnit unit = unit();
        Mass load = Mass.parse(figure, unit);
        if (!load.isPositive() || load.isGreaterThan(LoadBasis.Fixed.MOST)) {
            throw in.stop(start, Problem.LOAD_OUT_OF_RANGE);
        }
        return new LoadBasis.Fixed(load, unit);
    }

    private LoadBasis share(int start, Percent from, Percent to, Reference of) throws Stop {
        try {
            return new LoadBasis.Share(of, from, to);
        } catch (IllegalArgumentException outOfRange) {
            throw in.stop(start, Problem.PERCENT_OUT_OF_RANGE);
        }
    }

    private Reference reference() throws Stop {
        in.skipSpaces();
        int start = in.at();
        boolean of = in.takeWord("of");
        Optional<Reference> named = named();
        if (named.isPresent()) {
            return named.get();
        }
        in.skipSpaces();
        int number = in.at();
        if (in.atDigit()) {
            String figure = in.figure();
            if (in.takeWord("rm")) {
                return repMax(figure, number);
            }
            throw in.stop(in.at(), Problem.EXPECTED_REFERENCE);
        }
        if (!of) {
            in.backTo(start);
            return Reference.Named.WORKING;
        }
        int name = in.at();
        try {
            return new Reference.Other(
                    new Lift(in.key().map(key -> key.toLowerCase(Locale.ROOT)).orElse("")));
        } catch (IllegalArgumentException noLift) {
            throw in.stop(name, Problem.EXPECTED_REFERENCE);
        }
    }

    private Optional<Reference> named() {
        for (Reference.Named named : Reference.Named.values()) {
            if (in.takeWord(named.word())) {
                return Optional.of(named);
            }
        }
        if (in.takeAnyWord("estimate", "estimated")) {
            return Optional.of(Reference.Named.ESTIMATE);
        }
        return in.takeWord("bodyweight") ? Optional.of(Reference.Named.BODY_MASS) : Optional.empty();
    }

    private Reference.RepMax repMax(String figure, int start) throws Stop {
        try {
            return new Reference.RepMax(Integer.parseInt(figure));
        } catch (IllegalArgumentException outOfRange) {
            throw in.stop(start, Problem.REPS_OUT_OF_RANGE);
        }
    }

    private LoadBasis lastTime() throws Stop {
        int before = in.at();
        if (!in.take("+") || !in.atDigit()) {
            in.backTo(before);
            return new LoadBasis.LastTime(Mass.ZERO, MassUnit.KG);
        }
        in.skipSpaces();
        int start = in.at();
        String figure = in.figure();
        MassUnit unit = unit();
        try {
            Mass step = Mass.parse(figure, unit);
            return new LoadBasis.LastTime(step, step.isZero() ? MassUnit.KG : unit);
        } catch (IllegalArgumentException outOfRange) {
            throw in.stop(start, Problem.LOAD_OUT_OF_RANGE);
        }
    }

    private MassUnit unit() throws Stop {
        for (MassUnit unit : MassUnit.values()) {
            if (in.takeAnyWord(unit.symbol() + "s", unit.symbol())) {
                return unit;
            }
        }
        throw in.stop(Problem.EXPECTED_UNIT);
    }

    private Rpe rpe() throws Stop {
        if (!in.atDigit()) {
            throw in.stop(Problem.EXPECTED_RPE);
        }
        int start = in.at();
        try {
            return Rpe.parse(in.figure());
        } catch (IllegalArgumentException notARating) {
            throw in.stop(start, Problem.EXPECTED_RPE);
        }
    }

    private Optional<Changing> changing() throws Stop {
        int before = in.at();
        boolean plus = in.take("+");
        Changing.Kind kind;
        if (in.takeAnyWord("chains", "chain")) {
            kind = Changing.Kind.CHAINS;
        } else if (in.takeAnyWord("bands", "band")) {
            kind = Changing.Kind.BANDS;
        } else if (!plus && in.takeWord("reverse")) {
            kind = Changing.Kind.REVERSE;
        } else {
            in.backTo(before);
            return Optional.empty();
        }
        in.skipSpaces();
        int start = in.at();
        String first = in.figure();
        Optional<String> second = in.take("/") ? Optional.of(in.figure()) : Optional.empty();
        MassUnit unit = unit();
        Mass one = Mass.parse(first, unit);
        Mass other = second.map(figure -> Mass.parse(figure, unit)).orElse(Mass.ZERO);
        boolean firstIsBottom = kind == Changing.Kind.REVERSE || second.isPresent();
        try {
            return Optional.of(new Changing(kind, firstIsBottom ? one : other, firstIsBottom ? other : one, unit));
        } catch (IllegalArgumentException wrong) {
            throw in.stop(start, Problem.CHANGING_WRONG);
        }
    }

    // ---- what else is said

    private final class DetailsReader {

        private final Set<Manner> manners = EnumSet.noneOf(Manner.class);
        private final Set<Worn> with = EnumSet.noneOf(Worn.class);
        private final Set<Worn> without = EnumSet.noneOf(Worn.class);
        private Optional<Duration> rest = Optional.empty();
        private Optional<Tempo> tempo = Optional.empty();
        private Optional<String> cue = Optional.empty();
        private Optional<String> reason = Optional.empty();

        Details details() {
            return new Details(manners, rest, tempo, with, without, cue, reason);
        }

        /** Takes the next thing said; false when nothing of the kind follows. */
        boolean takeOne() throws Stop {
            int start = in.at();
            boolean fresh;
            if (in.takeWord("rest")) {
                fresh = rest.isEmpty();
                rest = Optional.of(in.time(Details.MOST_REST, Problem.EXPECTED_REST));
            } else if (in.takeWord("tempo")) {
                fresh = tempo.isEmpty();
                tempo = Optional.of(new Tempo(in.tempo().toUpperCase(Locale.ROOT)));
            } else if (in.takeWord("cue")) {
                fresh = cue.isEmpty();
                cue = Optional.of(in.quoted());
            } else if (in.takeWord("why")) {
                fresh = reason.isEmpty();
                reason = Optional.of(in.quoted());
            } else if (in.takeWord("no")) {
                Worn worn = kit().orElseThrow(() -> in.stop(Problem.EXPECTED_KIT));
                fresh = !with.contains(worn) && without.add(worn);
            } else {
                Optional<Worn> worn = kit();
                Optional<Manner> manner = worn.isPresent() ? Optional.empty() : manner();
                if (worn.isEmpty() && manner.isEmpty()) {
                    return false;
                }
                fresh = worn.map(w -> !without.contains(w) && with.add(w))
                        .orElseGet(() -> manners.add(manner.orElseThrow()));
            }
            if (!fresh) {
                throw in.stop(start, Problem.TWICE);
            }
            return true;
        }

        private Optional<Worn> kit() {
            for (Worn worn : Worn.values()) {
                String word = Details.word(worn);
                if (in.takeAnyWord(word, word.replace('-', ' '))) {
                    return Optional.of(worn);
                }
            }
            return Optional.empty();
        }

        private Optional<Manner> manner() {
            for (Manner manner : Manner.values()) {
                if (in.takeWord(manner.word())) {
                    return Optional.of(manner);
                }
            }
            return Optional.empty();
        }
    }
}
