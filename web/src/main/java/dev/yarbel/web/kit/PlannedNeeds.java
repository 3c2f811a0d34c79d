package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.lift.Lift;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** The slots planned with a gym's kit; the room of plans knows. */
public interface PlannedNeeds {

    /** One slot that would miss a piece. */
    record Planned(String lifter, String day, String letter, Lift lift) {}

    /**
     * The slots of these lifters in blocks that are not over, whose need is among those given.
     *
     * @param lifters their names by their numbers
     * @param missing whether a need would miss the piece
     */
    List<Planned> needing(long clubId, Map<Long, String> lifters, Predicate<Gym.Need> missing);
}
