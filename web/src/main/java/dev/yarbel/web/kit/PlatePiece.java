package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.web.page.UnreadableException;
import java.util.List;
import java.util.Map;

/** Plates that are alike, so many of them. */
record PlatePiece(Plate plate, int count) implements Piece {

    static final List<PieceField> FIELDS =
            List.of(PieceField.MASS, PieceField.COUNT, PieceField.CALIBRATED, PieceField.FULL_SIZE);

    static PlatePiece read(PieceAnswers answers) {
        Mass mass = answers.mass(PieceField.MASS);
        int count = answers.count(PieceField.COUNT, 1, 200);
        MassUnit castIn = answers.unit(PieceField.MASS);
        if (!answers.isMeant(PieceField.COUNT)) {
            FarOff.plates(count).ifPresent(most -> {
                throw new UnreadableException("ask.plates", most).in(PieceAnswers.name(PieceField.COUNT));
            });
        }
        if (!answers.isMeant(PieceField.MASS)) {
            FarOff.plate(mass, castIn).ifPresent(most -> {
                throw new UnreadableException("ask.plate", most.format(castIn, 0))
                        .in(PieceAnswers.name(PieceField.MASS));
            });
        }
        return new PlatePiece(
                new Plate(
                        mass, castIn, answers.isTicked(PieceField.CALIBRATED), answers.isTicked(PieceField.FULL_SIZE)),
                count);
    }

    @Override
    public Shelf shelf() {
        return Shelf.PLATES;
    }

    @Override
    public MassUnit unit() {
        return plate.castIn();
    }

    @Override
    public Map<PieceField, String> texts() {
        return new PieceTexts(unit())
                .with(PieceField.MASS, plate.mass())
                .with(PieceField.COUNT, String.valueOf(count))
                .with(PieceField.CALIBRATED, plate.calibrated())
                .with(PieceField.FULL_SIZE, plate.fullSize())
                .map();
    }
}
