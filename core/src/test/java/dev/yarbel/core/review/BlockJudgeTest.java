package dev.yarbel.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Blocks4Tests;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.Recovers;
import dev.yarbel.core.recovery.RecoveryFigures;
import dev.yarbel.core.recovery.Wake;
import dev.yarbel.core.review.Judged.Question;
import dev.yarbel.core.review.Judged.Saying;
import dev.yarbel.core.review.Judged.Verdict;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.Habit;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The checklist that coaches hold a block against. What is asked is common practice (no source), where lines run is ours but for the first. */
class BlockJudgeTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private final KnownFacts facts = new KnownFacts();
    private List<BlockWeek> shape;
    private Optional<LocalDate> contest = Optional.empty();

    /** Of days as {@link Blocks4Tests} reads them. */
    private Map<Question, Judged> judged(int weeks, String... days) {
        List<BlockWeek> of = shape == null
                ? IntStream.range(0, weeks).mapToObj(week -> BlockWeek.PLAIN).toList()
                : shape;
        Block block = new Block(MONDAY, Blocks4Tests.days(weeks, days), of, contest);
        LiftNumbers numbers =
                new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);
        Resolver resolver = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(
                        Map.of(Lift.SQUAT, numbers, Lift.DEADLIFT, numbers, Lift.BENCH_PRESS, numbers),
                        Catalogue.STANDARD.ratios()));
        UnderReview plan = UnderReview.of(
                block, Projection.of(block, resolver, Projection.Log.NONE), resolver, Projection.Log.NONE, facts);
        Wake wake = Wake.of(
                block,
                plan.reckoning().lines(),
                Catalogue.STANDARD,
                RecoveryFigures.START,
                Recovers.UNKNOWN,
                lift -> false);
        return BlockJudge.of(plan, BlockReview.of(plan), Optional.of(wake)).stream()
                .collect(Collectors.toMap(Judged::question, judged -> judged));
    }

    private static List<Object> facts(Judged judged, Saying saying) {
        return judged.lines().stream()
                .filter(line -> line.saying() == saying)
                .findFirst()
                .orElseThrow(() -> new AssertionError("not said: " + saying + " in " + judged))
                .facts();
    }

    private static List<Saying> said(Judged judged) {
        return judged.lines().stream().map(Judged.Line::saying).toList();
    }

    /** The case from outside: 26 repetitions of 122 in contest lifts and close variations are poor. */
    @Test
    void twentySixOfAHundredAndTwentyTwoIsPoor() {
        Judged specificity = judged(
                        1,
                        "0 squat 2x5 70%, leg-press 4x10 @8",
                        "2 bench-press 4x4 75%, dumbbell-row 4x8 @8, triceps-extension 3x8 @8")
                .get(Question.SPECIFICITY);
        assertThat(facts(specificity, Saying.CLOSE_REPS).subList(0, 2)).containsExactly(26, 122);
        assertThat(((Percent) facts(specificity, Saying.CLOSE_REPS).get(2)).figure())
                .isBetween(new BigDecimal("21.3"), new BigDecimal("21.4"));
        assertThat(specificity.verdict()).isEqualTo(Verdict.WEAK);
        assertThat(facts(specificity, Saying.MOST_ELSE)).containsExactly(new Lift("leg-press"), 40);
    }

    @Test
    void aBlockThatBuildsMuscleMayBeBroad() {
        shape = List.of(BlockWeek.of(Phase.MUSCLE));
        assertThat(judged(1, "0 squat 2x5 70%, leg-press 4x10 @8, dumbbell-row 4x8 @8")
                        .get(Question.SPECIFICITY)
                        .verdict())
                .isEqualTo(Verdict.LOOK);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', textBlock = """
                    3x5 75%|3x5 77.5%|3x5 80%|3x5 82.5%; SOUND; HEAVIER
                    3x5 75%|4x5 75%|4x5 75%|5x5 75%;     SOUND; MORE_WORK
                    3x5 75%;                             WEAK;  NO_MORE
                    """)
    void overloadIsMoreOnTheBarOrMoreOfIt(String doses, Verdict verdict, Saying saying) {
        Judged overload = judged(4, "0 squat " + doses).get(Question.OVERLOAD);
        assertThat(overload.verdict()).isEqualTo(verdict);
        assertThat(said(overload)).contains(saying);
    }

    @Test
    void oneLiftWithoutOverloadOfSeveralIsWorthALook() {
        assertThat(judged(4, "0 squat 3x5 75%, bench-press 3x5 75%|3x5 77.5%|3x5 80%|3x5 82.5%")
                        .get(Question.OVERLOAD)
                        .verdict())
                .isEqualTo(Verdict.LOOK);
        assertThat(judged(2, "0 squat 3x5 75%").get(Question.OVERLOAD).verdict())
                .isEqualTo(Verdict.OPEN);
    }

    @ParameterizedTest
    @CsvSource({"8, SOUND", "9, LOOK", "13, WEAK"})
    void fatigueComesOffInTimeOrNot(int weeks, Verdict verdict) {
        Judged fatigue = judged(weeks, "0 squat 3x5 75%").get(Question.FATIGUE);
        assertThat(fatigue.verdict()).isEqualTo(verdict);
        assertThat(facts(fatigue, Saying.LONGEST_STRETCH)).containsExactly(weeks);
    }

    @Test
    void hardDaysThatComeTooSoonAreWorthALook() {
        Judged fatigue = judged(1, "0 squat 3x3 87.5%", "1 squat 3x3 87.5%").get(Question.FATIGUE);
        assertThat(fatigue.verdict()).isEqualTo(Verdict.LOOK);
        assertThat(said(fatigue)).contains(Saying.TOO_SOON);
    }

    @Test
    void anAcheOnALiftIsNoFit() {
        facts.habit = new Habit(Map.of(Lift.SQUAT, 12.0), 8);
        assertThat(judged(1, "0 squat 4x4 85%").get(Question.FIT).verdict()).isEqualTo(Verdict.SOUND);
        facts.aches = List.of(new Ache(Tissue.KNEE, "knee", MONDAY, Set.of(Lift.SQUAT)));
        Judged fit = judged(1, "0 squat 4x4 85%").get(Question.FIT);
        assertThat(fit.verdict()).isEqualTo(Verdict.WEAK);
        assertThat(facts(fit, Saying.MARKED)).hasSize(1);
    }

    /** Back-offs hang on the top, and so on the day where the top does. */
    @Test
    void backOffsFromARatedTopAreSettledByTheDay() {
        Judged rated = judged(1, "0 squat 1 @8; 3x5 -10%").get(Question.AUTO_REGULATION);
        assertThat(facts(rated, Saying.SETTLED).subList(0, 2)).containsExactly(4, 4);
        assertThat(rated.verdict()).isEqualTo(Verdict.SOUND);
        Judged fixed = judged(1, "0 squat 1 90%; 3x5 -10%").get(Question.AUTO_REGULATION);
        assertThat(facts(fixed, Saying.SETTLED).subList(0, 2)).containsExactly(0, 4);
    }

    /** Volume, intensity and frequency cannot all be high. */
    @Test
    void theTriangleIsTold() {
        Judged volume = judged(
                        3,
                        "0 squat 3x5 70%|3x5 75%|4x5 80%",
                        "2 squat 3x5 70%|3x5 75%|4x5 80%",
                        "4 squat -|3x5 75%|4x5 80%")
                .get(Question.VOLUME);
        assertThat(volume.verdict()).isEqualTo(Verdict.WEAK);
        assertThat(said(volume)).contains(Saying.TRIANGLE);
        assertThat(judged(3, "0 squat 3x5 70%|3x5 75%|4x5 80%")
                        .get(Question.VOLUME)
                        .verdict())
                .isEqualTo(Verdict.SOUND);
    }

    @Test
    void aPeakHasSinglesAndThenLess() {
        contest = Optional.of(MONDAY.plusWeeks(8).plusDays(5));
        String squat =
                "0 squat 5x5 75%|5x5 77.5%|5x4 80%|4x3 85%|3x2 87.5%|1x1 90%; 3x3 80%|1x1 92.5%; 2x3 77.5%|2x2 70%|-";
        Judged peak = judged(9, squat).get(Question.PEAK);
        assertThat(facts(peak, Saying.SINGLES)).containsExactly(2);
        assertThat(facts(peak, Saying.CONTEST).get(0)).isEqualTo(contest.get());
        assertThat(peak.verdict()).isEqualTo(Verdict.SOUND);
        Judged flat = judged(9, "0 squat 5x5 75%").get(Question.PEAK);
        assertThat(flat.verdict()).isEqualTo(Verdict.WEAK);
        contest = Optional.empty();
        assertThat(judged(9, "0 squat 5x5 75%").get(Question.PEAK).verdict()).isEqualTo(Verdict.OPEN);
    }

    @Test
    void sessionsAreHeldAgainstTheMinutesThereAre() {
        facts.minutes = Optional.of(30);
        Judged length = judged(1, "0 squat 5x5 80%, bench-press 5x5 80%, deadlift 3x5 80%")
                .get(Question.SESSION_LENGTH);
        assertThat(length.verdict()).isEqualTo(Verdict.WEAK);
        facts.minutes = Optional.of(180);
        assertThat(judged(1, "0 squat 5x5 80%").get(Question.SESSION_LENGTH).verdict())
                .isEqualTo(Verdict.SOUND);
    }

    @Test
    void aLiftLeftAloneIsSaid() {
        Judged frequency = judged(2, "0 squat 3x5 80%", "2 bench-press 3x5 80%", "4 bench-press 3x5 80%")
                .get(Question.FREQUENCY);
        assertThat(frequency.verdict()).isEqualTo(Verdict.LOOK);
        assertThat(facts(frequency, Saying.LEFT_ALONE).get(0)).isEqualTo(Lift.SQUAT);
    }

    /** Whatever a block is, each question has an answer, once, in the order in which coaches ask. */
    @Test
    void everyQuestionIsAnsweredOnce() {
        for (String day : List.of("0 squat 3x5 80%", "0 yoke-walk 3x20m", "0 plank 3x30s", "0 leg-press 3x10 @8")) {
            assertThat(judged(1, day).keySet()).containsExactlyInAnyOrder(Question.values());
        }
    }
}
