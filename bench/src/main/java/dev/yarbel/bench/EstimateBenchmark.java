package dev.yarbel.bench;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.estimate.LifterBelief;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** How long a session's update of what is believed of a lifter takes, and half a year of them from the beginning. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class EstimateBenchmark {

    private static final LocalDate FIRST = LocalDate.of(2026, 1, 5);
    private static final String[] LIFTS = {
        "squat",
        "bench-press",
        "deadlift",
        "overhead-press",
        "close-grip-bench-press",
        "paused-bench-press",
        "sumo-deadlift",
        "front-squat"
    };
    private static final int SETS = 20;

    private final StrengthFilter filter = new StrengthFilter(Catalogue.STANDARD, Overrules.NONE);
    private final List<MaxOnRecord> maxes = List.of(
            new MaxOnRecord(Lift.SQUAT, Mass.ofKg(200), FIRST),
            new MaxOnRecord(Lift.BENCH_PRESS, Mass.ofKg(130), FIRST),
            new MaxOnRecord(Lift.DEADLIFT, Mass.ofKg(240), FIRST));
    private final List<LiftedSession> halfAYear = sessions(78);
    private final LifterBelief afterHalfAYear = after(halfAYear);
    private final LifterBelief afterFiveYears = after(sessions(780));
    private final LiftedSession half = session(79);
    private final LiftedSession five = session(781);

    private static List<LiftedSession> sessions(int many) {
        List<LiftedSession> sessions = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            sessions.add(session(i));
        }
        return sessions;
    }

    private static LiftedSession session(int number) {
        List<LiftedSet> sets = new ArrayList<>();
        for (int set = 0; set < SETS; set++) {
            Lift lift = new Lift(LIFTS[(number + set / 5) % LIFTS.length]);
            sets.add(new LiftedSet(lift, Mass.ofKg(90 + set), 1 + set % 5, Effort.parse(set % 4 == 0 ? "easy" : "8")));
        }
        return new LiftedSession(FIRST.plusDays(7L * number / 3), sets);
    }

    private LifterBelief after(List<LiftedSession> sessions) {
        LifterBelief belief = filter.start(FIRST);
        for (MaxOnRecord max : maxes) {
            belief = filter.after(belief, max);
        }
        for (LiftedSession session : sessions) {
            belief = filter.after(belief, session).after();
        }
        return belief;
    }

    /** One session of twenty sets, eight lifts known. */
    @Benchmark
    public StrengthFilter.Learned sessionAfterHalfAYear() {
        return filter.after(afterHalfAYear, half);
    }

    /** The same with ten times the history behind it. */
    @Benchmark
    public StrengthFilter.Learned sessionAfterFiveYears() {
        return filter.after(afterFiveYears, five);
    }

    /** Half a year, three sessions a week, from the beginning. */
    @Benchmark
    public StrengthHistory halfAYearFromTheBeginning() {
        return StrengthHistory.of(filter, maxes, halfAYear);
    }
}
