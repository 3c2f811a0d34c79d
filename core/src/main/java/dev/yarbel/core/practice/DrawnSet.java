package dev.yarbel.core.practice;

import dev.yarbel.core.effort.SpeedTable;
import dev.yarbel.core.measure.BarSpeed;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * A set that nobody lifted: its repetitions move as a lifter's do with so many left, for them to guess at. Each repetition is as fast as the last one
 * of a set that would leave what was still left after it, so that it slows down the way their own sets do.
 *
 * @param left whole repetitions after the last one, from 0 to {@link #MOST_LEFT}
 * @param speeds of each repetition
 * @param own they are drawn from the lifter's own speeds, not from nobody's in particular
 */
public record DrawnSet(int left, List<BarSpeed> speeds, boolean own) {

    public static final int MOST_LEFT = 4;

    private static final int FEWEST = 2;
    private static final int MOST = 6;

    /**
     * Nobody's in particular: the limit of experienced squatters (Zourdos et al. 2016, J Strength Cond Res 30(1): 0.24 m/s), and a slope of ours.
     */
    private static final int AT_THE_LIMIT = 240;

    private static final int FASTER_PER_REP = 40;
    private static final int SPREAD = 10;

    private static final int SLOWEST = 50;
    private static final int FASTEST = 1500;

    public DrawnSet {
        speeds = List.copyOf(speeds);
    }

    /**
     * Draws a set; the same one for the same table and number.
     *
     * @param table of the lifter in the lift; where it is thin, nobody's speeds are drawn
     */
    public static DrawnSet of(Optional<SpeedTable> table, long number) {
        Random random = new Random(number);
        int left = random.nextInt(MOST_LEFT + 1);
        int reps = FEWEST + random.nextInt(MOST - FEWEST + 1);
        Optional<SpeedTable> own = table.filter(known -> !known.isThin());
        int spread = own.map(known -> known.spread().millimetres()).orElse(SPREAD);
        List<BarSpeed> speeds = IntStream.rangeClosed(1, reps)
                .map(rep -> reps - rep + left)
                .map(after -> own.map(known -> known.straight(2 * after)).orElse(AT_THE_LIMIT + FASTER_PER_REP * after))
                .map(speed -> (int) Math.round(speed + spread / 2.0 * random.nextGaussian()))
                .mapToObj(speed -> new BarSpeed(Math.max(SLOWEST, Math.min(FASTEST, speed))))
                .toList();
        return new DrawnSet(left, speeds, own.isPresent());
    }

    public int reps() {
        return speeds.size();
    }
}
