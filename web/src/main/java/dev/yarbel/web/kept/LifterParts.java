package dev.yarbel.web.kept;

import java.util.List;

/** What a room keeps of lifters, for whoever takes all of it along, brings it, or has it deleted. */
public interface LifterParts {

    /** In the order in which they are written. */
    List<Kept> parts();

    /**
     * Deletes for good what the room keeps of lifters: statements for a club and some lifters, in their order. What another room's
     * rows refer to may go first.
     */
    List<String> erase();

    /** Reads what was just brought of a lifter as pages do: throws where a page could not. */
    default void readBack(long clubId, long lifterId) {}
}
