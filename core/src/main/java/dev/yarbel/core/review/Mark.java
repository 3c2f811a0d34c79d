package dev.yarbel.core.review;

import dev.yarbel.core.lift.Lift;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Something on a plan that a coach may want to look at, with its reason as data. A mark never blocks.
 *
 * @param place where it stands; empty when it concerns the lift or the whole block
 * @param facts what it rests on, in the order its words name them: masses, shares, counts, lifts
 */
public record Mark(Kind kind, Optional<Place> place, Optional<Lift> lift, List<Object> facts) {

    /**
     * A slot from a week to a week.
     *
     * @param day from 0
     * @param slot from 0 within the day
     * @param from the first week, from 0
     * @param to the last week, from 0
     */
    public record Place(int day, int slot, int from, int to) {}

    /**
     * Marks of one kind for one reason, told once with all their places.
     *
     * @param facts of the first of them
     */
    public record Together(Kind kind, List<Place> places, List<Lift> lifts, List<Object> facts) {}

    /** Marks that say the same told together, in the order of the first of each. */
    public static List<Together> together(List<Mark> marks) {
        Map<List<Object>, List<Mark>> alike = new LinkedHashMap<>();
        for (Mark mark : marks) {
            List<Object> key = new ArrayList<>(List.of(mark.kind));
            mark.facts.stream()
                    .filter(fact -> fact instanceof Enum<?> || fact instanceof Boolean)
                    .forEach(key::add);
            alike.computeIfAbsent(key, k -> new ArrayList<>()).add(mark);
        }
        return alike.values().stream()
                .map(same -> new Together(
                        same.get(0).kind,
                        same.stream().flatMap(mark -> mark.place.stream()).toList(),
                        same.stream()
                                .flatMap(mark -> mark.lift.stream())
                                .distinct()
                                .toList(),
                        same.get(0).facts))
                .toList();
    }

    /** What is marked. */
    public enum Kind {
        /** An open ache on a lift that loads it; the ache's place. */
        ACHE,
        /** A gated scheme; the gate. */
        GATED,
        /** The curve says it cannot be done, growth allowed for; the load and the repetitions. */
        BEYOND_CURVE,
        /** Heavy work too near a contest; days out, and the fewest for this lift. */
        HEAVY_NEAR_CONTEST,
        /** A contest that the weeks before it are not shaped for; its day. */
        CONTEST_UNSHAPED,
        /** A load in figures far from what this lifter does; the load, and what was likely. */
        LOAD_FAR_OFF,
        /** Over the max, and neither a partial nor lowering; the share. */
        ABOVE_MAX,
        /** A number it hangs on is not known. */
        NUMBER_MISSING,
        /** A percentage of a max that nobody has seen for long; weeks. */
        STALE_MAX,
        /** Nothing in the gym is made for it. */
        KIT_GONE,
        /** The gym cannot make what is asked for; the lift, the heaviest asked and the heaviest it makes, and how many loads. */
        GYM_TOO_LIGHT,
        /** Lighter than the lightest there is; the lift, the lightest asked and what the bar weighs, and how many loads. */
        GYM_TOO_HEAVY,
        /** A goal whose pace the lifter's trend does not support; asked and shown gain in the time. */
        GOAL_PACE,
        /** A run asks for more there than can be expected by then; the load, the gain a week expected and its doubt. */
        WALL,
        /** Heavier than this mastery of the lift gains from; the share and the zone's ends. */
        ABOVE_ZONE,
        /** Never as heavy as this mastery of the lift gains from; the heaviest share and the zone's ends. */
        BELOW_ZONE,
        /** A step of more than ten points; it and the share before. */
        LARGE_STEP,
        /** A step near the top bigger than the one before; both. */
        GROWING_STEP,
        /** Days in a row with work near the limit; how many. */
        HARD_DAYS_IN_A_ROW,
        /** A hard day in the wake of its like; the lift before, hours between, hours needed, and how often. */
        IN_WAKE,
        /** A hard squat and a hard pull on days next to each other; how often. */
        SQUAT_NEXT_TO_PULL,
        /** Pulls of 90 % within a week; days between, and how often. */
        HEAVY_PULLS_CLOSE,
        /** Hard work on six days of a week and more; days and the week. */
        SIX_HARD_DAYS,
        /** A lift trained more than once a week is left alone for so long that technique fades; days, and how often. */
        TECHNIQUE_LEFT,
        /** Volume, intensity and frequency all go up. */
        TRIANGLE,
        /** Daily practice that is heavy on two days of a week and more; days, the week, and from where it is heavy. */
        PRACTICE_TOO_HEAVY,
        /** More hard sets of a lift in one session than high frequency bears; the sets, the most, and how often. */
        SETS_IN_A_SESSION,
        /** A peak without a contest; the week it begins in. */
        PEAK_WITHOUT_DATE,
        /** Longer or shorter than the school makes sense of; the school, its fewest and its most weeks. */
        SCHOOL_LIMITS,
        /** A cycle without give for somebody older or dieting. */
        UNFORGIVING,
        /** Two cycles toward a goal at once. */
        TWO_CYCLES,
        /** Far less work than the lifter is used to; hard sets a week then and now. */
        TOO_LITTLE,
        /** A lift hard three times a week or more, for somebody very strong; days and the week. */
        TOO_OFTEN_FOR_THE_STRONG,
        /** No lighter form of it: it is left out of a deload. */
        LEFT_OUT_OF_DELOAD,
        /** No deload within twelve weeks; the weeks in a row. */
        NO_DELOAD,
        /** More than can be recovered from, on purpose, and no deload after it; the week. */
        REACH_WITHOUT_DELOAD,
        /** A first week far above what the lifter is used to; hard sets then and now. */
        FIRST_WEEK_HIGH,
        /** High frequency while dieting; days a week. */
        FREQUENCY_WHILE_DIETING,
        /** The block before was put aside within two weeks; its days. */
        DROPPED_EARLY,
        /** The third run of the same block, or later; which. */
        RUN_AGAIN,
        /** To the limit in every session of the lift; the weeks it is so. */
        LIMIT_EVERY_SESSION,
        /** A variation that nobody gave a reason for. */
        NO_REASON,
        /** Longer than the lifter has; minutes predicted and at hand. */
        TOO_LONG,
        /** More training days a week than the lifter has; both. */
        TOO_MANY_DAYS
    }
}
