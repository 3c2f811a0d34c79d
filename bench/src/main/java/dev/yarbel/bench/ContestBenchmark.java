package dev.yarbel.bench;

import dev.yarbel.core.contest.Aim;
import dev.yarbel.core.contest.BestAttempts;
import dev.yarbel.core.contest.ContestKit;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.CountedBack;
import dev.yarbel.core.contest.DayOutlook;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.contest.UsualShares;
import dev.yarbel.core.contest.WarmUpRoom;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.ramp.RampPlanner;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What a look at a contest costs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class ContestBenchmark {

    private static final Instant TEN = Instant.parse("2026-03-10T10:00:00Z");

    private final ContestRules rules = ContestRules.named("ipf-classic");
    private final DayStrength day = DayStrength.of(
            Map.of(Lift.SQUAT, 250.0, Lift.BENCH_PRESS, 170.0, Lift.DEADLIFT, 290.0), rules.lifts(), 0.03, 0.02);
    private final List<WarmUpRoom.Warming> six = LongStream.range(0, 6)
            .mapToObj(who -> new WarmUpRoom.Warming(
                    who,
                    CountedBack.from(
                            RampPlanner.plan(ContestKit.of(rules, List.of()), Mass.ofKg(120 + 20 * who)),
                            TEN.plus(Duration.ofMinutes(who)),
                            TEN.minus(Duration.ofHours(1)))))
            .toList();

    /** All nine attempts, looked through to the end. */
    @Benchmark
    public Optional<Mass> nineAttempts() {
        return new BestAttempts(day, rules, new Aim.MostOnAverage(), rules.lifts())
                .next(Lift.SQUAT, List.of(), Mass.ZERO);
    }

    /** Two thousand days by the usual shares. */
    @Benchmark
    public DayOutlook outlook() {
        return DayOutlook.of(
                new UsualShares(day, rules), day, new ScoreCard(rules, Map.of()), Lift.SQUAT, Optional.empty());
    }

    /** Six lifters on two bars. */
    @Benchmark
    public WarmUpRoom room() {
        return WarmUpRoom.plan(six, 2);
    }
}
