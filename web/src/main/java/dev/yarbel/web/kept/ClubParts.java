package dev.yarbel.web.kept;

import java.util.List;

/** What a room keeps of a club, beside what it keeps of lifters. */
public interface ClubParts {

    /** In the order in which they are written. */
    List<Kept> parts();

    /** Reads what a club has as pages do: throws where a page could not. */
    default void readBack(long clubId) {}
}
