package dev.yarbel.core.block;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import dev.yarbel.core.block.EditRefused.Why;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class BlockEditTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final List<Lift> LIFTS = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
    private static final List<String> DOSES = List.of("", "3x5 75%", "1 @8", "5x5 last +2.5kg", "2x3 140kg");

    /** Two days, of three slots and one, over three weeks. */
    private final Block block = new Block(
            "Spring",
            MONDAY,
            List.of(
                    new TrainingDay(
                            "Heavy",
                            0,
                            List.of(
                                    slot("A", Lift.SQUAT, "3x5 70%", "3x5 75%", "3x5 80%"),
                                    slot("B", Lift.BENCH_PRESS, "1 @8", "1 @8.5", ""),
                                    slot("C", Lift.DEADLIFT, "", "2x3 75%", "2x3 80%"))),
                    new TrainingDay("Light", 3, List.of(slot("A", Lift.SQUAT, "3x5 60%", "3x5 60%", "3x5 60%")))),
            List.of(BlockWeek.PLAIN, BlockWeek.of(Phase.STRENGTH), BlockWeek.PLAIN.asDeload()),
            Optional.of(MONDAY.plusWeeks(4)));

    private static final DayId HEAVY = new DayId(1);
    private static final DayId LIGHT = new DayId(2);
    private static final SlotId SQUAT = new SlotId(1);
    private static final SlotId BENCH = new SlotId(2);
    private static final SlotId PULL = new SlotId(3);

    private long next = 100;

    private static Slot slot(String letter, Lift lift, String... doses) {
        return new Slot(
                letter, lift, List.of(doses).stream().map(BlockEditTest::dose).toList());
    }

    private static Optional<Dose> dose(String text) {
        return text.isEmpty() ? Optional.empty() : Optional.of(Dose.parse(text));
    }

    /** The heavy day of the first week was lifted. */
    private static final Lifted FIRST_HEAVY_DAY = new Lifted() {
        @Override
        public boolean isFinished(DayId day, int week) {
            return day.equals(HEAVY) && week == 0;
        }

        @Override
        public boolean hasHistory(DayId day) {
            return day.equals(HEAVY);
        }

        @Override
        public int firstOpenWeek() {
            return 1;
        }
    };

    private SetDoses set(SlotId slot, int week, String from, String to) {
        return new SetDoses(List.of(new SetDoses.Change(slot, week, dose(from), dose(to))));
    }

    private Block after(BlockEdit edit) {
        return edit.apply(block, Lifted.NOTHING).block();
    }

    private static void refused(Block block, BlockEdit edit, Lifted lifted, Why why) {
        assertThatExceptionOfType(EditRefused.class)
                .isThrownBy(() -> edit.apply(block, lifted))
                .extracting(EditRefused::why)
                .isEqualTo(why);
    }

    private static List<String> row(Block block, SlotId slot) {
        return block.slot(slot).orElseThrow().doses().stream()
                .map(dose -> dose.map(Dose::shorthand).orElse(""))
                .toList();
    }

    private static List<String> letters(Block block, DayId day) {
        return block.day(day).orElseThrow().slots().stream()
                .map(slot -> slot.letter() + " " + slot.lift().key())
                .toList();
    }

    // ---- any edit of any block

    @Property(tries = 600)
    void everyEditLeadsBackAndForthAgain(@ForAll Random random, @ForAll @IntRange(min = 1, max = 8) int edits) {
        Block now = random(random);
        for (int i = 0; i < edits && !now.days().isEmpty(); i++) {
            BlockEdit edit = edit(random, now);
            Edited edited;
            try {
                edited = edit.apply(now, Lifted.NOTHING);
            } catch (EditRefused refused) {
                continue;
            }
            Edited undone = edited.back().apply(edited.block(), Lifted.NOTHING);
            assertThat(undone.block()).as("%s taken back", edit).isEqualTo(now);
            assertThat(undone.back().apply(now, Lifted.NOTHING).block())
                    .as("%s made again", edit)
                    .isEqualTo(edited.block());
            now = edited.block();
        }
    }

    /** No edit at all changes a dose that was lifted, or the week it stands in, or the letter and lift it was logged under. */
    @Property(tries = 600)
    void noEditChangesWhatWasLifted(@ForAll Random random) {
        Block before = random(random);
        DayId day = before.days().get(0).id();
        int week = random.nextInt(before.weeks());
        Lifted lifted = new Lifted() {
            @Override
            public boolean isFinished(DayId other, int w) {
                return other.equals(day) && w == week;
            }

            @Override
            public boolean hasHistory(DayId other) {
                return other.equals(day);
            }

            @Override
            public int firstOpenWeek() {
                return week + 1;
            }
        };
        BlockEdit edit = edit(random, before);
        Block after;
        try {
            after = edit.apply(before, lifted).block();
        } catch (EditRefused refused) {
            return;
        }
        assertThat(after.day(day)).as("%s", edit).isPresent();
        for (Slot slot : before.day(day).orElseThrow().slots()) {
            if (slot.doses().stream().limit(week + 1).allMatch(Optional::isEmpty)
                    && after.slot(slot.id()).isEmpty()) {
                continue; // nothing was lifted of it
            }
            Slot there = after.slot(slot.id()).orElseThrow();
            assertThat(there.dose(week)).as("%s", edit).isEqualTo(slot.dose(week));
            assertThat(there.letter() + there.lift()).as("%s", edit).isEqualTo(slot.letter() + slot.lift());
        }
    }

    /** On a copy of a block an edit comes to the same as on the block itself. */
    @Property(tries = 300)
    void anEditGoesForACopyOfTheBlockAsWell(@ForAll Random random) {
        Block ours = random(random);
        Block theirs = ours.with(ours.days().stream()
                .map(day -> day.with(day.slots().stream()
                                .map(slot -> slot.as(new SlotId(slot.id().number() + 1000)))
                                .toList())
                        .as(new DayId(day.id().number() + 1000)))
                .toList());
        Twins twins = new Twins(ours, theirs, () -> new DayId(next++), () -> new SlotId(next++));
        BlockEdit edit = edit(random, ours);
        Block ourAfter;
        try {
            ourAfter = edit.apply(ours, Lifted.NOTHING).block();
        } catch (EditRefused refused) {
            return;
        }
        Block theirAfter =
                edit.on(twins, Lifted.NOTHING).apply(theirs, Lifted.NOTHING).block();
        assertThat(withoutNumbers(theirAfter)).as("%s", edit).isEqualTo(withoutNumbers(ourAfter));
    }

    private static Block withoutNumbers(Block block) {
        return block.with(block.days().stream()
                .map(day -> day.with(day.slots().stream()
                                .map(slot -> slot.as(SlotId.NEW))
                                .toList())
                        .as(DayId.NEW))
                .toList());
    }

    private static Block random(Random random) {
        int weeks = 1 + random.nextInt(4);
        List<TrainingDay> days = new ArrayList<>();
        for (int d = 0; d <= random.nextInt(3); d++) {
            List<Slot> slots = new ArrayList<>();
            for (int s = 0; s < random.nextInt(4); s++) {
                slots.add(new Slot(
                        String.valueOf((char) ('A' + s)),
                        pick(random, LIFTS),
                        IntStream.range(0, weeks)
                                .mapToObj(w -> dose(pick(random, DOSES)))
                                .toList()));
            }
            days.add(new TrainingDay("Day " + d, d, slots));
        }
        List<BlockWeek> shape = IntStream.range(0, weeks)
                .mapToObj(w -> new BlockWeek(pick(random, List.of(Phase.values())), random.nextBoolean()))
                .toList();
        return new Block("Spring", MONDAY, days, shape, Optional.empty());
    }

    private BlockEdit edit(Random random, Block block) {
        int week = random.nextInt(block.weeks());
        BlockWeek shape = new BlockWeek(pick(random, List.of(Phase.values())), random.nextBoolean());
        TrainingDay day = pick(random, block.days());
        int by = random.nextBoolean() ? 1 : -1;
        int kind = random.nextInt(day.slots().isEmpty() ? 11 : 16);
        Slot slot = day.slots().isEmpty() ? null : pick(random, day.slots());
        return switch (kind) {
            case 0 -> new WeekEdit.Set(week, block.shape().get(week), shape);
            case 1 -> WeekEdit.Insert.empty(week);
            case 2 -> new WeekEdit.Repeat(week);
            case 3 -> WeekEdit.Remove.of(block, week);
            case 4 -> new WeekEdit.Move(week, week + by);
            case 5 -> DayEdit.Set.of(block, day.id(), new DayEdit.Title("Other", random.nextInt(7)));
            case 6 -> DayEdit.Add.last(block, new TrainingDay(new DayId(next++), "New", random.nextInt(7), List.of()));
            case 7 -> {
                Map<SlotId, SlotId> numbers = new HashMap<>();
                day.slots().forEach(each -> numbers.put(each.id(), new SlotId(next++)));
                yield new DayEdit.Copy(day.id(), new DayId(next++), new DayEdit.Title("Twin", 6), numbers);
            }
            case 8 -> new DayEdit.Remove(day);
            case 9 -> new DayEdit.Move(day.id(), by);
            case 10 ->
                new SlotEdit.Add(
                        day.id(),
                        day.slots().size(),
                        new Slot("Z", Lift.SQUAT, Collections.nCopies(block.weeks(), dose("3x3 70%")))
                                .as(new SlotId(next++)));
            case 11 ->
                SlotEdit.Set.of(
                        block,
                        slot.id(),
                        new SlotEdit.Title(pick(random, List.of("A", "Y")), pick(random, LIFTS), Optional.of("why")));
            case 12 -> new SlotEdit.Remove(slot);
            case 13 -> SlotEdit.Move.of(block, slot.id(), by, Lifted.NOTHING);
            case 14 ->
                new SetDoses(List.of(new SetDoses.Change(slot.id(), week, slot.dose(week), dose(pick(random, DOSES)))));
            default ->
                new BlockEdit.Several(
                        List.of(new WeekEdit.Repeat(week), SlotEdit.Move.of(block, slot.id(), by, Lifted.NOTHING)));
        };
    }

    private static <T> T pick(Random random, List<T> from) {
        return from.get(random.nextInt(from.size()));
    }

    // ---- what each does

    @Test
    void weeksArePutInRepeatedTakenAwayAndMoved() {
        assertThat(row(after(WeekEdit.Insert.empty(1)), SQUAT)).containsExactly("3x5 70%", "", "3x5 75%", "3x5 80%");
        Block longer = after(new WeekEdit.Repeat(1));
        assertThat(row(longer, BENCH)).containsExactly("1 @8", "1 @8.5", "1 @8.5", "");
        assertThat(longer.shape().get(2)).isEqualTo(BlockWeek.of(Phase.STRENGTH));
        assertThat(row(after(WeekEdit.Remove.of(block, 0)), SQUAT)).containsExactly("3x5 75%", "3x5 80%");
        assertThat(row(after(new WeekEdit.Move(2, 0)), SQUAT)).containsExactly("3x5 80%", "3x5 70%", "3x5 75%");
        assertThat(after(new WeekEdit.Move(2, 0)).shape().get(0)).isEqualTo(BlockWeek.PLAIN.asDeload());
    }

    @Test
    void slotsTradePlacesAndLettersUntilSomebodyHasLoggedUnderThem() {
        assertThat(letters(after(SlotEdit.Move.of(block, SQUAT, 1, Lifted.NOTHING)), HEAVY))
                .containsExactly("A bench-press", "B squat", "C deadlift");
        Block lifted = SlotEdit.Move.of(block, SQUAT, 1, FIRST_HEAVY_DAY)
                .apply(block, FIRST_HEAVY_DAY)
                .block();
        assertThat(letters(lifted, HEAVY)).containsExactly("B bench-press", "A squat", "C deadlift");
        refused(block, new SlotEdit.Move(SQUAT, -1, true), Lifted.NOTHING, Why.NO_FURTHER);
        refused(block, new SlotEdit.Move(PULL, 1, true), Lifted.NOTHING, Why.NO_FURTHER);
    }

    @Test
    void ofADayOrSlotWithAHistoryWhatIsToComeIsTakenAway() {
        Block after = new SlotEdit.Remove(block.slot(SQUAT).orElseThrow())
                .apply(block, FIRST_HEAVY_DAY)
                .block();
        assertThat(row(after, SQUAT)).containsExactly("3x5 70%", "", "");
        // one that asked for nothing where something was lifted goes altogether, and comes back
        Edited untouched = new SlotEdit.Remove(block.slot(PULL).orElseThrow()).apply(block, FIRST_HEAVY_DAY);
        assertThat(untouched.block().slot(PULL)).isEmpty();
        assertThat(untouched.back().apply(untouched.block(), FIRST_HEAVY_DAY).block())
                .isEqualTo(block);
        Edited day = new DayEdit.Remove(block.day(HEAVY).orElseThrow()).apply(block, FIRST_HEAVY_DAY);
        assertThat(row(day.block(), BENCH)).containsExactly("1 @8", "", "");
        assertThat(row(day.block(), PULL)).containsExactly("", "", "");
        assertThat(day.back().apply(day.block(), FIRST_HEAVY_DAY).block()).isEqualTo(block);
        assertThat(after(new DayEdit.Remove(block.day(HEAVY).orElseThrow())).days())
                .extracting(TrainingDay::name)
                .containsExactly("Light");
    }

    @Test
    void weeksThatWereBegunStayWhereTheyAre() {
        for (BlockEdit edit : List.of(
                WeekEdit.Insert.empty(0),
                WeekEdit.Remove.of(block, 0),
                new WeekEdit.Move(0, 1),
                new WeekEdit.Move(1, 0),
                new BlockEdit.Start(MONDAY, MONDAY.plusDays(1)))) {
            refused(block, edit, FIRST_HEAVY_DAY, Why.BEGUN);
        }
        assertThat(WeekEdit.Insert.empty(1)
                        .apply(block, FIRST_HEAVY_DAY)
                        .block()
                        .weeks())
                .isEqualTo(4);
    }

    @Property
    void aBlockShiftedByDaysKeepsItsWeekdaysAndIsShiftedBackExactly(@ForAll @IntRange(min = -40, max = 40) int days) {
        BlockEdit shift = new BlockEdit.Shift(MONDAY, MONDAY.plusDays(days));
        Edited shifted = shift.apply(block, Lifted.NOTHING);
        assertThat(shifted.block().start()).isEqualTo(MONDAY.plusDays(days));
        for (int day = 0; day < block.days().size(); day++) {
            assertThat(shifted.block().date(day, 1).getDayOfWeek())
                    .isEqualTo(block.date(day, 1).getDayOfWeek());
        }
        assertThat(shifted.back().apply(shifted.block(), Lifted.NOTHING).block())
                .isEqualTo(block);
        refused(block, shift, FIRST_HEAVY_DAY, Why.BEGUN);
    }

    @Test
    void daysComeInTheOrderOfTheWeekHoweverTheyAreListed() {
        // trained on Mondays and Thursdays; from a Wednesday on, Thursday comes first
        Block shifted = after(new BlockEdit.Shift(MONDAY, MONDAY.plusDays(2)));
        assertThat(shifted.daysByDate().stream().map(day -> shifted.date(day, 0)))
                .isSorted();
        assertThat(block.daysByDate()).containsExactly(0, 1);
    }

    @Test
    void whatWasLiftedIsNotRewritten() {
        refused(block, set(SQUAT, 0, "3x5 70%", "3x5 72.5%"), FIRST_HEAVY_DAY, Why.LIFTED);
        assertThat(row(
                        set(SQUAT, 1, "3x5 75%", "")
                                .apply(block, FIRST_HEAVY_DAY)
                                .block(),
                        SQUAT))
                .containsExactly("3x5 70%", "", "3x5 80%");
        SlotEdit.Title other = new SlotEdit.Title("D", Lift.SQUAT, Optional.empty());
        refused(block, SlotEdit.Set.of(block, SQUAT, other), FIRST_HEAVY_DAY, Why.SLOT_LIFTED);
        SlotEdit.Title because = new SlotEdit.Title("A", Lift.SQUAT, Optional.of("slow off the floor"));
        assertThat(SlotEdit.Set.of(block, SQUAT, because)
                        .apply(block, FIRST_HEAVY_DAY)
                        .block()
                        .slot(SQUAT)
                        .orElseThrow()
                        .reason())
                .contains("slow off the floor");
    }

    @Test
    void anEditThatFindsSomethingElseIsRefused() {
        Block changed = set(SQUAT, 1, "3x5 75%", "3x5 77.5%")
                .apply(block, Lifted.NOTHING)
                .block();
        for (BlockEdit edit : List.of(
                set(SQUAT, 1, "3x5 75%", "3x3 80%"),
                WeekEdit.Remove.of(block, 1),
                new SlotEdit.Remove(block.slot(SQUAT).orElseThrow()),
                new DayEdit.Remove(block.day(HEAVY).orElseThrow()))) {
            refused(changed, edit, Lifted.NOTHING, Why.OVERTAKEN);
        }
        refused(
                block,
                new BlockEdit.Rename(
                        new BlockEdit.Title("Autumn", Optional.empty()), new BlockEdit.Title("X", Optional.empty())),
                Lifted.NOTHING,
                Why.OVERTAKEN);
        refused(block, new BlockEdit.Start(MONDAY.plusDays(7), MONDAY), Lifted.NOTHING, Why.OVERTAKEN);
        refused(block, new WeekEdit.Set(1, BlockWeek.PLAIN, BlockWeek.of(Phase.PEAK)), Lifted.NOTHING, Why.OVERTAKEN);
    }

    @Test
    void aBlockHasOneWeekAtLeastAndFiftyTwoAtMost() {
        Block shortest = new Block(MONDAY, 1, List.of());
        refused(shortest, WeekEdit.Remove.of(shortest, 0), Lifted.NOTHING, Why.LAST_WEEK);
        Block longest = new Block(MONDAY, Block.MOST_WEEKS, List.of());
        refused(longest, new WeekEdit.Repeat(51), Lifted.NOTHING, Why.TOO_LONG);
        assertThat(new WeekEdit.Repeat(50)
                        .apply(new Block(MONDAY, 51, List.of()), Lifted.NOTHING)
                        .block()
                        .weeks())
                .isEqualTo(52);
        refused(block, new WeekEdit.Move(2, 3), Lifted.NOTHING, Why.NO_FURTHER);
    }

    @Test
    void eachSlotOfADayHasALetterOfItsOwn() {
        SlotEdit.Title taken = new SlotEdit.Title("B", Lift.SQUAT, Optional.empty());
        refused(block, SlotEdit.Set.of(block, SQUAT, taken), Lifted.NOTHING, Why.LETTER_TAKEN);
    }

    @Test
    void aCopiedDayAsksForWhatIsStillToCome() {
        DayEdit.Copy copy = new DayEdit.Copy(
                HEAVY,
                new DayId(9),
                new DayEdit.Title("Again", 5),
                Map.of(SQUAT, new SlotId(11), BENCH, new SlotId(12), PULL, new SlotId(13)));
        Block after = copy.apply(block, FIRST_HEAVY_DAY).block();
        assertThat(after.days()).extracting(TrainingDay::name).containsExactly("Heavy", "Light", "Again");
        assertThat(row(after, new SlotId(11))).containsExactly("", "3x5 75%", "3x5 80%");
    }

    @Test
    void severalAreMadeTogetherOrNotAtAll() {
        BlockEdit.Several several =
                new BlockEdit.Several(List.of(set(SQUAT, 1, "3x5 75%", "3x5 70%"), new WeekEdit.Move(2, 3)));
        refused(block, several, Lifted.NOTHING, Why.NO_FURTHER);
    }

    // ---- on other blocks

    @Test
    void dosesFollowWhereTheSameSlotAsksForTheSame() {
        Block theirs = set(SQUAT, 2, "3x5 80%", "3x5 77.5%")
                .apply(block, Lifted.NOTHING)
                .block();
        Twins twins = new Twins(block, theirs, () -> DayId.NEW, () -> SlotId.NEW);
        SetDoses edit = new SetDoses(List.of(
                new SetDoses.Change(SQUAT, 1, dose("3x5 75%"), dose("3x3 80%")),
                new SetDoses.Change(SQUAT, 2, dose("3x5 80%"), dose("3x3 85%"))));
        assertThat(edit.whereAlike(twins, Lifted.NOTHING, change -> true))
                .isEqualTo(set(SQUAT, 1, "3x5 75%", "3x3 80%"));
        assertThat(edit.whereAlike(twins, Lifted.NOTHING, change -> false)).isEqualTo(new SetDoses(List.of()));
        assertThat(row(
                        edit.on(twins, Lifted.NOTHING)
                                .apply(theirs, Lifted.NOTHING)
                                .block(),
                        SQUAT))
                .containsExactly("3x5 70%", "3x3 80%", "3x3 85%");
    }

    @Test
    void anEditOfADayThatIsNotThereDoesNotGo() {
        Block theirs = after(DayEdit.Set.of(block, LIGHT, new DayEdit.Title("Speed", 3)));
        Twins twins = new Twins(block, theirs, () -> DayId.NEW, () -> SlotId.NEW);
        assertThatExceptionOfType(EditRefused.class)
                .isThrownBy(() -> new DayEdit.Move(LIGHT, -1).on(twins, Lifted.NOTHING))
                .extracting(EditRefused::why)
                .isEqualTo(Why.GONE);
    }

    @Test
    void whatMakesOneBlockOfAnotherIsFound() {
        Block whole = block.withSlots(slot -> slot.id().equals(BENCH) ? slot.with(2, dose("2x5 60%")) : slot)
                .named("Autumn");
        Edited edited = BlockEdit.between(block, whole).apply(block, Lifted.NOTHING);
        assertThat(edited.block()).isEqualTo(whole);
        assertThat(edited.back().apply(whole, Lifted.NOTHING).block()).isEqualTo(block);
        assertThat(BlockEdit.between(block, block)).isEqualTo(new BlockEdit.Several(List.of()));
        assertThat(BlockEdit.between(block, whole).touches(BENCH, 2)).isTrue();
    }

    @Test
    void daysAndSlotsWithoutANumberAreGivenOne() {
        assertThat(block.days()).extracting(TrainingDay::id).containsExactly(HEAVY, LIGHT);
        assertThat(block.slots().map(Slot::id)).containsExactly(SQUAT, BENCH, PULL, new SlotId(4));
        assertThat(Set.copyOf(block.slots().map(Slot::id).toList())).hasSize(4);
    }
}
