package dev.yarbel.web.page;

import java.util.Map;

/** How many decisions wait, by lifter; the room of calls knows. */
public interface OpenCalls {

    Map<Long, Long> openByLifter(Person coach);
}
