package dev.yarbel.core.session;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import java.util.Optional;
import java.util.Set;

/**
 * What holds for one lifter on the floor.
 *
 * @param even warm-ups add the same plates each time, for a lifter in a hurry; else in steps that shrink
 * @param held the lifts that go no higher than planned today, because they load something that aches
 * @param chosen the slot that is to be done now, whatever comes before it in the plan
 */
public record FloorRules(Catalogue catalogue, boolean even, Set<Lift> held, Optional<String> chosen) {

    /** As nobody decided otherwise. */
    public static final FloorRules PLAIN = new FloorRules(Catalogue.STANDARD, false, Set.of());

    public FloorRules {
        held = Set.copyOf(held);
    }

    /** The day goes in the plan's order. */
    public FloorRules(Catalogue catalogue, boolean even, Set<Lift> held) {
        this(catalogue, even, held, Optional.empty());
    }

    /** Whether two lifts are of one family. */
    boolean isKin(Lift one, Lift other) {
        return catalogue.root(one).equals(catalogue.root(other));
    }

    /** Whether a lift leaves another one warm: the same family, or half of the other's muscles (a starting value of ours). */
    boolean warms(Lift done, Lift next) {
        return !done.equals(next) && (isKin(done, next) || catalogue.sharesMuscles(done, next));
    }
}
