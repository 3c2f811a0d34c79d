package dev.yarbel.web.calls;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.util.Optional;

/** What a coach can do with one proposal. */
interface Handling {

    /** What stands where the proposal would put something else, for the ledger; empty where it would put nothing. */
    String stands(MassUnit unit);

    /**
     * The same with the coach's own figure.
     *
     * @throws UnreadableException when the figure cannot be used, or is far off and nobody has stood by it
     */
    Handling own(Reply reply, MassUnit unit);

    /** Whether the lifter would do more by it; then pain forbids it. */
    boolean raises();

    /**
     * Carries it out, within the caller's transaction; the ledger's entry, or empty when what it found no longer stands.
     *
     * @throws UnreadableException when something else than the figure forbids it
     * @throws dev.yarbel.web.block.BlockRefused when the block became another meanwhile
     */
    Optional<Long> take(Decision decision);

    /** Who decides about whom, and why. */
    record Decision(Person coach, LifterCard lifter, ChangeKind kind, Optional<String> why) {}
}
