package dev.yarbel.core.recovery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Blocks4Tests;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.recovery.TissueLedger.Body;
import dev.yarbel.core.recovery.TissueLedger.Line;
import dev.yarbel.core.recovery.TissueLedger.Relief;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.BlockTally;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What each tissue bears. That a sore one has a budget across all lifts is common practice (no source); the figures are ours. */
class TissueLedgerTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Body SOUND = new Body(List.of(), Set.of());

    private final List<LiftedSession> log = new ArrayList<>();

    /** So many weeks before the block, each with so many hard sets of a lift. */
    private void lifted(int weeks, Lift lift, int sets) {
        for (int back = 1; back <= weeks; back++) {
            log.add(new LiftedSession(
                    MONDAY.minusWeeks(back),
                    Collections.nCopies(sets, new LiftedSet(lift, Mass.ofKg(100), 5, Effort.rated(Rpe.of(8))))));
        }
    }

    private TissueLedger ledger(Body body, int weeks, String... days) {
        Block block = new Block(MONDAY, weeks, Blocks4Tests.days(weeks, days));
        LiftNumbers numbers =
                new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);
        Resolver resolver = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(
                        Map.of(Lift.SQUAT, numbers, Lift.DEADLIFT, numbers, Lift.BENCH_PRESS, numbers),
                        Catalogue.STANDARD.ratios()));
        BlockTally tally = BlockTally.of(
                block,
                Projection.of(block, resolver, Projection.Log.NONE),
                resolver,
                Projection.Log.NONE,
                Catalogue.STANDARD);
        return TissueLedger.of(block, tally.lines(), log, body, resolver, MONDAY);
    }

    private static Line of(TissueLedger ledger, Tissue tissue) {
        return ledger.tissues().stream()
                .filter(line -> line.tissue() == tissue)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void hardSetsCountAsOneAndOthersAsHalf() {
        lifted(4, Lift.SQUAT, 6);
        Line knee = of(ledger(SOUND, 2, "0 squat 4x3 85%, squat 4x5 50%"), Tissue.KNEE);
        assertThat(knee.past()).containsExactly(6.0, 6.0, 6.0, 6.0);
        assertThat(knee.usedTo()).isEqualTo(6);
        assertThat(knee.ahead()).containsExactly(6.0, 6.0);
        assertThat(knee.budget()).isEmpty();
    }

    @Test
    void aSoreTissueHasABudgetAcrossAllLiftsAndTheSlotsThatSpendItAreNamed() {
        lifted(8, Lift.BENCH_PRESS, 8);
        Body sore =
                new Body(List.of(new Ache(Tissue.SHOULDER, "shoulder", MONDAY, Optional.of(5), Set.of())), Set.of());
        Line shoulder = of(
                ledger(sore, 3, "0 bench-press 4x3 85%", "2 overhead-press 3x5 @8", "4 bench-press 3x5 @8"),
                Tissue.SHOULDER);
        assertThat(shoulder.budget().orElseThrow()).isCloseTo(8 * 0.65, within(1e-9));
        assertThat(shoulder.most()).isEqualTo(10);
        assertThat(shoulder.isOverBudget()).isTrue();
        assertThat(shoulder.reliefs()).hasSize(3);
        assertThat(shoulder.reliefs().get(0)).satisfies(relief -> {
            assertThat(relief.lift()).isEqualTo(Lift.BENCH_PRESS);
            assertThat(relief.sets()).isEqualTo(4);
            assertThat(relief.week()).isZero();
        });
        assertThat(shoulder.reliefs().stream().map(Relief::instead).flatMap(Optional::stream))
                .isNotEmpty()
                .allSatisfy(other -> assertThat(Catalogue.STANDARD.loads(other, Tissue.SHOULDER)
                                && !Catalogue.STANDARD.of(other).eases().contains(Tissue.SHOULDER))
                        .isFalse());
    }

    /** The worse it aches, the less is left; nobody's weight counts as a middling one. */
    @Test
    void theBudgetFallsWithTheAchesWeight() {
        lifted(8, Lift.SQUAT, 10);
        double before = 10;
        for (int weight = 1; weight <= 10; weight++) {
            Body sore =
                    new Body(List.of(new Ache(Tissue.KNEE, "knee", MONDAY, Optional.of(weight), Set.of())), Set.of());
            double budget =
                    of(ledger(sore, 1, "0 squat 3x3 85%"), Tissue.KNEE).budget().orElseThrow();
            assertThat(budget).isLessThan(before).isPositive();
            before = budget;
        }
    }

    /** A job on the back counts in what was borne and in what is to come. */
    @Test
    void whatTheJobWearsCounts() {
        lifted(4, Lift.DEADLIFT, 4);
        Line back = of(ledger(new Body(List.of(), Set.of(Tissue.LOW_BACK)), 1, "0 deadlift 4x3 85%"), Tissue.LOW_BACK);
        assertThat(back.job()).isEqualTo(4);
        assertThat(back.usedTo()).isEqualTo(8);
        assertThat(back.ahead()).containsExactly(8.0);
    }

    @Test
    void farMoreThanItIsUsedToIsTold() {
        lifted(8, Lift.SQUAT, 4);
        assertThat(of(ledger(SOUND, 1, "0 squat 5x3 85%", "3 squat 5x3 85%"), Tissue.KNEE)
                        .isFarAbove())
                .isTrue();
        assertThat(of(ledger(SOUND, 1, "0 squat 5x3 85%"), Tissue.KNEE).isFarAbove())
                .isFalse();
        log.clear();
        // of somebody without a log nobody can say
        assertThat(of(ledger(SOUND, 1, "0 squat 5x3 85%", "3 squat 5x3 85%"), Tissue.KNEE)
                        .isFarAbove())
                .isFalse();
    }
}
