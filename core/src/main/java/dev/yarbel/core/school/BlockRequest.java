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
import java.util.function.Predicate;

/**
 * What a coach asks a block to be drawn up from.
 *
 * @param start the first day of the first week
 * @param weeks 1 to 52
 * @param days the training days as days after the first of the week, 0 to 6, in order
 * @param lifts each lift with its school and what was said of it, in the order of their importance
 * @param deloadEvery a deload after so many training weeks; 0: none
 * @param contest the day it leads to
 * @param unit of the steps
 * @param step the smallest step of load
 * @param milestones whether round numbers near the lifter's best are wanted; else they are skipped
 * @param numbers what the lifter's loads of a lift hang on
 * @param available whether the gym has what a lift is done with
 * @param rounding the coach's rule for loads that cannot be made exactly
 */
public record BlockRequest(
        LocalDate start,
        int weeks,
        List<Integer> days,
        Map<Lift, LiftRequest> lifts,
        int deloadEvery,
        Deload deload,
        Optional<LocalDate> contest,
        MassUnit unit,
        Mass step,
        boolean milestones,
        Function<Lift, LiftNumbers> numbers,
        Predicate<Lift> available,
        Catalogue catalogue,
        Rounding rounding) {

    /** Loads go to the nearest there is. */
    public BlockRequest(
            LocalDate start,
            int weeks,
            List<Integer> days,
            Map<Lift, LiftRequest> lifts,
            int deloadEvery,
            Deload deload,
            Optional<LocalDate> contest,
            MassUnit unit,
            Mass step,
            boolean milestones,
            Function<Lift, LiftNumbers> numbers,
            Predicate<Lift> available,
            Catalogue catalogue) {
        this(
                start,
                weeks,
                days,
                lifts,
                deloadEvery,
                deload,
                contest,
                unit,
                step,
                milestones,
                numbers,
                available,
                catalogue,
                Rounding.NEAREST);
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
    }
}
