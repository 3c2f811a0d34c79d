package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;

/** Logs and maxes for the tests of estimates, in kilograms, by days from a first one. */
final class Logs {

    private Logs() {}

    static final LocalDate FIRST = LocalDate.of(2026, 1, 5);
    static final Lift SUMO = new Lift("sumo-deadlift");
    static final Lift CLOSE_GRIP = new Lift("close-grip-bench-press");
    static final MaxOnRecord SQUAT_200 = new MaxOnRecord(Lift.SQUAT, Mass.ofKg(200), FIRST);
    static final MaxOnRecord BENCH_140 = new MaxOnRecord(Lift.BENCH_PRESS, Mass.ofKg(140), FIRST);
    static final MaxOnRecord PULL_240 = new MaxOnRecord(Lift.DEADLIFT, Mass.ofKg(240), FIRST);

    static LiftedSet squat(double kg, int reps, String effort) {
        return set(Lift.SQUAT, kg, reps, effort);
    }

    static LiftedSet set(Lift lift, double kg, int reps, String effort) {
        return new LiftedSet(lift, Mass.of(String.valueOf(kg), MassUnit.KG), reps, Effort.parse(effort));
    }

    static LiftedSession on(int day, LiftedSet... sets) {
        return new LiftedSession(FIRST.plusDays(day), List.of(sets));
    }

    static StrengthHistory history(List<MaxOnRecord> maxes, LiftedSession... sessions) {
        return StrengthHistory.of(
                new StrengthFilter(Catalogue.STANDARD, Overrules.NONE), maxes, Arrays.asList(sessions));
    }

    static StrengthHistory squats(LiftedSession... sessions) {
        return history(List.of(SQUAT_200), sessions);
    }

    static double kg(StrengthHistory history, Lift lift, int day) {
        return kg(history.on(FIRST.plusDays(day)).estimate(lift).orElseThrow().max());
    }

    static double kg(Mass mass) {
        return mass.in(MassUnit.KG).doubleValue();
    }
}
