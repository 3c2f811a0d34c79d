package dev.yarbel.web.block;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * Two blocks of one lifter would lie on the same days. The one that begins later is trained from its first day on.
 *
 * @param other the block that is there already
 * @param replaced whether the other gives way to the new one; else the new one gives way to it
 * @param from the day on which that happens
 */
public record Meeting(BlockSummary other, boolean replaced, LocalDate from) {

    /** Those that a block would meet that lies on these weeks, by their dates. */
    static List<Meeting> of(List<BlockSummary> blocks, Optional<Long> self, LocalDate start, int weeks) {
        LocalDate end = start.plusWeeks(weeks).minusDays(1);
        return blocks.stream()
                .filter(other -> self.filter(id -> id == other.id()).isEmpty())
                .filter(other -> !other.start().isAfter(end) && !other.end().isBefore(start))
                .filter(other ->
                        other.putAside().filter(aside -> !aside.isAfter(start)).isEmpty())
                .map(other -> other.start().isAfter(start)
                        ? new Meeting(other, false, other.start())
                        : new Meeting(other, true, start))
                .sorted((one, two) -> one.from().compareTo(two.from()))
                .toList();
    }
}
