package dev.yarbel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.Step.Answer;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetDetails.MissedBy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The laws of the next load; all of them common practice, no source, but for what their classes call ours. */
class LawTest {

    private static final Mass STEP = Mass.of("2.5", MassUnit.KG);

    private static Part part(String dose) {
        return Dose.parse(dose).first();
    }

    private static Result lifted(String kg, int... reps) {
        List<LiftedSet> sets = new ArrayList<>();
        for (int made : reps) {
            sets.add(new LiftedSet(
                    Lift.SQUAT,
                    Mass.of(kg, MassUnit.KG),
                    made,
                    made == 0 ? new Effort.Missed() : new Effort.Rated(Rpe.of(9))));
        }
        return Result.of(sets);
    }

    private static Run run(String dose, long kg) {
        return Run.start(part(dose).work(), Mass.ofKg(kg));
    }

    private static Step after(String dose, Run run, Result result) {
        return Law.of(part(dose)).after(run, result, STEP);
    }

    /** Each dose has its law, and no law is without a dose. */
    @ParameterizedTest
    @CsvSource({
        "5x5 last +2.5kg,SteadyAdd",
        "1x5+ last +2.5kg,SteadyAdd",
        "5x5 last,LastAndStep",
        "1x5 last +2.5kg,LastAndStep",
        "8x2 last +2.5kg speed,LastAndStep",
        "3x20m last +5kg,LastAndStep",
        "3x8 last +2.5kg stages,SetDropStages",
        "3x8-12 last +2.5kg,RangeThenLoad",
        "10x1 in 10min gap 30 last +2.5kg,DensitySingles",
        "3x(5x1 20s) last +2.5kg,ClusterRounds",
        "climb 8 to @7,ClimbingSets"
    })
    void aDoseSaysItsLaw(String dose, String law) {
        assertThat(Law.of(part(dose)).getClass().getSimpleName()).isEqualTo(law);
    }

    // ---- steady add

    /** 10 lb a week for a year would be 520 lb; 5 lb twice a week for 52 weeks. */
    @Test
    void fivePoundsTwiceAWeekForAYear() {
        Run run = Run.start(part("5x5 last +5lb").work(), Mass.ofLb(95));
        for (int session = 0; session < 104; session++) {
            run = SteadyAdd.LAW
                    .after(run, SteadyAdd.LAW.expected(run, false), Mass.ofLb(5))
                    .run();
        }
        assertThat(run.load().minus(Mass.ofLb(95))).isEqualTo(Mass.ofLb(520));
    }

    @Test
    void missedRepsAreRepeatedThenResetAndAfterTwoResetsIsTheWall() {
        Run run = run("3x5 100kg", 100);
        List<Answer> answers = new ArrayList<>();
        for (int session = 0; session < 6; session++) {
            String load = run.load().figure(MassUnit.KG, 3);
            Step step = after("3x5 last +2.5kg", run, lifted(load, 5, 5, 4));
            answers.add(step.answer());
            run = step.run();
        }
        assertThat(answers)
                .containsExactly(Answer.REPEAT, Answer.RESET, Answer.REPEAT, Answer.RESET, Answer.REPEAT, Answer.WALL);
        assertThat(run.load()).isEqualTo(Mass.of("72.9", MassUnit.KG));
    }

    @Test
    void aMissThatIsMadeGoodIsForgotten() {
        Run once = after("3x5 last +2.5kg", run("3x5 100kg", 100), lifted("100", 5, 5, 4))
                .run();
        Run made = after("3x5 last +2.5kg", once, lifted("100", 5, 5, 5)).run();
        assertThat(after("3x5 last +2.5kg", made, lifted("102.5", 5, 4, 4)).answer())
                .isEqualTo(Answer.REPEAT);
    }

    @ParameterizedTest
    @CsvSource({
        "3x5+,9,ADD,102.5",
        "3x5+,10,ADD_DOUBLE,105",
        "3x5+,11,ADD_DOUBLE,105",
        "3x8+,15,ADD,102.5",
        "3x8+,16,ADD_DOUBLE,105"
    })
    void aLongPlusSetEarnsADoubleStep(String sets, int reps, Answer answer, String next) {
        int asked = part(sets + " last +2.5kg").reps();
        Step step = after(sets + " last +2.5kg", run(sets + " 100kg", 100), lifted("100", asked, asked, reps));
        assertThat(step.answer()).isEqualTo(answer);
        assertThat(step.run().load()).isEqualTo(Mass.of(next, MassUnit.KG));
    }

    @Test
    void repsThatASpotterHelpedEarnNothing() {
        LiftedSet own = new LiftedSet(Lift.SQUAT, Mass.ofKg(100), 5, new Effort.Rated(Rpe.of(9)));
        LiftedSet helped = own.with(SetDetails.NONE.withHelp(2));
        Step step = after("3x5 last +2.5kg", run("3x5 100kg", 100), Result.of(List.of(own, own, helped)));
        assertThat(step.answer()).isEqualTo(Answer.REPEAT);
        assertThat(step.reasons()).contains(new Reason(Kind.HELPED, 2, 0));
    }

    @ParameterizedTest
    @CsvSource({"STRENGTH,1", "TECHNIQUE,1", "GRIP,0", "PAIN,0", "CALL,0"})
    void aMissThatIsNotStrengthDoesNotCount(MissedBy why, int counted) {
        LiftedSet own = new LiftedSet(Lift.SQUAT, Mass.ofKg(100), 5, new Effort.Rated(Rpe.of(9)));
        LiftedSet missed =
                new LiftedSet(Lift.SQUAT, Mass.ofKg(100), 3, new Effort.Missed(), SetDetails.NONE.missed(why));
        Step step = after("3x5 last +2.5kg", run("3x5 100kg", 100), Result.of(List.of(own, own, missed)));
        assertThat(step.run().load()).isEqualTo(Mass.ofKg(100));
        assertThat(step.run().misses()).isEqualTo(counted);
        assertThat(step.isEarned()).isFalse();
    }

    @Test
    void setsThatWereCutAreNoMiss() {
        Step step = after("3x5 last +2.5kg", run("3x5 100kg", 100), lifted("100", 5, 5));
        assertThat(step.answer()).isEqualTo(Answer.HOLD);
        assertThat(step.reasons()).containsExactly(new Reason(Kind.SETS_CUT, 2, 3));
        assertThat(step.run().misses()).isZero();
    }

    @Test
    void whatWasDoneLighterIsAskedForAgain() {
        Step step = after("3x5 last +2.5kg", run("3x5 100kg", 100), lifted("95", 5, 5, 5));
        assertThat(step.answer()).isEqualTo(Answer.REPEAT);
        assertThat(step.run().load()).isEqualTo(Mass.ofKg(100));
        Step heavier = after("3x5 last +2.5kg", run("3x5 100kg", 100), lifted("110", 5, 5, 5));
        assertThat(heavier.run().load()).isEqualTo(Mass.of("112.5", MassUnit.KG));
    }

    // ---- set-drop stages

    /** A set is dropped only after repetitions were lost, never two at once, and load never falls. */
    @Property
    void aSetIsDroppedOnlyAfterLostReps(
            @ForAll @Size(min = 1, max = 60) List<@IntRange(min = 0, max = 3) Integer> luck) {
        Run run = run("3x8 60kg", 60);
        for (int lost : luck) {
            Work asked = run.work();
            int[] reps = new int[asked.sets()];
            boolean lostReps = false;
            for (int set = 0; set < reps.length; set++) {
                boolean bad = lost == 1 && set == reps.length - 1 || lost == 2 && set == 0;
                reps[set] = bad ? asked.reps() - 1 : asked.reps();
                lostReps |= bad;
            }
            Step step = after("3x8 last +2.5kg stages", run, lifted(run.load().figure(MassUnit.KG, 3), reps));
            assertThat(step.run().load()).isGreaterThanOrEqualTo(run.load());
            if (!lostReps) {
                assertThat(step.answer()).isEqualTo(Answer.ADD);
                assertThat(step.run().work()).isEqualTo(asked);
            } else if (step.answer() == Answer.DROP_SET) {
                assertThat(step.run().work())
                        .isEqualTo(SetDropStages.next(asked).orElseThrow());
                assertThat(step.run().load()).isEqualTo(run.load().plus(STEP));
            } else {
                assertThat(step.run().work()).isEqualTo(asked);
            }
            run = step.run();
        }
    }

    @Test
    void nineStagesLieBetweenThreeEightsAndOneThree() {
        List<String> stages = new ArrayList<>();
        Optional<Work> stage = Optional.of(part("3x8 60kg").work());
        while (stage.isPresent()) {
            stages.add(stage.get().sets() + "x" + stage.get().reps());
            stage = SetDropStages.next(stage.get());
        }
        assertThat(stages).containsExactly("3x8", "2x8", "1x8", "3x5", "2x5", "1x5", "3x3", "2x3", "1x3");
        Run last = new Run(part("1x3 60kg").work(), Mass.ofKg(60), 0, 0, false, 0);
        assertThat(after("1x3 last +2.5kg stages", last, lifted("60", 2)).answer())
                .isEqualTo(Answer.WALL);
    }

    @Test
    void repsLostEarlyOrOnTheFirstDayAreRepeatedOnce() {
        assertThat(after("3x8 last +2.5kg stages", run("3x8 60kg", 60), lifted("60", 8, 8, 7))
                        .answer())
                .isEqualTo(Answer.REPEAT);
        Run later = new Run(part("3x8 60kg").work(), Mass.ofKg(60), 0, 0, false, 0);
        assertThat(after("3x8 last +2.5kg stages", later, lifted("60", 8, 8, 7)).answer())
                .isEqualTo(Answer.DROP_SET);
        Step repeated = after("3x8 last +2.5kg stages", later, lifted("60", 7, 8, 8));
        assertThat(repeated.answer()).isEqualTo(Answer.REPEAT);
        assertThat(after("3x8 last +2.5kg stages", repeated.run(), lifted("60", 7, 8, 8))
                        .answer())
                .isEqualTo(Answer.DROP_SET);
    }

    // ---- the others

    @ParameterizedTest
    @CsvSource({"12,12,12,ADD,102.5", "12,12,11,HOLD,100", "8,8,8,HOLD,100", "12,12,7,REPEAT,100", "12,12,0,REPEAT,100"
    })
    void aStepIsEarnedOnceEverySetReachesTheTopOfTheRange(int one, int two, int three, Answer answer, String next) {
        Step step = after("3x8-12 last +2.5kg", run("3x8-12 100kg", 100), lifted("100", one, two, three));
        assertThat(step.answer()).isEqualTo(answer);
        assertThat(step.run().load()).isEqualTo(Mass.of(next, MassUnit.KG));
    }

    /** Five sessions from eight to twelve, and the sixth is a step heavier. */
    @Test
    void aRangeAheadIsWorkedThroughOneRepetitionASession() {
        Run run = run("3x8-12 100kg", 100);
        List<String> loads = new ArrayList<>();
        for (int session = 0; session < 7; session++) {
            loads.add(run.load().figure(MassUnit.KG, 1));
            run = after("3x8-12 last +2.5kg", run, RangeThenLoad.LAW.expected(run, false))
                    .run();
        }
        assertThat(loads).containsExactly("100", "100", "100", "100", "100", "102.5", "102.5");
    }

    @ParameterizedTest
    @CsvSource({"10,ADD,92.5", "9,HOLD,90", "4,HOLD,90"})
    void densityStaysUntilTheWholeGoalIsMade(int made, Answer answer, String next) {
        int[] singles = new int[made];
        Arrays.fill(singles, 1);
        Step step =
                after("10x1 in 10min gap 30 last +2.5kg", run("10x1 in 10min gap 30 90kg", 90), lifted("90", singles));
        assertThat(step.answer()).isEqualTo(answer);
        assertThat(step.run().load()).isEqualTo(Mass.of(next, MassUnit.KG));
        assertThat(step.run().misses()).isZero();
    }

    @Test
    void clustersGoUpOnceEveryRoundIsWhole() {
        String dose = "3x(5x1 20s) last +2.5kg";
        assertThat(after(dose, run("3x(5x1 20s) 90kg", 90), lifted("90", 5, 5, 5))
                        .answer())
                .isEqualTo(Answer.ADD);
        assertThat(after(dose, run("3x(5x1 20s) 90kg", 90), lifted("90", 5, 5, 4))
                        .answer())
                .isEqualTo(Answer.REPEAT);
    }

    @Test
    void theLastSetOfAClimbCounts() {
        List<LiftedSet> climb = new ArrayList<>();
        for (int kg : new int[] {100, 110, 120}) {
            climb.add(new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), 8, new Effort.Rated(Rpe.of(7))));
        }
        climb.add(new LiftedSet(Lift.SQUAT, Mass.ofKg(125), 5, new Effort.Missed()));
        Step step = ClimbingSets.LAW.after(run("climb 8 to @7", 115), Result.of(climb), STEP);
        assertThat(step.run().load()).isEqualTo(Mass.of("122.5", MassUnit.KG));
    }

    /** Whatever the law and the luck: nothing goes up after a miss but in stages, and only a second miss takes load off. */
    @Property
    void noLawPunishesOneMissOrRewardsIt(
            @ForAll @IntRange(min = 0, max = 5) int which, @ForAll @IntRange(min = 0, max = 4) int reps) {
        String[] laws = {
            "3x5 last +2.5kg",
            "3x5+ last +2.5kg",
            "1x5 last +2.5kg",
            "3x5-8 last +2.5kg",
            "3x(5x1 20s) last +2.5kg",
            "5x5 in 10min gap 30 last +2.5kg"
        };
        Part part = part(laws[which]);
        int[] made = new int[part.sets()];
        Arrays.fill(made, 5);
        made[made.length - 1] = reps;
        Step step = Law.of(part).after(Run.start(part.work(), Mass.ofKg(100)), lifted("100", made), STEP);
        assertThat(step.run().load()).isEqualTo(Mass.ofKg(100));
    }
}
