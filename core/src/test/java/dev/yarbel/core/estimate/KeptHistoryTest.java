package dev.yarbel.core.estimate;

import static dev.yarbel.core.estimate.Logs.BENCH_140;
import static dev.yarbel.core.estimate.Logs.CLOSE_GRIP;
import static dev.yarbel.core.estimate.Logs.FIRST;
import static dev.yarbel.core.estimate.Logs.SQUAT_200;
import static dev.yarbel.core.estimate.Logs.kg;
import static dev.yarbel.core.estimate.Logs.on;
import static dev.yarbel.core.estimate.Logs.set;
import static dev.yarbel.core.estimate.Logs.squat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A history goes on from where it was kept as if it had never been interrupted. */
class KeptHistoryTest {

    private static final StrengthFilter FILTER = new StrengthFilter(Catalogue.STANDARD, Overrules.NONE);
    private static final List<MaxOnRecord> MAXES =
            List.of(SQUAT_200, BENCH_140, new MaxOnRecord(Lift.SQUAT, Mass.ofKg(207), FIRST.plusDays(101)));

    /** Forty weeks of three lifts with all that sets can be: speeds, set-ups of their own, misses, warm-ups, a break. */
    private static List<LiftedSession> log() {
        Random random = new Random(7);
        List<LiftedSession> log = new ArrayList<>();
        for (int week = 0; week < 40; week++) {
            if (week % 13 != 12) {
                double kg = 150 + 5 * random.nextInt(7);
                String[] rated = List.of("7 0.44", "8 0.38", "8.5 0.34", "9 0.30")
                        .get(random.nextInt(4))
                        .split(" ");
                LiftedSet fast = squat(kg, 3, rated[0]).with(SetDetails.NONE.with(BarSpeed.parse(rated[1])));
                LiftedSet slow = squat(140, 5, "8").with(SetDetails.NONE.asked(SetUp.parse("tempo 4020")));
                log.add(on(7 * week + 1, squat(100, 5, "easy"), fast, fast, slow));
                log.add(on(
                        7 * week + 4,
                        set(Lift.BENCH_PRESS, 115, 3, week % 5 == 0 ? "missed" : "8"),
                        set(CLOSE_GRIP, 100, 5, "8")));
            }
        }
        return log;
    }

    private static String figures(StrengthHistory history, LocalDate day) {
        LifterStrength strength = history.on(day);
        StringBuilder figures = new StringBuilder();
        for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, CLOSE_GRIP)) {
            MaxEstimate max = strength.estimate(lift).orElseThrow();
            figures.append(max.max())
                    .append(max.spread())
                    .append(strength.ratingBias(lift))
                    .append(strength.curve(lift))
                    .append(strength.setUps(lift))
                    .append(strength.ratio(lift))
                    .append(max.movements());
        }
        return figures.toString();
    }

    @Test
    void goingOnFromAnySessionComesToTheSame() {
        List<LiftedSession> log = log();
        StrengthHistory whole = StrengthHistory.of(FILTER, MAXES, log);
        LocalDate day = FIRST.plusDays(300);
        String expected = figures(whole, day);
        assertThat(whole.steps()).hasSameSizeAs(log);
        for (int kept = 1; kept <= log.size(); kept++) {
            LocalDate last = log.get(kept - 1).date();
            LocalDate speeds = last.minusDays(StrengthHistory.DAYS_OF_SPEEDS);
            Map<Lift, List<MaxEstimate.Movement>> moved = new HashMap<>();
            whole.steps().subList(0, kept).forEach(step -> step.movements()
                    .forEach((lift, movement) ->
                            moved.computeIfAbsent(lift, of -> new ArrayList<>()).add(movement)));
            StrengthHistory.Kept known = new StrengthHistory.Kept(
                    LifterBelief.parse(whole.steps().get(kept - 1).after().kept()),
                    log.subList(0, kept).stream()
                            .filter(session -> !session.date().isBefore(speeds))
                            .toList(),
                    moved);
            StrengthHistory later =
                    StrengthHistory.of(FILTER, Optional.of(known), MAXES, log.subList(kept, log.size()));
            assertThat(figures(later, day)).as("kept after session " + kept).isEqualTo(expected);
        }
    }

    @Test
    void speedsOfLongAgoAreNoWitness() {
        assertThat(after(280, squat(170, 3, "9").with(SetDetails.NONE.with(BarSpeed.parse("0.44")))))
                .isNotEqualTo(after(280, squat(170, 3, "9")));
        // half a year without a sensor later
        assertThat(after(500, squat(170, 3, "9").with(SetDetails.NONE.with(BarSpeed.parse("0.44")))))
                .isEqualTo(after(500, squat(170, 3, "9")));
    }

    private static double after(int day, LiftedSet last) {
        List<LiftedSession> log = log();
        log.add(on(day, last));
        return kg(StrengthHistory.of(FILTER, MAXES, log), Lift.SQUAT, day);
    }

    /** Whoever sees this fail has made the estimator believe something else: then its version moves on with these figures. */
    @Test
    void theVersionBelongsToTheseFigures() {
        StrengthHistory whole = StrengthHistory.of(FILTER, MAXES, log());
        assertThat(StrengthFilter.VERSION).isEqualTo(1);
        assertThat(kg(whole, Lift.SQUAT, 300)).isCloseTo(205.465, within(0.01));
        assertThat(kg(whole, Lift.BENCH_PRESS, 300)).isCloseTo(131.206, within(0.01));
        assertThat(kg(whole, CLOSE_GRIP, 300)).isCloseTo(128.809, within(0.01));
    }
}
