package dev.yarbel.core.effort;

import dev.yarbel.core.measure.BarSpeed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How fast one lifter moves the last repetition of a set of one lift with so many repetitions left: bar speed hangs on lifter and
 * lift, so that the table is made of nothing but their own rated sets.
 *
 * <p>The means of each rating are made to rise with the repetitions left by isotonic regression: neighbours that do not are
 * pooled (Ayer, Brunk, Ewing, Reid and Silverman 1955, Ann Math Stat 26). Between ratings it runs straight; beyond the hardest and
 * the easiest that were measured it says nothing.
 */
public final class SpeedTable {

    /** Fewer sets than this, or fewer speeds, say too little; starting values of ours. */
    private static final int LEAST_SETS = 10;

    private static final int LEAST_SPEEDS = 3;
    /** Four repetitions left, in halves: easier sets are rated too loosely. */
    private static final int MOST_HALVES = 8;
    /** Nobody measures or repeats a speed more closely than this, in metres a second; a starting value of ours. */
    private static final double LEAST_SPREAD = 0.01;

    private final List<Line> lines;
    private final double spread;
    private final int sets;

    /** What was measured of one rating. */
    private record Sum(int count, double speeds, double squares) {

        private static final Sum NOTHING = new Sum(0, 0, 0);

        Sum and(double speed) {
            return new Sum(count + 1, speeds + speed, squares + speed * speed);
        }
    }

    /**
     * A line of the table.
     *
     * @param halvesLeft half repetitions left after the set, from 0
     * @param speed of its last repetition, in metres a second, as fitted
     * @param sets how many were measured
     */
    public record Line(int halvesLeft, double speed, int sets) {

        /** The rating. */
        public Rpe rating() {
            return Rpe.withHalvesLeft(halvesLeft);
        }

        /** The speed to a thousandth. */
        public BarSpeed barSpeed() {
            return speedOf(speed);
        }
    }

    /** Gathers what was measured. */
    public static final class Builder {

        private final Map<Integer, Sum> sums = new TreeMap<>();

        /** A set was rated so, and its last repetition moved so fast; one with more than four left is left out. */
        public Builder add(Rpe rating, BarSpeed speed) {
            if (rating.halvesLeft() <= MOST_HALVES) {
                sums.merge(rating.halvesLeft(), Sum.NOTHING.and(metres(speed)), (sum, one) -> sum.and(metres(speed)));
            }
            return this;
        }

        /** The table as it stands. */
        public SpeedTable build() {
            return new SpeedTable(sums);
        }
    }

    private SpeedTable(Map<Integer, Sum> sums) {
        this.sets = sums.values().stream().mapToInt(Sum::count).sum();
        this.lines = fitted(sums);
        this.spread = spread(sums, lines);
    }

    private record Pool(List<Integer> halves, double weight, double mean) {

        Pool with(Pool next) {
            List<Integer> all = new ArrayList<>(halves);
            all.addAll(next.halves);
            double both = weight + next.weight;
            return new Pool(all, both, (weight * mean + next.weight * next.mean) / both);
        }
    }

    private static List<Line> fitted(Map<Integer, Sum> sums) {
        List<Pool> pools = new ArrayList<>();
        sums.forEach((halves, sum) -> {
            Pool pool = new Pool(List.of(halves), sum.count, sum.speeds / sum.count);
            while (!pools.isEmpty() && pools.get(pools.size() - 1).mean >= pool.mean) {
                pool = pools.remove(pools.size() - 1).with(pool);
            }
            pools.add(pool);
        });
        List<Line> lines = new ArrayList<>();
        for (Pool pool : pools) {
            pool.halves.forEach(halves -> lines.add(new Line(halves, pool.mean, sums.get(halves).count)));
        }
        return List.copyOf(lines);
    }

    private static double spread(Map<Integer, Sum> sums, List<Line> lines) {
        double squares = 0;
        int sets = 0;
        for (Line line : lines) {
            Sum sum = sums.get(line.halvesLeft);
            squares += sum.squares - 2 * line.speed * sum.speeds + sum.count * line.speed * line.speed;
            sets += sum.count;
        }
        double fitted = lines.stream().mapToDouble(Line::speed).distinct().count();
        return sets > fitted ? Math.max(LEAST_SPREAD, Math.sqrt(Math.max(0, squares) / (sets - fitted))) : LEAST_SPREAD;
    }

    /** Its lines, the hardest first; only of ratings that were measured. */
    public List<Line> lines() {
        return lines;
    }

    /** How many sets it is made of. */
    public int sets() {
        return sets;
    }

    /** One standard deviation of a single set's speed around the table. */
    public BarSpeed spread() {
        return speedOf(spread);
    }

    /** Whether it says too little to go by. */
    public boolean isThin() {
        return sets < LEAST_SETS
                || lines.stream().mapToDouble(Line::speed).distinct().count() < LEAST_SPEEDS;
    }

    /**
     * The speed of a repetition after which so many half repetitions are left, on the straight line from the hardest rating that was measured
     * to the easiest and on beyond both: to draw by, not to plan by.
     *
     * @return millimetres a second; of a table of one line that line's
     */
    public int straight(int halvesLeft) {
        Line hardest = lines.get(0);
        int halves = last().halvesLeft - hardest.halvesLeft;
        double slope = halves == 0 ? 0 : (last().speed - hardest.speed) / halves;
        return (int) Math.round(1000 * (hardest.speed + slope * (halvesLeft - hardest.halvesLeft)));
    }

    /**
     * What a speed of the last repetition rates, to the half; empty where the table is thin, or the speed lies further beyond what was measured
     * than sets usually lie from the table.
     */
    public Optional<Rpe> rating(BarSpeed speed) {
        double metres = metres(speed);
        if (isThin() || metres < lines.get(0).speed - spread || metres > last().speed + spread) {
            return Optional.empty();
        }
        return Optional.of(Rpe.withHalvesLeft((int) Math.round(halvesLeft(metres))));
    }

    /** Of a run of ratings that move alike, its middle. */
    private double halvesLeft(double metres) {
        double low = lines.get(0).halvesLeft;
        double high = last().halvesLeft;
        for (Line line : lines) {
            if (line.speed <= metres) {
                low = line.halvesLeft;
            }
        }
        for (int i = lines.size() - 1; i >= 0; i--) {
            if (lines.get(i).speed >= metres) {
                high = lines.get(i).halvesLeft;
            }
        }
        if (low >= high) {
            return (low + high) / 2;
        }
        double slow = at((int) low);
        double fast = at((int) high);
        double share = fast == slow ? 0.5 : (metres - slow) / (fast - slow);
        return low + Math.max(0, Math.min(1, share)) * (high - low);
    }

    private double at(int halves) {
        return lines.stream()
                .filter(line -> line.halvesLeft == halves)
                .findFirst()
                .orElseThrow()
                .speed;
    }

    private Line last() {
        return lines.get(lines.size() - 1);
    }

    private static double metres(BarSpeed speed) {
        return speed.millimetres() / 1000.0;
    }

    private static BarSpeed speedOf(double metres) {
        return new BarSpeed((int) Math.round(1000 * metres));
    }
}
