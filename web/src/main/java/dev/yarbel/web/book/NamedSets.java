package dev.yarbel.web.book;

import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Logged sets by the names that whoever sent them gave them: what hangs on a set hangs on that, wherever the set is moved. */
@Service
@Transactional(readOnly = true)
public class NamedSets {

    private final LoggedSetRepository sets;

    NamedSets(LoggedSetRepository sets) {
        this.sets = sets;
    }

    /**
     * A logged set.
     *
     * @param number rising as sets were logged
     * @param token its name
     */
    public record NamedSet(long number, UUID token, long session, LocalDate on, DoneSet done) {

        static NamedSet of(Object[] row) {
            LoggedSet set = (LoggedSet) row[0];
            return new NamedSet(set.id(), set.token(), set.sessionId(), (LocalDate) row[1], set.done());
        }
    }

    /** A set of a lifter's session; empty where there is none. */
    public Optional<NamedSet> find(LifterCard lifter, long session, TaskKey task) {
        return sets.findNamed(lifter.clubId(), lifter.id(), session, task.toString()).stream()
                .map(NamedSet::of)
                .findFirst();
    }

    /** A lifter's sets of these names. */
    public List<NamedSet> named(LifterCard lifter, Collection<UUID> tokens) {
        return named(lifter.clubId(), lifter.id(), tokens);
    }

    /** The same of whoever that is. */
    public List<NamedSet> named(long clubId, long lifterId, Collection<UUID> tokens) {
        return tokens.isEmpty()
                ? List.of()
                : sets.findNamed(clubId, lifterId, tokens).stream()
                        .map(NamedSet::of)
                        .toList();
    }
}
