package dev.yarbel.lab.proof;

import java.util.ArrayList;
import java.util.List;

/** How far a method lay off the truth, lifter by lifter. Errors are root mean squares, as shares of the truth. */
final class Score {

    private final List<Double> byLifter = new ArrayList<>();
    private final List<Double> halfWidths = new ArrayList<>();
    private final List<Double> spreadsOff = new ArrayList<>();
    private double squares;
    private double errors;
    private long guesses;
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
            held += guess.holds(truth) ? 1 : 0;
            halfWidths.add(guess.halfWidth());
            spreadsOff.add(guess.spreadsOff(truth));
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
        return Lives.median(byLifter);
    }

    /** The error of the lifter who stands at this share of all, from the one with the smallest error on. */
    double ofLifterAt(double share) {
        return Lives.quantile(byLifter, share);
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
        return !halfWidths.isEmpty();
    }

    /** How often the truth lay in the range that is to hold it four times of five. */
    double coverage() {
        return (double) held / halfWidths.size();
    }

    /** How often it lay within so many spreads. */
    double within(double spreads) {
        return (double) spreadsOff.stream().filter(off -> off <= spreads).count() / spreadsOff.size();
    }

    /** Half of the range in the middle of all cases, as a share of the max. */
    double halfWidth() {
        return Lives.median(halfWidths);
    }
}
