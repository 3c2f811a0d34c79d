package dev.yarbel.core.adjust;

import static dev.yarbel.core.adjust.CallScene.TODAY;
import static dev.yarbel.core.adjust.CallScene.squat;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Edited;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.recovery.FatigueSignal;
import dev.yarbel.core.recovery.FatigueSignal.Kind;
import dev.yarbel.core.recovery.Readiness;
import dev.yarbel.core.recovery.Readiness.Advice;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.shape.Deload;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Three sources of fatigue make a call; common practice, no source. */
class DeloadSuggestedTest {

    private static Readiness speaking(Advice advice, Kind... kinds) {
        return new Readiness(
                Arrays.stream(kinds).map(kind -> new FatigueSignal(kind, 2, 1)).toList(), advice, Optional.empty());
    }

    private static final CallRule RULE = new DeloadSuggested();

    private static CallScene scene() {
        return squat().lifted(7, "1 @8", "180x1 8").ahead("1 @8", "3x5 75%", "3x5 80%");
    }

    private static List<Finding> look(Readiness readiness, String threshold) {
        Subject one = scene().subject();
        Subject whole = new Subject(Subject.WHOLE, one.known(), one.plan(), one.sessions(), List.of()).with(readiness);
        return RULE.look(whole, new BigDecimal(threshold));
    }

    @Test
    void threeSourcesSpeakAndTwoDoNot() {
        assertThat(look(speaking(Advice.IN_WEEKS, Kind.MISSES, Kind.DUE), "3")).isEmpty();
        // two of one source are one
        assertThat(look(speaking(Advice.IN_WEEKS, Kind.STAGNATION, Kind.RATED_HARDER, Kind.DUE), "3"))
                .isEmpty();
        Readiness three = speaking(Advice.NOW, Kind.MISSES, Kind.DUE, Kind.STAGNATION);
        assertThat(look(three, "3")).singleElement().satisfies(finding -> {
            assertThat(finding.evidence()).isEqualTo(new Evidence.Tired(three));
            assertThat(finding.proposal()).isEqualTo(new DeloadWeek(1, Deload.HALF_SETS, true, Optional.empty(), 3));
        });
        assertThat(look(three, "4")).isEmpty();
    }

    @Test
    void whatIsMeantIsNoAlarm() {
        Kind[] kinds = {Kind.MISSES, Kind.DUE, Kind.STAGNATION};
        assertThat(look(speaking(Advice.PLANNED, kinds), "3")).isEmpty();
        assertThat(look(speaking(Advice.REACHING, kinds), "3")).isEmpty();
    }

    @Test
    void theStyleFitsWhatSpeaks() {
        List<Finding> sore = look(speaking(Advice.NOW, Kind.BODY, Kind.MIND, Kind.DUE), "3");
        assertThat(((DeloadWeek) sore.get(0).proposal()).style()).isEqualTo(Deload.HALF_LOAD);
    }

    @Test
    void onlyTheWholeIsLookedAtByItAndNothingElseLooksAtTheWhole() {
        Subject one = scene().subject();
        Readiness tired = speaking(Advice.NOW, Kind.BODY, Kind.MIND, Kind.DUE);
        assertThat(new Calls(Calls.RULES).look(one.with(tired), Tuning.USUAL))
                .extracting(Finding::rule)
                .doesNotContain("deload-suggested");
        Subject whole = new Subject(Subject.WHOLE, one.known(), one.plan(), one.sessions(), List.of()).with(tired);
        assertThat(new Calls(Calls.RULES).look(whole, Tuning.USUAL))
                .extracting(Finding::rule)
                .containsExactly("deload-suggested");
    }

    private static String dose(Block block, int week) {
        return block.slots()
                .findFirst()
                .orElseThrow()
                .dose(week)
                .map(Dose::shorthand)
                .orElse("");
    }

    @Test
    void aWeekIsPutInAndEverythingComesAWeekLater() {
        PlanAhead plan = scene().plan();
        DeloadWeek deload = DeloadWeek.of(plan, Deload.HALF_SETS, 3).orElseThrow();
        Edited edited = deload.edit(plan, plan.block(), () -> SlotId.NEW).apply(plan.block(), Lifted.NOTHING);
        assertThat(edited.block().weeks()).isEqualTo(4);
        assertThat(edited.block().shape().get(1).deload()).isTrue();
        assertThat(dose(edited.block(), 1)).isEqualTo("2x5 65%");
        assertThat(dose(edited.block(), 2)).isEqualTo("3x5 75%");
        assertThat(edited.back().apply(edited.block(), Lifted.NOTHING).block()).isEqualTo(plan.block());
        // what is shown is what the plan then shows
        List<LoadChange> shown = deload.changes(plan);
        assertThat(shown).singleElement().satisfies(change -> {
            assertThat(change.date()).isEqualTo(TODAY);
            assertThat(change.after().orElseThrow().load())
                    .isEqualTo(Projection.of(edited.block(), plan.resolver(), plan.log())
                            .loads(0, 1)
                            .get(0)
                            .load());
        });
        assertThat(deload.size()).isEqualTo(Percent.of(3));
    }

    /** Signs in week two of a block whose deload stands in week four: it comes now, and no second one is put in. */
    @Test
    void aDeloadThatIsPlannedSoonComesNow() {
        PlanAhead open = scene().plan();
        List<BlockWeek> shape = new ArrayList<>(open.block().shape());
        shape.set(2, shape.get(2).asDeload());
        Block planned = open.block().with(open.block().days(), shape);
        PlanAhead plan = new PlanAhead(
                planned,
                open.resolver(),
                open.log(),
                open.lifted(),
                Projection.of(planned, open.resolver(), open.log()),
                TODAY);
        DeloadWeek deload = DeloadWeek.soonest(plan, Deload.HALF_SETS, 3).orElseThrow();
        assertThat(deload.movedFrom()).contains(2);
        Edited edited = deload.edit(plan, planned, () -> SlotId.NEW).apply(planned, Lifted.NOTHING);
        assertThat(edited.block().weeks()).isEqualTo(3);
        assertThat(edited.block().shape().get(1).deload()).isTrue();
        assertThat(edited.block().shape().get(2).deload()).isFalse();
        assertThat(dose(edited.block(), 1)).isEqualTo(dose(planned, 2));
        assertThat(dose(edited.block(), 2)).isEqualTo(dose(planned, 1));
        assertThat(edited.back().apply(edited.block(), Lifted.NOTHING).block()).isEqualTo(planned);
        // where none is planned soon one is put in
        assertThat(DeloadWeek.soonest(open, Deload.HALF_SETS, 3).orElseThrow().inserted())
                .isTrue();
    }

    @Test
    void towardAContestTheWeekThatIsPlannedBecomesEasy() {
        PlanAhead open = scene().plan();
        Block toward = open.block().toward(Optional.of(TODAY.plusWeeks(1)));
        PlanAhead plan = new PlanAhead(
                toward,
                open.resolver(),
                open.log(),
                open.lifted(),
                Projection.of(toward, open.resolver(), open.log()),
                TODAY);
        DeloadWeek deload = DeloadWeek.of(plan, Deload.OFF, 3).orElseThrow();
        Block after = deload.edit(plan, toward, () -> SlotId.NEW)
                .apply(toward, Lifted.NOTHING)
                .block();
        assertThat(after.weeks()).isEqualTo(3);
        assertThat(dose(after, 1)).isEmpty();
        assertThat(after.shape().get(1).deload()).isTrue();
        assertThat(dose(after, 2)).isEqualTo("3x5 80%");
    }

    @Test
    void aBlockThatIsOverOrEasyAnywayGetsNone() {
        assertThat(DeloadWeek.of(
                        new CallScene(Lift.SQUAT)
                                .lifted(7, "1 @8", "180x1 8")
                                .ahead("1 @8")
                                .plan(),
                        Deload.OFF,
                        3))
                .isEmpty();
    }
}
