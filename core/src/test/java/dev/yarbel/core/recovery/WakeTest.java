package dev.yarbel.core.recovery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Blocks4Tests;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.BlockTally;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** How days trail their recovery. The figures are common practice (no source) where nothing else is said. */
class WakeTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    /** A block of so many weeks, its days as {@link Blocks4Tests} reads them. */
    private static Block block(int weeks, String... days) {
        return new Block(MONDAY, weeks, Blocks4Tests.days(weeks, days));
    }

    private static Wake wake(Block block, Recovers lifter) {
        LiftNumbers of200 = new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);
        Map<Lift, LiftNumbers> numbers =
                Map.of(Lift.SQUAT, of200, Lift.DEADLIFT, of200, Lift.BENCH_PRESS, of200, Lift.OVERHEAD_PRESS, of200);
        Resolver resolver = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(numbers));
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        BlockTally tally = BlockTally.of(block, projection, resolver, Projection.Log.NONE, Catalogue.STANDARD);
        return Wake.of(block, tally.lines(), Catalogue.STANDARD, RecoveryFigures.START, lifter, practised -> false);
    }

    private static Wake wake(Block block) {
        return wake(block, Recovers.UNKNOWN);
    }

    private static Wake.Trail trail(String slot) {
        return wake(block(1, "0 " + slot)).trails().get(0);
    }

    @ParameterizedTest
    @CsvSource({
        "squat 3x5 60%,    LIGHT,   29",
        "squat 2x5 80%,    MEDIUM,  59",
        "squat 3x3 85%,    HARD,    84",
        "squat 2x3 85%,    MEDIUM,  59",
        "squat 3x5 @8,     HARD,    84",
        "squat 1x1 90%,    MAXIMAL, 109",
        "deadlift 3x3 85%, HARD,    120",
        "bench-press 3x3 85%,    HARD, 60",
        "overhead-press 3x3 85%, HARD, 60"
    })
    void aDayIsLightMediumHardOrMaximalAndTrailsItsHours(String slot, DayStrain strain, int hours) {
        assertThat(trail(slot).strain()).isEqualTo(strain);
        assertThat(trail(slot).hours()).isEqualTo(hours);
    }

    @Test
    void whoTheyAreAndWhatTheBlockIsForMakeItLongerOrShorter() {
        Block squat = block(1, "0 squat 3x3 85%");
        assertThat(wake(squat, lifter(Mastery.BEGINNER)).trails().get(0).hours())
                .isEqualTo(59);
        assertThat(wake(squat, lifter(Mastery.ADVANCED)).trails().get(0).hours())
                .isEqualTo(101);
        Block muscle = squat.with(squat.days(), List.of(BlockWeek.of(Phase.MUSCLE)));
        assertThat(wake(muscle).trails().get(0).hours()).isEqualTo(71);
        Block peak = squat.with(squat.days(), List.of(BlockWeek.of(Phase.PEAK)));
        Wake.Trail longer = wake(peak).trails().get(0);
        assertThat(longer.hours()).isEqualTo(101);
        assertThat(longer.why()).extracting(Recovers.Factor::why).containsExactly(Recovers.Why.PHASE);
        // the variation
        assertThat(trail("high-bar-squat 3x3 @8").hours()).isEqualTo(71);
        assertThat(trail("deficit-deadlift 3x3 @8").hours()).isEqualTo(132);
    }

    private static Recovers lifter(Mastery level) {
        return new Recovers(
                lift -> Optional.of(level), Optional.empty(), Optional.empty(), Optional.empty(), false, false, false);
    }

    @Test
    void whatIsKnownOfALifterNeverShortensWhatLengthens() {
        Recovers hard = new Recovers(
                lift -> Optional.empty(),
                Optional.of(Sex.MALE),
                Optional.of(50),
                Optional.of(BigDecimal.valueOf(120)),
                true,
                true,
                true);
        Recovers light = new Recovers(
                lift -> Optional.empty(),
                Optional.of(Sex.FEMALE),
                Optional.of(25),
                Optional.of(BigDecimal.valueOf(60)),
                false,
                false,
                false);
        Block squat = block(1, "0 squat 3x3 85%");
        assertThat(wake(squat, hard).trails().get(0).hours()).isGreaterThan(84);
        assertThat(wake(squat, light).trails().get(0).hours()).isLessThan(84);
    }

    /** Wakes grow with load and sets. */
    @Test
    void aWakeNeverShrinksWithLoadOrSets() {
        for (int sets = 1; sets < 6; sets++) {
            int before = 0;
            for (int percent = 50; percent <= 100; percent += 5) {
                int hours = trail("squat " + sets + "x3 " + percent + "%").hours();
                assertThat(hours).isGreaterThanOrEqualTo(before);
                assertThat(trail("squat " + (sets + 1) + "x3 " + percent + "%").hours())
                        .isGreaterThanOrEqualTo(hours);
                before = hours;
            }
        }
    }

    /** Deadlift on Thursday after a hard squat on Tuesday: 48 h of 60 % of 84. */
    @Test
    void aHardDayInTheWakeOfItsLikeIsNamedWithItsHours() {
        Wake close = wake(block(1, "1 squat 3x3 85%", "2 deadlift 3x3 85%"));
        assertThat(close.overlaps()).singleElement().satisfies(overlap -> {
            assertThat(overlap.first().lift()).isEqualTo(Lift.SQUAT);
            assertThat(overlap.then().lift()).isEqualTo(Lift.DEADLIFT);
            assertThat(overlap.between()).isEqualTo(24);
            assertThat(overlap.needed()).isEqualTo(50);
            assertThat(overlap.tooSoonBy()).isEqualTo(26);
        });
        assertThat(wake(block(1, "1 squat 3x3 85%", "4 deadlift 3x3 85%")).overlaps())
                .isEmpty();
        // a light day may lie in it, and fills a gap
        assertThat(wake(block(1, "1 squat 3x3 85%", "2 deadlift 3x3 60%")).overlaps())
                .isEmpty();
        // what is not alike feels nothing
        assertThat(wake(block(1, "1 deadlift 3x3 85%", "2 bench-press 3x3 85%")).overlaps())
                .isEmpty();
    }

    @Test
    void pullsOfNinetyPercentLieAWeekApartAtLeast() {
        Recovers beginner = lifter(Mastery.BEGINNER);
        assertThat(wake(block(1, "0 deadlift 1x1 90%", "6 deadlift 1x1 92.5%"), beginner)
                        .overlaps())
                .singleElement()
                .satisfies(overlap -> assertThat(overlap.needed()).isEqualTo(168));
        assertThat(wake(block(2, "0 deadlift 1x1 90%"), beginner).overlaps()).isEmpty();
    }

    /** Squat, squat, squat, bench, deadlift, bench: the right counts and the wrong order. */
    @Test
    void theWrongOrderIsSpreadBetter() {
        Block wrong = block(
                2,
                "0 squat 3x3 85%",
                "1 squat 3x3 85%",
                "2 squat 3x3 85%",
                "3 bench-press 3x3 85%",
                "4 deadlift 3x3 85%",
                "5 bench-press 3x3 85%");
        Wake now = wake(wrong);
        Spread spread = Spread.of(wrong, now, RecoveryFigures.START).orElseThrow();
        assertThat(spread.before()).isEqualTo(now.tooSoon());
        assertThat(spread.after()).isLessThan(spread.before());
        assertThat(spread.offsets()).hasSize(6).doesNotHaveDuplicates();
    }

    static IntStream seeds() {
        return IntStream.range(0, 12);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void spreadingNeverMakesItWorse(int seed) {
        Random random = new Random(seed);
        List<String> lifts = List.of("squat", "bench-press", "deadlift", "overhead-press", "yoke-walk", "barbell-row");
        List<Integer> weekdays = new ArrayList<>(List.of(0, 1, 2, 3, 4, 5, 6));
        Collections.shuffle(weekdays, random);
        String[] days = IntStream.range(0, 2 + random.nextInt(4))
                .mapToObj(day -> weekdays.get(day) + " " + lifts.get(random.nextInt(lifts.size())) + " 3x3 @"
                        + (6 + random.nextInt(4)) + ", " + lifts.get(random.nextInt(lifts.size())) + " 3x5 @8")
                .toArray(String[]::new);
        Block block = block(2, days);
        Wake wake = wake(block);
        Optional<Spread> spread = Spread.of(block, wake, RecoveryFigures.START);
        assertThat(spread.map(Spread::before).orElse(wake.tooSoon())).isEqualTo(wake.tooSoon());
        spread.ifPresent(better -> {
            assertThat(better.after()).isLessThan(better.before());
            // and that is what the wake of the block then says
            List<TrainingDay> moved = new ArrayList<>();
            for (int day = 0; day < block.days().size(); day++) {
                TrainingDay old = block.days().get(day);
                moved.add(new TrainingDay(old.name(), better.offsets().get(day), old.slots()));
            }
            assertThat(wake(new Block(MONDAY, 2, moved)).tooSoon()).isEqualTo(better.after());
        });
    }

    @Test
    void aLiftLeftForMoreThanFiveDaysIsAGap() {
        assertThat(wake(block(2, "0 squat 3x3 85%", "3 squat 3x5 60%")).gaps()).isEmpty();
        assertThat(wake(block(2, "0 squat 3x3 85%")).gaps()).singleElement().satisfies(gap -> {
            assertThat(gap.days()).isEqualTo(7);
            assertThat(gap.isForce()).isFalse();
        });
        // assistance may come when it comes
        assertThat(wake(block(2, "0 barbell-row 3x8 @8")).gaps()).isEmpty();
    }

    // ---- figures that were set, and clocks

    private static Wake wake(Block block, RecoveryFigures figures, Recovers lifter) {
        LiftNumbers of200 = new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);
        Resolver resolver =
                new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of(Lift.SQUAT, of200)));
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        BlockTally tally = BlockTally.of(block, projection, resolver, Projection.Log.NONE, Catalogue.STANDARD);
        return Wake.of(block, tally.lines(), Catalogue.STANDARD, figures, lifter, practised -> false);
    }

    /** What a club set is made longer or shorter by who the lifter is; what was set for the lifter is theirs already. */
    @Test
    void aLiftersOwnHoursAreNotMadeLongerByWhoTheyAre() {
        Recovers heavy = new Recovers(
                lift -> Optional.of(Mastery.ADVANCED),
                Optional.empty(),
                Optional.of(50),
                Optional.empty(),
                true,
                true,
                true);
        Block block = block(1, "0 squat 3x3 85%");
        Map<Lift, Integer> set = Map.of(Lift.SQUAT, 100);
        int ofClub = wake(block, RecoveryFigures.START.with(set, Map.of()), heavy)
                .trails()
                .get(0)
                .hours();
        int own = wake(block, RecoveryFigures.START.ownedBy(set, Map.of()), heavy)
                .trails()
                .get(0)
                .hours();
        assertThat(own).isEqualTo(100);
        assertThat(ofClub).isGreaterThan(150);
    }

    @Test
    void likenessThatWasSetIsFelt() {
        Block block = block(1, "0 squat 3x3 85%", "1 bench-press 3x3 85%");
        RecoveryFigures.Pair pair = new RecoveryFigures.Pair(Lift.SQUAT, Lift.BENCH_PRESS);
        LiftNumbers of200 = new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);
        Resolver resolver = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(Map.of(Lift.SQUAT, of200, Lift.BENCH_PRESS, of200)));
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        BlockTally tally = BlockTally.of(block, projection, resolver, Projection.Log.NONE, Catalogue.STANDARD);
        for (int percent : new int[] {0, 20, 28, 29, 60, 100}) {
            Wake wake = Wake.of(
                    block,
                    tally.lines(),
                    Catalogue.STANDARD,
                    RecoveryFigures.START.with(Map.of(), Map.of(pair, Percent.of(percent))),
                    Recovers.UNKNOWN,
                    practised -> false);
            // of 84 hours 24 are over
            assertThat(wake.overlaps().size()).isEqualTo(percent * 84 / 100.0 > 24.5 ? 1 : 0);
        }
    }

    @Test
    void figuresOutOfRangeAreNone() {
        for (int hours : new int[] {0, RecoveryFigures.LEAST - 1, RecoveryFigures.MOST + 1}) {
            assertThatThrownBy(() -> RecoveryFigures.START.with(Map.of(Lift.SQUAT, hours), Map.of()))
                    .isInstanceOf(IllegalArgumentException.class);
        }
    }

    /** Technique comes back first, then muscle, then force, then joints; hard days come too soon by force. */
    @Test
    void eachQualityComesBackOnAClockOfItsOwn() {
        Wake.Trail hard = trail("squat 3x3 85%");
        List<Integer> hours = Stream.of(Clock.values()).map(hard::hours).toList();
        assertThat(hours).isSorted().doesNotHaveDuplicates();
        assertThat(hard.hours(Clock.FORCE)).isEqualTo(hard.hours());
        Wake two = wake(block(1, "0 squat 3x3 85%", "2 squat 3x3 85%"));
        assertThat(two.overlaps().get(0).open()).containsExactly(Clock.MUSCLE, Clock.FORCE, Clock.JOINTS);
        Wake one = wake(block(1, "0 squat 3x3 85%", "1 squat 3x3 85%"));
        assertThat(one.overlaps().get(0).open()).containsExactly(Clock.values());
    }
}
