package dev.yarbel.core.tally;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a block adds up to, by week, lift, muscle and tissue: what was lifted where it was, what is planned where not.
 *
 * <p>A close variation is one that is contested itself, or whose default ratio to a contest lift lies from 85 to 115 %
 * (a starting value of ours).
 */
public final class BlockTally {

    private static final Percent CLOSE_FROM = Percent.of(85);
    private static final Percent CLOSE_TO = Percent.of(115);

    private final Catalogue catalogue;
    private final int weeks;
    private final List<WorkLine> lines;
    private final Map<Integer, List<WorkLine>> byWeek;
    /** The lines of each family, the families in the order they come in the block. */
    private final Map<Lift, List<WorkLine>> byRoot;

    private BlockTally(Catalogue catalogue, int weeks, List<WorkLine> lines) {
        this.catalogue = catalogue;
        this.weeks = weeks;
        this.lines = List.copyOf(lines);
        this.byWeek = lines.stream().collect(Collectors.groupingBy(WorkLine::week));
        this.byRoot = lines.stream()
                .collect(Collectors.groupingBy(
                        line -> catalogue.root(line.lift()), LinkedHashMap::new, Collectors.toList()));
    }

    private Stream<WorkLine> linesOf(int week) {
        return byWeek.getOrDefault(week, List.of()).stream();
    }

    private Stream<WorkLine> linesOf(Lift root) {
        return byRoot.getOrDefault(root, List.of()).stream();
    }

    /** Reckons a block that has been worked out. */
    public static BlockTally of(
            Block block, Projection projection, Resolver resolver, Projection.Log log, Catalogue catalogue) {
        List<WorkLine> lines = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            for (int day = 0; day < block.days().size(); day++) {
                Optional<List<DoneSet>> done = log.on(day, week);
                if (done.isPresent()) {
                    for (DoneSet set : done.get()) {
                        if (!set.task().warmUp()) {
                            lines.add(WorkLine.done(
                                    week,
                                    day,
                                    set.set(),
                                    resolver.numbers(set.set().lift())));
                        }
                    }
                } else {
                    List<PrescribedSets> asked = projection.prescriptions(day, week);
                    List<ResolvedLoad> loads = projection.loads(day, week);
                    for (int i = 0; i < asked.size(); i++) {
                        lines.add(WorkLine.planned(
                                week,
                                day,
                                asked.get(i),
                                loads.get(i),
                                resolver.numbers(asked.get(i).lift())));
                    }
                }
            }
        }
        return new BlockTally(catalogue, block.weeks(), lines);
    }

    public int weeks() {
        return weeks;
    }

    public List<WorkLine> lines() {
        return lines;
    }

    /** The whole block. */
    public Totals all() {
        return total(lines.stream());
    }

    /** One week, from 0. */
    public Totals week(int week) {
        return total(linesOf(week));
    }

    /** The roots of the lifts' families, in the order they come in the block. */
    public List<Lift> families() {
        return List.copyOf(byRoot.keySet());
    }

    /** A lift and its variations in one week. */
    public Totals family(Lift root, int week) {
        return total(linesOf(root).filter(line -> line.week() == week));
    }

    /** A lift and its variations over the block. */
    public Totals family(Lift root) {
        return total(linesOf(root));
    }

    /** On how many days of a week a lift or a variation of it is trained. */
    public int frequency(Lift root, int week) {
        return (int) linesOf(root)
                .filter(line -> line.week() == week)
                .mapToInt(WorkLine::day)
                .distinct()
                .count();
    }

    /** What trains a muscle in one week. */
    public Totals muscle(Muscle muscle, int week) {
        return total(
                linesOf(week).filter(line -> catalogue.of(line.lift()).trains().contains(muscle)));
    }

    /** What loads a tissue on one day of one week. */
    public Totals tissue(Tissue tissue, int day, int week) {
        return total(linesOf(week).filter(line -> line.day() == day && catalogue.loads(line.lift(), tissue)));
    }

    /** The share of all repetitions that are done in contest lifts and close variations; empty where there are none. */
    public Optional<Percent> specificity() {
        return specificity(lines);
    }

    /** The same of one week. */
    public Optional<Percent> specificity(int week) {
        return specificity(byWeek.getOrDefault(week, List.of()));
    }

    private Optional<Percent> specificity(List<WorkLine> which) {
        int all = 0;
        int close = 0;
        for (WorkLine line : which) {
            all += line.allReps();
            close += isClose(line.lift()) ? line.allReps() : 0;
        }
        return all == 0
                ? Optional.empty()
                : Optional.of(Percent.ofShare(
                        BigDecimal.valueOf(close).divide(BigDecimal.valueOf(all), 6, RoundingMode.HALF_UP)));
    }

    /** Whether a lift is contested, or so near to one that is that it counts as its variation. */
    public boolean isClose(Lift lift) {
        Variation variation = catalogue.of(lift);
        if (variation.contest()) {
            return true;
        }
        Optional<Ratio> parent = variation.parent();
        return parent.filter(ratio -> catalogue.of(ratio.to()).contest()
                        && !ratio.share().isLessThan(CLOSE_FROM)
                        && !ratio.share().isGreaterThan(CLOSE_TO))
                .isPresent();
    }

    private Totals total(Stream<WorkLine> which) {
        return Totals.of(which.toList(), line -> HardSets.halves(catalogue.root(line.lift())));
    }
}
