package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.MaxEstimator;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.estimate.SmoothedMaxEstimator;
import dev.yarbel.core.estimate.StartingMax;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.OwnLifts;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The one door to what is known of a lifter and what happened. Whoever calls has asked the roster for the lifter. */
@Service
@Transactional
public class Book implements OwnLifts {

    /** What was lifted longer ago says nothing about a max today. */
    private static final int WEEKS_THAT_COUNT = 26;

    private final LiftNumbersRepository numbers;
    private final LogReader logs;
    private final RecordedMaxRepository maxes;
    private final OwnVariationRepository variations;
    private final Ledger ledger;
    private final Clock clock;
    private final MaxEstimator estimator = new SmoothedMaxEstimator();

    Book(
            LiftNumbersRepository numbers,
            LogReader logs,
            RecordedMaxRepository maxes,
            OwnVariationRepository variations,
            Ledger ledger,
            Clock clock) {
        this.numbers = numbers;
        this.logs = logs;
        this.maxes = maxes;
        this.variations = variations;
        this.ledger = ledger;
        this.clock = clock;
    }

    /** What is known of a lifter today; estimates come from finished sessions of the last half year only. */
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
        List<SessionLog> log = logs.since(lifter.clubId(), lifter.id(), from);
        List<LiftedSession> finished = finished(log);
        Catalogue catalogue = catalogue(lifter.clubId());
        return new LifterRecord(from, catalogue, lifts(lifter, finished, catalogue), log);
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
    private List<LiftRecord> lifts(LifterCard lifter, List<LiftedSession> finished, Catalogue catalogue) {
        Map<LiftNumbersEntity, List<SetDownMax>> recorded = new LinkedHashMap<>();
        for (Object[] row : numbers.findWithMaxes(lifter.clubId(), lifter.id())) {
            List<SetDownMax> own = recorded.computeIfAbsent((LiftNumbersEntity) row[0], lift -> new ArrayList<>());
            if (row[1] != null) {
                own.add(((RecordedMaxEntity) row[1]).setDown());
            }
        }
        return recorded.entrySet().stream()
                .map(lift -> standing(lift.getKey(), lift.getValue(), finished, catalogue))
                .toList();
    }

    private LiftRecord standing(
            LiftNumbersEntity row, List<SetDownMax> own, List<LiftedSession> finished, Catalogue catalogue) {
        Optional<StartingMax> start =
                StartingMax.from(own.stream().map(SetDownMax::max).toList(), row.curve());
        return new LiftRecord(
                row.lift(),
                row.workingMax(),
                own,
                start,
                row.curve(),
                estimator.estimate(
                        row.lift(), row.curve(), start, finished, catalogue.repsFlatterTheSingle(row.lift())),
                row.ratio(),
                row.eventLoad(),
                row.mastery(),
                row.practisedSince(),
                row.consistency());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Lift> ownLifts(long clubId) {
        return variations.findByClubIdOrderById(clubId).stream()
                .map(OwnVariation::lift)
                .toList();
    }

    /** The lifts a club knows: ours and its own. */
    @Transactional(readOnly = true)
    public Catalogue catalogue(long clubId) {
        Catalogue catalogue = Catalogue.STANDARD;
        for (OwnVariation own : variations.findByClubIdOrderById(clubId)) {
            catalogue = catalogue.with(List.of(own.in(catalogue)));
        }
        return catalogue;
    }

    /** What the estimates would be by another curve, as things stand. */
    Map<Lift, Optional<MaxEstimate>> estimatesBy(RepCurve curve, LifterRecord standing) {
        List<LiftedSession> finished = finished(standing.log());
        Map<Lift, Optional<MaxEstimate>> estimates = new LinkedHashMap<>();
        standing.lifts()
                .forEach(lift -> estimates.put(
                        lift.lift(),
                        estimator.estimate(
                                lift.lift(),
                                curve,
                                lift.start(),
                                finished,
                                standing.catalogue().repsFlatterTheSingle(lift.lift()))));
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
        return LocalDate.ofInstant(clock.instant(), clock.getZone()).minusWeeks(WEEKS_THAT_COUNT);
    }

    /** Sets down a max and a working max, for work that nobody in particular asked for. */
    public void start(LifterCard lifter, RecordedMax max, Mass workingMax) {
        maxes.save(new RecordedMaxEntity(lifter.clubId(), lifter.id(), max, lifter.unit(), "", clock.instant()));
        LiftNumbersEntity entity = new LiftNumbersEntity(lifter.clubId(), lifter.id(), max.lift());
        entity.workingMax(workingMax);
        numbers.save(entity);
    }

    /** Has all lifts of a lifter hang on a curve, and writes into the ledger for which of them that is another one. */
    public void useCurve(Person coach, LifterCard lifter, RepCurve curve) {
        for (LiftNumbersEntity lift : numbers.findByClubIdAndLifterIdOrderById(lifter.clubId(), lifter.id())) {
            String before = lift.curve().key();
            if (!before.equals(curve.key())) {
                lift.curve(curve);
                ledger.write(
                        coach,
                        lifter,
                        ChangeKind.CURVE,
                        List.of(lift.lift().key()),
                        Optional.empty(),
                        before,
                        curve.key());
            }
        }
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
        LiftNumbersEntity entity = numbers.findByClubIdAndLifterIdAndLift(lifter.clubId(), lifter.id(), lift)
                .orElseThrow(NotFoundException::new);
        if (!entity.workingMax().equals(Optional.of(expected))) {
            return Optional.empty();
        }
        entity.workingMax(after);
        MassUnit unit = lifter.unit();
        return Optional.of(ledger.decide(
                coach,
                lifter,
                kind,
                lift,
                why,
                expected.format(unit, 2),
                after.format(unit, 2),
                Optional.of(new Ledger.MovedMax(expected, after))));
    }
}
