package dev.yarbel.web.book;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class MaxTrendTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 10);

    private static MaxEstimate.Movement moved(int daysAgo) {
        return new MaxEstimate.Movement(
                TODAY.minusDays(daysAgo), Mass.ofKg(200), Mass.ofKg(201), Mass.ofKg(4), List.of());
    }

    private static final LiftRecord SQUAT = new LiftRecord(
            Lift.SQUAT,
            Optional.of(Mass.ofKg(195)),
            List.of(),
            new LiftRecord.Learnt(
                    Optional.of(new MaxEstimate(Mass.ofKg(201), Mass.ofKg(4), List.of(moved(40), moved(10)))),
                    RepCurve.DEFAULT,
                    false,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    Optional.empty(),
                    Optional.empty()),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());

    private static Ledger.WorkingMaxStep step(int daysAgo, Integer before, int after) {
        return new Ledger.WorkingMaxStep(
                TODAY.minusDays(daysAgo).atStartOfDay(ZoneOffset.UTC).toInstant(),
                Optional.ofNullable(before).map(Mass::ofKg),
                Mass.ofKg(after));
    }

    private static List<String> working(Ledger.WorkingMaxStep... steps) {
        return MaxTrend.of(SQUAT, List.of(steps), TODAY, ZoneOffset.UTC).rows().stream()
                .filter(row -> row.kind().equals("WORKING"))
                .map(row -> TODAY.toEpochDay() - row.day() + " days ago " + row.max())
                .toList();
    }

    @Test
    void nobodyMovedItSoItWasWhatItIs() {
        assertThat(working()).containsExactly("40 days ago 195 kg", "0 days ago 195 kg");
    }

    @Test
    void itGoesInStepsFromWhatItWasWhenTheFirstSessionTold() {
        assertThat(working(step(60, null, 180), step(50, 180, 185), step(20, 185, 190), step(5, 190, 195)))
                .containsExactly("40 days ago 185 kg", "20 days ago 190 kg", "5 days ago 195 kg", "0 days ago 195 kg");
    }

    @Test
    void beforeItWasFirstSetThereIsNone() {
        assertThat(working(step(20, null, 195))).containsExactly("20 days ago 195 kg", "0 days ago 195 kg");
    }
}
