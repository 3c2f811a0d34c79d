package dev.yarbel.core.shape;

import dev.yarbel.core.prescription.Work;
import java.util.Optional;

/** Half of the sets, or of what is done in all; everything else of the work as it is, but that no set goes on beyond it. */
final class HalfTheSets {

    private HalfTheSets() {}

    static Work of(Work work) {
        int sets = half(work.sets());
        if (work instanceof Work.Straight straight) {
            return new Work.Straight(sets, straight.reps(), straight.most(), Optional.empty());
        }
        if (work instanceof Work.ToLimit limit) {
            return new Work.ToLimit(sets, limit.stop());
        }
        if (work instanceof Work.InAll inAll) {
            return new Work.InAll(half(inAll.reps()));
        }
        if (work instanceof Work.Clusters clusters) {
            return new Work.Clusters(sets, clusters.within(), clusters.each(), clusters.most(), clusters.gap());
        }
        if (work instanceof Work.Density density) {
            return new Work.Density(sets, density.reps(), density.time(), density.gap());
        }
        if (work instanceof Work.RepsInTime reps) {
            return new Work.RepsInTime(sets, reps.time());
        }
        if (work instanceof Work.Carry carry) {
            return new Work.Carry(sets, carry.distance(), carry.unit(), carry.within());
        }
        if (work instanceof Work.Hold hold) {
            return new Work.Hold(sets, hold.time());
        }
        return work instanceof Work.Rounds rounds
                ? new Work.Rounds(rounds.goal().map(HalfTheSets::half), rounds.time())
                : work;
    }

    private static int half(int count) {
        return (count + 1) / 2;
    }
}
