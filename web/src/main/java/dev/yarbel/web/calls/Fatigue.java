package dev.yarbel.web.calls;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.recovery.DeloadDue;
import dev.yarbel.core.recovery.Readiness;
import dev.yarbel.core.recovery.SessionLoad;
import dev.yarbel.core.recovery.TrainingSeen;
import dev.yarbel.core.recovery.Wellbeing;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.book.SessionRatings;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Reads out of a lifter's log and plan what tells of fatigue. */
final class Fatigue {

    /** So long without a session is as good as a deload. */
    private static final int DAYS_OFF = 9;

    private Fatigue() {}

    /** How a lifter stands after the sessions up to a day. */
    static Readiness of(LifterBlock block, LocalDate last) {
        List<SessionLog> finished = block.standing().log().stream()
                .filter(session -> session.finished() && !session.date().isAfter(last))
                .toList();
        DeloadDue due = block.lifter().deloadDue().at(mastery(block));
        return Readiness.of(
                last,
                finished.stream().map(Fatigue::seen).toList(),
                progress(block),
                trainingSince(finished),
                due,
                plan(block));
    }

    private static TrainingSeen seen(SessionLog session) {
        List<LiftedSet> work = session.sets().stream()
                .filter(done -> !done.task().warmUp())
                .map(DoneSet::set)
                .toList();
        return new TrainingSeen(session.date(), work, isEasy(session), before(session.ratings()), load(session));
    }

    private static boolean isEasy(SessionLog session) {
        return session.asked().filter(AskedDay::deload).isPresent();
    }

    private static Optional<Wellbeing> before(SessionRatings ratings) {
        List<Integer> given = ratings.before();
        return given.isEmpty()
                ? Optional.empty()
                : Optional.of(new Wellbeing(given.get(0), given.get(1), given.get(2), given.get(3), given.get(4)));
    }

    private static Optional<SessionLoad> load(SessionLog session) {
        return session.ratings().effort().flatMap(effort -> session.ratings()
                .minutes()
                .map(minutes -> new SessionLoad(session.date(), effort, minutes)));
    }

    /** The lifts with numbers of their own that are no variation of another. */
    private static List<LiftRecord> main(LifterBlock block) {
        Catalogue catalogue = block.standing().catalogue();
        return block.standing().lifts().stream()
                .filter(lift -> lift.workingMax().isPresent()
                        && catalogue.root(lift.lift()).equals(lift.lift()))
                .toList();
    }

    private static List<Readiness.Progress> progress(LifterBlock block) {
        List<Readiness.Progress> progress = new ArrayList<>();
        for (LiftRecord lift : main(block)) {
            lift.estimate()
                    .flatMap(
                            estimate -> Readiness.Progress.of(estimate, block.today(), ExpectedGain.of(lift.mastery())))
                    .ifPresent(progress::add);
        }
        return progress;
    }

    /** When in doubt the lower level. */
    private static Optional<Mastery> mastery(LifterBlock block) {
        return main(block).stream().flatMap(lift -> lift.mastery().stream()).min(Comparator.naturalOrder());
    }

    /** The first session since the last deload, or since time off that came to as much. */
    private static Optional<LocalDate> trainingSince(List<SessionLog> finished) {
        Optional<LocalDate> since = Optional.empty();
        Optional<LocalDate> before = Optional.empty();
        for (SessionLog session : finished) {
            boolean rested = before.filter(last -> ChronoUnit.DAYS.between(last, session.date()) >= DAYS_OFF)
                    .isPresent();
            if (isEasy(session)) {
                since = Optional.empty();
            } else if (since.isEmpty() || rested) {
                since = Optional.of(session.date());
            }
            before = Optional.of(session.date());
        }
        return since;
    }

    /** What the plan says of this week and the next. */
    private static Readiness.Plan plan(LifterBlock block) {
        int week = block.currentWeek();
        if (!block.block().days().isEmpty() && block.block().shape().get(week).phase() == Phase.REACH) {
            return Readiness.Plan.REACHING_OVER;
        }
        for (int at = week; at <= week + 1 && at < block.block().weeks(); at++) {
            if (block.block().shape().get(at).deload() || block.block().isGap(at) && at > week) {
                return Readiness.Plan.DELOAD_AT_HAND;
            }
        }
        return Readiness.Plan.TRAINING;
    }
}
