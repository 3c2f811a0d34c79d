package dev.yarbel.core.lift;

import java.util.List;

/** What makes a repetition clean, lift by lift; common practice, no source. */
public final class Checklist {

    private Checklist() {}

    /** One thing to look at. */
    public enum Point {
        DEPTH,
        BAR_PATH,
        KNEES,
        BACK,
        LOCKOUT,
        PAUSE,
        HEELS
    }

    /** What to look at in a lift, the most telling first. */
    public static List<Point> of(Lift lift, Catalogue catalogue) {
        Lift root = catalogue.root(lift);
        if (root.equals(Lift.SQUAT)) {
            return List.of(Point.DEPTH, Point.BACK, Point.KNEES, Point.BAR_PATH, Point.HEELS);
        }
        if (root.equals(Lift.BENCH_PRESS)) {
            return List.of(Point.PAUSE, Point.BAR_PATH, Point.LOCKOUT);
        }
        if (root.equals(Lift.DEADLIFT)) {
            return List.of(Point.BACK, Point.BAR_PATH, Point.LOCKOUT);
        }
        return List.of(Point.BACK, Point.LOCKOUT);
    }
}
