package dev.yarbel.core.school;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.shape.Deload;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a coach asks a block to be drawn up from. {@link #of} asks for a block without deloads, contest or milestones, in
 * kilograms, for a lifter of whom nothing is known and a gym that has everything; what more is said comes on top.
 *
 * @param start the first day of the first week
 * @param weeks 1 to 52
 * @param days the training days as days after the first of the week, 0 to 6, in order
 * @param lifts each lift with its school and what was said of it, in the order of their importance
 * @param contest the day it leads to, or passes
 * @param milestones whether round numbers near the lifter's best are wanted; else they are skipped
 * @param numbers what the lifter's loads of a lift hang on
 * @param means what the gym has
 */
public record BlockRequest(
        LocalDate start,
        int weeks,
        List<Integer> days,
        Map<Lift, LiftRequest> lifts,
        Deloads deloads,
        Optional<LocalDate> contest,
        Steps steps,
        boolean milestones,
        Function<Lift, LiftNumbers> numbers,
        Means means) {

    /**
     * Where deloads lie.
     *
     * @param every so many training weeks; 0: none
     */
    public record Deloads(int every, Deload style) {

        private static final Deloads NONE = new Deloads(0, Deload.HALF_SETS);
    }

    /**
     * How loads are stepped.
     *
     * @param smallest the smallest step of load
     * @param rounding the coach's rule for loads that cannot be made exactly
     */
    public record Steps(MassUnit unit, Mass smallest, Rounding rounding) {

        private static final Steps IN_KG = in(MassUnit.KG, Rounding.NEAREST);

        /** As loads are usually stepped in a unit: 2.5 kg or 5 lb. */
        public static Steps in(MassUnit unit, Rounding rounding) {
            return new Steps(unit, unit == MassUnit.KG ? Mass.of("2.5", MassUnit.KG) : Mass.ofLb(5), rounding);
        }
    }

    public BlockRequest {
        days = List.copyOf(days);
        lifts = Collections.unmodifiableMap(new LinkedHashMap<>(lifts));
        if (weeks < 1 || weeks > Block.MOST_WEEKS) {
            throw new IllegalArgumentException("1 to " + Block.MOST_WEEKS + " weeks");
        }
        if (days.isEmpty()
                || days.size() > 7
                || days.stream().anyMatch(day -> day < 0 || day > 6)
                || days.stream().distinct().count() < days.size()) {
            throw new IllegalArgumentException("1 to 7 different days of the week");
        }
        if (lifts.isEmpty()) {
            throw new IllegalArgumentException("a block trains a lift");
        }
        contest = contest.filter(day -> day.isAfter(start));
    }

    /** A block of which nothing more is said. */
    public static BlockRequest of(LocalDate start, int weeks, List<Integer> days, Map<Lift, LiftRequest> lifts) {
        return new BlockRequest(
                start,
                weeks,
                days,
                lifts,
                Deloads.NONE,
                Optional.empty(),
                Steps.IN_KG,
                false,
                lift -> LiftNumbers.NONE,
                Means.ALL);
    }

    /** The same with a deload after so many training weeks. */
    public BlockRequest withDeload(int every, Deload style) {
        Deloads lying = new Deloads(every, style);
        return new BlockRequest(start, weeks, days, lifts, lying, contest, steps, milestones, numbers, means);
    }

    /** The same with a contest that it leads to or passes. */
    public BlockRequest toward(Optional<LocalDate> day) {
        return new BlockRequest(start, weeks, days, lifts, deloads, day, steps, milestones, numbers, means);
    }

    /** The same with loads stepped so. */
    public BlockRequest in(Steps stepped) {
        return new BlockRequest(start, weeks, days, lifts, deloads, contest, stepped, milestones, numbers, means);
    }

    /** The same with round numbers near the best trained where they come, or skipped. */
    public BlockRequest withMilestones(boolean wanted) {
        return new BlockRequest(start, weeks, days, lifts, deloads, contest, steps, wanted, numbers, means);
    }

    /** The same for a lifter of whom so much is known. */
    public BlockRequest with(Function<Lift, LiftNumbers> known) {
        return new BlockRequest(start, weeks, days, lifts, deloads, contest, steps, milestones, known, means);
    }

    /** The same in a gym. */
    public BlockRequest with(Means gym) {
        return new BlockRequest(start, weeks, days, lifts, deloads, contest, steps, milestones, numbers, gym);
    }

    int deloadEvery() {
        return deloads.every();
    }

    Deload deload() {
        return deloads.style();
    }

    MassUnit unit() {
        return steps.unit();
    }

    Mass step() {
        return steps.smallest();
    }

    Rounding rounding() {
        return steps.rounding();
    }

    Catalogue catalogue() {
        return means.catalogue();
    }

    boolean has(Lift lift) {
        return means.available().test(lift);
    }
}
