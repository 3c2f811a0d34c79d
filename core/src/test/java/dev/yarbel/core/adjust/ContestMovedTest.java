package dev.yarbel.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.adjust.ContestSeen.Became;
import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.shape.AnotherDay;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ContestMovedTest {

    /** The lifter squats on Mondays; four weeks are planned, and the contest is on the Saturday of the fourth. */
    private static final LocalDate CONTEST = CallScene.TODAY.plusDays(26);

    private static PlanAhead plan(LocalDate contest) {
        PlanAhead plan = CallScene.squat()
                .ahead("3x3 80%", "3x3 84%", "3x2 88%", "2x1 90%")
                .plan();
        Block block = plan.block().toward(Optional.ofNullable(contest));
        return new PlanAhead(
                block,
                plan.resolver(),
                plan.log(),
                Lifted.NOTHING,
                Projection.of(block, plan.resolver(), plan.log()),
                plan.today());
    }

    private static ContestSeen seen(LocalDate was, LocalDate on) {
        return new ContestSeen("Harbour", Optional.ofNullable(was), Optional.ofNullable(on), false, Optional.empty());
    }

    private static List<Finding> look(ContestSeen seen, LocalDate leadsTo) {
        return new Calls(Calls.RULES).look(Subject.of(seen, plan(leadsTo), List.of()), Tuning.USUAL);
    }

    private static Replan proposed(ContestSeen seen, LocalDate leadsTo) {
        List<Finding> found = look(seen, leadsTo);
        assertThat(found).extracting(Finding::rule).containsExactly("contest-moved");
        return (Replan) found.get(0).proposal();
    }

    @Test
    void laterIsHeldEarlierIsCutWithoutADayIsParked() {
        PlanAhead plan = plan(CONTEST);
        Replan later = proposed(seen(CONTEST, CONTEST.plusWeeks(2)), CONTEST);
        assertThat(later.way()).isEqualTo(AnotherDay.Way.AT_ONCE);
        assertThat(later.day()).contains(CONTEST.plusWeeks(2));
        assertThat(later.then().weeks()).isEqualTo(6);
        assertThat(later.changes(plan)).isNotEmpty();

        Replan earlier = proposed(seen(CONTEST, CONTEST.minusWeeks(1)), CONTEST);
        assertThat(earlier.then().weeks()).isEqualTo(3);

        Replan parked = proposed(seen(CONTEST, null), CONTEST);
        assertThat(parked.way()).isEqualTo(AnotherDay.Way.PARKED);
        assertThat(parked.then().shape()).allMatch(week -> week.phase() == Phase.HOLD);
        assertThat(parked.then().contest()).isEmpty();
    }

    @Test
    void aDayAfterNoneIsShapedForAndACancelledOneLeadsToTheNext() {
        Replan set = proposed(seen(null, CONTEST), null);
        assertThat(set.then().contest()).contains(CONTEST);
        ContestSeen.Other next = new ContestSeen.Other("Lagoon", CONTEST.plusWeeks(5));
        Replan on = proposed(
                new ContestSeen("Harbour", Optional.of(CONTEST), Optional.of(CONTEST), true, Optional.of(next)),
                CONTEST);
        assertThat(on.day()).contains(next.on());
        Replan none = proposed(
                new ContestSeen("Harbour", Optional.of(CONTEST), Optional.of(CONTEST), true, Optional.empty()),
                CONTEST);
        assertThat(none.day()).isEmpty();
    }

    /** Nothing is found where the day is the old one, where the plan leads elsewhere by now, or the new day is over. */
    @Test
    void whatIsSettledIsNoCall() {
        assertThat(look(seen(CONTEST, CONTEST), CONTEST)).isEmpty();
        assertThat(look(seen(CONTEST, CONTEST.plusWeeks(2)), CONTEST.plusWeeks(2)))
                .isEmpty();
        assertThat(look(seen(CONTEST, CONTEST.plusWeeks(2)), null)).isEmpty();
        assertThat(look(seen(null, null), null)).isEmpty();
        assertThat(look(seen(CONTEST, CallScene.TODAY), CONTEST)).isEmpty();
        assertThat(look(seen(CONTEST, CallScene.TODAY.plusDays(1)), CONTEST)).hasSize(1);
    }

    /** Striking a contest that is over, or taking its day away, asks nothing of a plan; that it is to be held after all does. */
    @Test
    void aContestThatIsOverIsNoCall() {
        LocalDate over = CallScene.TODAY.minusDays(1);
        assertThat(look(seen(over, null), over)).isEmpty();
        ContestSeen struck = new ContestSeen("Harbour", Optional.of(over), Optional.of(over), true, Optional.empty());
        assertThat(look(struck, over)).isEmpty();
        assertThat(look(seen(over, CallScene.TODAY.plusDays(20)), over)).hasSize(1);
        assertThat(look(seen(CallScene.TODAY, null), CallScene.TODAY)).hasSize(1);
    }

    /** Heavy singles are not put into the plan of somebody whom something hurts: the coach decides. */
    @Test
    void whoeverHurtsIsNotPeakedByItself() {
        Ache ache = new Ache(Tissue.SHOULDER, "", CallScene.TODAY, Optional.empty(), Set.of());
        List<Finding> found =
                new Calls(Calls.RULES).look(Subject.of(seen(null, CONTEST), plan(null), List.of(ache)), Tuning.USUAL);
        assertThat(((Replan) found.get(0).proposal()).way()).isEqualTo(AnotherDay.Way.DAY_ONLY);
        assertThat(proposed(seen(null, CONTEST), null).way()).isNotEqualTo(AnotherDay.Way.DAY_ONLY);
    }

    /** A day further off than a block can reach is noted, and the weeks are left to the coach. */
    @Test
    void tooFarOffOnlyTheDayIsNoted() {
        assertThat(proposed(seen(CONTEST, CONTEST.plusWeeks(70)), CONTEST).way())
                .isEqualTo(AnotherDay.Way.DAY_ONLY);
    }

    @Test
    void bothPlansStandSideBySideWeekByWeek() {
        PlanAhead plan = plan(CONTEST);
        List<WeekBeside> weeks =
                proposed(seen(CONTEST, CONTEST.plusWeeks(2)), CONTEST).weeks(plan);
        assertThat(weeks).hasSize(6);
        assertThat(weeks.get(3).before().orElseThrow().contest()).contains(CONTEST);
        assertThat(weeks.get(5).before()).isEmpty();
        assertThat(weeks.get(5).after().orElseThrow().contest()).contains(CONTEST.plusWeeks(2));
        assertThat(weeks.get(0).before().orElseThrow().sets()).isEqualTo(3);
        assertThat(weeks.get(0).before().orElseThrow().heaviest().orElseThrow().format(0))
                .isEqualTo("80");
    }

    /** The loads of weeks that are new or go have no other side. */
    @Test
    void changesReachBeyondTheEndOfTheBlock() {
        PlanAhead plan = plan(CONTEST);
        assertThat(proposed(seen(CONTEST, CONTEST.plusWeeks(2)), CONTEST).changes(plan))
                .filteredOn(change -> change.week() > 3)
                .isNotEmpty()
                .allSatisfy(change -> assertThat(change.before()).isEmpty());
        assertThat(proposed(seen(CONTEST, CONTEST.minusWeeks(1)), CONTEST).changes(plan))
                .filteredOn(change -> change.week() == 3)
                .isNotEmpty()
                .allSatisfy(change -> assertThat(change.after()).isEmpty());
    }

    @Test
    void whatBecameOfTheDay() {
        assertThat(seen(CONTEST, CONTEST.plusDays(1)).became()).isEqualTo(Became.LATER);
        assertThat(seen(CONTEST, CONTEST.minusDays(1)).became()).isEqualTo(Became.EARLIER);
        assertThat(seen(CONTEST, null).became()).isEqualTo(Became.NO_DAY);
        assertThat(seen(null, CONTEST).became()).isEqualTo(Became.SET);
        assertThat(new ContestSeen("", Optional.of(CONTEST), Optional.of(CONTEST), true, Optional.empty()).became())
                .isEqualTo(Became.CANCELLED);
    }

    /** No rule of a lift speaks where a contest is looked at, and the other way about. */
    @Test
    void nothingElseLooksAtAContest() {
        assertThat(CallScene.squat()
                        .lifted(7, "3x3 80%", "160x3 7")
                        .ahead("3x3 80%", "3x3 82%")
                        .found())
                .doesNotContain("contest-moved");
    }
}
