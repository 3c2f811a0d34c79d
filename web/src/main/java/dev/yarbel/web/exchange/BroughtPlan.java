package dev.yarbel.web.exchange;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.core.exchange.LiftIndex;
import dev.yarbel.core.exchange.PlanTable;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.DoseReading;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A block that comes in from a table: looked at, with what of it cannot be kept, and begun. It is taken away as any other. */
@Service
@Transactional
class BroughtPlan {

    private static final int LONGEST_NAME = 40;

    private final Blocks blocks;
    private final DoseReading doses;
    private final LiftNames liftNames;
    private final Words words;

    BroughtPlan(Blocks blocks, DoseReading doses, LiftNames liftNames, Words words) {
        this.blocks = blocks;
        this.doses = doses;
        this.liftNames = liftNames;
        this.words = words;
    }

    /**
     * What is said of the block.
     *
     * @param on the weekdays of days that name none, in the order of the week that begins with the start
     */
    record Said(String name, LocalDate start, Set<DayOfWeek> on) {}

    /** Something of the table that cannot come in as it stands. */
    public record Trouble(int line, String text, String why) {}

    /** A training day as it would be; without a date where nobody said on which. */
    public record DayLook(String name, Optional<LocalDate> first, List<Slot> slots) {}

    /**
     * What a table would do.
     *
     * @param block that would be begun; empty where nothing of it can be kept, or not all days have their weekday
     * @param meets what it would meet that is there
     * @param known whether the lifter has this very block
     */
    public record Look(
            List<DayLook> days,
            int weeks,
            Optional<Block> block,
            List<Trouble> troubles,
            List<String> unread,
            List<String> meets,
            boolean known) {

        public Look {
            days = List.copyOf(days);
            troubles = List.copyOf(troubles);
            unread = List.copyOf(unread);
            meets = List.copyOf(meets);
        }

        public boolean isFresh() {
            return block.isPresent() && !known;
        }

        /** How many doses would come in. */
        public long doses() {
            return days.stream()
                    .flatMap(day -> day.slots().stream())
                    .flatMap(slot -> slot.doses().stream())
                    .filter(Optional::isPresent)
                    .count();
        }
    }

    private LiftIndex lifts(Person coach) {
        return new LiftIndex(liftNames.everyName(coach.clubId()));
    }

    /** @throws UnreadableException when it is no block */
    @Transactional(readOnly = true)
    public Look look(Person coach, LifterCard lifter, HeadedTable table, Said said) {
        PlanTable.Read read = PlanTable.read(table, lifts(coach))
                .orElseThrow(() -> new UnreadableException("exchange.plan.error.heads").in("text"));
        LifterBlock known = blocks.currentOrNone(lifter, coach.zone());
        List<Trouble> troubles = new ArrayList<>();
        List<List<Slot>> slots =
                read.days().stream().map(day -> slots(known, day, troubles)).toList();
        List<Optional<Integer>> offsets = offsets(read.days(), said);
        List<DayLook> looks = new ArrayList<>();
        List<TrainingDay> days = new ArrayList<>();
        for (int at = 0; at < slots.size(); at++) {
            String name = name(read.days().get(at), at);
            Optional<Integer> offset = offsets.get(at);
            looks.add(new DayLook(name, offset.map(said.start()::plusDays), slots.get(at)));
            if (offset.isPresent() && !slots.get(at).isEmpty()) {
                days.add(new TrainingDay(name, offset.get(), slots.get(at)));
            }
        }
        if (offsets.stream().anyMatch(Optional::isEmpty)) {
            troubles.add(new Trouble(0, "", words.say("exchange.plan.no-weekday")));
        }
        read.homeless().forEach(line -> troubles.add(new Trouble(line, "", words.say("exchange.plan.homeless"))));
        Optional<Block> block = days.isEmpty() || offsets.stream().anyMatch(Optional::isEmpty)
                ? Optional.empty()
                : Optional.of(new Block(
                        said.name(),
                        said.start(),
                        days,
                        Collections.nCopies(read.weeks(), BlockWeek.PLAIN),
                        Optional.empty()));
        return new Look(
                looks,
                read.weeks(),
                block,
                troubles,
                read.unread(),
                doses.meets(lifter, said.start(), read.weeks()),
                block.filter(coming -> isThere(coach, lifter, coming)).isPresent());
    }

    private String name(PlanTable.Day day, int at) {
        String name = day.name().isBlank() ? words.say("new-block.day", at + 1) : day.name();
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME).strip() : name;
    }

    /** The exercises of a day that can be kept, under letters of their own. */
    private List<Slot> slots(LifterBlock known, PlanTable.Day day, List<Trouble> troubles) {
        List<Slot> slots = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        for (PlanTable.Row row : day.rows()) {
            if (row.lift().isEmpty()) {
                troubles.add(new Trouble(
                        row.line(),
                        row.name(),
                        row.perhaps()
                                .map(lift -> words.say("exchange.plan.perhaps", words.lift(lift)))
                                .orElseGet(() -> words.say("exchange.plan.unknown"))));
                continue;
            }
            List<Optional<Dose>> asked = new ArrayList<>();
            for (PlanTable.Cell cell : row.doses()) {
                Optional<String> trouble = cell.text().isEmpty()
                        ? Optional.empty()
                        : doses.trouble(known, row.lift().get(), cell.text());
                trouble.ifPresent(why -> troubles.add(new Trouble(row.line(), cell.text(), why)));
                asked.add(
                        cell.text().isEmpty() || trouble.isPresent()
                                ? Optional.empty()
                                : doses.read(known, cell.text()));
            }
            slots.add(new Slot(letter(row, taken), row.lift().get(), asked));
        }
        return slots;
    }

    private static String letter(PlanTable.Row row, Set<String> taken) {
        String letter = row.letter().filter(written -> !taken.contains(written)).orElseGet(() -> IntStream.rangeClosed(
                        'A', 'Z')
                .mapToObj(c -> String.valueOf((char) c))
                .filter(free -> taken.stream().noneMatch(one -> one.startsWith(free)))
                .findFirst()
                .orElseThrow());
        taken.add(letter);
        return letter;
    }

    /** How many days after the start each comes in its week; those that name no weekday take the ones that were said. */
    private static List<Optional<Integer>> offsets(List<PlanTable.Day> days, Said said) {
        Deque<Integer> free = new ArrayDeque<>(said.on().stream()
                .map(day -> offset(day, said.start()))
                .sorted()
                .toList());
        return days.stream()
                .map(day -> day.weekday()
                        .map(weekday -> offset(weekday, said.start()))
                        .or(() -> Optional.ofNullable(free.poll())))
                .toList();
    }

    private static int offset(DayOfWeek day, LocalDate start) {
        return Math.floorMod(day.getValue() - start.getDayOfWeek().getValue(), 7);
    }

    /** Whether the lifter has a block from this day on that asks for the same. */
    private boolean isThere(Person coach, LifterCard lifter, Block coming) {
        return blocks.of(lifter).stream()
                .filter(block -> block.start().equals(coming.start()) && block.weeks() == coming.weeks())
                .map(BlockSummary::id)
                .flatMap(id -> blocks.open(lifter, coach.zone(), Optional.of(id)).stream())
                .anyMatch(there -> asks(there.block()).equals(asks(coming)));
    }

    private static List<String> asks(Block block) {
        return block.days().stream()
                .flatMap(day -> day.slots().stream()
                        .map(slot -> day.offset() + " " + slot.letter() + " " + slot.lift() + " "
                                + slot.doses().stream()
                                        .map(dose -> dose.map(Dose::shorthand).orElse(""))
                                        .toList()))
                .toList();
    }

    /**
     * Begins the block that a look would show now.
     *
     * @param confirmed whether what it meets is meant to give way
     * @return its number; empty where something is met and nobody said that it is meant
     * @throws UnreadableException when there is nothing to begin
     */
    public Optional<Long> take(Person coach, LifterCard lifter, HeadedTable table, Said said, boolean confirmed) {
        Look look = look(coach, lifter, table, said);
        if (!look.isFresh()) {
            throw new UnreadableException("exchange.plan.error.nothing").in("text");
        }
        return look.meets().isEmpty() || confirmed
                ? Optional.of(blocks.begin(coach, lifter, look.block().orElseThrow(), ""))
                : Optional.empty();
    }
}
