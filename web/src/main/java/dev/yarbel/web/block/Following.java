package dev.yarbel.web.block;

import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.EditRefused;
import dev.yarbel.core.block.Twins;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Edits of a block that follow to the blocks given from it. Each of them follows by itself and has the edit in its own
 * ledger; where an edit does not go, the block stays as it is and its lifter is named.
 */
@Component
class Following {

    private final BlockRepository blocks;
    private final BlockEditor editor;
    private final Roster roster;
    private final TransactionOperations transactions;

    Following(BlockRepository blocks, BlockEditor editor, Roster roster, TransactionOperations transactions) {
        this.blocks = blocks;
        this.editor = editor;
        this.roster = roster;
        this.transactions = transactions;
    }

    /**
     * Has an edit follow.
     *
     * @param before the block before the edit
     * @param whole whether it goes as a whole or not at all; else as much of it as overwrites nothing
     * @param open reads a block given from this one, of a lifter and by its number
     */
    Followed follow(
            Person coach,
            LifterBlock before,
            BlockEdit edit,
            boolean whole,
            BiFunction<LifterCard, Long, LifterBlock> open) {
        int followed = 0;
        List<String> not = new ArrayList<>();
        EditRecord record = EditRecord.of("followed", before.lifter().name());
        for (BlockEntity copy : blocks.findByClubIdAndGivenFrom(before.lifter().clubId(), before.blockId())) {
            Optional<LifterCard> lifter = ownLifter(coach, copy.lifterId());
            if (lifter.isEmpty()) {
                continue;
            }
            LifterBlock theirs = transactions.execute(status -> open.apply(lifter.get(), copy.id()));
            if (make(coach, theirs, record, held -> theirs(before, edit, whole, held))) {
                followed++;
            } else {
                not.add(lifter.get().name());
            }
        }
        return new Followed(followed, not);
    }

    private static BlockEdit theirs(LifterBlock before, BlockEdit edit, boolean whole, HeldBlock held) {
        Twins twins = new Twins(before.block(), held.block(), held::newDay, held::newSlot);
        return whole
                ? edit.on(twins, held.read())
                : edit.whereAlike(twins, held.read(), change -> change.to()
                        .filter(dose -> !held.closed(
                                        held.block().slot(change.slot()).orElseThrow(), dose)
                                .isEmpty())
                        .isEmpty());
    }

    private boolean make(
            Person coach, LifterBlock theirs, EditRecord record, Function<HeldBlock, BlockEdit> theirEdit) {
        try {
            return Boolean.TRUE.equals(transactions.execute(status -> {
                HeldBlock held = editor.hold(theirs);
                return editor.make(coach, held, theirEdit.apply(held), record).isPresent();
            }));
        } catch (BlockRefused | EditRefused doesNotGoThere) {
            return false;
        }
    }

    private Optional<LifterCard> ownLifter(Person coach, long id) {
        try {
            return Optional.of(roster.lifter(coach, id));
        } catch (NotFoundException notTheirs) {
            return Optional.empty();
        }
    }
}
