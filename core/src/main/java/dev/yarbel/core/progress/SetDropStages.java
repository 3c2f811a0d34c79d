package dev.yarbel.core.progress;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.SetsMade.Verdict;
import dev.yarbel.core.progress.Step.Answer;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;
import java.util.List;
import java.util.Optional;

/**
 * Set-drop stages: 3×8, a step more each time; when the last set loses repetitions, a set is dropped and load goes on being
 * added: 2×8, 1×8, then 3×5 and so on to 1×3 (common practice, no source). Repetitions lost in an earlier set, or on the
 * first day of a stage, are repeated once before a set is dropped (our own rule). A run may begin with other sets than
 * three and other repetitions than eight; after its last single set it goes on with three sets of the next fewer.
 */
enum SetDropStages implements Law {
    LAW;

    private static final List<Integer> REPS = List.of(8, 5, 3);
    private static final int SETS = 3;

    @Override
    public Step after(Run run, Result result, Mass step) {
        SetsMade made = SetsMade.of(run, result);
        Mass load = made.load();
        Work asked = run.work();
        if (made.verdict() == Verdict.OPEN && made.reason().kind() == Kind.EXCUSED) {
            return Step.of(Answer.HOLD, load, run.held(load), made.reason());
        }
        if (made.verdict() == Verdict.MADE) {
            return Step.of(Answer.ADD, load, run.go(load.plus(step)), made.reason());
        }
        Reason lost = made.reason().kind() == Kind.SETS_CUT
                ? new Reason(Kind.MISSED, made.reason().done(), made.reason().of())
                : made.reason();
        boolean early = result.sets().stream()
                .limit(asked.sets() - 1L)
                .anyMatch(set -> set.reps() < asked.reps() || set.load().isLessThan(load));
        if ((early || run.fresh()) && run.misses() == 0) {
            return Step.of(Answer.REPEAT, load, run.missed(load), lost);
        }
        return next(asked)
                .map(stage -> Step.of(Answer.DROP_SET, load, run.dropped(stage, load.plus(step)), lost))
                .orElseGet(() -> Step.of(
                        Answer.WALL, load, run.missed(load), new Reason(Kind.MISSED_AGAIN, run.misses() + 1, 0), lost));
    }

    /** The stage after this one; empty after the last. */
    static Optional<Work> next(Work stage) {
        return stage.sets() > 1
                ? Optional.of(Work.Straight.of(stage.sets() - 1, stage.reps()))
                : REPS.stream()
                        .filter(reps -> reps < stage.reps())
                        .findFirst()
                        .map(reps -> Work.Straight.of(SETS, reps));
    }
}
