package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.estimate.SmoothedMaxEstimator;
import dev.yarbel.core.estimate.StartingMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.lab.lifter.Life;
import dev.yarbel.lab.lifter.SimulatedLifter;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * How far methods lie off the true standing max of simulated lifters, told on the evening of each week's last day. Each
 * lifter begins with a max that was tested within a few percent; the first weeks, which hang on it, are not counted.
 */
final class StandingMaxProof {

    private static final int FIRST_WEEK = 8;

    private final Map<Method, Score> scores = new LinkedHashMap<>();
    private final int lifters;
    private final int weeks;

    private StandingMaxProof(List<Method> methods, int lifters, int weeks) {
        methods.forEach(method -> scores.put(method, new Score()));
        this.lifters = lifters;
        this.weeks = weeks;
    }

    /** What can be told today: the estimator in use and the published formulas. */
    static List<Method> methods() {
        List<Method> methods = new ArrayList<>();
        methods.add(new Method.Ours("Yarbel, in use", new SmoothedMaxEstimator()));
        for (RepFormula formula : RepFormula.values()) {
            methods.add(new Method.BestRecent(formula));
        }
        return methods;
    }

    /**
     * @param firstSeed of the first lifter; each further one has the next
     */
    static StandingMaxProof of(List<Method> methods, long firstSeed, int lifters, int weeks) {
        StandingMaxProof proof = new StandingMaxProof(methods, lifters, weeks);
        for (int i = 0; i < lifters; i++) {
            proof.measure(SimulatedLifter.of(firstSeed + i).live(weeks));
        }
        return proof;
    }

    Map<Method, Score> scores() {
        return scores;
    }

    private void measure(Life life) {
        for (Lift lift : life.tested().keySet()) {
            StartingMax start = new StartingMax(kg(life.tested().get(lift)), life.first());
            int logged = 0;
            for (int week = FIRST_WEEK; week < life.weeks().size(); week++) {
                LocalDate evening = life.weeks().get(week).last();
                while (logged < life.sessions().size()
                        && !life.sessions().get(logged).date().isAfter(evening)) {
                    logged++;
                }
                List<LiftedSession> log = life.sessions().subList(0, logged);
                double truth = life.weeks().get(week).standing().get(lift);
                scores.forEach((method, score) ->
                        method.on(evening, lift, start, log).ifPresent(guess -> score.add(guess, truth)));
            }
        }
        scores.values().forEach(Score::endLifter);
    }

    /** A table in Markdown, a method a row. */
    String table() {
        double best = scores.entrySet().stream()
                .filter(entry -> entry.getKey() instanceof Method.BestRecent)
                .map(entry -> entry.getValue().ofTheMedianLifter())
                .min(Comparator.naturalOrder())
                .orElseThrow();
        StringBuilder table = new StringBuilder();
        table.append(
                "| method | error, median lifter | of the best formula's | error, all | leaning | in the 80 % range | half of it |\n");
        table.append("|---|---:|---:|---:|---:|---:|---:|\n");
        scores.forEach((method, score) -> table.append(String.format(
                Locale.ROOT,
                "| %s | %.1f %% | %.2f | %.1f %% | %+.1f %% | %s | %s |%n",
                method.name(),
                100 * score.ofTheMedianLifter(),
                score.ofTheMedianLifter() / best,
                100 * score.pooled(),
                100 * score.leaning(),
                score.saysHowSure() ? Math.round(100 * score.coverage()) + " %" : "–",
                score.saysHowSure() ? String.format(Locale.ROOT, "%.1f %%", 100 * score.halfWidth()) : "–")));
        return table.toString();
    }

    /** What it was measured on, in a sentence. */
    String ground() {
        return lifters + " lifters, " + weeks + " weeks, three lifts each, told once a week from week "
                + (FIRST_WEEK + 1) + " on";
    }

    private static Mass kg(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(1, RoundingMode.HALF_UP), MassUnit.KG);
    }
}
