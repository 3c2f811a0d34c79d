package dev.yarbel.core.shape;

import dev.yarbel.core.prescription.Work;
import java.util.Optional;

/** Half of the sets, or of what is done in all; everything else of the work as it is, but that no set goes on beyond it. */
final class HalfTheSets implements Work.Visitor<Work> {

    private HalfTheSets() {}

    static Work of(Work work) {
        return work.accept(new HalfTheSets());
    }

    @Override
    public Work straight(Work.Straight straight) {
        return new Work.Straight(half(straight.sets()), straight.reps(), straight.most(), Optional.empty());
    }

    @Override
    public Work toLimit(Work.ToLimit limit) {
        return new Work.ToLimit(half(limit.sets()), limit.end());
    }

    @Override
    public Work climb(Work.Climb climb) {
        return climb;
    }

    @Override
    public Work clusters(Work.Clusters clusters) {
        return new Work.Clusters(
                half(clusters.sets()), clusters.within(), clusters.each(), clusters.most(), clusters.gap());
    }

    @Override
    public Work density(Work.Density density) {
        return new Work.Density(half(density.sets()), density.reps(), density.time(), density.gap());
    }

    @Override
    public Work until(Work.Until until) {
        return until;
    }

    @Override
    public Work inAll(Work.InAll inAll) {
        return new Work.InAll(half(inAll.reps()));
    }

    @Override
    public Work repsInTime(Work.RepsInTime reps) {
        return new Work.RepsInTime(half(reps.sets()), reps.time());
    }

    @Override
    public Work hold(Work.Hold hold) {
        return new Work.Hold(half(hold.sets()), hold.time());
    }

    @Override
    public Work carry(Work.Carry carry) {
        return new Work.Carry(half(carry.sets()), carry.distance(), carry.unit(), carry.within());
    }

    @Override
    public Work rounds(Work.Rounds rounds) {
        return new Work.Rounds(rounds.goal().map(HalfTheSets::half), rounds.time());
    }

    @Override
    public Work preparation(Work.Preparation preparation) {
        return preparation;
    }

    private static int half(int count) {
        return (count + 1) / 2;
    }
}
