package dev.yarbel.core.adjust;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A finished session as a rule sees it.
 *
 * @param asked what its day asked for when its first set was logged; empty where nobody planned it
 * @param done its sets in the order they were lifted
 * @param pain where it hurt, in the lifter's words
 * @param countSaid whether the lifter said what became of sets that are more or fewer than asked
 */
public record SeenSession(
        LocalDate date, Optional<AskedDay> asked, List<DoneSet> done, Optional<String> pain, boolean countSaid) {

    /** One of which nobody said anything about the number of its sets. */
    public SeenSession(LocalDate date, Optional<AskedDay> asked, List<DoneSet> done, Optional<String> pain) {
        this(date, asked, done, pain, false);
    }

    public SeenSession {
        done = List.copyOf(done);
    }

    /** The work sets of a lift, each beside what asked for it. */
    public List<SeenSet> work(Lift lift) {
        List<PrescribedSets> day = asked.map(AskedDay::prescriptions).orElse(List.of());
        return done.stream()
                .filter(set -> !set.task().warmUp() && set.set().lift().equals(lift))
                .map(set -> new SeenSet(
                        date,
                        set.task(),
                        set.set(),
                        day.stream()
                                .filter(prescription ->
                                        prescription.lift().equals(lift) && prescription.isAnsweredBy(set.task()))
                                .findFirst()))
                .toList();
    }

    /** Whether it was one of a deload. */
    boolean isEasy() {
        return asked.filter(AskedDay::deload).isPresent();
    }

    /** Whether a work set of a lift was done in it. */
    public boolean has(Lift lift) {
        return done.stream()
                .anyMatch(set -> !set.task().warmUp() && set.set().lift().equals(lift));
    }

    /** The lifts of its work sets, in the order they were begun. */
    public List<Lift> lifts() {
        return done.stream()
                .filter(set -> !set.task().warmUp())
                .map(set -> set.set().lift())
                .distinct()
                .toList();
    }

    /** Its work sets by their kinds, as bests are compared. */
    List<Best.PastSet> past() {
        return Best.PastSet.of(date, asked, done);
    }
}
