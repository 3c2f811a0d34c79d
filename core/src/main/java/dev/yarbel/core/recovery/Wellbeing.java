package dev.yarbel.core.recovery;

/**
 * How a lifter is before a session in their own view: sleep, fatigue, stress and soreness, each from 1, very, very good, to 7,
 * very, very bad (Hooper and Mackinnon 1995, Sports Med 20(5)), and the joints on the same scale.
 */
public record Wellbeing(int sleep, int fatigue, int stress, int soreness, int joints) {

    private static final int MOST = 7;

    public Wellbeing {
        for (int figure : new int[] {sleep, fatigue, stress, soreness, joints}) {
            if (figure < 1 || figure > MOST) {
                throw new IllegalArgumentException("rated from 1 to " + MOST);
            }
        }
    }

    /** The mean of what the body says: soreness and joints. */
    public double body() {
        return (soreness + joints) / 2.0;
    }

    /** The mean of what the rest says: sleep, fatigue and stress. */
    public double mind() {
        return (sleep + fatigue + stress) / 3.0;
    }
}
