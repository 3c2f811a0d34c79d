package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.lab.lifter.Life;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The drawings of the report, as SVG. */
final class Plots {

    private static final String INK = "#1E2529";
    private static final String QUIET = "#56616A";
    private static final String LINE = "#D8D2C4";
    private static final String TIDE = "#0E5A66";
    private static final String OVER = "#A8431A";
    private static final int WIDTH = 760;
    private static final int ROW = 30;
    private static final double TENTH = 0.1;
    private static final int MOST_PERCENT = 10;

    private Plots() {}

    private static String svg(int height, String title, String body) {
        return String.format(Locale.ROOT, """
                <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 %d %d" role="img" font-family="Barlow, sans-serif" font-size="14">
                <title>%s</title>
                <rect width="%d" height="%d" fill="#FFFEFA"/>
                %s</svg>
                """, WIDTH, height, title, WIDTH, height, body);
    }

    private static String text(double x, double y, String anchor, String colour, String words) {
        return String.format(
                Locale.ROOT,
                "<text x=\"%.1f\" y=\"%.1f\" text-anchor=\"%s\" fill=\"%s\">%s</text>%n",
                x,
                y,
                anchor,
                colour,
                words);
    }

    private static String line(double x1, double y1, double x2, double y2, String colour, double width) {
        return String.format(
                Locale.ROOT,
                "<line x1=\"%.1f\" y1=\"%.1f\" x2=\"%.1f\" y2=\"%.1f\" stroke=\"%s\" stroke-width=\"%.1f\"/>%n",
                x1,
                y1,
                x2,
                y2,
                colour,
                width);
    }

    /** The error of each method: from the lifter at one tenth to the one at nine tenths, and the one in the middle. */
    static String errors(Map<Method, Score> scores) {
        int left = 290;
        int right = 730;
        int top = 20;
        int bottom = top + ROW * scores.size();
        StringBuilder body = new StringBuilder();
        for (int percent = 0; percent <= MOST_PERCENT; percent += 2) {
            double x = left + (right - left) * percent / (double) MOST_PERCENT;
            body.append(line(x, top, x, bottom, LINE, 1)).append(text(x, bottom + 18, "middle", QUIET, percent + " %"));
        }
        int row = 0;
        for (Map.Entry<Method, Score> one : scores.entrySet()) {
            boolean formula = one.getKey() instanceof Method.BestRecent;
            String colour = row == 0 ? TIDE : formula ? OVER : QUIET;
            double y = top + ROW * (row + 0.5);
            Score score = one.getValue();
            body.append(text(left - 12, y + 5, "end", INK, one.getKey().name().replace(", best of four weeks", "")));
            body.append(line(at(score.ofLifterAt(TENTH)), y, at(score.ofLifterAt(1 - TENTH)), y, colour, 6));
            body.append(line(at(score.ofTheMedianLifter()), y - 9, at(score.ofTheMedianLifter()), y + 9, INK, 3));
            row++;
        }
        body.append(text((left + right) / 2.0, bottom + 40, "middle", QUIET, "error of the standing max over a year"));
        return svg(bottom + 52, "How far each method lies off the true standing max", body.toString());
    }

    private static double at(double error) {
        return 290 + 440 * Math.min(1, 100 * error / MOST_PERCENT);
    }

    /** How often the truth lies within a range, against how often it should. */
    static String calibration(Score score) {
        double[] spreads = {0.2533, 0.5244, 0.6745, 0.8416, 1.0364, 1.2816, 1.6449, 1.9600, 2.5758};
        double[] nominal = {0.2, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 0.99};
        double[] held = Arrays.stream(spreads).map(score::within).toArray();
        return saidAndTrue(
                nominal,
                held,
                "is to hold the truth so often",
                "up: holds it so often",
                "How often ranges hold the truth");
    }

    /** How often sets were missed, against how likely that was said to be. */
    static String reliability(List<RehearsalProof.Bin> bins) {
        return saidAndTrue(
                bins.stream().mapToDouble(RehearsalProof.Bin::said).toArray(),
                bins.stream().mapToDouble(RehearsalProof.Bin::missed).toArray(),
                "said to be missed",
                "up: was missed so often",
                "How often sets are missed that a rehearsal says will be");
    }

    /** Shares that came true against those that were said; on the diagonal they agree. */
    private static String saidAndTrue(double[] said, double[] came, String along, String up, String title) {
        int left = 60;
        int top = 20;
        int side = 360;
        StringBuilder body = new StringBuilder();
        for (int percent = 0; percent <= 100; percent += 20) {
            double x = left + side * percent / 100.0;
            double y = top + side * (1 - percent / 100.0);
            body.append(line(x, top, x, top + side, LINE, 1)).append(line(left, y, left + side, y, LINE, 1));
            body.append(text(x, top + side + 18, "middle", QUIET, percent + " %"));
            body.append(text(left - 8, y + 5, "end", QUIET, percent + " %"));
        }
        body.append(line(left, top + side, left + side, top, QUIET, 1));
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < said.length; i++) {
            double x = left + side * said[i];
            double y = top + side * (1 - came[i]);
            path.append(String.format(Locale.ROOT, "%s%.1f %.1f", i == 0 ? "M" : "L", x, y));
            body.append(
                    String.format(Locale.ROOT, "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"4\" fill=\"%s\"/>%n", x, y, TIDE));
        }
        body.append(path(path.toString(), TIDE, 2, "none"));
        body.append(text(left + side / 2.0, top + side + 40, "middle", QUIET, along));
        body.append(text(left + side + 20, top + 20, "start", QUIET, up));
        return svg(top + side + 52, title, body.toString());
    }

    private static String path(String d, String colour, double width, String fill) {
        return String.format(
                Locale.ROOT,
                "<path d=\"%s\" stroke=\"%s\" stroke-width=\"%.1f\" fill=\"%s\"/>%n",
                d,
                colour,
                width,
                fill);
    }

    /** One lift of one lifter over the year: the truth, what Yarbel says with its range, and what a formula says. */
    static String example(Life life, Lift lift, RepFormula formula) {
        StrengthHistory history = Lives.history(life);
        Method.Telling telling = new Method.BestRecent(formula).of(Lives.starts(life));
        int left = 60;
        int right = 740;
        int top = 60;
        int bottom = 380;
        int weeks = life.weeks().size();
        double middle = life.weeks().get(weeks / 2).standing().get(lift);
        double low = 0.84 * middle;
        double high = 1.16 * middle;
        StringBuilder upper = new StringBuilder();
        StringBuilder lower = new StringBuilder();
        StringBuilder said = new StringBuilder();
        StringBuilder truth = new StringBuilder();
        StringBuilder dots = new StringBuilder();
        int logged = 0;
        for (int week = 0; week < weeks; week++) {
            LocalDate evening = life.weeks().get(week).last();
            while (logged < life.sessions().size()
                    && !life.sessions().get(logged).date().isAfter(evening)) {
                telling.add(life.sessions().get(logged++));
            }
            double x = left + (right - left) * week / (weeks - 1.0);
            MaxEstimate estimate = history.on(evening).estimate(lift).orElseThrow();
            String step = week == 0 ? "M" : "L";
            upper.append(point(step, x, y(kg(estimate.high()), low, high, top, bottom)));
            lower.insert(0, point("L", x, y(kg(estimate.low()), low, high, top, bottom)));
            said.append(point(step, x, y(kg(estimate.max()), low, high, top, bottom)));
            truth.append(point(step, x, y(life.weeks().get(week).standing().get(lift), low, high, top, bottom)));
            double byFormula = telling.on(evening, lift).orElseThrow().max();
            dots.append(String.format(
                    Locale.ROOT,
                    "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"3\" fill=\"%s\"/>%n",
                    x,
                    y(byFormula, low, high, top, bottom),
                    OVER));
        }
        StringBuilder body = new StringBuilder();
        for (int kg = (int) (low / 10) * 10 + 10; kg < high; kg += 10) {
            double y = y(kg, low, high, top, bottom);
            body.append(line(left, y, right, y, LINE, 1)).append(text(left - 8, y + 5, "end", QUIET, kg + " kg"));
        }
        body.append("<g fill-opacity=\"0.18\">")
                .append(path(upper.toString() + lower + "Z", "none", 0, TIDE))
                .append("</g>");
        body.append(dots)
                .append(path(said.toString(), TIDE, 2.5, "none"))
                .append(path(truth.toString(), INK, 2, "none"));
        body.append(text(left, 22, "start", INK, "black: the true standing max"))
                .append(text(right, 22, "end", TIDE, "tide: Yarbel, with its 80 % range"))
                .append(text(left, 44, "start", OVER, "dots: " + new Method.BestRecent(formula).name()));
        body.append(text((left + right) / 2.0, bottom + 20, "middle", QUIET, "52 weeks"));
        return svg(bottom + 32, "A year of one simulated lifter", body.toString());
    }

    private static String point(String step, double x, double y) {
        return String.format(Locale.ROOT, "%s%.1f %.1f", step, x, y);
    }

    private static double y(double kg, double low, double high, int top, int bottom) {
        return bottom - (bottom - top) * Math.max(0, Math.min(1, (kg - low) / (high - low)));
    }

    private static double kg(Mass mass) {
        return mass.kilograms();
    }

    /** The first life of some with a break in the middle of it. */
    static Life withABreak(List<Life> lives) {
        return lives.stream()
                .filter(life -> life.weeks().subList(20, 32).stream().anyMatch(Life.Week::away))
                .findFirst()
                .orElseThrow();
    }
}
