package dev.yarbel.web.page;

import dev.yarbel.core.tally.Exposure;
import java.time.LocalDate;
import java.util.List;

/**
 * A lifter's whole block at a glance: one lane per contest lift or event, a mark for each exposure.
 *
 * @param blockId the block's number
 * @param block its name
 * @param width of the drawing
 * @param weeks the weeks' left edges and numbers
 * @param phases what rows of weeks are for
 * @param today where today lies; negative when outside the block
 * @param contest the contest's flag; null where there is none within the drawing
 */
public record Strip(
        long lifterId,
        long blockId,
        String block,
        int width,
        int height,
        List<Week> weeks,
        List<Phase> phases,
        int today,
        Flag contest,
        List<Lane> lanes) {

    /**
     * One week's left edge and its number from 1.
     *
     * @param easy a deload, or nothing is asked for
     * @param movable nothing was logged in it or after it, so that its edge can be drawn
     */
    public record Week(int number, int x, int width, boolean current, boolean easy, boolean movable) {}

    /** Weeks in a row that are for the same, by its code. */
    public record Phase(String code, int x, int width) {}

    /** The contest and how many weeks are left. */
    public record Flag(int x, String text) {}

    /** One lift's lane. */
    public record Lane(String lift, int y, List<Mark> marks) {}

    /**
     * One exposure: as high as its heaviest load is of the max, as wide as it has hard repetitions.
     *
     * @param done filled when lifted, outlined when planned
     * @param light hatched: nothing in it is hard
     * @param judgement how the log left the plan
     */
    public record Mark(
            LocalDate date,
            int day,
            int week,
            int x,
            int y,
            int width,
            int height,
            boolean done,
            boolean light,
            Exposure.Judgement judgement,
            String text) {}
}
