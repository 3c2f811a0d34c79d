package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.contest.Points.Event;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PointsTest {

    private static Event classic(Sex sex) {
        return new Event(sex, false, false);
    }

    private static double points(Points points, Sex sex, String body, String total) {
        return points.worth(classic(sex), Mass.of(body, MassUnit.KG), Mass.of(total, MassUnit.KG))
                .orElseThrow();
    }

    /** Worked out apart from this program, in another language, from the constants of the published IPF GL table (2020). */
    @ParameterizedTest
    @CsvSource({
        "MALE, 93, 700, 91.575",
        "MALE, 83, 600, 83.056",
        "FEMALE, 63, 400, 87.513",
    })
    void glOfClassicTotals(Sex sex, String body, String total, double worth) {
        assertThat(points(Points.IPF_GL, sex, body, total)).isCloseTo(worth, within(0.001));
    }

    /**
     * Facts of the printed Wilks table, from memory: a man of 100 kg has the coefficient 0.6086, of 75 kg 0.7126; a woman of 60 kg
     * 1.1149.
     */
    @ParameterizedTest
    @CsvSource({"MALE, 100, 0.6086", "MALE, 75, 0.7126", "FEMALE, 60, 1.1149"})
    void wilksAsPrinted(Sex sex, String body, double coefficient) {
        assertThat(points(Points.WILKS, sex, body, "500") / 500).isCloseTo(coefficient, within(0.0001));
    }

    /** The polynomial as it is published, summed term by term. */
    @ParameterizedTest
    @CsvSource({
        "MALE, 100, -307.75076, 24.0900756, -0.1918759221, 0.0007391293, -0.000001093",
        "FEMALE, 60, -57.96288, 13.6175032, -0.1126655495, 0.0005158568, -0.0000010706"
    })
    void dotsTermByTerm(Sex sex, double x, double e, double d, double c, double b, double a) {
        double expected = 500 * 500 / (e + d * x + c * Math.pow(x, 2) + b * Math.pow(x, 3) + a * Math.pow(x, 4));

        assertThat(points(Points.DOTS, sex, String.valueOf(x), "500")).isCloseTo(expected, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "DOTS, MALE, 39.9", "DOTS, MALE, 210.1", "DOTS, FEMALE, 39.9", "DOTS, FEMALE, 150.1",
        "WILKS, MALE, 39.9", "WILKS, MALE, 202", "WILKS, FEMALE, 26", "WILKS, FEMALE, 155",
        "IPF_GL, MALE, 34", "IPF_GL, FEMALE, 251"
    })
    void outsideTheirRangeThereAreNone(Points points, Sex sex, String body) {
        assertThat(points.worth(classic(sex), Mass.of(body, MassUnit.KG), Mass.ofKg(300)))
                .isEmpty();
    }

    /** Over the range: finite, more for a lighter lifter of the same total, in step with the total, the same with kg and lb. */
    @Test
    void aLighterLifterIsWorthMoreAllOverTheRange() {
        for (Points points : Points.values()) {
            for (Sex sex : Sex.values()) {
                double before = Double.MAX_VALUE;
                for (int body = 40; body <= 145; body++) {
                    double worth = points(points, sex, String.valueOf(body), "300");
                    assertThat(worth).isPositive().isLessThan(before);
                    assertThat(points(points, sex, String.valueOf(body), "600")).isCloseTo(2 * worth, within(1e-9));
                    before = worth;
                }
            }
        }
    }

    @Test
    void aBenchPressAloneHasItsOwnTable() {
        Event bench = new Event(Sex.MALE, false, true);

        assertThat(Points.IPF_GL.worth(bench, Mass.ofKg(83), Mass.ofKg(160)).orElseThrow())
                .isCloseTo(100 * 160 / (320.98041 - 281.40258 * Math.exp(-0.01008 * 83)), within(1e-9));
        assertThat(Points.DOTS.worth(bench, Mass.ofKg(83), Mass.ofKg(160))).isEmpty();
        assertThat(Points.WILKS.worth(bench, Mass.ofKg(83), Mass.ofKg(160))).isEmpty();
    }

    @Test
    void noTotalHasNoPoints() {
        assertThat(Points.IPF_GL.worth(classic(Sex.FEMALE), Mass.ofKg(60), Mass.ZERO))
                .isEmpty();
    }
}
