package dev.yarbel.core.recovery;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Optional;

/**
 * Seven days of session loads (Foster 1998, Med Sci Sports Exerc 30(7)). Days off count as nothing.
 *
 * @param daily the seven loads, the oldest first
 */
public record WeekLoad(int[] daily) {

    private static final int DAYS = 7;

    public WeekLoad {
        daily = daily.clone();
    }

    /** The week that ends on a day. */
    public static WeekLoad endingOn(LocalDate last, Collection<SessionLoad> loads) {
        int[] daily = new int[DAYS];
        for (SessionLoad load : loads) {
            long back = ChronoUnit.DAYS.between(load.date(), last);
            if (back >= 0 && back < DAYS) {
                daily[DAYS - 1 - (int) back] += load.units();
            }
        }
        return new WeekLoad(daily);
    }

    public int[] daily() {
        return daily.clone();
    }

    /** The sum of the seven. */
    public int total() {
        int sum = 0;
        for (int load : daily) {
            sum += load;
        }
        return sum;
    }

    /** The mean of the daily loads by their standard deviation, of the seven days as a whole; empty where every day is the same. */
    public Optional<Double> monotony() {
        double mean = total() / (double) DAYS;
        double squares = 0;
        for (int load : daily) {
            squares += (load - mean) * (load - mean);
        }
        double deviation = Math.sqrt(squares / DAYS);
        return deviation == 0 ? Optional.empty() : Optional.of(mean / deviation);
    }

    /** The sum times the monotony. */
    public Optional<Double> strain() {
        return monotony().map(monotony -> total() * monotony);
    }
}
