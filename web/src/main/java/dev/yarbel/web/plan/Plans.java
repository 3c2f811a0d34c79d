package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.Standing;
import dev.yarbel.web.book.StripSource;
import dev.yarbel.web.kit.AtHand;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.kit.PlannedNeeds;
import dev.yarbel.web.page.Strip;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The blocks of a club's lifters. */
@Service
@Transactional(readOnly = true)
public class Plans implements StripSource, PlannedNeeds {

    private final BlockRepository blocks;
    private final DayRepository days;
    private final SlotRepository slots;
    private final DoseCellRepository cells;
    private final KitShelf kits;
    private final Book book;
    private final StripMaker strips;
    private final Clock clock;

    Plans(
            BlockRepository blocks,
            DayRepository days,
            SlotRepository slots,
            DoseCellRepository cells,
            KitShelf kits,
            Book book,
            StripMaker strips,
            Clock clock) {
        this.blocks = blocks;
        this.days = days;
        this.slots = slots;
        this.cells = cells;
        this.kits = kits;
        this.book = book;
        this.strips = strips;
        this.clock = clock;
    }

    /** The block a lifter is in today; else the last one begun; else the next. Empty when there is none. */
    public Optional<LifterPlan> current(LifterCard lifter, ZoneId zone) {
        return open(lifter, zone, Optional.empty());
    }

    /** The block of a number, or without one the current; empty when the lifter has none such. */
    Optional<LifterPlan> open(LifterCard lifter, ZoneId zone, Optional<Long> block) {
        return open(lifter, zone, block, kits.usual(lifter), start -> book.standing(lifter, start));
    }

    /** @param standing what the book knows of the lifter, with the log since a day at least */
    private Optional<LifterPlan> open(
            LifterCard lifter,
            ZoneId zone,
            Optional<Long> blockId,
            AtHand kit,
            Function<LocalDate, Standing> standing) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        List<Object[]> rows = blocks.findOpen(lifter.clubId(), lifter.id(), blockId.orElse(null), today);
        return rows.stream().findFirst().map(row -> (BlockEntity) row[0]).map(block -> {
            Standing known = standing.apply(block.startOn());
            return open(lifter, block, rows, today, kit, known, resolver(lifter, kit, known));
        });
    }

    private LifterPlan open(
            LifterCard lifter,
            BlockEntity entity,
            List<Object[]> rows,
            LocalDate today,
            AtHand kit,
            Standing standing,
            Resolver resolver) {
        Map<DayEntity, Map<SlotEntity, List<Optional<Dose>>>> tree = new LinkedHashMap<>();
        Map<Long, Map<Gate, String>> gates = new HashMap<>();
        BlockDraft draft = new BlockDraft(entity);
        Map<String, Dose> read = new HashMap<>();
        for (Object[] row : rows) {
            if (row[1] == null) {
                continue;
            }
            DayEntity day = (DayEntity) row[1];
            draft.days.put(day.id(), BlockDraft.Day.of(day));
            var slotsOfDay = tree.computeIfAbsent(day, d -> new LinkedHashMap<>());
            if (row[2] != null) {
                SlotEntity slot = (SlotEntity) row[2];
                draft.slots.put(slot.id(), BlockDraft.Slot.of(slot));
                var doses = slotsOfDay.computeIfAbsent(
                        slot, s -> new ArrayList<>(Collections.nCopies(entity.weeks(), Optional.empty())));
                if (row[3] != null) {
                    DoseCell cell = (DoseCell) row[3];
                    if (cell.week() < entity.weeks()) {
                        // a block says the same many times over: each text is read once
                        doses.set(
                                cell.week(), Optional.of(read.computeIfAbsent(cell.shorthand(), text -> cell.dose())));
                    }
                }
                if (row[4] != null) {
                    GateConfirmation opened = (GateConfirmation) row[4];
                    gates.computeIfAbsent(slot.id(), id -> new EnumMap<>(Gate.class))
                            .put(opened.gate(), opened.spotter());
                }
            }
        }
        List<TrainingDay> trainingDays = new ArrayList<>();
        List<List<Long>> slotIds = new ArrayList<>();
        tree.forEach((day, slotsOfDay) -> {
            List<Slot> coreSlots = new ArrayList<>();
            slotsOfDay.forEach((slot, doses) ->
                    coreSlots.add(new Slot(slot.letter(), slot.lift(), doses, slot.school(), slot.reason())));
            trainingDays.add(new TrainingDay(day.name(), day.dayOffset(), coreSlots));
            slotIds.add(slotsOfDay.keySet().stream().map(SlotEntity::id).toList());
        });
        Block block = new Block(entity.startOn(), entity.weeks(), trainingDays, entity.shape(), entity.contestOn());
        List<Long> dayIds = tree.keySet().stream().map(DayEntity::id).toList();
        Map<PlannedDay, SessionLog> sessions = standing.byPlannedDay();
        return new LifterPlan(
                lifter,
                entity.id(),
                entity.name(),
                draft.stamp(),
                entity.copies(),
                block,
                dayIds,
                slotIds,
                gates,
                standing,
                sessions,
                kit,
                resolver,
                Projection.of(block, resolver, LifterPlan.log(sessions, dayIds)),
                today);
    }

    /** The same block as it is kept now. */
    LifterPlan reopened(LifterPlan plan) {
        List<Object[]> rows =
                blocks.findOpen(plan.lifter().clubId(), plan.lifter().id(), plan.blockId(), plan.today());
        return rows.isEmpty()
                ? plan
                : open(
                        plan.lifter(),
                        (BlockEntity) rows.get(0)[0],
                        rows,
                        plan.today(),
                        plan.kit(),
                        plan.standing(),
                        plan.resolver());
    }

    /** A lifter's blocks, the latest first. */
    List<BlockEntity> blocksOf(LifterCard lifter) {
        return blocks.findByClubIdAndLifterIdOrderByStartOnDescIdDesc(lifter.clubId(), lifter.id());
    }

    private static Resolver resolver(LifterCard lifter, AtHand kit, Standing standing) {
        return new Resolver(
                standing.catalogue(),
                lift -> kit.loads(standing.catalogue().of(lift)),
                lifter.rounding(),
                standing.numbers().withBodyMass(lifter.bodyMass()).with(lifter.demand()));
    }

    /** The same plan with what the lifter has at hand in the gym they train in on a day. */
    public LifterPlan on(LifterPlan plan, LocalDate day) {
        AtHand kit = kits.on(plan.lifter(), day);
        return plan.with(kit, resolver(plan.lifter(), kit, plan.standing()));
    }

    /** The strip of a plan that has been read already. */
    public Strip strip(LifterPlan plan) {
        return strips.draw(plan);
    }

    @Override
    public Optional<Strip> strip(LifterCard lifter, ZoneId zone, Standing known, AtHand kit) {
        return open(
                        lifter,
                        zone,
                        Optional.empty(),
                        kit,
                        start -> start.isBefore(known.since()) ? book.standing(lifter, start) : known)
                .map(strips::draw);
    }

    @Override
    public List<Planned> needing(long clubId, Map<Long, String> lifters, Predicate<Gym.Need> missing) {
        if (lifters.isEmpty()) {
            return List.of();
        }
        LocalDate today = LocalDate.ofInstant(clock.instant(), clock.getZone());
        Catalogue catalogue = book.catalogue(clubId);
        return blocks.findSlots(clubId, lifters.keySet()).stream()
                .filter(row -> !((BlockEntity) row[0]).isOver(today))
                .filter(row ->
                        missing.test(catalogue.of(((SlotEntity) row[2]).lift()).need()))
                .map(row -> new Planned(
                        lifters.get(((BlockEntity) row[0]).lifterId()),
                        ((DayEntity) row[1]).name(),
                        ((SlotEntity) row[2]).letter(),
                        ((SlotEntity) row[2]).lift()))
                .toList();
    }

    /** Writes a whole block for a lifter. */
    @Transactional
    public void add(LifterCard lifter, String name, Block block) {
        add(lifter, name, block, "");
    }

    /**
     * Writes a whole block for a lifter. Doses that stand behind a gate are left out: a gate is opened slot by slot.
     *
     * @param origin where it came from, the same for every run of the same
     * @return the block's number
     */
    @Transactional
    long add(LifterCard lifter, String name, Block block, String origin) {
        long club = lifter.clubId();
        Catalogue catalogue = book.catalogue(club);
        Numbers numbers = book.standing(lifter).numbers();
        BlockEntity entity = new BlockEntity(club, lifter.id(), name, block.start(), block.shape(), origin);
        entity.set(name, block.start(), block.shape(), block.contest().orElse(null));
        blocks.save(entity);
        for (int d = 0; d < block.days().size(); d++) {
            TrainingDay day = block.days().get(d);
            long dayId = days.save(new DayEntity(club, entity.id(), d, day.name(), day.offset()))
                    .id();
            for (int s = 0; s < day.slots().size(); s++) {
                Slot slot = day.slots().get(s);
                long slotId = slots.save(new SlotEntity(club, dayId, s, slot.letter(), slot.lift())
                                .set(s, slot.letter(), slot.lift(), slot.school(), slot.reason()))
                        .id();
                for (int week = 0; week < block.weeks(); week++) {
                    int w = week;
                    slot.doses()
                            .get(week)
                            .filter(dose -> Gate.before(
                                            catalogue.root(slot.lift()),
                                            dose,
                                            numbers.of(slot.lift()).estimate())
                                    .isEmpty())
                            .ifPresent(dose -> cells.save(new DoseCell(club, slotId, w, dose.shorthand())));
                }
            }
        }
        return entity.id();
    }

    /** Puts a block aside where another begins before it has run its course. */
    @Transactional
    void putAside(LifterCard lifter, LocalDate from, long but) {
        blocks.findByClubIdAndLifterIdOrderByStartOnDescIdDesc(lifter.clubId(), lifter.id()).stream()
                .filter(block -> block.id() != but
                        && block.startOn().isBefore(from)
                        && !block.isOver(from)
                        && block.putAsideOn().isEmpty())
                .forEach(block -> block.putAsideOn(from));
    }

    /** Remembers which block another was given from. */
    @Transactional
    void givenFrom(LifterCard lifter, long block, long from) {
        blocks.lock(lifter.clubId(), lifter.id(), block).orElseThrow().givenFrom(from);
    }
}
