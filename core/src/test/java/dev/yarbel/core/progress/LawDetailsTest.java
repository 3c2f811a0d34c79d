package dev.yarbel.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.progress.Result.Done;
import dev.yarbel.core.progress.Step.Answer;
import dev.yarbel.core.progress.Step.Kind;
import dev.yarbel.core.progress.Step.Reason;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the laws say beside the next load: why, how often, and what is expected; and the ends of what they take. */
class LawDetailsTest {

    private static final Mass STEP = Mass.of("2.5", MassUnit.KG);
    private static final Mass HUNDRED = Mass.ofKg(100);

    private static Part part(String dose) {
        return Dose.parse(dose).first();
    }

    private static Run run(String dose) {
        return Run.start(part(dose).work(), HUNDRED);
    }

    private static Done done(Mass load, int reps) {
        return new Done(load, reps, 0, false);
    }

    private static Result made(int... reps) {
        return new Result(
                Arrays.stream(reps).mapToObj(made -> done(HUNDRED, made)).toList());
    }

    /** Work without a law of its own goes on from its last load. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "3x30s last +2.5kg",
                "20 reps last +2.5kg",
                "3x20m last +2.5kg",
                "max in 60s 80% event",
                "prep 10min",
                "5 rounds",
                "5x @8 until @9"
            })
    void otherWorkGoesOnFromItsLastLoad(String dose) {
        assertThat(Law.of(part(dose))).isEqualTo(LastAndStep.LAW);
    }

    @Test
    void aMissBeforeItIsCountedInTheReason() {
        Run missed = SteadyAdd.LAW.after(run("3x5 100kg"), made(5, 5, 4), STEP).run();
        Step again = SteadyAdd.LAW.after(missed, made(5, 5, 4), STEP);
        assertThat(again.answer()).isEqualTo(Answer.RESET);
        assertThat(again.reasons()).containsExactly(new Reason(Kind.MISSED_AGAIN, 2, 0), new Reason(Kind.MISSED, 2, 3));
    }

    @Test
    void setsAtALighterLoadAreNotTheOnesAskedFor() {
        Mass lighter = Mass.of("98.9", MassUnit.KG);
        Result result = new Result(List.of(done(lighter, 5), done(lighter, 5), done(lighter, 5)));
        Step step = SteadyAdd.LAW.after(run("3x5 100kg"), result, STEP);
        assertThat(step.answer()).isEqualTo(Answer.REPEAT);
        assertThat(step.reasons()).containsExactly(Reason.of(Kind.LIGHTER));
        assertThat(step.run().load()).isEqualTo(HUNDRED);
        // a load within one per cent counts as the one asked for
        Mass near = Mass.ofKg(99);
        Result close = new Result(List.of(done(near, 5), done(near, 5), done(near, 5)));
        assertThat(SteadyAdd.LAW.after(run("3x5 100kg"), close, STEP).answer()).isEqualTo(Answer.ADD);
    }

    @Test
    void stagesHoldWhatIsExcusedRepeatOnceAndDropASetWithAStepOn() {
        Run fresh = run("3x8 100kg");
        Result excused = new Result(List.of(done(HUNDRED, 8), done(HUNDRED, 8), new Done(HUNDRED, 4, 0, true)));
        Step held = SetDropStages.LAW.after(fresh, excused, STEP);
        assertThat(held.answer()).isEqualTo(Answer.HOLD);
        assertThat(held.run()).isEqualTo(fresh);
        assertThat(held.reasons()).containsExactly(Reason.of(Kind.EXCUSED));

        // sets left out on the first day of a stage count as missed, and are asked for once more
        Step cut = SetDropStages.LAW.after(fresh, made(8, 8), STEP);
        assertThat(cut.answer()).isEqualTo(Answer.REPEAT);
        assertThat(cut.reasons()).containsExactly(new Reason(Kind.MISSED, 2, 3));
        Run gone = SetDropStages.LAW.after(fresh, made(8, 8, 8), STEP).run().with(fresh.work(), HUNDRED);
        assertThat(SetDropStages.LAW.after(gone, made(8, 8), STEP).answer()).isEqualTo(Answer.DROP_SET);

        // the last set alone missed: fewer sets, and a step on all the same
        Step dropped = SetDropStages.LAW.after(gone, made(8, 8, 7), STEP);
        assertThat(dropped.answer()).isEqualTo(Answer.DROP_SET);
        assertThat(dropped.run().work().sets()).isEqualTo(2);
        assertThat(dropped.run().load()).isEqualTo(HUNDRED.plus(STEP));
        // one before it missed: the day is repeated
        assertThat(SetDropStages.LAW.after(gone, made(8, 7, 8), STEP).answer()).isEqualTo(Answer.REPEAT);
    }

    @Test
    void stagesEndAtAWallThatSaysHowOften() {
        Run last = Run.start(part("1x3 100kg").work(), HUNDRED);
        Run repeated = SetDropStages.LAW.after(last, made(2), STEP).run();
        Step wall = SetDropStages.LAW.after(repeated, made(2), STEP);
        assertThat(wall.answer()).isEqualTo(Answer.WALL);
        assertThat(wall.reasons()).startsWith(new Reason(Kind.MISSED_AGAIN, 2, 0));
    }

    @Test
    void aRangeIsExpectedARepetitionFurtherAndStaysBelowItsEndForADoseBeyond() {
        Run run = run("3x8-12 100kg");
        assertThat(RangeThenLoad.LAW.expected(run, false).sets()).allMatch(set -> set.reps() == 8);
        Step on = RangeThenLoad.LAW.after(run, made(9, 9, 8), STEP);
        assertThat(on.answer()).isEqualTo(Answer.HOLD);
        assertThat(on.reasons()).containsExactly(new Reason(Kind.WITHIN_RANGE, 8, 12));
        assertThat(RangeThenLoad.LAW.expected(on.run(), false).sets()).allMatch(set -> set.reps() == 9);
        Run atTheEnd = run.reached(HUNDRED, 9);
        assertThat(RangeThenLoad.LAW.expected(atTheEnd, false).sets()).allMatch(set -> set.reps() == 12);
        assertThat(RangeThenLoad.LAW.expected(atTheEnd, true).sets()).allMatch(set -> set.reps() == 11);
        // sets that were left out say nothing of the range
        Step cut = RangeThenLoad.LAW.after(run, made(10, 10), STEP);
        assertThat(cut.reasons()).containsExactly(new Reason(Kind.SETS_CUT, 2, 3));
        assertThat(RangeThenLoad.LAW.after(run, made(8, 8, 7), STEP).answer()).isEqualTo(Answer.REPEAT);
    }

    @Test
    void aClimbEndsAStepAboveItsBestAndIsRepeatedWhereNoneCounted() {
        Run climb = run("climb 3 to @8");
        Result best = new Result(List.of(done(HUNDRED, 3), done(Mass.ofKg(110), 3), done(Mass.ofKg(120), 2)));
        Step on = ClimbingSets.LAW.after(climb, best, STEP);
        assertThat(on.answer()).isEqualTo(Answer.ADD);
        assertThat(on.run().load()).isEqualTo(Mass.of("112.5", MassUnit.KG));
        assertThat(ClimbingSets.LAW.after(climb, best, Mass.ZERO).answer()).isEqualTo(Answer.HOLD);
        Step none = ClimbingSets.LAW.after(climb, made(2), STEP);
        assertThat(none.answer()).isEqualTo(Answer.REPEAT);
        assertThat(none.reasons()).containsExactly(new Reason(Kind.MISSED, 0, 1));
        assertThat(ClimbingSets.LAW.expected(climb, false).sets())
                .isNotEmpty()
                .allMatch(set -> set.reps() == 3 && set.load().equals(HUNDRED));
    }

    @ParameterizedTest
    @CsvSource({
        "ADD,false,true",
        "HOLD,false,false",
        "ADD_DOUBLE,true,true",
        "REPEAT,true,false",
        "RESET,true,false",
        "DROP_SET,true,true",
        "WALL,true,false"
    })
    void whatIsAsWrittenIsNotNotedAndWhatMovesOnIsEarned(Answer answer, boolean noted, boolean earned) {
        Step step = Step.of(answer, HUNDRED, run("3x5 100kg"));
        assertThat(step.isNoted()).isEqualTo(noted);
        assertThat(step.isEarned()).isEqualTo(earned);
    }

    /** Into the last two weeks of a block at most 2.5 points each, before that 10: whatever of it follows. */
    @ParameterizedTest
    @CsvSource({"2,0,2.5", "3,0,5", "4,0,15", "3,1,12.5", "2,1,2.5", "2,2,10", "3,2,20", "1,0,0"})
    void howFarWeeksLeadHangsOnWhatFollowsThem(int weeks, int after, String points) {
        assertThat(ShrinkingSteps.longest(weeks, after)).isEqualTo(Percent.of(points));
        Percent from = Percent.of(60);
        Percent farthest = from.plus(Percent.of(points));
        List<Percent> shares =
                ShrinkingSteps.between(from, farthest, weeks, after).orElseThrow();
        assertThat(shares).hasSize(weeks).endsWith(farthest);
        assertThat(ShrinkingSteps.between(from, farthest.plus(Percent.of("0.5")), weeks, after)
                        .isPresent())
                .isEqualTo(weeks == 1);
    }

    /** Fifteen points in five steps, the last two at most 2.5: the rest goes to the earliest with room. */
    @Test
    void whatDoesNotDivideGoesToTheEarliestStepWithRoom() {
        assertThat(ShrinkingSteps.between(Percent.of(70), Percent.of(85), 6).orElseThrow())
                .extracting(share -> share.figure().stripTrailingZeros().toPlainString())
                .first()
                .isEqualTo("70");
        for (int halves = 1; halves <= 30; halves++) {
            Percent to = Percent.of(60).plus(Percent.of(halves).times(Percent.of(50)));
            List<Percent> shares = ShrinkingSteps.between(Percent.of(60), to, 6).orElseThrow();
            for (int week = 2; week < shares.size(); week++) {
                assertThat(shares.get(week).minus(shares.get(week - 1)))
                        .isLessThanOrEqualTo(shares.get(week - 1).minus(shares.get(week - 2)));
            }
        }
    }
}
