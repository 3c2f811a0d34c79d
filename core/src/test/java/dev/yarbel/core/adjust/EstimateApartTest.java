package dev.yarbel.core.adjust;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class EstimateApartTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private static Optional<Finding> finding(String workingMax, String estimate) {
        return finding(workingMax, estimate, Caps.USUAL, Kits.kg());
    }

    private static Optional<Finding> finding(String workingMax, String estimate, Caps caps, BarLoads loader) {
        return finding(Mass.of(workingMax, KG), Mass.of(estimate, KG), Percent.of(95), caps, loader);
    }

    private static Optional<Finding> finding(
            Mass workingMax, Mass estimate, Percent share, Caps caps, BarLoads loader) {
        List<Finding> found = look(subject(workingMax, estimate, share, caps, loader));
        assertThat(found).hasSizeLessThan(2);
        return found.stream().findFirst();
    }

    private static List<Finding> look(Subject subject) {
        EstimateApart rule = new EstimateApart();
        return rule.look(subject, Tuning.USUAL.threshold(rule));
    }

    /** A lifter with nothing planned whose estimate the last session left where it is. */
    private static Subject subject(Mass workingMax, Mass estimate, Percent share, Caps caps, BarLoads loader) {
        return subject(workingMax, estimate, estimate, share, caps, loader);
    }

    private static Subject subject(
            Mass workingMax, Mass before, Mass estimate, Percent share, Caps caps, BarLoads loader) {
        MaxEstimate moved = new MaxEstimate(
                estimate,
                estimate.times(Percent.of(5)),
                List.of(new MaxEstimate.Movement(MONDAY, before, estimate, Mass.ofKg(4), List.of())));
        return subject(new Subject.Known(Optional.of(workingMax), Optional.of(moved), share, caps, true), loader);
    }

    private static Subject subject(Subject.Known known, BarLoads loader) {
        Block nothing = new Block(MONDAY, 1, List.of(new TrainingDay("Day 1", 0, List.of())));
        Resolver resolver = new Resolver(KitInUse.of(loader), Rounding.NEAREST, Numbers.of(Map.of()));
        return new Subject(
                Lift.SQUAT,
                known,
                new PlanAhead(
                        nothing,
                        resolver,
                        Projection.Log.NONE,
                        Lifted.NOTHING,
                        Projection.of(nothing, resolver, Projection.Log.NONE),
                        MONDAY),
                List.of(new SeenSession(MONDAY, Optional.empty(), List.of(), Optional.empty())),
                List.of());
    }

    private static MoveWorkingMax move(Optional<Finding> finding) {
        return (MoveWorkingMax) finding.orElseThrow().proposal();
    }

    private static Evidence.EstimateMoved seen(Optional<Finding> finding) {
        return (Evidence.EstimateMoved) finding.orElseThrow().evidence();
    }

    /** Common practice, no source: at most 2.5 % up, whatever the estimate says. */
    @Test
    void aRaiseIsCapped() {
        Optional<Finding> finding = finding("200", "240");
        assertThat(move(finding)).isEqualTo(new MoveWorkingMax(Lift.SQUAT, Mass.ofKg(200), Mass.ofKg(205)));
        assertThat(move(finding).raises()).isTrue();
        assertThat(move(finding).size()).isEqualTo(Percent.of("2.5"));
        assertThat(seen(finding).target()).isEqualTo(Mass.ofKg(228));
        assertThat(seen(finding).share()).isEqualTo(Percent.of(95));
        assertThat(seen(finding).cap()).contains(Percent.of("2.5"));
        assertThat(seen(finding).movement().after()).isEqualTo(Mass.ofKg(240));
    }

    @Test
    void aNovicesFirstMonthMayRiseTwiceAsFast() {
        assertThat(move(finding("100", "120", Caps.FIRST_NOVICE_MONTH, Kits.kg()))
                        .after())
                .isEqualTo(Mass.ofKg(105));
    }

    @Test
    void aFallIsCappedAtFivePercent() {
        assertThat(move(finding("200", "190")).after()).isEqualTo(Mass.ofKg(190));
        assertThat(move(finding("200", "190")).raises()).isFalse();
        assertThat(seen(finding("200", "190")).cap()).contains(Percent.of(5));
        assertThat(seen(finding("200", "202")).cap()).isEmpty();
        assertThat(move(finding("200", "202")).after()).isEqualTo(Mass.of("191.9", KG));
    }

    /** One hard session is held: a fall needs the estimate to have been as low before it. */
    @Test
    void aFallThatOneSessionMadeIsHeldAndARiseIsNot() {
        assertThat(look(after("210.6", "189"))).isEmpty();
        // 95 % of 205.26 is 195.0, of 205.3 it is 195.03: within 2.5 % of 200
        assertThat(look(after("205.3", "189"))).isEmpty();
        assertThat(look(after("205.2", "189"))).hasSize(1);
        assertThat(look(after("210", "230"))).hasSize(1);
    }

    private static Subject after(String before, String estimate) {
        return subject(
                Mass.ofKg(200), Mass.of(before, KG), Mass.of(estimate, KG), Percent.of(95), Caps.USUAL, Kits.kg());
    }

    @Test
    void withinTwoAndAHalfPercentTheyAgree() {
        // 95 % of 215.78 is 204.99
        assertThat(finding("200", "215.78")).isEmpty();
        assertThat(finding("200", "215.80")).isPresent();
    }

    @Test
    void withinOneLoadableStepTheyAgree() {
        // this kit steps by 5 kg; 95 % of 130.5 is 123.98, within a step of 120, of 132 it is 125.4, beyond it
        BarLoads coarse = Kits.bar20("25:4 10:2 2.5:1");
        assertThat(coarse.stepAt(Mass.ofKg(120))).isEqualTo(Mass.ofKg(5));
        assertThat(finding("120", "130.5", Caps.USUAL, coarse)).isEmpty();
        assertThat(move(finding("120", "132", Caps.USUAL, coarse)).after()).isEqualTo(Mass.ofKg(125));
    }

    /** Just so far apart is not yet more than that. */
    @Test
    void exactlyTheToleranceOrOneStepApartTheyStillAgree() {
        assertThat(finding(Mass.ofKg(200), Mass.ofKg(205), Percent.HUNDRED, Caps.USUAL, Kits.kg()))
                .isEmpty();
        assertThat(finding(Mass.ofKg(200), Mass.ofKg(195), Percent.HUNDRED, Caps.USUAL, Kits.kg()))
                .isEmpty();
        // 5 kg are 4.2 % of 120 here, and one step
        BarLoads coarse = Kits.bar20("25:4 10:2 2.5:1");
        assertThat(finding(Mass.ofKg(120), Mass.ofKg(125), Percent.HUNDRED, Caps.USUAL, coarse))
                .isEmpty();
    }

    @Test
    void nothingIsFoundWhereTooLittleIsKnown() {
        MaxEstimate unmoved = new MaxEstimate(Mass.ofKg(240), Mass.ofKg(10), List.of());
        assertThat(look(Optional.of(Mass.ofKg(200)), Optional.of(unmoved))).isEmpty();
        assertThat(look(Optional.of(Mass.ofKg(200)), Optional.empty())).isEmpty();
        assertThat(look(Optional.empty(), Optional.of(unmoved))).isEmpty();
    }

    private static List<Finding> look(Optional<Mass> workingMax, Optional<MaxEstimate> estimate) {
        return look(subject(new Subject.Known(workingMax, estimate, Percent.of(95), Caps.USUAL, true), Kits.kg()));
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
        Optional<Finding> rise =
                finding(Mass.ofKg(50), Mass.ofKg(60), Percent.HUNDRED, Caps.USUAL, Kits.bar20("10:2 5:2 2.5:2 1.25:2"));
        assertThat(move(rise).after()).isEqualTo(Mass.of("52.5", KG));
        assertThat(seen(rise).cap()).isPresent();
    }

    /** A home gym with a bare bar used to make a working max of 45 lb out of a contest max of 405. */
    @Test
    void aWorkingMaxIsANumberAndNotALoad() {
        assertThat(move(finding(Mass.ofLb(380), Mass.ofLb(405), Percent.HUNDRED, Caps.USUAL, Kits.bar20("")))
                        .after())
                .isEqualTo(Mass.ofLb(380).times(Percent.of("102.5")));
    }

    @Property
    void aProposalMovesTowardsTheEstimateWithinTheCapOrByOneStep(
            @ForAll @IntRange(min = 16, max = 120) int steps, @ForAll @IntRange(min = 30, max = 330) int estimate) {
        Mass workingMax = Mass.of("2.5", KG).times(steps);
        BarLoads loader = Kits.kg();
        finding(workingMax, Mass.ofKg(estimate), Percent.HUNDRED, Caps.USUAL, loader)
                .map(found -> (MoveWorkingMax) found.proposal())
                .ifPresent(proposal -> {
                    assertThat(proposal.after()).isNotEqualTo(workingMax);
                    assertThat(proposal.raises()).isEqualTo(Mass.ofKg(estimate).isGreaterThan(workingMax));
                    Mass moved = proposal.after().distanceTo(workingMax);
                    Mass cap = workingMax.times(Percent.of(proposal.raises() ? "2.5" : "5"));
                    assertThat(moved).isLessThanOrEqualTo(Mass.max(cap, loader.stepAt(workingMax)));
                });
    }
}
