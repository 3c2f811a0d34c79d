package dev.yarbel.core.tally;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.Rest;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * How long a session will take, from its sets, rests and ramps. The rest is that of {@link Rest}; a
 * repetition takes four seconds, a step of a ramp a minute, setting a lift up two. All of these are starting values of
 * ours; slots that are done in turn rest while the others work.
 */
public final class SessionTime {

    private static final int SECONDS_A_REP = 4;
    private static final int SECONDS_A_STEP = 60;
    private static final int SECONDS_A_SET_UP = 120;
    private static final int SECONDS_A_CARRY = 30;

    private SessionTime() {}

    /** The time for a day's doses. */
    public static Duration of(List<PrescribedSets> day, List<ResolvedLoad> loads, Resolver resolver) {
        long seconds = 0;
        Set<Lift> begun = new HashSet<>();
        for (int i = 0; i < day.size(); i++) {
            PrescribedSets prescription = day.get(i);
            if (prescription.sets() == 0) {
                // cut on the floor
                continue;
            }
            if (begun.add(prescription.lift()) && prescription.part().work().countsReps()) {
                seconds += SECONDS_A_SET_UP
                        + (long) SECONDS_A_STEP * steps(loads.get(i), resolver.numbers(prescription.lift()));
            }
            seconds += seconds(prescription, day);
        }
        return Duration.ofSeconds(seconds);
    }

    /** How many steps a ramp will have, by how heavy the load is for the lifter. */
    private static int steps(ResolvedLoad load, LiftNumbers numbers) {
        Optional<BigDecimal> share = numbers.estimate().or(numbers::workingMax).flatMap(max -> load.load()
                .map(mass -> mass.percentOf(max).figure()));
        return share.map(s -> s.doubleValue() >= 80 ? 6 : s.doubleValue() >= 60 ? 4 : 2)
                .orElse(1);
    }

    private static long seconds(PrescribedSets prescription, List<PrescribedSets> day) {
        return prescription
                .part()
                .work()
                .accept(new Seconds(prescription.part(), prescription.sets(), inTurn(prescription, day)));
    }

    /**
     * How long a part takes.
     *
     * @param sets of it that are asked for
     * @param inTurn how many slots are done in turn, its own included
     */
    private record Seconds(Part part, int sets, int inTurn) implements Work.Visitor<Long> {

        private static final int REPS_TO_THE_LIMIT = 8;

        private long sets(long work) {
            return sets * (work + Rest.after(part).toSeconds() / inTurn);
        }

        private long reps(int reps) {
            int beat = part.tempo()
                    .map(tempo -> Math.max(SECONDS_A_REP, tempo.seconds()))
                    .orElse(SECONDS_A_REP);
            return sets((long) reps * beat);
        }

        @Override
        public Long straight(Work.Straight straight) {
            return reps(straight.reps());
        }

        @Override
        public Long toLimit(Work.ToLimit toLimit) {
            return reps(REPS_TO_THE_LIMIT);
        }

        @Override
        public Long climb(Work.Climb climb) {
            return reps(climb.reps());
        }

        @Override
        public Long clusters(Work.Clusters clusters) {
            return sets(clusters.within() * (long) clusters.each() * SECONDS_A_REP
                    + (clusters.within() - 1) * clusters.gap().toSeconds());
        }

        @Override
        public Long density(Work.Density density) {
            return density.time().toSeconds();
        }

        @Override
        public Long until(Work.Until until) {
            return reps(until.reps());
        }

        @Override
        public Long inAll(Work.InAll inAll) {
            return reps(inAll.reps());
        }

        @Override
        public Long repsInTime(Work.RepsInTime repsInTime) {
            return sets(repsInTime.time().toSeconds());
        }

        @Override
        public Long hold(Work.Hold hold) {
            return sets(hold.time().toSeconds());
        }

        @Override
        public Long carry(Work.Carry carry) {
            return sets(carry.within().map(Duration::toSeconds).orElse((long) SECONDS_A_CARRY));
        }

        @Override
        public Long rounds(Work.Rounds rounds) {
            return rounds.time().map(Duration::toSeconds).orElseGet(() -> reps(rounds.reps()));
        }

        @Override
        public Long preparation(Work.Preparation preparation) {
            return preparation.time().toSeconds();
        }
    }

    /** How many slots are done in turn with this one, itself included. */
    private static int inTurn(PrescribedSets prescription, List<PrescribedSets> day) {
        return (int) day.stream()
                .filter(other -> other.group().equals(prescription.group()))
                .map(PrescribedSets::letter)
                .distinct()
                .count();
    }
}
