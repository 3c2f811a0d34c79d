package dev.yarbel.web.block;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A lifter's block in a list.
 *
 * @param origin where it came from: a school, a template or another block; the same for every run of the same, and empty for
 *     one that came from nowhere
 * @param putAside the day on which another block takes its place before it has run its course
 */
public record BlockSummary(
        long id,
        String name,
        LocalDate start,
        int weeks,
        Optional<LocalDate> contest,
        String origin,
        Optional<LocalDate> putAside) {

    /** A lifter's blocks, the latest first, as all of them together have it. */
    static List<BlockSummary> of(List<BlockEntity> latestFirst) {
        List<BlockSummary> summaries = new ArrayList<>();
        Optional<LocalDate> next = Optional.empty();
        for (BlockEntity block : latestFirst) {
            LocalDate end = block.startOn().plusWeeks(block.weeks());
            summaries.add(new BlockSummary(
                    block.id(),
                    block.name(),
                    block.startOn(),
                    block.weeks(),
                    block.contestOn(),
                    block.origin(),
                    next.filter(begins -> begins.isBefore(end))));
            next = Optional.of(block.startOn());
        }
        return summaries;
    }

    /** The last day of its last week. */
    public LocalDate end() {
        return start.plusWeeks(weeks).minusDays(1);
    }
}
