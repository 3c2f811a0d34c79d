package dev.yarbel.web.contest;

import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.EventStanding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a lifter stands for an event, from training.
 *
 * @param unit the key of what it is measured in
 * @param from and to, what the last sessions lie between; blank where there were none
 */
record StandingView(EventEntity event, EventStanding standing, String unit, String from, String to) {

    private static final int DECIMALS = 2;

    /** For each event that is trained as one of the club's lifts. */
    static List<StandingView> of(List<EventEntity> events, LifterBlock plan) {
        LocalDate since = plan.today().minusWeeks(EventStanding.WEEKS);
        return events.stream()
                .filter(event -> event.lift().isPresent())
                .map(event -> of(event, event.lift().get(), plan, since))
                .toList();
    }

    private static StandingView of(EventEntity event, Lift lift, LifterBlock plan, LocalDate since) {
        List<EventStanding.Trained> trained = plan.standing().log().stream()
                .filter(session -> !session.date().isBefore(since))
                .flatMap(session -> session.sets().stream()
                        .filter(done ->
                                !done.task().warmUp() && done.set().lift().equals(lift))
                        .map(done -> new EventStanding.Trained(session.date(), done.set())))
                .toList();
        EventStanding standing = EventStanding.of(
                event.announced(),
                trained,
                plan.standing()
                        .of(lift)
                        .flatMap(LiftRecord::estimate)
                        .map(estimate -> new EventStanding.Max(
                                estimate, plan.resolver().numbers(lift).curve())));
        return new StandingView(
                event,
                standing,
                event.measure() == EventMeasure.TIME ? "SPEED" : event.measure().name(),
                figure(standing, Comparator.naturalOrder()),
                figure(standing, Comparator.reverseOrder()));
    }

    private static String figure(EventStanding standing, Comparator<BigDecimal> first) {
        return standing.lately().stream()
                .map(EventStanding.Done::amount)
                .min(first)
                .map(StandingView::plain)
                .orElse("");
    }

    /** A figure as it is written, without a decimal where there need be none. */
    static String plain(BigDecimal figure) {
        BigDecimal rounded = figure.setScale(DECIMALS, RoundingMode.HALF_UP).stripTrailingZeros();
        return rounded.signum() == 0 ? "0" : rounded.toPlainString();
    }

    /** What the day may bring: by the estimate of the max, else by the pace of training; blank where neither says. */
    public Optional<EventStanding.Expected> bringing() {
        return standing.byEstimate().or(standing::byPace);
    }

    /** The key of what that is measured in. */
    public String bringingUnit() {
        return event.measure() == EventMeasure.TIME ? "HOLD" : unit;
    }

    public String best() {
        return standing.best().map(done -> plain(done.amount())).orElse("");
    }

    public String low() {
        return bringing().map(expected -> plain(expected.low())).orElse("");
    }

    public String middle() {
        return bringing().map(expected -> plain(expected.middle())).orElse("");
    }

    public String high() {
        return bringing().map(expected -> plain(expected.high())).orElse("");
    }
}
