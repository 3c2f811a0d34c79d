package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.review.Gate;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Where blocks are changed: one after the other, with what each change did in the ledger, so that it can be taken back.
 *
 * <p>Undo takes back one's own latest change of the block that was not taken back yet, of the last day; redo brings back
 * what was undone last. Neither overwrites what somebody else wrote there meanwhile, nor what has been lifted.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
class BlockDesk {

    /** How far undo goes back. */
    private static final Duration SESSION_OF_WORK = Duration.ofDays(1);

    private static final int MOST_CHANGES = 500;
    private static final TypeReference<Map<String, String[]>> PIECES = new TypeReference<>() {};

    private final BlockRepository blocks;
    private final DayRepository days;
    private final SlotRepository slots;
    private final DoseCellRepository cells;
    private final EntityManager entities;
    private final Ledger ledger;
    private final JsonMapper json;
    private final Clock clock;

    BlockDesk(
            BlockRepository blocks,
            DayRepository days,
            SlotRepository slots,
            DoseCellRepository cells,
            EntityManager entities,
            Ledger ledger,
            JsonMapper json,
            Clock clock) {
        this.blocks = blocks;
        this.days = days;
        this.slots = slots;
        this.cells = cells;
        this.entities = entities;
        this.ledger = ledger;
        this.json = json;
        this.clock = clock;
    }

    /** A block that is held by whoever changes it now. */
    final class Open {

        final BlockDraft draft;
        private final LifterPlan plan;
        private final BlockEntity block;
        private final Map<Long, DayEntity> dayById = new HashMap<>();
        private final Map<Long, SlotEntity> slotById = new HashMap<>();
        private final Map<CellKey, DoseCell> cellByKey = new HashMap<>();
        private Map<String, String> before;
        /** What was written into the ledger, once somebody asks. */
        private List<Ledger.Traced> written;

        private Open(LifterPlan plan, BlockEntity block) {
            this.plan = plan;
            this.block = block;
            this.draft = new BlockDraft(block);
            for (Object[] row : blocks.findWhole(plan.lifter().clubId(), block.id())) {
                DayEntity day = (DayEntity) row[0];
                dayById.put(day.id(), day);
                draft.days.put(day.id(), BlockDraft.Day.of(day));
                if (row[1] != null) {
                    SlotEntity slot = (SlotEntity) row[1];
                    slotById.put(slot.id(), slot);
                    draft.slots.put(slot.id(), BlockDraft.Slot.of(slot));
                }
                if (row[2] != null) {
                    DoseCell cell = (DoseCell) row[2];
                    CellKey key = new CellKey(cell.slotId(), cell.week());
                    cellByKey.put(key, cell);
                    draft.cell(key, cell.shorthand());
                }
            }
            this.before = draft.pieces();
        }

        LifterPlan plan() {
            return plan;
        }

        /** A new day, not there yet until the draft says so. */
        BlockDraft.Day newDay(int position, int offset, String name) {
            DayEntity day = days.save(
                    new DayEntity(plan.lifter().clubId(), block.id(), position, name, offset).removed(clock.instant()));
            dayById.put(day.id(), day);
            draft.days.put(day.id(), BlockDraft.Day.of(day));
            before = new TreeMap<>(before);
            before.put("day." + day.id(), "");
            return draft.days.get(day.id());
        }

        /** A new slot, not there yet until the draft says so. */
        BlockDraft.Slot newSlot(long dayId, int position, String letter, Lift lift) {
            SlotEntity slot = slots.save(
                    new SlotEntity(plan.lifter().clubId(), dayId, position, letter, lift).removed(clock.instant()));
            slotById.put(slot.id(), slot);
            draft.slots.put(slot.id(), BlockDraft.Slot.of(slot));
            before = new TreeMap<>(before);
            before.put("slot." + slot.id(), "");
            return draft.slots.get(slot.id());
        }

        /** Whether a dose belongs to a day that has been lifted. */
        boolean isHistory(CellKey key) {
            SlotEntity slot = slotById.get(key.slotId());
            return slot != null && plan.isFinished(slot.dayId(), key.week());
        }

        /** Whether a dose can be put into a cell: there is such a cell, nobody has lifted it, and no gate stands closed. */
        boolean goes(CellKey key, String dose) {
            return slotById.containsKey(key.slotId())
                    && key.week() < draft.weeks.size()
                    && !isHistory(key)
                    && (dose.isEmpty() || closed(key, Dose.parse(dose)).isEmpty());
        }

        /** The gates that stand closed before a dose in a slot. */
        Set<Gate> closed(CellKey key, Dose dose) {
            SlotEntity slot = slotById.get(key.slotId());
            Set<Gate> closed = EnumSet.noneOf(Gate.class);
            closed.addAll(Gate.before(
                    plan.standing().catalogue().root(slot.lift()),
                    dose,
                    plan.resolver().numbers(slot.lift()).estimate()));
            closed.removeAll(plan.opened(slot.id()));
            return closed;
        }
    }

    /** Why a change as a whole was not made. */
    static final class Refused extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final String code;
        private final transient Object[] facts;

        Refused(String code, Object... facts) {
            super(code, null, false, false);
            this.code = code;
            this.facts = facts;
        }

        String code() {
            return code;
        }

        Object[] facts() {
            return facts;
        }
    }

    /** Takes hold of a block; whoever comes later waits and then sees what was changed. */
    Open open(LifterPlan plan) {
        BlockEntity block = blocks.lock(plan.lifter().clubId(), plan.lifter().id(), plan.blockId())
                .orElseThrow(NotFoundException::new);
        entities.refresh(block);
        return new Open(plan, block);
    }

    /** What is written into the ledger of a change. */
    record Told(ChangeKind kind, List<String> subject, String before, String after, Optional<Long> undoes) {

        static Told of(String change, Object... facts) {
            List<String> subject = new ArrayList<>(List.of(change));
            for (Object fact : facts) {
                subject.add(String.valueOf(fact));
            }
            return new Told(ChangeKind.BLOCK, subject, "", "", Optional.empty());
        }
    }

    /**
     * Keeps what the draft has become.
     *
     * @return how many pieces differ; with none nothing is written
     * @throws Refused when it would change what was lifted, or stands behind a closed gate
     */
    int keep(Person coach, Open open, Told told) {
        Map<String, String> after = open.draft.pieces();
        Map<String, String[]> changed = new TreeMap<>();
        Set<String> keys = new TreeSet<>(open.before.keySet());
        keys.addAll(after.keySet());
        for (String key : keys) {
            String was = open.before.getOrDefault(key, "");
            String is = after.getOrDefault(key, "");
            if (!was.equals(is)) {
                check(open, key, is);
                changed.put(key, new String[] {was, is});
            }
        }
        if (changed.isEmpty()) {
            return 0;
        }
        changed.forEach((key, wasIs) -> write(open, key, wasIs[1]));
        ledger.write(
                coach,
                open.plan.lifter(),
                told.kind(),
                told.subject(),
                Optional.empty(),
                told.before(),
                told.after(),
                new Ledger.Trace(open.block.id(), json.writeValueAsString(changed), told.undoes()));
        return changed.size();
    }

    private static void check(Open open, String key, String is) {
        if (!BlockDraft.isCell(key)) {
            return;
        }
        CellKey cell = BlockDraft.cellKey(key);
        if (open.isHistory(cell)) {
            throw new Refused("lifted", cell.week() + 1);
        }
        if (!is.isEmpty() && !open.closed(cell, Dose.parse(is)).isEmpty()) {
            throw new Refused("gated", is);
        }
    }

    private void write(Open open, String key, String is) {
        if (BlockDraft.isCell(key)) {
            writeCell(open, BlockDraft.cellKey(key), is);
        } else if (key.startsWith("day.")) {
            BlockDraft.Day day = open.draft.days.get(Long.valueOf(key.substring("day.".length())));
            DayEntity entity = open.dayById.get(day.id());
            entity.set(day.position(), day.name(), day.offset());
            entity.removed(day.removed() ? clock.instant() : null);
        } else if (key.startsWith("slot.")) {
            BlockDraft.Slot slot = open.draft.slots.get(Long.valueOf(key.substring("slot.".length())));
            SlotEntity entity = open.slotById.get(slot.id());
            entity.set(slot.position(), slot.letter(), slot.lift(), slot.school(), slot.reason());
            entity.removed(slot.removed() ? clock.instant() : null);
        } else {
            BlockDraft draft = open.draft;
            open.block.set(draft.name, draft.start, draft.weeks, draft.contest.orElse(null));
        }
    }

    private void writeCell(Open open, CellKey key, String is) {
        DoseCell cell = open.cellByKey.get(key);
        if (is.isEmpty()) {
            if (cell != null) {
                cells.delete(cell);
            }
        } else if (cell == null) {
            cells.save(new DoseCell(open.plan.lifter().clubId(), key.slotId(), key.week(), is));
        } else {
            cell.shorthand(is);
        }
    }

    // ---- undo

    /** Takes back the latest change of one's own; the change's subject, or empty when there is none to take back. */
    Optional<List<String>> undo(Person coach, Open open) {
        return takeBack(coach, open, histories(coach, open).undo(), "undone");
    }

    /** Brings back what was undone last; its subject, or empty when nothing was. */
    Optional<List<String>> redo(Person coach, Open open) {
        return takeBack(coach, open, histories(coach, open).redo(), "redone");
    }

    private record Histories(Deque<Ledger.Traced> undo, Deque<Ledger.Traced> redo) {}

    /** One's own changes on two piles: those that can be undone and those that can be redone. */
    private Histories histories(Person coach, Open open) {
        Instant since = clock.instant().minus(SESSION_OF_WORK);
        Deque<Ledger.Traced> undo = new ArrayDeque<>();
        Deque<Ledger.Traced> redo = new ArrayDeque<>();
        Deque<Ledger.Traced> oldestFirst = new ArrayDeque<>();
        ledger.traced(open.plan.lifter(), open.block.id(), since, MOST_CHANGES).forEach(oldestFirst::push);
        for (Ledger.Traced change : oldestFirst) {
            if (change.by() != coach.accountId()) {
                continue;
            }
            if (change.undoes().isEmpty()) {
                undo.push(change);
                redo.clear();
            } else if (!undo.isEmpty() && undo.peek().id() == change.undoes().get()) {
                undo.pop();
                redo.push(change);
            } else if (!redo.isEmpty() && redo.peek().id() == change.undoes().get()) {
                redo.pop();
                undo.push(change);
            }
        }
        return new Histories(undo, redo);
    }

    private Optional<List<String>> takeBack(Person coach, Open open, Deque<Ledger.Traced> pile, String said) {
        if (pile.isEmpty()) {
            return Optional.empty();
        }
        Ledger.Traced last = pile.peek();
        Map<String, String[]> pieces = json.readValue(last.payload(), PIECES);
        Map<String, String> now = open.draft.pieces();
        for (Map.Entry<String, String[]> piece : pieces.entrySet()) {
            if (!now.getOrDefault(piece.getKey(), "").equals(piece.getValue()[1])) {
                throw new Refused("overtaken", whoChanged(open, piece.getKey()));
            }
        }
        pieces.forEach((key, wasIs) -> open.draft.put(key, wasIs[0]));
        List<String> subject =
                last.change().kind() == ChangeKind.BLOCK ? last.change().subject() : List.of("cells", "1");
        List<String> told = new ArrayList<>(subject);
        told.set(0, subject.get(0).replaceAll("-(undone|redone)$", "") + "-" + said);
        keep(
                coach,
                open,
                new Told(
                        ChangeKind.BLOCK,
                        told,
                        last.change().after(),
                        last.change().before(),
                        Optional.of(last.id())));
        return Optional.of(told);
    }

    /** Who wrote a piece last; the name of somebody where nobody is known. */
    String whoChanged(Open open, String key) {
        if (open.written == null) {
            open.written = ledger.traced(open.plan.lifter(), open.block.id(), Instant.EPOCH, MOST_CHANGES);
        }
        return open.written.stream()
                .filter(change -> change.payload().contains("\"" + key + "\""))
                .findFirst()
                .map(Ledger.Traced::who)
                .orElse("");
    }
}
