package dev.yarbel.core.exchange;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.measure.UnitSlip;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * What was heaviest of each lift on each day of a table, so that a day written in the other unit stands out among its neighbours: between
 * 2.0 and 2.45 times as heavy as the middle one of those around it, see {@link UnitSlip}, or between 2.1 and 2.3 times as light, since a light
 * day is half as heavy often enough (starting values of ours).
 */
public final class LoadsSeen {

    private static final int AROUND = 3;
    private static final int FEWEST = 2;
    private static final Percent LIGHTER_FROM = Percent.of(210);
    private static final Percent LIGHTER_TO = Percent.of(230);

    private final Map<Key, TreeMap<LocalDate, Mass>> heaviest = new HashMap<>();
    private final Set<Slip> above = new HashSet<>();
    private Set<Slip> slips;

    private record Key(String lifter, Lift lift) {}

    private record Slip(Key key, LocalDate day) {}

    /** Takes a set in; nothing may be asked before the last one was. */
    public void add(ReadSet read) {
        if (read.set().load().isPositive() && !read.warmUp()) {
            heaviest.computeIfAbsent(key(read), key -> new TreeMap<>())
                    .merge(read.day(), read.set().load(), Mass::max);
        }
    }

    private static Key key(ReadSet read) {
        return new Key(read.lifter(), read.set().lift());
    }

    /** Whether what was lifted of a lift on a day looks as if it was written in the other unit. */
    public boolean isSlip(ReadSet read) {
        if (slips == null) {
            slips = new HashSet<>();
            heaviest.forEach(this::look);
        }
        return slips.contains(new Slip(key(read), read.day()));
    }

    /** Of a slip: whether it is heavier than its neighbours, so that pounds were taken for kilograms, and not the other way round. */
    public boolean standsAbove(ReadSet slip) {
        return isSlip(slip) && above.contains(new Slip(key(slip), slip.day()));
    }

    /** The heaviest of a lift; empty where nothing was. */
    public Optional<Mass> heaviest(Lift lift) {
        return heaviest.entrySet().stream()
                .filter(entry -> entry.getKey().lift().equals(lift))
                .flatMap(entry -> entry.getValue().values().stream())
                .max(Mass::compareTo);
    }

    private void look(Key key, TreeMap<LocalDate, Mass> days) {
        List<Map.Entry<LocalDate, Mass>> inOrder = List.copyOf(days.entrySet());
        for (int at = 0; at < inOrder.size(); at++) {
            List<Mass> around = new ArrayList<>();
            for (int other = Math.max(0, at - AROUND); other <= Math.min(inOrder.size() - 1, at + AROUND); other++) {
                if (other != at) {
                    around.add(inOrder.get(other).getValue());
                }
            }
            around.sort(null);
            Mass load = inOrder.get(at).getValue();
            // of an even number two are in the middle, and one of them may be the slip
            if (around.size() >= FEWEST
                    && standsOut(load, around.get((around.size() - 1) / 2))
                    && standsOut(load, around.get(around.size() / 2))) {
                Slip slip = new Slip(key, inOrder.get(at).getKey());
                slips.add(slip);
                if (load.isGreaterThan(around.get(around.size() / 2))) {
                    above.add(slip);
                }
            }
        }
    }

    private static boolean standsOut(Mass load, Mass usual) {
        if (load.isGreaterThan(usual)) {
            return UnitSlip.isSuspected(load, usual);
        }
        Percent times = usual.percentOf(load);
        return times.compareTo(LIGHTER_FROM) >= 0 && times.compareTo(LIGHTER_TO) <= 0;
    }
}
