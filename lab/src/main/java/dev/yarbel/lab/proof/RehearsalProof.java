package dev.yarbel.lab.proof;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.rehearsal.Likely;
import dev.yarbel.core.rehearsal.Manner;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.rehearsal.SetsOutlook;
import dev.yarbel.core.rehearsal.Staged;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.lab.lifter.TrainedLifter;
import dev.yarbel.lab.plan.Gym;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * What a rehearsal is worth: what it says of a block in percent of a working max, beside what lifters then make of it who hold to the plan
 * whatever happens. They trained a quarter of a year before, of which the estimate knows.
 */
final class RehearsalProof {

    private static final int WEEKS = 8;
    private static final double OVERREACHED = 0.03;
    private static final int FEW = 20;
    private static final double[] EDGES = {0, 0.02, 0.05, 0.1, 0.2, 0.35, 0.5, 0.65, 0.8, 0.9, 1.0001};
    /**
     * What was said of a part, and whether a set of it was missed then.
     *
     * @param worn the lifter came to the block over-reached
     */
    record Said(double chance, boolean missed, boolean worn) {}

    /**
     * What was said of a max at the end of the block.
     *
     * @param held whether the range of four times of five held the truth
     * @param off the middle beside the truth, as a share of it
     */
    record Ranged(boolean held, double off, boolean worn) {}

    private final List<Said> said = new ArrayList<>();
    private int worn;
    private final List<Ranged> ranges = new ArrayList<>();

    private RehearsalProof() {}

    static RehearsalProof of(long firstSeed, int lifters) {
        RehearsalProof proof = new RehearsalProof();
        for (long seed = firstSeed; seed < firstSeed + lifters; seed++) {
            proof.live(TrainedLifter.of(seed));
        }
        return proof;
    }

    private void live(TrainedLifter lifter) {
        LifterStrength strength = Quarter.learnt(lifter);
        Block block = block(Quarter.END);
        Resolver resolver = resolver(strength);
        Projection projection = Projection.of(block, resolver, Projection.Log.NONE);
        Rehearsal rehearsal = Rehearsal.of(
                        new Staged(
                                block,
                                projection,
                                resolver,
                                Projection.Log.NONE,
                                strength,
                                Percent.HUNDRED,
                                block.start()),
                        Manner.USUAL)
                .orElseThrow();
        boolean tired = lifter.overreached() >= OVERREACHED;
        worn += tired ? 1 : 0;
        for (int week = 0; week < WEEKS; week++) {
            for (int day = 0; day < 7; day++) {
                lifter.day();
                if (day % 2 == 0 && day / 2 < Quarter.SESSIONS.size()) {
                    hold(lifter, rehearsal, projection, day / 2, week, tired);
                }
            }
        }
        rehearsal.maxes().forEach(max -> {
            Likely after = max.after();
            double truth = lifter.standing(max.lift());
            ranges.add(new Ranged(truth >= after.low() && truth <= after.high(), after.middle() / truth - 1, tired));
        });
    }

    /** Eight weeks that climb from easy to more than most can do. */
    private static Block block(LocalDate start) {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < Quarter.SESSIONS.size(); day++) {
            List<Slot> slots = new ArrayList<>();
            for (Lift lift : Quarter.SESSIONS.get(day)) {
                slots.add(slot(slots.size(), lift, "1x3", 80));
                slots.add(slot(slots.size(), lift, "3x5", 73));
            }
            days.add(new TrainingDay("Day", 2 * day, slots));
        }
        return new Block(start, WEEKS, days);
    }

    private static Slot slot(int at, Lift lift, String sets, int from) {
        List<Optional<Dose>> doses = new ArrayList<>();
        for (int week = 0; week < WEEKS; week++) {
            doses.add(Optional.of(Dose.parse(sets + " " + (from + 2 * week) + "%")));
        }
        return new Slot(String.valueOf((char) ('A' + at)), lift, doses);
    }

    private static Resolver resolver(LifterStrength strength) {
        Map<Lift, LiftNumbers> numbers = new HashMap<>();
        for (Lift lift : Quarter.LIFTS) {
            Optional<Mass> max = strength.estimate(lift).map(MaxEstimate::max);
            numbers.put(lift, new LiftNumbers(max, max, strength.curve(lift).orElseThrow()));
        }
        return new Resolver(KitInUse.of(Gym.USUAL), Rounding.NEAREST, Numbers.of(numbers));
    }

    /** Does a day as it is planned, and notes what had been said of it. */
    private void hold(
            TrainedLifter lifter, Rehearsal rehearsal, Projection projection, int day, int week, boolean tired) {
        List<PrescribedSets> asked = projection.prescriptions(day, week);
        for (int part = 0; part < asked.size(); part++) {
            PrescribedSets sets = asked.get(part);
            double load = kg(projection.loads(day, week).get(part).load().orElseThrow());
            boolean missed = false;
            for (int set = 0; set < sets.sets(); set++) {
                missed |= lifter.lift(sets.lift(), load, sets.part().reps()).reps()
                        < sets.part().reps();
            }
            SetsOutlook outlook = rehearsal.sets(day, week, part).orElseThrow();
            said.add(new Said(outlook.missed(), missed, tired));
        }
        Quarter.SESSIONS.get(day).forEach(lifter::over);
    }

    private static double kg(Mass mass) {
        return mass.kilograms();
    }

    /** What was said of those who came fresh, or of all. */
    private List<Said> of(boolean all) {
        return all ? said : said.stream().filter(one -> !one.worn).toList();
    }

    /** The mean squared distance of what was said from what happened (Brier 1950, Mon Weather Rev 78), of those who came fresh. */
    double brier() {
        return brier(of(false));
    }

    private static double brier(List<Said> of) {
        return of.stream()
                .mapToDouble(one -> Math.pow(one.chance - (one.missed ? 1 : 0), 2))
                .average()
                .orElseThrow();
    }

    /** The same of somebody who always says how many are missed on the whole, which nobody knows beforehand. */
    double brierOfTheRate() {
        return brierOfTheRate(of(false));
    }

    private static double brierOfTheRate(List<Said> of) {
        double rate = rate(of);
        return rate * (1 - rate);
    }

    private static double rate(List<Said> of) {
        return of.stream().filter(Said::missed).count() / (double) of.size();
    }

    /** The ranges of those who came fresh, or of all. */
    private List<Ranged> ranges(boolean all) {
        return all ? ranges : ranges.stream().filter(one -> !one.worn).toList();
    }

    /** How often the range of the max after the block held the truth, of those who came fresh; it is to do so four times of five. */
    double held() {
        return held(ranges(false));
    }

    private static double held(List<Ranged> of) {
        return of.stream().filter(Ranged::held).count() / (double) of.size();
    }

    private static double off(List<Ranged> of) {
        return of.stream().mapToDouble(Ranged::off).average().orElseThrow();
    }

    /**
     * What was said in a row of chances.
     *
     * @param said the chance in the mean
     * @param missed how many were missed
     */
    record Bin(double said, double missed, int count) {}

    /** By how likely a miss was said to be, of those who came fresh; the emptiest left out. */
    List<Bin> bins() {
        List<Bin> bins = new ArrayList<>();
        for (int i = 0; i + 1 < EDGES.length; i++) {
            double from = EDGES[i];
            double to = EDGES[i + 1];
            List<Said> within = of(false).stream()
                    .filter(one -> one.chance >= from && one.chance < to)
                    .toList();
            if (within.size() >= FEW) {
                bins.add(new Bin(
                        within.stream().mapToDouble(Said::chance).average().orElseThrow(),
                        rate(within),
                        within.size()));
            }
        }
        return bins;
    }

    String table() {
        StringBuilder table = new StringBuilder("""
                | said to be missed | were missed | parts of days |
                |---:|---:|---:|
                """);
        bins().forEach(bin -> table.append(String.format(
                Locale.ROOT, "| %.0f %% | %.0f %% | %d |%n", 100 * bin.said, 100 * bin.missed, bin.count)));
        List<Said> all = of(true);
        table.append(String.format(
                Locale.ROOT,
                """

                | | Brier score | of a guess that says the same of each, and knows how many are missed | ranges of the max after the block that held it, of four in five | their middle off by |
                |---|---:|---:|---:|---:|
                | lifters who came fresh | %.3f | %.3f | %.0f %% of %d | %+.1f %% |
                | all, with the %d of %d who came over-reached | %.3f | %.3f | %.0f %% of %d | %+.1f %% |
                """,
                brier(),
                brierOfTheRate(),
                100 * held(),
                ranges(false).size(),
                100 * off(ranges(false)),
                worn,
                ranges.size() / Quarter.LIFTS.size(),
                brier(all),
                brierOfTheRate(all),
                100 * held(ranges),
                ranges.size(),
                100 * off(ranges)));
        return table.toString();
    }
}
