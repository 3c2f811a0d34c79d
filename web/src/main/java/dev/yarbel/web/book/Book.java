package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.estimate.SpeedTables;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The door to what is known of a lifter: each lift's numbers, and the log they come from. What is lifted goes in by
 * {@link Sessions}, what was changed stands in the {@link Ledger}. Whoever calls has asked the roster for the lifter.
 */
@Service
@Transactional
public class Book {

    /** What was not lifted since has no estimate of its own any more. */
    private static final int WEEKS_THAT_COUNT = 26;

    private final LiftNumbersRepository numbers;
    private final LogReader logs;
    private final ClubLifts lifts;
    private final StartingNumbers starting;
    private final SetUps setUps;
    private final FinishedWorks finishedWorks;
    private final Strengths strengths;
    private final KeptStrength keptStrength;
    private final Clock clock;

    Book(
            LiftNumbersRepository numbers,
            LogReader logs,
            ClubLifts lifts,
            StartingNumbers starting,
            SetUps setUps,
            FinishedWorks finishedWorks,
            Strengths strengths,
            KeptStrength keptStrength,
            Clock clock) {
        this.numbers = numbers;
        this.logs = logs;
        this.lifts = lifts;
        this.starting = starting;
        this.setUps = setUps;
        this.finishedWorks = finishedWorks;
        this.strengths = strengths;
        this.keptStrength = keptStrength;
        this.clock = clock;
    }

    /** The planned day that a lifter trained last; empty before the first. */
    @Transactional(readOnly = true)
    public Optional<PlannedDay> lastPlanned(LifterCard lifter) {
        return logs.lastPlanned(lifter.clubId(), lifter.id());
    }

    /** What is known of a lifter today, with the log of the last half year. */
    @Transactional(readOnly = true)
    public LifterRecord standing(LifterCard lifter) {
        return standing(lifter, LocalDate.MAX);
    }

    /**
     * What is known of a lifter today, with the log of at least the time since a date.
     *
     * @param since from when on the log is wanted even if it says nothing about a max any more
     */
    @Transactional(readOnly = true)
    public LifterRecord standing(LifterCard lifter, LocalDate since) {
        LocalDate counting = counting();
        LocalDate from = since.isBefore(counting) ? since : counting;
        LogReader.Open open = logs.open(lifter.clubId(), lifter.id(), from);
        FinishedWork finished =
                finishedWorks.of(lifter.id(), open.version(), today(), from, () -> finished(lifter, from));
        return new LifterRecord(finished, open.sessions());
    }

    private FinishedWork finished(LifterCard lifter, LocalDate from) {
        Map<LiftNumbersEntity, List<SetDownMax>> recorded = recorded(lifter.clubId(), lifter.id());
        SetDown setDown = setDown(lifter.clubId(), recorded);
        Strengths.WorkedOut worked = strengths.workedOut(lifter.clubId(), lifter.id(), setDown, from, counting());
        LifterStrength strength = worked.history().on(today(), counting());
        return new FinishedWork(
                from,
                setDown.catalogue(),
                setDown.usual(),
                strength,
                lifts(recorded, setDown, strength, finished(worked.log())),
                worked.log());
    }

    private SetDown setDown(long clubId, Map<LiftNumbersEntity, List<SetDownMax>> recorded) {
        return new SetDown(
                lifts.catalogue(clubId),
                Decisions.of(recorded.keySet()),
                recorded.values().stream()
                        .flatMap(List::stream)
                        .map(SetDownMax::max)
                        .toList());
    }

    /** Keeps what is believed of a lifter after each finished session of which it is not kept yet. Asked again it does nothing. */
    void keepStrength(long clubId, long lifterId) {
        if (keptStrength.hold(clubId, lifterId)) {
            strengths.keep(clubId, lifterId, setDown(clubId, recorded(clubId, lifterId)), counting());
        }
    }

    /**
     * The same after something was logged on a day of a plan. What is known hangs on finished sessions alone: where that
     * day's is finished, or was, all of it is read again.
     */
    @Transactional(readOnly = true)
    public LifterRecord after(LifterCard lifter, LifterRecord before, PlannedDay day) {
        return logs.of(lifter.clubId(), lifter.id(), day)
                .filter(session -> !session.finished())
                .flatMap(before::withOpen)
                .orElseGet(() -> standing(lifter, before.since()));
    }

    /** The lifts that have any number, in the order they were set up; no max is set down without its lift's numbers. */
    private Map<LiftNumbersEntity, List<SetDownMax>> recorded(long clubId, long lifterId) {
        Map<LiftNumbersEntity, List<SetDownMax>> recorded = new LinkedHashMap<>();
        for (Object[] row : numbers.findWithMaxes(clubId, lifterId)) {
            List<SetDownMax> own = recorded.computeIfAbsent((LiftNumbersEntity) row[0], lift -> new ArrayList<>());
            if (row[1] != null) {
                own.add(((RecordedMaxEntity) row[1]).setDown());
            }
        }
        return recorded;
    }

    private List<LiftRecord> lifts(
            Map<LiftNumbersEntity, List<SetDownMax>> recorded,
            SetDown setDown,
            LifterStrength strength,
            List<LiftedSession> finished) {
        SpeedTables speeds = SpeedTables.of(setDown.usual(), finished);
        Function<Lift, LiftRecord.Learnt> learnt =
                lift -> learnt(lift, setDown.decisions(), setDown.catalogue().root(lift), strength, speeds);
        Stream<LiftRecord> known = recorded.entrySet().stream()
                .map(lift -> standing(
                        lift.getKey(),
                        lift.getValue(),
                        learnt.apply(lift.getKey().lift())));
        // what was lifted without ever having been set up stands there too
        Stream<LiftRecord> liftedOnly = finished.stream()
                .flatMap(session -> session.sets().stream())
                .map(LiftedSet::lift)
                .distinct()
                .filter(lift ->
                        recorded.keySet().stream().noneMatch(row -> row.lift().equals(lift))
                                && strength.estimate(lift).isPresent())
                .map(lift -> LiftRecord.lifted(lift, learnt.apply(lift)));
        return Stream.concat(known, liftedOnly).toList();
    }

    private static LiftRecord standing(LiftNumbersEntity row, List<SetDownMax> own, LiftRecord.Learnt learnt) {
        return new LiftRecord(
                row.lift(),
                row.workingMax(),
                own,
                learnt,
                row.ratio(),
                row.eventLoad(),
                row.mastery(),
                row.practisedSince(),
                row.consistency());
    }

    private static LiftRecord.Learnt learnt(
            Lift lift, Decisions decisions, Lift root, LifterStrength strength, SpeedTables speeds) {
        Optional<RepCurve> decided = Optional.ofNullable(decisions.curves().get(lift));
        return new LiftRecord.Learnt(
                strength.estimate(lift),
                decided.or(() -> strength.curve(lift)).orElse(RepCurve.DEFAULT),
                decided.isPresent(),
                strength.ratingBias(lift),
                Optional.ofNullable(decisions.biases().get(root)),
                strength.settling(lift),
                strength.setUps(lift),
                speeds.of(lift),
                strength.ratio(lift));
    }

    /**
     * What the estimates would be by one curve for all lifts, from the log of half a year.
     *
     * @param curve empty where each lift's is learnt
     */
    Map<Lift, Optional<MaxEstimate>> estimatesBy(Optional<RepCurve> curve, LifterRecord standing) {
        SetDown setDown = new SetDown(
                standing.catalogue(),
                Decisions.of(standing.lifts(), curve),
                standing.lifts().stream().flatMap(lift -> lift.maxes().stream()).toList());
        LifterStrength strength = StrengthHistory.of(setDown.filter(), setDown.onRecord(), finished(standing.log()))
                .on(today());
        Map<Lift, Optional<MaxEstimate>> estimates = new LinkedHashMap<>();
        standing.lifts().forEach(lift -> estimates.put(lift.lift(), strength.estimate(lift.lift())));
        return estimates;
    }

    /** The sessions that say something about a max today. */
    private List<LiftedSession> finished(List<SessionLog> log) {
        LocalDate counting = counting();
        return log.stream()
                .filter(session -> session.finished() && !session.date().isBefore(counting))
                .map(SessionLog::lifted)
                .toList();
    }

    private LocalDate counting() {
        return today().minusWeeks(WEEKS_THAT_COUNT);
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), clock.getZone());
    }

    /**
     * The sessions of some lifters that answer days of plans, and each one's last whatever it answers; oldest first.
     *
     * @param days the numbers of the days
     */
    @Transactional(readOnly = true)
    public List<SessionGlance> glances(long clubId, Collection<Long> lifters, Collection<Long> days) {
        return lifters.isEmpty() ? List.of() : logs.glances(clubId, lifters, days);
    }

    /** The lifts a club knows: ours and its own. */
    @Transactional(readOnly = true)
    public Catalogue catalogue(long clubId) {
        return lifts.catalogue(clubId);
    }

    /** Sets down a max and a working max, for work that nobody in particular asked for. */
    public void start(LifterCard lifter, RecordedMax max, Mass workingMax) {
        starting.start(lifter, max, workingMax);
    }

    /**
     * Sets a max down, and where there is no working max yet, that too at the coach's share of it.
     *
     * @param typedIn the unit it was typed in, in which it is shown again
     */
    public void setDown(Person coach, LifterCard lifter, RecordedMax max, MassUnit typedIn) {
        starting.max(coach, lifter, max, typedIn, false);
    }

    /** Sets down how a lift has been practised. */
    public void setDown(Person coach, LifterCard lifter, Lift lift, Practice practice) {
        starting.mastery(coach, lifter, lift, practice);
    }

    /** Sets down the load announced for the contest; none where none is any more. */
    public void announce(Person coach, LifterCard lifter, Lift lift, Optional<Mass> load) {
        starting.eventLoad(coach, lifter, lift, load);
    }

    /** Keeps the figures of a set-up card; one that is blank or missing is taken off it. */
    public void setUp(Person coach, LifterCard lifter, Variation variation, Map<SetUpMeasure, String> figures) {
        starting.setUp(coach, lifter, variation, figures);
    }

    /** A lifter's set-up cards, lift by lift; a lift without figures has none. */
    @Transactional(readOnly = true)
    public Map<Lift, Map<SetUpMeasure, String>> setUpCards(LifterCard lifter) {
        return setUps.cards(lifter);
    }

    /**
     * Moves a lifter's working max, and writes into the ledger who decided that and why.
     *
     * @param expected the working max the decision was made on
     * @return the number of the ledger's entry; empty when it no longer stood there: then nothing happened
     */
    public Optional<Long> moveWorkingMax(
            Person coach,
            LifterCard lifter,
            Lift lift,
            Mass expected,
            Mass after,
            ChangeKind kind,
            Optional<String> why) {
        return starting.moveWorkingMax(coach, lifter, lift, expected, after, kind, why);
    }

    /**
     * What speaks for a lifter's mastery of a lift, and what the coach decides it is.
     *
     * @param since it has been practised
     */
    public record Practice(Optional<LocalDate> since, Optional<Consistency> consistency, Optional<Mastery> mastery) {}
}
