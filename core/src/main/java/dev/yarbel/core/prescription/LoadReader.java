package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.DoseParser.Problem;
import dev.yarbel.core.prescription.TextCursor.Stop;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** Reads what the load of a dose hangs on, as {@link DoseParser} describes it. */
final class LoadReader {

    private static final String MINUS = "-−–";

    private static final Pattern PERCENT_AFTER_AT = Pattern.compile(
            "@\\s*\\d+(?:[.,]\\d+)?\\s*(?:[-–−]\\s*\\d+(?:[.,]\\d+)?\\s*)?(?:%|kgs?\\b|lbs?\\b|m/s)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern LEFT_AFTER =
            Pattern.compile("@?\\s*\\d(?:[.,]5)?\\s*(?:[-–−]\\s*\\d(?:[.,]5)?\\s*)?rir\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern SETS_FOLLOW = Pattern.compile("\\d+(?:\\s*[-–]\\s*\\d+)?\\s*[x×X*]\\s*\\d");
    private static final Pattern EACH_SIDE = Pattern.compile("each\\s+(?:side|leg|arm)\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern STEP = Pattern.compile("\\+\\s*\\d");
    private static final Pattern BODY_PLUS =
            Pattern.compile("(?:bw|bodyweight)\\s*\\+\\s*\\d", Pattern.CASE_INSENSITIVE);
    private static final Percent OPENER = Percent.of(91);

    private final TextCursor in;
    private final Optional<MassUnit> unitless;
    private boolean unitGuessed;

    /** @param unitless the unit of a load that is written without one; empty: such a load cannot be read */
    LoadReader(TextCursor in, Optional<MassUnit> unitless) {
        this.in = in;
        this.unitless = unitless;
    }

    /** Whether a load was written without a unit. */
    boolean isUnitGuessed() {
        return unitGuessed;
    }

    /** A load that was written before its repetitions, without a unit. */
    LoadBasis writtenFirst(String figure, int start) throws Stop {
        return fixed(figure, unitless.orElseThrow(() -> in.stop(start, Problem.EXPECTED_UNIT)), start, true);
    }

    private LoadBasis fixed(String figure, MassUnit unit, int start, boolean guessed) throws Stop {
        Mass load = Mass.parse(figure, unit);
        if (!load.isPositive() || load.isGreaterThan(LoadBasis.Fixed.MOST)) {
            throw in.stop(start, Problem.LOAD_OUT_OF_RANGE);
        }
        unitGuessed |= guessed;
        return new LoadBasis.Fixed(load, unit);
    }

    /** What the load of these sets hangs on. */
    LoadBasis basis(Work work) throws Stop {
        in.skipSpaces();
        int start = in.at();
        if (in.isAt("@") && in.looksAt(PERCENT_AFTER_AT)) {
            in.take("@");
        } else if (in.holds('r') && in.looksAt(LEFT_AFTER)) {
            return repsLeft();
        } else if (in.take("@") || in.takeWord("rpe")) {
            in.takeWord("rpe");
            return rating();
        }
        if (in.takeWord("rir")) {
            return left(in.figure(), start);
        }
        if (in.takeWord("drop")) {
            return drop();
        }
        if (in.takeWord("opener")) {
            return new LoadBasis.Share(Reference.Named.ESTIMATE, OPENER);
        }
        if (in.isAt("+") && in.looksAt(STEP)) {
            return lastTime();
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
        if (in.isAt("bB") && in.looksAt(BODY_PLUS)) {
            return bodyPlus();
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

    LoadBasis.AtRpe rating() throws Stop {
        Rpe least = in.rpe();
        if (!in.takeRange()) {
            return new LoadBasis.AtRpe(least);
        }
        int top = in.at();
        Rpe most = in.rpe();
        if (most.compareTo(least) < 0) {
            throw in.stop(top, Problem.RANGE_DOWNWARD);
        }
        return new LoadBasis.AtRpe(least, most);
    }

    /** Repetitions left: {@code 2RIR} is a rating of 8, {@code 2-3 RIR} one of 7 to 8. */
    private LoadBasis repsLeft() throws Stop {
        in.take("@");
        in.skipSpaces();
        int start = in.at();
        String first = in.figure();
        String second = in.take(MINUS) ? in.figure() : first;
        in.takeWord("rir");
        LoadBasis.AtRpe one = left(first, start);
        LoadBasis.AtRpe other = left(second, start);
        return one.rpe().compareTo(other.rpe()) < 0
                ? new LoadBasis.AtRpe(one.rpe(), other.rpe())
                : new LoadBasis.AtRpe(other.rpe(), one.rpe());
    }

    private LoadBasis.AtRpe left(String figure, int start) throws Stop {
        try {
            return new LoadBasis.AtRpe(Rpe.parse(BigDecimal.TEN
                    .subtract(new BigDecimal(figure.replace(',', '.')))
                    .toPlainString()));
        } catch (IllegalArgumentException noRating) {
            throw in.stop(start, Problem.EXPECTED_RPE);
        }
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
            return new LoadBasis.BelowTop(
                    from, to, !(in.isAt("eE") && in.looksAt(EACH_SIDE)) && in.takeWord("each"), ofLift());
        } catch (IllegalArgumentException outOfRange) {
            throw in.stop(start, Problem.PERCENT_OUT_OF_RANGE);
        }
    }

    private Optional<Lift> ofLift() throws Stop {
        if (!in.takeWord("of")) {
            return Optional.empty();
        }
        in.skipSpaces();
        int name = in.at();
        try {
            return Optional.of(
                    new Lift(in.key().map(key -> key.toLowerCase(Locale.ROOT)).orElse("")));
        } catch (IllegalArgumentException noLift) {
            throw in.stop(name, Problem.EXPECTED_REFERENCE);
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
            Percent percent = Percent.ofShare(new BigDecimal(figure.replace(',', '.')));
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
        Optional<MassUnit> typed = typedUnit();
        if (typed.isEmpty() && unitless.isEmpty()) {
            throw in.stop(Problem.EXPECTED_UNIT);
        }
        return fixed(figure, typed.or(() -> unitless).orElseThrow(), start, typed.isEmpty());
    }

    private LoadBasis bodyPlus() throws Stop {
        in.takeAnyWord("bw", "bodyweight");
        in.take("+");
        in.skipSpaces();
        int start = in.at();
        String figure = in.figure();
        Optional<MassUnit> typed = typedUnit();
        if (typed.isEmpty() && unitless.isEmpty()) {
            throw in.stop(Problem.EXPECTED_UNIT);
        }
        LoadBasis.Fixed more =
                (LoadBasis.Fixed) fixed(figure, typed.or(() -> unitless).orElseThrow(), start, false);
        return new LoadBasis.BodyMassPlus(more.load(), more.unit());
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
        if (in.atDigit() && !in.looksAt(SETS_FOLLOW)) {
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
        return typedUnit().orElseThrow(() -> in.stop(Problem.EXPECTED_UNIT));
    }

    private Optional<MassUnit> typedUnit() {
        for (MassUnit unit : MassUnit.values()) {
            if (in.takeAnyWord(unit.symbol() + "s", unit.symbol())) {
                return Optional.of(unit);
            }
        }
        return Optional.empty();
    }

    /** What chains or bands do to the load; empty when nothing of the kind stands here. */
    Optional<AccommodatingResistance> changing() throws Stop {
        int before = in.at();
        boolean plus = in.take("+");
        AccommodatingResistance.Kind kind;
        if (in.takeAnyWord("chains", "chain")) {
            kind = AccommodatingResistance.Kind.CHAINS;
        } else if (in.takeAnyWord("bands", "band")) {
            kind = AccommodatingResistance.Kind.BANDS;
        } else if (!plus && in.takeWord("reverse")) {
            kind = AccommodatingResistance.Kind.REVERSE;
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
        boolean firstIsBottom = kind == AccommodatingResistance.Kind.REVERSE || second.isPresent();
        try {
            return Optional.of(new AccommodatingResistance(
                    kind, firstIsBottom ? one : other, firstIsBottom ? other : one, unit, end()));
        } catch (IllegalArgumentException wrong) {
            throw in.stop(start, Problem.CHANGING_WRONG);
        }
    }

    /** Where the load is meant: {@code at bar}, {@code at bottom}, {@code at top}; empty where nothing is said. */
    private Optional<AccommodatingResistance.End> end() throws Stop {
        if (!in.takeWord("at")) {
            return Optional.empty();
        }
        for (AccommodatingResistance.End end : AccommodatingResistance.End.values()) {
            if (in.takeWord(end.word())) {
                return Optional.of(end);
            }
        }
        if (in.takeWord("lockout")) {
            return Optional.of(AccommodatingResistance.End.TOP);
        }
        throw in.stop(Problem.EXPECTED_WORD);
    }
}
