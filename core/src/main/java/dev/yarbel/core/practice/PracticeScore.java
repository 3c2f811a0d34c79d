package dev.yarbel.core.practice;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;

/**
 * How near guesses come.
 *
 * @param guesses how many there were in all
 * @param off by how many repetitions the latest {@link #LATEST} are off on average, to a tenth
 * @param before the same of those before them; empty until there are as many
 * @param more how many repetitions more were said to be left than were, on average of the latest; below nothing for fewer
 */
public record PracticeScore(int guesses, BigDecimal off, Optional<BigDecimal> before, BigDecimal more) {

    /** So many are looked at together. */
    public static final int LATEST = 10;

    /**
     * A guess and what was so.
     *
     * @param said half repetitions left
     * @param was half repetitions left
     */
    public record Guess(int said, int was) {}

    /** Of guesses, the oldest first; empty where there are none. */
    public static Optional<PracticeScore> of(List<Guess> guesses) {
        if (guesses.isEmpty()) {
            return Optional.empty();
        }
        int from = Math.max(0, guesses.size() - LATEST);
        List<Guess> latest = guesses.subList(from, guesses.size());
        Optional<BigDecimal> before = from < LATEST
                ? Optional.empty()
                : Optional.of(mean(
                        guesses.subList(from - LATEST, from).stream()
                                .mapToInt(PracticeScore::off)
                                .sum(),
                        LATEST));
        return Optional.of(new PracticeScore(
                guesses.size(),
                mean(latest.stream().mapToInt(PracticeScore::off).sum(), latest.size()),
                before,
                mean(latest.stream().mapToInt(guess -> guess.said - guess.was).sum(), latest.size())));
    }

    private static int off(Guess guess) {
        return Math.abs(guess.said - guess.was);
    }

    /** Of halves, in whole ones. */
    private static BigDecimal mean(int sum, int count) {
        return BigDecimal.valueOf(sum).divide(BigDecimal.valueOf(2L * count), 1, RoundingMode.HALF_UP);
    }

    /** Whether the latest are nearer than those before. */
    public boolean isBetter() {
        return before.filter(earlier -> off.compareTo(earlier) < 0).isPresent();
    }
}
