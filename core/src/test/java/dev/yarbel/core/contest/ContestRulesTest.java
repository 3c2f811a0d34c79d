package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import dev.yarbel.core.contest.Placed.Standing;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ContestRulesTest {

    private static final ContestRules RULES = ContestRules.named("ipf-classic");

    private static Mass kg(String figure) {
        return Mass.of(figure, MassUnit.KG);
    }

    /** IPF Technical Rules, from memory. */
    @Test
    void squatBenchDeadliftInStepsOfTwoAndAHalf() {
        assertThat(RULES.lifts()).containsExactly(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
        assertThat(RULES.step()).isEqualTo(kg("2.5"));
        assertThat(RULES.toName()).isEqualTo(Duration.ofMinutes(1));
        assertThat(RULES.openerChanges()).isEqualTo(1);
        assertThat(RULES.lastPullChanges()).isEqualTo(2);
        assertThat(RULES.most()).isEqualTo(3);
    }

    @Test
    void everySetCanBeHeldBy() {
        assertThat(ContestRules.keys()).contains("ipf-classic", "ipf-equipped", "ipf-bench", "mock");
        assertThat(ContestRules.keys())
                .allSatisfy(key -> assertThat(ContestRules.named(key).key()).isEqualTo(key));
        assertThat(ContestRules.named("mock").most()).isEqualTo(4);
        assertThat(ContestRules.named("ipf-bench").benchOnly()).isTrue();
        assertThatThrownBy(() -> ContestRules.named("none")).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource({"201.2, 200", "201.25, 200", "201.3, 202.5", "1, 2.5", "200, 200"})
    void loadsAreMultiplesOfTheStep(String load, String nearest) {
        assertThat(RULES.nearest(kg(load))).isEqualTo(kg(nearest));
        assertThat(RULES.isOnStep(RULES.nearest(kg(load)))).isTrue();
    }

    /** What is called where nothing was named within the minute: 2.5 kg more after a good lift, the same after a miss. */
    @Test
    void whatIsNotNamedIsTakenFromTheLastOne() {
        Attempt good = new Attempt(kg("200"), Outcome.MADE);
        Attempt miss = new Attempt(kg("210"), Outcome.MISSED);

        assertThat(RULES.unnamed(List.of())).isEmpty();
        assertThat(RULES.unnamed(List.of(good))).contains(kg("202.5"));
        assertThat(RULES.unnamed(List.of(good, miss))).contains(kg("210"));
        assertThat(RULES.unnamed(List.of(good, miss, miss))).isEmpty();
        assertThat(ContestRules.named("mock").unnamed(List.of(good, miss, miss)))
                .contains(kg("210"));
    }

    @Test
    void aFourthAttemptCountsForNoTotal() {
        Attempt fourth = new Attempt(kg("220"), Outcome.MADE);
        Attempt third = new Attempt(kg("210"), Outcome.MADE);
        Attempt miss = new Attempt(kg("210"), Outcome.MISSED);

        assertThat(Attempt.best(List.of(miss, miss, third, fourth))).contains(kg("210"));
        assertThat(Attempt.best(List.of(miss, miss, miss))).isEmpty();
    }

    @Test
    void aBodyMassFallsIntoTheClassWhoseLimitItDoesNotPass() {
        assertThat(ContestRules.classOf(Sex.MALE, kg("83"))).contains(kg("83"));
        assertThat(ContestRules.classOf(Sex.MALE, kg("83.01"))).contains(kg("93"));
        assertThat(ContestRules.classOf(Sex.FEMALE, kg("84.1"))).isEmpty();
    }

    // ---- who lifts when, and how they stand

    @Test
    void fromLightToHeavyAndByLot() {
        Called heavy = new Called(1, 1, 1, kg("200"), 7);
        Called light = new Called(2, 1, 1, kg("180"), 9);
        Called sameByLot = new Called(3, 1, 1, kg("200"), 3);
        Called secondRound = new Called(2, 1, 2, kg("150"), 9);
        Called secondFlight = new Called(4, 2, 1, kg("100"), 1);

        assertThat(Called.inOrder(List.of(secondFlight, heavy, secondRound, light, sameByLot)))
                .containsExactly(light, sameByLot, heavy, secondRound, secondFlight);
    }

    @Test
    void equalTotalsGoToTheLighterLifter() {
        Standing heavy = new Standing(1, Optional.of(kg("500")), Optional.of(kg("82.9")));
        Standing light = new Standing(2, Optional.of(kg("500")), Optional.of(kg("81.4")));
        Standing out = new Standing(3, Optional.empty(), Optional.of(kg("80")));
        Standing best = new Standing(4, Optional.of(kg("502.5")), Optional.of(kg("83")));

        assertThat(Placed.of(List.of(heavy, light, out, best)))
                .extracting(placed -> placed.standing().who(), Placed::place)
                .containsExactly(
                        tuple(4L, Optional.of(1)),
                        tuple(2L, Optional.of(2)),
                        tuple(1L, Optional.of(3)),
                        tuple(3L, Optional.empty()));
    }

    @Test
    void whereABodyMassIsNotKnownThePlaceIsShared() {
        Standing one = new Standing(1, Optional.of(kg("500")), Optional.empty());
        Standing other = new Standing(2, Optional.of(kg("500")), Optional.of(kg("81")));

        assertThat(Placed.of(List.of(one, other))).extracting(Placed::place).containsOnly(Optional.of(1));
    }

    @ParameterizedTest
    @CsvSource({
        "330, 580, true, 250",
        "330, 580, false, 252.5",
        "330, 581, true, 252.5",
        "330, 300, true, 2.5",
        "330, 330, true, 2.5"
    })
    void whatTheDeadliftMustBe(String subtotal, String theirs, boolean winsTies, String load) {
        Mass needed = Placed.toPass(RULES, kg(subtotal), kg(theirs), winsTies);

        assertThat(needed).isEqualTo(kg(load));
        // a step less would not do
        Mass total = kg(subtotal).plus(needed.minus(RULES.step()));
        assertThat(total.isGreaterThan(kg(theirs)) || winsTies && total.equals(kg(theirs)))
                .isEqualTo(needed.equals(RULES.step()) && !kg(subtotal).isLessThan(kg(theirs)));
    }

    // ---- what was lifted so far

    @Test
    void aScoreCardKnowsWhereALifterIs() {
        Attempt good = new Attempt(kg("150"), Outcome.MADE);
        Attempt miss = new Attempt(kg("160"), Outcome.MISSED);
        ScoreCard card = new ScoreCard(
                RULES,
                Map.of(
                        Lift.SQUAT,
                        List.of(good, miss),
                        Lift.BENCH_PRESS,
                        List.of(new Attempt(kg("90"), Outcome.MADE))));

        assertThat(card.isAt(Lift.BENCH_PRESS)).isTrue();
        assertThat(card.isAt(Lift.SQUAT)).isFalse();
        assertThat(card.isAt(Lift.DEADLIFT)).isTrue();
        assertThat(card.subtotal(Lift.DEADLIFT)).isEqualTo(kg("240"));
        assertThat(card.soFar()).contains(kg("240"));
        assertThat(card.total()).isEmpty();
        assertThat(card.isOut()).isFalse();
    }

    @Test
    void threeMissesEndTheDay() {
        Attempt miss = new Attempt(kg("160"), Outcome.MISSED);
        ScoreCard card = new ScoreCard(RULES, Map.of(Lift.SQUAT, List.of(miss, miss, miss)));

        assertThat(card.isOut()).isTrue();
        assertThat(card.soFar()).isEmpty();
    }
}
