package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import java.util.Optional;
import java.util.function.Function;

/** Reads what was typed about a piece of kit, shelf by shelf. Nothing is kept until all of it is read. */
final class PieceReader {

    private static final Length LEAST_LENGTH = Length.ofCm(5);
    private static final Length MOST_LENGTH = Length.ofCm(1000);
    private static final int LONGEST_NAME = 60;

    private final Typed typed;
    private final Function<String, Lift> lifts;
    private final MassUnit unit;

    /**
     * @param unit the unit of figures without one
     * @param lifts reads the name of a lift
     */
    PieceReader(Typed typed, MassUnit unit, Function<String, Lift> lifts) {
        this.typed = typed;
        this.lifts = lifts;
        this.unit = unit;
    }

    void into(PieceEntity piece) {
        switch (piece.shelf()) {
            case BARS -> bar(piece);
            case PLATES -> plate(piece);
            case PIECES -> fixed(piece);
            case MACHINES -> machine(piece);
            case BANDS -> bands(piece);
            case CHAINS -> chain(piece);
        }
    }

    private void bar(PieceEntity piece) {
        Implement implement = read(PieceField.IMPLEMENT, text -> Reading.choice(Implement.class, text));
        String name = name();
        Mass mass = mass(PieceField.MASS);
        String madeFor = lift().map(Lift::key).orElse(null);
        String safety = words(PieceField.SAFETY_HEIGHT);
        piece.implement = implement;
        piece.name = name;
        piece.mass = mass;
        piece.unit = unit(PieceField.MASS);
        piece.madeFor = madeFor;
        piece.safetyHeight = safety;
        piece.fitForPins = typed.isTicked(PieceField.FIT_FOR_PINS.code());
    }

    private void plate(PieceEntity piece) {
        Mass mass = mass(PieceField.MASS);
        int count = number(PieceField.COUNT, 1, 200);
        if (!typed.isConfirmed(PieceField.COUNT.code())) {
            FarOff.plates(count).ifPresent(most -> {
                throw new UnreadableException("ask.plates", most).in(PieceField.COUNT.code());
            });
        }
        if (!typed.isConfirmed(PieceField.MASS.code())) {
            FarOff.plate(mass, unit(PieceField.MASS)).ifPresent(most -> {
                throw new UnreadableException("ask.plate", most.format(unit(PieceField.MASS), 0))
                        .in(PieceField.MASS.code());
            });
        }
        piece.mass = mass;
        piece.unit = unit(PieceField.MASS);
        piece.count = count;
        piece.calibrated = typed.isTicked(PieceField.CALIBRATED.code());
        piece.fullSize = typed.isTicked(PieceField.FULL_SIZE.code());
    }

    private void fixed(PieceEntity piece) {
        Implement implement = read(PieceField.IMPLEMENT, text -> Reading.choice(Implement.class, text));
        Optional<Mass> nominal = massIfAny(PieceField.NOMINAL);
        if (typed.isBlank(PieceField.MASS.code()) && implement == Implement.DUMBBELL && nominal.isPresent()) {
            throw new UnreadableException("kit.weigh-it").in(PieceField.MASS.code());
        }
        Mass mass = mass(PieceField.MASS);
        piece.implement = implement;
        piece.name = typed.isBlank(PieceField.NAME.code()) ? "" : name();
        piece.nominal = nominal.orElse(null);
        piece.mass = mass;
        piece.unit = unit(PieceField.MASS);
    }

    private void machine(PieceEntity piece) {
        String name = name();
        Lift madeFor = lift().orElseThrow(() -> new UnreadableException("read.needed").in(PieceField.MADE_FOR.code()));
        Mass least = mass(PieceField.LEAST);
        Mass step = mass(PieceField.STEP);
        Mass most = mass(PieceField.MOST);
        if (most.isLessThan(least) || most.minus(least).isGreaterThan(step.times(200))) {
            throw new UnreadableException("kit.stack").in(PieceField.MOST.code());
        }
        piece.name = name;
        piece.madeFor = madeFor.key();
        piece.mass = least;
        piece.step = step;
        piece.most = most;
        piece.unit = unit(PieceField.LEAST);
    }

    private void bands(PieceEntity piece) {
        String name = name();
        Length shorter = length(PieceField.LENGTH);
        Mass pull = mass(PieceField.PULL);
        Length longer = length(PieceField.LONG_LENGTH);
        Mass pullLong = mass(PieceField.PULL_LONG);
        Optional<Mass> other = massIfAny(PieceField.OTHER_PULL);
        Optional<Mass> otherLong = massIfAny(PieceField.OTHER_PULL_LONG);
        if (!longer.isGreaterThan(shorter)) {
            throw new UnreadableException("kit.longer").in(PieceField.LONG_LENGTH.code());
        }
        harder(PieceField.PULL_LONG, pull, pullLong);
        harder(PieceField.OTHER_PULL_LONG, other.orElse(pull), otherLong.orElse(pullLong));
        Integer bought = year(PieceField.BOUGHT);
        Integer otherBought = year(PieceField.OTHER_BOUGHT);
        piece.name = name;
        piece.length = shorter;
        piece.mass = pull;
        piece.longLength = longer;
        piece.pullLong = pullLong;
        piece.make = words(PieceField.MAKE);
        piece.bought = bought;
        piece.otherPull = other.orElse(null);
        piece.otherPullLong = otherLong.orElse(null);
        piece.otherMake = words(PieceField.OTHER_MAKE);
        piece.otherBought = otherBought;
        piece.unit = unit(PieceField.PULL);
    }

    private static void harder(PieceField field, Mass shorter, Mass longer) {
        if (!longer.isGreaterThan(shorter)) {
            throw new UnreadableException("kit.harder").in(field.code());
        }
    }

    private void chain(PieceEntity piece) {
        String name = name();
        Mass perMetre = mass(PieceField.PER_METRE);
        Length length = length(PieceField.LENGTH);
        int count = number(PieceField.COUNT, 1, 40);
        piece.name = name;
        piece.mass = perMetre;
        piece.length = length;
        piece.count = count;
        piece.unit = unit(PieceField.PER_METRE);
    }

    private <T> T read(PieceField field, Function<String, T> reader) {
        return typed.read(field.code(), reader);
    }

    private String name() {
        return read(PieceField.NAME, text -> Reading.words(text, LONGEST_NAME));
    }

    private String words(PieceField field) {
        return typed.readIfAny(field.code(), text -> Reading.words(text, LONGEST_NAME))
                .orElse(null);
    }

    private Mass mass(PieceField field) {
        return read(field, text -> Reading.mass(text, unit));
    }

    private Optional<Mass> massIfAny(PieceField field) {
        return typed.readIfAny(field.code(), text -> Reading.mass(text, unit));
    }

    private MassUnit unit(PieceField field) {
        return Reading.unit(typed.text(field.code()), unit);
    }

    private Length length(PieceField field) {
        return read(field, text -> Reading.length(text, LengthUnit.CM, LEAST_LENGTH, MOST_LENGTH));
    }

    private int number(PieceField field, int least, int most) {
        return read(field, text -> Reading.number(text, least, most));
    }

    private Integer year(PieceField field) {
        return typed.readIfAny(field.code(), text -> Reading.number(text, 1980, 2100))
                .orElse(null);
    }

    private Optional<Lift> lift() {
        return typed.readIfAny(PieceField.MADE_FOR.code(), lifts);
    }
}
