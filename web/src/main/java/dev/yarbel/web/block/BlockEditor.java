package dev.yarbel.web.block;

import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.Edited;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Where blocks are changed: one after the other, each edit in the ledger with the one that leads back.
 *
 * <p>Undo takes back one's own latest edit of the block that was not taken back yet, of the last day; redo brings back what
 * was undone last. Neither overwrites what somebody else wrote there meanwhile, nor what has been lifted.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class BlockEditor {

    /** How far undo goes back. */
    private static final Duration SESSION_OF_WORK = Duration.ofDays(1);

    private static final int MOST_EDITS = 500;

    private final BlockStore store;
    private final Ledger ledger;
    private final EditJson json;
    private final Clock clock;

    BlockEditor(BlockStore store, Ledger ledger, EditJson json, Clock clock) {
        this.store = store;
        this.ledger = ledger;
        this.json = json;
        this.clock = clock;
    }

    /** Takes hold of a block; whoever comes later waits and then sees what was changed. */
    HeldBlock hold(LifterBlock read) {
        return new HeldBlock(read, store.hold(read.lifter(), read.blockId()), store.newDays(), store.newSlots());
    }

    /**
     * Makes an edit and keeps what became of the block.
     *
     * @return the number of the ledger's entry; empty where nothing is different: then nothing is written
     * @throws BlockRefused when it does not go, or stands behind a closed gate
     */
    Optional<Long> make(Person coach, HeldBlock held, BlockEdit edit, EditRecord record) {
        return make(coach, held, edit, record, Optional.empty());
    }

    private Optional<Long> make(
            Person coach, HeldBlock held, BlockEdit edit, EditRecord record, Optional<Long> undoes) {
        Edited edited = held.tried(edit);
        if (edited.block().equals(held.block())) {
            return Optional.empty();
        }
        checkGates(held, edited);
        store.save(held.read().lifter(), held.rows(), edited.block());
        return Optional.of(ledger.write(
                coach,
                held.read().lifter(),
                record.kind(),
                record.subject(),
                record.why(),
                record.before(),
                record.after(),
                new Ledger.Trace(held.rows().id(), json.write(new EditJson.Kept(edit, edited.back())), undoes)));
    }

    /** No dose comes into a slot, or comes more often than before, behind a gate that is closed. */
    private static void checkGates(HeldBlock held, Edited edited) {
        edited.block().slots().forEach(slot -> {
            List<Optional<Dose>> before = new ArrayList<>(
                    held.block().slot(slot.id()).map(Slot::doses).orElse(List.of()));
            slot.doses().stream()
                    .filter(dose -> !before.remove(dose))
                    .flatMap(Optional::stream)
                    .filter(dose -> !held.closed(slot, dose).isEmpty())
                    .findFirst()
                    .ifPresent(dose -> {
                        throw new BlockRefused("gated", dose.shorthand());
                    });
        });
    }

    // ---- undo

    /** Takes back the latest edit of one's own; its subject in the ledger, or empty when there is none to take back. */
    Optional<List<String>> undo(Person coach, HeldBlock held) {
        List<Ledger.Traced> written = written(held, clock.instant().minus(SESSION_OF_WORK));
        return takeBack(coach, held, written, piles(coach, written).undo(), "undone");
    }

    /** Brings back what was undone last; its subject, or empty when nothing was. */
    Optional<List<String>> redo(Person coach, HeldBlock held) {
        List<Ledger.Traced> written = written(held, clock.instant().minus(SESSION_OF_WORK));
        return takeBack(coach, held, written, piles(coach, written).redo(), "redone");
    }

    /** The edits of a block, newest first. */
    private List<Ledger.Traced> written(HeldBlock held, Instant since) {
        return ledger.traced(held.read().lifter(), held.rows().id(), since, MOST_EDITS);
    }

    private record Piles(Deque<Ledger.Traced> undo, Deque<Ledger.Traced> redo) {}

    /** One's own edits on two piles: those that can be undone and those that can be redone. */
    private Piles piles(Person coach, List<Ledger.Traced> newestFirst) {
        Deque<Ledger.Traced> undo = new ArrayDeque<>();
        Deque<Ledger.Traced> redo = new ArrayDeque<>();
        for (Iterator<Ledger.Traced> oldestFirst = new ArrayDeque<>(newestFirst).descendingIterator();
                oldestFirst.hasNext(); ) {
            Ledger.Traced edit = oldestFirst.next();
            // a call is taken back where it was answered
            boolean desk = !ChangeKind.of(Optional.of(ChangeKind.About.CALLS))
                    .contains(edit.change().kind());
            if (!desk
                    || edit.by() != coach.accountId()
                    || json.read(edit.payload()).isEmpty()) {
                continue;
            }
            if (edit.undoes().isEmpty()) {
                undo.push(edit);
                redo.clear();
            } else if (!undo.isEmpty() && undo.peek().id() == edit.undoes().get()) {
                undo.pop();
                redo.push(edit);
            } else if (!redo.isEmpty() && redo.peek().id() == edit.undoes().get()) {
                redo.pop();
                undo.push(edit);
            }
        }
        return new Piles(undo, redo);
    }

    private Optional<List<String>> takeBack(
            Person coach, HeldBlock held, List<Ledger.Traced> written, Deque<Ledger.Traced> pile, String said) {
        if (pile.isEmpty()) {
            return Optional.empty();
        }
        Ledger.Traced last = pile.peek();
        BlockEdit back = json.read(last.payload()).orElseThrow().back();
        checkWeeksStand(coach, written, last);
        List<String> subject =
                last.change().kind() == ChangeKind.BLOCK ? last.change().subject() : List.of("cells", "1");
        List<String> told = new ArrayList<>(subject);
        told.set(0, subject.get(0).replaceAll("-(undone|redone)$", "") + "-" + said);
        EditRecord record = new EditRecord(
                ChangeKind.BLOCK, told, last.change().after(), last.change().before());
        try {
            make(coach, held, back, record, Optional.of(last.id()));
        } catch (BlockRefused refused) {
            throw refused.code().equals("overtaken") || refused.code().equals("gone")
                    ? new BlockRefused("overtaken", whoChanged(written, edit -> true))
                    : refused;
        }
        return Optional.of(told);
    }

    /**
     * Takes back one entry, whoever made it and whatever was done elsewhere in the block since.
     *
     * @return the ledger's entry of that; empty where the entry changed nothing of this block
     * @throws BlockRefused when somebody wrote something else there meanwhile, or it was lifted
     */
    Optional<Long> takeBack(Person coach, HeldBlock held, long entry, EditRecord record) {
        List<Ledger.Traced> written = written(held, Instant.EPOCH);
        return written.stream()
                .filter(traced -> traced.id() == entry)
                .findFirst()
                .flatMap(traced -> json.read(traced.payload()).flatMap(kept -> {
                    checkWeeksStand(coach, written, traced);
                    return make(coach, held, kept.back(), record, Optional.of(entry));
                }));
    }

    /** Weeks are counted: where somebody else has moved them since, a week's number means another week. */
    private void checkWeeksStand(Person coach, List<Ledger.Traced> written, Ledger.Traced last) {
        List<Ledger.Traced> since = written.stream()
                .filter(later -> later.id() > last.id() && later.by() != coach.accountId())
                .toList();
        String who = whoChanged(since, BlockEdit::movesWeeks);
        if (!who.isEmpty()) {
            throw new BlockRefused("overtaken", who);
        }
    }

    // ---- who

    /** Who changed a dose last; empty where nobody is known. */
    String whoChanged(HeldBlock held, SlotId slot, int week) {
        return whoChanged(written(held, Instant.EPOCH), edit -> edit.touches(slot, week));
    }

    /** Who changed weeks, days or slots last; empty where nobody is known. */
    String whoChanged(HeldBlock held) {
        return whoChanged(written(held, Instant.EPOCH), edit -> !(edit instanceof SetDoses));
    }

    private String whoChanged(List<Ledger.Traced> newestFirst, Predicate<BlockEdit> which) {
        return newestFirst.stream()
                .filter(edit -> json.read(edit.payload())
                        .filter(kept -> which.test(kept.edit()))
                        .isPresent())
                .findFirst()
                .map(Ledger.Traced::who)
                .orElse("");
    }
}
