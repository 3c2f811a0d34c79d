package dev.yarbel.web.floor;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.Trend;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.LoadChart;
import dev.yarbel.core.tally.Exposure;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.book.SessionLog;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * What a lifter's home shows.
 *
 * @param focus the day to be lifted now; null where there is none
 * @param weeks this week and the next
 * @param lifts the lifts that are known, with where they go
 * @param bests what was better than ever before, newest first
 * @param notes what coaches said of whole sessions, newest first
 * @param charts loads for repetitions and repetitions left
 */
record HomeView(
        Day focus,
        List<Week> weeks,
        List<LiftLine> lifts,
        List<Best.PastSet> bests,
        List<Note> notes,
        List<LoadChart> charts) {

    private static final int BESTS = 3;
    private static final int NOTES = 3;

    /** A week of the block, from 1. */
    record Week(int number, boolean now, boolean deload, List<Day> days) {}

    /**
     * A training day.
     *
     * @param day and week, its place in the block, from 0
     * @param lifts what is done on it, the first few
     * @param judgement how it went; null where it is not finished
     */
    record Day(
            int day,
            int week,
            String name,
            LocalDate date,
            List<Lift> lifts,
            boolean begun,
            boolean finished,
            Exposure.Judgement judgement) {

        /** Whether its day has gone by and nothing was logged. */
        public boolean isMissed(LocalDate today) {
            return !begun && !finished && date.isBefore(today);
        }
    }

    /** A lift as it stands. */
    record LiftLine(Lift lift, Optional<Mass> estimate, Optional<Mass> workingMax, Optional<Trend> trend) {

        /** The estimate, else the working max. */
        public Optional<Mass> known() {
            return estimate.or(() -> workingMax);
        }
    }

    /** A coach's words on a session. */
    record Note(LocalDate on, String words) {}

    /** Whether there is something to lift today, or to go on with. */
    boolean isForToday(LocalDate today) {
        return focus != null && !focus.finished && (focus.begun || focus.date.equals(today));
    }

    static HomeView of(Optional<LifterBlock> plan, LifterRecord standing, LocalDate today) {
        List<SessionLog> latestFirst = new ArrayList<>(standing.log());
        Collections.reverse(latestFirst);
        return new HomeView(
                plan.flatMap(block -> FloorDay.inFocus(block).map(place -> day(block, place.day(), place.week())))
                        .orElse(null),
                plan.map(HomeView::weeks).orElse(List.of()),
                standing.lifts().stream()
                        .filter(LiftRecord::hasNumbers)
                        .map(lift -> line(lift, today))
                        .toList(),
                standing.bestsSince(today.minusWeeks(Trend.WEEKS)).stream()
                        .limit(BESTS)
                        .toList(),
                latestFirst.stream()
                        .flatMap(session ->
                                session.ratings().coachNote().stream().map(words -> new Note(session.date(), words)))
                        .limit(NOTES)
                        .toList(),
                plan.map(block -> charts(block, standing)).orElse(List.of()));
    }

    private static List<LoadChart> charts(LifterBlock plan, LifterRecord standing) {
        return standing.lifts().stream()
                .filter(lift -> lift.estimate().isPresent())
                .flatMap(lift -> LoadChart.of(lift.lift(), plan.resolver()).stream())
                .toList();
    }

    private static LiftLine line(LiftRecord lift, LocalDate today) {
        return new LiftLine(
                lift.lift(),
                lift.estimate().map(MaxEstimate::max),
                lift.workingMax(),
                lift.estimate().flatMap(estimate -> Trend.of(estimate, today)));
    }

    private static List<Week> weeks(LifterBlock plan) {
        List<Week> weeks = new ArrayList<>();
        int now = plan.currentWeek();
        for (int week = now; week < Math.min(plan.block().weeks(), now + 2); week++) {
            List<Day> days = new ArrayList<>();
            for (int day : plan.block().daysByDate()) {
                days.add(day(plan, day, week));
            }
            weeks.add(new Week(
                    week + 1,
                    !plan.today().isBefore(plan.block().start().plusWeeks(week))
                            && plan.today().isBefore(plan.block().start().plusWeeks(week + 1L)),
                    plan.block().shape().get(week).deload(),
                    days));
        }
        return weeks;
    }

    private static Day day(LifterBlock plan, int day, int week) {
        Optional<SessionLog> log = plan.session(day, week);
        boolean finished = plan.isFinished(day, week);
        return new Day(
                day,
                week,
                plan.block().days().get(day).name(),
                plan.block().date(day, week),
                plan.projection().prescriptions(day, week).stream()
                        .map(asked -> asked.lift())
                        .distinct()
                        .toList(),
                log.isPresent() && !finished,
                finished,
                log.filter(session -> finished)
                        .flatMap(session ->
                                session.asked().map(asked -> Exposure.judgement(asked.prescriptions(), session.sets())))
                        .orElse(null));
    }
}
