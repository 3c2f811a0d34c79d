package dev.yarbel.lab.proof;

import java.util.ArrayList;
import java.util.List;

/** How far a method lay off the truth, lifter by lifter. Errors are root mean squares, as shares of the truth. */
final class Score {

    private final List<Double> byLifter = new ArrayList<>();
    private final List<Double> halfWidths = new ArrayList<>();
    private double squares;
    private double errors;
    private long guesses;
    private long sure;
    private long held;

    private double squaresOfLifter;
    private long guessesOfLifter;

    void add(Guess guess, double truth) {
        double error = guess.error(truth);
        squares += error * error;
        errors += error;
        guesses++;
        squaresOfLifter += error * error;
        guessesOfLifter++;
        if (guess.saysHowSure()) {
            sure++;
            held += guess.holds(truth) ? 1 : 0;
            halfWidths.add(guess.halfWidth());
        }
    }

    /** All of one lifter was added. */
    void endLifter() {
        if (guessesOfLifter > 0) {
            byLifter.add(Math.sqrt(squaresOfLifter / guessesOfLifter));
        }
        squaresOfLifter = 0;
        guessesOfLifter = 0;
    }

    /** The error of the lifter in the middle. */
    double ofTheMedianLifter() {
        return median(byLifter);
    }

    /** The error over all that was said of anybody. */
    double pooled() {
        return Math.sqrt(squares / guesses);
    }

    /** How far it lies to one side on average; below nothing where it is too low. */
    double leaning() {
        return errors / guesses;
    }

    boolean saysHowSure() {
        return sure > 0;
    }

    /** How often the truth lay in the range that is to hold it four times of five. */
    double coverage() {
        return (double) held / sure;
    }

    /** Half of that range in the middle of all cases, as a share of the max. */
    double halfWidth() {
        return median(halfWidths);
    }

    private static double median(List<Double> figures) {
        List<Double> sorted = figures.stream().sorted().toList();
        return sorted.get(sorted.size() / 2);
    }
}
