package dev.yarbel.web.floor;

import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.core.session.SessionPlan.Because;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.web.page.BarDrawing;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Draws the ramp of the lift in hand as a stair of loaded bars. */
@Component
class StairWriter {

    private static final int STEP_WIDTH = 62;

    private final Words words;

    StairWriter(Words words) {
        this.words = words;
    }

    /** The warm-ups to the lift in hand and its first work set; none where there are no warm-ups. */
    Optional<DayDocument.Stair> stair(SessionPlan session, Task now, List<DoneSet> done, MassUnit unit) {
        return session.slots().stream()
                .filter(slot -> slot.prescription().lift().equals(now.lift())
                        && slot.ramp().filter(ramp -> !ramp.steps().isEmpty()).isPresent())
                .sorted(Comparator.comparing(slot -> !isOf(slot, now)))
                .findFirst()
                .map(slot -> stair(session, slot, now, done, unit));
    }

    private DayDocument.Stair stair(SessionPlan session, SlotPlan slot, Task now, List<DoneSet> done, MassUnit unit) {
        List<Task> climb = session.tasks().stream()
                .filter(task -> task.asked().equals(slot.prescription())
                        && (task.key().warmUp()
                                || task.key().number() == slot.prescription().firstSet())
                        && task.loading().isPresent())
                .toList();
        boolean blind = slot.prescription().part().is(SetModifier.BLIND);
        double top = climb.stream()
                .mapToDouble(task -> kg(task.loading().orElseThrow()))
                .max()
                .orElse(1);
        List<DayDocument.Step> steps = new ArrayList<>();
        PlateStack before = climb.isEmpty() ? PlateStack.EMPTY : climb.get(0).before();
        for (int i = 0; i < climb.size(); i++) {
            Task task = climb.get(i);
            LoadedBar loading = task.loading().orElseThrow();
            Optional<DoneSet> lifted =
                    done.stream().filter(d -> d.task().equals(task.key())).findFirst();
            int y = (int) Math.round(112 - 68 * Math.max(0, kg(loading) / top - 0.1) / 0.9);
            boolean isTop = !task.key().warmUp();
            steps.add(new DayDocument.Step(
                    task.key().toString(),
                    i * STEP_WIDTH,
                    y,
                    STEP_WIDTH,
                    blind ? "" : words.figure(lifted.map(d -> d.set().load()).orElse(loading.total()), unit),
                    task.reps(),
                    isTop && task.because() == Because.ASKED && slot.now().isAbout() && lifted.isEmpty(),
                    added(before, loading.stack(), unit),
                    lifted.isPresent(),
                    task.key().equals(now.key()),
                    isTop,
                    discs(loading, i * STEP_WIDTH, y)));
            before = loading.stack();
        }
        List<String> notes = slot.ramp().orElseThrow().remarks().stream()
                // the stair itself shows what comes off for what
                .filter(remark -> remark != Ramp.Remark.SWAPS)
                .map(Enum::name)
                .sorted()
                .toList();
        return new DayDocument.Stair(slot.prescription().lift(), climb.size() * STEP_WIDTH, steps, notes);
    }

    private static boolean isOf(SlotPlan slot, Task now) {
        return slot.prescription().equals(now.asked());
    }

    private String added(PlateStack before, PlateStack stack, MassUnit unit) {
        String on = words.plates(before.addedFor(stack), unit);
        String off = words.plates(before.takenOffFor(stack), unit);
        return (off.isEmpty() ? "" : "−" + off + " ") + (on.isEmpty() ? "" : "+" + on);
    }

    private static double kg(LoadedBar loading) {
        return loading.total().kilograms();
    }

    /** A small bar standing on the tread: one side, plates to scale. */
    private static List<DayDocument.Disc> discs(LoadedBar loading, int left, int tread) {
        List<DayDocument.Disc> discs = new ArrayList<>();
        int x = left + 14;
        for (BarDrawing.Disc disc : BarDrawing.of(loading, 0).discs()) {
            int height = Math.max(8, disc.height() * 34 / 100);
            int width = Math.max(2, disc.width() * 28 / 100);
            if (x + width < left + STEP_WIDTH - 2) {
                discs.add(new DayDocument.Disc(x, tread - 20 - height / 2, width, height));
            }
            x += width + 1;
        }
        return discs;
    }
}
