package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import java.util.List;
import java.util.Map;

/** A bar, or anything else that takes plates. */
record BarPiece(Gym.Holder holder, MassUnit unit) implements Piece {

    static final List<PieceField> FIELDS = List.of(
            PieceField.IMPLEMENT,
            PieceField.NAME,
            PieceField.MASS,
            PieceField.MADE_FOR,
            PieceField.SAFETY_HEIGHT,
            PieceField.FIT_FOR_PINS);

    static BarPiece read(PieceAnswers answers) {
        Gym.Holder holder = new Gym.Holder(
                answers.implement(Shelf.BARS),
                answers.name(),
                answers.mass(PieceField.MASS),
                answers.lift().map(Lift::key),
                answers.isTicked(PieceField.FIT_FOR_PINS),
                answers.words(PieceField.SAFETY_HEIGHT));
        return new BarPiece(holder, answers.unit(PieceField.MASS));
    }

    @Override
    public Shelf shelf() {
        return Shelf.BARS;
    }

    @Override
    public Map<PieceField, String> texts() {
        return new PieceTexts(unit)
                .with(PieceField.IMPLEMENT, holder.kind().name())
                .with(PieceField.NAME, holder.name())
                .with(PieceField.MASS, holder.mass())
                .withAny(PieceField.MADE_FOR, holder.madeFor())
                .withAny(PieceField.SAFETY_HEIGHT, holder.safetyHeight())
                .with(PieceField.FIT_FOR_PINS, holder.fitForPins())
                .map();
    }
}
