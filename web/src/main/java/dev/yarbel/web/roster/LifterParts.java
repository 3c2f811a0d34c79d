package dev.yarbel.web.roster;

import java.util.List;

/**
 * What a room keeps of lifters, as JSON for whoever takes all of it along. The names in it are a published format
 * ({@code lifter-1.schema.json}): they stay what they are when columns are called otherwise.
 */
public interface LifterParts {

    /**
     * One kind of thing.
     *
     * @param name what it is called in the file
     * @param sql asks for each of them as one column of JSON, for a club and some lifters, in the order in which they are written;
     *     loads are in kg, lengths in cm
     */
    record Part(String name, String sql) {}

    /** In the order in which they are written. */
    List<Part> parts();

    /**
     * Deletes for good what the room keeps of lifters: statements for a club and some lifters, in their order. What another room's
     * rows refer to may go first.
     */
    List<String> erase();
}
