package dev.yarbel.web.floor;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.rest.JsonMass;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** A day of a plan as it is on the floor, for programs. */
record DayJson(
        long day,
        @Schema(description = "From 1") int week,
        LocalDate on,
        String name,
        String block,
        boolean finished,
        List<SetAsked> sets) {

    /** A set that is asked for, and what became of it. */
    @JsonInclude(JsonInclude.Include.NON_ABSENT)
    record SetAsked(
            @Schema(description = "Names it: `A.1`, or `A.w1` for a warm-up")
            String task,

            boolean warmUp,
            String lift,

            @Schema(description = "The part of the dose it belongs to, in the shorthand of the sheet")
            String dose,

            @Schema(description = "Absent where only the lifter settles it")
            Optional<JsonMass> load,

            int reps,
            Optional<Done> done) {}

    /** What was lifted. */
    record Done(JsonMass load, int reps, String effort) {

        static Done of(DoneSet done) {
            return new Done(
                    JsonMass.of(done.set().load()),
                    done.set().reps(),
                    done.set().effort().code());
        }
    }

    static DayJson of(FloorDay floor) {
        Map<TaskKey, DoneSet> done = floor.done().stream()
                .collect(Collectors.toMap(DoneSet::task, Function.identity(), (one, other) -> one));
        return new DayJson(
                floor.planDay(),
                floor.week() + 1,
                floor.date(),
                floor.name(),
                floor.plan().name(),
                floor.finished(),
                floor.session().tasks().stream()
                        .map(task -> asked(task, Optional.ofNullable(done.get(task.key()))))
                        .toList());
    }

    private static SetAsked asked(Task task, Optional<DoneSet> done) {
        return new SetAsked(
                task.key().toString(),
                task.key().warmUp(),
                task.lift().key(),
                task.asked().part().shorthand(),
                task.loading().map(LoadedBar::total).map(JsonMass::of),
                task.reps(),
                done.map(Done::of));
    }
}
