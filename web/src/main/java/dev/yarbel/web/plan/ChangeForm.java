package dev.yarbel.web.plan;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.lift.Lift;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/**
 * What a form beside the sheet asks of a block's weeks, days and slots; each kind has fields of its own, and all others are null.
 *
 * @param stamp of the block as the page showed it
 * @param week from 1
 * @param by how many weeks a phase grows
 * @param slot and day by their numbers
 * @param offset of a day from the start of the week
 * @param weekdays whether days move to other weekdays along with the first day of a block; else they stay
 * @param confirmed the first day that was asked about and is meant
 */
record ChangeForm(
        @NotNull Kind kind,
        String stamp,
        Boolean follow,
        Integer week,
        Phase phase,
        Boolean deload,
        Integer by,
        Long slot,
        String letter,
        Lift lift,
        String reason,
        Long day,
        String name,
        Integer offset,
        LocalDate contest,
        LocalDate start,
        Boolean weekdays,
        String confirmed)
        implements Follows {

    /** What can be asked for, as forms name it. */
    enum Kind {
        WEEK_INSERT,
        WEEK_COPY,
        WEEK_REMOVE,
        WEEK_EARLIER,
        WEEK_LATER,
        WEEK_SHAPE,
        PHASE_LENGTHEN,
        SLOT_ADD,
        SLOT_COPY,
        SLOT_REMOVE,
        SLOT_UP,
        SLOT_DOWN,
        SLOT_SET,
        DAY_ADD,
        DAY_COPY,
        DAY_REMOVE,
        DAY_EARLIER,
        DAY_LATER,
        DAY_SET,
        BLOCK_SET,
        BLOCK_SHIFT,
        CONTEST_SHAPE;

        /** Whether it goes for the blocks given from one as well; name, start and contest are each lifter's own. */
        boolean canFollow() {
            return this != BLOCK_SET && this != BLOCK_SHIFT && this != CONTEST_SHAPE;
        }
    }
}
