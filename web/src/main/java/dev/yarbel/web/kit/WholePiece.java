package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something that is picked up whole.
 *
 * @param name empty where its mass says enough
 * @param nominal what stands on it
 * @param mass what it really weighs
 */
record WholePiece(Implement implement, String name, Optional<Mass> nominal, Mass mass, MassUnit unit) implements Piece {

    static final List<PieceField> FIELDS =
            List.of(PieceField.IMPLEMENT, PieceField.NAME, PieceField.NOMINAL, PieceField.MASS);

    static WholePiece read(PieceAnswers answers) {
        Implement implement = answers.implement(Shelf.PIECES);
        Optional<Mass> nominal = answers.massIfAny(PieceField.NOMINAL);
        if (answers.isBlank(PieceField.MASS) && implement == Implement.DUMBBELL && nominal.isPresent()) {
            throw new UnreadableException("kit.weigh-it").in(PieceAnswers.name(PieceField.MASS));
        }
        return new WholePiece(
                implement,
                answers.words(PieceField.NAME).orElse(""),
                nominal,
                answers.mass(PieceField.MASS),
                answers.unit(PieceField.MASS));
    }

    Gym.Piece piece() {
        return new Gym.Piece(implement, name.isEmpty() ? nominal.orElse(mass).format(unit, 3) : name, mass);
    }

    @Override
    public Shelf shelf() {
        return Shelf.PIECES;
    }

    @Override
    public Map<PieceField, String> texts() {
        PieceTexts texts = new PieceTexts(unit)
                .with(PieceField.IMPLEMENT, implement.name())
                .with(PieceField.NAME, name)
                .with(PieceField.MASS, mass);
        nominal.ifPresent(marked -> texts.with(PieceField.NOMINAL, marked));
        return texts.map();
    }
}
