package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.shape.Fill;
import dev.yarbel.core.shape.FillRefused;
import dev.yarbel.core.shape.FillRule;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changes of a block's doses: what is typed into cells or filled into them; and taking changes back. */
@Service
class DoseChanges {

    private final BlockDesk desk;
    private final Words words;

    DoseChanges(BlockDesk desk, Words words) {
        this.desk = desk;
        this.words = words;
    }

    /** What a cell held when it was sent to the page, and what is typed in it now. */
    record Typed(String was, String text) {}

    /**
     * Keeps what was typed into a day's cells. What cannot be read is left as it was kept, and so is what somebody else
     * wrote meanwhile, what has been lifted, and what stands behind a closed gate; the rest is kept, and the ledger says so.
     *
     * @return what kept text from being kept, by cell
     */
    @Transactional
    public Map<CellKey, CellView.Trouble> save(Person coach, LifterPlan plan, int day, Map<CellKey, Typed> typed) {
        // whoever changes the same block at the same moment waits here, and then sees what was kept
        BlockDesk.Open open = desk.open(plan);
        Map<CellKey, CellView.Trouble> troubles = new HashMap<>();
        Map<CellKey, String> wanted =
                new TreeMap<>(Comparator.comparingInt(CellKey::week).thenComparingLong(CellKey::slotId));
        typed.forEach((key, entry) -> {
            int slot = plan.slotIds().get(day).indexOf(key.slotId());
            if (slot < 0 || key.week() < 0 || key.week() >= open.draft.weeks.size()) {
                return;
            }
            Optional<CellView.Trouble> unreadable =
                    TypedDoses.trouble(plan, open.draft.slots.get(key.slotId()).lift(), entry.text());
            if (unreadable.isPresent()) {
                troubles.put(key, unreadable.get());
                return;
            }
            Optional<Dose> dose = TypedDoses.read(plan, entry.text());
            String text = dose.map(Dose::shorthand).orElse("");
            String now = open.draft.cell(key);
            if (text.equals(now) || text.equals(entry.was())) {
                return;
            }
            if (open.isHistory(key)) {
                troubles.put(key, new CellView.Lifted());
            } else if (!entry.was().equals(now)) {
                String who = desk.whoChanged(open, "cell." + key);
                troubles.put(key, new CellView.Overtaken(who.isEmpty() ? words.say("plan.somebody") : who, now));
            } else {
                dose.flatMap(d -> gated(plan, open, key, d))
                        .ifPresentOrElse(trouble -> troubles.put(key, trouble), () -> wanted.put(key, text));
            }
        });
        write(coach, open, day, wanted);
        return troubles;
    }

    private static Optional<CellView.Trouble> gated(LifterPlan plan, BlockDesk.Open open, CellKey key, Dose dose) {
        BlockDraft.Slot slot = open.draft.slots.get(key.slotId());
        return open.closed(key, dose).stream()
                .findFirst()
                .map(gate -> new CellView.Gated(gate, gate.missing(dose, Gates.known(plan, slot.lift()))));
    }

    private void write(Person coach, BlockDesk.Open open, int day, Map<CellKey, String> wanted) {
        if (wanted.isEmpty()) {
            return;
        }
        CellKey first = wanted.keySet().iterator().next();
        String before = open.draft.cell(first);
        wanted.forEach(open.draft::cell);
        open.draft.endDeloads(wanted.keySet());
        BlockDesk.Told told = wanted.size() == 1
                ? new BlockDesk.Told(
                        ChangeKind.DOSE, subject(open, day, first), before, wanted.get(first), Optional.empty())
                : BlockDesk.Told.of(
                        "cells",
                        wanted.size(),
                        open.plan().block().days().get(day).name());
        desk.keep(coach, open, told);
    }

    /** A cell as the ledger names it: the lift, the day, the slot and the week. */
    private static List<String> subject(BlockDesk.Open open, int day, CellKey key) {
        BlockDraft.Slot slot = open.draft.slots.get(key.slotId());
        return List.of(
                slot.lift().key(),
                open.plan().block().days().get(day).name(),
                slot.letter(),
                String.valueOf(key.week() + 1));
    }

    /**
     * What was filled.
     *
     * @param notes what was done otherwise than the rule alone says, in words
     */
    record Filled(Set<CellKey> cells, List<String> notes) {}

    /**
     * Fills the weeks to the right of a week, in some slots, from the dose each has there. Weeks that were lifted are left.
     *
     * @param from the week to fill from, from 0
     * @param to the last week to be filled
     * @throws BlockDesk.Refused when a dose does not go with the rule
     */
    @Transactional
    public Filled fill(Person coach, LifterPlan plan, int day, List<Long> slots, int from, int to, FillRule rule) {
        BlockDesk.Open open = desk.open(plan);
        Map<CellKey, String> wanted = new HashMap<>();
        Set<String> notes = new LinkedHashSet<>();
        for (long slot : slots) {
            CellKey start = new CellKey(slot, from);
            if (!plan.slotIds().get(day).contains(slot)
                    || open.draft.cell(start).isEmpty()) {
                continue;
            }
            Fill filled = filled(open, rule, start, to);
            filled.notes().forEach(note -> notes.add(words.say("fill.note." + note, words.lift(lift(open, slot)))));
            for (int i = 0; i < filled.doses().size(); i++) {
                CellKey key = new CellKey(slot, from + 1 + i);
                if (!open.isHistory(key)) {
                    wanted.put(key, filled.doses().get(i).map(Dose::shorthand).orElse(""));
                }
            }
        }
        if (wanted.isEmpty()) {
            throw new BlockDesk.Refused("nothing-to-fill");
        }
        wanted.forEach(open.draft::cell);
        if (rule instanceof FillRule.DeloadNext && from + 1 < open.draft.weeks.size()) {
            open.draft.weeks.set(from + 1, open.draft.weeks.get(from + 1).asDeload());
        }
        desk.keep(
                coach,
                open,
                BlockDesk.Told.of(
                        "fill", wanted.size(), plan.block().days().get(day).name()));
        return new Filled(wanted.keySet(), List.copyOf(notes));
    }

    private Fill filled(BlockDesk.Open open, FillRule rule, CellKey start, int to) {
        List<Optional<Dose>> held = new ArrayList<>();
        List<Boolean> deloads = new ArrayList<>();
        for (int week = start.week() + 1; week <= to; week++) {
            String text = open.draft.cell(new CellKey(start.slotId(), week));
            held.add(text.isEmpty() ? Optional.empty() : Optional.of(Dose.parse(text)));
            deloads.add(open.draft.weeks.get(week).deload());
        }
        Fill.Row row = new Fill.Row(held, deloads, open.draft.weeks.size() - 1 - to);
        try {
            return Fill.of(
                    rule,
                    Dose.parse(open.draft.cell(start)),
                    row,
                    open.plan().resolver().numbers(lift(open, start.slotId())));
        } catch (FillRefused refused) {
            List<Object> facts = new ArrayList<>(List.of(open.draft.cell(start)));
            for (Object fact : refused.facts()) {
                facts.add(fact instanceof Percent percent ? words.percent(percent) : ((Reference) fact).word());
            }
            throw new BlockDesk.Refused("fill." + refused.why(), facts.toArray());
        }
    }

    private static Lift lift(BlockDesk.Open open, long slot) {
        return open.draft.slots.get(slot).lift();
    }

    /** Takes back or brings back one's own latest change; what it was in words, or empty when there is none. */
    @Transactional
    public Optional<String> undo(Person coach, LifterPlan plan, boolean redo) {
        BlockDesk.Open open = desk.open(plan);
        return (redo ? desk.redo(coach, open) : desk.undo(coach, open))
                .map(told -> words.say("plan.change." + told.get(0), told));
    }
}
