package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.shape.Taper;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes of a block's weeks, days and slots. What was lifted stays where it is: weeks move only after the last one that
 * anything was logged in, and of a day or slot with a history only what is still to come is taken away.
 */
@Service
class BlockChanges {

    /** What can be changed, as forms name it. */
    enum Kind {
        WEEK_INSERT,
        WEEK_COPY,
        WEEK_REMOVE,
        WEEK_EARLIER,
        WEEK_LATER,
        WEEK_SHAPE,
        PHASE_LENGTHEN,
        SLOT_ADD,
        SLOT_REMOVE,
        SLOT_UP,
        SLOT_DOWN,
        SLOT_SET,
        DAY_ADD,
        DAY_COPY,
        DAY_REMOVE,
        DAY_EARLIER,
        DAY_LATER,
        DAY_SET,
        BLOCK_SET,
        BLOCK_SHIFT,
        CONTEST_SHAPE;

        /** Whether it goes for the blocks given from one as well; name, start and contest are each lifter's own. */
        boolean canFollow() {
            return this != BLOCK_SET && this != BLOCK_SHIFT && this != CONTEST_SHAPE;
        }
    }

    private static final int LONGEST_NAME = 40;

    private final BlockDesk desk;

    BlockChanges(BlockDesk desk) {
        this.desk = desk;
    }

    /**
     * Changes a block.
     *
     * @param typed what the form sent: the stamp of what the coach saw, and what the change is about
     * @throws UnreadableException when a field cannot be used
     * @throws BlockDesk.Refused when the change cannot be made
     */
    @Transactional
    public void change(Person coach, LifterPlan plan, Kind kind, Typed typed) {
        BlockDesk.Open open = desk.open(plan);
        if (!open.draft.stamp().equals(typed.text("stamp"))) {
            throw new BlockDesk.Refused("changed-meanwhile", desk.whoChanged(open, "block"));
        }
        String about = make(open, kind, typed);
        desk.keep(
                coach,
                open,
                BlockDesk.Told.of(kind.name().toLowerCase(Locale.ROOT).replace('_', '-'), about));
    }

    /** Makes a change on the draft; what it is about, in the ledger's words. */
    static String make(BlockDesk.Open open, Kind kind, Typed typed) {
        return switch (kind) {
            case WEEK_INSERT, WEEK_COPY, WEEK_REMOVE, WEEK_EARLIER, WEEK_LATER, WEEK_SHAPE, PHASE_LENGTHEN ->
                week(open, kind, typed);
            case SLOT_ADD, SLOT_REMOVE, SLOT_UP, SLOT_DOWN, SLOT_SET -> slot(open, kind, typed);
            case DAY_ADD, DAY_COPY, DAY_REMOVE, DAY_EARLIER, DAY_LATER, DAY_SET -> day(open, kind, typed);
            case BLOCK_SET, BLOCK_SHIFT -> block(open, kind, typed);
            case CONTEST_SHAPE -> shapeForContest(open, typed);
        };
    }

    // ---- weeks

    private static String week(BlockDesk.Open open, Kind kind, Typed typed) {
        BlockDraft draft = open.draft;
        int week = typed.read("week", text -> Reading.number(text, 1, draft.weeks.size())) - 1;
        int firstOpen = open.plan().firstOpenWeek();
        switch (kind) {
            case WEEK_INSERT -> insert(draft, week, Optional.empty(), firstOpen);
            case WEEK_COPY -> insert(draft, week + 1, Optional.of(week), firstOpen);
            case WEEK_REMOVE -> {
                checkOpen(week, firstOpen);
                if (draft.weeks.size() == 1) {
                    throw new BlockDesk.Refused("last-week");
                }
                draft.removeWeek(week);
            }
            case WEEK_EARLIER -> {
                checkOpen(week - 1, firstOpen);
                draft.moveWeek(week, week - 1);
            }
            case WEEK_LATER -> {
                checkOpen(week, firstOpen);
                if (week + 1 == draft.weeks.size()) {
                    throw new BlockDesk.Refused("no-further");
                }
                draft.moveWeek(week, week + 1);
            }
            case WEEK_SHAPE ->
                draft.weeks.set(
                        week,
                        new BlockWeek(
                                typed.read("phase", text -> Reading.choice(Phase.class, text)),
                                typed.isTicked("deload")));
            default -> {
                int by = typed.read("by", text -> Reading.number(text, 1, 12));
                for (int i = 0; i < by; i++) {
                    insert(draft, week + 1, Optional.of(week), firstOpen);
                }
            }
        }
        return String.valueOf(week + 1);
    }

    private static void insert(BlockDraft draft, int at, Optional<Integer> like, int firstOpen) {
        checkOpen(at, firstOpen);
        if (draft.weeks.size() == Block.MOST_WEEKS) {
            throw new BlockDesk.Refused("too-long", Block.MOST_WEEKS);
        }
        draft.insertWeek(at, like);
    }

    private static void checkOpen(int week, int firstOpen) {
        if (week < 0) {
            throw new BlockDesk.Refused("no-further");
        }
        if (week < firstOpen) {
            throw new BlockDesk.Refused("begun", firstOpen);
        }
    }

    // ---- slots

    private static String slot(BlockDesk.Open open, Kind kind, Typed typed) {
        BlockDraft draft = open.draft;
        if (kind == Kind.SLOT_ADD) {
            return addSlot(open, typed);
        }
        long id = typed.read("slot", BlockChanges::id);
        BlockDraft.Slot slot = Optional.ofNullable(draft.slots.get(id))
                .filter(s -> !s.removed())
                .orElseThrow(() -> new BlockDesk.Refused("gone"));
        boolean history = open.plan().hasHistory(slot.dayId());
        switch (kind) {
            case SLOT_REMOVE -> {
                if (history) {
                    clearFrom(open, id);
                } else {
                    draft.slots.put(id, slot.removed(true));
                }
            }
            case SLOT_UP -> swap(draft, slot, -1, history);
            case SLOT_DOWN -> swap(draft, slot, 1, history);
            default -> set(open, slot, history, typed);
        }
        return slot.letter();
    }

    private static String addSlot(BlockDesk.Open open, Typed typed) {
        BlockDraft draft = open.draft;
        long day = typed.read("day", BlockChanges::id);
        if (!draft.days.containsKey(day) || draft.days.get(day).removed()) {
            throw new BlockDesk.Refused("gone");
        }
        Lift lift = typed.read("lift", text -> lift(open.plan(), text));
        List<BlockDraft.Slot> there = draft.slotsOf(day);
        int last = there.stream().mapToInt(BlockDraft.Slot::position).max().orElse(-1);
        String letter = freeLetter(there);
        BlockDraft.Slot slot = open.newSlot(day, last + 1, letter, lift);
        Optional<String> reason = typed.readIfAny("reason", text -> line(text, LONGEST_NAME * 2));
        draft.slots.put(slot.id(), slot.removed(false).because(reason));
        return letter;
    }

    private static String freeLetter(List<BlockDraft.Slot> there) {
        Set<String> taken = new HashSet<>();
        there.forEach(slot -> taken.add(slot.letter().substring(0, 1)));
        return IntStream.rangeClosed('A', 'Z')
                .mapToObj(c -> String.valueOf((char) c))
                .filter(letter -> !taken.contains(letter))
                .findFirst()
                .orElseThrow(() -> new BlockDesk.Refused("too-many-slots"));
    }

    private static void clearFrom(BlockDesk.Open open, long slot) {
        for (int week = 0; week < open.draft.weeks.size(); week++) {
            CellKey key = new CellKey(slot, week);
            if (!open.isHistory(key)) {
                open.draft.cell(key, "");
            }
        }
    }

    /** Slots trade places, and their letters where nobody has logged under them. */
    private static void swap(BlockDraft draft, BlockDraft.Slot slot, int by, boolean history) {
        List<BlockDraft.Slot> there = draft.slotsOf(slot.dayId());
        int other = there.indexOf(slot) + by;
        if (other < 0 || other >= there.size()) {
            throw new BlockDesk.Refused("no-further");
        }
        BlockDraft.Slot with = there.get(other);
        draft.slots.put(slot.id(), slot.at(with.position(), history ? slot.letter() : with.letter()));
        draft.slots.put(with.id(), with.at(slot.position(), history ? with.letter() : slot.letter()));
    }

    private static void set(BlockDesk.Open open, BlockDraft.Slot slot, boolean history, Typed typed) {
        String letter = typed.read("letter", BlockChanges::letter);
        Lift lift = typed.read("lift", text -> lift(open.plan(), text));
        Optional<String> reason = typed.readIfAny("reason", text -> line(text, LONGEST_NAME * 2));
        boolean taken = open.draft.slotsOf(slot.dayId()).stream()
                .anyMatch(other -> other.id() != slot.id() && other.letter().equals(letter));
        if (taken) {
            throw new UnreadableException("plan.letter-taken").in("letter");
        }
        if (history && !(letter.equals(slot.letter()) && lift.equals(slot.lift()))) {
            throw new BlockDesk.Refused("slot-lifted");
        }
        open.draft.slots.put(
                slot.id(), slot.with(lift).at(slot.position(), letter).because(reason));
    }

    // ---- days

    private static String day(BlockDesk.Open open, Kind kind, Typed typed) {
        BlockDraft draft = open.draft;
        if (kind == Kind.DAY_ADD) {
            return addDay(open, typed).name();
        }
        long id = typed.read("day", BlockChanges::id);
        BlockDraft.Day day = Optional.ofNullable(draft.days.get(id))
                .filter(d -> !d.removed())
                .orElseThrow(() -> new BlockDesk.Refused("gone"));
        switch (kind) {
            case DAY_REMOVE -> {
                if (open.plan().hasHistory(id)) {
                    draft.slotsOf(id).forEach(slot -> clearFrom(open, slot.id()));
                } else {
                    draft.days.put(id, day.removed(true));
                }
            }
            case DAY_EARLIER -> swap(draft, day, -1);
            case DAY_LATER -> swap(draft, day, 1);
            case DAY_COPY -> {
                BlockDraft.Day copy = addDay(open, typed);
                for (BlockDraft.Slot slot : draft.slotsOf(id)) {
                    BlockDraft.Slot twin = open.newSlot(copy.id(), slot.position(), slot.letter(), slot.lift());
                    draft.slots.put(
                            twin.id(),
                            new BlockDraft.Slot(
                                    twin.id(),
                                    copy.id(),
                                    slot.position(),
                                    slot.letter(),
                                    slot.lift(),
                                    slot.school(),
                                    slot.reason(),
                                    false));
                    for (int week = open.plan().firstOpenWeek(); week < draft.weeks.size(); week++) {
                        draft.cell(new CellKey(twin.id(), week), draft.cell(new CellKey(slot.id(), week)));
                    }
                }
            }
            default ->
                draft.days.put(
                        id,
                        new BlockDraft.Day(
                                id,
                                day.position(),
                                typed.read("offset", text -> Reading.number(text, 0, 6)),
                                typed.read("name", text -> line(text, LONGEST_NAME)),
                                false));
        }
        return day.name();
    }

    private static BlockDraft.Day addDay(BlockDesk.Open open, Typed typed) {
        BlockDraft draft = open.draft;
        int last = draft.daysInOrder().stream()
                .mapToInt(BlockDraft.Day::position)
                .max()
                .orElse(-1);
        BlockDraft.Day day = open.newDay(
                last + 1,
                typed.read("offset", text -> Reading.number(text, 0, 6)),
                typed.read("name", text -> line(text, LONGEST_NAME)));
        draft.days.put(day.id(), day.removed(false));
        return draft.days.get(day.id());
    }

    private static void swap(BlockDraft draft, BlockDraft.Day day, int by) {
        List<BlockDraft.Day> there = draft.daysInOrder();
        int other = there.indexOf(day) + by;
        if (other < 0 || other >= there.size()) {
            throw new BlockDesk.Refused("no-further");
        }
        BlockDraft.Day with = there.get(other);
        draft.days.put(day.id(), new BlockDraft.Day(day.id(), with.position(), day.offset(), day.name(), false));
        draft.days.put(with.id(), new BlockDraft.Day(with.id(), day.position(), with.offset(), with.name(), false));
    }

    // ---- the block

    private static String block(BlockDesk.Open open, Kind kind, Typed typed) {
        BlockDraft draft = open.draft;
        if (kind == Kind.BLOCK_SET) {
            draft.name = typed.read("name", text -> line(text, LONGEST_NAME));
            draft.contest = typed.readIfAny("contest", Reading::day);
            return draft.name;
        }
        LocalDate start = typed.read("start", Reading::day);
        if (open.plan().firstOpenWeek() > 0) {
            throw new BlockDesk.Refused("begun", open.plan().firstOpenWeek());
        }
        draft.start = start;
        return start.toString();
    }

    /** Rewrites the doses around a contest for it; days that were lifted stay. */
    private static String shapeForContest(BlockDesk.Open open, Typed typed) {
        BlockDraft draft = open.draft;
        LifterPlan plan = open.plan();
        Block block = asItStands(draft, plan);
        LocalDate contest = typed.read("contest", text -> {
            LocalDate day = Reading.day(text);
            if (!day.isAfter(block.start()) || day.isAfter(block.end().plusDays(Taper.DAYS))) {
                throw new UnreadableException("alter.contest-far", Taper.DAYS);
            }
            return day;
        });
        Taper taper = new Taper(contest, plan.standing().catalogue(), plan.resolver()::numbers);
        Block shaped = taper.over(block, plan::isFinished);
        for (int day = 0; day < shaped.days().size(); day++) {
            List<Slot> slots = shaped.days().get(day).slots();
            for (int slot = 0; slot < slots.size(); slot++) {
                for (int week = 0; week < shaped.weeks(); week++) {
                    CellKey key = new CellKey(plan.slotIds().get(day).get(slot), week);
                    draft.cell(
                            key,
                            slots.get(slot)
                                    .doses()
                                    .get(week)
                                    .map(Dose::shorthand)
                                    .orElse(""));
                }
            }
        }
        for (int week = 0; week < shaped.weeks(); week++) {
            draft.weeks.set(week, shaped.shape().get(week));
        }
        draft.contest = Optional.of(contest);
        return contest.toString();
    }

    /** The block with its doses as they are held now; its weeks, days and slots are those the coach saw. */
    private static Block asItStands(BlockDraft draft, LifterPlan plan) {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < plan.block().days().size(); day++) {
            TrainingDay training = plan.block().days().get(day);
            List<Slot> slots = new ArrayList<>();
            for (int s = 0; s < training.slots().size(); s++) {
                Slot slot = training.slots().get(s);
                long id = plan.slotIds().get(day).get(s);
                List<Optional<Dose>> doses = new ArrayList<>();
                for (int week = 0; week < draft.weeks.size(); week++) {
                    String text = draft.cell(new CellKey(id, week));
                    doses.add(text.isEmpty() ? Optional.empty() : Optional.of(Dose.parse(text)));
                }
                slots.add(new Slot(slot.letter(), slot.lift(), doses, slot.school(), slot.reason()));
            }
            days.add(new TrainingDay(training.name(), training.offset(), slots));
        }
        return new Block(draft.start, draft.weeks.size(), days, draft.weeks, draft.contest);
    }

    // ---- reading

    /** A name on one line. */
    static String line(String text, int most) {
        return Reading.words(text.replaceAll("\\p{Cntrl}", " "), most);
    }

    private static long id(String text) {
        try {
            return Long.parseLong(text);
        } catch (NumberFormatException none) {
            throw new BlockDesk.Refused("gone");
        }
    }

    private static String letter(String text) {
        String letter = text.toUpperCase(Locale.ROOT);
        if (!letter.matches("[A-Z][1-9]?")) {
            throw new UnreadableException("plan.letter-wrong");
        }
        return letter;
    }

    private static Lift lift(LifterPlan plan, String key) {
        return plan.standing().catalogue().all().stream()
                .map(variation -> variation.lift())
                .filter(lift -> lift.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new UnreadableException("plan.no-such-lift"));
    }
}
