package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The change ledger, the only one there is: every decision is written here in the transaction that makes it. */
@Service
@Transactional
public class Ledger implements ChangeLog {

    private final ChangeRepository changes;
    private final Clock clock;

    Ledger(ChangeRepository changes, Clock clock) {
        this.changes = changes;
        this.clock = clock;
    }

    /** Writes an entry, within the caller's transaction. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(
            Person who,
            LifterCard lifter,
            ChangeKind kind,
            List<String> subject,
            Optional<String> why,
            String before,
            String after) {
        write(who, Optional.of(lifter.id()), kind, subject, why, before, after);
    }

    /**
     * What undoing a change of a block takes.
     *
     * @param payload known to the room that wrote it
     * @param undoes the entry this one takes back
     */
    public record Trace(long blockId, String payload, Optional<Long> undoes) {}

    /** An entry with its trace. */
    public record Traced(long id, long by, String who, Change change, String payload, Optional<Long> undoes) {}

    /**
     * Writes an entry that can be undone, within the caller's transaction.
     *
     * @return the number of the entry
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public long write(
            Person who,
            LifterCard lifter,
            ChangeKind kind,
            List<String> subject,
            Optional<String> why,
            String before,
            String after,
            Trace trace) {
        Change change = new Change(clock.instant(), who.personName(), kind, subject, why, before, after);
        return changes.save(new ChangeEntry(
                                who.clubId(), lifter.id(), change.at(), who.accountId(), who.personName(), change)
                        .traced(trace))
                .id();
    }

    /**
     * A decision about a lift.
     *
     * @param stands whether none about its working max was made since, nor what it wrote into a block undone
     */
    public record Decision(Change change, boolean stands) {}

    /** Decisions by the numbers of their entries. */
    @Transactional(readOnly = true)
    public Map<Long, Decision> decisions(long clubId, Collection<Long> entries) {
        if (entries.isEmpty()) {
            return Map.of();
        }
        Set<Long> overtaken = Set.copyOf(changes.decidedSince(clubId, entries));
        return changes.findByClubIdAndIdIn(clubId, entries).stream()
                .collect(Collectors.toMap(
                        ChangeEntry::id, entry -> new Decision(entry.change(), !overtaken.contains(entry.id()))));
    }

    /**
     * Writes a decision, within the caller's transaction.
     *
     * @param moved what it moved, exactly, so that it can be taken back; empty when it moved nothing
     * @return the number of the entry
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public long decide(
            Person who,
            LifterCard lifter,
            ChangeKind kind,
            Lift lift,
            Optional<String> why,
            String before,
            String after,
            Optional<MovedMax> moved) {
        Change change = new Change(clock.instant(), who.personName(), kind, List.of(lift.key()), why, before, after);
        return changes.save(new ChangeEntry(
                                who.clubId(), lifter.id(), change.at(), who.accountId(), who.personName(), change)
                        .undoneBy(moved.map(MovedMax::toString).orElse(null)))
                .id();
    }

    /**
     * What a decision did.
     *
     * @param moved the working max it moved
     * @param block the block it wrote something into
     */
    public record Done(Optional<MovedMax> moved, Optional<Long> block) {}

    /** What a decision did; neither where it left all as it was. */
    @Transactional(readOnly = true)
    public Done done(LifterCard lifter, long entry) {
        Optional<ChangeEntry> written = changes.findByClubIdAndId(lifter.clubId(), entry);
        Optional<Long> block = written.flatMap(ChangeEntry::blockId);
        return new Done(
                written.filter(e -> block.isEmpty())
                        .flatMap(ChangeEntry::payload)
                        .map(MovedMax::parse),
                block);
    }

    /** Whether a later decision stands on one. */
    @Transactional(readOnly = true)
    public boolean isOvertaken(LifterCard lifter, long entry) {
        return !changes.decidedSince(lifter.clubId(), List.of(entry)).isEmpty();
    }

    /** A working max as it was and as it became, exactly. */
    public record MovedMax(Mass before, Mass after) {

        static MovedMax parse(String text) {
            String[] parts = text.split(">");
            return new MovedMax(kg(parts[0]), kg(parts[1]));
        }

        private static Mass kg(String text) {
            return Mass.of(new BigDecimal(text), MassUnit.KG);
        }

        @Override
        public String toString() {
            return before.in(MassUnit.KG).toPlainString() + ">"
                    + after.in(MassUnit.KG).toPlainString();
        }
    }

    /**
     * How a lift's working max moved, oldest first, as it was written; what cannot be read as a load moved nothing.
     *
     * @param before empty where there was none
     */
    @Transactional(readOnly = true)
    public List<WorkingMaxStep> workingMaxSteps(LifterCard lifter, Lift lift) {
        return changes.findDecisionsOnWorkingMax(lifter.clubId(), lifter.id(), lift.key()).stream()
                .map(ChangeEntry::change)
                .flatMap(change -> written(change.after(), lifter)
                        .map(after -> new WorkingMaxStep(change.at(), written(change.before(), lifter), after))
                        .stream())
                .toList();
    }

    private static Optional<Mass> written(String load, LifterCard lifter) {
        try {
            return Optional.of(Mass.parse(load.replace('\u00a0', ' '), lifter.unit()));
        } catch (IllegalArgumentException | ArithmeticException noLoad) {
            return Optional.empty();
        }
    }

    /** A step of a working max. */
    public record WorkingMaxStep(Instant at, Optional<Mass> before, Mass after) {}

    /** The latest changes of a block that can be undone, newest first. */
    @Transactional(readOnly = true)
    public List<Traced> traced(LifterCard lifter, long blockId, Instant since, int most) {
        return changes
                .findByClubIdAndLifterIdAndBlockIdAndMadeAtGreaterThanEqualOrderByIdDesc(
                        lifter.clubId(), lifter.id(), blockId, since, Limit.of(most))
                .stream()
                .map(ChangeEntry::traced)
                .toList();
    }

    @Override
    @Transactional(propagation = Propagation.MANDATORY)
    public void write(
            Person who,
            Optional<Long> lifterId,
            ChangeKind kind,
            List<String> subject,
            Optional<String> why,
            String before,
            String after) {
        Change change = new Change(clock.instant(), who.personName(), kind, subject, why, before, after);
        changes.save(new ChangeEntry(
                who.clubId(), lifterId.orElse(null), change.at(), who.accountId(), who.personName(), change));
    }

    /** The latest entries about a club's own affairs, newest first. */
    @Transactional(readOnly = true)
    public List<Change> latestOfClub(long clubId, int most) {
        return changes.findByClubIdAndLifterIdIsNullOrderByIdDesc(clubId, Limit.of(most)).stream()
                .map(ChangeEntry::change)
                .toList();
    }

    /** The latest entries of a kind about a lifter, newest first. */
    @Transactional(readOnly = true)
    public List<Change> latest(LifterCard lifter, ChangeKind kind, int most) {
        return changes
                .findByClubIdAndLifterIdAndKindOrderByIdDesc(lifter.clubId(), lifter.id(), kind, Limit.of(most))
                .stream()
                .map(ChangeEntry::change)
                .toList();
    }

    /** The latest entries about a lifter, newest first. */
    @Transactional(readOnly = true)
    public List<Change> latest(LifterCard lifter, int most) {
        return changes.findByClubIdAndLifterIdOrderByIdDesc(lifter.clubId(), lifter.id(), Limit.of(most)).stream()
                .map(ChangeEntry::change)
                .toList();
    }

    /**
     * Some entries about a lifter, newest first.
     *
     * @param older the number of the last of them, if there are more; empty where these are the oldest
     */
    public record Entries(List<Change> changes, Optional<Long> older) {}

    /**
     * Entries of some kinds about a lifter.
     *
     * @param before only those with a smaller number; all where it is empty
     */
    @Transactional(readOnly = true)
    public Entries entries(LifterCard lifter, Collection<ChangeKind> kinds, Optional<Long> before, int most) {
        List<ChangeEntry> found = changes.findByClubIdAndLifterIdAndKindInAndIdLessThanOrderByIdDesc(
                lifter.clubId(), lifter.id(), kinds, before.orElse(Long.MAX_VALUE), Limit.of(most + 1));
        List<ChangeEntry> shown = found.subList(0, Math.min(most, found.size()));
        return new Entries(
                shown.stream().map(ChangeEntry::change).toList(),
                found.size() > most ? Optional.of(shown.get(most - 1).id()) : Optional.empty());
    }
}
