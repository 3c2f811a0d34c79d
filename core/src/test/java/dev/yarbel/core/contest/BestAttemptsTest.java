package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class BestAttemptsTest {

    private static final List<Lift> LIFTS = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
    private static final ContestRules RULES = ContestRules.named("ipf-classic");

    static DayStrength day(double squat, double bench, double deadlift) {
        return DayStrength.of(
                Map.of(Lift.SQUAT, squat, Lift.BENCH_PRESS, bench, Lift.DEADLIFT, deadlift), LIFTS, 0.03, 0.02);
    }

    // ---- beside every way to go on that there is

    /** Steps so large that few loads are left to choose from. */
    private static final ContestRules COARSE = RULES.with(Mass.ofKg(10), Duration.ofMinutes(1), false);

    static List<Aim> aims() {
        return List.of(
                new Aim.MostOnAverage(),
                new Aim.AtLeast(Mass.ofKg(320)),
                new Aim.Ahead(List.of(new Aim.Rival(Mass.ofKg(305), Mass.ofKg(8), false))));
    }

    /** Two lifts of three attempts in steps of 10 kg: every load, every outcome, all the way down. */
    @ParameterizedTest
    @MethodSource("aims")
    void noWayToGoOnServesTheAimBetter(Aim aim) {
        List<Lift> two = List.of(Lift.SQUAT, Lift.DEADLIFT);
        DayStrength day = DayStrength.of(Map.of(Lift.SQUAT, 150.0, Lift.DEADLIFT, 170.0), two, 0.04, 0.02);

        double found = new BestAttempts(day, COARSE, aim, two).worth(Lift.SQUAT, List.of(), Mass.ZERO);
        double best = new Brute(day, aim, two, new HashMap<>()).from(0, Mass.ZERO);

        // at each of six attempts a trifle may be given away for a lighter load
        assertThat(found).isLessThanOrEqualTo(best + 1e-9).isCloseTo(best, within(6 * aim.trifle()));
    }

    /** Goes through everything; only what a whole lift is worth from a subtotal on is not worked out twice. */
    private record Brute(DayStrength day, Aim aim, List<Lift> lifts, Map<Mass, Double> deadlifts) {

        double from(int lift, Mass subtotal) {
            if (lift == lifts.size()) {
                return aim.worth(Optional.of(subtotal));
            }
            if (lift == 0) {
                return best(lift, List.of(), subtotal);
            }
            if (!deadlifts.containsKey(subtotal)) {
                deadlifts.put(subtotal, best(lift, List.of(), subtotal));
            }
            return deadlifts.get(subtotal);
        }

        private double best(int lift, List<Attempt> before, Mass subtotal) {
            if (before.size() == 3) {
                return Attempt.best(before)
                        .map(made -> from(lift + 1, subtotal.plus(made)))
                        .orElseGet(() -> aim.worth(Optional.empty()));
            }
            LiftForm form = day.form(lifts.get(lift)).after(before);
            Mass heaviest = Mass.ofKg(lift == 0 ? 170 : 190);
            double best = Double.NEGATIVE_INFINITY;
            Mass least = COARSE.least(before).orElse(Mass.ofKg(lift == 0 ? 130 : 150));
            for (Mass load = least; !load.isGreaterThan(Mass.max(least, heaviest)); load = load.plus(COARSE.step())) {
                boolean unsafe = before.isEmpty() && form.made(load) < BestAttempts.SAFE_OPENER;
                if (unsafe && !load.equals(least)) {
                    continue;
                }
                double worth = 0;
                for (Outcome outcome : Outcome.TOLD) {
                    List<Attempt> after = new ArrayList<>(before);
                    after.add(new Attempt(load, outcome));
                    worth += form.chance(load, outcome) * best(lift, after, subtotal);
                }
                best = Math.max(best, worth);
            }
            return best;
        }
    }

    // ---- what any advice keeps to

    static List<Advice> advices() {
        DayStrength day = day(205, 131, 248);
        List<Advice> advices = new ArrayList<>(List.of(new UsualShares(day, RULES)));
        for (Aim aim : List.of(
                new Aim.MostOnAverage(),
                new Aim.AtLeast(Mass.ofKg(560)),
                new Aim.AtLeast(Mass.ofKg(900)),
                new Aim.Ahead(List.of(new Aim.Rival(Mass.of("577.5", MassUnit.KG), Mass.ofKg(10), true))))) {
            advices.add(new BestAttempts(day, RULES, aim, LIFTS));
        }
        return advices;
    }

    /** Every outcome of every attempt: multiples of the step, never below an earlier one, more after a good one. */
    @ParameterizedTest
    @MethodSource("advices")
    void everyRungKeepsToTheRules(Advice advice) {
        for (Lift lift : LIFTS) {
            Rung opener = Rung.of(advice, day(205, 131, 248).form(lift), lift, List.of(), Mass.ofKg(300))
                    .orElseThrow();
            assertThat(attempts(opener)).isEqualTo(3);
            keeps(opener);
        }
    }

    private static int attempts(Rung rung) {
        return 1
                + rung.then().values().stream()
                        .mapToInt(BestAttemptsTest::attempts)
                        .max()
                        .orElse(0);
    }

    private static void keeps(Rung rung) {
        assertThat(RULES.isOnStep(rung.load())).isTrue();
        assertThat(rung.chance()).isBetween(0.0, 1.0);
        rung.then().forEach((outcome, next) -> {
            Mass least = outcome.isMade() ? rung.load().plus(RULES.step()) : rung.load();
            assertThat(next.load()).isGreaterThanOrEqualTo(least);
            keeps(next);
        });
    }

    // ---- the trade

    /** Common practice, no source: an opener of 90 to 92 %, a second of 95 to 97, a third of 99 to 103 by how the second moved. */
    @Test
    void theUsualSharesAreTheUsualOnes() {
        Rung opener = rung(new UsualShares(day(200, 130, 250), RULES), Lift.SQUAT);
        Rung second = opener.then().get(Outcome.EASY);

        assertThat(opener.load()).isEqualTo(kg("182.5"));
        assertThat(second.load()).isEqualTo(kg("192.5"));
        assertThat(second.then().get(Outcome.EASY).load()).isEqualTo(kg("205"));
        assertThat(second.then().get(Outcome.GRIND).load()).isEqualTo(kg("197.5"));
        assertThat(second.then().get(Outcome.TURNED_DOWN).load()).isEqualTo(kg("192.5"));
    }

    /** An opener that leaves nothing shows a bad day: what follows is not what a good one would have had. */
    @Test
    void aBadOpenerBringsTheNextOnesDown() {
        Rung opener = rung(new UsualShares(day(200, 130, 250), RULES), Lift.SQUAT);
        Rung bad = opener.then().get(Outcome.GRIND);

        Rung good = opener.then().get(Outcome.EASY);
        assertThat(bad.load()).isLessThanOrEqualTo(good.load());
        assertThat(bad.chance()).isGreaterThan(0.3).isLessThan(good.chance());
        assertThat(bad.then().get(Outcome.SOLID).load())
                .isLessThan(good.then().get(Outcome.SOLID).load());
    }

    /** The best for the total, found without being told any share, is what coaches do: common practice, no source. */
    @Test
    void theBestOnAverageOpensLikeACoach() {
        BestAttempts best = new BestAttempts(day(200, 130, 250), RULES, new Aim.MostOnAverage(), LIFTS);
        Rung opener = rung(best, Lift.SQUAT);
        Rung second = opener.then().get(Outcome.EASY);

        assertThat(opener.load()).isBetween(kg("175"), kg("190"));
        assertThat(opener.chance()).isGreaterThan(0.9);
        assertThat(second.then().get(Outcome.EASY).load())
                .isGreaterThan(second.then().get(Outcome.GRIND).load());
        assertThat(opener.then().get(Outcome.EASY).load())
                .isGreaterThan(opener.then().get(Outcome.GRIND).load());
    }

    /** Whoever has enough with a light deadlift takes no heavy one. */
    @Test
    void nothingIsRiskedForMoreThanIsAsked() {
        BestAttempts safe =
                new BestAttempts(day(200, 130, 250), RULES, new Aim.AtLeast(Mass.ofKg(540)), List.of(Lift.DEADLIFT));

        Mass opener = safe.next(Lift.DEADLIFT, List.of(), Mass.ofKg(320)).orElseThrow();

        assertThat(opener).isLessThanOrEqualTo(Mass.ofKg(230)).isGreaterThanOrEqualTo(Mass.ofKg(220));
        assertThat(safe.worth(Lift.DEADLIFT, List.of(), Mass.ofKg(320))).isGreaterThan(0.98);
    }

    /** Whatever is aimed at, and be it out of reach: nobody is to be out for a chance. */
    @ParameterizedTest
    @MethodSource("advices")
    void anOpenerIsOneThatIsMade(Advice advice) {
        for (Lift lift : LIFTS) {
            Rung opener = Rung.of(advice, day(205, 131, 248).form(lift), lift, List.of(), Mass.ofKg(300))
                    .orElseThrow();

            assertThat(opener.chance()).isGreaterThanOrEqualTo(BestAttempts.SAFE_OPENER);
        }
    }

    @Test
    void aTotalThatFallsShortIsBetterThanNone() {
        for (Aim aim : List.of(
                new Aim.AtLeast(Mass.ofKg(600)),
                new Aim.Ahead(List.of(new Aim.Rival(Mass.ofKg(600), Mass.ofKg(5), false))))) {
            assertThat(aim.worth(Optional.of(Mass.ofKg(590))))
                    .isGreaterThan(aim.worth(Optional.empty()) + 0.4)
                    .isLessThan(aim.worth(Optional.of(Mass.ofKg(620))));
        }
    }

    /** The last deadlift is what it takes to win, be it ever so unlikely. */
    @Test
    void theLastDeadliftIsWhatItTakes() {
        BestAttempts chase = new BestAttempts(
                day(200, 130, 250),
                RULES,
                new Aim.Ahead(List.of(new Aim.Rival(kg("587.5"), Mass.ZERO, true))),
                List.of(Lift.DEADLIFT));
        List<Attempt> before = List.of(new Attempt(kg("230"), Outcome.SOLID), new Attempt(kg("240"), Outcome.SOLID));

        assertThat(chase.next(Lift.DEADLIFT, before, kg("330"))).contains(kg("260"));
    }

    // ---- what days come to

    /** What the advice is worth beside the fixed 91, 96 and 100 %, on days drawn from the same doubt. */
    @Test
    void theBestOnAverageBeatsFixedShares() {
        DayStrength day = day(200, 130, 250);
        Advice fixed = (lift, before, subtotal) -> {
            Mass middle = day.form(lift).middle();
            Mass load =
                    RULES.nearest(middle.times(Percent.of(List.of(91, 96, 100).get(before.size()))));
            return Optional.of(
                    RULES.least(before).map(least -> Mass.max(least, load)).orElse(load));
        };
        DayOutlook best = outlook(new BestAttempts(day, RULES, new Aim.MostOnAverage(), LIFTS), day);
        DayOutlook shares = outlook(fixed, day);

        assertThat(best.average()).isGreaterThan(shares.average());
        assertThat(best.out()).isLessThan(0.03);
    }

    @Test
    void askedForATotalItIsReachedOftener() {
        DayStrength day = day(200, 130, 250);
        Mass asked = kg("572.5");
        double aimed = DayOutlook.of(
                        new BestAttempts(day, RULES, new Aim.AtLeast(asked), LIFTS),
                        day,
                        new ScoreCard(RULES, Map.of()),
                        Lift.SQUAT,
                        Optional.of(asked))
                .reached()
                .orElseThrow();
        double usual = DayOutlook.of(
                        new UsualShares(day, RULES),
                        day,
                        new ScoreCard(RULES, Map.of()),
                        Lift.SQUAT,
                        Optional.of(asked))
                .reached()
                .orElseThrow();

        assertThat(aimed).isGreaterThan(usual);
    }

    /** What was made counts, and good squats speak for the pulls. */
    @Test
    void theOutlookGoesOnFromWhatWasLifted() {
        DayStrength day = day(200, 130, 250);
        Map<Lift, List<Attempt>> good = Map.of(
                Lift.SQUAT,
                List.of(
                        new Attempt(kg("182.5"), Outcome.EASY),
                        new Attempt(kg("195"), Outcome.EASY),
                        new Attempt(kg("207.5"), Outcome.SOLID)));
        Map<Lift, List<Attempt>> none = Map.of(
                Lift.SQUAT,
                List.of(
                        new Attempt(kg("182.5"), Outcome.MISSED),
                        new Attempt(kg("182.5"), Outcome.MISSED),
                        new Attempt(kg("182.5"), Outcome.MISSED)));
        DayStrength after = day.after(Lift.SQUAT, good.get(Lift.SQUAT));

        DayOutlook better = DayOutlook.of(
                new UsualShares(after, RULES), day, new ScoreCard(RULES, good), Lift.BENCH_PRESS, Optional.empty());
        DayOutlook before = outlook(new UsualShares(day, RULES), day);
        DayOutlook out = DayOutlook.of(
                new UsualShares(day, RULES), day, new ScoreCard(RULES, none), Lift.BENCH_PRESS, Optional.empty());

        assertThat(after.form(Lift.DEADLIFT).middle())
                .isGreaterThan(day.form(Lift.DEADLIFT).middle());
        assertThat(better.total().orElseThrow().middle())
                .isGreaterThan(before.total().orElseThrow().middle());
        assertThat(out.out()).isEqualTo(1);
        assertThat(out.total()).isEmpty();
    }

    /** A second and third squat that were passed are not made any more: the day goes on from the opener. */
    @Test
    void whatWasPassedIsNotMadeAnyMore() {
        DayStrength day = day(200, 130, 250);
        ScoreCard passed = new ScoreCard(RULES, Map.of(Lift.SQUAT, List.of(new Attempt(kg("182.5"), Outcome.EASY))));

        DayOutlook at = DayOutlook.of(new UsualShares(day, RULES), day, passed, Lift.BENCH_PRESS, Optional.empty());
        DayOutlook still = DayOutlook.of(new UsualShares(day, RULES), day, passed, Lift.SQUAT, Optional.empty());

        assertThat(at.total().orElseThrow().middle())
                .isLessThan(still.total().orElseThrow().middle() - 5);
    }

    /** A sure opener that is missed, a load nobody thought of that flies up: what nobody expected leaves figures that can be read. */
    @ParameterizedTest
    @EnumSource
    void whateverBecomesOfAnAttemptTheDayHasAnOutlook(Outcome outcome) {
        DayStrength day = day(200, 130, 250);
        for (String load : List.of("25", "100", "182.5", "300", "600")) {
            for (Lift at : List.of(Lift.SQUAT, Lift.BENCH_PRESS)) {
                ScoreCard card = new ScoreCard(RULES, Map.of(Lift.SQUAT, List.of(new Attempt(kg(load), outcome))));
                canBeRead(new UsualShares(card.told(day, at), RULES), day, card, at);
            }
        }
        ScoreCard slip = new ScoreCard(RULES, Map.of(Lift.SQUAT, List.of(new Attempt(kg("25"), outcome))));
        canBeRead(new BestAttempts(day, RULES, new Aim.MostOnAverage(), LIFTS), day, slip, Lift.SQUAT);
    }

    private static void canBeRead(Advice advice, DayStrength day, ScoreCard card, Lift at) {
        DayOutlook outlook = DayOutlook.of(advice, day, card, at, Optional.of(kg("500")));

        assertThat(outlook.average()).as(card.toString()).isBetween(0.0, 1500.0);
        assertThat(outlook.out()).isBetween(0.0, 1.0);
        assertThat(outlook.allMade()).isBetween(0.0, 1.0);
        assertThat(outlook.reached().orElseThrow()).isBetween(0.0, 1.0);
        assertThat(card.told(day, at).form(Lift.DEADLIFT).middle().kilograms()).isBetween(100.0, 500.0);
    }

    private static DayOutlook outlook(Advice advice, DayStrength day) {
        return DayOutlook.of(advice, day, new ScoreCard(RULES, Map.of()), Lift.SQUAT, Optional.empty());
    }

    private static Rung rung(Advice advice, Lift lift) {
        return Rung.of(advice, day(200, 130, 250).form(lift), lift, List.of(), Mass.ZERO)
                .orElseThrow();
    }

    private static Mass kg(String figure) {
        return Mass.of(figure, MassUnit.KG);
    }
}
