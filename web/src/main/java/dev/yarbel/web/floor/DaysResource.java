package dev.yarbel.web.floor;

import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.SessionRatings;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.rest.JsonMass;
import dev.yarbel.web.rest.Problems;
import dev.yarbel.web.rest.Refusal;
import dev.yarbel.web.rest.Versions;
import dev.yarbel.web.roster.LifterCard;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Days of a plan as they are lifted, for programs: what is asked for, sets logged, the session finished. */
@RestController
@RequestMapping(Problems.ROOT + "lifters/{id}/days")
@Tag(name = "Days of the plan")
class DaysResource {

    private final FloorDays days;
    private final SetKeeping keeping;
    private final Sessions sessions;
    private final Versions versions;

    DaysResource(FloorDays days, SetKeeping keeping, Sessions sessions, Versions versions) {
        this.days = days;
        this.keeping = keeping;
        this.sessions = sessions;
        this.versions = versions;
    }

    @GetMapping("/current")
    @Operation(summary = "The day to be lifted now: one that was begun, today's, or the next to come")
    ResponseEntity<DayJson> current(@AuthenticationPrincipal Person person, LifterCard lifter) {
        return versions.tagged(DayJson.of(
                days.find(person, lifter, Optional.empty(), Optional.empty()).orElseThrow(NotFoundException::new)));
    }

    /** @param week from 1 */
    private FloorDay open(Person person, LifterCard lifter, long day, int week) {
        return days.find(person, lifter, day, week - 1).orElseThrow(NotFoundException::new);
    }

    @GetMapping("/{day}/{week}")
    @Operation(summary = "A day of a plan in a week, from 1")
    ResponseEntity<DayJson> day(
            @AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long day, @PathVariable int week) {
        return versions.tagged(DayJson.of(open(person, lifter, day, week)));
    }

    /**
     * A set that the plan asked for, as it was lifted.
     *
     * @param task which one
     * @param reps left out where the plan settles them
     * @param at when it was lifted; now where nobody says
     * @param confirmed whether figures that were asked about are meant
     */
    record DaySet(
            @NotBlank @Schema(description = "Which one: `A.1`, or `A.w1` for a warm-up")
            String task,

            JsonMass load,
            @Schema(description = "0 to 100") Integer reps,

            @NotBlank @Schema(description = "An RPE such as `8` or `8.5`, or `easy`, `done` (not rated), `missed`")
            String effort,

            @Range(min = 0, max = 100) Integer helped,
            SetDetails.MissedBy missedBy,
            BigDecimal seconds,
            @Schema(description = "In cm") BigDecimal distance,
            @Size(max = SetDetails.LONGEST_NOTE) String note,
            Instant at,
            boolean confirmed) {

        SetSent sent() {
            String typed = load == null ? "" : load.typed("load", Reading.MOST);
            String made = reps == null ? "" : reps.toString();
            return new SetSent(
                    null,
                    false,
                    at == null ? null : at.toEpochMilli(),
                    typed,
                    made,
                    effort,
                    helped,
                    missedBy,
                    null,
                    null,
                    null,
                    null,
                    null,
                    note,
                    figure("seconds", seconds, ""),
                    figure("distance", distance, " " + LengthUnit.CM.symbol()),
                    null,
                    null,
                    null,
                    null,
                    null,
                    null,
                    confirmed ? FormExtras.mark(typed, made, effort) : null);
        }

        private static String figure(String field, BigDecimal figure, String unit) {
            if (figure == null) {
                return null;
            }
            if (figure.precision() > 12 || Math.abs(figure.scale()) > 6) {
                throw new UnreadableException("http.unreadable-value").in(field);
            }
            return figure.toPlainString() + unit;
        }
    }

    @PostMapping("/{day}/{week}/sets")
    @Operation(
            summary = "Log a set that the plan asked for",
            description =
                    "The first one begins the session. One that is logged already with other figures is a conflict:"
                            + " correct it in its session.")
    ResponseEntity<DayJson> log(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            @PathVariable long day,
            @PathVariable int week,
            @Valid @RequestBody DaySet body) {
        FloorDay floor = open(person, lifter, day, week);
        TaskKey key = Reading.field("task", body.task(), DaysResource::key);
        Task asked = floor.task(key).orElseThrow(() -> new UnreadableException("http.unknown").in("task"));
        try {
            keeping.keep(person, floor, asked, body.sent());
        } catch (Sessions.SetTaken taken) {
            throw new LoggedOtherwise(taken.logged().set().load().format(lifter.unit(), 2) + " × "
                    + taken.logged().set().reps());
        }
        return versions.tagged(DayJson.of(open(person, lifter, day, week)));
    }

    private static TaskKey key(String text) {
        try {
            return TaskKey.parse(text);
        } catch (IllegalArgumentException none) {
            throw new UnreadableException("http.unknown");
        }
    }

    /** It is in the log, and says something else. */
    private static final class LoggedOtherwise extends RuntimeException implements Refusal {

        private static final long serialVersionUID = 1;

        private final String said;

        LoggedOtherwise(String said) {
            this.said = said;
        }

        @Override
        public String wordsCode() {
            return "http.logged-otherwise";
        }

        @Override
        public Object[] wordsParts() {
            return new Object[] {said};
        }
    }

    /**
     * What is said at the end of a session.
     *
     * @param count what is said of sets more or fewer than planned
     * @param confirmed whether sets that nobody logged are meant to be left
     */
    record DayEnding(
            @Size(max = 500) String pain,
            @Range(min = 0, max = 10) Integer effort,
            @Range(min = 1, max = 600) Integer minutes,
            SessionRatings.CountSaid count,
            boolean confirmed) {}

    @PostMapping("/{day}/{week}/finish")
    @Operation(
            summary = "Finish the session of a day",
            description = "Sets that nobody logged are asked about; say what became of them, or send it as confirmed.")
    ResponseEntity<DayJson> finish(
            @AuthenticationPrincipal Person person,
            LifterCard lifter,
            @PathVariable long day,
            @PathVariable int week,
            @Valid @RequestBody DayEnding said) {
        FloorDay floor = open(person, lifter, day, week);
        floor.askAboutLeft(said.count() != null || said.confirmed());
        sessions.finish(
                lifter,
                floor.key(),
                new Sessions.Finish(
                        Optional.ofNullable(said.pain()).filter(words -> !words.isBlank()),
                        Optional.ofNullable(said.effort()),
                        Optional.ofNullable(said.minutes()),
                        Optional.ofNullable(said.count())));
        return versions.tagged(DayJson.of(open(person, lifter, day, week)));
    }
}
