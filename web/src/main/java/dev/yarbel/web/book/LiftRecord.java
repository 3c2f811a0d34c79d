package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.SpeedTable;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.RatingBias;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.estimate.SetUpStrength;
import dev.yarbel.core.estimate.SettlingSet;
import dev.yarbel.core.estimate.ShareEstimate;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.progress.LastSession;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.References;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is known of a lifter in one lift.
 *
 * @param setDown the maxes as they were set down, oldest first
 * @param learnt what the log and the maxes make believe
 * @param ratio the coach's ratio to the parent lift, where one was set
 * @param eventLoad the load announced for the contest
 * @param mastery as the coach decided
 */
public record LiftRecord(
        Lift lift,
        Optional<Mass> workingMax,
        List<SetDownMax> setDown,
        Learnt learnt,
        Optional<Percent> ratio,
        Optional<Mass> eventLoad,
        Optional<Mastery> mastery,
        Optional<LocalDate> practisedSince,
        Optional<Consistency> consistency) {

    /**
     * What is believed of a lift.
     *
     * @param curve what loads are planned by
     * @param decided the curve is the coach's, and not learnt
     * @param bias how the lifter's ratings lean in it
     * @param decidedBias what the coach decided of that
     * @param settling the set that would settle a doubt about its max
     * @param setUps what is believed of its set-ups that have numbers of their own
     * @param speeds how fast its last repetition moves
     * @param share of its parent's max, where it is a variation
     */
    public record Learnt(
            Optional<MaxEstimate> estimate,
            RepCurve curve,
            boolean decided,
            Optional<RatingBias> bias,
            Optional<DecidedBias> decidedBias,
            Optional<SettlingSet> settling,
            List<SetUpStrength> setUps,
            Optional<SpeedTable> speeds,
            Optional<ShareEstimate> share) {

        private static final Learnt NOTHING = new Learnt(
                Optional.empty(),
                RepCurve.DEFAULT,
                false,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                Optional.empty(),
                Optional.empty());

        public Learnt {
            setUps = List.copyOf(setUps);
        }
    }

    public LiftRecord {
        setDown = List.copyOf(setDown);
    }

    /** Nothing is known of the lift. */
    static LiftRecord none(Lift lift) {
        return new LiftRecord(
                lift,
                Optional.empty(),
                List.of(),
                Learnt.NOTHING,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Nothing was set down of the lift, but something lifted. */
    static LiftRecord lifted(Lift lift, Learnt learnt) {
        LiftRecord none = none(lift);
        return new LiftRecord(
                lift,
                none.workingMax,
                none.setDown,
                learnt,
                none.ratio,
                none.eventLoad,
                none.mastery,
                none.practisedSince,
                none.consistency);
    }

    /** The same with a load that is announced for the contest. */
    LiftRecord announced(Mass load) {
        return new LiftRecord(
                lift, workingMax, setDown, learnt, ratio, Optional.of(load), mastery, practisedSince, consistency);
    }

    public Optional<MaxEstimate> estimate() {
        return learnt.estimate;
    }

    /** The curve that loads are planned by. */
    public RepCurve curve() {
        return learnt.curve;
    }

    /** The newest of the maxes that the estimate hangs on. */
    public Optional<MaxOnRecord> newestOnRecord() {
        return maxes().stream()
                .flatMap(max -> MaxOnRecord.of(max, curve()).stream())
                .max(Comparator.comparing(MaxOnRecord::on));
    }

    /** Whether any max is known, rather than a ratio or a mastery alone. */
    public boolean hasNumbers() {
        return workingMax.isPresent() || estimate().isPresent() || !setDown.isEmpty();
    }

    /**
     * What loads can hang on.
     *
     * @param lastTimes the last session of each kind of work with the lift
     * @param ownBests the best of each set-up of chains or bands
     */
    LiftNumbers numbers(Map<KindOfWork, LastSession> lastTimes, Map<AccommodatingResistance, Mass> ownBests) {
        Map<Integer, Mass> repMaxes = new HashMap<>();
        maxes().stream()
                .filter(max -> max.kind() == RecordedMax.Kind.REP_MAX)
                .forEach(max -> repMaxes.put(max.reps(), max.load()));
        int leaning = learnt.bias.map(RatingBias::halvesToRead).orElse(0);
        return new LiftNumbers(workingMax, estimate().map(MaxEstimate::max), curve())
                .leaning(leaning)
                .with(new References(
                        newest(RecordedMax.Kind.CONTEST).map(RecordedMax::load),
                        newest(RecordedMax.Kind.GOAL).map(RecordedMax::load),
                        eventLoad,
                        repMaxes,
                        lastTimes,
                        ownBests,
                        learnt.speeds))
                .with(ExpectedGain.of(mastery));
    }

    /** The maxes that were set down, oldest first. */
    public List<RecordedMax> maxes() {
        return setDown.stream().map(SetDownMax::max).toList();
    }

    /** The newest max of a kind. */
    public Optional<RecordedMax> newest(RecordedMax.Kind kind) {
        return maxes().stream().filter(max -> max.kind() == kind).reduce((first, second) -> second);
    }
}
