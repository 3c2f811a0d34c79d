package dev.yarbel.web.page;

import java.util.Collection;
import java.util.Map;

/** How many decisions wait, by lifter; the room of calls knows. */
public interface OpenCalls {

    /** How many wait for each of these lifters of the coach's; those for whom none waits are left out. */
    Map<Long, Long> openByLifter(Person coach, Collection<Long> lifterIds);
}
