package dev.yarbel.web.book;

import java.util.List;

/**
 * The logs of lifters got sessions from a file, or lost those they had got. They are history: nobody judges them as if they were of today. It is
 * handled after it is kept, at least once; listeners must bear hearing it twice.
 */
public record LogImported(long clubId, List<Long> lifterIds) {

    public LogImported {
        lifterIds = List.copyOf(lifterIds);
    }
}
