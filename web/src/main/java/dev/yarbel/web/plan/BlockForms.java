package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.DayEdit;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.block.WeekEdit;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.shape.Taper;
import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.block.HeldBlock;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.time.LocalDate;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/** Reads what the forms beside the sheet ask of a block's weeks, days and slots: the only place that knows their fields. */
final class BlockForms {

    /** An edit, and what the ledger says of it. */
    record Asked(BlockEdit edit, EditRecord record) {}

    private static final int LONGEST_NAME = 40;
    private static final int MOST_REPEATS = 12;

    private final HeldBlock held;
    private final Block block;
    private final ChangeForm form;

    private BlockForms(HeldBlock held, ChangeForm form) {
        this.held = held;
        this.block = held.block();
        this.form = form;
    }

    /**
     * Reads a form.
     *
     * @throws UnreadableException when a field cannot be used
     * @throws BlockRefused when it is about something that is not there
     */
    static Asked read(HeldBlock held, ChangeForm form) {
        return new BlockForms(held, form).read(form.kind());
    }

    private Asked read(ChangeForm.Kind kind) {
        return switch (kind) {
            case WEEK_INSERT -> asked(kind, week() + 1, WeekEdit.Insert.empty(week()));
            case WEEK_COPY -> asked(kind, week() + 1, new WeekEdit.Repeat(week()));
            case WEEK_REMOVE -> asked(kind, week() + 1, WeekEdit.Remove.of(block, week()));
            case WEEK_EARLIER -> asked(kind, week() + 1, new WeekEdit.Move(week(), week() - 1));
            case WEEK_LATER -> asked(kind, week() + 1, new WeekEdit.Move(week(), week() + 1));
            case WEEK_SHAPE -> asked(kind, week() + 1, shape());
            case PHASE_LENGTHEN -> asked(kind, week() + 1, lengthened());
            case SLOT_ADD -> addedSlot(kind);
            case SLOT_COPY -> copiedSlot(kind);
            case SLOT_REMOVE -> asked(kind, slot().letter(), new SlotEdit.Remove(slot()));
            case SLOT_UP -> asked(kind, slot().letter(), SlotEdit.Move.of(block, slot().id(), -1, held.read()));
            case SLOT_DOWN -> asked(kind, slot().letter(), SlotEdit.Move.of(block, slot().id(), 1, held.read()));
            case SLOT_SET -> asked(kind, slot().letter(), setSlot());
            case DAY_ADD -> addedDay(kind);
            case DAY_COPY -> asked(kind, day().name(), copiedDay());
            case DAY_REMOVE -> asked(kind, day().name(), new DayEdit.Remove(day()));
            case DAY_EARLIER -> asked(kind, day().name(), new DayEdit.Move(day().id(), -1));
            case DAY_LATER -> asked(kind, day().name(), new DayEdit.Move(day().id(), 1));
            case DAY_SET -> asked(kind, day().name(), DayEdit.Set.of(block, day().id(), dayTitle()));
            case BLOCK_SET -> renamed(kind);
            case BLOCK_SHIFT -> started(kind);
            case CONTEST_SHAPE -> shapedForContest(kind);
        };
    }

    private static Asked asked(ChangeForm.Kind kind, Object about, BlockEdit edit) {
        String code = kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
        return new Asked(edit, EditRecord.of(code, about));
    }

    // ---- weeks

    private int week() {
        return Reading.within("week", form.week(), 1, block.weeks()) - 1;
    }

    private BlockEdit shape() {
        BlockWeek week = new BlockWeek(Reading.needed("phase", form.phase()), Boolean.TRUE.equals(form.deload()));
        return new WeekEdit.Set(week(), block.shape().get(week()), week);
    }

    private BlockEdit lengthened() {
        int by = Reading.within("by", form.by(), 1, MOST_REPEATS);
        return new BlockEdit.Several(Collections.nCopies(by, new WeekEdit.Repeat(week())));
    }

    // ---- slots

    private Slot slot() {
        return Optional.ofNullable(form.slot())
                .flatMap(number -> block.slot(new SlotId(number)))
                .orElseThrow(() -> new BlockRefused("gone"));
    }

    private Asked addedSlot(ChangeForm.Kind kind) {
        TrainingDay day = day();
        Lift lift = lift();
        Slot slot = new Slot(
                held.newSlot(),
                freeLetter(day),
                lift,
                Collections.nCopies(block.weeks(), Optional.empty()),
                Optional.empty(),
                reason());
        return asked(kind, slot.letter(), new SlotEdit.Add(day.id(), day.slots().size(), slot));
    }

    /** The same slot once more, below itself; on days that were lifted it asked for nothing. */
    private Asked copiedSlot(ChangeForm.Kind kind) {
        Slot slot = slot();
        TrainingDay day = block.dayOf(slot.id()).orElseThrow();
        List<Optional<Dose>> doses = IntStream.range(0, block.weeks())
                .mapToObj(week -> held.read().isFinished(day.id(), week) ? Optional.<Dose>empty() : slot.dose(week))
                .toList();
        Slot copy = new Slot(held.newSlot(), freeLetter(day), slot.lift(), doses, slot.school(), slot.reason());
        return asked(kind, slot.letter(), new SlotEdit.Add(day.id(), day.indexOf(slot.id()) + 1, copy));
    }

    private static String freeLetter(TrainingDay day) {
        Set<String> taken = new HashSet<>();
        day.slots().forEach(slot -> taken.add(slot.letter().substring(0, 1)));
        return IntStream.rangeClosed('A', 'Z')
                .mapToObj(c -> String.valueOf((char) c))
                .filter(letter -> !taken.contains(letter))
                .findFirst()
                .orElseThrow(() -> new BlockRefused("too-many-slots"));
    }

    private BlockEdit setSlot() {
        Slot slot = slot();
        String letter = Reading.field("letter", form.letter(), BlockForms::letter);
        SlotEdit.Title title = new SlotEdit.Title(letter, lift(), reason());
        boolean taken = block.dayOf(slot.id()).orElseThrow().slots().stream()
                .anyMatch(
                        other -> !other.id().equals(slot.id()) && other.letter().equals(letter));
        if (taken) {
            throw new UnreadableException("plan.letter-taken").in("letter");
        }
        return SlotEdit.Set.of(block, slot.id(), title);
    }

    private Lift lift() {
        return lift(held.read().standing().catalogue(), "lift", form.lift());
    }

    private Optional<String> reason() {
        return Reading.fieldIfAny("reason", form.reason(), text -> line(text, LONGEST_NAME * 2));
    }

    // ---- days

    private TrainingDay day() {
        return Optional.ofNullable(form.day())
                .flatMap(number -> block.day(new DayId(number)))
                .orElseThrow(() -> new BlockRefused("gone"));
    }

    private DayEdit.Title dayTitle() {
        return new DayEdit.Title(name(), Reading.within("offset", form.offset(), 0, 6));
    }

    private Asked addedDay(ChangeForm.Kind kind) {
        DayEdit.Title title = dayTitle();
        TrainingDay day = new TrainingDay(held.newDay(), title.name(), title.offset(), List.of());
        return asked(kind, title.name(), DayEdit.Add.last(block, day));
    }

    private BlockEdit copiedDay() {
        TrainingDay day = day();
        DayEdit.Title title = dayTitle();
        Map<SlotId, SlotId> slots = new HashMap<>();
        day.slots().forEach(slot -> slots.put(slot.id(), held.newSlot()));
        return new DayEdit.Copy(day.id(), held.newDay(), title, slots);
    }

    // ---- the block

    private Asked renamed(ChangeForm.Kind kind) {
        BlockEdit.Title title = new BlockEdit.Title(name(), Optional.ofNullable(form.contest()));
        return asked(
                kind, title.name(), new BlockEdit.Rename(new BlockEdit.Title(block.name(), block.contest()), title));
    }

    private Asked started(ChangeForm.Kind kind) {
        LocalDate start = Reading.needed("start", form.start());
        return asked(
                kind,
                start,
                Boolean.TRUE.equals(form.weekdays())
                        ? new BlockEdit.Start(block.start(), start)
                        : new BlockEdit.Shift(block.start(), start));
    }

    /** Rewrites the doses around a contest for it; days that were lifted stay. */
    private Asked shapedForContest(ChangeForm.Kind kind) {
        LocalDate contest = Reading.needed("contest", form.contest());
        Block shaped = held.read()
                .shapedFor(contest)
                .orElseThrow(() -> new UnreadableException("alter.contest-far", Taper.DAYS).in("contest"));
        return asked(kind, contest, BlockEdit.between(block, shaped));
    }

    // ---- reading

    /** A name on one line. */
    static String line(String text, int most) {
        return Reading.words(text.replaceAll("\\p{Cntrl}", " "), most);
    }

    private String name() {
        return Reading.field("name", form.name(), text -> line(text, LONGEST_NAME));
    }

    /** The letter of a slot. */
    static String letter(String text) {
        String letter = text.toUpperCase(Locale.ROOT);
        if (!letter.matches("[A-Z][1-9]?")) {
            throw new UnreadableException("plan.letter-wrong");
        }
        return letter;
    }

    /** A lift of a field, if the club knows it. */
    static Lift lift(Catalogue catalogue, String field, Lift chosen) {
        return Optional.ofNullable(chosen)
                .filter(lift -> catalogue.find(lift).isPresent())
                .orElseThrow(() -> new UnreadableException("plan.no-such-lift").in(field));
    }
}
