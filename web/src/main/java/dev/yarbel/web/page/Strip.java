package dev.yarbel.web.page;

import dev.yarbel.core.tally.Exposure;
import java.time.LocalDate;
import java.util.List;

/**
 * A lifter's whole block at a glance: one lane per lift, a mark for each exposure.
 *
 * @param block its name
 * @param width of the drawing
 * @param weeks the weeks' left edges and numbers
 * @param today where today lies; negative when outside the block
 */
public record Strip(long lifterId, String block, int width, int height, List<Week> weeks, int today, List<Lane> lanes) {

    /** One week's left edge and its number from 1. */
    public record Week(int number, int x, int width, boolean current) {}

    /** One lift's lane. */
    public record Lane(String lift, int y, List<Mark> marks) {}

    /**
     * One exposure: as high as its heaviest load is of the max, as wide as it has hard repetitions.
     *
     * @param done filled when lifted, outlined when planned
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
            Exposure.Judgement judgement,
            String text) {}
}
