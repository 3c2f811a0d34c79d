package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.estimate.Ingredient;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.lab.lifter.Life;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * How far methods lie off the true standing max of simulated lifters, told on the evening of each week's last day. Each
 * lifter begins with a max that was tested within a few percent; the first weeks, which hang on it, are not counted.
 */
final class StandingMaxProof {

    private static final int FIRST_WEEK = 8;
    /** So many weeks after a break still feel it. */
    private static final int AFTER_A_BREAK = 4;

    private final Map<Method, Score> scores = new LinkedHashMap<>();
    private final Map<Method, Score> afterBreaks = new LinkedHashMap<>();

    private StandingMaxProof(List<Method> methods) {
        for (Method method : methods) {
            scores.put(method, new Score());
            afterBreaks.put(method, new Score());
        }
    }

    static Method yarbel() {
        return new Method.Filter("Yarbel", new StrengthFilter(Catalogue.STANDARD, Overrules.NONE));
    }

    /** Yarbel, a smoothed mean of what each set speaks for by the usual curve, and the published formulas. */
    static List<Method> methods() {
        List<Method> methods = new ArrayList<>(List.of(yarbel(), new SmoothedLevel("smoothed level, usual curve")));
        for (RepFormula formula : RepFormula.values()) {
            methods.add(new Method.BestRecent(formula));
        }
        return methods;
    }

    /** Yarbel, and Yarbel without each of its parts. */
    static List<Method> ablations() {
        List<Method> methods = new ArrayList<>(List.of(yarbel()));
        for (Ingredient part : Ingredient.values()) {
            methods.add(new Method.Filter(
                    "without " + part.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                    StrengthFilter.without(part, Catalogue.STANDARD)));
        }
        return methods;
    }

    static StandingMaxProof of(List<Method> methods, List<Life> lives) {
        StandingMaxProof proof = new StandingMaxProof(methods);
        lives.forEach(proof::measure);
        return proof;
    }

    Map<Method, Score> scores() {
        return scores;
    }

    private void measure(Life life) {
        scores.keySet().forEach(method -> {
            Method.Telling telling = method.of(Lives.starts(life));
            int logged = 0;
            int sinceBreak = AFTER_A_BREAK + 1;
            for (int week = 0; week < life.weeks().size(); week++) {
                Life.Week now = life.weeks().get(week);
                LocalDate evening = now.last();
                while (logged < life.sessions().size()
                        && !life.sessions().get(logged).date().isAfter(evening)) {
                    telling.add(life.sessions().get(logged++));
                }
                sinceBreak = now.away() ? 0 : sinceBreak + 1;
                if (week >= FIRST_WEEK) {
                    Score of = sinceBreak >= 1 && sinceBreak <= AFTER_A_BREAK ? afterBreaks.get(method) : null;
                    now.standing()
                            .forEach((lift, truth) -> telling.on(evening, lift).ifPresent(guess -> {
                                scores.get(method).add(guess, truth);
                                if (of != null) {
                                    of.add(guess, truth);
                                }
                            }));
                }
            }
            scores.get(method).endLifter();
        });
    }

    /** A table in Markdown, a method a row. */
    String table() {
        double best = bestFormulas(Score::ofTheMedianLifter);
        double bestOfAll = bestFormulas(Score::pooled);
        StringBuilder table = new StringBuilder();
        table.append(
                "| method | error, median lifter | of the best formula's | error, all | of the best formula's | leaning |"
                        + " after a break | in the 80 % range | half of it |\n");
        table.append("|---|---:|---:|---:|---:|---:|---:|---:|---:|\n");
        scores.forEach((method, score) -> table.append(String.format(
                Locale.ROOT,
                "| %s | %.1f %% | %.2f | %.1f %% | %.2f | %+.1f %% | %.1f %% | %s | %s |%n",
                method.name(),
                100 * score.ofTheMedianLifter(),
                score.ofTheMedianLifter() / best,
                100 * score.pooled(),
                score.pooled() / bestOfAll,
                100 * score.leaning(),
                100 * afterBreaks.get(method).pooled(),
                score.saysHowSure() ? Math.round(100 * score.coverage()) + " %" : "–",
                score.saysHowSure() ? String.format(Locale.ROOT, "%.1f %%", 100 * score.halfWidth()) : "–")));
        return table.toString();
    }

    private double bestFormulas(ToDoubleFunction<Score> error) {
        return scores.entrySet().stream()
                .filter(entry -> entry.getKey() instanceof Method.BestRecent)
                .map(entry -> error.applyAsDouble(entry.getValue()))
                .min(Comparator.naturalOrder())
                .orElseThrow();
    }

    /** What each part is worth, in Markdown; the first method is the whole. */
    String ablationTable() {
        StringBuilder table = new StringBuilder();
        table.append(
                "| | error, median lifter | error, all | leaning | in the 80 % range |\n|---|---:|---:|---:|---:|\n");
        scores.forEach((method, score) -> table.append(String.format(
                Locale.ROOT,
                "| %s | %.2f %% | %.2f %% | %+.1f %% | %d %% |%n",
                method.name(),
                100 * score.ofTheMedianLifter(),
                100 * score.pooled(),
                100 * score.leaning(),
                Math.round(100 * score.coverage()))));
        return table.toString();
    }
}
