package dev.yarbel.web.contest;

import dev.yarbel.core.adjust.ContestSeen;
import dev.yarbel.web.page.NotFoundException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What other rooms ask of a lifter's contests. */
@Service
@Transactional(readOnly = true)
public class LifterContests {

    private final ContestRepository contests;
    private final EntryRepository entries;

    LifterContests(ContestRepository contests, EntryRepository entries) {
        this.contests = contests;
        this.entries = entries;
    }

    /**
     * A contest as a lifter's plan should see it.
     *
     * @param was the day that the plan was written for
     * @throws NotFoundException when the club has none of this number
     */
    public ContestSeen seen(long clubId, long lifterId, long contestId, Optional<LocalDate> was, LocalDate today) {
        List<Object[]> rows = entries.all(clubId, lifterId);
        List<ContestEntity> entered =
                rows.stream().map(row -> (ContestEntity) row[1]).toList();
        Optional<ContestEntity> still =
                entered.stream().filter(contest -> contest.id() == contestId).findFirst();
        ContestEntity contest =
                still.or(() -> contests.findByClubIdAndId(clubId, contestId)).orElseThrow(NotFoundException::new);
        Optional<ContestSeen.Other> next = rows.stream()
                .filter(row -> !((EntryEntity) row[0]).isTrainedThrough())
                .map(row -> (ContestEntity) row[1])
                .filter(other -> other.id() != contestId && !other.isCancelled())
                .filter(other -> other.on().filter(today::isBefore).isPresent())
                .findFirst()
                .map(other -> new ContestSeen.Other(other.name(), other.on().orElseThrow()));
        return new ContestSeen(
                contest.name(),
                was,
                contest.on(),
                still.filter(held -> !held.isCancelled()).isEmpty(),
                next);
    }

    /**
     * A contest as it stands in a calendar.
     *
     * @param until the last day of a window in which it will be; empty where the day is known
     * @param weighIn by the club's clock, as {@code begins}
     * @param lifters who is entered, of those asked for
     */
    public record Dated(
            long id,
            String name,
            Optional<String> place,
            LocalDate on,
            Optional<LocalDate> until,
            Optional<LocalTime> weighIn,
            Optional<LocalTime> begins,
            boolean cancelled,
            List<Long> lifters) {}

    /** The contests of lifters from a day on, by day. One that has no day yet is not among them. */
    public List<Dated> dated(long clubId, Collection<Long> lifters, LocalDate from) {
        if (lifters.isEmpty()) {
            return List.of();
        }
        Map<ContestEntity, List<Long>> entered = new LinkedHashMap<>();
        entries.dated(clubId, lifters, from)
                .forEach(row -> entered.computeIfAbsent((ContestEntity) row[1], contest -> new ArrayList<>())
                        .add((Long) row[0]));
        return entered.entrySet().stream()
                .map(one -> dated(one.getKey(), one.getValue()))
                .toList();
    }

    private static Dated dated(ContestEntity contest, List<Long> lifters) {
        return new Dated(
                contest.id(),
                contest.name(),
                contest.place(),
                contest.on().orElseThrow(),
                contest.until(),
                contest.weighIn(),
                contest.begins(),
                contest.isCancelled(),
                lifters);
    }
}
