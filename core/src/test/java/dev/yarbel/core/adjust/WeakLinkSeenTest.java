package dev.yarbel.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.CoachSeen.WeakLink;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Assistance for a weak link that the coach noted more than once (common practice, no source). */
class WeakLinkSeenTest {

    private static final CallRule RULE = new WeakLinkSeen();

    private static CallScene pulls(String... marks) {
        CallScene scene = new CallScene(Lift.DEADLIFT);
        int daysAgo = 7 * marks.length;
        for (String mark : marks) {
            scene.lifted(daysAgo, "1 @8", "200x1 8" + (mark.isEmpty() ? "" : " link:" + mark));
            daysAgo -= 7;
        }
        return scene.ahead("1 @8", "1 @8", "1 @8", "1 @8", "1 @8", "1 @8", "1 @8");
    }

    @ParameterizedTest
    @CsvSource({
        "'', SLOW_OFF_THE_FLOOR, false",
        "SLOW_OFF_THE_FLOOR, SLOW_OFF_THE_FLOOR, true",
        "GRIP_GOES, SLOW_OFF_THE_FLOOR, false"
    })
    void theSameLinkTwiceIsWhatSpeaks(String first, String second, boolean found) {
        assertThat(pulls(first, second).look(RULE)).hasSize(found ? 1 : 0);
    }

    @Test
    void itProposesTheUsualAnswerForFourWeeksAtMost() {
        AddAssistance add = (AddAssistance) pulls("SLOW_OFF_THE_FLOOR", "SLOW_OFF_THE_FLOOR")
                .look(RULE)
                .get(0)
                .proposal();
        assertThat(add.other()).isEqualTo(new Lift("deficit-deadlift"));
        assertThat(add.weeks()).hasSize(4);
        assertThat(add.raises()).isTrue();
        assertThat(add.with(new Lift("paused-squat")).orElseThrow().other()).isEqualTo(new Lift("paused-squat"));
        assertThat(add.with(Lift.BENCH_PRESS)).isEmpty();
    }

    @Test
    void nothingThatLoadsWhatAchesAndNoMoreWhileItHurts() {
        CallScene scene = pulls("STALLS_AT_KNEE_OR_LOCKOUT", "STALLS_AT_KNEE_OR_LOCKOUT")
                .aching(new Ache(Tissue.HAND, "", CallScene.TODAY.minusDays(60), Set.of()));
        AddAssistance add = (AddAssistance) scene.look(RULE).get(0).proposal();
        assertThat(add.options()).isNotEmpty().allSatisfy(lift -> assertThat(
                        Catalogue.STANDARD.loads(lift, Tissue.HAND))
                .isFalse());
        assertThat(scene.found()).doesNotContain("weak-link");
        // each of them loads the low back
        assertThat(pulls("SLOW_OFF_THE_FLOOR", "SLOW_OFF_THE_FLOOR")
                        .aching(new Ache(Tissue.LOW_BACK, "", CallScene.TODAY.minusDays(60), Set.of()))
                        .look(RULE)
                        .get(0)
                        .proposal())
                .isInstanceOf(Hold.class);
    }

    @ParameterizedTest
    @EnumSource(WeakLink.class)
    void everyLinkHasLiftsThatAreKnownOrIsToldOnly(WeakLink link) {
        List<Finding> found = pulls(link.name(), link.name()).look(RULE);
        assertThat(found).hasSize(1);
        if (found.get(0).proposal() instanceof AddAssistance add) {
            assertThat(Catalogue.STANDARD.all())
                    .extracting(variation -> variation.lift())
                    .containsAll(add.options());
        } else {
            assertThat(link).isEqualTo(WeakLink.SLOWS_LATE);
        }
    }

    // ---- where it costs least

    private static Slot slot(int number, Lift lift, String dose) {
        return new Slot("A", lift, Collections.nCopies(4, Optional.of(Dose.parse(dose)))).as(new SlotId(number));
    }

    /** Days on weekdays from 0, each with one slot. */
    private static PlanAhead week(Map<Integer, Slot> days) {
        List<TrainingDay> training = days.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(day -> new TrainingDay("Day " + day.getKey(), day.getKey(), List.of(day.getValue()))
                        .as(new dev.yarbel.core.block.DayId(day.getKey() + 1)))
                .toList();
        Block block = new Block(CallScene.TODAY, 4, training);
        Resolver resolver = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of()));
        return new PlanAhead(
                block,
                resolver,
                Projection.Log.NONE,
                Lifted.NOTHING,
                Projection.of(block, resolver, Projection.Log.NONE),
                CallScene.TODAY);
    }

    private static int day(PlanAhead plan) {
        AddAssistance add = AddAssistance.of(plan, Lift.DEADLIFT, WeakLink.SLOW_OFF_THE_FLOOR, List.of())
                .orElseThrow();
        return (int) add.day().number() - 1;
    }

    @Test
    void theDayIsTheShortestButNotTheOneBeforeTheLift() {
        assertThat(day(week(Map.of(
                        0, slot(1, Lift.SQUAT, "6x5 @7"),
                        2, slot(2, Lift.BENCH_PRESS, "3x5 @7"),
                        4, slot(3, Lift.DEADLIFT, "6x5 @7")))))
                .isEqualTo(2);
        assertThat(day(week(Map.of(
                        0, slot(1, Lift.SQUAT, "5x5 @7"),
                        3, slot(2, Lift.BENCH_PRESS, "3x5 @7"),
                        4, slot(3, Lift.DEADLIFT, "6x5 @7")))))
                .isZero();
        // where no other day is left it does
        assertThat(day(week(Map.of(3, slot(2, Lift.BENCH_PRESS, "3x5 @7"))))).isEqualTo(3);
    }

    @Test
    void whatIsProposedIsWhatThePlanThenShows() {
        PlanAhead plan = week(Map.of(
                0, slot(1, Lift.SQUAT, "6x5 @7"),
                2, slot(2, Lift.BENCH_PRESS, "3x5 @7"),
                4, slot(3, Lift.DEADLIFT, "6x5 @7")));
        AddAssistance add = AddAssistance.of(plan, Lift.DEADLIFT, WeakLink.SLOW_OFF_THE_FLOOR, List.of())
                .orElseThrow();
        assertThat(add.changes(plan)).hasSize(4).allSatisfy(change -> {
            assertThat(change.before()).isEmpty();
            assertThat(change.after().orElseThrow().lift()).isEqualTo(new Lift("deficit-deadlift"));
        });
        Block then = add.edit(plan, plan.block(), () -> new SlotId(99))
                .apply(plan.block(), plan.lifted())
                .block();
        assertThat(then.days().get(1).slots()).hasSize(2);
        PlanAhead planned = new PlanAhead(
                then,
                plan.resolver(),
                plan.log(),
                plan.lifted(),
                Projection.of(then, plan.resolver(), plan.log()),
                plan.today());
        assertThat(AddAssistance.isPlanned(planned, WeakLink.SLOW_OFF_THE_FLOOR))
                .isTrue();
        assertThat(add.size()).isEqualTo(Percent.of(4));
    }
}
