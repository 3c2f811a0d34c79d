package dev.yarbel.core.recovery;

import java.time.LocalDate;

/**
 * The load of a session: how hard it was as a whole, 0 to 10, times the minutes it took (Foster et al. 2001, J Strength Cond Res
 * 15(1)). Another scale than the rating of a set by repetitions left.
 */
public record SessionLoad(LocalDate date, int effort, int minutes) {

    private static final int HARDEST = 10;
    private static final int LONGEST = 600;

    public SessionLoad {
        if (effort < 0 || effort > HARDEST || minutes < 0 || minutes > LONGEST) {
            throw new IllegalArgumentException("0 to 10, for up to 600 minutes");
        }
    }

    public int units() {
        return effort * minutes;
    }
}
