package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Evidence;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.LoadChange;
import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.adjust.Proposal;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;

/**
 * What is to be decided about a lift as things stand now.
 *
 * @param changes every load still ahead that it would change
 */
record Call(Finding finding, List<LoadChange> changes) {

    /** Says in one word what a coach was shown, so that an answer to something else can be told. */
    public String fingerprint() {
        StringBuilder shown = new StringBuilder();
        shown.append(finding.rule()).append(finding.proposal());
        for (LoadChange change : changes) {
            shown.append(';')
                    .append(change.date())
                    .append(change.prescription().letter())
                    .append(change.prescription().part().shorthand())
                    .append(change.before())
                    .append('>')
                    .append(change.after());
        }
        return UUID.nameUUIDFromBytes(shown.toString().getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    /** The name of the fragment that shows what was seen. */
    public String seenBy() {
        return finding.evidence().accept(new Evidence.Visitor<>() {

            @Override
            public String estimateMoved(Evidence.EstimateMoved evidence) {
                return "estimate-moved";
            }
        });
    }

    /** The name of the fragment that shows what is proposed. */
    public String proposedBy() {
        return finding.proposal().accept(new Proposal.Visitor<>() {

            @Override
            public String moveWorkingMax(MoveWorkingMax proposal) {
                return "move-working-max";
            }
        });
    }
}
