package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Kit;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** What a lifter has at hand in one gym. What each lift can be done with is worked out when it is first asked for. */
public final class AtHand {

    private final long gymId;
    private final Gym gym;
    private final Function<Kit, Loader> loaders;
    private final Map<Lift, Optional<Loads>> known = new HashMap<>();

    AtHand(long gymId, Gym gym, Function<Kit, Loader> loaders) {
        this.gymId = gymId;
        this.gym = gym;
        this.loaders = loaders;
    }

    /** The gym's number; 0 when the lifter has none. */
    public long gymId() {
        return gymId;
    }

    /** What the gym is called. */
    public String gymName() {
        return gym.name();
    }

    /** The loads for a lift; empty when the gym has nothing for it. */
    public Optional<Loads> loads(Variation variation) {
        return known.computeIfAbsent(variation.lift(), lift -> gym.loads(variation.need(), loaders));
    }
}
