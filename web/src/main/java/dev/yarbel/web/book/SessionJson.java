package dev.yarbel.web.book;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A session of the log with its sets, for programs.
 *
 * @param day the day of a plan that it answers
 * @param week of that plan, from 1
 * @param before how the lifter was, each from 1, very good, to 7
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
record SessionJson(
        @JsonInclude long id,
        LocalDate on,
        @JsonInclude boolean finished,

        @Schema(description = "The day of a plan that it answers; absent for one that nobody planned")
        Optional<Long> day,

        @Schema(description = "The week of that plan, from 1")
        Optional<Integer> week,

        Optional<String> pain,

        @Schema(description = "Of the whole session, 0 to 10")
        Optional<Integer> effort,

        Optional<Integer> minutes,

        @Schema(description = "How the lifter was before, each from 1, very good, to 7")
        Map<String, Integer> before,

        Optional<String> coachNote,
        List<SetJson> sets) {

    static SessionJson of(SessionLog log) {
        List<SetJson> sets = new ArrayList<>();
        for (int at = 0; at < log.sets().size(); at++) {
            sets.add(SetJson.of(log.sets().get(at), log.times().get(at)));
        }
        Map<String, Integer> before = new LinkedHashMap<>();
        for (int at = 0; at < log.ratings().before().size(); at++) {
            before.put(SessionRatings.BEFORE.get(at), log.ratings().before().get(at));
        }
        return new SessionJson(
                log.id(),
                log.date(),
                log.finished(),
                log.planned().map(PlannedDay::day),
                log.planned().map(planned -> planned.week() + 1),
                log.pain(),
                log.ratings().effort(),
                log.ratings().minutes(),
                before,
                log.ratings().coachNote(),
                sets);
    }
}
