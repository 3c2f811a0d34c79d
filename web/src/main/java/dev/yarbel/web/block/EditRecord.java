package dev.yarbel.web.block;

import dev.yarbel.web.page.ChangeKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the ledger says of an edit.
 *
 * @param subject what it is about, to be worded when it is read
 * @param why in the coach's words
 * @param before what stood there, where it is about one dose
 */
public record EditRecord(ChangeKind kind, List<String> subject, Optional<String> why, String before, String after) {

    /** One that nobody gave a reason for. */
    public EditRecord(ChangeKind kind, List<String> subject, String before, String after) {
        this(kind, subject, Optional.empty(), before, after);
    }

    /** An edit of a block by the code of its words, and the facts that they name. */
    public static EditRecord of(String code, Object... facts) {
        List<String> subject = new ArrayList<>(List.of(code));
        for (Object fact : facts) {
            subject.add(String.valueOf(fact));
        }
        return new EditRecord(ChangeKind.BLOCK, subject, "", "");
    }
}
