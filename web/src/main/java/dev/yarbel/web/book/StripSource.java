package dev.yarbel.web.book;

import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.page.Strip;
import dev.yarbel.web.roster.LifterCard;
import java.time.ZoneId;
import java.util.Optional;

/** Draws a lifter's block as a strip, from what the book has read of the lifter already; the room of plans knows how. */
public interface StripSource {

    /**
     * Empty when the lifter has no block.
     *
     * @param kit what its loads are made with
     */
    Optional<Strip> strip(LifterCard lifter, ZoneId zone, LifterRecord standing, AvailableKit kit);
}
