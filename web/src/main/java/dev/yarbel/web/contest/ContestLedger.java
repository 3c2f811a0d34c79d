package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.Person;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Writes what is changed about contests into the ledger. */
@Component
class ContestLedger {

    private final ChangeLog changes;

    ContestLedger(ChangeLog changes) {
        this.changes = changes;
    }

    /**
     * @param lifter whom of the club it concerns
     * @param what the code of what was done
     */
    void write(Person who, Optional<Long> lifter, String contest, String what, String before, String after) {
        changes.write(who, lifter, ChangeKind.CONTEST, List.of(what, contest), Optional.empty(), before, after);
    }

    /** Writes what became of an attempt, where it is another thing than what stood there; nothing became of it where it was taken back. */
    void attempt(
            Person who, ContestEntity contest, EntryEntity entry, AttemptEntity before, Optional<Outcome> outcome) {
        if (before.outcome().equals(outcome)) {
            return;
        }
        changes.write(
                who,
                entry.lifterId(),
                ChangeKind.CONTEST,
                List.of(
                        "attempt",
                        contest.name() + ", " + entry.name(),
                        before.lift().key(),
                        String.valueOf(before.number())),
                Optional.empty(),
                before.outcome().map(became -> attempt(before, became)).orElse(""),
                outcome.map(became -> attempt(before, became)).orElse(""));
    }

    private static String attempt(AttemptEntity attempt, Outcome outcome) {
        return attempt.load().format(MassUnit.KG, 2) + "/" + outcome;
    }

    /** Writes what is set of an entry otherwise than it was, each for itself. */
    void write(Person who, ContestEntity contest, EntryEntity entry, EntryEntity.Set before) {
        EntryEntity.Set after = entry.set();
        changed(who, contest, entry, "way", before.way().name(), after.way().name());
        changed(
                who,
                contest,
                entry,
                "priority",
                before.priority().name(),
                after.priority().name());
        changed(who, contest, entry, "asked", kg(before.asked()), kg(after.asked()));
        changed(who, contest, entry, "expected", kg(before.expected()), kg(after.expected()));
        changed(who, contest, entry, "body", kg(before.bodyMass()), kg(after.bodyMass()));
        changed(who, contest, entry, "class", kg(before.classLimit()), kg(after.classLimit()));
        changed(who, contest, entry, "lot", figure(before.lot()), figure(after.lot()));
        changed(who, contest, entry, "flight", String.valueOf(before.flight()), String.valueOf(after.flight()));
    }

    private void changed(
            Person who, ContestEntity contest, EntryEntity entry, String what, String before, String after) {
        if (!Objects.equals(before, after)) {
            write(who, entry.lifterId(), contest.name() + ", " + entry.name(), what, before, after);
        }
    }

    private static String kg(Optional<Mass> mass) {
        return mass.map(one -> one.format(MassUnit.KG, 1)).orElse("");
    }

    private static String figure(Optional<Integer> figure) {
        return figure.map(String::valueOf).orElse("");
    }
}
