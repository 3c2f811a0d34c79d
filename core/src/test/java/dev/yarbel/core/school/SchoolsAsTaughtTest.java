package dev.yarbel.core.school;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.session.PredictedEffort;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What the schools are known for; all figures common practice, no source. */
class SchoolsAsTaughtTest {

    private static final AccommodatingResistance CHAINS =
            new AccommodatingResistance(AccommodatingResistance.Kind.CHAINS, Mass.ZERO, Mass.ofKg(20), MassUnit.KG);

    private static List<Dose> doses(Block block, String lift, String reason) {
        return block.days().stream()
                .flatMap(day -> day.slots().stream())
                .filter(slot -> slot.lift().key().equals(lift)
                        && slot.reason().orElse("").equals(reason))
                .flatMap(slot -> slot.doses().stream())
                .flatMap(Optional::stream)
                .toList();
    }

    @Test
    void aGoalCyclesSpeedTriplesLieFrom60To75PercentWithRestsThatLengthen() {
        Block block = Drawings.draw(
                Drawings.request(Drawings.all(School.GOAL_CYCLE, Lift.BENCH_PRESS), 10, List.of(0, 3), 0));
        List<Part> speed =
                doses(block, "bench-press", "SPEED").stream().map(Dose::first).toList();
        assertThat(speed).isNotEmpty().allSatisfy(part -> {
            assertThat(part.reps()).isEqualTo(3);
            assertThat(part.is(SetModifier.SPEED)).isTrue();
            assertThat(part.percent().orElseThrow()).isBetween(Percent.of(60), Percent.of(75));
        });
        List<Duration> rests =
                speed.stream().map(part -> part.rest().orElseThrow()).toList();
        assertThat(rests).isSorted();
        assertThat(rests.get(0)).isEqualTo(Duration.ofSeconds(90));
        assertThat(rests.get(rests.size() - 1)).isGreaterThanOrEqualTo(Duration.ofSeconds(120));
    }

    @Test
    void aGoalCyclesAssistanceSwingsFromFourInACircuitToNoneAndItEndsInATest() {
        Block block = Drawings.draw(
                Drawings.request(Drawings.all(School.GOAL_CYCLE, Lift.BENCH_PRESS), 10, List.of(0, 3), 0));
        TrainingDay day = block.days().get(0);
        assertThat(circuit(block, 0))
                .hasSize(4)
                .extracting(PrescribedSets::group)
                .containsOnly("C");
        assertThat(circuit(block, 6))
                .hasSizeBetween(1, 3)
                .extracting(PrescribedSets::group)
                .doesNotHaveDuplicates();
        assertThat(circuit(block, 9)).isEmpty();
        assertThat(day.slots().stream().filter(slot -> slot.doses().get(9).isPresent()))
                .extracting(slot -> slot.doses().get(9).orElseThrow().shorthand())
                .containsExactly("1x1 100% goal");
    }

    private static List<PrescribedSets> circuit(Block block, int week) {
        return PrescribedSets.of(block, 0, week).stream()
                .filter(asked -> asked.letter().startsWith("C"))
                .toList();
    }

    @Test
    void threeHeightsBeginAt105PercentOfTheFullPullWithAMaxOfTheirOwnAboveTheKnee() {
        Block block = Drawings.draw(
                Drawings.request(Drawings.all(School.SPECIALISATION, Lift.DEADLIFT), 6, List.of(0, 3), 0));
        List<Dose> top = doses(block, "above-knee-pull", "THREE_HEIGHTS");
        assertThat(top.get(0).shorthand()).startsWith("3x3 105% of deadlift");
        assertThat(top.stream()
                        .map(dose -> dose.first().percent().orElseThrow())
                        .toList())
                .isSorted();
        assertThat(Catalogue.STANDARD
                        .of(new Lift("above-knee-pull"))
                        .parent()
                        .orElseThrow()
                        .share())
                .isBetween(Percent.of(115), Percent.of(125));
    }

    private static Block maxEffort(Means means, Optional<LocalDate> contest) {
        return Drawings.draw(
                Drawings.request(Drawings.all(School.MAX_EFFORT_SPEED, Lift.BENCH_PRESS), 8, List.of(0, 3), 0)
                        .with(means)
                        .toward(contest));
    }

    private static List<String> turns(Block block) {
        List<String> turns = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            for (Slot slot : block.days().get(0).slots()) {
                Optional<Dose> dose = slot.doses().get(week);
                if (dose.isPresent() && slot.reason().orElse("").equals("MAX_EFFORT")) {
                    turns.add(slot.lift().key()
                            + dose.get().first().changing().map(c -> " chains").orElse(""));
                }
            }
        }
        return turns;
    }

    /** The set-up whose turn is longest ago comes first; those that never had one before all. */
    @Test
    void maxEffortTakesTurnsAmongTheGymsSetUpsByWhoseTurnIsLongestAgo() {
        Means means = new Means(
                Catalogue.STANDARD,
                lift -> !lift.key().equals("incline-press"),
                lift -> List.of(CHAINS),
                setUp -> setUp.changing().isPresent()
                        ? Optional.of(Drawings.START.minusDays(70))
                        : setUp.lift().key().startsWith("close")
                                ? Optional.of(Drawings.START.minusDays(7))
                                : Optional.of(Drawings.START.minusDays(35)));
        List<String> turns = turns(maxEffort(means, Optional.empty()));
        assertThat(turns.get(0)).isEqualTo("bench-press chains");
        assertThat(turns).doesNotContain("incline-press", "close-grip-bench-press");
        assertThat(turns.subList(0, 4)).doesNotHaveDuplicates();
        assertThat(turns.get(turns.size() - 1)).isEqualTo("bench-press");
    }

    /** The limit set stands at 80 % of the day's best; a pull is never worked to the limit. */
    @Test
    void theLimitSetStandsAt80PercentOfTheDaysBest() {
        Block press = maxEffort(Means.ALL, Optional.empty());
        assertThat(doses(press, "bench-press", "MAX_EFFORT"))
                .extracting(Dose::shorthand)
                .containsOnly("climb 1 to @9 then max 80% top then 3x3 80% top");
        Block pull = Drawings.draw(
                Drawings.request(Drawings.all(School.MAX_EFFORT_SPEED, Lift.DEADLIFT), 8, List.of(0, 3), 0));
        assertThat(doses(pull, "deadlift", "MAX_EFFORT"))
                .extracting(Dose::shorthand)
                .containsOnly("climb 1 to @9 then 4x3 80% top");
    }

    @Test
    void bothDaysOfMaxEffortAndSpeedCarryAssistance() {
        Block block = maxEffort(Means.ALL, Optional.empty());
        assertThat(block.days()).hasSize(2).allSatisfy(day -> assertThat(day.slots())
                .anyMatch(slot -> slot.reason().orElse("").equals("UPPER_BACK")));
    }

    @Test
    void theStrengthPhaseRates8To9() {
        Block block = Drawings.draw(Drawings.request(Drawings.all(School.PHASES, Lift.SQUAT), 10, List.of(0, 3), 0));
        Projection projection = Projection.of(block, Drawings.resolver(), Projection.Log.NONE);
        for (int week = 5; week < 10; week++) {
            var effort = PredictedEffort.of(
                    projection.prescriptions(0, week).get(0),
                    projection.loads(0, week).get(0).load().orElseThrow(),
                    Drawings.resolver().numbers(Lift.SQUAT));
            assertThat(effort.orElseThrow().toString()).containsPattern("rpe=(7\\.5|8|8\\.5|9)\\]");
        }
    }

    /** Without a contest there is nothing to peak for. */
    @Test
    void phasesPeakOnlyTowardADate() {
        Map<Lift, LiftRequest> squat = Drawings.all(School.PHASES, Lift.SQUAT);
        assertThat(Drawings.draw(Drawings.request(squat, 10, List.of(0, 3), 0)).shape())
                .noneMatch(week -> week.phase() == Phase.PEAK);
        assertThat(Drawings.draw(Drawings.request(squat, 10, List.of(0, 3), 0)
                                .toward(Optional.of(Drawings.START.plusDays(68))))
                        .shape())
                .anyMatch(week -> week.phase() == Phase.PEAK);
    }

    @Test
    void theLastFullRunOfAnEventIsTheWholeAnnouncedLoadTenToFourteenDaysOut() {
        for (int days = 60; days < 67; days++) {
            LocalDate contest = Drawings.START.plusDays(days);
            Block block = Drawings.draw(
                    Drawings.request(Drawings.all(School.EVENTS, new Lift("yoke-walk")), 10, List.of(0, 2, 4), 0)
                            .toward(Optional.of(contest)));
            LocalDate last = null;
            for (int day = 0; day < block.days().size(); day++) {
                for (int week = 0; week < block.weeks(); week++) {
                    Optional<Dose> dose =
                            block.days().get(day).slots().get(0).doses().get(week);
                    boolean full = dose.filter(d -> d.first().basis() instanceof LoadBasis.Share share
                                    && share.percent().equals(Percent.HUNDRED))
                            .isPresent();
                    if (full && (last == null || block.date(day, week).isAfter(last))) {
                        last = block.date(day, week);
                    }
                }
            }
            assertThat(last).isNotNull().isBeforeOrEqualTo(contest.minusDays(10));
            // once a week: no later full run than that lies outside the window
            assertThat(last).isAfter(contest.minusDays(18));
        }
    }
}
