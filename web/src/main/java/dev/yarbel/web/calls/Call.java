package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Care;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.LoadChange;
import dev.yarbel.core.adjust.WeekBeside;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What is to be decided about a lift as things stand now.
 *
 * @param changes every load still ahead that it would change
 * @param weeks what the weeks come to before and after, where whole weeks move
 * @param care what is said beside it, whatever is decided
 * @param others what else was seen of the lift, which weighs less
 */
record Call(
        Finding finding, List<LoadChange> changes, List<WeekBeside> weeks, Optional<Care> care, List<Finding> others) {

    /** Says in one word what a coach was shown, so that an answer to something else can be told. */
    public String fingerprint() {
        StringBuilder shown = new StringBuilder();
        shown.append(finding.rule()).append(finding.proposal());
        for (LoadChange change : changes) {
            shown.append(';').append(change.date()).append(change.letter());
            change.before().ifPresent(before -> shown.append(text(before)));
            shown.append('>');
            change.after().ifPresent(after -> shown.append(text(after)));
        }
        return UUID.nameUUIDFromBytes(shown.toString().getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    private static String text(LoadChange.Planned planned) {
        return planned.lift().key() + planned.part().shorthand() + planned.load();
    }

    /** The name of the fragment that shows what was seen. */
    public String seenBy() {
        return finding.evidence().accept(new Names.OfEvidence());
    }

    /** The name of the fragment that shows what is proposed. */
    public String proposedBy() {
        return finding.proposal().accept(new Names.OfProposal());
    }
}
