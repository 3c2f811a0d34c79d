package dev.yarbel.web.demo;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.school.BlockRequest;
import dev.yarbel.core.school.BlockWriter;
import dev.yarbel.core.school.LiftRequest;
import dev.yarbel.core.school.Means;
import dev.yarbel.core.school.Purpose;
import dev.yarbel.core.school.School;
import dev.yarbel.core.shape.Deload;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The blocks the invented lifters train by. */
final class DemoBlocks {

    private DemoBlocks() {}

    static Block threeDays(LocalDate start) {
        return new Block(
                start,
                4,
                List.of(
                        new TrainingDay(
                                "Squat day",
                                0,
                                List.of(
                                        slot("A", Lift.SQUAT, "1 @7", "1 @8", "1 @8", "1 @8.5"),
                                        slot("B", Lift.SQUAT, "5x5 -24%", "5x5 -22%", "4x5 -20%", "3x5 -20%"),
                                        slot(
                                                "C",
                                                Lift.BENCH_PRESS,
                                                "4x8 70% rest 120 tempo 3010",
                                                "4x8 72.5% rest 120 tempo 3010",
                                                "4x7 75% rest 120 tempo 3010",
                                                "3x6 77.5% rest 120"))),
                        new TrainingDay(
                                "Bench day",
                                2,
                                List.of(
                                        slot("A", Lift.BENCH_PRESS, "1 @7", "1 @8", "1 @8", "1 @8.5"),
                                        slot("B", Lift.BENCH_PRESS, "5x5 -18%", "5x5 -16%", "4x5 -15%", "3x5 -15%"),
                                        slot("C", Lift.SQUAT, "3x5 70%", "3x5 72.5%", "3x4 75%", "3x3 77.5%"),
                                        slot(
                                                "D",
                                                Lift.OVERHEAD_PRESS,
                                                "3x10 65%",
                                                "3x10 67.5%",
                                                "3x8 70%",
                                                "2x8 70%"))),
                        new TrainingDay(
                                "Pull day",
                                4,
                                List.of(
                                        slot("A", Lift.DEADLIFT, "1 @7", "1 @8", "1 @8", "1 @8.5"),
                                        slot("B", Lift.DEADLIFT, "4x4 -22%", "4x4 -20%", "3x3 -18%", "2x3 -18%"),
                                        slot("C", Lift.SQUAT, "3x6 65%", "3x6 67.5%", "3x5 70%", "2x5 70%")))));
    }

    /** Muscle, strength and a peak toward a contest, as the school of phases draws it. */
    static Block towardContest(LocalDate start, LocalDate contest) {
        Map<Lift, LiftRequest> lifts = new LinkedHashMap<>();
        for (Lift lift : List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)) {
            lifts.put(lift, LiftRequest.of(School.PHASES));
        }
        return BlockWriter.write(
                BlockRequest.of(start, 12, List.of(0, 2, 4), lifts)
                        .withDeload(4, Deload.HALF_SETS)
                        .toward(Optional.of(contest))
                        .with(Means.of(Catalogue.STANDARD, lift -> lift.key().equals("romanian-deadlift"))),
                day -> List.of("First day", "Second day", "Third day").get(day),
                purpose -> purpose == Purpose.CONTEST_LIFT ? "the lift itself" : "for the lift");
    }

    /** Fives, a little heavier each week, the deadlift once a week. */
    static Block novice(LocalDate start) {
        String[] fives = {"5x5 65%", "5x5 67.5%", "5x5 70%", "5x5 72.5%"};
        String[] pulls = {"2x5 70%", "2x5 72.5%", "2x5 75%", "2x5 77.5%"};
        return new Block(
                start,
                4,
                List.of(
                        new TrainingDay(
                                "First day",
                                0,
                                List.of(slot("A", Lift.SQUAT, fives), slot("B", Lift.BENCH_PRESS, fives))),
                        new TrainingDay(
                                "Second day",
                                2,
                                List.of(slot("A", Lift.DEADLIFT, pulls), slot("B", Lift.OVERHEAD_PRESS, fives))),
                        new TrainingDay(
                                "Third day",
                                4,
                                List.of(slot("A", Lift.SQUAT, fives), slot("B", Lift.BENCH_PRESS, fives)))));
    }

    private static Slot slot(String letter, Lift lift, String... doses) {
        List<Optional<Dose>> weeks = new ArrayList<>();
        for (String dose : doses) {
            weeks.add(Optional.of(Dose.parse(dose)));
        }
        return new Slot(letter, lift, weeks);
    }

    /** Squat and pull as they were, presses light and narrow. */
    static Block shoulder(LocalDate start) {
        return new Block(
                start,
                4,
                List.of(
                        new TrainingDay(
                                "Squat day",
                                0,
                                List.of(
                                        slot("A", Lift.SQUAT, "1 @7", "1 @7", "1 @8", "1 @8"),
                                        slot("B", Lift.SQUAT, "4x5 -22%", "4x5 -20%", "4x5 -20%", "3x5 -20%"),
                                        slot(
                                                "C",
                                                new Lift("close-grip-bench-press"),
                                                "3x8 55%",
                                                "3x8 57.5%",
                                                "3x8 60%",
                                                "3x8 62.5%"))),
                        new TrainingDay(
                                "Pull day",
                                3,
                                List.of(
                                        slot("A", Lift.DEADLIFT, "1 @7", "1 @7", "1 @8", "1 @8"),
                                        slot("B", Lift.DEADLIFT, "3x4 -20%", "3x4 -20%", "3x3 -18%", "2x3 -18%"),
                                        slot("C", Lift.BENCH_PRESS, "3x8 50%", "3x8 52.5%", "3x8 55%", "3x8 57.5%")))));
    }

    /** A strongman's week: press and pull, then the events at the loads they are contested with. */
    static Block events(LocalDate start, String yoke, String handles, String stone) {
        return new Block(
                start,
                4,
                List.of(
                        new TrainingDay(
                                "Press and pull",
                                0,
                                List.of(
                                        slot("A", new Lift("log-press"), "1 @7", "1 @8", "1 @8", "1 @8.5"),
                                        slot(
                                                "B",
                                                new Lift("log-press"),
                                                "4x3 -18%",
                                                "4x3 -16%",
                                                "3x3 -15%",
                                                "3x2 -15%"),
                                        slot("C", Lift.DEADLIFT, "3x3 75%", "3x3 77.5%", "3x3 80%", "2x2 82.5%"))),
                        new TrainingDay(
                                "Squat",
                                2,
                                List.of(
                                        slot("A", Lift.SQUAT, "3x5 70%", "3x5 72.5%", "3x5 75%", "3x3 77.5%"),
                                        slot(
                                                "B",
                                                new Lift("front-squat"),
                                                "3x5 65%",
                                                "3x5 67.5%",
                                                "3x5 70%",
                                                "2x5 70%"))),
                        new TrainingDay(
                                "Events",
                                5,
                                List.of(
                                        slot("A", new Lift("yoke-walk"), same("3x1 " + yoke)),
                                        slot("B", new Lift("farmers-walk"), same("3x1 " + handles)),
                                        slot("C", new Lift("stone-over-bar"), same("3x3 " + stone))))));
    }

    private static String[] same(String dose) {
        return new String[] {dose, dose, dose, dose};
    }
}
