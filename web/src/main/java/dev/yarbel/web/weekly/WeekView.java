package dev.yarbel.web.weekly;

import dev.yarbel.core.adjust.PlanAhead;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.weekly.SpanSeen;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.calls.ToldCalls;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A lifter's week as its page tells of it.
 *
 * @param block which week of which block it was; empty where it lay in none
 * @param bests what was better than everything like it before
 * @param calls what was found and decided in it
 * @param next what the week after it asks for, day by day
 * @param nextIsDeload whether that is a deload
 */
record WeekView(
        SpanSeen week,
        Optional<InBlock> block,
        List<Best.PastSet> bests,
        List<ToldCalls.Told> calls,
        List<NextDay> next,
        boolean nextIsDeload) {

    private static final int DAYS = 7;

    /** A week of a block, from 1. */
    record InBlock(String name, int week, int weeks) {}

    /** A day to come. */
    record NextDay(LocalDate date, String name, List<Ask> asks) {}

    /**
     * What a slot asks for.
     *
     * @param load what its first part comes to, where anybody can say
     */
    record Ask(Lift lift, Dose dose, Optional<Mass> load) {}

    static WeekView of(LifterBlock plan, LocalDate monday, List<ToldCalls.Told> calls) {
        SpanSeen seen = SpanSeen.week(
                monday,
                notDone(plan, monday, monday.plusDays(DAYS - 1L)),
                plan.standing().finished(),
                plan.resolver()::numbers,
                lift -> plan.standing().of(lift).flatMap(LiftRecord::estimate));
        Optional<Integer> next = week(plan, monday.plusDays(DAYS));
        return new WeekView(
                seen,
                week(plan, monday)
                        .map(week ->
                                new InBlock(plan.name(), week + 1, plan.block().weeks())),
                plan.standing().bestsSince(monday).stream()
                        .filter(best -> !best.on().isAfter(seen.last()))
                        .toList(),
                calls,
                days(plan, monday.plusDays(DAYS)),
                next.filter(week -> plan.block().shape().get(week).deload()).isPresent());
    }

    /** The week of the block that the first training day of a week lies in, from 0; a block may begin on any weekday. */
    private static Optional<Integer> week(LifterBlock plan, LocalDate monday) {
        return places(plan, monday).stream().map(PlanAhead.DayAhead::week).findFirst();
    }

    private static List<PlanAhead.DayAhead> places(LifterBlock plan, LocalDate monday) {
        return places(plan, monday, monday.plusDays(DAYS - 1L));
    }

    /** The days of the block from one date to another, in order of dates. */
    private static List<PlanAhead.DayAhead> places(LifterBlock plan, LocalDate first, LocalDate last) {
        List<PlanAhead.DayAhead> days = new ArrayList<>();
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                LocalDate date = plan.block().date(day, week);
                if (!date.isBefore(first) && !date.isAfter(last)) {
                    days.add(new PlanAhead.DayAhead(day, week, date));
                }
            }
        }
        days.sort(Comparator.comparing(PlanAhead.DayAhead::date));
        return days;
    }

    /** The days on which the plan asked for something, that have gone by, and were not trained. */
    static List<LocalDate> notDone(LifterBlock plan, LocalDate first, LocalDate last) {
        return places(plan, first, last).stream()
                .filter(at -> at.date().isBefore(plan.today())
                        && asks(plan, at)
                        && plan.session(at.day(), at.week()).isEmpty())
                .map(PlanAhead.DayAhead::date)
                .toList();
    }

    private static boolean asks(LifterBlock plan, PlanAhead.DayAhead at) {
        return plan.block().days().get(at.day()).slots().stream()
                .anyMatch(slot -> slot.dose(at.week()).isPresent());
    }

    private static List<NextDay> days(LifterBlock plan, LocalDate monday) {
        return places(plan, monday).stream()
                .filter(at -> asks(plan, at))
                .map(at ->
                        new NextDay(at.date(), plan.block().days().get(at.day()).name(), asked(plan, at)))
                .toList();
    }

    private static List<Ask> asked(LifterBlock plan, PlanAhead.DayAhead at) {
        List<PrescribedSets> parts = plan.projection().prescriptions(at.day(), at.week());
        List<ResolvedLoad> loads = plan.projection().loads(at.day(), at.week());
        List<Ask> asks = new ArrayList<>();
        for (Slot slot : plan.block().days().get(at.day()).slots()) {
            slot.dose(at.week()).ifPresent(dose -> asks.add(new Ask(slot.lift(), dose, first(slot, parts, loads))));
        }
        return asks;
    }

    private static Optional<Mass> first(Slot slot, List<PrescribedSets> parts, List<ResolvedLoad> loads) {
        for (int i = 0; i < parts.size(); i++) {
            if (parts.get(i).letter().equals(slot.letter())) {
                return loads.get(i).load();
            }
        }
        return Optional.empty();
    }
}
