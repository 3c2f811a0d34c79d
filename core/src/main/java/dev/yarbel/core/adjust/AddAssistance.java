package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.CoachSeen.WeakLink;
import dev.yarbel.core.tally.SessionTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * The proposal to put assistance for a weak link into a day of the coming weeks: three sets of eight, three left, for four weeks at most.
 * The day is the one with the shortest session, but not the one before the lift itself is trained, if another can be had.
 *
 * @param lift whose weak link it is for
 * @param other what is done for it
 * @param options what else could be, {@code other} among them
 * @param day the day it is put into
 * @param weeks those in which it is done, from 0
 * @param minutes how long that day's next session is without it
 * @param reason why it is there, in words, where anybody found them
 */
public record AddAssistance(
        Lift lift,
        WeakLink link,
        Lift other,
        List<Lift> options,
        DayId day,
        List<Integer> weeks,
        int minutes,
        Optional<String> reason)
        implements PlanChange {

    private static final Dose DOSE = Dose.parse("3x8 @7");
    private static final int MOST_WEEKS = 4;

    /** The usual answers to weak links (common practice, no source); a link without one asks for conditioning, or for shorter rests. */
    private static final Map<WeakLink, List<Lift>> ANSWERS = Map.of(
            WeakLink.STALLS_AT_KNEE_OR_LOCKOUT,
            lifts("romanian-deadlift good-morning back-extension pin-pull"),
            WeakLink.SLOW_OFF_THE_FLOOR,
            lifts("deficit-deadlift paused-deadlift paused-squat"),
            WeakLink.HIPS_SHOOT_UP,
            lifts("front-squat high-bar-squat belt-squat paused-squat"),
            WeakLink.FOLDS_FORWARD,
            lifts("barbell-row front-squat safety-bar-squat"),
            WeakLink.STALLS_AT_THE_CHEST,
            lifts("paused-bench-press wide-grip-bench-press dumbbell-press"),
            WeakLink.STALLS_AT_LOCKOUT,
            lifts("close-grip-bench-press pin-press board-press triceps-pushdown"),
            WeakLink.GRIP_GOES,
            lifts("shrug farmers-walk"),
            WeakLink.SLOWS_LATE,
            List.of());

    public AddAssistance {
        options = List.copyOf(options);
        weeks = List.copyOf(weeks);
    }

    private static List<Lift> lifts(String keys) {
        return Stream.of(keys.split(" ")).map(Lift::new).toList();
    }

    /** Whether something for the link is asked for on a day to come. */
    static boolean isPlanned(PlanAhead plan, WeakLink link) {
        return plan.daysAhead().stream().anyMatch(ahead -> plan.block().days().get(ahead.day()).slots().stream()
                .anyMatch(slot -> ANSWERS.get(link).contains(slot.lift())
                        && slot.dose(ahead.week()).isPresent()));
    }

    /**
     * Assistance for a link; empty where no lift answers it, the gym has nothing for those that do, each loads an aching place, or no day
     * is left.
     */
    static Optional<AddAssistance> of(PlanAhead plan, Lift lift, WeakLink link, Collection<Ache> aches) {
        List<Lift> options = ANSWERS.get(link).stream()
                .filter(other -> plan.resolver().kit(other).isPresent())
                .filter(other -> aches.stream()
                        .noneMatch(
                                ache -> ache.isLoadedBy(other, plan.resolver().catalogue())))
                .toList();
        return options.isEmpty()
                ? Optional.empty()
                : cheapest(plan, lift).map(at -> {
                    DayId day = plan.block().days().get(at.day()).id();
                    return new AddAssistance(
                            lift,
                            link,
                            options.get(0),
                            options,
                            day,
                            weeks(plan, at),
                            minutes(plan, at),
                            Optional.empty());
                });
    }

    /** The same with another lift for the link; empty where that is none of the options. */
    public Optional<AddAssistance> with(Lift chosen) {
        return options.contains(chosen)
                ? Optional.of(new AddAssistance(lift, link, chosen, options, day, weeks, minutes, reason))
                : Optional.empty();
    }

    /** The same, for a reason. */
    public AddAssistance because(String words) {
        return new AddAssistance(lift, link, other, options, day, weeks, minutes, Optional.of(words));
    }

    /** The next session of each day, the one where it costs least first. */
    private static Optional<PlanAhead.DayAhead> cheapest(PlanAhead plan, Lift lift) {
        List<PlanAhead.DayAhead> ahead = plan.daysAhead().stream()
                .filter(at -> asks(plan, at) && isTrained(plan.block(), at.week()))
                .toList();
        if (ahead.isEmpty()) {
            return Optional.empty();
        }
        return ahead.stream()
                .filter(at -> at.date().isBefore(ahead.get(0).date().plusWeeks(1)))
                .min(Comparator.<PlanAhead.DayAhead, Boolean>comparing(at -> isEve(plan, at, lift))
                        .thenComparing(at -> minutes(plan, at))
                        .thenComparing(PlanAhead.DayAhead::date));
    }

    /** Whether the lift is trained on the day after. */
    private static boolean isEve(PlanAhead plan, PlanAhead.DayAhead at, Lift lift) {
        return plan.daysAhead().stream()
                .filter(next -> next.date().equals(at.date().plusDays(1)))
                .anyMatch(next -> plan.block().days().get(next.day()).slots().stream()
                        .anyMatch(slot -> slot.lift().equals(lift)
                                && slot.dose(next.week()).isPresent()));
    }

    private static boolean asks(PlanAhead plan, PlanAhead.DayAhead at) {
        return plan.block().days().get(at.day()).slots().stream()
                .anyMatch(slot -> slot.dose(at.week()).isPresent());
    }

    private static boolean isTrained(Block block, int week) {
        BlockWeek shape = block.shape().get(week);
        return !shape.deload() && !block.isGap(week);
    }

    private static int minutes(PlanAhead plan, PlanAhead.DayAhead at) {
        return (int) SessionTime.of(
                        plan.projection().prescriptions(at.day(), at.week()),
                        plan.projection().loads(at.day(), at.week()),
                        plan.resolver())
                .toMinutes();
    }

    private static List<Integer> weeks(PlanAhead plan, PlanAhead.DayAhead first) {
        return plan.daysAhead().stream()
                .filter(at -> at.day() == first.day()
                        && at.week() >= first.week()
                        && asks(plan, at)
                        && isTrained(plan.block(), at.week()))
                .map(PlanAhead.DayAhead::week)
                .limit(MOST_WEEKS)
                .toList();
    }

    @Override
    public BlockEdit edit(PlanAhead plan, Block block, Supplier<SlotId> newSlot) {
        TrainingDay into = block.day(day).orElseThrow(() -> new IllegalStateException("no such day"));
        List<Optional<Dose>> doses = new ArrayList<>(Collections.nCopies(block.weeks(), Optional.empty()));
        weeks.forEach(week -> doses.set(week, Optional.of(DOSE)));
        Slot slot = new Slot(SwapLift.freeLetter(into), other, doses, Optional.empty(), reason).as(newSlot.get());
        return new SlotEdit.Add(day, into.slots().size(), slot);
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.addAssistance(this);
    }

    /** More is asked for than before. */
    @Override
    public boolean raises() {
        return true;
    }

    @Override
    public Percent size() {
        return Percent.of(weeks.size());
    }
}
