package dev.yarbel.core.progress;

import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.Optional;

/**
 * How fast a max may be expected to grow while a law adds load, in shares of it a week: the mean and one standard deviation
 * of it, by mastery of the lift.
 *
 * <p>Starting values of ours, laid between what coaches report: 13.6 kg in eight weeks is a good run for a beginner, and 11
 * to 16 kg in ten weeks is what a goal cycle asks of somebody further on (common practice, no source). Where nobody said
 * how far the lifter is, the middle one holds with the doubt of all.
 *
 * @param aWeek the mean
 * @param doubt one standard deviation
 */
public record ExpectedGain(Percent aWeek, Percent doubt) {

    private static final ExpectedGain BEGINNER = of("1.2", "0.6");
    private static final ExpectedGain INTERMEDIATE = of("0.6", "0.4");
    private static final ExpectedGain ADVANCED = of("0.2", "0.2");
    /** Nobody said how far the lifter is. */
    public static final ExpectedGain UNKNOWN = of("0.6", "0.6");

    private static ExpectedGain of(String aWeek, String doubt) {
        return new ExpectedGain(Percent.of(aWeek), Percent.of(doubt));
    }

    /** What can be expected at a mastery of the lift. */
    public static ExpectedGain of(Optional<Mastery> mastery) {
        return mastery.map(level -> switch (level) {
                    case BEGINNER -> BEGINNER;
                    case INTERMEDIATE -> INTERMEDIATE;
                    case ADVANCED -> ADVANCED;
                })
                .orElse(UNKNOWN);
    }

    /** The max after so many weeks, as the mean has it. */
    public Mass after(Mass max, int weeks) {
        return max.plus(max.times(aWeek).times(Math.max(0, weeks)));
    }
}
