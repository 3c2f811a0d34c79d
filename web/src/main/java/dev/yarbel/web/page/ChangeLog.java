package dev.yarbel.web.page;

import java.util.List;
import java.util.Optional;

/** The change ledger as rooms before the book reach it; the book keeps it. */
public interface ChangeLog {

    /**
     * Writes an entry, within the caller's transaction.
     *
     * @param lifterId the lifter it concerns; empty for the club's own affairs
     * @param subject what was changed, in parts to be worded when it is read
     */
    void write(
            Person who,
            Optional<Long> lifterId,
            ChangeKind kind,
            List<String> subject,
            Optional<String> why,
            String before,
            String after);
}
