package dev.yarbel.core.adjust;

import dev.yarbel.core.measure.Percent;
import java.util.List;

/** What a rule proposes to change. It changes nothing by itself: a coach takes it, takes another of its kind, or leaves it. */
public sealed interface Proposal permits MoveWorkingMax, Hold, FollowLaw, AskLifter, PlanChange {

    /** What a room outside makes of each kind of proposal. */
    interface Visitor<T> {

        T moveWorkingMax(MoveWorkingMax proposal);

        T hold(Hold proposal);

        T followLaw(FollowLaw proposal);

        T askLifter(AskLifter proposal);

        T nextLoads(NextLoads proposal);

        T swapLift(SwapLift proposal);

        T deloadWeek(DeloadWeek proposal);

        T returnLadder(ReturnLadder proposal);

        T addAssistance(AddAssistance proposal);

        T replan(Replan proposal);
    }

    <T> T accept(Visitor<T> visitor);

    /** Whether the lifter is to do more than is planned; then pain forbids it. */
    default boolean raises() {
        return false;
    }

    /** How much it changes, as a share of what stands, 0 % or more: the larger is looked at before the smaller. */
    default Percent size() {
        return Percent.ZERO;
    }

    /** Whether it is so small a change that a coach may let it be made without being asked: a number, by 2.5 % at most. */
    default boolean isSmall() {
        return false;
    }

    /** Every load still ahead that it would change, in order of dates; none where all stays as it is planned. */
    default List<LoadChange> changes(PlanAhead plan) {
        return List.of();
    }

    /** The weeks that are not over as they are beside as they would be; none where it moves no weeks. */
    default List<WeekBeside> weeks(PlanAhead plan) {
        return List.of();
    }
}
