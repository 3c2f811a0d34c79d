package dev.yarbel.web.roster;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The gyms a lifter may train in; the room of kits knows. */
public interface GymChooser {

    /** One gym in the chooser. */
    record Choice(long id, String name) {}

    /** The gyms of a club, by name. */
    List<Choice> gyms(long clubId);

    /** Gives a new lifter their usual gym; where none is named, a new one at home with nothing but a bar. */
    void settle(LifterCard lifter, Optional<Long> gym);

    /** What these lifters' usual gyms are called. */
    Map<Long, String> usual(long clubId, Collection<Long> lifterIds);
}
