package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** A planned load that a decision would change: where it stands, and what it is before and after. */
public record LoadChange(LocalDate date, int day, int week, PrescribedSets prescription, Mass before, Mass after) {

    /**
     * Every load of a block, after a date, that comes out differently, in order of dates: of the lift decided on, of
     * variations that take their numbers from it, and of every session that goes on from one of these.
     *
     * @param after the last day that is left alone
     */
    public static List<LoadChange> between(Projection before, Projection then, Block block, LocalDate after) {
        List<LoadChange> changes = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            for (int day = 0; day < block.days().size(); day++) {
                if (block.date(day, week).isAfter(after)) {
                    addChanges(changes, before, then, block, day, week);
                }
            }
        }
        return changes;
    }

    private static void addChanges(
            List<LoadChange> changes, Projection before, Projection then, Block block, int day, int week) {
        List<PrescribedSets> prescriptions = then.prescriptions(day, week);
        List<ResolvedLoad> old = before.loads(day, week);
        List<ResolvedLoad> changed = then.loads(day, week);
        for (int i = 0; i < prescriptions.size(); i++) {
            if (old.get(i).load().isPresent()
                    && changed.get(i).load().isPresent()
                    && !old.get(i).load().equals(changed.get(i).load())) {
                changes.add(new LoadChange(
                        block.date(day, week),
                        day,
                        week,
                        prescriptions.get(i),
                        old.get(i).load().get(),
                        changed.get(i).load().get()));
            }
        }
    }
}
