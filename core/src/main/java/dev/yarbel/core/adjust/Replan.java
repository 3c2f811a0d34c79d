package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.shape.AnotherDay;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * The proposal to write a block for another day of its contest, or for none; {@link AnotherDay} says what becomes of its weeks. Days that
 * were lifted or have begun stay, and so does the week under way but for what would stand too near to the contest.
 *
 * @param way what becomes of the weeks between
 * @param day the new day; empty for none
 * @param then the block as it would be
 */
public record Replan(AnotherDay.Way way, Optional<LocalDate> day, Block then) implements PlanChange {

    /**
     * The usual answer: where the block led to a day, weeks are held or go at once; where it led to none, it goes on as it is up to the
     * new day. Where that would be longer than a block can be, or the block is over, only the day is noted; so it is where heavy singles would be
     * put into the plan of somebody whom something hurts.
     */
    static Replan of(PlanAhead plan, Optional<LocalDate> day, boolean hurts) {
        AnotherDay.Way usual = day.isEmpty()
                ? AnotherDay.Way.PARKED
                : plan.block().contest().isPresent() ? AnotherDay.Way.AT_ONCE : AnotherDay.Way.BEFORE_THE_PEAK;
        boolean peaksAnew = day.isPresent() && plan.block().contest().isEmpty();
        return of(plan, day, hurts && peaksAnew ? AnotherDay.Way.DAY_ONLY : usual)
                .orElseGet(() ->
                        new Replan(AnotherDay.Way.DAY_ONLY, day, plan.block().toward(day)));
    }

    /** The same in another way; empty where the block would be longer than a block can be, or is over. */
    public Optional<Replan> with(PlanAhead plan, AnotherDay.Way other) {
        return of(plan, day, other);
    }

    private static Optional<Replan> of(PlanAhead plan, Optional<LocalDate> day, AnotherDay.Way way) {
        Block block = plan.block();
        if (way != AnotherDay.Way.DAY_ONLY && plan.today().isAfter(block.end())) {
            return Optional.empty();
        }
        int from = Math.min(plan.firstOpenWeek(), block.weeks());
        List<PlanAhead.DayAhead> ahead = plan.daysAhead();
        return new AnotherDay(block, from, day, way, plan.resolver().catalogue(), plan.resolver()::numbers)
                .of((at, week) ->
                        week < from && ahead.stream().noneMatch(open -> open.day() == at && open.week() == week))
                .map(then -> new Replan(way, day, then));
    }

    @Override
    public BlockEdit edit(PlanAhead plan, Block block, Supplier<SlotId> newSlot) {
        return BlockEdit.between(block, then, plan.lifted().firstOpenWeek());
    }

    @Override
    public List<WeekBeside> weeks(PlanAhead plan) {
        List<WeekAsked> before = WeekAsked.of(plan.block(), plan.projection(), plan.resolver());
        List<WeekAsked> after = WeekAsked.of(then, plan.projected(then), plan.resolver());
        List<WeekBeside> weeks = new ArrayList<>();
        IntStream.range(0, Math.max(before.size(), after.size())).forEach(week -> {
            LocalDate on = plan.block().start().plusWeeks(week);
            if (on.plusWeeks(1).isAfter(plan.today())) {
                weeks.add(new WeekBeside(on, at(before, week), at(after, week)));
            }
        });
        return weeks;
    }

    private static Optional<WeekAsked> at(List<WeekAsked> weeks, int week) {
        return week < weeks.size() ? Optional.of(weeks.get(week)) : Optional.empty();
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.replan(this);
    }
}
