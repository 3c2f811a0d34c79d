package dev.yarbel.web.plan;

import java.util.List;

/**
 * What a block adds up to, in words and small drawings.
 *
 * @param days one line for each day of a week: which tissues it loads most
 * @param zones what Prilepin's table says of the day that is open
 */
record TallyView(
        List<Week> weeks,
        List<Line> lifts,
        List<Line> muscles,
        List<Tissues> days,
        List<Zone> zones,
        String hardSets,
        String reps,
        String tonnage,
        String mean,
        String peak,
        String specificity) {

    /**
     * One week.
     *
     * @param bar how high its bar is, 0 to 40
     * @param dot where its mean intensity lies, 0 to 40 from above; negative where none is known
     * @param mean in words; may be null
     */
    record Week(
            int number,
            int x,
            int width,
            int bar,
            int dot,
            boolean deload,
            boolean done,
            String hardSets,
            int reps,
            String tonnage,
            String mean,
            String peak,
            String specificity) {}

    /**
     * A lift with its variations, or a muscle, through the weeks.
     *
     * @param weeks how many there are
     * @param bars hard sets week by week as one drawn path, each 0 to 14 high
     * @param most the most hard sets in a week
     * @param note days a week and what the lifter is used to, in words; may be null
     */
    record Line(String name, int weeks, String bars, String most, String reps, String tonnage, String note) {}

    /** The tissues a day loads most in its hardest week, in words. */
    record Tissues(String day, String loaded) {}

    /** A second opinion on one lift in one zone, in words. */
    record Zone(String text, boolean within) {}
}
