package dev.yarbel.core.rehearsal;

import static dev.yarbel.core.rehearsal.Stages4Tests.block;
import static dev.yarbel.core.rehearsal.Stages4Tests.deload;
import static dev.yarbel.core.rehearsal.Stages4Tests.of;
import static dev.yarbel.core.rehearsal.Stages4Tests.rehearsed;
import static dev.yarbel.core.rehearsal.Stages4Tests.staged;
import static dev.yarbel.core.rehearsal.Stages4Tests.strength;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.Projection;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A block lifted beforehand. What it comes to is checked against the closed form where there is one. */
class RehearsalTest {

    /**
     * A single on the first day is missed where the day's max lies below it, whose logarithm is normal: the estimate's, less what
     * training at the usual pace takes (a day after it), with the doubts of the max, of the day's form and of what training takes.
     */
    @ParameterizedTest
    @ValueSource(ints = {90, 95, 97, 100, 102})
    void theChanceOfASingleIsThatOfTheClosedForm(int percent) {
        Block block = block(1, "0 squat 1x1 " + percent + "%");
        Staged staged = staged(block);
        SetsOutlook single = Rehearsal.of(staged, new Manner(false, 0, 20_000, 7))
                .orElseThrow()
                .sets()
                .get(0);
        double spread = strength("4")
                        .estimate(Lift.SQUAT)
                        .orElseThrow()
                        .spread()
                        .in(MassUnit.KG)
                        .doubleValue()
                / 200;
        double kg = staged.projection()
                .loads(0, 0)
                .get(0)
                .load()
                .orElseThrow()
                .in(MassUnit.KG)
                .doubleValue();
        double tired = Math.exp(-1 / 8.0);
        double day = Math.sqrt(spread * spread + 0.025 * 0.025 + tired * tired * 0.01 * 0.01);
        double missed = new NormalDistribution(Math.log(200) - 0.015 * tired, day).cumulativeProbability(Math.log(kg));
        assertThat(single.missed()).isCloseTo(missed, within(0.012));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void chancesLieBetweenNothingAndAllAndRangesAreInOrder(long seed) {
        Random random = new Random(seed);
        String[] doses = {
            "3x5 82.5%", "1 @8; 3x5 -10%", "5x5 100kg", "3x5 last +2.5kg", "max 80%", "3x8-12 70%", "2x(4x2 20s) 80%",
            "10x1 in 10min gap 30 75%", "3x5+ 85%", "1x20 60%", "4x3 @7", "climb 5 to @8", "20 reps 60%",
                    "2 @8; 1x8 90%top"
        };
        Block block = block(
                4,
                "0 squat " + doses[random.nextInt(doses.length)] + ", bench-press "
                        + doses[random.nextInt(doses.length)],
                "2 deadlift " + doses[random.nextInt(doses.length)] + ", front-squat "
                        + doses[random.nextInt(doses.length)],
                "4 squat " + doses[random.nextInt(doses.length)] + ", paused-bench-press "
                        + doses[random.nextInt(doses.length)]);
        Rehearsal rehearsal = rehearsed(block);
        for (SetsOutlook sets : rehearsal.sets()) {
            assertThat(sets.missed()).isBetween(0.0, 1.0);
            for (Likely likely : List.of(sets.left(), sets.load())) {
                assertThat(likely.low()).isLessThanOrEqualTo(likely.middle());
                assertThat(likely.middle()).isLessThanOrEqualTo(likely.high());
            }
        }
        assertThat(rehearsal.weeks()).hasSize(4).allSatisfy(week -> {
            assertThat(week.missed()).isBetween(0.0, 1.0);
            assertThat(week.missedSets()).isLessThanOrEqualTo(week.sets());
            assertThat(week.missed())
                    .isGreaterThanOrEqualTo(of(rehearsal, week.week())
                                    .mapToDouble(SetsOutlook::missed)
                                    .max()
                                    .orElse(0)
                            - 1e-9);
        });
        assertThat(rehearsal.maxes())
                .extracting(MaxOutlook::lift)
                .contains(Lift.SQUAT, Lift.DEADLIFT, Lift.BENCH_PRESS);
        assertThat(rehearsal).isEqualTo(rehearsed(block));
    }

    /** The same lifters on the same days: whoever misses with less misses with more. */
    @Test
    void heavierAndMoreIsNeverMissedLessOften() {
        double before = 0;
        for (int percent = 70; percent <= 100; percent += 3) {
            double missed = rehearsed(block(2, "0 squat 3x3 " + percent + "%"))
                    .weeks()
                    .get(1)
                    .missed();
            assertThat(missed).isGreaterThanOrEqualTo(before);
            before = missed;
        }
        assertThat(before).isGreaterThan(0.9);
        before = 0;
        for (int sets = 1; sets <= 8; sets++) {
            double missed = rehearsed(block(1, "0 squat " + sets + "x5 85%"))
                    .weeks()
                    .get(0)
                    .missed();
            assertThat(missed).isGreaterThanOrEqualTo(before);
            before = missed;
        }
    }

    /** Whoever is asked for a rating finds their load: it goes with the day, and next to nothing is missed. */
    @Test
    void aRatingLeavesWhatItAsksForAndMovesTheLoad() {
        Rehearsal rated = rehearsed(block(6, "0 squat 3x3 @8"));
        SetsOutlook last = of(rated, 5).findFirst().orElseThrow();
        assertThat(last.left().middle()).isCloseTo(2, within(0.7));
        assertThat(last.load().high() - last.load().low()).isGreaterThan(5);
        Rehearsal fixed = rehearsed(block(6, "0 squat 3x3 86%"));
        SetsOutlook percent = of(fixed, 5).findFirst().orElseThrow();
        assertThat(percent.load().high()).isEqualTo(percent.load().low());
        assertThat(last.missed()).isLessThan(percent.missed());
    }

    /** Nothing lighter than the bar is ever put on. */
    @Test
    void noLoadIsLighterThanTheBar() {
        for (SetsOutlook sets :
                rehearsed(block(3, "0 bench-press 3x20 @6, squat 5x30 @6")).sets()) {
            assertThat(sets.load().low()).isGreaterThanOrEqualTo(20);
        }
    }

    /** A back-off hangs on the top that was lifted. */
    @Test
    void aBackOffGoesAfterTheTop() {
        Rehearsal rehearsal = rehearsed(block(3, "0 squat 1 @8; 3x5 -15%"));
        SetsOutlook top = rehearsal.sets(0, 2, 0).orElseThrow();
        SetsOutlook backOff = rehearsal.sets(0, 2, 1).orElseThrow();
        assertThat(backOff.load().middle() / top.load().middle()).isCloseTo(0.85, within(0.02));
        assertThat(backOff.load().high() - backOff.load().low()).isGreaterThan(5);
    }

    /** A run of steady add meets its wall: later weeks are missed more often, and what was missed is repeated, not added to. */
    @Test
    void aRunGoesOnByItsLaw() {
        Rehearsal rehearsal = rehearsed(block(12, "0 squat 3x5 160kg|3x5 last +5kg"));
        double early = of(rehearsal, 1).findFirst().orElseThrow().missed();
        SetsOutlook late = of(rehearsal, 11).findFirst().orElseThrow();
        assertThat(late.missed()).isGreaterThan(early).isGreaterThan(0.3);
        assertThat(late.load().middle()).isLessThan(160 + 11 * 5);
        // nobody moves what is no run
        assertThat(of(rehearsal, 0).findFirst().orElseThrow().load().high()).isEqualTo(160);
    }

    @Test
    void anEasyWeekLeavesLessTaken() {
        Block block = block(4, "0 squat 5x5 80%", "3 squat 5x5 80%");
        Block easy = deload(
                block(4, "0 squat 5x5 80%|5x5 80%|2x5 50%|5x5 80%", "3 squat 5x5 80%|5x5 80%|2x5 50%|5x5 80%"), 2);
        double trained = rehearsed(block).weeks().get(3).taken().get(Lift.SQUAT);
        double rested = rehearsed(easy).weeks().get(3).taken().get(Lift.SQUAT);
        assertThat(rested).isLessThan(trained);
        assertThat(of(rehearsed(easy), 3).findFirst().orElseThrow().missed())
                .isLessThanOrEqualTo(
                        of(rehearsed(block), 3).findFirst().orElseThrow().missed());
    }

    /** Percentages of a max that is too high are missed until somebody moves it. */
    @Test
    void callsTakeLoadsToWhereTheyBelong() {
        Staged staged = staged(block(8, "0 squat 3x5 80%", "3 squat 3x5 80%"), 110);
        Rehearsal left = Rehearsal.of(staged, Manner.USUAL).orElseThrow();
        Rehearsal taken = Rehearsal.of(staged, Manner.USUAL.withCalls()).orElseThrow();
        assertThat(taken.sets(0, 0, 0)).isEqualTo(left.sets(0, 0, 0));
        assertThat(taken.weeks().get(7).missedSets())
                .isLessThan(0.5 * left.weeks().get(7).missedSets());
    }

    /** A max nobody is surer of later: its range grows with the weeks. */
    @Test
    void theRangeOfTheMaxWidens() {
        MaxOutlook squat = rehearsed(block(12, "0 squat 3x5 80%")).maxes().get(0);
        assertThat(squat.now().middle()).isCloseTo(200, within(1.5));
        assertThat(squat.weeks()).hasSize(12);
        assertThat(squat.after().high() - squat.after().low())
                .isGreaterThan(
                        squat.weeks().get(0).high() - squat.weeks().get(0).low());
        assertThat(squat.after().middle()).isGreaterThan(squat.now().middle());
    }

    @Test
    void onlyWhatIsAheadIsRehearsed() {
        Block block = block(3, "0 squat 3x5 80%", "3 squat 3x5 80%");
        Staged at = staged(block);
        Projection.Log first = (day, week) -> day == 0 && week == 1 ? Optional.of(List.of()) : Optional.empty();
        Staged later = new Staged(
                block,
                Projection.of(block, at.resolver(), first),
                at.resolver(),
                first,
                at.strength(),
                Percent.HUNDRED,
                block.date(1, 0));
        Rehearsal rehearsal = Rehearsal.of(later, Manner.USUAL).orElseThrow();
        assertThat(rehearsal.sets(0, 0, 0)).isEmpty();
        assertThat(rehearsal.sets(1, 0, 0)).isPresent();
        assertThat(rehearsal.sets(0, 1, 0)).isEmpty();
        assertThat(rehearsal.sets(0, 2, 0)).isPresent();
    }

    /** Of a lift nobody knows anything of nothing is made up. */
    @Test
    void whatIsNotKnownIsSaid() {
        Rehearsal rehearsal = rehearsed(block(2, "0 squat 3x5 80%, barbell-row 3x8 @8, yoke-walk 3x20m"));
        assertThat(rehearsal.unknown()).extracting(Lift::key).containsExactly("barbell-row", "yoke-walk");
        assertThat(rehearsal.sets()).extracting(SetsOutlook::lift).containsOnly(Lift.SQUAT);
    }
}
