package dev.yarbel.core.tally;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.function.ToIntFunction;

/**
 * What some work adds up to.
 *
 * @param hardSetHalves hard sets in halves, a squat or pull weighing one and a half
 * @param tonnage load times repetitions
 * @param mean the mean share of the max over all repetitions whose share is known
 * @param peak the heaviest share
 */
public record Totals(
        int sets, int hardSetHalves, int reps, Mass tonnage, Optional<Percent> mean, Optional<Percent> peak) {

    /** @param halves how much a hard set weighs, line by line */
    static Totals of(List<WorkLine> lines, ToIntFunction<WorkLine> halves) {
        int sets = 0;
        int hard = 0;
        int reps = 0;
        Mass tonnage = Mass.ZERO;
        BigDecimal shares = BigDecimal.ZERO;
        int shared = 0;
        Percent peak = Percent.ZERO;
        for (WorkLine line : lines) {
            sets += line.sets();
            hard += line.hardSets() * halves.applyAsInt(line);
            reps += line.allReps();
            tonnage = tonnage.plus(line.tonnage());
            if (line.share().isPresent() && line.allReps() > 0) {
                shares = shares.add(line.share().get().figure().multiply(BigDecimal.valueOf(line.allReps())));
                shared += line.allReps();
                peak = peak.isLessThan(line.share().get()) ? line.share().get() : peak;
            }
        }
        return new Totals(
                sets,
                hard,
                reps,
                tonnage,
                shared == 0
                        ? Optional.empty()
                        : Optional.of(Percent.of(shares.divide(BigDecimal.valueOf(shared), 4, RoundingMode.HALF_UP))),
                shared == 0 ? Optional.empty() : Optional.of(peak));
    }

    /** Hard sets, a squat or pull weighing one and a half. */
    public BigDecimal hardSets() {
        return BigDecimal.valueOf(hardSetHalves).divide(BigDecimal.valueOf(2)).stripTrailingZeros();
    }
}
