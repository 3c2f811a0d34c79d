package dev.yarbel.core.adjust;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Loader;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class WorkingMaxProposalTest {

    private static Optional<WorkingMaxProposal> proposal(String workingMax, String estimate) {
        return proposal(workingMax, estimate, Caps.USUAL, false, Kits.kg());
    }

    private static Optional<WorkingMaxProposal> proposal(
            String workingMax, String estimate, Caps caps, boolean pain, Loader loader) {
        return WorkingMaxProposal.of(
                Mass.of(workingMax, KG), Mass.of(estimate, KG), Percent.of(95), caps, pain, loader);
    }

    /** Common practice, no source: at most 2.5 % up, whatever the estimate says. */
    @Test
    void aRaiseIsCapped() {
        WorkingMaxProposal proposal = proposal("200", "240").orElseThrow();
        assertThat(proposal.after()).isEqualTo(Mass.ofKg(205));
        assertThat(proposal.target()).isEqualTo(Mass.ofKg(228));
        assertThat(proposal.capped()).isTrue();
        assertThat(proposal.isRaise()).isTrue();
    }

    @Test
    void aNovicesFirstMonthMayRiseTwiceAsFast() {
        assertThat(proposal("100", "120", Caps.FIRST_NOVICE_MONTH, false, Kits.kg())
                        .orElseThrow()
                        .after())
                .isEqualTo(Mass.ofKg(105));
    }

    @Test
    void aFallIsCappedAtFivePercent() {
        assertThat(proposal("200", "190").orElseThrow().after()).isEqualTo(Mass.ofKg(190));
        assertThat(proposal("200", "202").orElseThrow().capped()).isFalse();
        assertThat(proposal("200", "202").orElseThrow().after()).isEqualTo(Mass.of("191.9", KG));
    }

    @Test
    void withinTwoAndAHalfPercentTheyAgree() {
        // 95 % of 215.78 is 204.99
        assertThat(proposal("200", "215.78")).isEmpty();
        assertThat(proposal("200", "215.80")).isPresent();
    }

    @Test
    void withinOneLoadableStepTheyAgree() {
        // this kit steps by 5 kg; 95 % of 130.5 is 123.98, within a step of 120, of 132 it is 125.4, beyond it
        Loader coarse = Kits.bar20("25:4 10:2 2.5:1");
        assertThat(coarse.stepAt(Mass.ofKg(120))).isEqualTo(Mass.ofKg(5));
        assertThat(proposal("120", "130.5", Caps.USUAL, false, coarse)).isEmpty();
        assertThat(proposal("120", "132", Caps.USUAL, false, coarse)
                        .orElseThrow()
                        .after())
                .isEqualTo(Mass.ofKg(125));
    }

    @Test
    void theCapsAreWiderForThirtyDaysAfterANoviceStarted() {
        LocalDate started = LocalDate.of(2026, 3, 2);
        assertThat(Caps.on(started.plusDays(29), Optional.of(started))).isEqualTo(Caps.FIRST_NOVICE_MONTH);
        assertThat(Caps.on(started.plusDays(30), Optional.of(started))).isEqualTo(Caps.USUAL);
        assertThat(Caps.on(started, Optional.empty())).isEqualTo(Caps.USUAL);
    }

    /** The cap is 1.25 kg here and the next load 2.5 kg away: a small max could never move. */
    @Test
    void aSmallMaxMovesByOneLoadableStep() {
        Loader kit = Kits.bar20("10:2 5:2 2.5:2 1.25:2");
        WorkingMaxProposal rise = WorkingMaxProposal.of(
                        Mass.ofKg(50), Mass.ofKg(60), Percent.HUNDRED, Caps.USUAL, false, kit)
                .orElseThrow();
        assertThat(rise.after()).isEqualTo(Mass.of("52.5", KG));
        assertThat(rise.capped()).isTrue();
    }

    /** A home gym with a bare bar used to make a working max of 45 lb out of a contest max of 405. */
    @Test
    void aWorkingMaxIsANumberAndNotALoad() {
        WorkingMaxProposal rise = WorkingMaxProposal.of(
                        Mass.ofLb(380), Mass.ofLb(405), Percent.HUNDRED, Caps.USUAL, false, Kits.bar20(""))
                .orElseThrow();
        assertThat(rise.after()).isEqualTo(Mass.ofLb(380).times(Percent.of("102.5")));
    }

    @Test
    void painMeansNoRiseButMayMeanLess() {
        assertThat(proposal("200", "240", Caps.USUAL, true, Kits.kg())).isEmpty();
        assertThat(proposal("200", "190", Caps.USUAL, true, Kits.kg())).isPresent();
    }

    @Property
    void aProposalMovesTowardsTheEstimateWithinTheCapOrByOneStep(
            @ForAll @IntRange(min = 16, max = 120) int steps, @ForAll @IntRange(min = 30, max = 330) int estimate) {
        Mass workingMax = Mass.of("2.5", KG).times(steps);
        Loader loader = Kits.kg();
        WorkingMaxProposal.of(workingMax, Mass.ofKg(estimate), Percent.HUNDRED, Caps.USUAL, false, loader)
                .ifPresent(proposal -> {
                    assertThat(proposal.after()).isNotEqualTo(workingMax);
                    assertThat(proposal.isRaise()).isEqualTo(Mass.ofKg(estimate).isGreaterThan(workingMax));
                    Mass moved = proposal.after().distanceTo(workingMax);
                    Mass cap = workingMax.times(Percent.of(proposal.isRaise() ? "2.5" : "5"));
                    assertThat(moved).isLessThanOrEqualTo(Mass.max(cap, loader.stepAt(workingMax)));
                });
    }

    @Test
    void everyLaterLoadThatChangesIsListedAndNoOther() {
        LocalDate monday = LocalDate.of(2026, 3, 2);
        Slot top = slot("A", Lift.SQUAT, "1 @8");
        Slot backOff = slot("B", Lift.SQUAT, "5x5 -22%");
        Slot straight = slot("C", Lift.SQUAT, "3x5 75%");
        Slot bench = slot("D", Lift.BENCH_PRESS, "3x5 75%");
        Block block =
                new Block(monday, 3, List.of(new TrainingDay("Day 1", 0, List.of(top, backOff, straight, bench))));
        Resolver before = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(Map.of(Lift.SQUAT, numbers(200), Lift.BENCH_PRESS, numbers(120))));
        Resolver then = before.with(Lift.SQUAT, n -> n.withWorkingMax(Mass.ofKg(205)));

        List<LoadChange> changes = between(before, then, block, monday);

        assertThat(changes).extracting(LoadChange::date).containsExactly(monday.plusWeeks(1), monday.plusWeeks(2));
        assertThat(changes).allSatisfy(change -> {
            assertThat(change.prescription().letter()).isEqualTo("C");
            assertThat(change.before()).isEqualTo(Mass.ofKg(150));
            assertThat(change.after()).isEqualTo(Mass.of("152.5", KG));
        });
    }

    /** A rise used to list only the first of the weeks that hang on one another. */
    @Test
    void theWeeksThatGoOnFromAChangedOneAreListedToo() {
        LocalDate monday = LocalDate.of(2026, 3, 2);
        Slot run = new Slot(
                "A",
                Lift.SQUAT,
                List.of(
                        Optional.of(Dose.parse("3x5 75%")),
                        Optional.of(Dose.parse("3x5 last +2.5kg")),
                        Optional.of(Dose.parse("3x5 last +2.5kg"))));
        Block block = new Block(monday, 3, List.of(new TrainingDay("Day 1", 0, List.of(run))));
        Resolver before =
                new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of(Lift.SQUAT, numbers(200))));
        Resolver then = before.with(Lift.SQUAT, n -> n.withWorkingMax(Mass.ofKg(205)));
        assertThat(between(before, then, block, monday.minusDays(1)))
                .extracting(LoadChange::after)
                .containsExactly(Mass.of("152.5", KG), Mass.ofKg(155), Mass.of("157.5", KG));
    }

    private static List<LoadChange> between(Resolver before, Resolver then, Block block, LocalDate after) {
        return LoadChange.between(
                Projection.of(block, before, Projection.Log.NONE),
                Projection.of(block, then, Projection.Log.NONE),
                block,
                after);
    }

    private static LiftNumbers numbers(int kg) {
        return new LiftNumbers(Optional.of(Mass.ofKg(kg)), Optional.of(Mass.ofKg(kg)), RepCurve.DEFAULT);
    }

    private static Slot slot(String letter, Lift lift, String dose) {
        return new Slot(letter, lift, Collections.nCopies(3, Optional.of(Dose.parse(dose))));
    }
}
