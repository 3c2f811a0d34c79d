package dev.yarbel.web.page;

import java.util.List;

/** The lifters a person may choose among; the roster knows. */
public interface LifterChooser {

    /** One lifter in the chooser. */
    record Choice(long id, String name) {}

    List<Choice> choices(Person person);
}
