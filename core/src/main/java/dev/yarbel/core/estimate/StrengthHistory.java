package dev.yarbel.core.estimate;

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

    private StrengthHistory(StrengthFilter filter) {
        this.filter = filter;
    }

    /** In any order; a max counts before a session of the same day. */
    public static StrengthHistory of(
            StrengthFilter filter, Collection<MaxOnRecord> maxes, Collection<LiftedSession> sessions) {
        List<MaxOnRecord> told =
                maxes.stream().sorted(Comparator.comparing(MaxOnRecord::on)).toList();
        StrengthHistory history = new StrengthHistory(filter);
        SpeedTables speeds = filter.noSpeeds();
        int next = 0;
        for (LiftedSession session : sessions.stream()
                .sorted(Comparator.comparing(LiftedSession::date))
                .toList()) {
            while (next < told.size() && !told.get(next).on().isAfter(session.date())) {
                history.add(told.get(next++));
            }
            history.add(speeds.witnessed(session));
            speeds.add(session);
        }
        told.subList(next, told.size()).forEach(history::add);
        return history;
    }

    private LifterBelief lastOr(LocalDate first) {
        return beliefs.isEmpty() ? filter.start(first) : beliefs.get(beliefs.size() - 1);
    }

    private void add(MaxOnRecord max) {
        setDown.putIfAbsent(max.lift(), max.on());
        beliefs.add(filter.after(lastOr(max.on()), max));
    }

    private void add(LiftedSession session) {
        StrengthFilter.Learned learned = filter.after(lastOr(session.date()), session);
        beliefs.add(learned.after());
        learned.movements()
                .forEach((lift, movement) ->
                        movements.computeIfAbsent(lift, of -> new ArrayList<>()).add(movement));
    }

    /** What was believed on the evening of a day. */
    public LifterStrength on(LocalDate day) {
        Map<Lift, List<MaxEstimate.Movement>> upTo = new HashMap<>();
        setDown.forEach((lift, first) -> {
            if (!first.isAfter(day)) {
                upTo.put(lift, List.of());
            }
        });
        movements.forEach((lift, all) -> {
            List<MaxEstimate.Movement> some = all.stream()
                    .filter(movement -> !movement.date().isAfter(day))
                    .toList();
            if (!some.isEmpty()) {
                upTo.put(lift, some);
            }
        });
        return new LifterStrength(filter, beliefOn(day), upTo);
    }

    private Optional<LifterBelief> beliefOn(LocalDate day) {
        for (int i = beliefs.size() - 1; i >= 0; i--) {
            if (!beliefs.get(i).date().isAfter(day)) {
                return Optional.of(filter.on(beliefs.get(i), day));
            }
        }
        return Optional.empty();
    }
}
