package dev.yarbel.core.clip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.clip.BarPath.Doubt;
import dev.yarbel.core.clip.BarTrack.Rim;
import dev.yarbel.core.clip.BarTrack.Seen;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Bars that move by known laws: what is found of them must be what went in. */
class BarPathTest {

    /** 90 pixels across: two hundred of them to a metre. */
    private static final Rim RIM = new Rim(160, 300, 90);

    private static final double PIXELS = 200;

    /** A bar whose height, in metres, goes by the time. */
    private static List<Seen> film(double seconds, int perSecond, double noise, DoubleUnaryOperator height) {
        Random random = new Random(4);
        List<Seen> seen = new ArrayList<>();
        for (int picture = 0; picture <= seconds * perSecond; picture++) {
            double second = (double) picture / perSecond;
            seen.add(new Seen(
                    (int) Math.round(1000 * second),
                    160 + noise * random.nextGaussian(),
                    300 - PIXELS * height.applyAsDouble(second) + noise * random.nextGaussian(),
                    0.97));
        }
        return seen;
    }

    private static BarPath path(List<Seen> seen) {
        return BarPath.of(new BarTrack(RIM, seen));
    }

    /** Up and down in a sine, a turn in two seconds: known in closed form. */
    private static double sine(double second) {
        return 0.25 * (1 - Math.cos(Math.PI * second));
    }

    /** Faster than 0.05 m/s of at most 0.25π: the same share of a turn is left out at both ends. */
    private static double meanOfASine() {
        double left = Math.asin(BarPath.MOVES / (0.25 * Math.PI)) / Math.PI;
        return (sine(1 - left) - sine(left)) / (1 - 2 * left);
    }

    @ParameterizedTest
    @CsvSource({"30, 0", "30, 0.2", "60, 0.2", "24, 0.2"})
    void aSinesMeanSpeedIsFound(int perSecond, double noise) {
        BarPath path = path(film(6, perSecond, noise, BarPathTest::sine));

        assertThat(path.doubts()).isEmpty();
        // the first starts before the film does
        assertThat(path.reps()).hasSizeBetween(2, 3);
        for (BarPath.Rep rep : path.reps()) {
            assertThat(rep.speed().millimetres() / 1000.0).isCloseTo(meanOfASine(), within(0.02 * meanOfASine()));
            assertThat(rep.range()).isCloseTo(0.5, within(0.01));
            assertThat(rep.give()).isBetween(5, 40);
            assertThat(rep.slowest()).as("it quickens and slows once").isEmpty();
        }
    }

    @Test
    void whereItSticksIsFound() {
        BarPath path = path(film(4, 30, 0, second -> 0.6 * smooth(Math.max(0, Math.min(1, (second - 1) / 1.5)))));

        assertThat(path.reps()).hasSize(1);
        assertThat(path.reps().get(0).slowest()).hasValueSatisfying(slowest -> {
            assertThat(slowest.millis()).isCloseTo(1750, within(70));
            assertThat(slowest.height()).isCloseTo(0.5, within(0.05));
            assertThat(slowest.millimetres())
                    .isLessThan(path.reps().get(0).speed().millimetres());
        });
    }

    private static double smooth(double share) {
        double slowed = share + 0.6 / (2 * Math.PI) * Math.sin(2 * Math.PI * share);
        return slowed * slowed * slowed * (slowed * (6 * slowed - 15) + 10);
    }

    @Test
    void aBarThatStandsHalfWayUpIsOneRepetition() {
        BarPath path =
                path(film(5, 30, 0.1, second -> 0.3 * ease((second - 1) / 0.8) + 0.3 * ease((second - 2.5) / 0.8)));

        assertThat(path.reps()).hasSize(1);
        assertThat(path.reps().get(0).range()).isCloseTo(0.6, within(0.02));
    }

    private static double ease(double share) {
        double within = Math.max(0, Math.min(1, share));
        return within * within * (3 - 2 * within);
    }

    @Test
    void whatHardlyMovesIsNoRepetition() {
        assertThat(path(film(5, 30, 0.1, second -> 0.1 * ease(second - 1))).reps())
                .isEmpty();
        assertThat(path(film(5, 30, 0.1, second -> 0)).reps()).isEmpty();
        // taken from the rack, then a squat
        assertThat(path(film(
                                8,
                                30,
                                0.1,
                                second -> 0.13 * ease(second - 1) - 0.6 * ease(second - 3) + 0.6 * ease(second - 5)))
                        .reps())
                .hasSize(1);
    }

    @Test
    void aPlateThatWasOutOfSightMeasuresNothingMeanwhile() {
        List<Seen> seen = film(6, 30, 0.1, BarPathTest::sine);
        List<Seen> crossed = seen.stream()
                .map(one -> one.millis() > 2300 && one.millis() < 2900
                        ? new Seen(one.millis(), one.x(), one.y(), 0.3)
                        : one)
                .toList();

        BarPath path = path(crossed);

        assertThat(path.doubts()).contains(Doubt.LOST);
        assertThat(path.reps()).noneMatch(rep -> rep.fromMillis() < 2900 && rep.untilMillis() > 2300);
        assertThat(path.speedOfTheLast(path.reps().size())).isEmpty();
    }

    @Test
    void aFilmThatTakesAWhileToPlayLostNothing() {
        List<Seen> seen = new ArrayList<>(film(6, 30, 0.1, BarPathTest::sine));
        List<Seen> late = new ArrayList<>(seen.subList(10, seen.size()));
        late.add(0, seen.get(0));
        assertThat(path(late).doubts()).isEmpty();

        List<Seen> lost = seen.stream()
                .map(one -> one.millis() > 5600 ? new Seen(one.millis(), one.x(), one.y(), 0.2) : one)
                .toList();
        assertThat(path(lost).doubts()).contains(Doubt.LOST);
    }

    @Test
    void onePictureThatWasNotKnownAgainIsNoLoss() {
        List<Seen> seen = new ArrayList<>(film(6, 30, 0.1, BarPathTest::sine));
        Seen one = seen.get(80);
        seen.set(80, new Seen(one.millis(), one.x() + 30, one.y(), 0.4));

        assertThat(path(seen).doubts()).isEmpty();
        assertThat(path(seen).reps())
                .hasSameSizeAs(path(film(6, 30, 0.1, BarPathTest::sine)).reps());
    }

    @ParameterizedTest
    @ValueSource(doubles = {1.5, 3, 6})
    void aHandThatShakesIsTold(double pixels) {
        assertThat(path(film(6, 30, pixels, BarPathTest::sine)).doubts()).contains(Doubt.SHAKY);
        assertThat(path(film(6, 30, pixels / 10, BarPathTest::sine)).doubts()).doesNotContain(Doubt.SHAKY);
    }

    @Test
    void aFilmThatIsFaintSlowOrSmallIsTold() {
        List<Seen> good = film(6, 30, 0.1, BarPathTest::sine);
        assertThat(path(good.stream()
                                .map(one -> new Seen(one.millis(), one.x(), one.y(), 0.7))
                                .toList())
                        .doubts())
                .containsExactly(Doubt.FAINT);
        assertThat(path(film(6, 12, 0.1, BarPathTest::sine)).doubts()).contains(Doubt.SLOW_FILM);
        assertThat(BarPath.of(new BarTrack(new Rim(160, 300, 20), good)).doubts())
                .contains(Doubt.SMALL);
        assertThat(path(List.of()).doubts()).containsExactly(Doubt.LOST);
        assertThat(path(good.subList(0, 1)).doubts()).contains(Doubt.LOST);
    }

    @Test
    void theLastSpeedIsToldOnlyWhereAllRepetitionsWereSeen() {
        BarPath path = path(film(6, 30, 0.1, BarPathTest::sine));
        int seen = path.reps().size();

        assertThat(path.speedOfTheLast(seen)).contains(path.reps().get(seen - 1).speed());
        assertThat(path.speedOfTheLast(seen + 1)).isEmpty();
        assertThat(path.speedOfTheLast(seen - 1)).isEmpty();
    }

    @Test
    void aTrackComesBackAsItWasWritten() {
        BarTrack track = new BarTrack(RIM, film(2, 30, 0.3, BarPathTest::sine));
        BarTrack back = BarTrack.parse(RIM, track.written());

        assertThat(back.written()).isEqualTo(track.written());
        assertThat(back.seen()).hasSameSizeAs(track.seen());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "1 2 3",
                "1 2 3 4 5",
                "0 1 1 2",
                "x 1 1 1",
                "0 NaN 1 1",
                "0 1e9 1 1",
                "0 1 1 NaN",
                "5 1 1 1\n5 1 1 1",
                "-1 1 1 1"
            })
    void whatIsNoTrackIsRefused(String text) {
        assertThatThrownBy(() -> BarTrack.parse(RIM, text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whatIsNoRimIsRefused() {
        assertThatThrownBy(() -> new Rim(1, 1, 7)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Rim(Double.NaN, 1, 90)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Rim(1, 1, Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }
}
