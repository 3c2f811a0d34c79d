package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.util.List;
import java.util.Map;

/** A machine with a stack. */
record MachinePiece(Gym.Stack stack, MassUnit unit) implements Piece {

    static final List<PieceField> FIELDS =
            List.of(PieceField.NAME, PieceField.MADE_FOR, PieceField.LEAST, PieceField.STEP, PieceField.MOST);

    static MachinePiece read(PieceAnswers answers) {
        String name = answers.name();
        Lift madeFor = answers.lift()
                .orElseThrow(() -> new UnreadableException("read.needed").in(PieceAnswers.name(PieceField.MADE_FOR)));
        Mass least = answers.mass(PieceField.LEAST);
        Mass step = answers.mass(PieceField.STEP);
        Mass most = answers.mass(PieceField.MOST);
        if (most.isLessThan(least) || most.minus(least).isGreaterThan(step.times(200))) {
            throw new UnreadableException("kit.stack").in(PieceAnswers.name(PieceField.MOST));
        }
        return new MachinePiece(new Gym.Stack(name, madeFor.key(), least, step, most), answers.unit(PieceField.LEAST));
    }

    @Override
    public Shelf shelf() {
        return Shelf.MACHINES;
    }

    @Override
    public Map<PieceField, String> texts() {
        return new PieceTexts(unit)
                .with(PieceField.NAME, stack.name())
                .with(PieceField.MADE_FOR, stack.madeFor())
                .with(PieceField.LEAST, stack.least())
                .with(PieceField.STEP, stack.step())
                .with(PieceField.MOST, stack.most())
                .map();
    }
}
