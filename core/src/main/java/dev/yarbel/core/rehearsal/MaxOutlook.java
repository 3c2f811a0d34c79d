package dev.yarbel.core.rehearsal;

import dev.yarbel.core.lift.Lift;
import java.util.List;

/**
 * What may become of a standing max, in kg.
 *
 * @param now as it is believed to be
 * @param ready what the last day of the block, or the contest's, may find: less what training still takes; without the day's form
 * @param weeks at the end of each week of the block; what was before today is as it is now
 */
public record MaxOutlook(Lift lift, Likely now, Likely ready, List<Likely> weeks) {

    public MaxOutlook {
        weeks = List.copyOf(weeks);
    }

    /** When the block is over. */
    public Likely after() {
        return weeks.get(weeks.size() - 1);
    }
}
