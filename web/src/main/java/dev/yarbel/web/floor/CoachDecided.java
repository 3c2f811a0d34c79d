package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.book.Change;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What a coach decided lately about a lifter's loads, for the lifter to read. */
@Component
class CoachDecided {

    private static final Duration LATELY = Duration.ofDays(14);
    private static final int MOST = 20;
    private static final List<ChangeKind> ANSWERS = List.of(
            ChangeKind.CALL_TAKEN, ChangeKind.CALL_CHANGED, ChangeKind.CALL_BY_ITSELF, ChangeKind.CALL_TAKEN_BACK);

    private final Ledger ledger;
    private final Clock clock;

    CoachDecided(Ledger ledger, Clock clock) {
        this.ledger = ledger;
        this.clock = clock;
    }

    /**
     * A decision that stands.
     *
     * @param before what stood before it
     * @param after what stands now
     * @param why null where no reason was given
     */
    record Decided(Lift lift, String before, String after, String why, String who, Instant at) {}

    /** Those of the last two weeks that changed something and were not taken back, newest first. */
    List<Decided> lately(LifterCard lifter) {
        Instant since = clock.instant().minus(LATELY);
        Set<List<String>> takenBack = new HashSet<>();
        List<Decided> decided = new ArrayList<>();
        for (Change change :
                ledger.entries(lifter, ANSWERS, Optional.empty(), MOST).changes()) {
            if (change.kind() == ChangeKind.CALL_TAKEN_BACK) {
                takenBack.add(change.subject());
            } else if (!takenBack.remove(change.subject())
                    && change.at().isAfter(since)
                    && !change.before().equals(change.after())) {
                decided.add(new Decided(
                        new Lift(change.subject().get(0)),
                        change.before(),
                        change.after(),
                        change.why().orElse(null),
                        change.who(),
                        change.at()));
            }
        }
        return decided;
    }
}
