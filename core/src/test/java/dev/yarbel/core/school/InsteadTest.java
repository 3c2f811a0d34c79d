package dev.yarbel.core.school;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Blocks4Tests;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.Taper;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a block could be instead. */
class InsteadTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Resolver RESOLVER = new Resolver(
            KitInUse.of(Kits.kg()),
            Rounding.NEAREST,
            Numbers.of(Stream.of(Lift.SQUAT, Lift.DEADLIFT, Lift.BENCH_PRESS)
                    .collect(Collectors.toMap(lift -> lift, Drawings::numbers))));

    private static final BlockRequest.Steps KG = BlockRequest.Steps.in(MassUnit.KG, Rounding.NEAREST);

    /** Eight weeks, the fourth of them easy. */
    private static Block block() {
        Block block = new Block(
                MONDAY,
                8,
                Blocks4Tests.days(
                        8,
                        "0 squat 3x5 70%|3x5 72%|3x5 74%|2x5 60%|3x5 76%|3x4 78%|3x3 82%|3x2 86%, barbell-row 3x8 60kg",
                        "3 bench-press 4x5 75%|4x5 76%|4x5 77%|2x5 60%|4x5 78%|4x4 80%|4x3 84%|3x2 88%"));
        List<BlockWeek> shape = new ArrayList<>(block.shape());
        shape.set(3, BlockWeek.PLAIN.asDeload());
        return block.with(block.days(), shape);
    }

    private static Instead.Standing standing(int from) {
        return standing(block(), from);
    }

    private static Instead.Standing standing(Block block, int from) {
        return new Instead.Standing(block, from, RESOLVER, KG, Means.ALL);
    }

    private static List<String> doses(Block block, int day, int slot) {
        return block.days().get(day).slots().get(slot).doses().stream()
                .map(dose -> dose.map(Dose::shorthand).orElse("-"))
                .toList();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 2, 3, 4})
    void deloadsAheadAreTrainedThrough(int from) {
        Optional<Block> through = new Instead.WithoutDeloads().of(standing(from));
        if (from > 3) {
            assertThat(through).isEmpty();
            return;
        }
        assertThat(doses(through.orElseThrow(), 0, 0))
                .containsExactly(
                        "3x5 70%", "3x5 72%", "3x5 74%", "3x5 74%", "3x5 76%", "3x4 78%", "3x3 82%", "3x2 86%");
        assertThat(through.get().shape()).noneMatch(BlockWeek::deload);
    }

    @Test
    void aWeekAheadIsTakenEasyAndNoOther() {
        Block easy = new Instead.WithDeload(5, Deload.HALF_SETS).of(standing(2)).orElseThrow();
        assertThat(easy.shape().get(5).deload()).isTrue();
        assertThat(easy.days()
                        .get(1)
                        .slots()
                        .get(0)
                        .doses()
                        .get(5)
                        .orElseThrow()
                        .sets())
                .isEqualTo(2);
        for (int week : List.of(0, 1, 2, 3, 4, 6, 7)) {
            assertThat(doses(easy, 0, 0).get(week))
                    .isEqualTo(doses(block(), 0, 0).get(week));
        }
        assertThat(new Instead.WithDeload(3, Deload.HALF_SETS).of(standing(2))).isEmpty();
        assertThat(new Instead.WithDeload(1, Deload.HALF_SETS).of(standing(2))).isEmpty();
    }

    /** A contest further off is waited for: held, easy now and then, then the block as it was; nothing that is over moves. */
    @ParameterizedTest
    @ValueSource(ints = {1, 3, 6, 8, 12, 16})
    void aContestNearerCutsAndOneFurtherHolds(int weeks) {
        Block moved = new Instead.ContestIn(weeks).of(standing(2)).orElseThrow();
        assertThat(moved.weeks()).isEqualTo(2 + weeks);
        assertThat(moved.contest())
                .contains(MONDAY.plusWeeks(2 + weeks - 1L).plusDays(5))
                .hasValueSatisfying(day -> assertThat(day).isBeforeOrEqualTo(moved.end()));
        assertThat(doses(moved, 0, 0).subList(0, 2))
                .isEqualTo(doses(block(), 0, 0).subList(0, 2));
        long held = moved.shape().stream()
                .filter(week -> week.phase() == Phase.HOLD)
                .count();
        assertThat(held).isEqualTo(Math.max(0, weeks - 6));
        // nothing stands on the last two days before it, and the last day that is trained is light
        for (int day = 0; day < 2; day++) {
            for (int week = 2; week < moved.weeks(); week++) {
                boolean near =
                        moved.date(day, week).isAfter(moved.contest().get().minusDays(3));
                if (near && !moved.date(day, week).isAfter(moved.contest().get())) {
                    assertThat(doses(moved, day, 0).get(week)).isEqualTo("-");
                }
            }
        }
        if (weeks > 12) {
            assertThat(moved.shape().subList(2, 2 + weeks - 6)).anyMatch(BlockWeek::deload);
        }
    }

    /** A block that was shaped for its contest keeps its last weeks and is not thinned out twice; the day moves by whole weeks. */
    @ParameterizedTest
    @CsvSource({"3, 7", "6, 7", "10, 7", "3, 4", "8, 4", "12, 9"})
    void aBlockThatLeadsToAContestKeepsItsLastWeeks(int weeks, int contestWeek) {
        LocalDate day = MONDAY.plusWeeks(contestWeek).plusDays(4);
        Block shaped = new Taper(day, RESOLVER.catalogue(), RESOLVER::numbers).over(block(), (at, week) -> false);
        Block moved = new Instead.ContestIn(weeks).of(standing(shaped, 2)).orElseThrow();
        int end = Math.min(8, contestWeek + 1);
        int ahead = end - 2;
        assertThat(moved.weeks()).isEqualTo(2 + weeks);
        assertThat(moved.contest()).contains(day.plusWeeks((long) weeks - ahead));
        for (int back = 1; back <= Math.min(weeks, ahead); back++) {
            for (int at = 0; at < 2; at++) {
                assertThat(doses(moved, at, 0).get(moved.weeks() - back))
                        .isEqualTo(doses(shaped, at, 0).get(end - back));
            }
        }
    }

    /** Whichever school: other lifts stay, so does what is over, and the letters of a day stay different. */
    @ParameterizedTest
    @EnumSource(School.class)
    void anotherSchoolTakesOneLiftOver(School school) {
        Instead.Standing standing = standing(2);
        Optional<Block> other = new Instead.BySchool(Lift.SQUAT, school).of(standing);
        if (school.leastWeeks() > standing.ahead()) {
            assertThat(other).isEmpty();
            return;
        }
        Block written = other.orElseThrow();
        assertThat(doses(written, 1, indexOf(written, 1, Lift.BENCH_PRESS))).isEqualTo(doses(block(), 1, 0));
        assertThat(written.slots()
                        .filter(slot -> slot.school().equals(Optional.of(school.key())))
                        .toList())
                .isNotEmpty()
                .allSatisfy(slot -> assertThat(slot.doses().subList(0, 2)).containsOnly(Optional.empty()));
        Slot before = written.slots()
                .filter(slot -> slot.lift().equals(Lift.SQUAT) && slot.school().isEmpty())
                .findFirst()
                .orElseThrow();
        assertThat(before.doses().subList(0, 2))
                .isEqualTo(block().days().get(0).slots().get(0).doses().subList(0, 2));
        assertThat(IntStream.range(2, 8).mapToObj(before::dose)).containsOnly(Optional.empty());
    }

    private static int indexOf(Block block, int day, Lift lift) {
        List<Slot> slots = block.days().get(day).slots();
        return IntStream.range(0, slots.size())
                .filter(at -> slots.get(at).lift().equals(lift))
                .findFirst()
                .orElseThrow();
    }

    /** Whoever thinks in pounds gets steps of pounds. */
    @Test
    void stepsAreThoseOfTheLifter() {
        Instead.Standing inPounds = new Instead.Standing(
                block(), 0, RESOLVER, BlockRequest.Steps.in(MassUnit.LB, Rounding.NEAREST), Means.ALL);
        Block written =
                new Instead.BySchool(Lift.SQUAT, School.STEADY_ADD).of(inPounds).orElseThrow();
        assertThat(written.slots()
                        .filter(slot -> slot.school().isPresent())
                        .flatMap(slot -> slot.doses().stream().flatMap(Optional::stream))
                        .map(Dose::shorthand))
                .anyMatch(dose -> dose.contains("lb"))
                .noneMatch(dose -> dose.contains("kg"));
    }

    /** The week that is under way stays, even where nothing of it was lifted yet. */
    @Test
    void noWeekThatHasBegunIsWrittenOtherwise() {
        for (int days : List.of(-3, 0, 1, 7, 8, 20)) {
            int from = Instead.Standing.of(block(), Lifted.NOTHING, RESOLVER, KG, Means.ALL, MONDAY.plusDays(days))
                    .from();
            assertThat(MONDAY.plusWeeks(from)).isAfterOrEqualTo(MONDAY.plusDays(Math.max(0, days)));
            assertThat(MONDAY.plusWeeks(from).minusDays(7)).isBefore(MONDAY.plusDays(Math.max(0, days)));
        }
    }
}
