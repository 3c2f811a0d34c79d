package dev.yarbel.web.contest;

import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.rest.JsonMass;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.stream.Collectors;
import org.hibernate.validator.constraints.Range;

/** What programs send of contests. Each becomes the form that pages send, so that one place reads and refuses it. */
final class ContestBodies {

    private static final Mass MOST_TOTAL = Mass.ofKg(2000);

    private ContestBodies() {}

    /** As it is typed, exactly. */
    private static String typed(String field, JsonMass mass) {
        return mass == null ? null : mass.typed(field, MOST_TOTAL);
    }

    private static String typed(String field, List<JsonMass> masses) {
        return masses == null
                ? null
                : masses.stream().map(mass -> typed(field, mass)).collect(Collectors.joining("; "));
    }

    /** A contest. */
    record ContestBody(
            @NotBlank @Size(max = 80) String name,
            @Size(max = 120) String place,
            LocalDate on,

            @Schema(description = "The last day of a window")
            LocalDate until,

            @Schema(description = "By the club's clock") LocalTime weighIn,
            LocalTime begins,

            @NotBlank @Schema(description = "The key of a rule set")
            String rules,

            JsonMass step,
            @Range(min = 0, max = 600) Integer seconds,
            boolean cancelled,
            @Size(max = 1000) String bring,
            @Size(max = 12) List<@NotNull JsonMass> plates) {

        ContestForm form() {
            return new ContestForm(
                    name,
                    place,
                    on,
                    until,
                    weighIn,
                    begins,
                    rules,
                    typed("step", step),
                    seconds,
                    cancelled,
                    bring,
                    typed("plates", plates));
        }
    }

    /**
     * Somebody who lifts.
     *
     * @param lifter one of yours
     * @param name of somebody else
     */
    record EntryBody(
            Long lifter,
            @Size(max = 120) String name,
            Sex sex,
            JsonMass body,
            @Range(min = 1, max = 999) Integer lot,
            @Range(min = 1, max = 9) Integer flight,
            Way way,
            JsonMass asked,
            JsonMass expected,
            JsonMass limit,
            Priority priority) {

        EntryForm form() {
            return new EntryForm(
                    lifter,
                    name,
                    sex,
                    typed("body", body),
                    lot,
                    flight,
                    way,
                    typed("asked", asked),
                    typed("expected", expected),
                    typed("limit", limit),
                    priority);
        }
    }

    /**
     * An attempt: named, and what became of it where it was lifted.
     *
     * @param confirmed whether a load between the steps is meant
     */
    record AttemptBody(
            JsonMass load,
            Outcome outcome,
            NoLift why,
            @Range(min = 0, max = 3) Integer lights,
            boolean confirmed) {}

    /** An event of strongman. */
    record EventBody(
            @Schema(description = "The key of the lift it is trained as")
            String lift,

            @Size(max = 80) String name,
            @NotNull EventMeasure measure,
            JsonMass load,
            @Size(max = 12) List<@NotNull JsonMass> series,
            @Schema(description = "In metres") BigDecimal course,
            @Range(min = 5, max = 1800) Integer seconds,
            LocalTime begins,
            @Range(min = 1, max = 60) Integer minutes) {

        EventForm form() {
            return new EventForm(
                    lift == null ? null : Reading.field("lift", lift, ContestBodies::key),
                    name,
                    measure,
                    typed("load", load),
                    typed("series", series),
                    course == null || Math.abs(course.scale()) > 6 || course.precision() > 12
                            ? course == null ? null : "?"
                            : course.toPlainString() + " m",
                    seconds,
                    begins,
                    minutes);
        }
    }

    private static Lift key(String text) {
        try {
            return new Lift(text);
        } catch (IllegalArgumentException none) {
            throw new UnreadableException("read.lift", text);
        }
    }

    /** @param written as it is typed: {@code 31.5 s}, {@code 12 reps}; blank where nothing is known any more */
    record ResultBody(
            @NotNull @Size(max = 80) @Schema(description = "As it is typed; empty where nothing is known any more")
            String written) {}
}
