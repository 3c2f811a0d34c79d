package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.ReadSet;
import dev.yarbel.core.exchange.Trouble;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What would come in, as things were said.
 *
 * @param sets that would come in, and on how many days
 * @param known sets that the log has already
 * @param doubtful sets of which something is asked
 * @param slips sets whose load looks as if it was written in the other unit
 * @param leftOut sets of lifts that are left out
 * @param refused cells that cannot come in
 * @param kinds how often each trouble comes up
 * @param troubles the first of them
 * @param asked names that nobody said the meaning of, in the order they come
 * @param apart lifts whose loads in the file look as if all of them were in the other unit
 * @param sample the first sets as they are read
 */
record DryRun(
        int sets,
        int days,
        int known,
        int doubtful,
        int slips,
        int leftOut,
        int refused,
        Optional<LocalDate> from,
        Optional<LocalDate> to,
        Map<Trouble.Kind, Integer> kinds,
        List<Trouble> troubles,
        List<Asked> asked,
        List<Apart> apart,
        List<ReadSet> sample) {

    /**
     * A name that is asked about.
     *
     * @param rows in which it stands
     * @param perhaps the lift it may mean
     */
    record Asked(String name, int rows, Optional<Lift> perhaps) {}

    /** The heaviest load of a lift in a file, beside the max on record. */
    record Apart(Lift lift, Mass heaviest, Mass known) {}

    /** All that is doubtful or cannot come in. */
    public int all() {
        return kinds.values().stream().mapToInt(Integer::intValue).sum();
    }

    /** Whether something has to be said before anything comes in. */
    public boolean mustAsk(ImportFile.Said said) {
        return slips > 0 && said.slips().isEmpty();
    }
}
