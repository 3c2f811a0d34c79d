package dev.yarbel.web.book;

import dev.yarbel.core.session.Amendment;
import dev.yarbel.web.page.Person;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A change made on the floor to what a day asks for.
 *
 * @param token made by whoever sent it
 * @param by the account that made it
 */
public record FloorChange(
        UUID token, Amendment amendment, Optional<String> reason, long by, String byName, Instant at) {

    /** Whether this person may take it back: a coach, or whoever made it. */
    public boolean isTakenBackBy(Person person) {
        return person.isCoach() || by == person.accountId();
    }
}
