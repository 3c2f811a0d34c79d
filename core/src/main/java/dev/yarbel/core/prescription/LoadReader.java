package dev.yarbel.core.prescription;

import dev.yarbel.core.effort.Rpe;
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

/** Reads what the load of a dose hangs on, as {@link DoseParser} describes it. */
final class LoadReader {

    private static final String MINUS = "-−–";

    private final TextCursor in;

    LoadReader(TextCursor in) {
        this.in = in;
    }

    /** What the load of these sets hangs on. */
    LoadBasis basis(Work work) throws Stop {
        in.skipSpaces();
        int start = in.at();
        if (in.take("@")) {
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

    /** What chains or bands do to the load; empty when nothing of the kind stands here. */
    Optional<Changing> changing() throws Stop {
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
            return Optional.of(
                    new Changing(kind, firstIsBottom ? one : other, firstIsBottom ? other : one, unit, end()));
        } catch (IllegalArgumentException wrong) {
            throw in.stop(start, Problem.CHANGING_WRONG);
        }
    }

    /** Where the load is meant: {@code at bar}, {@code at bottom}, {@code at top}; empty where nothing is said. */
    private Optional<Changing.End> end() throws Stop {
        if (!in.takeWord("at")) {
            return Optional.empty();
        }
        for (Changing.End end : Changing.End.values()) {
            if (in.takeWord(end.word())) {
                return Optional.of(end);
            }
        }
        if (in.takeWord("lockout")) {
            return Optional.of(Changing.End.TOP);
        }
        throw in.stop(Problem.EXPECTED_WORD);
    }
}
