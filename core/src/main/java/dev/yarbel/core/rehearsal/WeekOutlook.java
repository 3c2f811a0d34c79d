package dev.yarbel.core.rehearsal;

import dev.yarbel.core.lift.Lift;
import java.util.Map;

/**
 * What may come of a week.
 *
 * @param week from 0
 * @param missed how likely it is that any set of it is missed, 0 to 1
 * @param missedSets how many sets may be expected to be missed
 * @param sets that the rehearsal can say something of
 * @param taken what the training of the days before takes off each family of lifts when it is trained, the most of the week, as a share of the max
 */
public record WeekOutlook(int week, double missed, double missedSets, int sets, Map<Lift, Double> taken) {

    public WeekOutlook {
        taken = Map.copyOf(taken);
    }
}
