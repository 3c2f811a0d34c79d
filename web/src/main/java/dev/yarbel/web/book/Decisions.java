package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What a coach decided of a lifter's lifts in the place of what could be learnt. */
record Decisions(Map<Lift, RepCurve> curves, Map<Lift, Percent> ratios, Map<Lift, DecidedBias> biases) {

    static Decisions of(Collection<LiftNumbersEntity> rows) {
        Decisions decided = new Decisions(new HashMap<>(), new HashMap<>(), new HashMap<>());
        rows.forEach(row -> {
            row.decidedCurve().ifPresent(curve -> decided.curves.put(row.lift(), curve));
            row.ratio().ifPresent(ratio -> decided.ratios.put(row.lift(), ratio));
            row.decidedBias().ifPresent(bias -> decided.biases.put(row.lift(), bias));
        });
        return decided;
    }

    /**
     * What was decided of these lifts, but for one curve for all of them.
     *
     * @param curve empty where each lift's is learnt
     */
    static Decisions of(Collection<LiftRecord> lifts, Optional<RepCurve> curve) {
        Decisions decided = new Decisions(new HashMap<>(), new HashMap<>(), new HashMap<>());
        lifts.forEach(lift -> {
            curve.ifPresent(one -> decided.curves.put(lift.lift(), one));
            lift.ratio().ifPresent(ratio -> decided.ratios.put(lift.lift(), ratio));
            lift.learnt().decidedBias().ifPresent(bias -> decided.biases.put(lift.lift(), bias));
        });
        return decided;
    }

    Overrules overrules() {
        Map<Lift, BigDecimal> reps = new HashMap<>();
        biases.forEach((lift, bias) -> reps.put(lift, bias.reps()));
        return new Overrules(curves, ratios, reps);
    }
}
