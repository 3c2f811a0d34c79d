package dev.yarbel.web.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bandwidth;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever tries secrets: a few tries at once, then pauses that grow the longer it goes on. It counts by what is
 * tried, an account, and by where it comes from. A pause is never longer than a minute or so after the last try, so that
 * nobody is locked out of what is theirs. Each copy of the application counts for itself.
 */
@Component
class Throttle {

    /** What is tried. */
    enum Door {
        /** One account: five at once, then one in twelve seconds, and in the long run one a minute. */
        ACCOUNT(limit(5, Duration.ofMinutes(1)), limit(15, Duration.ofMinutes(15))),
        /** One account's second factor: a million codes, and fewer tries. */
        SECOND_FACTOR(limit(5, Duration.ofMinutes(1)), limit(15, Duration.ofMinutes(15))),
        /** One address, behind which a whole gym may sit. */
        ADDRESS(limit(30, Duration.ofMinutes(1)), limit(120, Duration.ofMinutes(30))),
        /** Codes by which something is set up or paired, from one address. */
        CODE(limit(10, Duration.ofMinutes(1)), limit(60, Duration.ofMinutes(30))),
        /** What a program asks with one token. */
        TOKEN(limit(600, Duration.ofMinutes(1)));

        private final List<Bandwidth> limits;

        Door(Bandwidth... limits) {
            this.limits = List.of(limits);
        }

        private static Bandwidth limit(long tries, Duration in) {
            return Bandwidth.builder().capacity(tries).refillGreedy(tries, in).build();
        }
    }

    private static final int MOST_REMEMBERED = 100_000;
    private static final int LONGEST_KEY = 100;

    private record Key(Door door, String what) {}

    private final TimeMeter time;
    private final Cache<Key, Bucket> buckets = Caffeine.newBuilder()
            .maximumSize(MOST_REMEMBERED)
            .expireAfterAccess(Duration.ofHours(1))
            .build();

    @Autowired
    Throttle() {
        this(TimeMeter.SYSTEM_NANOTIME);
    }

    Throttle(TimeMeter time) {
        this.time = time;
    }

    /**
     * Counts a try before it is looked at, so that many at the same moment are many.
     *
     * @return how long to wait first; empty when it may be made now
     */
    Optional<Duration> tries(Door door, String what) {
        ConsumptionProbe probe = bucket(door, what).tryConsumeAndReturnRemaining(1);
        return probe.isConsumed()
                ? Optional.empty()
                : Optional.of(Duration.ofNanos(probe.getNanosToWaitForRefill()).plusSeconds(1));
    }

    /** It was the right one: nothing is held against this door. */
    void forgive(Door door, String what) {
        buckets.invalidate(key(door, what));
    }

    /** It was the right one, and counts for nothing here, though others may come from the same place. */
    void giveBack(Door door, String what) {
        bucket(door, what).addTokens(1);
    }

    private Bucket bucket(Door door, String what) {
        return buckets.get(key(door, what), key -> {
            var builder = Bucket.builder().withCustomTimePrecision(time);
            door.limits.forEach(builder::addLimit);
            return builder.build();
        });
    }

    private static Key key(Door door, String what) {
        return new Key(door, what.length() > LONGEST_KEY ? what.substring(0, LONGEST_KEY) : what);
    }
}
