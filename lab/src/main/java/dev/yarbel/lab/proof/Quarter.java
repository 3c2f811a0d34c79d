package dev.yarbel.lab.proof;

import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.lab.lifter.TrainedLifter;
import dev.yarbel.lab.plan.Gym;
import dev.yarbel.lab.plan.PlainWays;
import dev.yarbel.lab.plan.Way;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** A quarter of a year of training, of which the estimate knows, before something is said of a lifter. */
final class Quarter {

    private static final LocalDate FIRST_DAY = LocalDate.of(2026, 1, 5);
    private static final int LEARNING = 12;
    private static final double EASY = 0.9;

    /** The day after it. */
    static final LocalDate END = FIRST_DAY.plusWeeks(LEARNING);

    static final List<Lift> LIFTS = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);

    /** What is trained together in a week, every other day. */
    static final List<List<Lift>> SESSIONS = List.of(
            List.of(Lift.SQUAT, Lift.BENCH_PRESS),
            List.of(Lift.DEADLIFT, Lift.BENCH_PRESS),
            List.of(Lift.SQUAT, Lift.DEADLIFT));

    private Quarter() {}

    /** Lives it, and says what the estimate knows then. */
    static LifterStrength learnt(TrainedLifter lifter) {
        List<MaxOnRecord> tested = LIFTS.stream()
                .map(lift -> new MaxOnRecord(lift, mass(lifter.tested(lift)), FIRST_DAY))
                .toList();
        return StrengthHistory.of(
                        new StrengthFilter(Catalogue.STANDARD, Overrules.NONE),
                        tested,
                        learn(lifter, PlainWays.fixed(lifter)))
                .on(END);
    }

    /** A quarter of a year in percent of a max that was tested, every sixth week easy, and what is logged of it. */
    private static List<LiftedSession> learn(TrainedLifter lifter, Way way) {
        List<LiftedSession> log = new ArrayList<>();
        for (int day = 0; day < 7 * LEARNING; day++) {
            lifter.day();
            int session = day % 7 / 2;
            if (day % 7 % 2 == 0 && session < SESSIONS.size() && lifter.comes()) {
                List<LiftedSet> sets = new ArrayList<>();
                double share = way.isEasy(day / 7) ? EASY : 1;
                for (Lift lift : SESSIONS.get(session)) {
                    sets.add(lifted(lifter, lift, share * way.top(lift, lifter), Way.TOP_REPS));
                    for (int i = 0; i < (share < 1 ? 2 : Way.FIVES); i++) {
                        sets.add(lifted(lifter, lift, share * way.fives(lift, lifter), Way.FIVE_REPS));
                    }
                    lifter.over(lift);
                }
                log.add(new LiftedSession(FIRST_DAY.plusDays(day), sets));
            }
        }
        return log;
    }

    private static LiftedSet lifted(TrainedLifter lifter, Lift lift, double wanted, int reps) {
        double load = Gym.loaded(wanted);
        TrainedLifter.Done done = lifter.lift(lift, load, reps);
        return new LiftedSet(lift, mass(load), done.reps(), done.said(), SetDetails.NONE);
    }

    static Mass mass(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(1, RoundingMode.HALF_UP), MassUnit.KG);
    }
}
