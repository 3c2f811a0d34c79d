package dev.yarbel.lab.proof;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.effort.SpeedTable;
import dev.yarbel.core.estimate.SpeedTables;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.UsualKit;
import dev.yarbel.lab.lifter.Life;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * How far the speed tables of the last half year lie off the truth: the speed of the last repetition of a set of three to five of which so many are left as
 * the lifter would say, who leans one way.
 */
final class SpeedProof {

    private static final int WEEKS = 26;
    private static final int REPS = 4;

    private final List<Double> speeds = new ArrayList<>();
    private final List<Double> repetitions = new ArrayList<>();
    private int thin;
    private int tables;

    static SpeedProof of(List<Life> lives) {
        SpeedProof proof = new SpeedProof();
        lives.forEach(proof::measure);
        return proof;
    }

    private void measure(Life life) {
        LocalDate since = life.weeks().get(life.weeks().size() - 1).last().minusWeeks(WEEKS);
        List<LiftedSession> log = life.sessions().stream()
                .filter(session -> session.date().isAfter(since))
                .toList();
        SpeedTables of = SpeedTables.of(new UsualKit(Catalogue.STANDARD, Map.of()), log);
        life.speeds().forEach((lift, truth) -> {
            tables++;
            of.of(lift)
                    .filter(table -> !table.isThin())
                    .ifPresentOrElse(
                            table -> measure(table, truth, life.habits().get(lift)), () -> thin++);
        });
    }

    private void measure(SpeedTable table, Life.Speed truth, Life.Habit habit) {
        for (SpeedTable.Line line : table.lines()) {
            double left = Math.max(0, line.halvesLeft() / 2.0 - habit.bias());
            speeds.add(Math.abs(line.speed() - truth.of(REPS, left, habit)));
        }
        for (int halves = 2; halves <= 6; halves += 2) {
            double left = Math.max(0, halves / 2.0 - habit.bias());
            int millimetres = (int) Math.round(1000 * truth.of(REPS, left, habit));
            int said = halves;
            table.rating(new BarSpeed(millimetres))
                    .map(Rpe::halvesLeft)
                    .ifPresent(read -> repetitions.add(Math.abs(read - said) / 2.0));
        }
    }

    /** In metres a second, in the middle of all lines of all tables. */
    double medianSpeed() {
        return Lives.median(speeds);
    }

    /** In repetitions left, of true speeds read off the tables. */
    double medianRepetitions() {
        return Lives.median(repetitions);
    }

    String table() {
        return String.format(
                Locale.ROOT,
                """
                | | error in the middle | nine of ten within |
                |---|---:|---:|
                | a line of the table, m/s | %.3f | %.3f |
                | repetitions left read off it | %.1f | %.1f |

                %d %% of the tables were too thin to go by.
                """,
                medianSpeed(),
                Lives.quantile(speeds, 0.9),
                medianRepetitions(),
                Lives.quantile(repetitions, 0.9),
                Math.round(100.0 * thin / tables));
    }
}
