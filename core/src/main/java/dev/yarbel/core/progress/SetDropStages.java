package dev.yarbel.core.progress;

import java.util.List;

/**
 * The law of set-drop stages: 3×8, a step more each time; when the last set loses repetitions, a set is dropped and load
 * goes on being added: 2×8, 1×8, then 3×5 and so on to 1×3 (common practice, no source). Repetitions lost in an earlier
 * set, or on the first day of a stage, are repeated once before a set is dropped (our own rule).
 *
 * @param stage 0 to 8
 * @param firstDay nothing was lifted in this stage yet
 * @param repeated this day is a repetition
 */
public record SetDropStages(int stage, boolean firstDay, boolean repeated) {

    /** A stage: sets and repetitions. */
    public record Stage(int sets, int reps) {}

    public static final List<Stage> STAGES = List.of(
            new Stage(3, 8),
            new Stage(2, 8),
            new Stage(1, 8),
            new Stage(3, 5),
            new Stage(2, 5),
            new Stage(1, 5),
            new Stage(3, 3),
            new Stage(2, 3),
            new Stage(1, 3));

    public static final SetDropStages START = new SetDropStages(0, true, false);

    public SetDropStages {
        if (stage < 0 || stage >= STAGES.size()) {
            throw new IllegalArgumentException("there are nine stages");
        }
    }

    /** What follows a day. */
    public enum Answer {
        ADD,
        REPEAT,
        /** A set dropped, or fewer repetitions; load is added all the same. */
        DROP,
        /** The last stage is over: deload and begin anew, or another school. */
        END
    }

    /** An answer and where the lifter stands then. */
    public record Next(Answer answer, SetDropStages state) {}

    public Stage sets() {
        return STAGES.get(stage);
    }

    /**
     * What follows a day.
     *
     * @param reps what was made in each set, in order
     */
    public Next after(List<Integer> reps) {
        Stage asked = sets();
        boolean lastLost = reps.size() < asked.sets() || reps.get(asked.sets() - 1) < asked.reps();
        boolean earlierLost = reps.stream().limit(asked.sets() - 1L).anyMatch(made -> made < asked.reps());
        if (!lastLost && !earlierLost) {
            return new Next(Answer.ADD, new SetDropStages(stage, false, false));
        }
        if ((earlierLost || firstDay) && !repeated) {
            return new Next(Answer.REPEAT, new SetDropStages(stage, firstDay, true));
        }
        return stage + 1 < STAGES.size()
                ? new Next(Answer.DROP, new SetDropStages(stage + 1, true, false))
                : new Next(Answer.END, START);
    }
}
