package dev.yarbel.core.session;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.ramp.RampKind;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;

/**
 * What holds for one lifter on the floor.
 *
 * @param even warm-ups add the same plates each time, for a lifter in a hurry; else in steps that shrink
 * @param held the lifts that go no higher than planned today, because they load something that aches
 */
public record FloorRules(Catalogue catalogue, boolean even, Set<Lift> held) {

    /** As nobody decided otherwise. */
    public static final FloorRules PLAIN = new FloorRules(Catalogue.STANDARD, false, Set.of());

    public FloorRules {
        held = Set.copyOf(held);
    }

    /** The ramp to the first set of a lift; empty where none belongs there. */
    Optional<RampKind> kind(Lift lift, Part part, Collection<Lift> before) {
        Work work = part.work();
        Implement.Made made = catalogue.of(lift).implement().made();
        if (work instanceof Work.Preparation
                || made == Implement.Made.FREELY
                || part.basis() instanceof LoadBasis.ByFeel && !(work instanceof Work.Climb)) {
            return Optional.empty();
        }
        if (!work.countsReps()) {
            return Optional.of(RampKind.RUNS);
        }
        if (part.is(Manner.SPEED)) {
            return Optional.of(RampKind.SPEED);
        }
        if (made == Implement.Made.STACK) {
            return Optional.of(RampKind.MACHINE);
        }
        if (before.stream().anyMatch(other -> warms(other, lift))) {
            return Optional.of(RampKind.WARM);
        }
        return Optional.of(even ? RampKind.EVEN : RampKind.SHRINKING);
    }

    /** Whether a lift leaves another one warm: the same family, or half of the other's muscles (a starting value of ours). */
    private boolean warms(Lift done, Lift next) {
        if (catalogue.root(done).equals(catalogue.root(next))) {
            return true;
        }
        return catalogue.sharesMuscles(done, next);
    }
}
