package dev.yarbel.lab.proof;

import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.lab.lifter.Life;
import dev.yarbel.lab.lifter.SimulatedLifter;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.LongStream;

/** Simulated lifters by their seeds, and what Yarbel makes of one. */
final class Lives {

    private Lives() {}

    /**
     * @param firstSeed of the first lifter; each further one has the next
     */
    static List<Life> of(long firstSeed, int lifters, Function<SimulatedLifter, Life> life) {
        return LongStream.range(firstSeed, firstSeed + lifters)
                .mapToObj(seed -> life.apply(SimulatedLifter.of(seed)))
                .toList();
    }

    /** The maxes tested before the first session. */
    static Map<Lift, MaxOnRecord> starts(Life life) {
        Map<Lift, MaxOnRecord> starts = new LinkedHashMap<>();
        life.tested().forEach((lift, max) -> starts.put(lift, new MaxOnRecord(lift, mass(max), life.first())));
        return starts;
    }

    private static Mass mass(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(1, RoundingMode.HALF_UP), MassUnit.KG);
    }

    /** What the whole log makes believe. */
    static StrengthHistory history(Life life) {
        return StrengthHistory.of(
                new StrengthFilter(Catalogue.STANDARD, Overrules.NONE),
                starts(life).values(),
                life.sessions());
    }

    static double median(List<Double> figures) {
        return quantile(figures, 0.5);
    }

    static double quantile(List<Double> figures, double share) {
        List<Double> sorted = figures.stream().sorted().toList();
        return sorted.get((int) Math.min(sorted.size() - 1.0, Math.floor(share * sorted.size())));
    }
}
