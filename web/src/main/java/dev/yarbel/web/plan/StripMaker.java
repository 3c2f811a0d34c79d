package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.core.tally.Exposure;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.page.Strip;
import dev.yarbel.web.page.Words;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Draws a block as a strip: what was lifted filled, what is to come in outline. */
@Component
class StripMaker {

    private static final int LABELS = 150;
    private static final int WIDTH = 1180;
    private static final int HEADER = 20;
    private static final int LANE = 30;
    private static final int MOST_HEIGHT = 26;

    private final Words words;

    StripMaker(Words words) {
        this.words = words;
    }

    Strip draw(LifterPlan plan) {
        List<Lift> lifts = plan.block().days().stream()
                .flatMap(day -> day.slots().stream())
                .map(slot -> slot.lift())
                .distinct()
                .toList();
        int weeks = plan.block().weeks();
        List<Strip.Week> weekMarks = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            int x = x(plan, plan.block().start().plusWeeks(week));
            int next = x(plan, plan.block().start().plusWeeks(week + 1L));
            weekMarks.add(new Strip.Week(week + 1, x, next - x, week == plan.currentWeek()));
        }
        List<Strip.Lane> lanes = new ArrayList<>();
        for (Lift lift : lifts) {
            int bottom = HEADER + LANE * (lanes.size() + 1);
            lanes.add(new Strip.Lane(words.lift(lift), bottom, marks(plan, lift, bottom)));
        }
        boolean within = !plan.today().isBefore(plan.block().start())
                && !plan.today().isAfter(plan.block().end());
        int today = within ? x(plan, plan.today()) + dayWidth(plan) / 2 : -1;
        return new Strip(
                plan.lifter().id(), plan.name(), WIDTH, HEADER + LANE * lifts.size() + 4, weekMarks, today, lanes);
    }

    private static int dayWidth(LifterPlan plan) {
        return (WIDTH - LABELS) / (7 * plan.block().weeks());
    }

    private static int x(LifterPlan plan, LocalDate date) {
        long days = ChronoUnit.DAYS.between(plan.block().start(), date);
        return LABELS + (int) ((WIDTH - LABELS) * days / (7 * plan.block().weeks()));
    }

    private List<Strip.Mark> marks(LifterPlan plan, Lift lift, int bottom) {
        List<Strip.Mark> marks = new ArrayList<>();
        LiftNumbers known = plan.resolver().numbers(lift);
        Optional<Mass> max = known.estimate().or(known::workingMax);
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                int d = day;
                int w = week;
                exposure(plan, lift, day, week)
                        .filter(e -> max.isPresent())
                        .ifPresent(e -> marks.add(mark(plan, lift, e, max.get(), d, w, bottom)));
            }
        }
        return marks;
    }

    private Strip.Mark mark(LifterPlan plan, Lift lift, Exposure e, Mass max, int day, int week, int bottom) {
        Percent share = e.heaviest().percentOf(max);
        double above = Math.max(0, share.figure().doubleValue() - 40) / 60;
        int height = (int) Math.round(Math.max(4, Math.min(MOST_HEIGHT, 4 + above * (MOST_HEIGHT - 4))));
        int width = Math.min(dayWidth(plan), 6 + e.hardReps() / 2);
        LocalDate date = plan.block().date(day, week);
        int x = x(plan, date) + (dayWidth(plan) - width) / 2;
        String text = words.say(
                e.done() ? "strip.mark.done." + e.judgement() : "strip.mark.planned",
                words.lift(lift),
                words.day(date),
                words.load(e.heaviest(), plan.lifter().unit()),
                words.percent(share),
                e.hardReps());
        return new Strip.Mark(date, day, week, x, bottom - height, width, height, e.done(), e.judgement(), text);
    }

    private static Optional<Exposure> exposure(LifterPlan plan, Lift lift, int day, int week) {
        List<Prescription> prescriptions = Prescription.of(plan.block(), day, week);
        return plan.session(day, week)
                .filter(SessionLog::finished)
                .map(session -> Exposure.done(plan.resolver(), prescriptions, session.sets(), lift))
                .orElseGet(() -> Exposure.planned(plan.resolver(), prescriptions, lift));
    }
}
