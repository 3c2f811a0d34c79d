package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What a lifter has at hand in one gym. It is looked up when it is first asked for, and so is what each lift can be done
 * with; one request uses it and no other.
 */
public final class AvailableKit {

    /**
     * A gym and its number; 0 when the lifter has none.
     *
     * @param changing its chains and bands, as a pair on the bar
     */
    record Contents(long gymId, Gym gym, List<AccommodatingResistance> changing) {}

    private final Supplier<Contents> lookUp;
    private final Function<BarKit, BarLoads> loaders;
    private final Map<Lift, Optional<AvailableLoads>> known = new HashMap<>();
    private Contents contents;

    AvailableKit(Supplier<Contents> lookUp, Function<BarKit, BarLoads> loaders) {
        this.lookUp = lookUp;
        this.loaders = loaders;
    }

    private Contents contents() {
        if (contents == null) {
            contents = lookUp.get();
        }
        return contents;
    }

    /** The gym's number; 0 when the lifter has none. */
    public long gymId() {
        return contents().gymId();
    }

    /** What the gym is called. */
    public String gymName() {
        return contents().gym().name();
    }

    /** The gym's chains and bands as a pair on the bar: all of a chain at the top, bands as they were measured. */
    public List<AccommodatingResistance> changing() {
        return contents().changing();
    }

    /** Whether its plates are not set down yet, so that no load can be made. */
    public boolean awaitsPlates() {
        return contents().gym().awaitsPlates();
    }

    /** Where safeties stand for the bar a lift is done with, when that is not where they usually do. */
    public Optional<String> safetyHeight(Variation variation) {
        return contents().gym().holder(variation.need()).flatMap(Gym.Holder::safetyHeight);
    }

    /** The loads for a lift; empty when the gym has nothing for it. */
    public Optional<AvailableLoads> loads(Variation variation) {
        return known.computeIfAbsent(variation.lift(), lift -> contents().gym().loads(variation.need(), loaders));
    }
}
