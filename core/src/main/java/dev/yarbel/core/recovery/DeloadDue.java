package dev.yarbel.core.recovery;

import dev.yarbel.core.lift.Mastery;
import java.time.LocalDate;
import java.util.Optional;

/**
 * After how many weeks a lifter is due a deload: every six as a rule, ten for a beginner, five for the advanced; a week sooner
 * for each of dieting, a hard physical job, short sleep, much stress, and forty-five years; never sooner than four (common practice, no
 * source; the figures within it are ours).
 *
 * @param mastery of the lifts in the mean; empty where nobody said
 * @param sleep hours a night
 * @param birthYear empty where nobody said
 */
public record DeloadDue(
        Optional<Mastery> mastery,
        boolean dieting,
        boolean hardJob,
        Optional<Double> sleep,
        boolean muchStress,
        Optional<Integer> birthYear) {

    /** Nothing is known of the lifter. */
    public static final DeloadDue UNKNOWN =
            new DeloadDue(Optional.empty(), false, false, Optional.empty(), false, Optional.empty());

    private static final int LEAST = 4;
    private static final int USUAL = 6;
    private static final int BEGINNER = 10;
    private static final int ADVANCED = 5;
    private static final double SHORT_SLEEP = 6.5;
    private static final int OLDER = 45;

    /** The same at a mastery. */
    public DeloadDue at(Optional<Mastery> level) {
        return new DeloadDue(level, dieting, hardJob, sleep, muchStress, birthYear);
    }

    /** Whether they sleep less than six and a half hours a night. */
    public boolean isShortOfSleep() {
        return sleep.filter(hours -> hours < SHORT_SLEEP).isPresent();
    }

    /** In the year of a day. */
    public int weeks(LocalDate today) {
        int weeks = mastery.map(level -> switch (level) {
                    case BEGINNER -> BEGINNER;
                    case INTERMEDIATE -> USUAL;
                    case ADVANCED -> ADVANCED;
                })
                .orElse(USUAL);
        int sooner = (dieting ? 1 : 0)
                + (hardJob ? 1 : 0)
                + (isShortOfSleep() ? 1 : 0)
                + (muchStress ? 1 : 0)
                + (birthYear.filter(year -> today.getYear() - year >= OLDER).isPresent() ? 1 : 0);
        return Math.max(LEAST, weeks - sooner);
    }
}
