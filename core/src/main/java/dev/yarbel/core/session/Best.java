package dev.yarbel.core.session;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The number to beat: the heaviest load lifted for so many repetitions at a rating or easier, of work of the same kind. */
public record Best(LocalDate on, Mass load, int reps, Rpe rpe) {

    /**
     * A work set of the past with the kind of work it was part of.
     *
     * @param backOff its load hung on a top of the day
     */
    public record PastSet(LocalDate on, KindOfWork kind, boolean backOff, LiftedSet set) {

        private boolean isLike(PastSet other) {
            return kind.equals(other.kind)
                    && backOff == other.backOff
                    && set.lift().equals(other.set.lift())
                    && set.reps() == other.set.reps();
        }

        /** The work sets of one session; where nobody planned it, each is a straight set of its own repetitions. */
        public static List<PastSet> of(LocalDate on, Optional<AskedDay> asked, List<DoneSet> done) {
            List<PrescribedSets> day = asked.map(AskedDay::prescriptions).orElse(List.of());
            List<PastSet> sets = new ArrayList<>();
            for (DoneSet each : done) {
                if (!each.task().warmUp()) {
                    Optional<PrescribedSets> answered = day.stream()
                            .filter(p -> p.isAnsweredBy(each.task())
                                    && p.lift().equals(each.set().lift()))
                            .findFirst();
                    sets.add(new PastSet(
                            on,
                            answered.map(p -> KindOfWork.of(p.part()))
                                    .orElseGet(() -> KindOfWork.straight(
                                            Math.max(1, each.set().reps()))),
                            answered.filter(p -> p.part().basis().hangsOnTop()).isPresent(),
                            each.set()));
                }
            }
            return sets;
        }
    }

    /**
     * The best of what was lifted so far; of two alike the later one. Sets that were missed, helped or not rated are none.
     *
     * @param kind of the work that it is to be compared with; its repetitions may be fewer than those lifted
     * @param backOff whether that hangs on a top of its day
     * @param most the hardest rating that counts
     */
    public static Optional<Best> of(
            Collection<PastSet> sets, Lift lift, KindOfWork kind, boolean backOff, int reps, Rpe most) {
        return sets.stream()
                .filter(past -> past.kind.isLike(kind)
                        && past.backOff == backOff
                        && past.set.lift().equals(lift)
                        && past.set.reps() >= reps
                        && past.set.load().isPositive()
                        && past.set.details().helped() == 0
                        && (!past.set.details().asked().changesTheLoad() || !kind.isPlain()))
                .flatMap(past ->
                        past.set.rating().stream().map(rpe -> new Best(past.on, past.set.load(), past.set.reps(), rpe)))
                .filter(best -> best.rpe.compareTo(most) <= 0)
                .max(Comparator.comparing(Best::load).thenComparing(Best::on));
    }

    /**
     * Whether a set is better than everything like it before: lifted heavier than any for as many repetitions, rated no
     * easier than it. Where nothing like it was lifted there is nothing to be better than.
     *
     * @param before the work sets of earlier days
     */
    public static boolean isNew(PastSet set, Collection<PastSet> before) {
        return set.set.made()
                && set.set.rating().stream()
                        .flatMap(rpe -> of(before, set.set.lift(), set.kind, set.backOff, set.set.reps(), rpe).stream())
                        .anyMatch(best -> best.load.isLessThan(set.set.load()));
    }

    /**
     * The sets since a day that were better than everything like them before, newest first, the heaviest of each day's
     * alike.
     *
     * @param sets oldest first
     */
    public static List<PastSet> since(LocalDate from, List<PastSet> sets) {
        Map<Lift, List<PastSet>> byLift = new HashMap<>();
        List<PastSet> better = new ArrayList<>();
        for (PastSet set : sets) {
            List<PastSet> before = byLift.computeIfAbsent(set.set.lift(), lift -> new ArrayList<>());
            if (!set.on.isBefore(from) && isNew(set, before)) {
                better.removeIf(other -> other.on.equals(set.on) && other.isLike(set));
                better.add(set);
            }
            before.add(set);
        }
        Collections.reverse(better);
        return better;
    }
}
