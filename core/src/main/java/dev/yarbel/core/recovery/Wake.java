package dev.yarbel.core.recovery;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.Recovers.Factor;
import dev.yarbel.core.recovery.Recovers.Why;
import dev.yarbel.core.tally.WorkLine;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * How each day's work of a block trails its recovery, what comes within the wake of its like, and where a lift is left too long. Sessions
 * are taken to be at the same time of day. All figures are starting values, see {@link RecoveryFigures} and {@link Recovers}.
 *
 * @param trails in order of days; those of one day in the order of the plan
 * @param overlaps hard days that come within the wake of their like, the deepest in it first
 * @param gaps between two days of a contest lift's family, or one close to it
 */
public record Wake(List<Trail> trails, List<Overlap> overlaps, List<Gap> gaps) {

    /** After so many days without a touch technique fades, and after so many muscle and force do (common practice, no source). */
    private static final int TECHNIQUE_DAYS = 5;

    private static final int FORCE_DAYS = 10;
    /** No pull of 90 % within a week of another (common practice, no source). */
    private static final int MAXIMAL_PULLS = 168;

    private static final int HOURS = 24;

    /**
     * One family's work on one day, and the wake it leaves.
     *
     * @param day and week, its place in the block, from 0
     * @param lift the one that needs longest
     * @param root of its family
     * @param hours until its like can be trained hard again
     * @param base of these, before anything made it longer or shorter
     * @param why what did
     */
    public record Trail(
            int day,
            int week,
            LocalDate date,
            Lift lift,
            Lift root,
            DayStrain strain,
            int hours,
            int base,
            List<Factor> why) {

        public Trail {
            why = List.copyOf(why);
        }

        /** Hours until a quality is there again. */
        public int hours(Clock clock) {
            return Recovers.hours(hours, List.of(new Factor(Why.STRAIN, clock.share())));
        }
    }

    /**
     * A hard day within the wake of another.
     *
     * @param between the hours between the two
     * @param needed the hours it would have taken
     */
    public record Overlap(Trail first, Trail then, long between, int needed) {

        /** By how many hours it comes too soon. */
        public long tooSoonBy() {
            return needed - between;
        }

        /** What is not there again yet when it comes. */
        public List<Clock> open() {
            return Stream.of(Clock.values())
                    .filter(clock -> between < Recovers.hours(needed, List.of(new Factor(Why.STRAIN, clock.share()))))
                    .toList();
        }
    }

    /**
     * Days on which a lift was left alone for too long.
     *
     * @param days from one to the other
     */
    public record Gap(Lift root, LocalDate from, LocalDate to, long days) {

        /** Whether not only technique fades. */
        public boolean isForce() {
            return days > FORCE_DAYS;
        }
    }

    public Wake {
        trails = List.copyOf(trails);
        overlaps = List.copyOf(overlaps);
        gaps = List.copyOf(gaps);
    }

    /**
     * The wake of a block.
     *
     * @param lines its work, planned or lifted
     * @param practised whether a family is trained by a school of daily practice, which halves its times and keeps its loads low
     */
    public static Wake of(
            Block block,
            List<WorkLine> lines,
            Catalogue catalogue,
            RecoveryFigures figures,
            Recovers lifter,
            Predicate<Lift> practised) {
        List<Trail> trails = new ArrayList<>();
        byDay(lines, catalogue)
                .forEach((at, work) -> trails.add(trail(block, at, work, figures, lifter, catalogue, practised)));
        trails.sort(Comparator.comparing(Trail::date));
        return new Wake(trails, overlaps(trails, figures), gaps(block, trails, catalogue));
    }

    /** A family on a day of a week. */
    private record At(int week, int day, Lift root) {}

    private static Map<At, List<WorkLine>> byDay(List<WorkLine> lines, Catalogue catalogue) {
        return lines.stream()
                .filter(line -> line.sets() > 0)
                .collect(Collectors.groupingBy(
                        line -> new At(line.week(), line.day(), catalogue.root(line.lift())),
                        LinkedHashMap::new,
                        Collectors.toList()));
    }

    private static Trail trail(
            Block block,
            At at,
            List<WorkLine> work,
            RecoveryFigures figures,
            Recovers lifter,
            Catalogue catalogue,
            Predicate<Lift> practised) {
        Phase phase = block.shape().get(at.week).phase();
        DayStrain strain = DayStrain.of(work);
        List<Factor> common = new ArrayList<>();
        if (!strain.share().equals(Percent.HUNDRED)) {
            common.add(new Factor(Why.STRAIN, strain.share()));
        }
        if (practised.test(at.root)) {
            common.add(new Factor(Why.DAILY_PRACTICE, Percent.of(50)));
        }
        return work.stream()
                .map(WorkLine::lift)
                .distinct()
                .map(lift -> {
                    List<Factor> of = new ArrayList<>(common);
                    of.addAll(lifter.factors(at.root, phase, figures.isOwn(lift, at.root)));
                    return trail(block, at, lift, strain, figures, catalogue, of);
                })
                .max(Comparator.comparingInt(Trail::hours))
                .orElseThrow();
    }

    private static Trail trail(
            Block block,
            At at,
            Lift lift,
            DayStrain strain,
            RecoveryFigures figures,
            Catalogue catalogue,
            List<Factor> common) {
        List<Factor> why = new ArrayList<>(common);
        Percent variation = catalogue.of(lift).recovery();
        // a lift with hours of its own has its recovery within them
        if (!variation.equals(Percent.HUNDRED) && !figures.hours().containsKey(lift)) {
            why.add(new Factor(Why.VARIATION, variation));
        }
        int base = figures.hours(lift, at.root);
        return new Trail(
                at.day,
                at.week,
                block.date(at.day, at.week),
                lift,
                at.root,
                strain,
                Recovers.hours(base, why),
                base,
                why);
    }

    /** @param trails in order of days: those too far back to be felt are not looked at */
    private static List<Overlap> overlaps(List<Trail> trails, RecoveryFigures figures) {
        long longest = Math.max(
                MAXIMAL_PULLS, trails.stream().mapToInt(Trail::hours).max().orElse(0));
        List<Overlap> overlaps = new ArrayList<>();
        for (int at = 0; at < trails.size(); at++) {
            Trail then = trails.get(at);
            Overlap deepest = null;
            for (int back = at - 1; then.strain().isHard() && back >= 0; back--) {
                Trail first = trails.get(back);
                long between = HOURS * ChronoUnit.DAYS.between(first.date(), then.date());
                if (between >= longest) {
                    break;
                }
                Optional<Overlap> overlap = between == 0 ? Optional.empty() : overlap(first, then, figures);
                if (overlap.isPresent() && (deepest == null || overlap.get().tooSoonBy() >= deepest.tooSoonBy())) {
                    deepest = overlap.get();
                }
            }
            if (deepest != null) {
                overlaps.add(deepest);
            }
        }
        overlaps.sort(Comparator.comparing(Overlap::tooSoonBy).reversed());
        return overlaps;
    }

    /** Whether one day lies in the wake of another. */
    static Optional<Overlap> overlap(Trail first, Trail then, RecoveryFigures figures) {
        long between = HOURS * ChronoUnit.DAYS.between(first.date(), then.date());
        int needed = needed(first, then, figures);
        return between < needed ? Optional.of(new Overlap(first, then, between, needed)) : Optional.empty();
    }

    static int needed(Trail first, Trail then, RecoveryFigures figures) {
        int felt = Recovers.hours(
                first.hours(), List.of(new Factor(Why.STRAIN, figures.likeness(first.root(), then.root()))));
        boolean maximalPulls = first.root().equals(Lift.DEADLIFT)
                && then.root().equals(Lift.DEADLIFT)
                && first.strain() == DayStrain.MAXIMAL
                && then.strain() == DayStrain.MAXIMAL;
        return maximalPulls ? Math.max(MAXIMAL_PULLS, felt) : felt;
    }

    private static List<Gap> gaps(Block block, List<Trail> trails, Catalogue catalogue) {
        Map<Lift, List<Trail>> byRoot = trails.stream()
                .filter(trail -> catalogue.of(trail.root()).contest())
                .collect(Collectors.groupingBy(Trail::root, LinkedHashMap::new, Collectors.toList()));
        List<Gap> gaps = new ArrayList<>();
        byRoot.forEach((root, days) -> {
            for (int i = 1; i < days.size(); i++) {
                LocalDate from = days.get(i - 1).date();
                LocalDate to = days.get(i).date();
                long between = ChronoUnit.DAYS.between(from, to);
                boolean weekOff = IntStream.rangeClosed(
                                days.get(i - 1).week(), days.get(i).week())
                        .anyMatch(block::isGap);
                if (between > TECHNIQUE_DAYS && !weekOff) {
                    gaps.add(new Gap(root, from, to, between));
                }
            }
        });
        gaps.sort(Comparator.comparing(Gap::from));
        return gaps;
    }

    /** By how many hours all hard days together come too soon. */
    public long tooSoon() {
        return overlaps.stream().mapToLong(Overlap::tooSoonBy).sum();
    }
}
