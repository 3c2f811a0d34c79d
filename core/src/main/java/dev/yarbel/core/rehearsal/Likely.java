package dev.yarbel.core.rehearsal;

import java.util.Arrays;

/**
 * A figure as it came out over many runs: four times of five it lay between the ends, and as often above the middle as below.
 */
public record Likely(double low, double middle, double high) {

    private static final double TENTH = 0.1;

    /** @param figures one of each run, at least one */
    static Likely of(double[] figures) {
        double[] sorted = figures.clone();
        Arrays.sort(sorted);
        return new Likely(at(sorted, TENTH), at(sorted, 0.5), at(sorted, 1 - TENTH));
    }

    private static double at(double[] sorted, double share) {
        double place = share * (sorted.length - 1);
        int below = (int) place;
        int above = Math.min(below + 1, sorted.length - 1);
        return sorted[below] + (place - below) * (sorted[above] - sorted[below]);
    }
}
