package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.contest.EventPoints.Overall;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class EventPointsTest {

    private static EventResult result(EventMeasure measure, String text) {
        return EventResult.parse(text, measure);
    }

    private static Map<String, BigDecimal> points(EventMeasure measure, int entered, String... results) {
        Map<String, EventResult> all = new LinkedHashMap<>();
        for (int i = 0; i < results.length; i++) {
            all.put(String.valueOf((char) ('a' + i)), result(measure, results[i]));
        }
        return EventPoints.of(measure, entered, all);
    }

    private static BigDecimal of(String points) {
        return new BigDecimal(points);
    }

    // ---- results as they are written

    @ParameterizedTest
    @CsvSource({
        "12, REPS, 12, , false",
        "~12 reps, REPS, 12, , true",
        "320 kg, LOAD, 320, , false",
        "'22,4 s', TIME, 22.4, , false",
        "20 m / 14.8, DISTANCE, 20, 14.8, false",
        "~5 in 43.2, PIECES, 5, 43.2, true",
        "5 43.2s, PIECES, 5, 43.2, false",
        "0, REPS, 0, , false"
    })
    void resultsAreReadAsPeopleWriteThem(
            String text, EventMeasure measure, String amount, String seconds, boolean guessed) {
        EventResult result = result(measure, text);

        assertThat(result.amount()).isEqualByComparingTo(amount);
        assertThat(result.seconds().map(BigDecimal::toPlainString).orElse(null)).isEqualTo(seconds);
        assertThat(result.guessed()).isEqualTo(guessed);
        assertThat(result(measure, result.written())).isEqualTo(result);
    }

    @ParameterizedTest
    @CsvSource({
        "many, REPS",
        "12 kg, REPS",
        "12 m, LOAD",
        "12 / 30, REPS",
        "-3, REPS",
        "99999, LOAD",
        "1.2.3, TIME",
        "'', TIME"
    })
    void whatIsNoResultIsRefused(String text, EventMeasure measure) {
        assertThatThrownBy(() -> result(measure, text)).isInstanceOf(IllegalArgumentException.class);
    }

    // ---- points

    /** Common practice, no source: n for the win, and the level share the mean of their places. */
    @Test
    void theLevelShareTheirPlaces() {
        assertThat(points(EventMeasure.REPS, 4, "10", "8", "8", "3"))
                .containsEntry("a", of("4"))
                .containsEntry("b", of("2.5"))
                .containsEntry("c", of("2.5"))
                .containsEntry("d", of("1"));
    }

    @Test
    void aTimeTellsApartWhoCameAsFar() {
        assertThat(points(EventMeasure.PIECES, 3, "5 / 43", "5 / 39.5", "4 / 20"))
                .containsEntry("b", of("3"))
                .containsEntry("a", of("2"))
                .containsEntry("c", of("1"));
        assertThat(points(EventMeasure.TIME, 3, "22", "19.5", "30")).containsEntry("b", of("3"));
    }

    @Test
    void whoMovedNothingHasNothing() {
        assertThat(points(EventMeasure.REPS, 5, "4", "0", "0"))
                .containsEntry("a", of("5"))
                .containsEntry("b", BigDecimal.ZERO)
                .containsEntry("c", BigDecimal.ZERO);
    }

    /** Against counting: n less whom one is behind, less half of whom one is level with. */
    @ParameterizedTest
    @EnumSource
    void pointsAreWhatCountingGives(EventMeasure measure) {
        SplittableRandom random = new SplittableRandom(4);
        for (int run = 0; run < 200; run++) {
            int n = 2 + random.nextInt(6);
            Map<Integer, EventResult> results = new LinkedHashMap<>();
            for (int i = 0; i < n; i++) {
                String seconds = measure.hasSeconds() ? " / " + (10 + random.nextInt(3)) : "";
                results.put(i, result(measure, (1 + random.nextInt(4)) + seconds));
            }
            Map<Integer, BigDecimal> points = EventPoints.of(measure, n, results);
            results.forEach((who, own) -> {
                double counted = n;
                for (Map.Entry<Integer, EventResult> other : results.entrySet()) {
                    int order = measure.best().compare(other.getValue(), own);
                    if (!other.getKey().equals(who)) {
                        counted -= order < 0 ? 1 : order == 0 ? 0.5 : 0;
                    }
                }
                assertThat(points.get(who).doubleValue()).isEqualTo(counted);
            });
            assertThat(points.values().stream()
                            .mapToDouble(BigDecimal::doubleValue)
                            .sum())
                    .isCloseTo(n * (n + 1) / 2.0, within(1e-9));
        }
    }

    @Test
    void asManyPointsGoToWhoWonMore() {
        List<Map<String, BigDecimal>> events = List.of(
                Map.of("a", of("3"), "b", of("2"), "c", of("1")),
                Map.of("a", of("1"), "b", of("2"), "c", of("3")),
                Map.of("a", of("2"), "b", of("2"), "c", of("2")));

        List<Overall<String>> overall = EventPoints.overall(3, List.of("b", "a", "c"), events);

        assertThat(overall).extracting(Overall::who).containsExactly("a", "c", "b");
        assertThat(overall).extracting(Overall::place).containsExactly(1, 1, 3);
    }

    // ---- where the next point is cheapest

    @Test
    void moreIsWorthMostWhereTheFieldIsDense() {
        List<EventResult> dense = List.of(
                result(EventMeasure.REPS, "~9"), result(EventMeasure.REPS, "~10"), result(EventMeasure.REPS, "~11"));
        List<EventResult> apart = List.of(
                result(EventMeasure.REPS, "~3"), result(EventMeasure.REPS, "~4"), result(EventMeasure.REPS, "~25"));
        EventResult own = result(EventMeasure.REPS, "~10");

        CheapestPoint near = CheapestPoint.of(EventMeasure.REPS, own, dense);
        CheapestPoint far = CheapestPoint.of(EventMeasure.REPS, own, apart);

        assertThat(near.unitMore()).isGreaterThan(5 * far.unitMore());
        assertThat(near.next().map(CheapestPoint.Ahead::by)).contains(of("1"));
        assertThat(far.next().map(CheapestPoint.Ahead::by)).contains(of("15"));
        // nothing is lost by saving oneself where nobody is near
        assertThat(far.percentLess()).isLessThan(0.01);
        assertThat(near.percentLess()).isGreaterThan(0.3);
    }

    /** A course of 40 m ends there: who came as far is passed by seconds. */
    @Test
    void whereOthersCameAsFarMoreIsAShorterTime() {
        EventResult own = result(EventMeasure.DISTANCE, "~40 / 24");
        List<EventResult> others = List.of(
                result(EventMeasure.DISTANCE, "40 / 22"),
                result(EventMeasure.DISTANCE, "~40 / 27"),
                result(EventMeasure.DISTANCE, "~31"));

        CheapestPoint point = CheapestPoint.of(EventMeasure.DISTANCE, own, others);

        assertThat(point.byTime()).isTrue();
        assertThat(point.next().map(CheapestPoint.Ahead::by)).contains(of("2"));
        assertThat(point.unitMore()).isBetween(0.05, 0.5);
        assertThat(CheapestPoint.of(EventMeasure.DISTANCE, result(EventMeasure.DISTANCE, "~40"), others)
                        .byTime())
                .isFalse();
    }

    /** Somebody came as far and is slower, the next better one farther: that is metres, and no time. */
    @Test
    void whoeverIsAheadByMetresIsNotAheadBySeconds() {
        CheapestPoint point = CheapestPoint.of(
                EventMeasure.DISTANCE,
                result(EventMeasure.DISTANCE, "~40 / 24"),
                List.of(result(EventMeasure.DISTANCE, "~40 / 27"), result(EventMeasure.DISTANCE, "~45 / 30")));
        CheapestPoint.Ahead ahead = point.next().orElseThrow();

        assertThat(point.byTime()).isTrue();
        assertThat(ahead.byTime()).isFalse();
        assertThat(ahead.by()).isEqualByComparingTo("5");
        assertThat(ahead.level().amount()).isEqualByComparingTo("45");
        assertThat(ahead.level().seconds()).isEmpty();
    }

    @Test
    void aFasterTimeIsMoreAndALeaderHasNobodyToPass() {
        EventResult own = result(EventMeasure.TIME, "~20");
        List<EventResult> others = List.of(result(EventMeasure.TIME, "22"), result(EventMeasure.TIME, "~25"));

        CheapestPoint point = CheapestPoint.of(EventMeasure.TIME, own, others);

        assertThat(point.points()).isBetween(2.0, 3.0);
        assertThat(point.unitMore()).isPositive();
        assertThat(point.next()).isEmpty();
        assertThatThrownBy(() -> CheapestPoint.of(EventMeasure.REPS, result(EventMeasure.REPS, "0"), List.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** What may be expected, beside many contests drawn. */
    @ParameterizedTest
    @CsvSource({"REPS, ~10", "LOAD, ~280", "TIME, ~21", "DISTANCE, ~35"})
    void expectedPointsAreThoseOfManyDrawnContests(EventMeasure measure, String text) {
        EventResult own = result(measure, text);
        List<EventResult> others = new ArrayList<>();
        for (double share : new double[] {0.85, 0.97, 1, 1.08, 1.3}) {
            String amount = BigDecimal.valueOf(own.amount().doubleValue() * share)
                    .setScale(2, RoundingMode.HALF_UP)
                    .toPlainString();
            others.add(result(measure, (share == 1.08 ? "" : "~") + amount));
        }
        SplittableRandom random = new SplittableRandom(7);
        double drawn = 0;
        int runs = 40_000;
        for (int run = 0; run < runs; run++) {
            double mine = draw(own, random);
            drawn += 1;
            for (EventResult other : others) {
                double theirs = draw(other, random);
                drawn += (measure.isFewer() ? mine < theirs : mine > theirs) ? 1 : 0;
            }
        }

        assertThat(CheapestPoint.of(measure, own, others).points()).isCloseTo(drawn / runs, within(0.03));
    }

    private static double draw(EventResult result, SplittableRandom random) {
        double amount = result.amount().doubleValue();
        return result.guessed() ? amount * (1 + 0.1 * random.nextGaussian()) : amount;
    }
}
