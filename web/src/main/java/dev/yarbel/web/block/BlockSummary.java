package dev.yarbel.web.block;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A lifter's block in a list.
 *
 * @param origin where it came from: a school, a template or another block; the same for every run of the same, and empty for
 *     one that came from nowhere
 * @param putAside the day another block took its place before it had run its course
 */
public record BlockSummary(
        long id,
        String name,
        LocalDate start,
        int weeks,
        Optional<LocalDate> contest,
        String origin,
        Optional<LocalDate> putAside) {

    static BlockSummary of(BlockEntity block) {
        return new BlockSummary(
                block.id(),
                block.name(),
                block.startOn(),
                block.weeks(),
                block.contestOn(),
                block.origin(),
                block.putAsideOn());
    }
}
