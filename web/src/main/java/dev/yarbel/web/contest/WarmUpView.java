package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Called;
import dev.yarbel.core.contest.ContestKit;
import dev.yarbel.core.contest.CountedBack;
import dev.yarbel.core.contest.FlightPace;
import dev.yarbel.core.contest.Rung;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.contest.WarmUpRoom;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampKind;
import dev.yarbel.core.ramp.RampPlanner;
import dev.yarbel.core.ramp.Start;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The warm-up room of a flight.
 *
 * @param learnt the seconds that an attempt takes as the flight goes; empty where it says nothing yet
 * @param lifters the reader's own in it, by when they lift
 * @param turns who lifts what on which bar when
 * @param lanes the numbers of the bars
 * @param minutes from the first set to the last attempt, for the drawing
 * @param unknown those of whose opener nothing is known
 */
record WarmUpView(
        FlightShown flight,
        Optional<Integer> learnt,
        List<Warming> lifters,
        List<Turn> turns,
        List<Integer> lanes,
        long minutes,
        int plates,
        List<EntryEntity> unknown) {

    private static final int SECONDS = 60;

    /**
     * A flight as it is planned with.
     *
     * @param set whether somebody set it; else it is as the contest begins
     */
    record FlightShown(Lift lift, int flight, Instant startsAt, int bars, int pace, boolean set) {}

    /**
     * A lifter who warms up.
     *
     * @param before attempts of the flight before theirs
     * @param counted whether those were counted from who is entered here
     */
    record Warming(
            EntryEntity entry,
            Mass opener,
            boolean named,
            int before,
            boolean counted,
            Instant attempt,
            CountedBack ramp) {}

    /**
     * A set of the room.
     *
     * @param minute from the first one, for the drawing
     * @param plates on the bar, a side, heaviest first
     */
    record Turn(
            EntryEntity entry,
            Mass load,
            int reps,
            int bar,
            Instant at,
            double minute,
            boolean late,
            List<Plate> plates) {}

    static WarmUpView of(DayView.Made made, FlightShown flight, Advisor advisor, Instant now) {
        List<EntryEntity> of = made.entries().stream()
                .filter(entry -> entry.flight() == flight.flight())
                .toList();
        Map<Long, Mass> openers = new HashMap<>();
        Map<Long, Boolean> named = new HashMap<>();
        List<EntryEntity> unknown = new ArrayList<>();
        for (EntryEntity entry : of) {
            Optional<AttemptEntity> first = made.of(entry).getOrDefault(flight.lift(), List.of()).stream()
                    .filter(attempt -> attempt.number() == 1)
                    .findFirst();
            Optional<Mass> opener =
                    first.map(AttemptEntity::load).or(() -> advised(made, entry, flight.lift(), advisor));
            opener.ifPresent(load -> openers.put(entry.id(), load));
            named.put(entry.id(), first.isPresent());
            if (opener.isEmpty() && isOwn(made, entry)) {
                unknown.add(entry);
            }
        }
        List<Called> order = Called.inOrder(of.stream()
                .filter(entry -> openers.containsKey(entry.id()))
                .map(entry -> new Called(
                        entry.id(),
                        entry.flight(),
                        1,
                        openers.get(entry.id()),
                        entry.lot().orElse(Integer.MAX_VALUE)))
                .toList());
        Optional<Integer> learnt = learnt(made, flight, order, of);
        int pace = learnt.orElse(flight.pace());
        List<Warming> lifters = new ArrayList<>();
        for (int place = 0; place < order.size(); place++) {
            long who = order.get(place).who();
            EntryEntity entry =
                    of.stream().filter(each -> each.id() == who).findFirst().orElseThrow();
            boolean lifted = made.of(entry).getOrDefault(flight.lift(), List.of()).stream()
                    .anyMatch(attempt -> attempt.outcome().isPresent());
            if (isOwn(made, entry) && !lifted) {
                int before = entry.attemptsBefore().orElse(place);
                Instant attempt = flight.startsAt().plusSeconds((long) before * pace);
                lifters.add(new Warming(
                        entry,
                        openers.get(who),
                        named.get(who),
                        before,
                        entry.attemptsBefore().isEmpty(),
                        attempt,
                        CountedBack.from(ramp(made.contest(), openers.get(who), flight.lift()), attempt, now)));
            }
        }
        return planned(flight, learnt, lifters, unknown);
    }

    /** What the flight itself says of its pace. */
    private static Optional<Integer> learnt(
            DayView.Made made, FlightShown flight, List<Called> order, List<EntryEntity> of) {
        return FlightPace.learnt(
                flight.startsAt(), IntStream.range(0, order.size()).boxed().flatMap(place -> of.stream()
                        .filter(entry -> entry.id() == order.get(place).who())
                        .flatMap(entry -> made.of(entry).getOrDefault(flight.lift(), List.of()).stream()
                                .filter(attempt -> attempt.number() == 1
                                        && attempt.outcome().isPresent())
                                .map(attempt -> new FlightPace.Over(
                                        entry.attemptsBefore().orElse(place), attempt.saidAt())))));
    }

    private static WarmUpView planned(
            FlightShown flight, Optional<Integer> learnt, List<Warming> lifters, List<EntryEntity> unknown) {
        WarmUpRoom room = WarmUpRoom.plan(
                lifters.stream()
                        .map(lifter -> new WarmUpRoom.Warming(lifter.entry.id(), lifter.ramp))
                        .toList(),
                flight.bars());
        Instant first =
                room.turns().isEmpty() ? flight.startsAt() : room.turns().get(0).at();
        Instant end =
                lifters.stream().map(Warming::attempt).max(Instant::compareTo).orElse(flight.startsAt());
        Map<Long, EntryEntity> entries = new HashMap<>();
        lifters.forEach(lifter -> entries.put(lifter.entry.id(), lifter.entry));
        List<Turn> turns = room.turns().stream()
                .map(turn -> new Turn(
                        entries.get(turn.who()),
                        turn.due().step().load(),
                        turn.due().step().reps(),
                        turn.bar() + 1,
                        turn.at(),
                        Duration.between(first, turn.at()).toSeconds() / (double) SECONDS,
                        turn.late().toSeconds() > SECONDS,
                        turn.due().step().loading().stack().plates()))
                .toList();
        return new WarmUpView(
                flight,
                learnt,
                lifters,
                turns,
                IntStream.rangeClosed(1, flight.bars()).boxed().toList(),
                Math.max(1, Duration.between(first, end).toMinutes() + 1),
                room.plates(),
                unknown);
    }

    private static boolean isOwn(DayView.Made made, EntryEntity entry) {
        return entry.lifterId().filter(made.own()::contains).isPresent();
    }

    private static Optional<Mass> advised(DayView.Made made, EntryEntity entry, Lift lift, Advisor advisor) {
        ScoreCard card = made.card(entry);
        return made.day(entry)
                .filter(day -> !card.isOut())
                .flatMap(day -> advisor.at(day, card, entry.way(), Rivals.asked(made, entry), lift)
                        .next())
                .map(Rung::load);
    }

    private static Ramp ramp(ContestEntity contest, Mass opener, Lift lift) {
        BarLoads kit = ContestKit.of(contest.rules(), contest.plates());
        Mass top = kit.round(opener, Rounding.NEAREST);
        return RampPlanner.plan(kit, top, RampKind.SHRINKING, Start.COLD.fromTheFloor(lift.equals(Lift.DEADLIFT)));
    }
}
