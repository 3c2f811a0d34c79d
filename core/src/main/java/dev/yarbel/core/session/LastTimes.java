package dev.yarbel.core.session;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.LastSession;
import dev.yarbel.core.progress.Result;
import dev.yarbel.core.progress.Run;
import dev.yarbel.core.record.LiftedSet;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The last session of each lift and kind of work in a log, with where the law of it stands. Back-offs and deloads are no
 * last time, nor is a light day: one with a load of its own under 90 % of what was done within the four weeks before
 * (starting values of ours). A session that nobody planned stands for straight sets of the repetitions its heaviest set had, and yields to
 * one that was planned.
 */
public final class LastTimes {

    private static final Percent LIGHT_UNDER = Percent.of(90);
    private static final int WEEKS = 4;

    private final Map<Lift, Map<KindOfWork, Dated>> planned = new HashMap<>();
    private final Map<Lift, Map<KindOfWork, LastSession>> free = new HashMap<>();

    private record Dated(LocalDate on, LastSession session) {

        boolean isFollowedByALightDay(LocalDate date, Mass load) {
            return load.isLessThan(session.run().load().times(LIGHT_UNDER)) && date.isBefore(on.plusWeeks(WEEKS));
        }
    }

    /** Lays the next session of the log on top; sessions come in the order they were lifted. */
    public void add(LocalDate on, Optional<AskedDay> asked, List<DoneSet> done) {
        if (asked.isEmpty()) {
            addUnplanned(done);
        } else if (!asked.get().deload()) {
            for (PrescribedSets prescription : asked.get().prescriptions()) {
                List<LiftedSet> sets = done.stream()
                        .filter(d -> prescription.isAnsweredBy(d.task()))
                        .map(DoneSet::set)
                        .filter(set -> set.lift().equals(prescription.lift()))
                        .toList();
                if (!sets.isEmpty() && !prescription.part().basis().hangsOnTop()) {
                    add(on, prescription, sets);
                }
            }
        }
    }

    private void add(LocalDate on, PrescribedSets prescription, List<LiftedSet> sets) {
        Part part = prescription.part();
        KindOfWork kind = KindOfWork.of(part);
        Map<KindOfWork, Dated> ofLift = planned.computeIfAbsent(prescription.lift(), lift -> new HashMap<>());
        Mass load = prescription.stood().flatMap(AskedDay.Stood::load).orElseGet(() -> heaviest(sets));
        Optional<Dated> before = Optional.ofNullable(ofLift.get(kind));
        boolean goesOn = part.basis().goesOnFromLast();
        if (!goesOn
                && before.filter(last -> last.isFollowedByALightDay(on, load)).isPresent()) {
            return;
        }
        Run run = before.filter(last -> goesOn)
                .map(last -> last.session.next(part).run().with(part.work(), load))
                .orElseGet(() -> Run.start(part.work(), load));
        ofLift.put(kind, new Dated(on, new LastSession(kind, run, Result.of(sets), false)));
    }

    private void addUnplanned(List<DoneSet> done) {
        Map<Lift, List<LiftedSet>> byLift = done.stream()
                .filter(d -> !d.task().warmUp())
                .map(DoneSet::set)
                .filter(set -> set.reps() > 0 && !set.details().asked().changesTheLoad())
                .collect(Collectors.groupingBy(LiftedSet::lift, LinkedHashMap::new, Collectors.toList()));
        byLift.forEach((lift, sets) -> {
            Mass load = heaviest(sets);
            List<LiftedSet> top =
                    sets.stream().filter(set -> set.load().equals(load)).toList();
            int reps = top.stream().mapToInt(LiftedSet::reps).max().orElseThrow();
            Work work = Work.Straight.of(Math.min(top.size(), Work.MOST_SETS), reps);
            KindOfWork kind = KindOfWork.straight(reps);
            free.computeIfAbsent(lift, l -> new HashMap<>())
                    .put(kind, new LastSession(kind, Run.start(work, load), Result.of(top), false));
        });
    }

    private static Mass heaviest(List<LiftedSet> sets) {
        return sets.stream().map(LiftedSet::load).max(Comparator.naturalOrder()).orElseThrow();
    }

    /** The last session of each kind of work with a lift. */
    public Map<KindOfWork, LastSession> of(Lift lift) {
        Map<KindOfWork, LastSession> all = new HashMap<>(free.getOrDefault(lift, Map.of()));
        planned.getOrDefault(lift, Map.of()).forEach((kind, last) -> all.put(kind, last.session));
        return all;
    }

    /** The lifts it holds anything of. */
    public Set<Lift> lifts() {
        Set<Lift> lifts = new HashSet<>(planned.keySet());
        lifts.addAll(free.keySet());
        return lifts;
    }
}
