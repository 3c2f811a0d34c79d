package dev.yarbel.web.book;

import dev.yarbel.web.page.ChangeKind;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * One entry of the ledger: who changed what, when and why; before and after as the room that wrote it put them.
 *
 * @param subject what was changed: the lift's key, then what the kind of change says of it, to be worded when it is read
 */
public record Change(
        Instant at,
        String who,
        ChangeKind kind,
        List<String> subject,
        Optional<String> why,
        String before,
        String after) {

    public Change {
        subject = List.copyOf(subject);
    }
}
