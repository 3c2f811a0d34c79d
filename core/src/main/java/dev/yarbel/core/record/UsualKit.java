package dev.yarbel.core.record;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.Tissue;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;

/**
 * What a lifter usually wears for each lift, beside which a set is another one: with knee wraps, without a belt. Kit that hardly
 * moves the load does not count: sleeves, wrist wraps (common practice, no source).
 */
public final class UsualKit {

    private static final Set<Worn> BELT_ALONE = Set.of(Worn.BELT);

    private final Catalogue catalogue;
    private final Map<Lift, Set<Worn>> said;

    /** @param said where somebody said what is worn for a lift; for any other, nothing but a belt is taken to be */
    public UsualKit(Catalogue catalogue, Map<Lift, Set<Worn>> said) {
        this.catalogue = catalogue;
        this.said = Map.copyOf(said);
    }

    /** How a set was done beside the plain lift; kit of which nobody said anything was the usual. */
    public SetUp setUp(LiftedSet set) {
        SetDetails details = set.details();
        Set<Worn> count = thatCount(set.lift());
        EnumSet<Worn> usual = some(said.getOrDefault(set.lift(), BELT_ALONE), count);
        EnumSet<Worn> worn = details.worn().map(kit -> some(kit, count)).orElseGet(() -> {
            EnumSet<Worn> planned = EnumSet.copyOf(usual);
            planned.addAll(some(details.asked().with(), count));
            planned.removeAll(details.asked().without());
            return planned;
        });
        EnumSet<Worn> more = EnumSet.copyOf(worn);
        more.removeAll(usual);
        usual.removeAll(worn);
        return details.asked().counted(more, usual, details.setUp());
    }

    /** Whether a max that was lifted in some kit is one of the lift as it is usually done; so is one of which nobody said. */
    public boolean isUsual(Lift lift, Set<Worn> worn) {
        Set<Worn> count = thatCount(lift);
        return worn.isEmpty() || !said.containsKey(lift) || some(worn, count).equals(some(said.get(lift), count));
    }

    private static EnumSet<Worn> some(Set<Worn> kit, Set<Worn> of) {
        EnumSet<Worn> some = EnumSet.noneOf(Worn.class);
        some.addAll(kit);
        some.retainAll(of);
        return some;
    }

    /** The kit that moves the load of a lift. */
    private Set<Worn> thatCount(Lift lift) {
        Set<Muscle> trains = catalogue.of(lift).trains();
        EnumSet<Worn> count = EnumSet.noneOf(Worn.class);
        boolean braced = catalogue.loads(lift, Tissue.LOW_BACK) || trains.contains(Muscle.TRUNK);
        if (braced && !lift.key().startsWith("beltless")) {
            count.add(Worn.BELT);
        }
        if (trains.contains(Muscle.QUADS)) {
            count.add(Worn.KNEE_WRAPS);
        }
        if (trains.contains(Muscle.GLUTES)) {
            count.add(Worn.SUIT);
        }
        if (trains.contains(Muscle.CHEST)) {
            count.add(Worn.BENCH_SHIRT);
        }
        if (trains.contains(Muscle.GRIP)) {
            count.add(Worn.STRAPS);
        }
        return count;
    }
}
