package dev.yarbel.web.block;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.kit.PlannedNeeds;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The blocks of a club's lifters: reading, beginning, giving and editing them. */
@Service
@Transactional(readOnly = true)
public class Blocks implements PlannedNeeds {

    private final BlockRepository blocks;
    private final BlockStore store;
    private final BlockEditor editor;
    private final Following following;
    private final Gates gates;
    private final KitShelf kits;
    private final Book book;
    private final Ledger ledger;
    private final Clock clock;

    Blocks(
            BlockRepository blocks,
            BlockStore store,
            BlockEditor editor,
            Following following,
            Gates gates,
            KitShelf kits,
            Book book,
            Ledger ledger,
            Clock clock) {
        this.blocks = blocks;
        this.store = store;
        this.editor = editor;
        this.following = following;
        this.gates = gates;
        this.kits = kits;
        this.book = book;
        this.ledger = ledger;
        this.clock = clock;
    }

    // ---- reading

    /** The block a lifter is in today; else the last one begun; else the next. Empty when there is none. */
    public Optional<LifterBlock> current(LifterCard lifter, ZoneId zone) {
        return open(lifter, zone, Optional.empty());
    }

    /**
     * The same from what was read of the lifter already.
     *
     * @param kit the gym its loads are made with
     */
    public Optional<LifterBlock> current(LifterCard lifter, ZoneId zone, LifterRecord known, AvailableKit kit) {
        return open(
                lifter,
                zone,
                Optional.empty(),
                kit,
                start -> start.isBefore(known.since()) ? book.standing(lifter, start) : known);
    }

    /** The block of a number, or without one the current; empty when the lifter has none such. */
    public Optional<LifterBlock> open(LifterCard lifter, ZoneId zone, Optional<Long> block) {
        return open(lifter, zone, block, kits.usual(lifter), start -> book.standing(lifter, start));
    }

    /** @param standing what the book knows of the lifter, with the log since a day at least */
    private Optional<LifterBlock> open(
            LifterCard lifter,
            ZoneId zone,
            Optional<Long> number,
            AvailableKit kit,
            Function<LocalDate, LifterRecord> standing) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        return store.find(lifter, number, today).map(stored -> {
            LifterRecord known = standing.apply(stored.block().start());
            return LifterBlock.of(lifter, stored, known, kit, resolver(lifter, kit, known), today);
        });
    }

    /** The same block as it is kept now. */
    public LifterBlock reopened(LifterBlock block) {
        return store.find(block.lifter(), Optional.of(block.blockId()), block.today())
                .map(stored -> LifterBlock.of(
                        block.lifter(), stored, block.standing(), block.kit(), block.resolver(), block.today()))
                .orElse(block);
    }

    private static Resolver resolver(LifterCard lifter, AvailableKit kit, LifterRecord standing) {
        return new Resolver(
                standing.catalogue(),
                lift -> kit.loads(standing.catalogue().of(lift)),
                lifter.rounding(),
                standing.numbers().withBodyMass(lifter.bodyMass()).with(lifter.demand()));
    }

    /** The same block with what the lifter has at hand in the gym they train in on a day. */
    public LifterBlock on(LifterBlock block, LocalDate day) {
        AvailableKit kit = kits.on(block.lifter(), day);
        return block.with(
                kit,
                block.resolver()
                        .with(lift -> kit.loads(block.standing().catalogue().of(lift))));
    }

    /** The same block after something was logged on one of its days. */
    public LifterBlock after(LifterBlock block, PlannedDay day) {
        LifterRecord known = book.after(block.lifter(), block.standing(), day);
        Resolver resolver =
                known.hasNumbersOf(block.standing()) ? block.resolver() : resolver(block.lifter(), block.kit(), known);
        return block.with(known, resolver);
    }

    /** A lifter's blocks, the latest first. */
    public List<BlockSummary> of(LifterCard lifter) {
        return BlockSummary.of(blocks.findByClubIdAndLifterIdOrderByStartOnDescIdDesc(lifter.clubId(), lifter.id()));
    }

    /** The days of contests to come that lifters' blocks lead to; a lifter without one is not among them. */
    public Map<Long, List<LocalDate>> leadingTo(long clubId, Collection<Long> lifterIds, LocalDate today) {
        return lifterIds.isEmpty()
                ? Map.of()
                : blocks.findContests(clubId, lifterIds, today).stream()
                        .collect(Collectors.groupingBy(
                                row -> (Long) row[0],
                                Collectors.mapping(row -> (LocalDate) row[1], Collectors.toList())));
    }

    /** The blocks that a new one of so many weeks would meet on the same days. */
    public List<Meeting> meetings(LifterCard lifter, LocalDate start, int weeks) {
        return Meeting.of(of(lifter), Optional.empty(), start, weeks);
    }

    /** The blocks that this one would meet, were it to begin on another day. */
    public List<Meeting> meetings(LifterBlock block, LocalDate start) {
        return Meeting.of(
                of(block.lifter()),
                Optional.of(block.blockId()),
                start,
                block.block().weeks());
    }

    /**
     * The block a lifter trains by today: the current one, unless a session of another was begun today and none of this one.
     * So nobody's session is empty all of a sudden because their coach begins another block.
     */
    public Optional<LifterBlock> onFloor(LifterCard lifter, ZoneId zone) {
        return current(lifter, zone).map(plan -> trainedToday(lifter, zone, plan));
    }

    /** The same from what was read of the lifter already, as {@link #current} takes it. */
    public Optional<LifterBlock> onFloor(LifterCard lifter, ZoneId zone, LifterRecord known, AvailableKit kit) {
        return current(lifter, zone, known, kit).map(plan -> trainedToday(lifter, zone, plan));
    }

    private LifterBlock trainedToday(LifterCard lifter, ZoneId zone, LifterBlock current) {
        return current.begunElsewhereToday()
                .flatMap(day -> holding(lifter, zone, day.day()))
                .orElse(current);
    }

    /** The block that has a day, by the day's number, whichever the lifter is in. */
    public Optional<LifterBlock> holding(LifterCard lifter, ZoneId zone, long day) {
        return blocks.findHolding(lifter.clubId(), lifter.id(), day)
                .flatMap(number -> open(lifter, zone, Optional.of(number)));
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

    // ---- beginning and giving

    /**
     * A block as it would be, were it kept: with what its loads hang on, and nothing lifted in it.
     *
     * @param known what the book knows of the lifter
     * @param kit the gym its loads are made with
     */
    public LifterBlock draft(LifterCard lifter, ZoneId zone, Block block, LifterRecord known, AvailableKit kit) {
        return LifterBlock.draft(
                lifter,
                withoutGated(block, known),
                known,
                kit,
                resolver(lifter, kit, known),
                LocalDate.ofInstant(clock.instant(), zone));
    }

    /** The block a lifter is in as {@link #current} has it; one without a day where they have none, or none any more. */
    public LifterBlock currentOrNone(LifterCard lifter, ZoneId zone) {
        return current(lifter, zone).orElseGet(() -> {
            LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
            return draft(lifter, zone, new Block(today, 1, List.of()), book.standing(lifter), kits.usual(lifter));
        });
    }

    /** Doses that stand behind a gate are left out of a new block: a gate is opened slot by slot. */
    private static Block withoutGated(Block block, LifterRecord known) {
        Numbers numbers = known.numbers();
        return block.withSlots(slot -> slot.with(slot.doses().stream()
                .map(asked -> asked.filter(dose -> Gate.before(
                                known.catalogue().root(slot.lift()),
                                dose,
                                numbers.of(slot.lift()).estimate())
                        .isEmpty()))
                .toList()));
    }

    /**
     * Keeps a block without a word in the ledger. Doses that stand behind a gate are left out.
     *
     * @param origin where it came from, the same for every run of the same
     * @return the block's number
     */
    @Transactional
    public long add(LifterCard lifter, Block block, String origin) {
        return store.add(lifter, withoutGated(block, book.standing(lifter)), origin);
    }

    /** Begins a block; from its first day on it is the one that is trained, see {@link #meetings}. */
    @Transactional
    public long begin(Person coach, LifterCard lifter, Block block, String origin) {
        long id = add(lifter, block, origin);
        write(coach, lifter, "begun", block.name(), block.start());
        return id;
    }

    private void write(Person coach, LifterCard lifter, String what, String name, LocalDate start) {
        ledger.write(
                coach,
                lifter,
                ChangeKind.BLOCK,
                List.of(what, name, start.toString()),
                Optional.empty(),
                what.equals("removed") ? name : "",
                what.equals("removed") ? "" : name);
    }

    /**
     * Takes a block away; what was lifted in it stays in the log, and it can be brought back.
     *
     * @throws BlockRefused while a session of it is under way today
     */
    @Transactional
    public void remove(Person coach, LifterBlock block) {
        BlockEntity row = blocks.lock(block.lifter().clubId(), block.lifter().id(), block.blockId())
                .orElseThrow(NotFoundException::new);
        if (block.isUnderWay()) {
            throw new BlockRefused("under-way", block.lifter().name());
        }
        row.remove(clock.instant());
        write(coach, block.lifter(), "removed", block.name(), block.block().start());
    }

    /**
     * Brings a block back.
     *
     * @throws NotFoundException when none of this number was taken away
     */
    @Transactional
    public void bringBack(Person coach, LifterCard lifter, long block) {
        if (blocks.bringBack(lifter.clubId(), lifter.id(), block) == 0) {
            throw new NotFoundException();
        }
        BlockEntity row = blocks.lock(lifter.clubId(), lifter.id(), block).orElseThrow(NotFoundException::new);
        write(coach, lifter, "brought-back", row.name(), row.startOn());
    }

    /**
     * Gives a block to lifters from a day on, each with their own numbers and kit; edits of it can follow to theirs.
     *
     * @return theirs
     */
    @Transactional
    public List<LifterBlock> give(Person coach, LifterBlock block, List<LifterCard> lifters, LocalDate start) {
        return lifters.stream().map(lifter -> give(coach, block, lifter, start)).toList();
    }

    private LifterBlock give(Person coach, LifterBlock block, LifterCard lifter, LocalDate start) {
        BlockEntity source = blocks.lock(block.lifter().clubId(), block.lifter().id(), block.blockId())
                .orElseThrow(NotFoundException::new);
        String origin = source.origin().isEmpty() ? "block:" + source.id() : source.origin();
        long copy = begin(coach, lifter, block.block().from(start).toward(Optional.empty()), origin);
        blocks.lock(lifter.clubId(), lifter.id(), copy).orElseThrow().givenFrom(source.id());
        return open(lifter, coach.zone(), Optional.of(copy)).orElseThrow();
    }

    // ---- editing

    /** Takes hold of a block within the caller's transaction, to edit it as it is now; whoever comes later waits. */
    @Transactional(propagation = Propagation.MANDATORY)
    public HeldBlock hold(LifterBlock block) {
        return editor.hold(block);
    }

    /**
     * Makes an edit of a block that is held, and writes it into the ledger.
     *
     * @return whether anything is different; if not, nothing is written
     * @throws BlockRefused when it does not go, or stands behind a closed gate
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean make(Person coach, HeldBlock held, BlockEdit edit, EditRecord record) {
        return decide(coach, held, edit, record).isPresent();
    }

    /**
     * The same for a decision that is to be found again.
     *
     * @return the number of the ledger's entry; empty where nothing is different
     * @throws BlockRefused when it does not go, or stands behind a closed gate
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<Long> decide(Person coach, HeldBlock held, BlockEdit edit, EditRecord record) {
        return editor.make(coach, held, edit, record);
    }

    /**
     * Takes back what one entry of the ledger changed of a block that is held.
     *
     * @return the ledger's entry of that; empty where the entry changed nothing of the block
     * @throws BlockRefused when somebody wrote something else there meanwhile, or it was lifted
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public Optional<Long> takeBack(Person coach, HeldBlock held, long entry, EditRecord record) {
        return editor.takeBack(coach, held, entry, record);
    }

    /** Takes back the latest edit of one's own; its subject in the ledger, or empty when there is none to take back. */
    @Transactional
    public Optional<List<String>> undo(Person coach, LifterBlock block) {
        return editor.undo(coach, editor.hold(block));
    }

    /** Brings back what was undone last; its subject in the ledger, or empty when nothing was. */
    @Transactional
    public Optional<List<String>> redo(Person coach, LifterBlock block) {
        return editor.redo(coach, editor.hold(block));
    }

    /** Who changed a dose last; empty where nobody is known. */
    @Transactional(propagation = Propagation.MANDATORY)
    public String whoChanged(HeldBlock held, SlotId slot, int week) {
        return editor.whoChanged(held, slot, week);
    }

    /** Who changed weeks, days or slots last; empty where nobody is known. */
    @Transactional(propagation = Propagation.MANDATORY)
    public String whoChanged(HeldBlock held) {
        return editor.whoChanged(held);
    }

    /** Has an edit that goes as a whole or not at all follow to the blocks given from this one, each by itself. */
    @Transactional(propagation = Propagation.NEVER)
    public Followed follow(Person coach, LifterBlock before, BlockEdit edit) {
        return follow(coach, before, edit, true);
    }

    /** Has as much of an edit follow as overwrites nothing there. */
    @Transactional(propagation = Propagation.NEVER)
    public Followed followWhereAlike(Person coach, LifterBlock before, BlockEdit edit) {
        return follow(coach, before, edit, false);
    }

    private Followed follow(Person coach, LifterBlock before, BlockEdit edit, boolean whole) {
        return following.follow(
                coach, before, edit, whole, (lifter, number) -> open(lifter, coach.zone(), Optional.of(number))
                        .orElseThrow());
    }

    /** Opens a gate of a slot in a coach's own name, with the spotter who will stand by. */
    @Transactional
    public void openGate(Person coach, LifterBlock block, SlotId slot, Gate gate, String spotter) {
        gates.open(coach, block, slot, gate, spotter);
    }
}
