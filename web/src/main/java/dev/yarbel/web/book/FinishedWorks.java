package dev.yarbel.web.book;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * What is known of the lifters that were asked for lately, so that most pages read no log. It holds for one version of a
 * lifter's book, which the database moves on whoever changes the book, and for one day: it is never stale, on any copy of
 * the application.
 */
@Component
class FinishedWorks {

    /** Of all lifters together; half a year of one has some two thousand. */
    private static final long MOST_SETS = 100_000;

    private final Cache<Long, Known> latest = Caffeine.newBuilder()
            .maximumWeight(MOST_SETS)
            .weigher((Long lifter, Known known) -> known.work.size())
            .build();

    private record Known(UUID version, LocalDate day, FinishedWork work) {

        boolean serves(UUID now, LocalDate today, LocalDate since) {
            return version.equals(now) && day.equals(today) && !work.since().isAfter(since);
        }
    }

    /**
     * What is known of a lifter.
     *
     * @param version of their book, read before the source reads; empty where there is none
     * @param since the first day that the log is wanted of
     */
    FinishedWork of(
            long lifterId, Optional<UUID> version, LocalDate today, LocalDate since, Supplier<FinishedWork> source) {
        if (version.isEmpty()) {
            return source.get();
        }
        Known known = latest.getIfPresent(lifterId);
        if (known != null && known.serves(version.get(), today, since)) {
            return known.work;
        }
        FinishedWork work = source.get();
        latest.put(lifterId, new Known(version.get(), today, work));
        return work;
    }
}
