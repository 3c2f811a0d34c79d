package dev.yarbel.web.contest;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.rest.JsonMass;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** A contest with who lifts in it and what came of it, for programs. */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
record ContestJson(
        @JsonInclude long id,
        String name,
        Optional<String> place,
        Optional<LocalDate> on,
        @Schema(description = "The last day of a window") Optional<LocalDate> until,
        @Schema(description = "By the club's clock") Optional<LocalTime> weighIn,
        Optional<LocalTime> begins,
        @Schema(description = "The key of a rule set") String rules,
        JsonMass step,
        @JsonInclude int seconds,
        @JsonInclude boolean cancelled,
        String bring,
        List<JsonMass> plates,
        List<EventJson> events,
        List<EntryJson> entries) {

    /** An event of strongman as it is announced. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    record EventJson(
            @JsonInclude long id,
            String name,
            Optional<String> lift,
            EventMeasure measure,
            Optional<JsonMass> load,
            List<JsonMass> series,
            @Schema(description = "In metres") Optional<BigDecimal> course,
            Optional<Long> seconds,
            Optional<LocalTime> begins,
            Optional<Integer> minutes) {

        static EventJson of(EventEntity event) {
            EventEntity.Set set = event.set();
            return new EventJson(
                    event.id(),
                    set.name(),
                    set.lift().map(lift -> lift.key()),
                    set.announced().measure(),
                    set.announced().load().map(JsonMass::of),
                    masses(set.announced().series()),
                    set.announced().course().map(far -> far.in(LengthUnit.M)),
                    set.announced().limit().map(Duration::toSeconds),
                    set.begins(),
                    set.minutes());
        }
    }

    /**
     * Somebody who lifts.
     *
     * @param lifter of the club; absent for somebody else
     * @param plan what is meant for the day; absent for lifters whom you do not coach
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    record EntryJson(
            @JsonInclude long id,
            Optional<Long> lifter,
            String name,
            Optional<Sex> sex,
            Optional<JsonMass> body,
            Optional<Integer> lot,
            @JsonInclude int flight,

            @Schema(description = "What is meant for the day; absent for lifters whom you do not coach")
            Optional<MeantJson> plan,

            List<AttemptJson> attempts,

            @Schema(description = "What was done in each event, by its number")
            Map<Long, String> results) {}

    /** What is meant for the day. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    record MeantJson(
            Way way,
            Optional<JsonMass> asked,
            Optional<JsonMass> expected,
            Optional<JsonMass> limit,
            Priority priority) {}

    /** An attempt; without an outcome it is still to be lifted. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    record AttemptJson(
            String lift,
            @JsonInclude int number,
            JsonMass load,
            Optional<Outcome> outcome,
            Optional<NoLift> why,
            Optional<Integer> lights) {

        static AttemptJson of(AttemptEntity attempt) {
            return new AttemptJson(
                    attempt.lift().key(),
                    attempt.number(),
                    JsonMass.of(attempt.load()),
                    attempt.outcome(),
                    attempt.why(),
                    attempt.lights());
        }
    }

    private static List<JsonMass> masses(List<Mass> masses) {
        return masses.stream().map(JsonMass::of).toList();
    }

    /** @param own the lifters whom the reader coaches */
    static ContestJson of(
            ContestEntity contest,
            List<EntryEntity> entries,
            List<AttemptEntity> attempts,
            List<EventEntity> events,
            List<ResultEntity> results,
            Set<Long> own) {
        ContestEntity.Set set = contest.set();
        Map<Long, List<AttemptJson>> lifted = attempts.stream()
                .collect(Collectors.groupingBy(
                        AttemptEntity::entryId, Collectors.mapping(AttemptJson::of, Collectors.toList())));
        Map<Long, Map<Long, String>> done = results.stream()
                .collect(Collectors.groupingBy(
                        ResultEntity::entryId, Collectors.toMap(ResultEntity::eventId, ResultEntity::written)));
        return new ContestJson(
                contest.id(),
                set.name(),
                set.place(),
                set.on(),
                set.until(),
                set.weighIn(),
                set.begins(),
                set.rules().key(),
                JsonMass.of(set.rules().step()),
                (int) set.rules().toName().toSeconds(),
                set.cancelled(),
                contest.bring(),
                masses(set.plates()),
                events.stream().map(EventJson::of).toList(),
                entries.stream()
                        .map(entry -> entry(
                                entry,
                                entry.lifterId().map(own::contains).orElse(true),
                                lifted.getOrDefault(entry.id(), List.of()),
                                done.getOrDefault(entry.id(), Map.of())))
                        .toList());
    }

    private static EntryJson entry(
            EntryEntity entry, boolean mine, List<AttemptJson> attempts, Map<Long, String> results) {
        EntryEntity.Set set = entry.set();
        return new EntryJson(
                entry.id(),
                entry.lifterId(),
                entry.name(),
                set.sex(),
                set.bodyMass().map(JsonMass::of),
                set.lot(),
                set.flight(),
                mine
                        ? Optional.of(new MeantJson(
                                set.way(),
                                set.asked().map(JsonMass::of),
                                set.expected().map(JsonMass::of),
                                set.classLimit().map(JsonMass::of),
                                set.priority()))
                        : Optional.empty(),
                attempts,
                results);
    }
}
