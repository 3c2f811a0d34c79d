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

/** What a lifter's log and the maxes that were set down make believe of them, from the first day on or from where it was kept. */
public final class StrengthHistory {

    /** A session's speeds are held against those of so many days before it; a starting value of ours. */
    public static final int DAYS_OF_SPEEDS = 91;

    private final StrengthFilter filter;
    private final List<LifterBelief> beliefs = new ArrayList<>();
    private final List<Step> steps = new ArrayList<>();
    private final Map<Lift, List<MaxEstimate.Movement>> movements = new HashMap<>();
    private final Map<Lift, LocalDate> setDown = new HashMap<>();

    /**
     * One session's part in it.
     *
     * @param after what was believed when it was over
     * @param movements of the maxes of the lifts that were lifted
     */
    public record Step(LifterBelief after, Map<Lift, MaxEstimate.Movement> movements) {}

    /**
     * What is kept of a history.
     *
     * @param belief after its last session
     * @param sessions up to that one, as far back as {@link #DAYS_OF_SPEEDS} before it at least, oldest first
     * @param movements those of its sessions that are wanted, oldest first
     */
    public record Kept(
            LifterBelief belief, List<LiftedSession> sessions, Map<Lift, List<MaxEstimate.Movement>> movements) {}

    private StrengthHistory(StrengthFilter filter) {
        this.filter = filter;
    }

    /** From nothing. In any order; a max counts before a session of the same day. */
    public static StrengthHistory of(
            StrengthFilter filter, Collection<MaxOnRecord> maxes, Collection<LiftedSession> sessions) {
        return of(filter, Optional.empty(), maxes, sessions);
    }

    /**
     * From where it was kept.
     *
     * @param kept empty where nothing was
     * @param maxes all that were ever set down
     * @param sessions those after the kept ones, in any order
     */
    public static StrengthHistory of(
            StrengthFilter filter,
            Optional<Kept> kept,
            Collection<MaxOnRecord> maxes,
            Collection<LiftedSession> sessions) {
        StrengthHistory history = new StrengthHistory(filter);
        RecentSpeeds speeds = filter.noSpeeds();
        kept.ifPresent(known -> {
            history.beliefs.add(known.belief());
            known.movements().forEach((lift, moved) -> history.movements.put(lift, new ArrayList<>(moved)));
            known.sessions().forEach(speeds::add);
        });
        List<MaxOnRecord> told =
                maxes.stream().sorted(Comparator.comparing(MaxOnRecord::on)).toList();
        told.forEach(max -> history.setDown.putIfAbsent(max.lift(), max.on()));
        int next = (int) told.stream()
                .takeWhile(max -> kept.filter(
                                known -> !max.on().isAfter(known.belief().date()))
                        .isPresent())
                .count();
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
        beliefs.add(filter.after(lastOr(max.on()), max));
    }

    private void add(LiftedSession session) {
        StrengthFilter.Learned learned = filter.after(lastOr(session.date()), session);
        beliefs.add(learned.after());
        steps.add(new Step(learned.after(), learned.movements()));
        learned.movements()
                .forEach((lift, movement) ->
                        movements.computeIfAbsent(lift, of -> new ArrayList<>()).add(movement));
    }

    /** The sessions that were worked out here, oldest first. */
    public List<Step> steps() {
        return List.copyOf(steps);
    }

    /** What was believed on the evening of a day; from where it was kept on. */
    public LifterStrength on(LocalDate day) {
        return on(day, LocalDate.MIN);
    }

    /**
     * The same of what was lifted or set down lately.
     *
     * @param since the first day of which it is wanted how sessions moved maxes; what was neither lifted since nor ever set down has no estimate
     */
    public LifterStrength on(LocalDate day, LocalDate since) {
        Map<Lift, List<MaxEstimate.Movement>> upTo = new HashMap<>();
        setDown.forEach((lift, first) -> {
            if (!first.isAfter(day)) {
                upTo.put(lift, List.of());
            }
        });
        movements.forEach((lift, all) -> {
            List<MaxEstimate.Movement> some = all.stream()
                    .filter(movement ->
                            !movement.date().isAfter(day) && !movement.date().isBefore(since))
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
