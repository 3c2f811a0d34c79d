package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.estimate.FormBreak;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RatingBias;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.estimate.RepMaxReading;
import dev.yarbel.core.estimate.SameRating;
import dev.yarbel.core.estimate.SetUpDone;
import dev.yarbel.core.estimate.SetUpStrength;
import dev.yarbel.core.estimate.SettlingSet;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.MasterySuggestion;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.web.roster.LifterCard;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One lift of a lifter on its page of the book.
 *
 * @param numbers what its loads hang on today, its own or its parent's by their ratio
 * @param ratio the ratio to the parent in use
 * @param hanging what a share would hang on, reference by reference
 * @param reading what the newest rep max says of the single
 * @param form where repetitions stop being clean, and where the lift was seen to be weak
 * @param rates how the lifter rates sets of its family; empty before anything is known
 * @param setUps what was lifted in set-ups of their own, and what is believed of them
 * @param settling the set that would settle a doubt about the max, and the load of it that can be made
 */
record LiftPage(
        Variation variation,
        LiftRecord standing,
        LiftNumbers numbers,
        Optional<Ratio> ratio,
        Percent share,
        List<Hanging> hanging,
        Optional<Reading> reading,
        Optional<MasterySuggestion> suggestion,
        FormSeen form,
        Optional<Rates> rates,
        Optional<Settling> settling,
        List<OwnSetUp> setUps,
        String kit) {

    /**
     * A set-up that has numbers of its own.
     *
     * @param strength null where nothing is known of the plain lift
     */
    record OwnSetUp(SetUpDone done, SetUpStrength strength) {}

    /** A set that would tell much, with a load that can be made. */
    record Settling(SettlingSet set, Mass load) {}

    /**
     * What was seen of the lift's form.
     *
     * @param breaks empty where nobody looked
     * @param zone where somebody of the decided mastery works by that
     * @param links weak links that were noted, the one noted most often first
     */
    record FormSeen(Optional<FormBreak> breaks, Optional<FormBreak.Zone> zone, List<Link> links) {

        /** A weak link, how often it was noted and when last. */
        record Link(CoachSeen.WeakLink link, long times, LocalDate last) {}

        static FormSeen of(LiftRecord own, LifterRecord standing) {
            List<LiftedSession> log = standing.log().stream()
                    .filter(SessionLog::finished)
                    .map(SessionLog::lifted)
                    .toList();
            Optional<FormBreak> breaks = own.estimate().flatMap(max -> FormBreak.of(own.lift(), log, max));
            Map<CoachSeen.WeakLink, List<LocalDate>> noted = new EnumMap<>(CoachSeen.WeakLink.class);
            log.forEach(session -> session.sets().stream()
                    .filter(set -> set.lift().equals(own.lift()))
                    .flatMap(set -> set.details().coach().link().stream())
                    .forEach(link ->
                            noted.computeIfAbsent(link, of -> new ArrayList<>()).add(session.date())));
            return new FormSeen(
                    breaks,
                    breaks.flatMap(found -> own.mastery().map(found::zone)),
                    noted.entrySet().stream()
                            .map(entry -> new Link(
                                    entry.getKey(), entry.getValue().size(), Collections.max(entry.getValue())))
                            .sorted(Comparator.comparingLong(link -> -link.times()))
                            .toList());
        }
    }

    /**
     * How a lifter rates.
     *
     * @param rated sets of half a year that were rated from 6 up
     * @param toTheLimit how many showed where the limit was
     * @param decided what the coach decided of it; null where it is learnt
     * @param same what nearly every set is called, though they differ; null where that is not so
     */
    record Rates(RatingBias bias, DecidedBias decided, long rated, long toTheLimit, SameRating same) {

        /** From fewer rated sets nothing is told; a starting value of ours. */
        private static final int LEAST_SETS = 8;

        public boolean tooFew() {
            return decided == null && rated < LEAST_SETS;
        }

        static Optional<Rates> of(LiftRecord own, LifterRecord standing) {
            List<LiftedSet> sets = standing.log().stream()
                    .filter(SessionLog::finished)
                    .flatMap(session -> session.lifted().sets().stream())
                    .filter(set -> standing.catalogue()
                            .root(set.lift())
                            .equals(standing.catalogue().root(own.lift())))
                    .toList();
            long limit = sets.stream().filter(LiftedSet::provesTheLimit).count();
            long rated = sets.stream()
                    .filter(set -> set.effort().rating().filter(Rpe::estimates).isPresent())
                    .count();
            SameRating same = SameRating.of(
                            sets.stream()
                                    .filter(set -> set.lift().equals(own.lift()))
                                    .toList(),
                            own.curve())
                    .orElse(null);
            DecidedBias decided = own.learnt().decidedBias().orElse(null);
            return own.learnt().bias().map(bias -> new Rates(bias, decided, rated, limit, same));
        }
    }

    /**
     * A reference, the load the share of it comes to, and how far it can be trusted.
     *
     * @param reference the code of its name
     * @param since the day it holds from; null for today's
     * @param load what can be loaded; null where the gym has nothing for the lift
     * @param stale weeks since it was lifted where that is too long ago, else 0
     */
    record Hanging(String reference, int reps, Mass max, LocalDate since, Mass load, boolean used, long stale) {}

    /** The movement that made the estimate what it is. */
    public Optional<MaxEstimate.Movement> latest() {
        return standing.estimate().map(MaxEstimate::movements).stream()
                .flatMap(List::stream)
                .reduce((earlier, later) -> later);
    }

    /** A rep max read by every formula. */
    record Reading(RecordedMax max, RepMaxReading reading) {

        public List<Map.Entry<RepFormula, Mass>> formulas() {
            return reading.byFormula().entrySet().stream()
                    .sorted(Map.Entry.<RepFormula, Mass>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                    .toList();
        }
    }

    static LiftPage of(
            LifterCard lifter,
            Variation variation,
            LifterRecord standing,
            Optional<AvailableLoads> loads,
            Percent share,
            Optional<Mass> bodyMass,
            LocalDate today) {
        LiftRecord own = standing.of(variation.lift()).orElseGet(() -> LiftRecord.none(variation.lift()));
        LiftNumbers numbers = standing.numbers().of(variation.lift());
        Optional<RecordedMax> repMax = own.newest(RecordedMax.Kind.REP_MAX);
        return new LiftPage(
                variation,
                own,
                numbers,
                variation.parent().map(parent -> own.ratio()
                        .map(set -> new Ratio(parent.to(), set, Ratio.Source.COACH))
                        .orElse(parent)),
                share,
                hanging(lifter, own, numbers, loads, share, today),
                repMax.map(max -> new Reading(max, RepMaxReading.of(max.load(), max.reps(), own.curve()))),
                MasterySuggestion.of(
                        variation.lift(),
                        new MasterySuggestion.Evidence(
                                own.practisedSince(),
                                own.consistency(),
                                numbers.estimate().or(numbers::workingMax),
                                bodyMass,
                                lifter.sex(),
                                lifter.soonOutOfBreath()),
                        today),
                FormSeen.of(own, standing),
                Rates.of(own, standing),
                loads.flatMap(there -> own.learnt()
                        .settling()
                        .map(set -> new Settling(
                                set, there.fit(set.load(), lifter.rounding()).load()))),
                standing.setUps(variation.lift()).stream()
                        .map(done -> new OwnSetUp(
                                done,
                                own.learnt().setUps().stream()
                                        .filter(strength -> strength.setUp().equals(done.setUp()))
                                        .findFirst()
                                        .orElse(null)))
                        .toList(),
                loads.map(AvailableLoads::name).orElse(null));
    }

    private static List<Hanging> hanging(
            LifterCard lifter,
            LiftRecord own,
            LiftNumbers numbers,
            Optional<AvailableLoads> loads,
            Percent share,
            LocalDate today) {
        List<Hanging> hanging = new ArrayList<>();
        numbers.workingMax()
                .ifPresent(max -> hanging.add(new Hanging(
                        numbers.workingMaxThrough().isPresent() ? "through" : "working",
                        1,
                        max,
                        null,
                        load(lifter, loads, max, share),
                        true,
                        0)));
        numbers.estimate()
                .ifPresent(max -> hanging.add(new Hanging(
                        numbers.estimateThrough().isPresent() ? "estimate-through" : "estimate",
                        1,
                        max,
                        null,
                        load(lifter, loads, max, share),
                        false,
                        staleStart(own, today))));
        for (RecordedMax.Kind kind : RecordedMax.Kind.values()) {
            own.newest(kind)
                    .ifPresent(max -> hanging.add(new Hanging(
                            kind.name(),
                            max.reps(),
                            max.load(),
                            max.on(),
                            load(lifter, loads, max.load(), share),
                            false,
                            max.isStale(today) ? max.weeksOld(today) : 0)));
        }
        return hanging;
    }

    /** An estimate that no session has moved is as old as what it started from. */
    private static long staleStart(LiftRecord own, LocalDate today) {
        boolean moved = own.estimate()
                .map(MaxEstimate::movements)
                .filter(movements -> !movements.isEmpty())
                .isPresent();
        long weeks = own.newestOnRecord()
                .map(max -> ChronoUnit.WEEKS.between(max.on(), today))
                .orElse(0L);
        return !moved && weeks > RecordedMax.FRESH_WEEKS ? weeks : 0;
    }

    private static Mass load(LifterCard lifter, Optional<AvailableLoads> loads, Mass max, Percent share) {
        return loads.map(there -> there.fit(max.times(share), lifter.rounding()))
                .map(Fit::load)
                .orElse(null);
    }

    /** The maxes of the lift as they were set down, newest first. */
    public List<SetDownMax> setDown() {
        List<SetDownMax> newestFirst = new ArrayList<>(standing.setDown());
        Collections.reverse(newestFirst);
        return newestFirst;
    }

    public List<BigDecimal> biases() {
        return DecidedBias.choices();
    }

    public Mastery[] masteries() {
        return Mastery.values();
    }
}
