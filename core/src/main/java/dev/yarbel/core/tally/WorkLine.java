package dev.yarbel.core.tally;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.Demand;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import java.util.Optional;

/**
 * Work sets of one kind on one day, planned or lifted, as they are counted.
 *
 * @param week from 0
 * @param day from 0
 * @param reps of a set; of a set to the limit, those that today's estimate speaks for
 * @param load empty where it cannot be said
 * @param share of today's estimate, else of the working max
 * @param hardSets how many of the sets are hard
 * @param nearLimit one of them rates 8 or more, by what was said, asked for, or is to be expected
 */
public record WorkLine(
        int week,
        int day,
        Lift lift,
        int sets,
        int reps,
        Optional<Mass> load,
        Optional<Percent> share,
        int hardSets,
        boolean nearLimit,
        boolean done) {

    private static final Rpe EIGHT = Rpe.of(8);

    /** What a part of a plan asks for. */
    static WorkLine planned(
            int week, int day, PrescribedSets prescription, ResolvedLoad resolved, LiftNumbers numbers) {
        Part part = prescription.part();
        Optional<Mass> load = resolved.load();
        boolean hard = load.map(mass ->
                        HardSets.isHard(part, Demand.of(prescription, numbers).plain(mass), numbers))
                .orElseGet(() -> HardSets.isHard(part));
        // of sets that climb the last one counts
        int hardSets = !hard ? 0 : part.work().isClimb() ? 1 : part.sets();
        return new WorkLine(
                week,
                day,
                prescription.lift(),
                part.sets(),
                reps(part, load, numbers),
                part.work().countsReps() ? load : Optional.empty(),
                part.work().countsReps()
                        ? share(load.map(Demand.of(prescription, numbers)::plain), numbers)
                        : Optional.empty(),
                part.work().isPreparation() ? 0 : hardSets,
                !part.work().isPreparation() && isNearLimit(part, load, numbers),
                false);
    }

    /** A set that was lifted. */
    static WorkLine done(int week, int day, LiftedSet set, LiftNumbers numbers) {
        Optional<Mass> load = Optional.of(set.load());
        return new WorkLine(
                week,
                day,
                set.lift(),
                1,
                set.reps(),
                load,
                share(load, numbers),
                HardSets.isHard(set, numbers) ? 1 : 0,
                !set.made()
                        || set.ratingOnRecord()
                                .filter(rating -> rating.compareTo(EIGHT) >= 0)
                                .isPresent(),
                true);
    }

    private static boolean isNearLimit(Part part, Optional<Mass> load, LiftNumbers numbers) {
        Optional<Rpe> rating = part.basis().rating().or(part.work()::climbsTo);
        if (rating.isPresent()) {
            return rating.get().compareTo(EIGHT) >= 0;
        }
        return part.work().isToLimit()
                || part.work().countsReps()
                        && numbers.estimate()
                                .or(numbers::workingMax)
                                .flatMap(max -> load.filter(
                                        mass -> !mass.isLessThan(numbers.curve().load(max, part.reps(), EIGHT))))
                                .isPresent();
    }

    private static Optional<Percent> share(Optional<Mass> load, LiftNumbers numbers) {
        return numbers.estimate().or(numbers::workingMax).flatMap(max -> load.map(mass -> mass.percentOf(max)));
    }

    private static int reps(Part part, Optional<Mass> load, LiftNumbers numbers) {
        if (!part.work().countsReps()) {
            return 0;
        }
        Optional<Mass> max = numbers.estimate().or(numbers::workingMax);
        if (!part.work().isToLimit() || load.isEmpty() || max.isEmpty()) {
            return part.reps();
        }
        int reps = 1;
        while (reps < Work.MOST_REPS / 2
                && !load.get().isGreaterThan(numbers.curve().load(max.get(), reps + 1, Rpe.LIMIT))) {
            reps++;
        }
        return reps;
    }

    /** All repetitions. */
    public int allReps() {
        return sets * reps;
    }

    /** What was moved: load times repetitions. */
    public Mass tonnage() {
        return load.map(mass -> mass.times(allReps())).orElse(Mass.ZERO);
    }
}
