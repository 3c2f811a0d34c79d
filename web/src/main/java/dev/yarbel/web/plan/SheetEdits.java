package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.Fill;
import dev.yarbel.core.shape.FillRefused;
import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.block.HeldBlock;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a coach does on the sheet, made into edits of the block. */
@Service
class SheetEdits {

    private final Blocks blocks;
    private final Words words;

    SheetEdits(Blocks blocks, Words words) {
        this.blocks = blocks;
        this.words = words;
    }

    /** What a cell held when it was sent to the page, and what is typed in it now. */
    record TypedCell(String was, String text) {}

    /**
     * What became of typed doses.
     *
     * @param edit what was kept of them
     * @param troubles what kept text from being kept, by cell
     */
    record Saved(BlockEdit edit, Map<CellKey, CellView.Trouble> troubles) {}

    /**
     * Keeps what was typed into a day's cells. What cannot be read is left as it was kept, and so is what somebody else
     * wrote meanwhile, what has been lifted, and what stands behind a closed gate; the rest is kept, and the ledger says so.
     */
    @Transactional
    public Saved save(Person coach, LifterBlock read, Lens lens, Map<CellKey, TypedCell> typed) {
        return save(coach, read, slot -> lens.shows(read.block(), slot), typed);
    }

    /** The same for cells of any day. */
    @Transactional
    public Saved save(Person coach, LifterBlock read, Map<CellKey, TypedCell> typed) {
        return save(coach, read, slot -> true, typed);
    }

    private Saved save(Person coach, LifterBlock read, Predicate<SlotId> shown, Map<CellKey, TypedCell> typed) {
        // whoever changes the same block at the same moment waits here, and then sees what was kept
        HeldBlock held = blocks.hold(read);
        Map<CellKey, CellView.Trouble> troubles = new HashMap<>();
        List<SetDoses.Change> changes = new ArrayList<>();
        typed.forEach((key, sent) -> {
            // the page has doses with the reader's decimal sign; they are compared as they are kept
            TypedCell cell = new TypedCell(text(TypedDoses.read(read, sent.was())), sent.text());
            Optional<Slot> slot = held.block().slot(key.slot());
            if (!shown.test(key.slot())
                    || slot.isEmpty()
                    || key.week() >= held.block().weeks()) {
                return;
            }
            Optional<Dose> dose = TypedDoses.read(read, cell.text());
            Optional<CellView.Trouble> trouble = TypedDoses.trouble(
                            read, slot.get().lift(), cell.text())
                    .or(() -> inTheWay(held, slot.get(), key.week(), cell, dose));
            if (trouble.isPresent()) {
                troubles.put(key, trouble.get());
            } else if (isNew(slot.get(), key.week(), cell, dose)) {
                changes.add(
                        new SetDoses.Change(key.slot(), key.week(), slot.get().dose(key.week()), dose));
            }
        });
        if (changes.isEmpty()) {
            return new Saved(BlockEdit.NOTHING, troubles);
        }
        BlockEdit edit = withEndedDeloads(held, new SetDoses(changes));
        blocks.make(coach, held, edit, record(held.block(), new SetDoses(changes).changes()));
        return new Saved(edit, troubles);
    }

    /** Whether a typed dose is another than the page was sent, and than what stands there. */
    private static boolean isNew(Slot slot, int week, TypedCell cell, Optional<Dose> dose) {
        String text = text(dose);
        return !text.equals(text(slot.dose(week))) && !text.equals(cell.was());
    }

    private static String text(Optional<Dose> dose) {
        return dose.map(Dose::shorthand).orElse("");
    }

    private Optional<CellView.Trouble> inTheWay(
            HeldBlock held, Slot slot, int week, TypedCell cell, Optional<Dose> dose) {
        if (!isNew(slot, week, cell, dose)) {
            return Optional.empty();
        }
        TrainingDay day = held.block().dayOf(slot.id()).orElseThrow();
        if (held.read().isFinished(day.id(), week)) {
            return Optional.of(new CellView.Lifted());
        }
        String now = text(slot.dose(week));
        if (!cell.was().equals(now)) {
            String who = blocks.whoChanged(held, slot.id(), week);
            return Optional.of(
                    new CellView.Overtaken(who.isEmpty() ? words.say("plan.somebody") : who, words.dose(now)));
        }
        return dose.flatMap(asked -> held.closed(slot, asked).stream()
                .findFirst()
                .map(gate ->
                        new CellView.Gated(gate, gate.missing(asked, held.read().knownAtGate(slot.lift())))));
    }

    /** A deload that was written over ends once none of its doses is lighter than those of the week trained before. */
    private static BlockEdit withEndedDeloads(HeldBlock held, SetDoses edit) {
        Set<Integer> weeks = edit.changes().stream().map(SetDoses.Change::week).collect(Collectors.toSet());
        Block written = held.tried(edit).block();
        return BlockEdit.between(held.block(), Deload.ended(written, weeks));
    }

    private static EditRecord record(Block block, List<SetDoses.Change> changes) {
        List<String> days = changes.stream()
                .map(change -> block.dayOf(change.slot()).orElseThrow().name())
                .distinct()
                .toList();
        if (changes.size() > 1) {
            return EditRecord.of("cells", changes.size(), String.join(", ", days));
        }
        SetDoses.Change change = changes.get(0);
        Slot slot = block.slot(change.slot()).orElseThrow();
        return new EditRecord(
                ChangeKind.DOSE,
                List.of(slot.lift().key(), days.get(0), slot.letter(), String.valueOf(change.week() + 1)),
                text(change.from()),
                text(change.to()));
    }

    // ---- filling

    /**
     * What was filled.
     *
     * @param told what happened, and what was done otherwise than the rule alone says, in words
     */
    record Filled(BlockEdit edit, List<String> told) {}

    /**
     * Fills the weeks to the right of a week, in some slots, from the dose each has there. Weeks that were lifted are left.
     *
     * @throws BlockRefused when a dose does not go with the rule
     */
    @Transactional
    public Filled fill(Person coach, LifterBlock read, int day, FillForm.Filling form) {
        HeldBlock held = blocks.hold(read);
        Block block = held.block();
        TrainingDay sent = read.block().days().get(day);
        Set<String> notes = new LinkedHashSet<>();
        Set<CellKey> filled = new HashSet<>();
        Block after = block.withSlots(slot -> {
            if (sent.indexOf(slot.id()) < 0
                    || !form.slots().contains(slot.id().number())
                    || slot.dose(form.from()).isEmpty()) {
                return slot;
            }
            Fill fill = filled(held, slot, form);
            fill.notes().forEach(note -> notes.add(words.say("fill.note." + note, words.lift(slot.lift()))));
            List<Optional<Dose>> doses = new ArrayList<>(slot.doses());
            for (int i = 0; i < fill.doses().size(); i++) {
                int week = form.from() + 1 + i;
                if (!read.isFinished(sent.id(), week)) {
                    doses.set(week, fill.doses().get(i));
                    filled.add(new CellKey(slot.id(), week));
                }
            }
            return slot.with(doses);
        });
        if (filled.isEmpty()) {
            throw new BlockRefused("nothing-to-fill");
        }
        if (form.rule().deload().isPresent() && form.from() + 1 < block.weeks()) {
            List<BlockWeek> shape = new ArrayList<>(block.shape());
            shape.set(form.from() + 1, shape.get(form.from() + 1).asDeload());
            after = after.with(after.days(), shape);
        }
        BlockEdit edit = BlockEdit.between(block, after);
        EditRecord record = EditRecord.of("fill", filled.size(), sent.name());
        blocks.make(coach, held, edit, record);
        List<String> told = new ArrayList<>(List.of(said(record) + "."));
        told.addAll(notes);
        return new Filled(edit, told);
    }

    private Fill filled(HeldBlock held, Slot slot, FillForm.Filling form) {
        Block block = held.block();
        Dose first = slot.dose(form.from()).orElseThrow();
        List<Boolean> deloads = block.shape().subList(form.from() + 1, form.to() + 1).stream()
                .map(BlockWeek::deload)
                .toList();
        Fill.Row row = new Fill.Row(
                slot.doses().subList(form.from() + 1, form.to() + 1), deloads, block.weeks() - 1 - form.to());
        try {
            return Fill.of(form.rule(), first, row, held.read().resolver().numbers(slot.lift()));
        } catch (FillRefused refused) {
            List<Object> facts = new ArrayList<>(List.of(words.dose(first.shorthand())));
            for (Object fact : refused.facts()) {
                facts.add(fact instanceof Percent percent ? words.percent(percent) : ((Reference) fact).word());
            }
            throw new BlockRefused("fill." + refused.why(), facts.toArray());
        }
    }

    // ---- weeks, days and slots

    /**
     * What was changed of weeks, days, slots or the block itself.
     *
     * @param told what happened, in words
     */
    record Changed(BlockEdit edit, String told) {}

    /** Changes weeks, days, slots or the block itself. */
    @Transactional
    public Changed change(Person coach, LifterBlock read, ChangeForm form) {
        HeldBlock held = blocks.hold(read);
        if (!held.stamp().equals(form.stamp())) {
            throw new BlockRefused("changed-meanwhile", blocks.whoChanged(held));
        }
        BlockForms.Asked asked = BlockForms.read(held, form);
        boolean different = blocks.make(coach, held, asked.edit(), asked.record());
        return new Changed(asked.edit(), different ? said(asked.record()) + "." : words.say("plan.nothing-changed"));
    }

    /** What an edit did, in words. */
    private String said(EditRecord record) {
        String text = words.edit(record.subject());
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** Takes back or brings back one's own latest edit; what it was in words, or empty when there is none. */
    Optional<String> undo(Person coach, LifterBlock read, boolean redo) {
        return (redo ? blocks.redo(coach, read) : blocks.undo(coach, read)).map(words::edit);
    }
}
