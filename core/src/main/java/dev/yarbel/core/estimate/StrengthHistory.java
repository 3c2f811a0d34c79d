package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.BentCurve;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a lifter's log and the maxes that were set down make believe of them, from the first day on. */
public final class StrengthHistory {

    private final StrengthFilter filter;
    private final List<LifterBelief> beliefs = new ArrayList<>();
    private final Map<Lift, List<MaxEstimate.Movement>> movements = new HashMap<>();
    private final Map<Lift, LocalDate> setDown = new HashMap<>();

    /** A max of a lift that was set down. */
    public record SetDown(Lift lift, StartingMax max) {}

    private StrengthHistory(StrengthFilter filter) {
        this.filter = filter;
    }

    /** In any order; a max counts before a session of the same day. */
    public static StrengthHistory of(
            StrengthFilter filter, Collection<SetDown> maxes, Collection<LiftedSession> sessions) {
        List<SetDown> told = maxes.stream()
                .sorted(Comparator.comparing(one -> one.max().since()))
                .toList();
        StrengthHistory history = new StrengthHistory(filter);
        int next = 0;
        for (LiftedSession session : sessions.stream()
                .sorted(Comparator.comparing(LiftedSession::date))
                .toList()) {
            while (next < told.size() && !told.get(next).max().since().isAfter(session.date())) {
                history.add(told.get(next++));
            }
            history.add(session);
        }
        told.subList(next, told.size()).forEach(history::add);
        return history;
    }

    private LifterBelief lastOr(LocalDate first) {
        return beliefs.isEmpty() ? filter.start(first) : beliefs.get(beliefs.size() - 1);
    }

    private void add(SetDown max) {
        setDown.putIfAbsent(max.lift(), max.max().since());
        beliefs.add(filter.after(lastOr(max.max().since()), max.lift(), max.max()));
    }

    private void add(LiftedSession session) {
        StrengthFilter.Learned learned = filter.after(lastOr(session.date()), session);
        beliefs.add(learned.after());
        learned.movements()
                .forEach((lift, movement) ->
                        movements.computeIfAbsent(lift, of -> new ArrayList<>()).add(movement));
    }

    /** What was believed on the evening of a day; empty before anything was known. */
    private Optional<LifterBelief> on(LocalDate day) {
        for (int i = beliefs.size() - 1; i >= 0; i--) {
            if (!beliefs.get(i).date().isAfter(day)) {
                return Optional.of(filter.on(beliefs.get(i), day));
            }
        }
        return Optional.empty();
    }

    /**
     * The estimate of a lift as of the evening of a day, with how each session up to it moved it; empty where nothing of the lift itself was
     * set down or told by then.
     */
    public Optional<MaxEstimate> estimate(Lift lift, LocalDate day) {
        List<MaxEstimate.Movement> upTo = movements.getOrDefault(lift, List.of()).stream()
                .filter(movement -> !movement.date().isAfter(day))
                .toList();
        return upTo.isEmpty()
                        && Optional.ofNullable(setDown.get(lift))
                                .filter(first -> !first.isAfter(day))
                                .isEmpty()
                ? Optional.empty()
                : on(day).flatMap(belief -> filter.standing(belief, lift))
                        .map(standing -> new MaxEstimate(standing.max(), standing.spread(), upTo));
    }

    /** How the lifter's ratings lean in a lift; empty where nothing is known of its family. */
    public Optional<RatingBias> ratingBias(Lift lift, LocalDate day) {
        return on(day).flatMap(belief -> filter.ratingBias(belief, lift));
    }

    /** The rep curve of a lift as learnt; empty where nothing is known of its family. */
    public Optional<BentCurve> curve(Lift lift, LocalDate day) {
        return on(day).flatMap(belief -> filter.curve(belief, lift));
    }
}
