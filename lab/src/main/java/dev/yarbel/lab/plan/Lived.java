package dev.yarbel.lab.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.lab.lifter.TrainedLifter;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/**
 * What became of a lifter under a way of planning.
 *
 * @param sets in weeks that were not easy
 * @param onTarget those that left as many as was wanted, give or take one
 * @param missed those in which repetitions were missed
 * @param gain of the three lifts' true standing maxes in the mean, as a share
 * @param episodes over-reaching: the days on which it began, 3 % and more taken from every lift
 * @param found after how many days a deload was asked for; an episode that nobody found is not among them
 * @param falseAlarms deloads asked for when nothing was taken
 */
public record Lived(int sets, int onTarget, int missed, double gain, int episodes, List<Long> found, int falseAlarms) {

    /** A set as it was done, beside the load and repetitions it was done with. */
    public record Set(double load, int asked, TrainedLifter.Done done) {}

    private static final LocalDate FIRST_DAY = LocalDate.of(2026, 1, 5);
    private static final List<Lift> LIFTS = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
    private static final List<List<Lift>> SESSIONS = List.of(
            List.of(Lift.SQUAT, Lift.BENCH_PRESS),
            List.of(Lift.DEADLIFT, Lift.BENCH_PRESS),
            List.of(Lift.SQUAT, Lift.DEADLIFT));
    private static final double BEGINS = 0.03;
    private static final double ENDS = 0.01;
    private static final int DAYS_BEFORE = 3;
    private static final int DAYS_TO_FIND = 21;

    /** How much lighter an easy week is, with half the sets. */
    static final double EASY = 0.9;

    static List<List<Lift>> sessions() {
        return SESSIONS;
    }

    static LocalDate firstDay() {
        return FIRST_DAY;
    }

    /** A lifter lives so many weeks. */
    public static Lived of(TrainedLifter lifter, Way way, int weeks) {
        Tally tally = new Tally();
        double before = LIFTS.stream().mapToDouble(lifter::standing).sum();
        for (int week = 0; week < weeks; week++) {
            boolean easy = way.isEasy(week);
            for (int day = 0; day < 7; day++) {
                LocalDate date = FIRST_DAY.plusDays(7L * week + day);
                lifter.day();
                tally.watch(date, lifter.overreached());
                if (day % 2 == 0 && day / 2 < SESSIONS.size() && lifter.comes()) {
                    List<Lift> lifts = SESSIONS.get(day / 2);
                    way.begin(date, week, lifts, lifter);
                    for (Lift lift : lifts) {
                        List<Set> sets = train(lifter, way, lift, easy);
                        way.done(lift, sets);
                        if (!easy) {
                            tally.count(sets);
                        }
                    }
                    way.end(date, lifter);
                }
            }
        }
        double after = LIFTS.stream().mapToDouble(lifter::standing).sum();
        return tally.lived(after / before - 1, way.deloadsAskedFor());
    }

    private static List<Set> train(TrainedLifter lifter, Way way, Lift lift, boolean easy) {
        List<Set> sets = new ArrayList<>();
        double share = easy ? EASY : 1;
        sets.add(set(lifter, lift, share * way.top(lift, lifter), Way.TOP_REPS));
        double fives = share * way.fives(lift, lifter);
        for (int i = 0; i < (easy ? (Way.FIVES + 1) / 2 : Way.FIVES); i++) {
            sets.add(set(lifter, lift, fives, Way.FIVE_REPS));
        }
        lifter.over(lift);
        return sets;
    }

    private static Set set(TrainedLifter lifter, Lift lift, double wanted, int reps) {
        double load = Gym.loaded(wanted);
        return new Set(load, reps, lifter.lift(lift, load, reps));
    }

    /** Counts while somebody lives. */
    private static final class Tally {

        private int sets;
        private int onTarget;
        private int missed;
        private final List<LocalDate> began = new ArrayList<>();
        private final List<LocalDate> well = new ArrayList<>();
        private boolean within;

        void watch(LocalDate date, double taken) {
            if (!within && taken >= BEGINS) {
                within = true;
                began.add(date);
            }
            if (taken < ENDS) {
                within = false;
                well.add(date);
            }
        }

        void count(List<Set> done) {
            for (Set set : done) {
                int wanted = set.asked() == Way.TOP_REPS ? Way.TOP_LEFT : Way.FIVE_LEFT;
                sets++;
                onTarget += Math.abs(set.done().left() - wanted) <= 1 ? 1 : 0;
                missed += set.done().reps() < set.asked() ? 1 : 0;
            }
        }

        Lived lived(double gain, List<LocalDate> alarms) {
            List<Long> found = new ArrayList<>();
            for (LocalDate onset : began) {
                alarms.stream()
                        .map(alarm -> ChronoUnit.DAYS.between(onset, alarm))
                        .filter(days -> days >= -DAYS_BEFORE && days <= DAYS_TO_FIND)
                        .findFirst()
                        .ifPresent(found::add);
            }
            int wrong = (int) alarms.stream()
                    .filter(well::contains)
                    .filter(alarm -> began.stream().noneMatch(onset -> {
                        long days = ChronoUnit.DAYS.between(onset, alarm);
                        return days >= -DAYS_BEFORE && days <= DAYS_TO_FIND;
                    }))
                    .count();
            return new Lived(sets, onTarget, missed, gain, began.size(), found, wrong);
        }
    }
}
