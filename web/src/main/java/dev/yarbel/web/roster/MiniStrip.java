package dev.yarbel.web.roster;

import dev.yarbel.core.tally.Exposure;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * A block in a line of a list: a mark for each session, tall where it was harder than asked, short where it was lighter,
 * outlined where it is to come, crossed out where it was missed.
 *
 * @param today where today lies; negative when outside the block
 * @param contest where the contest lies; negative where there is none within
 * @param done how many sessions were begun or lifted
 */
public record MiniStrip(List<Mark> marks, double today, double contest, long done, long missed) {

    public static final int WIDTH = 176;
    public static final int HEIGHT = 24;

    private static final int MIDDLE = HEIGHT / 2;
    private static final int HALF = 5;
    private static final int TALL = 11;
    private static final int SHORT = -1;

    /** No block. */
    static final MiniStrip NONE = new MiniStrip(List.of(), -1, -1, 0, 0);

    /** One session. */
    public record Mark(String kind, double x, int y, double width, int height) {}

    /** The strip of a lifter's block; none where there is no block. */
    public static MiniStrip of(InTraining training, LocalDate today) {
        return training.block()
                .map(block ->
                        of(block, training.sessions(), training.situation().contest(), today))
                .orElse(NONE);
    }

    /** The strip of a block. */
    public static MiniStrip of(
            InTraining.InBlock block, List<InTraining.Planned> sessions, Optional<LocalDate> contest, LocalDate today) {
        double day = WIDTH / (7.0 * block.weeks());
        return new MiniStrip(
                sessions.stream()
                        .map(session -> mark(session, x(block, session.on()), day))
                        .toList(),
                within(block, Optional.of(today)),
                within(block, contest),
                count(sessions, InTraining.State.DONE) + count(sessions, InTraining.State.BEGUN),
                count(sessions, InTraining.State.MISSED));
    }

    private static long count(List<InTraining.Planned> sessions, InTraining.State state) {
        return sessions.stream().filter(session -> session.state() == state).count();
    }

    private static double x(InTraining.InBlock block, LocalDate on) {
        return tenths((double) WIDTH * ChronoUnit.DAYS.between(block.start(), on) / (7 * block.weeks()));
    }

    private static double within(InTraining.InBlock block, Optional<LocalDate> on) {
        return on.filter(day -> !day.isBefore(block.start()) && !day.isAfter(block.end()))
                .map(day -> x(block, day))
                .orElse(-1.0);
    }

    private static Mark mark(InTraining.Planned session, double x, double day) {
        Optional<Exposure.Judgement> judged = session.judgement();
        boolean over = judged.filter(Exposure.Judgement.OVER::equals).isPresent();
        boolean under = judged.filter(Exposure.Judgement.UNDER::equals).isPresent();
        int top = MIDDLE - (over ? TALL : under ? SHORT : HALF);
        return new Mark(
                kind(session, over, under), x, top, tenths(Math.max(2, Math.min(7, day * 0.9))), MIDDLE + HALF - top);
    }

    private static String kind(InTraining.Planned session, boolean over, boolean under) {
        return switch (session.state()) {
            case TO_COME -> session.easy() ? "tocome easy" : "tocome";
            case MISSED -> "missed";
            case BEGUN -> "begun";
            case DONE -> over ? "done over" : under ? "done under" : "done";
        };
    }

    private static double tenths(double figure) {
        return Math.round(figure * 10) / 10.0;
    }
}
