package dev.yarbel.core.school;

import dev.yarbel.core.shape.Taper;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The weeks of a block as they are trained: one stretch up to its end or to the contest, a light week after a contest in
 * mid-block, and another stretch from there. Deloads lie where they are asked for, but not in the last two weeks of a
 * stretch, nor where the taper takes the volume down.
 *
 * @param weeks every week of the block
 * @param lengths the training weeks of each stretch
 */
record Stretches(List<Week> weeks, List<Integer> lengths) {

    private static final int LAST_WEEKS = 2;
    private static final int WEEK = 7;

    /**
     * One week of the block.
     *
     * @param stretch from 0
     * @param training the training week of the stretch it takes its doses from, from 0
     * @param afterContest whether it is the light week after the contest
     */
    record Week(int stretch, int training, boolean deload, boolean afterContest) {}

    static Stretches of(BlockRequest request) {
        Optional<Integer> contestWeek = request.contest()
                .map(day -> (int) (ChronoUnit.DAYS.between(request.start(), day) / WEEK))
                .filter(week -> week < request.weeks() - 1);
        int end = contestWeek.map(week -> week + 1).orElse(request.weeks());
        int again = contestWeek.isEmpty() ? end : Math.min(request.weeks(), firstWeekAfter(request));
        List<Week> weeks = new ArrayList<>();
        List<Integer> lengths = new ArrayList<>();
        lengths.add(add(weeks, request, 0, 0, end));
        for (int week = end; week < again; week++) {
            weeks.add(new Week(0, 0, true, true));
        }
        if (again < request.weeks()) {
            lengths.add(add(weeks, request, 1, again, request.weeks()));
        }
        return new Stretches(weeks, lengths);
    }

    /** The first week all of which lies behind the light days after the contest. */
    private static int firstWeekAfter(BlockRequest request) {
        LocalDate trained = request.contest().orElseThrow().plusDays(Taper.LIGHT_AFTER + 1L);
        return (int) ((ChronoUnit.DAYS.between(request.start(), trained) + WEEK - 1) / WEEK);
    }

    private static int add(List<Week> weeks, BlockRequest request, int stretch, int from, int to) {
        int trained = 0;
        int since = 0;
        for (int week = from; week < to; week++) {
            boolean deload = request.deloadEvery() > 0
                    && since == request.deloadEvery()
                    && week < to - LAST_WEEKS
                    && !isTapered(request, week);
            weeks.add(new Week(stretch, deload ? trained - 1 : trained, deload, false));
            trained += deload ? 0 : 1;
            since = deload ? 0 : since + 1;
        }
        return trained;
    }

    private static boolean isTapered(BlockRequest request, int week) {
        LocalDate last = request.start().plusWeeks(week).plusDays(WEEK - 1);
        return request.contest()
                .filter(day -> !last.isBefore(day.minusDays(Taper.DAYS))
                        && !last.minusDays(WEEK - 1L).isAfter(day))
                .isPresent();
    }

    /** The weeks of the block that a stretch is trained in, by its training weeks. */
    List<Integer> trained(int stretch) {
        List<Integer> trained = new ArrayList<>();
        for (int week = 0; week < weeks.size(); week++) {
            Week w = weeks.get(week);
            if (w.stretch == stretch && !w.deload) {
                trained.add(week);
            }
        }
        return trained;
    }
}
