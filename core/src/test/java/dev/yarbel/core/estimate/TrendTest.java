package dev.yarbel.core.estimate;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class TrendTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 10);

    /** An estimate moved on each of some days ago, to so many kilograms each, from the first. */
    private static MaxEstimate moved(String first, int[] daysAgo, String... to) {
        List<MaxEstimate.Movement> movements = new ArrayList<>();
        Mass before = Mass.of(first, KG);
        for (int i = 0; i < daysAgo.length; i++) {
            Mass after = Mass.of(to[i], KG);
            movements.add(
                    new MaxEstimate.Movement(TODAY.minusDays(daysAgo[i]), before, after, Mass.ofKg(4), List.of()));
            before = after;
        }
        return new MaxEstimate(before, Mass.ofKg(5), movements);
    }

    @Test
    void moreThanTwoAndAHalfPercentIsAMovement() {
        assertThat(Trend.of(moved("200", new int[] {20, 6}, "203", "205.1"), TODAY))
                .contains(new Trend(Trend.Direction.UP, Mass.of("5.1", KG), TODAY.minusDays(20), 2));
        assertThat(Trend.of(moved("200", new int[] {20, 6}, "203", "205"), TODAY)
                        .orElseThrow()
                        .direction())
                .isEqualTo(Trend.Direction.STANDING);
        assertThat(Trend.of(moved("200", new int[] {20, 6}, "197", "195"), TODAY)
                        .orElseThrow()
                        .direction())
                .isEqualTo(Trend.Direction.STANDING);
        Trend down =
                Trend.of(moved("200", new int[] {20, 6}, "197", "194.9"), TODAY).orElseThrow();
        assertThat(down.direction()).isEqualTo(Trend.Direction.DOWN);
        assertThat(down.by()).isEqualTo(Mass.of("-5.1", KG));
    }

    @Test
    void onlyTheLastSixWeeksCount() {
        // what rose before the window is no rise within it
        Trend trend = Trend.of(moved("150", new int[] {42, 41, 6}, "200", "200", "200.5"), TODAY)
                .orElseThrow();
        assertThat(trend.direction()).isEqualTo(Trend.Direction.STANDING);
        assertThat(trend.since()).isEqualTo(TODAY.minusDays(41));
        assertThat(trend.sessions()).isEqualTo(2);
    }

    @Test
    void sessionsLessThanTwoWeeksApartAreNoTrend() {
        assertThat(Trend.of(moved("200", new int[] {20, 7}, "205", "210"), TODAY))
                .isEmpty();
        assertThat(Trend.of(moved("200", new int[] {20, 6}, "205", "210"), TODAY))
                .isPresent();
        assertThat(Trend.of(moved("200", new int[] {}), TODAY)).isEmpty();
    }
}
