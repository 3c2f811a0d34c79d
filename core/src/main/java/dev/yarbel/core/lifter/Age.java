package dev.yarbel.core.lifter;

import java.time.LocalDate;

/** What a birth year says of an age, on the cautious side where the birthday matters. */
public final class Age {

    private static final int OF_AGE = 18;

    private Age() {}

    /** Whether somebody born in that year may still be under eighteen: also in the year in which they turn eighteen. */
    public static boolean mayBeMinor(int birthYear, LocalDate today) {
        return today.getYear() - birthYear <= OF_AGE;
    }
}
