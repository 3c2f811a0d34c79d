package dev.yarbel.web.account;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Secrets;
import dev.yarbel.web.page.UnreadableException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The tokens with which programs come in somebody's name. They end with their day, with that person's access, and with another password. */
@Service
@Transactional
class AccessTokens {

    /** So that a token that was left lying about is known as one. */
    static final String PREFIX = "yarbel_";

    static final int MOST_DAYS = 365;
    private static final int MOST = 20;
    private static final int BYTES = 32;
    private static final Duration NOTED = Duration.ofHours(1);

    private final AccessTokenRepository tokens;
    private final Clock clock;

    AccessTokens(AccessTokenRepository tokens, Clock clock) {
        this.tokens = tokens;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<AccessToken> of(Person person) {
        return tokens.open(person.clubId(), person.accountId(), clock.instant());
    }

    /**
     * Makes one.
     *
     * @return its secret, which is told this once
     * @throws UnreadableException when they have too many
     */
    public String make(Person person, String name, Set<Scope> scopes, int days) {
        if (of(person).size() >= MOST) {
            throw new UnreadableException("tokens.error.many", MOST).in("name");
        }
        String secret = PREFIX + Base64.getUrlEncoder().withoutPadding().encodeToString(Secrets.bytes(BYTES));
        Instant now = clock.instant();
        tokens.save(new AccessToken(
                person.clubId(),
                person.accountId(),
                name,
                Secrets.hash(secret),
                scopes,
                now,
                now.plus(Duration.ofDays(days))));
        return secret;
    }

    public void end(Person person, long id) {
        tokens.end(person.clubId(), person.accountId(), id);
    }

    /** Who comes with a token, and what it may do. */
    record Opened(long token, Member member, Set<Scope> scopes) {}

    /** Who comes with a secret; nobody where it has ended, or their access has. */
    public Optional<Opened> open(String secret) {
        Instant now = clock.instant();
        return tokens.findOpen(Secrets.hash(secret), now).stream().findFirst().map(row -> {
            AccessToken token = (AccessToken) row[0];
            Account account = (Account) row[1];
            if (!token.isUsedSince(now.minus(NOTED))) {
                tokens.used(account.clubId(), token.id(), now);
            }
            return new Opened(token.id(), account.member((Club) row[2]), token.scopes());
        });
    }
}
