package dev.yarbel.core.rehearsal;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.estimate.PossibleLifter;
import dev.yarbel.core.estimate.PossibleLifter.Growth;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.tally.BlockTally;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.Stream;

/**
 * A block lifted before anybody lifts it: many times over, by lifters that the log allows (Monte Carlo, Metropolis and Ulam 1949, J Am Stat
 * Assoc 44). Each of them has maxes, curves and a way to rate drawn from what is believed of the real one, grows as is expected
 * of their mastery, or where nobody said that as the log does, has good and bad days, is tired by the days before and the sets before, and goes on by the
 * laws of the runs, as the plan does. What it does not know: illness, pain, life, what a lifter decides on the day, fatigue that builds up over
 * more than a week or two, and that training well done makes stronger than training badly done.
 *
 * @param times how often it was lifted
 * @param sets what may come of each part that is still to be lifted and that a max says something of, in the order of the block's weeks
 * @param weeks of the block
 * @param maxes of the block's lifts that stand for themselves, by the most work
 * @param lifters what it came to for each of those that it was rehearsed with
 * @param unknown lifts of the block of which too little is known to rehearse them
 */
public record Rehearsal(
        int times,
        List<SetsOutlook> sets,
        List<WeekOutlook> weeks,
        List<MaxOutlook> maxes,
        List<OneLifter> lifters,
        List<Lift> unknown) {

    private static final double HUNDRED = 100;

    public Rehearsal {
        sets = List.copyOf(sets);
        weeks = List.copyOf(weeks);
        maxes = List.copyOf(maxes);
        lifters = List.copyOf(lifters);
        unknown = List.copyOf(unknown);
    }

    /** Rehearses a block; empty where nothing at all is known of the lifter. */
    public static Optional<Rehearsal> of(Staged staged, Manner manner) {
        Block block = staged.block();
        Catalogue catalogue = staged.resolver().catalogue();
        List<Lift> lifts = block.slots().map(Slot::lift).distinct().toList();
        List<Lift> wanted = Stream.concat(lifts.stream(), lifts.stream().map(catalogue::root))
                .distinct()
                .toList();
        return staged.strength()
                .possible(wanted, growth(staged, wanted))
                .map(draws -> rehearse(staged, manner, draws, lifts));
    }

    private static Rehearsal rehearse(Staged staged, Manner manner, PossibleLifter.Draws draws, List<Lift> lifts) {
        Block block = staged.block();
        BlockTally reckoning = BlockTally.of(
                block,
                staged.projection(),
                staged.resolver(),
                staged.log(),
                staged.resolver().catalogue());
        Stage stage = new Stage(staged, draws.known(), reckoning);
        Tally tally = new Tally(manner.times(), block.weeks(), block.days().size());
        List<Lift> roots =
                reckoning.families().stream().filter(draws.known()::contains).toList();
        SplittableRandom seeds = new SplittableRandom(manner.seed());
        for (int i = 0; i < manner.times(); i++) {
            tally.next();
            PossibleLifter lifter = draws.next(seeds.split());
            roots.forEach(root -> tally.max(root, 0, lifter.standing(root)));
            DryRun run = new DryRun(stage, lifter, manner, tally, roots);
            staged.projection().rehearse(run);
            run.end();
        }
        return new Rehearsal(
                manner.times(),
                tally.sets(),
                tally.weeks(),
                tally.maxes(),
                tally.lifters(),
                lifts.stream().filter(lift -> !draws.known().contains(lift)).toList());
    }

    private static Map<Lift, Growth> growth(Staged staged, List<Lift> lifts) {
        Map<Lift, Growth> growth = new HashMap<>();
        for (Lift lift : lifts) {
            ExpectedGain gain = staged.resolver().numbers(lift).gain();
            if (gain.equals(ExpectedGain.UNKNOWN)) {
                continue;
            }
            growth.put(
                    lift,
                    new Growth(
                            gain.aWeek().figure().doubleValue() / HUNDRED,
                            gain.doubt().figure().doubleValue() / HUNDRED));
        }
        return growth;
    }

    /** What may come of a part of a day; empty where it was lifted, or nothing can be said of it. */
    public Optional<SetsOutlook> sets(int day, int week, int part) {
        return sets.stream()
                .filter(outlook -> outlook.day() == day && outlook.week() == week && outlook.part() == part)
                .findFirst();
    }
}
