package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.SetUpDone;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.record.UsualKit;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.LastTimes;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.OwnBests;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.util.function.SingletonSupplier;

/**
 * What is known of a lifter from finished sessions and from what was set down. It never changes; what hangs on it alone is
 * worked out once, when it is first asked for, however many pages ask.
 */
final class FinishedWork {

    private final LocalDate since;
    private final Catalogue catalogue;
    private final UsualKit usual;
    private final LifterStrength strength;
    private final List<LiftRecord> lifts;
    private final List<SessionLog> log;
    private final Supplier<List<Best.PastSet>> pastSets;
    private final Supplier<LastTimes> lastTimes;
    private final Supplier<Numbers> numbers = SingletonSupplier.of(this::workOutNumbers);
    private final Map<LocalDate, List<Best.PastSet>> bests = new ConcurrentHashMap<>();

    /**
     * @param since the log holds every finished session from this day on
     * @param catalogue the lifts that the lifter's club knows
     * @param usual what the lifter wears where nobody says anything else
     * @param strength what is believed of the lifter today
     * @param log oldest first
     */
    FinishedWork(
            LocalDate since,
            Catalogue catalogue,
            UsualKit usual,
            LifterStrength strength,
            List<LiftRecord> lifts,
            List<SessionLog> log) {
        this.since = since;
        this.catalogue = catalogue;
        this.usual = usual;
        this.strength = strength;
        this.lifts = List.copyOf(lifts);
        this.log = List.copyOf(log);
        this.pastSets = SingletonSupplier.of(this::workOutPastSets);
        this.lastTimes = SingletonSupplier.of(this::workOutLastTimes);
    }

    private FinishedWork(FinishedWork of, List<LiftRecord> lifts) {
        this.since = of.since;
        this.catalogue = of.catalogue;
        this.usual = of.usual;
        this.strength = of.strength;
        this.lifts = List.copyOf(lifts);
        this.log = of.log;
        this.pastSets = of.pastSets;
        this.lastTimes = of.lastTimes;
    }

    /** The same log with other numbers. */
    FinishedWork with(List<LiftRecord> others) {
        return new FinishedWork(this, others);
    }

    LocalDate since() {
        return since;
    }

    Catalogue catalogue() {
        return catalogue;
    }

    LifterStrength strength() {
        return strength;
    }

    List<LiftRecord> lifts() {
        return lifts;
    }

    List<SessionLog> log() {
        return log;
    }

    /** The numbers of a lift; empty where it has none. */
    Optional<LiftRecord> of(Lift lift) {
        return lifts.stream().filter(s -> s.lift().equals(lift)).findFirst();
    }

    /** How many sets it holds, as a measure of the room it takes. */
    int size() {
        return 1 + log.stream().mapToInt(session -> session.sets().size()).sum();
    }

    Numbers numbers() {
        return numbers.get();
    }

    List<Best.PastSet> pastSets() {
        return pastSets.get();
    }

    /** The sets since a day that were better than everything like them before. */
    List<Best.PastSet> bestsSince(LocalDate day) {
        return bests.computeIfAbsent(day, from -> Best.since(from, pastSets()));
    }

    /** What was lifted of a lift in set-ups of their own. */
    List<SetUpDone> setUps(Lift lift) {
        return SetUpDone.of(
                log.stream().map(SessionLog::lifted).toList(),
                lift,
                usual,
                of(lift).map(LiftRecord::curve).orElse(RepCurve.DEFAULT));
    }

    private List<Best.PastSet> workOutPastSets() {
        return log.stream()
                .flatMap(session -> Best.PastSet.of(session.date(), session.asked(), session.sets()).stream())
                .toList();
    }

    private LastTimes workOutLastTimes() {
        LastTimes last = new LastTimes();
        log.forEach(session -> last.add(session.date(), session.asked(), session.sets()));
        return last;
    }

    private Numbers workOutNumbers() {
        Map<Lift, Ratio> ratios = new HashMap<>(catalogue.ratios());
        for (LiftRecord lift : lifts) {
            lift.ratio()
                    .ifPresent(share -> ratios.computeIfPresent(
                            lift.lift(), (l, ratio) -> new Ratio(ratio.to(), share, Ratio.Source.COACH)));
        }
        LastTimes last = lastTimes.get();
        Map<Lift, LiftNumbers> own = new HashMap<>();
        Stream.concat(
                        lifts.stream(),
                        last.lifts().stream().filter(lift -> of(lift).isEmpty()).map(LiftRecord::none))
                .forEach(standing -> own.put(
                        standing.lift(),
                        standing.numbers(
                                last.of(standing.lift()), OwnBests.of(pastSets(), standing.lift(), standing.curve()))));
        return Numbers.of(own, ratios);
    }
}
