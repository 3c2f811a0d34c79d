package dev.yarbel.bench;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Bar;
import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampPlanner;
import dev.yarbel.core.recovery.Recovers;
import dev.yarbel.core.recovery.RecoveryFigures;
import dev.yarbel.core.recovery.Wake;
import dev.yarbel.core.rehearsal.Manner;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.rehearsal.Staged;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.BlockTally;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/** How long the arithmetic behind a page takes: a ramp, a load, a block of sixteen weeks, and the same block lifted beforehand. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBenchmark {

    private final BarLoads kg = BarLoads.of(kit(Map.of()));
    private final BarKit both = kit(Map.of("45", 4, "35", 1, "25", 2, "10", 2, "5", 2, "2.5", 1));
    private final BarLoads kgAndLb = BarLoads.of(both);
    private final Block block = block(16);
    private final Resolver resolver = new Resolver(
            KitInUse.of(kg),
            Rounding.NEAREST,
            Numbers.of(Map.of(Lift.SQUAT, numbers(200), Lift.BENCH_PRESS, numbers(130), Lift.DEADLIFT, numbers(230))));

    private final Staged rated = staged(block);
    private final Staged running = staged(steadyAdd(16));
    private final BlockTally reckoned = sixteenWeeksReckoned();

    private Staged staged(Block of) {
        LocalDate before = of.start().minusDays(1);
        LifterStrength strength = StrengthHistory.of(
                        new StrengthFilter(Catalogue.STANDARD, Overrules.NONE),
                        List.of(
                                new MaxOnRecord(Lift.SQUAT, Mass.ofKg(200), before),
                                new MaxOnRecord(Lift.BENCH_PRESS, Mass.ofKg(130), before),
                                new MaxOnRecord(Lift.DEADLIFT, Mass.ofKg(230), before)),
                        List.of())
                .on(of.start());
        Projection projection = Projection.of(of, resolver, Projection.Log.NONE);
        projection.walls();
        return new Staged(of, projection, resolver, Projection.Log.NONE, strength, Percent.HUNDRED, of.start());
    }

    private static Block steadyAdd(int weeks) {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < 3; day++) {
            List<Slot> slots = new ArrayList<>();
            for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)) {
                slots.add(slot(String.valueOf((char) ('A' + slots.size())), lift, weeks, "3x5 last +2.5kg"));
            }
            days.add(new TrainingDay("Day " + day, 2 * day, slots));
        }
        Block all = new Block(LocalDate.of(2026, 1, 5), weeks, days);
        return all.withSlots(slot -> slot.with(0, Optional.of(Dose.parse("3x5 80kg"))));
    }

    private static BarKit kit(Map<String, Integer> pounds) {
        Map<Plate, Integer> pairs = new HashMap<>();
        Map.of("25", 4, "20", 2, "15", 2, "10", 2, "5", 2, "2.5", 2, "1.25", 2)
                .forEach((figure, count) -> pairs.put(Plate.of(figure, MassUnit.KG), count));
        pounds.forEach((figure, count) -> pairs.put(Plate.of(figure, MassUnit.LB), count));
        return new BarKit(new Bar("bar", Mass.ofKg(20)), Mass.ZERO, PlateSet.of(pairs));
    }

    private static LiftNumbers numbers(int kg) {
        return new LiftNumbers(Optional.of(Mass.ofKg(kg)), Optional.of(Mass.ofKg(kg)), RepCurve.DEFAULT);
    }

    private static Block block(int weeks) {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < 4; day++) {
            List<Slot> slots = new ArrayList<>();
            for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)) {
                String letter = String.valueOf((char) ('A' + slots.size()));
                slots.add(slot(letter, lift, weeks, "1 @8"));
                slots.add(slot(letter + "2", lift, weeks, "5x5 -22%"));
                slots.add(slot(letter + "3", lift, weeks, "4x8 72.5%"));
            }
            days.add(new TrainingDay("Day " + day, day, slots));
        }
        return new Block(LocalDate.of(2026, 1, 5), weeks, days);
    }

    private static Slot slot(String letter, Lift lift, int weeks, String dose) {
        return new Slot(letter, lift, Collections.nCopies(weeks, Optional.of(Dose.parse(dose))));
    }

    @Benchmark
    public Ramp ramp180() {
        return RampPlanner.plan(kg, Mass.ofKg(180));
    }

    @Benchmark
    public Ramp ramp250() {
        return RampPlanner.plan(kg, Mass.ofKg(250));
    }

    @Benchmark
    public Fit load() {
        return kg.fit(Mass.of("187.3", MassUnit.KG), Rounding.NEAREST);
    }

    @Benchmark
    public Fit loadFromBothUnits() {
        return kgAndLb.fit(Mass.of("187.3", MassUnit.KG), Rounding.NEAREST);
    }

    @Benchmark
    public BarLoads everythingAKitCanLoad() {
        return BarLoads.of(both);
    }

    /** 16 weeks of 4 days of 9 slots: 576 doses. */
    @Benchmark
    public void sixteenWeeks(Blackhole hole) {
        for (int week = 0; week < block.weeks(); week++) {
            for (int day = 0; day < block.days().size(); day++) {
                hole.consume(resolver.resolve(PrescribedSets.of(block, day, week)));
            }
        }
    }

    /** What a block adds up to, which each look at a plan asks for, and how its days trail their recovery, which comes with it. */
    @Benchmark
    public BlockTally sixteenWeeksReckoned() {
        return BlockTally.of(block, rated.projection(), resolver, Projection.Log.NONE, Catalogue.STANDARD);
    }

    @Benchmark
    public Wake sixteenWeeksAwake() {
        return Wake.of(
                block, reckoned.lines(), Catalogue.STANDARD, RecoveryFigures.START, Recovers.UNKNOWN, lift -> false);
    }

    /** Where ratings and percentages settle loads. */
    @Benchmark
    public Optional<Rehearsal> sixteenWeeksRehearsed() {
        return Rehearsal.of(rated, Manner.USUAL);
    }

    /** Where every load hangs on the last time. */
    @Benchmark
    public Optional<Rehearsal> sixteenWeeksOfRunsRehearsed() {
        return Rehearsal.of(running, Manner.USUAL);
    }
}
