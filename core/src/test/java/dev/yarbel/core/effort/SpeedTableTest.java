package dev.yarbel.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.measure.BarSpeed;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpeedTableTest {

    /** Metres a second by the rating, each three times. */
    private static SpeedTable table(String... lines) {
        SpeedTable.Builder builder = new SpeedTable.Builder();
        for (String line : lines) {
            String[] part = line.split(" ");
            for (int i = -1; i <= 1; i++) {
                int millimetres = BarSpeed.parse(part[1]).millimetres() + 10 * i;
                builder.add(Rpe.parse(part[0]), new BarSpeed(millimetres));
            }
        }
        return builder.build();
    }

    private static final SpeedTable SQUAT = table("10 0.22", "9 0.27", "8 0.31", "7 0.37");

    @Test
    void itHoldsWhatWasMeasured() {
        assertThat(SQUAT.isThin()).isFalse();
        assertThat(SQUAT.sets()).isEqualTo(12);
        assertThat(SQUAT.spread().millimetres()).isBetween(9, 12);
        assertThat(SQUAT.lines())
                .extracting(line -> line.barSpeed().toHundredths())
                .containsExactly("0.22", "0.27", "0.31", "0.37");
        assertThat(SQUAT.lines())
                .extracting(SpeedTable.Line::rating)
                .containsExactly(Rpe.LIMIT, Rpe.of(9), Rpe.of(8), Rpe.of(7));
    }

    /** 0.30 to 0.32 m/s is about an 8 in one lifter's squat (common practice, no source): a figure of theirs, not a law. */
    @ParameterizedTest
    @CsvSource({
        "0.305, 8",
        "0.31, 8",
        "0.32, 8",
        "0.22, 10",
        "0.215, 10",
        "0.37, 7",
        "0.375, 7",
        "0.245, 9.5",
        "0.34, 7.5"
    })
    void aSpeedRatesAsItDidBefore(String speed, String rating) {
        assertThat(SQUAT.rating(BarSpeed.parse(speed))).contains(Rpe.parse(rating));
    }

    @Test
    void beyondWhatWasMeasuredItSaysNothing() {
        assertThat(SQUAT.rating(BarSpeed.parse("0.15"))).isEmpty();
        assertThat(SQUAT.rating(BarSpeed.parse("0.55"))).isEmpty();
    }

    @Test
    void fewSetsOrOneSpeedAreTooThin() {
        assertThat(new SpeedTable.Builder().build().isThin()).isTrue();
        assertThat(new SpeedTable.Builder().build().rating(BarSpeed.parse("0.3")))
                .isEmpty();
        SpeedTable three = table("10 0.22", "9 0.27", "8 0.31");
        assertThat(three.isThin()).isTrue();
        assertThat(three.rating(BarSpeed.parse("0.27"))).isEmpty();
        SpeedTable flat = table("10 0.3", "9 0.29", "8 0.28", "7 0.27");
        assertThat(flat.isThin()).isTrue();
    }

    @Test
    void setsWithMoreThanFourLeftAreLeftOut() {
        SpeedTable.Builder builder = new SpeedTable.Builder();
        builder.add(Rpe.of(5), BarSpeed.parse("0.6")).add(Rpe.of(6), BarSpeed.parse("0.5"));
        assertThat(builder.build().sets()).isEqualTo(1);
    }

    /**
     * Isotonic regression in closed form (Barlow, Bartholomew, Bremner and Brunk 1972, <i>Statistical Inference under Order
     * Restrictions</i>, 1.9): each value is the greatest over what begins before it of the least mean over what ends after it.
     */
    @Property
    void theFitIsTheIsotonicRegressionOfTheMeans(@ForAll long seed) {
        Random random = new Random(seed);
        SpeedTable.Builder builder = new SpeedTable.Builder();
        double[] sums = new double[9];
        int[] counts = new int[9];
        for (int i = 0; i < 40; i++) {
            int halves = random.nextInt(9);
            BarSpeed speed = new BarSpeed((int) Math.max(20, 200 + 20 * halves + 80 * random.nextGaussian()));
            builder.add(Rpe.withHalvesLeft(halves), speed);
            sums[halves] += speed.millimetres() / 1000.0;
            counts[halves]++;
        }
        List<Integer> there = new ArrayList<>();
        for (int halves = 0; halves < 9; halves++) {
            if (counts[halves] > 0) {
                there.add(halves);
            }
        }
        List<SpeedTable.Line> lines = builder.build().lines();
        assertThat(lines).extracting(SpeedTable.Line::halvesLeft).containsExactlyElementsOf(there);
        for (int i = 0; i < there.size(); i++) {
            double best = Double.NEGATIVE_INFINITY;
            for (int from = 0; from <= i; from++) {
                double least = Double.POSITIVE_INFINITY;
                for (int to = i; to < there.size(); to++) {
                    double sum = 0;
                    int count = 0;
                    for (int at = from; at <= to; at++) {
                        sum += sums[there.get(at)];
                        count += counts[there.get(at)];
                    }
                    least = Math.min(least, sum / count);
                }
                best = Math.max(best, least);
            }
            assertThat(lines.get(i).speed()).isCloseTo(best, within(1e-9));
        }
    }

    @Property
    void aRatingsOwnSpeedRatesWithHalfARepetitionOfThoseThatMoveAlike(@ForAll long seed) {
        ratesItsOwnSpeed(seed);
    }

    /** Two ratings whose means lie within a millimetre a second of each other: what is written down is the other's. */
    @Test
    void ratingsThatMoveAlmostAlikeAreToldApartNoCloserThanSpeedsAreWrittenDown() {
        ratesItsOwnSpeed(-3449640871424L);
    }

    private static void ratesItsOwnSpeed(long seed) {
        Random random = new Random(seed);
        SpeedTable.Builder builder = new SpeedTable.Builder();
        for (int i = 0; i < 60; i++) {
            int halves = random.nextInt(9);
            builder.add(Rpe.withHalvesLeft(halves), new BarSpeed((int)
                    Math.max(20, 220 + 25 * halves + 25 * random.nextGaussian())));
        }
        SpeedTable table = builder.build();
        for (SpeedTable.Line line : table.lines()) {
            List<Integer> alike = table.lines().stream()
                    // nearer than a speed is written down is alike
                    .filter(other -> Math.abs(other.speed() - line.speed()) < 0.001)
                    .map(SpeedTable.Line::halvesLeft)
                    .toList();
            table.rating(line.barSpeed()).ifPresent(rating -> assertThat(rating.halvesLeft())
                    .isBetween(alike.get(0) - 1, alike.get(alike.size() - 1) + 1));
        }
    }
}
