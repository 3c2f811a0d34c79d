package dev.yarbel.web.block;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.review.Gate;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.roster.LifterCard;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongFunction;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Where blocks are kept. A block is saved by comparing it with what is kept: only what differs is written. Days and slots that
 * are taken out stay, marked, with their doses.
 */
@Component
class BlockStore {

    /** How many numbers are drawn at once for days and slots that are new. */
    private static final int HANDFUL = 10;

    private final BlockRepository blocks;
    private final EntityManager entities;
    private final Clock clock;

    BlockStore(BlockRepository blocks, EntityManager entities, Clock clock) {
        this.blocks = blocks;
        this.entities = entities;
        this.clock = clock;
    }

    /** The rows of a block, each by what it stands for. */
    static final class Rows {

        private final BlockEntity block;
        private final Map<Long, DayEntity> days = new HashMap<>();
        private final Map<Long, SlotEntity> slots = new HashMap<>();
        private final Map<SlotId, Map<Integer, DoseCell>> cells = new HashMap<>();
        private final Map<SlotId, Map<Gate, String>> gates = new HashMap<>();

        private Rows(BlockEntity block) {
            this.block = block;
        }

        private void take(Object[] row) {
            for (Object part : row) {
                if (part instanceof DayEntity day) {
                    days.put(day.id(), day);
                } else if (part instanceof SlotEntity slot) {
                    slots.put(slot.id(), slot);
                } else if (part instanceof DoseCell cell) {
                    cells(new SlotId(cell.slotId())).put(cell.week(), cell);
                } else if (part instanceof GateConfirmation opened) {
                    gates.computeIfAbsent(new SlotId(opened.slotId()), id -> new EnumMap<>(Gate.class))
                            .put(opened.gate(), opened.spotter());
                }
            }
        }

        private Map<Integer, DoseCell> cells(SlotId slot) {
            return cells.computeIfAbsent(slot, id -> new HashMap<>());
        }

        /** The block as it stands, without what was taken out of it. */
        Block block() {
            Map<String, Dose> read = new HashMap<>();
            Map<Long, List<SlotEntity>> byDay = new HashMap<>();
            slots.values().stream()
                    .filter(slot -> !slot.isRemoved())
                    .sorted(Comparator.comparingInt(SlotEntity::position).thenComparing(SlotEntity::id))
                    .forEach(slot -> byDay.computeIfAbsent(slot.dayId(), id -> new ArrayList<>())
                            .add(slot));
            List<TrainingDay> training = days.values().stream()
                    .filter(day -> !day.isRemoved())
                    .sorted(Comparator.comparingInt(DayEntity::position).thenComparing(DayEntity::id))
                    .map(day -> new TrainingDay(
                            new DayId(day.id()),
                            day.name(),
                            day.dayOffset(),
                            byDay.getOrDefault(day.id(), List.of()).stream()
                                    .map(slot -> slot(slot, read))
                                    .toList()))
                    .toList();
            return new Block(block.name(), block.startOn(), training, block.shape(), block.contestOn());
        }

        /** @param read doses by their texts: a block says the same many times over */
        private Slot slot(SlotEntity slot, Map<String, Dose> read) {
            SlotId id = new SlotId(slot.id());
            List<Optional<Dose>> doses = new ArrayList<>();
            Map<Integer, DoseCell> row = cells.getOrDefault(id, Map.of());
            for (int week = 0; week < block.weeks(); week++) {
                doses.add(Optional.ofNullable(row.get(week))
                        .map(cell -> read.computeIfAbsent(cell.shorthand(), text -> cell.dose())));
            }
            return new Slot(id, slot.letter(), slot.lift(), doses, slot.school(), slot.reason());
        }

        long id() {
            return block.id();
        }

        /** The gates that a coach opened, by slot, those of slots that were taken out among them. */
        Map<SlotId, Map<Gate, String>> gates() {
            return gates;
        }
    }

    /** The block of a number, or without one the one a lifter is in; empty when there is none such. */
    Optional<StoredBlock> find(LifterCard lifter, Optional<Long> block, LocalDate today) {
        List<Object[]> found = blocks.findOpen(lifter.clubId(), lifter.id(), block.orElse(null), today);
        if (found.isEmpty()) {
            return Optional.empty();
        }
        BlockEntity entity = (BlockEntity) found.get(0)[0];
        Rows rows = new Rows(entity);
        found.forEach(rows::take);
        return Optional.of(new StoredBlock(entity.id(), rows.block(), entity.copies(), rows.gates));
    }

    /** Reads all blocks of a lifter, those taken away among them. */
    List<Block> all(long clubId, long lifterId) {
        return blocks.findByClubIdAndLifterIdOrderByStartOnDescIdDesc(clubId, lifterId).stream()
                .map(entity -> {
                    Rows rows = new Rows(entity);
                    blocks.findWhole(clubId, entity.id()).forEach(rows::take);
                    return rows.block();
                })
                .toList();
    }

    /** Takes hold of a block until the end of the transaction; whoever comes later waits and then sees what was changed. */
    @Transactional(propagation = Propagation.MANDATORY)
    public Rows hold(LifterCard lifter, long block) {
        BlockEntity entity = blocks.lock(lifter.clubId(), lifter.id(), block).orElseThrow(NotFoundException::new);
        entities.refresh(entity);
        Rows rows = new Rows(entity);
        blocks.findWhole(lifter.clubId(), block).forEach(rows::take);
        return rows;
    }

    /** Numbers for days that are new. */
    Supplier<DayId> newDays() {
        return numbers("block_day", DayId::new);
    }

    /** Numbers for slots that are new. */
    Supplier<SlotId> newSlots() {
        return numbers("slot", SlotId::new);
    }

    /** Draws numbers a handful at a time. */
    private <T> Supplier<T> numbers(String table, LongFunction<T> of) {
        Deque<Long> drawn = new ArrayDeque<>();
        return () -> {
            if (drawn.isEmpty()) {
                next(table, HANDFUL).forEach(drawn::add);
            }
            return of.apply(drawn.remove());
        };
    }

    private Stream<Long> next(String table, int howMany) {
        return ((Stream<?>) entities.createNativeQuery("select nextval(pg_get_serial_sequence('" + table
                                + "', 'id')) from generate_series(1, :howMany)")
                        .setParameter("howMany", howMany)
                        .getResultStream())
                .map(number -> ((Number) number).longValue());
    }

    /**
     * Keeps a new block, its days and slots under numbers of their own.
     *
     * @return the block's number
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public long add(LifterCard lifter, Block block, String origin) {
        Iterator<Long> newDays = next("block_day", block.days().size()).iterator();
        Iterator<Long> newSlots = next("slot", (int) block.slots().count()).iterator();
        Block numbered = block.with(block.days().stream()
                .map(day -> day.with(day.slots().stream()
                                .map(slot -> slot.as(new SlotId(newSlots.next())))
                                .toList())
                        .as(new DayId(newDays.next())))
                .toList());
        BlockEntity entity = new BlockEntity(lifter.clubId(), lifter.id(), numbered, origin);
        entities.persist(entity);
        save(lifter, new Rows(entity), numbered);
        return entity.id();
    }

    /** Makes what is kept of a block what it has become. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void save(LifterCard lifter, Rows rows, Block block) {
        long club = lifter.clubId();
        rows.block.set(block);
        for (int d = 0; d < block.days().size(); d++) {
            TrainingDay day = block.days().get(d);
            rows.days
                    .computeIfAbsent(day.id().number(), id -> persisted(new DayEntity(club, id, rows.block.id(), day)))
                    .set(d, day);
            for (int s = 0; s < day.slots().size(); s++) {
                Slot slot = day.slots().get(s);
                rows.slots
                        .computeIfAbsent(
                                slot.id().number(),
                                id -> persisted(new SlotEntity(club, day.id().number(), slot)))
                        .set(s, slot);
                saveDoses(club, slot, rows.cells(slot.id()));
            }
        }
        rows.days.values().stream()
                .filter(day -> block.day(new DayId(day.id())).isEmpty())
                .forEach(day -> day.remove(clock.instant()));
        rows.slots.values().stream()
                .filter(slot -> block.slot(new SlotId(slot.id())).isEmpty())
                .forEach(slot -> slot.remove(clock.instant()));
    }

    private void saveDoses(long club, Slot slot, Map<Integer, DoseCell> row) {
        for (int week = 0; week < slot.doses().size(); week++) {
            Optional<String> dose = slot.dose(week).map(Dose::shorthand);
            DoseCell cell = row.get(week);
            if (dose.isPresent() && cell == null) {
                row.put(week, persisted(new DoseCell(club, slot.id().number(), week, dose.get())));
            } else if (dose.isPresent()) {
                cell.shorthand(dose.get());
            } else if (cell != null) {
                entities.remove(row.remove(week));
            }
        }
        List<Integer> beyond = row.keySet().stream()
                .filter(week -> week >= slot.doses().size())
                .toList();
        beyond.forEach(week -> entities.remove(row.remove(week)));
    }

    private <T> T persisted(T entity) {
        entities.persist(entity);
        return entity;
    }
}
