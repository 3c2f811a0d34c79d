package dev.yarbel.core.estimate;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.UsualKit;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was lifted of a lift in a set-up of its own.
 *
 * @param best the set that speaks for the highest single, the later of two alike; empty where none was made cleanly and alone
 * @param last the latest set, made or not
 * @param sets how many there were
 */
public record SetUpDone(SetUp setUp, Optional<Done> best, Done last, int sets) {

    /** A set on its day. */
    public record Done(LocalDate on, LiftedSet set) {}

    /**
     * Of each set-up of a lift other than the plain lift, the one that was done last first.
     *
     * @param sessions oldest first
     * @param curve compares sets of different repetitions
     */
    public static List<SetUpDone> of(Collection<LiftedSession> sessions, Lift lift, UsualKit usual, RepCurve curve) {
        Map<SetUp, SetUpDone> done = new LinkedHashMap<>();
        for (LiftedSession session : sessions) {
            for (LiftedSet set : session.sets()) {
                SetUp setUp = set.lift().equals(lift) ? usual.setUp(set) : SetUp.PLAIN;
                if (!setUp.isPlain()) {
                    Done now = new Done(session.date(), set);
                    done.merge(
                            setUp,
                            new SetUpDone(setUp, Optional.of(now).filter(SetUpDone::counts), now, 1),
                            (before, one) -> before.then(one, curve));
                }
            }
        }
        return done.values().stream()
                .sorted(Comparator.comparing((SetUpDone one) -> one.last.on).reversed())
                .toList();
    }

    private static boolean counts(Done done) {
        LiftedSet set = done.set;
        return set.made() && set.load().isPositive() && set.cleanReps() == set.reps();
    }

    private SetUpDone then(SetUpDone later, RepCurve curve) {
        Optional<Done> better =
                later.best.filter(one -> best.filter(other -> single(one, curve).isLessThan(single(other, curve)))
                        .isEmpty());
        return new SetUpDone(setUp, better.or(() -> best), later.last, sets + later.sets);
    }

    /** What is not rated, or rated too easy to tell, counts as what was made. */
    private static Mass single(Done done, RepCurve curve) {
        LiftedSet set = done.set;
        RepsInAll reps = RepsInAll.of(
                set.reps(), set.ratingOnRecord().filter(Rpe::estimates).orElse(Rpe.LIMIT));
        return curve.max(set.load(), reps);
    }
}
