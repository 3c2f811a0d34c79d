package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Maxes of many lifters that come in at once, and go again at once. */
@Service
@Transactional
public class ImportedMaxes {

    private final StartingNumbers starting;
    private final RecordedMaxRepository maxes;
    private final LiftNumbersRepository numbers;

    ImportedMaxes(StartingNumbers starting, RecordedMaxRepository maxes, LiftNumbersRepository numbers) {
        this.starting = starting;
        this.maxes = maxes;
        this.numbers = numbers;
    }

    /**
     * What is on record of lifters.
     *
     * @param newest of each lift the newest max, as a single, else the working max
     */
    public record OnRecord(Set<Max> all, Map<Long, Map<Lift, Mass>> newest) {

        /** Whether this very max is. */
        public boolean has(long lifter, RecordedMax max) {
            return all.contains(Max.of(lifter, max));
        }

        /** What was set down last for a lift, else its working max. */
        public Optional<Mass> newest(long lifter, Lift lift) {
            return Optional.ofNullable(newest.getOrDefault(lifter, Map.of()).get(lift));
        }
    }

    /** One max, its load to a hundredth of a kilogram, which no rounding of units reaches. */
    record Max(long lifter, Lift lift, String load, int reps, LocalDate on) {

        private static Max of(long lifter, RecordedMax max) {
            return new Max(lifter, max.lift(), max.load().figure(MassUnit.KG, 2), max.reps(), max.on());
        }
    }

    @Transactional(readOnly = true)
    public OnRecord onRecord(long clubId, Collection<Long> lifters) {
        Set<Max> all = new HashSet<>();
        Map<Long, Map<Lift, Mass>> newest = new HashMap<>();
        List<RecordedMaxEntity> known = lifters.isEmpty() ? List.of() : maxes.of(clubId, lifters);
        known.stream().filter(max -> max.max().kind() != RecordedMax.Kind.GOAL).forEach(max -> {
            all.add(Max.of(max.lifterId(), max.max()));
            newest.computeIfAbsent(max.lifterId(), lifter -> new HashMap<>())
                    .put(max.lift(), max.max().max(RepCurve.DEFAULT));
        });
        List<LiftNumbersEntity> standing =
                lifters.isEmpty() ? List.of() : numbers.findByClubIdAndLifterIdIn(clubId, lifters);
        standing.forEach(row -> row.workingMax()
                .ifPresent(max -> newest.computeIfAbsent(row.lifterId(), lifter -> new HashMap<>())
                        .putIfAbsent(row.lift(), max)));
        return new OnRecord(all, newest);
    }

    /** A max and whose it is. */
    public record Arriving(LifterCard lifter, RecordedMax max, MassUnit typedIn) {}

    /** A working max that there was not before. */
    public record Made(long numbers, Mass workingMax) {}

    /** What came in, to be taken back by. */
    public record Taken(List<Long> maxes, List<Made> made) {}

    public Taken take(Person coach, List<Arriving> arriving) {
        List<Long> kept = new ArrayList<>();
        List<Made> made = new ArrayList<>();
        for (Arriving one : arriving) {
            StartingNumbers.NowSetDown now = starting.max(coach, one.lifter(), one.max(), one.typedIn(), true);
            kept.add(now.max());
            now.made()
                    .ifPresent(
                            row -> made.add(new Made(row.id(), row.workingMax().orElseThrow())));
        }
        return new Taken(kept, made);
    }

    /** @param lifter one of a number, empty where whoever takes it back does not see them any more: theirs stays */
    public void takeBack(Person coach, Taken taken, Function<Long, Optional<LifterCard>> lifter) {
        if (taken.maxes().isEmpty()) {
            return;
        }
        Map<Long, Optional<LifterCard>> seen = new HashMap<>();
        for (RecordedMaxEntity max : maxes.numbered(coach.clubId(), taken.maxes())) {
            seen.computeIfAbsent(max.lifterId(), lifter)
                    .ifPresent(card -> starting.struck(coach, card, max.id(), true));
        }
        for (Made made : taken.made()) {
            numbers.findByClubIdAndId(coach.clubId(), made.numbers())
                    .flatMap(row -> seen.computeIfAbsent(row.lifterId(), lifter))
                    .ifPresent(card -> starting.unmade(coach, card, made.numbers(), made.workingMax()));
        }
    }
}
