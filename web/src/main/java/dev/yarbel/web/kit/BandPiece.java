package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A pair of bands, measured at the same two lengths.
 *
 * @param other like the first in whatever was not said of it
 */
record BandPiece(String name, Band one, Band other, MassUnit unit) implements Piece {

    static final List<PieceField> FIELDS = List.of(
            PieceField.NAME,
            PieceField.LENGTH,
            PieceField.PULL,
            PieceField.LONG_LENGTH,
            PieceField.PULL_LONG,
            PieceField.MAKE,
            PieceField.BOUGHT,
            PieceField.OTHER_PULL,
            PieceField.OTHER_PULL_LONG,
            PieceField.OTHER_MAKE,
            PieceField.OTHER_BOUGHT);

    static BandPiece read(PieceAnswers answers) {
        String name = answers.name();
        Length shorter = answers.length(PieceField.LENGTH);
        Mass pull = answers.mass(PieceField.PULL);
        Length longer = answers.length(PieceField.LONG_LENGTH);
        Mass pullLong = answers.mass(PieceField.PULL_LONG);
        if (!longer.isGreaterThan(shorter)) {
            throw new UnreadableException("kit.longer").in(PieceAnswers.name(PieceField.LONG_LENGTH));
        }
        Mass otherPull = answers.massIfAny(PieceField.OTHER_PULL).orElse(pull);
        Mass otherPullLong = answers.massIfAny(PieceField.OTHER_PULL_LONG).orElse(pullLong);
        harder(PieceField.PULL_LONG, pull, pullLong);
        harder(PieceField.OTHER_PULL_LONG, otherPull, otherPullLong);
        Optional<String> make = answers.words(PieceField.MAKE);
        Optional<Integer> bought = answers.year(PieceField.BOUGHT);
        return new BandPiece(
                name,
                new Band(make.orElse(""), bought, shorter, pull, longer, pullLong),
                new Band(
                        answers.words(PieceField.OTHER_MAKE).or(() -> make).orElse(""),
                        answers.year(PieceField.OTHER_BOUGHT).or(() -> bought),
                        shorter,
                        otherPull,
                        longer,
                        otherPullLong),
                answers.unit(PieceField.PULL));
    }

    private static void harder(PieceField field, Mass shorter, Mass longer) {
        if (!longer.isGreaterThan(shorter)) {
            throw new UnreadableException("kit.harder").in(PieceAnswers.name(field));
        }
    }

    /** What the pair adds to a bar, as a scale showed it. */
    AccommodatingResistance changing() {
        return new AccommodatingResistance(
                AccommodatingResistance.Kind.BANDS,
                ChainPiece.whole(one.tensionShort().plus(other.tensionShort()), unit),
                ChainPiece.whole(one.tensionLong().plus(other.tensionLong()), unit),
                unit);
    }

    @Override
    public Shelf shelf() {
        return Shelf.BANDS;
    }

    @Override
    public Map<PieceField, String> texts() {
        PieceTexts texts = new PieceTexts(unit)
                .with(PieceField.NAME, name)
                .with(PieceField.LENGTH, one.shortLength())
                .with(PieceField.PULL, one.tensionShort())
                .with(PieceField.LONG_LENGTH, one.longLength())
                .with(PieceField.PULL_LONG, one.tensionLong())
                .with(PieceField.MAKE, one.make())
                .withAny(PieceField.BOUGHT, one.bought());
        if (!other.tensionShort().equals(one.tensionShort())) {
            texts.with(PieceField.OTHER_PULL, other.tensionShort());
        }
        if (!other.tensionLong().equals(one.tensionLong())) {
            texts.with(PieceField.OTHER_PULL_LONG, other.tensionLong());
        }
        if (!other.make().equals(one.make())) {
            texts.with(PieceField.OTHER_MAKE, other.make());
        }
        if (!other.bought().equals(one.bought())) {
            texts.withAny(PieceField.OTHER_BOUGHT, other.bought());
        }
        return texts.map();
    }
}
