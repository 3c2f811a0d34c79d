package dev.yarbel.core.school;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.shape.AnotherDay;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.Taper;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a block could be instead, to be held beside it: its weeks from the first one on that nothing was lifted in are written otherwise, and
 * those before stay as they are. How it is written otherwise is our own; what a school, a deload and the weeks before a contest make of it is theirs.
 */
public sealed interface Instead {

    /**
     * Where a block stands.
     *
     * @param from the first week, from 0, that may be written otherwise
     * @param steps and means, how a school that writes anew steps its loads and what it may use
     */
    record Standing(Block block, int from, Resolver resolver, BlockRequest.Steps steps, Means means) {

        /** As it stands by what was lifted, and by the day: no week that has begun is written otherwise. */
        public static Standing of(
                Block block, Lifted lifted, Resolver resolver, BlockRequest.Steps steps, Means means, LocalDate today) {
            return new Standing(
                    block, Math.max(block.weeksBegun(today), lifted.firstOpenWeek()), resolver, steps, means);
        }

        private static final int WEEK = 7;

        int ahead() {
            return block.weeks() - from;
        }

        /** The week of a day, from 0; one after the last where it lies behind the block. */
        int week(LocalDate day) {
            return (int) Math.floorDiv(ChronoUnit.DAYS.between(block.start(), day), WEEK);
        }

        BlockWeek shape(int week) {
            return block.shape().get(week);
        }
    }

    /** The block as it would be; empty where there is nothing to write otherwise, or it cannot be done. */
    Optional<Block> of(Standing standing);

    /** Deloads that are still ahead are trained through: each asks for what the week trained before it does. */
    record WithoutDeloads() implements Instead {

        @Override
        public Optional<Block> of(Standing standing) {
            Block block = standing.block();
            Set<Integer> deloads = new HashSet<>();
            IntStream.range(Math.max(1, standing.from()), block.weeks())
                    .filter(week -> standing.shape(week).deload())
                    .forEach(deloads::add);
            if (deloads.isEmpty()) {
                return Optional.empty();
            }
            List<BlockWeek> shape = new ArrayList<>(block.shape());
            deloads.forEach(week -> shape.set(week, shape.get(week).asTraining()));
            return Optional.of(block.withSlots(
                    slot -> {
                        List<Optional<Dose>> doses = new ArrayList<>(slot.doses());
                        for (int week = 1; week < doses.size(); week++) {
                            if (deloads.contains(week)) {
                                doses.set(week, doses.get(week - 1));
                            }
                        }
                        return slot.with(doses);
                    },
                    shape));
        }
    }

    /** A week ahead is taken easy; all others stay. */
    record WithDeload(int week, Deload style) implements Instead {

        @Override
        public Optional<Block> of(Standing standing) {
            Block block = standing.block();
            if (week < standing.from()
                    || week >= block.weeks()
                    || standing.shape(week).deload()
                    || block.isGap(week)) {
                return Optional.empty();
            }
            List<BlockWeek> shape = new ArrayList<>(block.shape());
            shape.set(week, shape.get(week).asDeload());
            return Optional.of(block.withSlots(
                    slot -> slot.with(
                            week,
                            slot.dose(week)
                                    .flatMap(dose ->
                                            style.of(dose, standing.resolver().numbers(slot.lift())))),
                    shape));
        }
    }

    /**
     * The contest lies so many weeks ahead, as {@link AnotherDay} has it. A block that leads to one already keeps its last weeks; what it has after
     * the day is left out. Of any other the last weeks are shaped for the Saturday of its new last week.
     *
     * @param weeks from the first one that may be written otherwise to the one of the contest, 1 or more
     */
    record ContestIn(int weeks) implements Instead {

        @Override
        public Optional<Block> of(Standing standing) {
            Block block = standing.block();
            int last = standing.from() + weeks - 1;
            if (standing.ahead() < 1 || last >= Block.MOST_WEEKS) {
                return Optional.empty();
            }
            Optional<LocalDate> leadsTo = block.contest().filter(day -> isShapedFor(day, standing));
            LocalDate day = leadsTo.map(led -> led.plusWeeks(last - Math.min(standing.week(led), block.weeks() - 1L)))
                    .orElseGet(
                            () -> block.start().plusWeeks(last).with(TemporalAdjusters.nextOrSame(DayOfWeek.SATURDAY)));
            return new AnotherDay(
                            block.toward(leadsTo),
                            standing.from(),
                            Optional.of(day),
                            AnotherDay.Way.AT_ONCE,
                            standing.resolver().catalogue(),
                            standing.resolver()::numbers)
                    .of((at, week) -> week < standing.from())
                    .map(other -> other.upTo(last));
        }

        /** Whether a contest lies where the block's last weeks can have been shaped for it. */
        private static boolean isShapedFor(LocalDate day, Standing standing) {
            return standing.week(day) >= standing.from()
                    && !day.isAfter(standing.block().end().plusDays(Taper.DAYS));
        }
    }

    /**
     * A lift with its variations is trained by another school from here on: what schools wrote for it, and the lift itself where a coach did,
     * gives way; assistance that a coach wrote stays, and so does every other lift.
     *
     * @param lift that the school draws up
     */
    record BySchool(Lift lift, School school) implements Instead {

        @Override
        public Optional<Block> of(Standing standing) {
            Block block = standing.block();
            int weeks = standing.ahead();
            if (weeks < school.leastWeeks()
                    || weeks > school.mostWeeks()
                    || block.days().isEmpty()) {
                return Optional.empty();
            }
            List<Integer> weekdays = block.daysByDate().stream()
                    .map(day -> block.days().get(day).offset())
                    .distinct()
                    .toList();
            BlockRequest request = BlockRequest.of(
                            block.start().plusWeeks(standing.from()),
                            weeks,
                            weekdays,
                            Map.of(lift, LiftRequest.of(school).withAssistance(0)))
                    .withDeload(deloadEvery(standing), Deload.HALF_SETS)
                    .toward(block.contest())
                    .in(standing.steps())
                    .with(standing.resolver()::numbers)
                    .with(standing.means());
            Block drawn;
            try {
                drawn = BlockWriter.write(request, day -> "", purpose -> "");
            } catch (SchoolRefused refused) {
                return Optional.empty();
            }
            // of two days on one weekday the first is trained
            Set<Integer> taken = new HashSet<>();
            List<TrainingDay> days = new ArrayList<>();
            for (TrainingDay day : block.days()) {
                Optional<TrainingDay> written = drawn.days().stream()
                        .filter(other -> other.offset() == day.offset())
                        .findFirst()
                        .filter(other -> taken.add(other.offset()));
                days.add(written.map(other -> with(day, other, standing))
                        .orElseGet(() -> day.with(withoutOurs(day, standing))));
            }
            return Optional.of(block.with(days));
        }

        /** After how many training weeks the block has its deloads; 0 where there are none ahead. */
        private static int deloadEvery(Standing standing) {
            int trained = 0;
            for (int week = standing.from(); week < standing.block().weeks(); week++) {
                if (standing.shape(week).deload()) {
                    return trained;
                }
                trained++;
            }
            return 0;
        }

        private boolean isOurs(Slot slot, Standing standing) {
            return standing.resolver()
                            .catalogue()
                            .root(slot.lift())
                            .equals(standing.resolver().catalogue().root(lift))
                    && (slot.school().isPresent() || slot.lift().equals(lift));
        }

        private List<Slot> withoutOurs(TrainingDay day, Standing standing) {
            return day.slots().stream()
                    .map(slot -> isOurs(slot, standing)
                            ? slot.with(IntStream.range(0, slot.doses().size())
                                    .mapToObj(week -> week < standing.from() ? slot.dose(week) : Optional.<Dose>empty())
                                    .toList())
                            : slot)
                    .toList();
        }

        private TrainingDay with(TrainingDay day, TrainingDay drawn, Standing standing) {
            Set<String> taken = new HashSet<>();
            day.slots().forEach(slot -> taken.add(slot.letter()));
            List<Slot> slots = new ArrayList<>();
            for (Slot slot : drawn.slots()) {
                List<Optional<Dose>> doses = new ArrayList<>(Collections.nCopies(standing.from(), Optional.empty()));
                doses.addAll(slot.doses());
                slots.add(new Slot(free(taken), slot.lift(), doses, slot.school(), slot.reason()));
            }
            List<Slot> kept = withoutOurs(day, standing);
            int first = IntStream.range(0, day.slots().size())
                    .filter(at -> isOurs(day.slots().get(at), standing))
                    .findFirst()
                    .orElse(0);
            List<Slot> all = new ArrayList<>(kept.subList(0, first));
            all.addAll(slots);
            all.addAll(kept.subList(first, kept.size()));
            return day.with(all);
        }

        /** A letter that no slot of the day has: A to Z, then A1 to Z9. */
        private static String free(Set<String> taken) {
            return Stream.concat(Stream.of(""), IntStream.rangeClosed(1, 9).mapToObj(String::valueOf))
                    .flatMap(number -> IntStream.rangeClosed('A', 'Z').mapToObj(letter -> (char) letter + number))
                    .filter(taken::add)
                    .findFirst()
                    .orElseThrow();
        }
    }
}
