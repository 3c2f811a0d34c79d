package dev.yarbel.web.page;

import java.util.Optional;

/** Draws a lifter's block as a strip; the room of plans knows it. */
public interface StripSource {

    /** Empty when the lifter has no block. */
    Optional<Strip> strip(Person person, long lifterId);
}
