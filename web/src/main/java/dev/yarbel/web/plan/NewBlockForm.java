package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.school.LiftRequest;
import dev.yarbel.core.school.School;
import dev.yarbel.core.school.WeakPoint;
import dev.yarbel.core.shape.Deload;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;

/**
 * What a coach asks a new block to be drawn up from.
 *
 * @param every so many weeks a deload comes; 0 for none
 * @param milestones whether single sets toward the max stand in it
 * @param days of the week that are trained, from 0 for the day the block starts
 * @param keep sent where the block is to be kept, not only looked at
 * @param confirmed the first day on which it meets another block, sent where that was asked about and is meant
 */
record NewBlockForm(
        String name,
        @NotNull LocalDate start,
        @NotNull @Range(min = 1, max = Block.MOST_WEEKS) Integer weeks,
        LocalDate contest,
        @NotNull @Range(min = 0, max = 12) Integer every,
        @NotNull Deload deload,
        Boolean milestones,
        List<@Range(min = 0, max = 6) Integer> days,
        List<@Valid Row> lifts,
        String keep,
        String confirmed) {

    /** Blanks in between are no rows. */
    private static final Row NOTHING = new Row(null, null, null, null, null, null, null);

    NewBlockForm {
        days = days == null
                ? List.of()
                : days.stream().filter(Objects::nonNull).distinct().sorted().toList();
        lifts = lifts == null
                ? List.of()
                : lifts.stream().map(row -> row == null ? NOTHING : row).toList();
    }

    /**
     * One lift of the block.
     *
     * @param lift null where the row stands empty
     * @param sessions a week; null for what the school has
     * @param from the share of the max the first week starts at, in percent; null for what the school has
     * @param assistance the most exercises beside a session; null for what the school has
     * @param event the load announced for it, in the lifter's unit
     */
    record Row(
            Lift lift,
            School school,
            @Range(min = 1, max = 7) Integer sessions,
            @Range(min = 30, max = 100) BigDecimal from,
            WeakPoint weak,
            @Range(min = 0, max = 3) Integer assistance,
            String event) {

        LiftRequest request() {
            return new LiftRequest(
                    school,
                    Optional.ofNullable(sessions),
                    Optional.ofNullable(from).map(Percent::of),
                    Optional.ofNullable(weak),
                    Optional.ofNullable(assistance));
        }
    }
}
