package dev.yarbel.core.contest;

import dev.yarbel.core.equipment.PlateStack;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Who warms up on which of few shared bars when, with the fewest plates put on and taken off: a beam search over the order of sets and over
 * the bars. A set may be up to a minute early, and five where bars are short and it is not the last; being late costs more the longer it is,
 * most for the last set.
 *
 * @param turns in the order in which they begin
 * @param plates put on and taken off, a side, all in all
 */
public record WarmUpRoom(List<Turn> turns, int plates) {

    /** A bar is loaded and lifted once in this time. */
    static final Duration A_SET = Duration.ofSeconds(60);

    static final Duration EARLY = Duration.ofSeconds(60);
    static final Duration VERY_EARLY = Duration.ofSeconds(300);
    private static final int BEAM = 150;
    /** A plate is about as bad as so many seconds late; twice as late is four times as bad. */
    private static final double SECONDS_A_PLATE = 20;
    /** The last set leads to the opener. */
    private static final double LAST_IS_WORSE = 4;
    /** To begin a minute earlier than need be is as bad as so many plates. */
    private static final double A_MINUTE_EARLY = 0.5;

    public WarmUpRoom {
        turns = List.copyOf(turns);
    }

    /**
     * A lifter's warm-up.
     *
     * @param who any number that tells lifters apart
     */
    public record Warming(long who, CountedBack ramp) {}

    /**
     * A set.
     *
     * @param set its number in the lifter's warm-up, from 0
     * @param last whether the opener follows it
     * @param bar from 0
     * @param at when it begins
     * @param plates put on and taken off before it, a side
     */
    public record Turn(long who, int set, boolean last, CountedBack.Due due, int bar, Instant at, int plates) {

        /** How late it begins; nothing where it does not. */
        public Duration late() {
            Duration late = Duration.between(due.at(), at);
            return late.isNegative() ? Duration.ZERO : late;
        }
    }

    /**
     * Plans the room.
     *
     * @param bars there are, at least one, all alike and empty
     * @throws IllegalArgumentException when there is none
     */
    public static WarmUpRoom plan(List<Warming> lifters, int bars) {
        if (bars < 1) {
            throw new IllegalArgumentException("nobody warms up without a bar");
        }
        List<State> beam = List.of(State.first(lifters, bars));
        int sets =
                lifters.stream().mapToInt(lifter -> lifter.ramp().sets().size()).sum();
        for (int done = 0; done < sets; done++) {
            // in the order in which they were thought of, so that the same room is planned alike each time
            Map<State.Key, State> next = new LinkedHashMap<>();
            for (State state : beam) {
                state.expand(lifters)
                        .forEach(then ->
                                next.merge(then.key(), then, (one, other) -> one.cost <= other.cost ? one : other));
            }
            beam = next.values().stream()
                    .sorted(Comparator.comparingDouble((State state) -> state.promise)
                            .thenComparing(state -> state.turn.at()))
                    .limit(BEAM)
                    .toList();
        }
        State best = beam.get(0);
        List<Turn> turns = new ArrayList<>();
        for (State state = best; state.turn != null; state = state.before) {
            turns.add(state.turn);
        }
        turns.sort(Comparator.comparing(Turn::at).thenComparing(Turn::bar));
        return new WarmUpRoom(turns, turns.stream().mapToInt(Turn::plates).sum());
    }

    /** What a set costs: its plates, and being late. */
    static double cost(Turn turn) {
        double early = Math.max(
                0, Duration.between(turn.at(), turn.due().at()).minus(EARLY).toSeconds() / 60.0);
        return turn.plates() + late(turn.late(), turn.last()) + early * A_MINUTE_EARLY;
    }

    private static double late(Duration by, boolean last) {
        double late = Math.max(0, by.toSeconds()) / SECONDS_A_PLATE;
        return late * late / 2 * (last ? LAST_IS_WORSE : 1);
    }

    /** So far in the room. */
    private static final class State {

        private final int[] next;
        private final Instant[] rested;
        private final Instant[] free;
        private final PlateStack[] on;
        private final State before;
        private final Turn turn;
        private final double cost;
        private final double promise;

        /** @param before null for nobody having begun, and then there is no turn */
        private State(
                List<Warming> lifters,
                int[] next,
                Instant[] rested,
                Instant[] free,
                PlateStack[] on,
                State before,
                Turn turn) {
            this.next = next;
            this.rested = rested;
            this.free = free;
            this.on = on;
            this.before = before;
            this.turn = turn;
            this.cost = before == null ? 0 : before.cost + WarmUpRoom.cost(turn);
            this.promise = cost + atLeast(lifters);
        }

        private static State first(List<Warming> lifters, int bars) {
            Instant[] rested = new Instant[lifters.size()];
            Arrays.fill(rested, Instant.MIN);
            Instant[] free = new Instant[bars];
            Arrays.fill(free, Instant.MIN);
            PlateStack[] on = new PlateStack[bars];
            Arrays.fill(on, PlateStack.EMPTY);
            return new State(lifters, new int[lifters.size()], rested, free, on, null, null);
        }

        /** What is still to be done hangs on nothing else. */
        private record Key(List<Integer> next, List<Instant> rested, List<Instant> free, List<PlateStack> on) {}

        private Key key() {
            return new Key(Arrays.stream(next).boxed().toList(), List.of(rested), List.of(free), List.of(on));
        }

        /** What being late will cost at least, were each lifter alone from now on: who is urgent is not left for who is not. */
        private double atLeast(List<Warming> lifters) {
            Instant bar = Arrays.stream(free).min(Comparator.naturalOrder()).orElseThrow();
            double cost = 0;
            for (int lifter = 0; lifter < next.length; lifter++) {
                List<CountedBack.Due> sets = lifters.get(lifter).ramp().sets();
                Instant at = later(bar, rested[lifter]);
                for (int set = next[lifter]; set < sets.size(); set++) {
                    at = later(at, sets.get(set).at().minus(VERY_EARLY));
                    boolean last = set + 1 == sets.size();
                    cost += late(Duration.between(sets.get(set).at(), at), last);
                    at = at.plus(A_SET).plus(A_SET);
                }
            }
            return cost;
        }

        private List<State> expand(List<Warming> lifters) {
            List<State> states = new ArrayList<>();
            for (int lifter = 0; lifter < lifters.size(); lifter++) {
                List<CountedBack.Due> sets = lifters.get(lifter).ramp().sets();
                if (next[lifter] < sets.size()) {
                    for (int bar = 0; bar < on.length; bar++) {
                        states.add(then(lifters, lifter, bar, EARLY));
                        if (next[lifter] + 1 < sets.size()) {
                            states.add(then(lifters, lifter, bar, VERY_EARLY));
                        }
                    }
                }
            }
            return states;
        }

        private State then(List<Warming> lifters, int lifter, int bar, Duration early) {
            Warming warming = lifters.get(lifter);
            List<CountedBack.Due> sets = warming.ramp().sets();
            CountedBack.Due due = sets.get(next[lifter]);
            boolean last = next[lifter] + 1 == sets.size();
            Instant at = later(due.at().minus(early), later(free[bar], rested[lifter]));
            PlateStack stack = due.step().loading().stack();
            Turn turn = new Turn(warming.who(), next[lifter], last, due, bar, at, on[bar].handledFor(stack));
            int[] nextThen = next.clone();
            nextThen[lifter]++;
            Instant[] restedThen = rested.clone();
            // a minute's lifting and a minute's rest at least
            restedThen[lifter] = at.plus(A_SET).plus(A_SET);
            Instant[] freeThen = free.clone();
            freeThen[bar] = at.plus(A_SET);
            PlateStack[] onThen = on.clone();
            onThen[bar] = stack;
            return new State(lifters, nextThen, restedThen, freeThen, onThen, this, turn);
        }

        private static Instant later(Instant one, Instant other) {
            return one.isAfter(other) ? one : other;
        }
    }
}
