package dev.yarbel.web.page;

import java.util.List;

/** The lifters a person may choose among; the roster knows. */
public interface LifterChooser {

    /**
     * One lifter in the chooser.
     *
     * @param asks they asked something on the floor that nobody has answered
     */
    record Choice(long id, String name, boolean asks) {}

    List<Choice> choices(Person person);
}
