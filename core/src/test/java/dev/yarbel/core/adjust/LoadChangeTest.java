package dev.yarbel.core.adjust;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.TaskKey;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LoadChangeTest {

    @Test
    void everyLaterLoadThatChangesIsListedAndNoOther() {
        LocalDate monday = LocalDate.of(2026, 3, 2);
        Slot top = slot("A", Lift.SQUAT, "1 @8");
        Slot backOff = slot("B", Lift.SQUAT, "5x5 -22%");
        Slot straight = slot("C", Lift.SQUAT, "3x5 75%");
        Slot bench = slot("D", Lift.BENCH_PRESS, "3x5 75%");
        Block block =
                new Block(monday, 3, List.of(new TrainingDay("Day 1", 0, List.of(top, backOff, straight, bench))));
        Resolver before = new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(Map.of(Lift.SQUAT, numbers(200), Lift.BENCH_PRESS, numbers(120))));
        Resolver then = before.with(Lift.SQUAT, n -> n.withWorkingMax(Mass.ofKg(205)));

        List<LoadChange> changes = between(before, then, block, monday);

        assertThat(changes).extracting(LoadChange::date).containsExactly(monday.plusWeeks(1), monday.plusWeeks(2));
        assertThat(changes).allSatisfy(change -> {
            assertThat(change.letter()).isEqualTo("C");
            assertThat(load(change.before())).isEqualTo(Mass.ofKg(150));
            assertThat(load(change.after())).isEqualTo(Mass.of("152.5", KG));
        });
    }

    /** A rise used to list only the first of the weeks that hang on one another. */
    @Test
    void theWeeksThatGoOnFromAChangedOneAreListedToo() {
        LocalDate monday = LocalDate.of(2026, 3, 2);
        Slot run = new Slot(
                "A",
                Lift.SQUAT,
                List.of(
                        Optional.of(Dose.parse("3x5 75%")),
                        Optional.of(Dose.parse("3x5 last +2.5kg")),
                        Optional.of(Dose.parse("3x5 last +2.5kg"))));
        Block block = new Block(monday, 3, List.of(new TrainingDay("Day 1", 0, List.of(run))));
        Resolver before =
                new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of(Lift.SQUAT, numbers(200))));
        Resolver then = before.with(Lift.SQUAT, n -> n.withWorkingMax(Mass.ofKg(205)));
        assertThat(between(before, then, block, monday.minusDays(1)))
                .extracting(change -> load(change.after()))
                .containsExactly(Mass.of("152.5", KG), Mass.ofKg(155), Mass.of("157.5", KG));
    }

    /** A day that was lifted early keeps its loads, though its date is still ahead. */
    @Test
    void aDayAheadThatIsFinishedChangesNoMore() {
        LocalDate monday = LocalDate.of(2026, 3, 2);
        Block block =
                new Block(monday, 3, List.of(new TrainingDay("Day 1", 0, List.of(slot("A", Lift.SQUAT, "3x5 75%")))));
        Resolver resolver =
                new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of(Lift.SQUAT, numbers(200))));
        DoneSet done =
                new DoneSet(TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(150), 5, Effort.parse("8")));
        Projection.Log log = (day, week) -> week == 1 ? Optional.of(List.of(done)) : Optional.empty();
        PlanAhead ahead =
                new PlanAhead(block, resolver, log, Lifted.NOTHING, Projection.of(block, resolver, log), monday);
        assertThat(new MoveWorkingMax(Lift.SQUAT, Mass.ofKg(200), Mass.ofKg(205)).changes(ahead))
                .extracting(LoadChange::week)
                .containsExactly(0, 2);
    }

    /** What stands on a day that has begun is not written over: it would come to nothing there. */
    @Test
    void aDayThatHasBegunIsNotAhead() {
        LocalDate monday = LocalDate.of(2026, 3, 2);
        Block block =
                new Block(monday, 3, List.of(new TrainingDay("Day 1", 0, List.of(slot("A", Lift.SQUAT, "3x5 150kg")))));
        Resolver resolver =
                new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(Map.of(Lift.SQUAT, numbers(200))));
        Projection.Log log = new Projection.Log() {
            @Override
            public Optional<List<DoneSet>> on(int day, int week) {
                return Optional.empty();
            }

            @Override
            public Optional<AskedDay> asked(int day, int week) {
                return week == 0 ? AskedDay.parse("A\tsquat\t3x5 150kg\t150kg") : Optional.empty();
            }
        };
        PlanAhead ahead =
                new PlanAhead(block, resolver, log, Lifted.NOTHING, Projection.of(block, resolver, log), monday);
        assertThat(NextLoads.scaled(ahead, Lift.SQUAT, Percent.of(90))
                        .orElseThrow()
                        .doses())
                .extracting(SetDoses.Change::week)
                .containsExactly(1);
    }

    private static Mass load(Optional<LoadChange.Planned> planned) {
        return planned.flatMap(LoadChange.Planned::load).orElseThrow();
    }

    private static List<LoadChange> between(Resolver before, Resolver then, Block block, LocalDate after) {
        Projection now = Projection.of(block, before, Projection.Log.NONE);
        return new PlanAhead(block, before, Projection.Log.NONE, Lifted.NOTHING, now, after.plusDays(1)).changes(then);
    }

    private static LiftNumbers numbers(int kg) {
        return new LiftNumbers(Optional.of(Mass.ofKg(kg)), Optional.of(Mass.ofKg(kg)), RepCurve.DEFAULT);
    }

    private static Slot slot(String letter, Lift lift, String dose) {
        return new Slot(letter, lift, Collections.nCopies(3, Optional.of(Dose.parse(dose))));
    }
}
