package dev.yarbel.core.shape;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.prescription.Work;
import java.time.Duration;
import java.util.Optional;

/** Half the sets, an effort two points easier; what is one set is half as long. */
final class EasierWork implements Work.Visitor<Work> {

    private static final Rpe HARD = Rpe.of(9);
    private static final int FOUR_LEFT = 8;

    @Override
    public Work straight(Work.Straight straight) {
        return Work.Straight.of(HalfTheSets.of(straight).sets(), straight.reps());
    }

    @Override
    public Work toLimit(Work.ToLimit limit) {
        Rpe until = limit.end().rating().orElse(HARD);
        return new Work.ToLimit(HalfTheSets.of(limit).sets(), new Work.Stop.At(Deload.easier(until, FOUR_LEFT)));
    }

    @Override
    public Work climb(Work.Climb climb) {
        return new Work.Climb(climb.reps(), Deload.easier(climb.until(), FOUR_LEFT));
    }

    @Override
    public Work clusters(Work.Clusters clusters) {
        return HalfTheSets.of(clusters);
    }

    @Override
    public Work density(Work.Density density) {
        return HalfTheSets.of(density);
    }

    @Override
    public Work until(Work.Until until) {
        return new Work.Until(until.reps(), Deload.easier(until.until(), FOUR_LEFT));
    }

    @Override
    public Work inAll(Work.InAll inAll) {
        return HalfTheSets.of(inAll);
    }

    @Override
    public Work repsInTime(Work.RepsInTime reps) {
        return reps.sets() > 1 ? HalfTheSets.of(reps) : new Work.RepsInTime(1, half(reps.time()));
    }

    @Override
    public Work hold(Work.Hold hold) {
        return hold.sets() > 1 ? HalfTheSets.of(hold) : new Work.Hold(1, half(hold.time()));
    }

    @Override
    public Work carry(Work.Carry carry) {
        return new Work.Carry(HalfTheSets.of(carry).sets(), carry.distance(), carry.unit(), Optional.empty());
    }

    @Override
    public Work rounds(Work.Rounds rounds) {
        return rounds.goal().isPresent()
                ? HalfTheSets.of(rounds)
                : new Work.Rounds(Optional.empty(), rounds.time().map(EasierWork::half));
    }

    @Override
    public Work preparation(Work.Preparation preparation) {
        return HalfTheSets.of(preparation);
    }

    private static Duration half(Duration time) {
        return Duration.ofSeconds(Math.max(1, time.toSeconds() / 2));
    }
}
