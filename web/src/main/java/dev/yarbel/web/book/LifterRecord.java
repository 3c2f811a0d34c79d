package dev.yarbel.web.book;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.session.LastTimes;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.OwnBests;
import dev.yarbel.web.page.NotFoundException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What the book knows of a lifter: each lift's numbers, and the sessions they came from, oldest first.
 *
 * @param since the log holds every session from this day on
 * @param catalogue the lifts that the lifter's club knows
 */
public record LifterRecord(LocalDate since, Catalogue catalogue, List<LiftRecord> lifts, List<SessionLog> log) {

    public LifterRecord {
        lifts = List.copyOf(lifts);
        log = List.copyOf(log);
    }

    public Optional<LiftRecord> of(Lift lift) {
        return lifts.stream().filter(s -> s.lift().equals(lift)).findFirst();
    }

    /** The same with loads announced for the contest, as if they had been set down. */
    public LifterRecord withEventLoads(Map<Lift, Mass> announced) {
        List<LiftRecord> with = new ArrayList<>();
        lifts.forEach(lift -> with.add(Optional.ofNullable(announced.get(lift.lift()))
                .map(lift::announced)
                .orElse(lift)));
        announced.forEach((lift, load) -> {
            if (of(lift).isEmpty()) {
                with.add(LiftRecord.none(lift).announced(load));
            }
        });
        return new LifterRecord(since, catalogue, with, log);
    }

    /** Whether the numbers of lifts are the very same, and not worked out anew. */
    public boolean hasNumbersOf(LifterRecord other) {
        return lifts == other.lifts;
    }

    /** The same with an open session as it is now; empty where it was finished before, on which numbers may hang. */
    Optional<LifterRecord> withOpen(SessionLog session) {
        int at = 0;
        while (at < log.size() && log.get(at).id() != session.id()) {
            at++;
        }
        if (at < log.size() && log.get(at).finished()) {
            return Optional.empty();
        }
        List<SessionLog> now = new ArrayList<>(log);
        if (at < log.size()) {
            now.set(at, session);
        } else {
            now.add(session);
            now.sort(Comparator.comparing(SessionLog::date));
        }
        return Optional.of(new LifterRecord(since, catalogue, lifts, now));
    }

    /**
     * The lift of a key.
     *
     * @throws NotFoundException when the club knows none
     */
    Variation variation(String key) {
        return catalogue.all().stream()
                .filter(variation -> variation.lift().key().equals(key))
                .findFirst()
                .orElseThrow(NotFoundException::new);
    }

    /** What loads can hang on, for each lift and for its variations by their ratios. */
    public Numbers numbers() {
        Map<Lift, Ratio> ratios = new HashMap<>(catalogue.ratios());
        for (LiftRecord lift : lifts) {
            lift.ratio()
                    .ifPresent(share -> ratios.computeIfPresent(
                            lift.lift(), (l, ratio) -> new Ratio(ratio.to(), share, Ratio.Source.COACH)));
        }
        LastTimes last = lastTimes();
        List<Best.PastSet> past = pastSets();
        Map<Lift, LiftNumbers> own = new HashMap<>();
        Stream.concat(
                        lifts.stream(),
                        last.lifts().stream().filter(lift -> of(lift).isEmpty()).map(LiftRecord::none))
                .forEach(standing -> own.put(
                        standing.lift(),
                        standing.numbers(
                                last.of(standing.lift()), OwnBests.of(past, standing.lift(), standing.curve()))));
        return Numbers.of(own, ratios);
    }

    private LastTimes lastTimes() {
        LastTimes last = new LastTimes();
        log.stream()
                .filter(SessionLog::finished)
                .forEach(session -> last.add(session.date(), session.asked(), session.sets()));
        return last;
    }

    /** Every work set of the log with the kind of work it was part of. */
    public List<Best.PastSet> pastSets() {
        return log.stream()
                .filter(SessionLog::finished)
                .flatMap(session -> Best.PastSet.of(session.date(), session.asked(), session.sets()).stream())
                .toList();
    }

    /** The sessions by the day of the plan they answer; those that answer none are not among them. */
    public Map<PlannedDay, SessionLog> byPlannedDay() {
        return log.stream()
                .filter(session -> session.planned().isPresent())
                .collect(Collectors.toMap(session -> session.planned().get(), Function.identity()));
    }
}
