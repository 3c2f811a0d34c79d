package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.contest.WarmUpRoom.Turn;
import dev.yarbel.core.contest.WarmUpRoom.Warming;
import dev.yarbel.core.equipment.Bar;
import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.equipment.PlateSet;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampPlanner;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WarmUpRoomTest {

    private static final Instant TEN = Instant.parse("2026-03-10T10:00:00Z");

    private static final BarLoads LOADS = BarLoads.of(new BarKit(
            new Bar("bar", Mass.ofKg(20)),
            Mass.ofKg(5),
            PlateSet.of(plates("25", 6, "20", 2, "15", 2, "10", 2, "5", 2, "2.5", 2, "1.25", 2))));

    private static Map<Plate, Integer> plates(Object... pairs) {
        Map<Plate, Integer> plates = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            plates.put(Plate.of((String) pairs[i], MassUnit.KG), (Integer) pairs[i + 1]);
        }
        return plates;
    }

    private static Ramp ramp(int top) {
        return RampPlanner.plan(LOADS, Mass.ofKg(top));
    }

    private static CountedBack back(int top, int minutes) {
        return CountedBack.from(ramp(top), TEN, TEN.minus(Duration.ofMinutes(minutes)));
    }

    // ---- counted back

    /** Common practice, no source: the last warm-up lies three to five minutes before the attempt. */
    @ParameterizedTest
    @ValueSource(ints = {60, 100, 180, 250, 330})
    void theLastSetLiesThreeToFiveMinutesBeforeTheAttempt(int top) {
        CountedBack counted = back(top, 60);

        Instant last = counted.sets().get(counted.sets().size() - 1).at();
        assertThat(Duration.between(last, TEN)).isBetween(Duration.ofMinutes(3), Duration.ofMinutes(5));
        assertThat(counted.dropped()).isZero();
        assertThat(counted.squeezed()).isFalse();
        assertThat(counted.sets())
                .extracting(CountedBack.Due::step)
                .isEqualTo(ramp(top).steps());
    }

    /** However little time there is: in order, nothing before now, a minute and a half apart, the last one stays. */
    @Test
    void theRampIsBentToTheClock() {
        for (int minutes = 1; minutes <= 40; minutes++) {
            Instant now = TEN.minus(Duration.ofMinutes(minutes));
            CountedBack counted = back(240, minutes);
            List<CountedBack.Due> sets = counted.sets();
            assertThat(counted.dropped()).isEqualTo(ramp(240).steps().size() - sets.size());
            if (minutes >= 4) {
                assertThat(sets.get(sets.size() - 1).step()).isEqualTo(last(ramp(240)));
                assertThat(sets).allMatch(due -> !due.at().isBefore(now));
            } else {
                assertThat(sets).isEmpty();
            }
            for (int i = 1; i < sets.size(); i++) {
                assertThat(Duration.between(sets.get(i - 1).at(), sets.get(i).at()))
                        .isGreaterThanOrEqualTo(Duration.ofSeconds(90));
                assertThat(sets.get(i).step().load())
                        .isGreaterThan(sets.get(i - 1).step().load());
            }
        }
        assertThat(back(240, 40).dropped()).isZero();
        assertThat(back(240, 12).squeezed() || back(240, 12).dropped() > 0).isTrue();
    }

    private static Object last(Ramp ramp) {
        return ramp.steps().get(ramp.steps().size() - 1);
    }

    // ---- the room

    private static CountedBack of(List<CountedBack.Due> sets) {
        return new CountedBack(sets, 0, false);
    }

    private static Warming warming(long who, int top, int minutesLater, int fromLast) {
        CountedBack all =
                CountedBack.from(ramp(top), TEN.plus(Duration.ofMinutes(minutesLater)), TEN.minus(Duration.ofHours(1)));
        List<CountedBack.Due> sets = all.sets();
        return new Warming(who, of(sets.subList(Math.max(0, sets.size() - fromLast), sets.size())));
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2})
    void noOrderAndNoBarsAreBetter(int bars) {
        for (List<Warming> lifters : List.of(
                List.of(warming(1, 180, 0, 3), warming(2, 200, 2, 3)),
                List.of(warming(1, 120, 0, 3), warming(2, 240, 0, 3)),
                List.of(warming(1, 100, 1, 2), warming(2, 105, 1, 2), warming(3, 220, 1, 2)))) {
            WarmUpRoom room = WarmUpRoom.plan(lifters, bars);
            double found = room.turns().stream().mapToDouble(WarmUpRoom::cost).sum();

            assertThat(found).isCloseTo(brute(lifters, bars), within(1e-9));
        }
    }

    /** Every order of sets on every choice of bars. */
    private static double brute(List<Warming> lifters, int bars) {
        Instant[] free = new Instant[bars];
        Arrays.fill(free, Instant.MIN);
        PlateStack[] on = new PlateStack[bars];
        Arrays.fill(on, PlateStack.EMPTY);
        return brute(lifters, new HashMap<>(), new HashMap<>(), free, on);
    }

    private static double brute(
            List<Warming> lifters,
            Map<Long, Integer> next,
            Map<Long, Instant> rested,
            Instant[] free,
            PlateStack[] on) {
        double best = Double.POSITIVE_INFINITY;
        boolean over = true;
        for (Warming lifter : lifters) {
            int set = next.getOrDefault(lifter.who(), 0);
            if (set >= lifter.ramp().sets().size()) {
                continue;
            }
            over = false;
            CountedBack.Due due = lifter.ramp().sets().get(set);
            boolean last = set + 1 == lifter.ramp().sets().size();
            for (int bar = 0; bar < free.length; bar++) {
                for (Duration early :
                        last ? List.of(WarmUpRoom.EARLY) : List.of(WarmUpRoom.EARLY, WarmUpRoom.VERY_EARLY)) {
                    Instant at = Stream.of(
                                    due.at().minus(early), free[bar], rested.getOrDefault(lifter.who(), Instant.MIN))
                            .max(Instant::compareTo)
                            .orElseThrow();
                    PlateStack stack = due.step().loading().stack();
                    Turn turn = new Turn(lifter.who(), set, last, due, bar, at, on[bar].handledFor(stack));
                    Map<Long, Integer> nextThen = new HashMap<>(next);
                    nextThen.put(lifter.who(), set + 1);
                    Map<Long, Instant> restedThen = new HashMap<>(rested);
                    restedThen.put(lifter.who(), at.plusSeconds(120));
                    Instant[] freeThen = free.clone();
                    freeThen[bar] = at.plusSeconds(60);
                    PlateStack[] onThen = on.clone();
                    onThen[bar] = stack;
                    best = Math.min(
                            best, WarmUpRoom.cost(turn) + brute(lifters, nextThen, restedThen, freeThen, onThen));
                }
            }
        }
        return over ? 0 : best;
    }

    /** Six lifters of one flight on two bars: nobody twice at once, no bar twice at once, everybody's sets in order and in time. */
    @Test
    void aFlightOnTwoBarsIsOrderly() {
        List<Warming> lifters = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            lifters.add(new Warming(
                    i,
                    CountedBack.from(
                            ramp(120 + 20 * i), TEN.plus(Duration.ofMinutes(i)), TEN.minus(Duration.ofMinutes(50)))));
        }
        WarmUpRoom room = WarmUpRoom.plan(lifters, 2);

        for (int bar = 0; bar < 2; bar++) {
            int which = bar;
            apart(room.turns().stream().filter(turn -> turn.bar() == which).toList(), 60);
        }
        lifters.forEach(lifter -> {
            List<Turn> own = room.turns().stream()
                    .filter(turn -> turn.who() == lifter.who())
                    .toList();
            assertThat(own)
                    .extracting(Turn::set)
                    .isSorted()
                    .hasSameSizeAs(lifter.ramp().sets());
            apart(own, 120);
            // the last one is over before the attempt
            assertThat(own.get(own.size() - 1).at().plusSeconds(60))
                    .isBefore(TEN.plus(Duration.ofMinutes(lifter.who())));
        });
        assertThat(room.plates())
                .isEqualTo(room.turns().stream().mapToInt(Turn::plates).sum());
    }

    private static void apart(List<Turn> turns, int seconds) {
        for (int i = 1; i < turns.size(); i++) {
            assertThat(Duration.between(turns.get(i - 1).at(), turns.get(i).at()))
                    .isGreaterThanOrEqualTo(Duration.ofSeconds(seconds));
        }
    }

    @Test
    void nobodyWarmsUpWithoutABar() {
        assertThatThrownBy(() -> WarmUpRoom.plan(List.of(), 0)).isInstanceOf(IllegalArgumentException.class);
        assertThat(WarmUpRoom.plan(List.of(), 1).turns()).isEmpty();
    }
}
