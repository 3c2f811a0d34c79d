package dev.yarbel.core.rehearsal;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Blocks4Tests;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** A lifter who squats 200, benches 140 and pulls 240, as was tested the day before, and blocks for them. */
final class Stages4Tests {

    static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private static final Map<Lift, Mass> MAXES =
            Map.of(Lift.SQUAT, Mass.ofKg(200), Lift.BENCH_PRESS, Mass.ofKg(140), Lift.DEADLIFT, Mass.ofKg(240));

    private Stages4Tests() {}

    /** A block of so many weeks, its days as {@link Blocks4Tests} reads them. */
    static Block block(int weeks, String... days) {
        return new Block(MONDAY, weeks, Blocks4Tests.days(weeks, days));
    }

    /** The same block with a week as a deload. */
    static Block deload(Block block, int week) {
        List<BlockWeek> shape = new ArrayList<>(Collections.nCopies(block.weeks(), BlockWeek.PLAIN));
        shape.set(week, BlockWeek.PLAIN.asDeload());
        return block.with(block.days(), shape);
    }

    static LifterStrength strength(String doubt) {
        List<MaxOnRecord> tested = MAXES.entrySet().stream()
                .map(max -> new MaxOnRecord(max.getKey(), max.getValue(), MONDAY.minusDays(1), Percent.of(doubt)))
                .toList();
        return StrengthHistory.of(new StrengthFilter(Catalogue.STANDARD, Overrules.NONE), tested, List.of())
                .on(MONDAY);
    }

    /** @param share of the tested maxes that the coach plans with */
    static Resolver resolver(long share, Optional<Mastery> mastery) {
        Map<Lift, LiftNumbers> numbers = new HashMap<>();
        LifterStrength strength = strength("4");
        MAXES.forEach((lift, max) -> numbers.put(
                lift,
                new LiftNumbers(
                                Optional.of(max.times(Percent.of(share))),
                                strength.estimate(lift).map(estimate -> estimate.max()),
                                strength.curve(lift).orElseThrow())
                        .with(ExpectedGain.of(mastery))));
        return new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(numbers));
    }

    static Staged staged(Block block) {
        return staged(block, 100);
    }

    static Staged staged(Block block, long share) {
        Resolver resolver = resolver(share, Optional.of(Mastery.ADVANCED));
        return new Staged(
                block,
                Projection.of(block, resolver, Projection.Log.NONE),
                resolver,
                Projection.Log.NONE,
                strength("4"),
                Percent.HUNDRED,
                MONDAY);
    }

    static Rehearsal rehearsed(Block block) {
        return Rehearsal.of(staged(block), Manner.USUAL).orElseThrow();
    }

    static Stream<SetsOutlook> of(Rehearsal rehearsal, int week) {
        return rehearsal.sets().stream().filter(sets -> sets.week() == week);
    }
}
