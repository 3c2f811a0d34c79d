package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.web.book.Book;
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
        return current(lifter, zone, kits.usual(lifter), start -> book.standing(lifter, start));
    }

    /** @param standing what the book knows of the lifter, with the log since a day at least */
    private Optional<LifterPlan> current(
            LifterCard lifter, ZoneId zone, AtHand kit, Function<LocalDate, Standing> standing) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        List<Object[]> rows = blocks.findCurrent(lifter.clubId(), lifter.id(), today);
        return rows.stream()
                .findFirst()
                .map(row -> (BlockEntity) row[0])
                .map(block -> open(lifter, block, rows, today, kit, standing.apply(block.startOn())));
    }

    private LifterPlan open(
            LifterCard lifter,
            BlockEntity entity,
            List<Object[]> rows,
            LocalDate today,
            AtHand kit,
            Standing standing) {
        Map<DayEntity, Map<SlotEntity, List<Optional<Dose>>>> tree = new LinkedHashMap<>();
        for (Object[] row : rows) {
            if (row[1] == null) {
                continue;
            }
            var slotsOfDay = tree.computeIfAbsent((DayEntity) row[1], d -> new LinkedHashMap<>());
            if (row[2] != null) {
                var doses = slotsOfDay.computeIfAbsent(
                        (SlotEntity) row[2],
                        s -> new ArrayList<>(Collections.nCopies(entity.weeks(), Optional.empty())));
                if (row[3] != null) {
                    DoseCell cell = (DoseCell) row[3];
                    doses.set(cell.week(), Optional.of(cell.dose()));
                }
            }
        }
        List<TrainingDay> trainingDays = new ArrayList<>();
        List<List<Long>> slotIds = new ArrayList<>();
        tree.forEach((day, slotsOfDay) -> {
            List<Slot> coreSlots = new ArrayList<>();
            slotsOfDay.forEach((slot, doses) -> coreSlots.add(new Slot(slot.letter(), slot.lift(), doses)));
            trainingDays.add(new TrainingDay(day.name(), day.dayOffset(), coreSlots));
            slotIds.add(slotsOfDay.keySet().stream().map(SlotEntity::id).toList());
        });
        return new LifterPlan(
                lifter,
                entity.name(),
                new Block(entity.startOn(), entity.weeks(), trainingDays),
                tree.keySet().stream().map(DayEntity::id).toList(),
                slotIds,
                standing,
                standing.byPlannedDay(),
                kit,
                resolver(lifter, kit, standing),
                today);
    }

    private static Resolver resolver(LifterCard lifter, AtHand kit, Standing standing) {
        return new Resolver(lift -> kit.loads(standing.catalogue().of(lift)), lifter.rounding(), standing.numbers());
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
        return current(lifter, zone, kit, start -> start.isBefore(known.since()) ? book.standing(lifter, start) : known)
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
        long club = lifter.clubId();
        BlockEntity entity = blocks.save(new BlockEntity(club, lifter.id(), name, block.start(), block.weeks()));
        for (int d = 0; d < block.days().size(); d++) {
            TrainingDay day = block.days().get(d);
            long dayId = days.save(new DayEntity(club, entity.id(), d, day.name(), day.offset()))
                    .id();
            for (int s = 0; s < day.slots().size(); s++) {
                Slot slot = day.slots().get(s);
                long slotId = slots.save(new SlotEntity(club, dayId, s, slot.letter(), slot.lift()))
                        .id();
                for (int week = 0; week < block.weeks(); week++) {
                    int w = week;
                    slot.doses().get(week).ifPresent(dose -> cells.save(new DoseCell(club, slotId, w, dose)));
                }
            }
        }
    }
}
