package dev.yarbel.core.review;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.recovery.Wake;
import dev.yarbel.core.review.Judged.Line;
import dev.yarbel.core.review.Judged.Question;
import dev.yarbel.core.review.Judged.Saying;
import dev.yarbel.core.review.Judged.Verdict;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.shape.Taper;
import dev.yarbel.core.tally.SessionTime;
import dev.yarbel.core.tally.WorkLine;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Holds a block against the checklist that coaches judge one by (common practice, no source): specificity, overload, fatigue, fit,
 * auto-regulation, where volume and intensity go, what leads up to the peak, session length, frequency. Where its lines run is ours, except that
 * 26 repetitions of 122 in contest lifts and close variations are poor. What was lifted counts as it was lifted.
 */
public final class BlockJudge {

    private static final Percent SPECIFIC = Percent.of(50);
    private static final Percent UNSPECIFIC = Percent.of(30);
    private static final double FAR_MORE_BY = 1.5;
    private static final int LONG_STRETCH = 8;
    private static final int LONGEST_STRETCH = 12;
    private static final Percent SETTLED = Percent.of(20);
    private static final Percent NINETY = Percent.of(90);
    private static final int WEEKS_OF_SINGLES = 6;
    private static final int LONG_SESSION = 120;
    private static final double OVER_TIME = 1.1;
    private static final Set<Kind> AGAINST_FATIGUE = EnumSet.of(
            Kind.HARD_DAYS_IN_A_ROW,
            Kind.REACH_WITHOUT_DELOAD,
            Kind.NO_DELOAD,
            Kind.IN_WAKE,
            Kind.SQUAT_NEXT_TO_PULL,
            Kind.HEAVY_PULLS_CLOSE,
            Kind.SIX_HARD_DAYS);
    private static final Set<Kind> AGAINST_FIT = EnumSet.of(
            Kind.ACHE,
            Kind.GATED,
            Kind.BEYOND_CURVE,
            Kind.ABOVE_ZONE,
            Kind.BELOW_ZONE,
            Kind.FIRST_WEEK_HIGH,
            Kind.TOO_LITTLE,
            Kind.TOO_MANY_DAYS,
            Kind.UNFORGIVING,
            Kind.KIT_GONE,
            Kind.GYM_TOO_LIGHT,
            Kind.DROPPED_EARLY,
            Kind.RUN_AGAIN);
    private static final Set<Kind> STOPS = EnumSet.of(Kind.ACHE, Kind.GATED, Kind.BEYOND_CURVE);
    private static final Set<Kind> AGAINST_PEAK =
            EnumSet.of(Kind.CONTEST_UNSHAPED, Kind.HEAVY_NEAR_CONTEST, Kind.PEAK_WITHOUT_DATE);
    private static final Set<Kind> AGAINST_FREQUENCY = EnumSet.of(
            Kind.TOO_OFTEN_FOR_THE_STRONG,
            Kind.FREQUENCY_WHILE_DIETING,
            Kind.LIMIT_EVERY_SESSION,
            Kind.TECHNIQUE_LEFT,
            Kind.PRACTICE_TOO_HEAVY,
            Kind.SETS_IN_A_SESSION);

    private final Reviewed plan;
    private final List<Mark> marks;
    private final Optional<Wake> wake;
    private final Trend trend;
    private final List<Integer> trained;
    private final List<Lift> contested;

    private BlockJudge(Reviewed plan, Optional<Wake> wake) {
        this.plan = plan;
        this.marks = plan.marks();
        this.wake = wake;
        this.trend = new Trend(plan);
        this.trained = trend.trained();
        this.contested = trend.contested();
    }

    /**
     * Judges a block.
     *
     * @param marks what its review marked
     * @param wake of the block; empty where nobody is to lift it
     */
    public static List<Judged> of(UnderReview plan, List<Mark> marks, Optional<Wake> wake) {
        BlockJudge judge = new BlockJudge(Reviewed.of(plan, marks), wake);
        return List.of(
                judge.specificity(),
                judge.overload(),
                judge.fatigue(),
                judge.fit(),
                judge.autoRegulation(),
                judge.volume(),
                judge.intensity(),
                judge.peak(),
                judge.sessionLength(),
                judge.frequency());
    }

    private Judged specificity() {
        List<Line> lines = new ArrayList<>();
        int all = plan.reckoning().all().reps();
        if (all == 0) {
            return new Judged(Question.SPECIFICITY, Verdict.OPEN, List.of(Line.of(Saying.NO_REPS)));
        }
        Percent share = plan.reckoning().specificity().orElse(Percent.ZERO);
        int close = plan.reckoning().lines().stream()
                .filter(line -> plan.reckoning().isClose(line.lift()))
                .mapToInt(WorkLine::allReps)
                .sum();
        lines.add(Line.of(Saying.CLOSE_REPS, close, all, share));
        mostElse().ifPresent(lines::add);
        if (contested.isEmpty()) {
            lines.add(Line.of(Saying.NO_CONTEST_LIFT));
            return new Judged(Question.SPECIFICITY, Verdict.LOOK, lines);
        }
        long building = plan.block().shape().stream()
                .filter(week -> week.phase() == Phase.MUSCLE)
                .count();
        boolean mayBeBroad = 2 * building >= plan.block().weeks();
        Verdict verdict = !share.isLessThan(SPECIFIC)
                ? Verdict.SOUND
                : share.isLessThan(UNSPECIFIC) && !mayBeBroad ? Verdict.WEAK : Verdict.LOOK;
        return new Judged(Question.SPECIFICITY, verdict, lines);
    }

    private Optional<Line> mostElse() {
        Map<Lift, Integer> reps = new HashMap<>();
        plan.reckoning().lines().stream()
                .filter(line -> !plan.reckoning().isClose(line.lift()))
                .forEach(line -> reps.merge(line.lift(), line.allReps(), Integer::sum));
        return reps.entrySet().stream()
                .filter(entry -> entry.getValue() > 0)
                .max(Map.Entry.<Lift, Integer>comparingByValue()
                        .thenComparing(entry -> entry.getKey().key()))
                .map(entry -> Line.of(Saying.MOST_ELSE, entry.getKey(), entry.getValue()));
    }

    private double[] peaks(Lift root) {
        return trend.thirds(
                week -> Trend.percent(plan.reckoning().family(root, week).peak()));
    }

    private double[] reps(Lift root) {
        return trend.thirds(week -> plan.reckoning().family(root, week).reps());
    }

    private Judged overload() {
        if (trained.size() < Trend.TELLING_WEEKS || contested.isEmpty()) {
            return new Judged(
                    Question.OVERLOAD,
                    Verdict.OPEN,
                    List.of(
                            contested.isEmpty()
                                    ? Line.of(Saying.NO_CONTEST_LIFT)
                                    : Line.of(Saying.TOO_SHORT, trained.size())));
        }
        List<Line> lines = new ArrayList<>();
        int without = 0;
        for (Lift root : contested) {
            double[] peak = peaks(root);
            double[] reps = reps(root);
            boolean heavier = peak[1] >= peak[0] + Trend.HEAVIER_BY.figure().doubleValue();
            boolean more = reps[1] >= reps[0] * Trend.MORE_BY && reps[1] > 0;
            if (heavier) {
                lines.add(Line.of(Saying.HEAVIER, root, percent(peak[0]), percent(peak[1])));
            }
            if (more) {
                lines.add(Line.of(Saying.MORE_WORK, root, Math.round(reps[0]), Math.round(reps[1])));
            }
            if (!heavier && !more) {
                without++;
                lines.add(Line.of(Saying.NO_MORE, root));
            }
        }
        Verdict verdict = without == 0 ? Verdict.SOUND : without == contested.size() ? Verdict.WEAK : Verdict.LOOK;
        return new Judged(Question.OVERLOAD, verdict, lines);
    }

    private Judged fatigue() {
        int inARow = 0;
        int longest = 0;
        int deloads = 0;
        for (int week = 0; week < plan.block().weeks(); week++) {
            boolean eased =
                    plan.block().shape().get(week).deload() || plan.block().isGap(week);
            deloads += eased ? 1 : 0;
            inARow = eased ? 0 : inARow + 1;
            longest = Math.max(longest, inARow);
        }
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of(Saying.LONGEST_STRETCH, longest));
        lines.add(Line.of(Saying.DELOADS, deloads));
        long soon = wake.map(Wake::tooSoon).orElse(0L);
        if (soon > 0) {
            lines.add(Line.of(Saying.TOO_SOON, soon));
        }
        boolean marked = marked(AGAINST_FATIGUE, lines);
        Verdict verdict = longest > LONGEST_STRETCH
                ? Verdict.WEAK
                : longest > LONG_STRETCH || marked || soon > 0 ? Verdict.LOOK : Verdict.SOUND;
        return new Judged(Question.FATIGUE, verdict, lines);
    }

    /** Adds what the review marked of these kinds, once each. */
    private boolean marked(Set<Kind> kinds, List<Line> lines) {
        List<Mark.Together> found = Mark.together(
                marks.stream().filter(mark -> kinds.contains(mark.kind())).toList());
        found.forEach(together -> lines.add(Line.of(Saying.MARKED, together)));
        return !found.isEmpty();
    }

    private Judged fit() {
        List<Line> lines = new ArrayList<>();
        int weeks = plan.known().habit().weeks();
        if (weeks == 0) {
            lines.add(Line.of(Saying.NO_HABIT));
        } else {
            for (Lift root : contested) {
                lines.add(Line.of(
                        Saying.FIRST_WEEK,
                        root,
                        plan.reckoning().family(root, 0).hardSets(),
                        halves(plan.known().habit().hardSets(root)),
                        weeks));
            }
        }
        boolean marked = marked(AGAINST_FIT, lines);
        boolean stops = marks.stream().anyMatch(mark -> STOPS.contains(mark.kind()));
        Verdict verdict = stops ? Verdict.WEAK : marked ? Verdict.LOOK : weeks == 0 ? Verdict.OPEN : Verdict.SOUND;
        return new Judged(Question.FIT, verdict, lines);
    }

    private Judged autoRegulation() {
        int all = 0;
        int settled = 0;
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                boolean top = false;
                for (PrescribedSets sets : plan.projection().prescriptions(day, week)) {
                    Part part = sets.part();
                    boolean byTheDay = part.basis().hangsOnTop() ? top : isSettledByTheDay(part);
                    top = part.isTop() ? byTheDay : top;
                    if (!part.work().isPreparation() && !part.basis().isByFeel()) {
                        all += sets.sets();
                        settled += byTheDay ? sets.sets() : 0;
                    }
                }
            }
        }
        if (all == 0) {
            return new Judged(Question.AUTO_REGULATION, Verdict.OPEN, List.of(Line.of(Saying.NO_REPS)));
        }
        Percent share =
                Percent.ofShare(BigDecimal.valueOf(settled).divide(BigDecimal.valueOf(all), 6, RoundingMode.HALF_UP));
        return new Judged(
                Question.AUTO_REGULATION,
                share.isLessThan(SETTLED) ? Verdict.LOOK : Verdict.SOUND,
                List.of(Line.of(Saying.SETTLED, settled, all, share)));
    }

    /** Whether what a lifter does on the day, or did the last time, has a say in what is lifted. */
    private static boolean isSettledByTheDay(Part part) {
        return part.basis().rating().isPresent()
                || part.details().within().isPresent()
                || part.basis().goesOnFromLast()
                || part.basis().isShareOfLast()
                || part.work().isOpen()
                || part.work().stop().isPresent();
    }

    private Judged volume() {
        if (trained.size() < Trend.TELLING_WEEKS) {
            return new Judged(Question.VOLUME, Verdict.OPEN, List.of(Line.of(Saying.TOO_SHORT, trained.size())));
        }
        double[] reps = trend.reps();
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of(Saying.REPS_FROM_TO, Math.round(reps[0]), Math.round(reps[1])));
        boolean triangle = trend.isTriangle();
        if (triangle) {
            lines.add(Line.of(Saying.TRIANGLE));
        }
        boolean far = reps[0] > 0 && reps[1] > reps[0] * FAR_MORE_BY;
        return new Judged(Question.VOLUME, triangle ? Verdict.WEAK : far ? Verdict.LOOK : Verdict.SOUND, lines);
    }

    private Judged intensity() {
        double[] means = trend.means();
        if (trained.size() < Trend.TELLING_WEEKS || means[0] == 0 || means[1] == 0) {
            return new Judged(Question.INTENSITY, Verdict.OPEN, List.of(Line.of(Saying.TOO_SHORT, trained.size())));
        }
        boolean falls = means[1] < means[0] - Trend.HEAVIER_BY.figure().doubleValue();
        return new Judged(
                Question.INTENSITY,
                falls && contest().isPresent() ? Verdict.LOOK : Verdict.SOUND,
                List.of(Line.of(Saying.MEAN_FROM_TO, percent(means[0]), percent(means[1]))));
    }

    private Optional<LocalDate> contest() {
        return Stream.concat(plan.block().contest().stream(), plan.known().contests().stream())
                .filter(day -> day.isAfter(plan.block().start())
                        && !day.isAfter(plan.block().end().plusDays(Taper.DAYS)))
                .min(Comparator.naturalOrder());
    }

    private Judged peak() {
        List<Line> lines = new ArrayList<>();
        boolean marked = marked(AGAINST_PEAK, lines);
        Optional<LocalDate> day = contest();
        if (day.isEmpty()) {
            lines.add(0, Line.of(Saying.NO_CONTEST));
            return new Judged(Question.PEAK, marked ? Verdict.LOOK : Verdict.OPEN, lines);
        }
        lines.add(
                0,
                Line.of(
                        Saying.CONTEST,
                        day.get(),
                        ChronoUnit.DAYS.between(plan.block().end(), day.get())));
        int singles = reps(
                day.get(),
                0,
                7 * WEEKS_OF_SINGLES,
                line -> line.reps() == 1
                        && line.share()
                                .filter(share -> !share.isLessThan(NINETY))
                                .isPresent());
        lines.add(Line.of(Saying.SINGLES, singles));
        int last = reps(day.get(), 0, Taper.DAYS, line -> true);
        int before = reps(day.get(), Taper.DAYS + 1, 2 * Taper.DAYS, line -> true);
        if (before > 0) {
            lines.add(Line.of(Saying.LAST_WEEKS, percent(100.0 * last / before)));
        }
        return new Judged(Question.PEAK, marked ? Verdict.WEAK : singles == 0 ? Verdict.LOOK : Verdict.SOUND, lines);
    }

    /** Repetitions from so many to so many days out. */
    private int reps(LocalDate contest, int from, int to, Predicate<WorkLine> which) {
        return plan.reckoning().lines().stream()
                .filter(line -> {
                    long out = ChronoUnit.DAYS.between(plan.block().date(line.day(), line.week()), contest);
                    return out >= from && out <= to && which.test(line);
                })
                .mapToInt(WorkLine::allReps)
                .sum();
    }

    private Judged sessionLength() {
        int longest = 0;
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                longest = Math.max(longest, (int) SessionTime.of(
                                plan.projection().prescriptions(day, week),
                                plan.projection().loads(day, week),
                                plan.resolver())
                        .toMinutes());
            }
        }
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of(Saying.LONGEST, longest));
        Optional<Integer> atHand = plan.known().minutesAtHand();
        atHand.ifPresent(minutes -> lines.add(Line.of(Saying.AT_HAND, minutes)));
        int most = longest;
        Verdict verdict = atHand.map(minutes -> most > minutes * OVER_TIME ? Verdict.WEAK : Verdict.SOUND)
                .orElse(most > LONG_SESSION ? Verdict.LOOK : Verdict.OPEN);
        return new Judged(Question.SESSION_LENGTH, verdict, lines);
    }

    private Judged frequency() {
        if (contested.isEmpty()) {
            return new Judged(Question.FREQUENCY, Verdict.OPEN, List.of(Line.of(Saying.NO_CONTEST_LIFT)));
        }
        List<Line> lines = new ArrayList<>();
        for (Lift root : contested) {
            lines.add(Line.of(
                    Saying.DAYS_A_WEEK,
                    root,
                    IntStream.range(0, plan.block().weeks())
                            .map(week -> plan.reckoning().frequency(root, week))
                            .max()
                            .orElse(0)));
        }
        List<Lift> alone = wake.stream()
                .flatMap(of -> of.gaps().stream())
                .map(Wake.Gap::root)
                .filter(contested::contains)
                .toList();
        alone.stream()
                .distinct()
                .forEach(root -> lines.add(Line.of(Saying.LEFT_ALONE, root, (int)
                        alone.stream().filter(root::equals).count())));
        boolean marked = marked(AGAINST_FREQUENCY, lines);
        return new Judged(Question.FREQUENCY, marked || !alone.isEmpty() ? Verdict.LOOK : Verdict.SOUND, lines);
    }

    private static Percent percent(double figure) {
        return Percent.of(BigDecimal.valueOf(figure).setScale(1, RoundingMode.HALF_UP));
    }

    private static BigDecimal halves(double sets) {
        return BigDecimal.valueOf(Math.round(sets * 2))
                .divide(BigDecimal.valueOf(2))
                .stripTrailingZeros();
    }
}
