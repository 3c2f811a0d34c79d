package dev.yarbel.core.review;

import dev.yarbel.core.lift.Lift;
import java.util.List;
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

    /** What is marked. */
    public enum Kind {
        /** An open ache on a lift that loads it; the ache's place. */
        ACHE,
        /** A gated scheme; the gate. */
        GATED,
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
        /** A step near the top bigger than the one before; both. */
        GROWING_STEP,
        /** No deload within twelve weeks; the weeks in a row. */
        NO_DELOAD,
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
