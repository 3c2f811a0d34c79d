package dev.yarbel.core.recovery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.MaxEstimate.Contribution;
import dev.yarbel.core.estimate.MaxEstimate.Movement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.recovery.GapsSeen.Says;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a log says of how long a lift needs. Lifters of whom it is known are invented. */
class GapsSeenTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Mass MAX = Mass.ofKg(200);

    /** A session of three hard squats that speak for so many percent more or less than was expected. */
    private static Movement session(LocalDate day, double percent) {
        Mass spokenFor = MAX.times(Percent.of(BigDecimal.valueOf(100 + percent).setScale(3, RoundingMode.HALF_UP)));
        LiftedSet set = new LiftedSet(Lift.SQUAT, Mass.ofKg(172), 3, new Effort.Rated(Rpe.of(8)));
        Contribution each = new Contribution(set, spokenFor, Percent.of(33), Mass.ZERO);
        return new Movement(day, MAX, MAX, Mass.ofKg(5), Collections.nCopies(3, each));
    }

    /** Sessions two and five days apart, by turns; after the short gaps so many percent less is there. */
    private static Optional<GapsSeen> seen(int weeks, double less, double noise, long seed) {
        Random random = new Random(seed);
        List<Movement> sessions = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            sessions.add(session(MONDAY.plusWeeks(week), noise * random.nextGaussian()));
            sessions.add(session(MONDAY.plusWeeks(week).plusDays(2), noise * random.nextGaussian() - less));
        }
        return GapsSeen.of(Lift.SQUAT, new MaxEstimate(MAX, Mass.ofKg(5), sessions), RecoveryKnown.START);
    }

    @Test
    void gapsAreShortOrLongBesideWhatAHardDayNeeds() {
        GapsSeen seen = seen(6, 3, 0, 1).orElseThrow();
        assertThat(seen.needed()).isEqualTo(84);
        assertThat(seen.afterShort().sessions()).isEqualTo(6);
        assertThat(seen.afterLong().sessions()).isEqualTo(5);
        assertThat(seen.apart()).isCloseTo(-3, within(0.01));
        assertThat(seen.says()).isEqualTo(Says.LONGER);
        // 84 hours and 15 %, to six hours
        assertThat(seen.proposed()).contains(96);
    }

    /** Over many logs: what is there is mostly found, and nothing is made of nothing too often. */
    @ParameterizedTest
    @CsvSource({"4, LONGER, 0.9", "0, SHORTER, 0.5", "0, LONGER, -0.12", "4, SHORTER, -0.02"})
    void whatIsThereIsFound(double less, Says says, double share) {
        int found = 0;
        for (int seed = 0; seed < 400; seed++) {
            found += seen(16, less, 2, seed).orElseThrow().says() == says ? 1 : 0;
        }
        double of = found / 400.0;
        if (share > 0) {
            assertThat(of).isGreaterThan(share);
        } else {
            assertThat(of).isLessThan(-share);
        }
    }

    @Test
    void fewSessionsSayNothing() {
        assertThat(seen(3, 5, 0, 1).orElseThrow().says()).isEqualTo(Says.TOO_FEW);
        assertThat(seen(3, 5, 0, 1).orElseThrow().proposed()).isEmpty();
        assertThat(seen(0, 5, 0, 1)).isEmpty();
        GapsSeen one = seen(1, 5, 0, 1).orElseThrow();
        assertThat(one.afterLong().sessions()).isZero();
        assertThat(one.doubt()).isZero();
        assertThat(one.says()).isEqualTo(Says.TOO_FEW);
    }

    /** The ends of what can be proposed are those of what can be set. */
    @Test
    void whatIsProposedCanBeSet() {
        for (int hours : List.of(RecoveryFigures.LEAST, 13, 60, RecoveryFigures.MOST)) {
            Map<Lift, Integer> set = new HashMap<>(Map.of(Lift.SQUAT, hours));
            RecoveryFigures figures = RecoveryFigures.START.with(set, Map.of());
            List<Movement> sessions = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                sessions.add(session(MONDAY.plusDays(3L * i), i % 2 == 0 ? 1 : -1));
            }
            GapsSeen.of(
                            Lift.SQUAT,
                            new MaxEstimate(MAX, Mass.ofKg(5), sessions),
                            new RecoveryKnown(figures, Recovers.UNKNOWN))
                    .flatMap(GapsSeen::proposed)
                    .ifPresent(proposed -> assertThat(proposed).isBetween(RecoveryFigures.LEAST, RecoveryFigures.MOST));
        }
    }
}
