package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.contest.TowardClass.Judgement;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.time.LocalDate;
import java.util.Map;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TowardClassTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 10);
    private static final Mass LIMIT = Mass.ofKg(74);

    private static TreeMap<LocalDate, Mass> weighed(String... kgByDaysAgo) {
        TreeMap<LocalDate, Mass> weighed = new TreeMap<>();
        for (String one : kgByDaysAgo) {
            String[] parts = one.split(":");
            weighed.put(TODAY.minusDays(Long.parseLong(parts[0])), Mass.of(parts[1], MassUnit.KG));
        }
        return weighed;
    }

    private static TowardClass of(int days, boolean minor, String... weighed) {
        return TowardClass.of(weighed(weighed), LIMIT, TODAY, TODAY.plusDays(days), minor)
                .orElseThrow();
    }

    /** 75.48 kg in 14 days to 74 kg: 1.48 kg are 1.96 % of it, 0.98 % a week. */
    @Test
    void whatWouldHaveToGoIsAShareOfBodyMassAWeek() {
        TowardClass sound = of(14, false, "0:75.48");
        assertThat(sound.asked().figure().doubleValue()).isCloseTo(0.98, within(0.005));
        assertThat(sound.judgement()).isEqualTo(Judgement.NOT_YET);
        assertThat(of(14, false, "0:75.55").judgement()).isEqualTo(Judgement.TOO_FAST);
    }

    @ParameterizedTest
    @CsvSource({
        "0:73.5, false, INSIDE",
        "0:74, false, INSIDE",
        "0:74.2, true, MINOR",
        "0:74, true, INSIDE",
        "0:74.2, false, NOT_YET"
    })
    void whoIsInsideNeedsNothingAndAMinorCutsNothing(String weighed, boolean minor, Judgement judged) {
        assertThat(of(42, minor, weighed).judgement()).isEqualTo(judged);
    }

    /** Half a kilogram a week down from 78 kg: 75 kg today, 72 kg in six weeks. */
    @Test
    void theTrendGoesOnToTheDay() {
        String[] falling = {"42:78", "28:77", "14:76", "0:75"};
        TowardClass seen = of(42, false, falling);
        assertThat(seen.trend().orElseThrow().then().in(MassUnit.KG).doubleValue())
                .isCloseTo(72, within(0.01));
        assertThat(seen.trend().orElseThrow().each().figure().doubleValue()).isCloseTo(-0.667, within(0.001));
        assertThat(seen.judgement()).isEqualTo(Judgement.ON_THE_WAY);
        assertThat(of(42, false, "42:72", "28:72.5", "14:73", "0:73.5").judgement())
                .isEqualTo(Judgement.LEAVING);
        assertThat(of(42, false, "28:75", "14:75.2", "0:75.1").judgement()).isEqualTo(Judgement.NOT_YET);
    }

    /** Whoever loses more than a percent a week is warned, wherever they stand. */
    @Test
    void losingFastIsTooFastInsideTheClassToo() {
        assertThat(of(42, false, "21:76", "14:75", "7:74", "0:73").judgement()).isEqualTo(Judgement.TOO_FAST);
    }

    /** Two weighings, or a week of them, are no trend; nor is what lies further back than six weeks, or ahead. */
    @Test
    void littleSaysNothing() {
        assertThat(of(42, false, "14:76", "0:75").trend()).isEmpty();
        assertThat(of(42, false, "9:76", "5:75.5", "0:75").trend()).isEmpty();
        assertThat(of(42, false, "10:76", "5:75.5", "0:75").trend()).isPresent();
        assertThat(of(42, false, "60:80", "50:78", "0:75").trend()).isEmpty();
        TreeMap<LocalDate, Mass> ahead = weighed("0:75");
        ahead.put(TODAY.plusDays(1), Mass.ofKg(70));
        assertThat(TowardClass.of(ahead, LIMIT, TODAY, TODAY.plusDays(42), false)
                        .orElseThrow()
                        .last())
                .isEqualTo(Mass.ofKg(75));
        assertThat(TowardClass.of(new TreeMap<>(Map.of()), LIMIT, TODAY, TODAY.plusDays(42), false))
                .isEmpty();
    }

    /** The nearer the day, the more would have to go each week; nobody inside is asked for anything. */
    @Property
    void nearerAsksMore(@ForAll @IntRange(min = 60, max = 90) int kg, @ForAll @IntRange(min = 1, max = 120) int days) {
        TowardClass near = of(days, false, "0:" + kg);
        TowardClass far = of(days + 1, false, "0:" + kg);
        assertThat(near.asked().isLessThan(far.asked())).isFalse();
        assertThat(near.asked().isGreaterThan(dev.yarbel.core.measure.Percent.ZERO))
                .isEqualTo(kg > 74);
    }
}
