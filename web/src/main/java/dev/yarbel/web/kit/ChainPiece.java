package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Chains that are alike, so many of them. */
record ChainPiece(String name, Mass perMetre, Length length, int count, MassUnit unit) implements Piece {

    static final List<PieceField> FIELDS =
            List.of(PieceField.NAME, PieceField.PER_METRE, PieceField.LENGTH, PieceField.COUNT);

    static ChainPiece read(PieceAnswers answers) {
        return new ChainPiece(
                answers.name(),
                answers.mass(PieceField.PER_METRE),
                answers.length(PieceField.LENGTH),
                answers.count(PieceField.COUNT, 1, 40),
                answers.unit(PieceField.PER_METRE));
    }

    /** What a pair adds to a bar with all of it off the floor at the top; a single chain hangs on no bar. */
    Optional<AccommodatingResistance> changing() {
        if (count < 2) {
            return Optional.empty();
        }
        Mass both = perMetre.times(Percent.ofShare(length.in(LengthUnit.M))).times(2);
        return Optional.of(
                new AccommodatingResistance(AccommodatingResistance.Kind.CHAINS, Mass.ZERO, whole(both, unit), unit));
    }

    static Mass whole(Mass exact, MassUnit unit) {
        return Mass.of(exact.in(unit).setScale(0, RoundingMode.HALF_UP), unit);
    }

    @Override
    public Shelf shelf() {
        return Shelf.CHAINS;
    }

    @Override
    public Map<PieceField, String> texts() {
        return new PieceTexts(unit)
                .with(PieceField.NAME, name)
                .with(PieceField.PER_METRE, perMetre)
                .with(PieceField.LENGTH, length)
                .with(PieceField.COUNT, String.valueOf(count))
                .map();
    }
}
