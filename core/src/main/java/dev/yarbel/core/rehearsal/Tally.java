package dev.yarbel.core.rehearsal;

import dev.yarbel.core.lift.Lift;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Counts what comes of all runs. */
final class Tally {

    private final int times;
    /** By week and day, as the days ask for them. */
    private final List<List<List<OfPart>>> parts = new ArrayList<>();

    private final boolean[][] missedInWeek;
    private final Map<Lift, double[][]> taken = new HashMap<>();
    private final Map<Lift, double[][]> maxes = new LinkedHashMap<>();
    private final Map<Lift, double[]> ready = new HashMap<>();
    private final int[] missedSets;
    private int run = -1;

    Tally(int times, int weeks, int days) {
        this.times = times;
        this.missedInWeek = new boolean[weeks][times];
        this.missedSets = new int[times];
        for (int week = 0; week < weeks; week++) {
            List<List<OfPart>> ofWeek = new ArrayList<>();
            for (int day = 0; day < days; day++) {
                ofWeek.add(new ArrayList<>());
            }
            parts.add(ofWeek);
        }
    }

    private static final class OfPart {

        private final DryRun.Place at;
        private final Lift lift;
        private final int sets;
        private final double[] left;
        private final double[] load;
        private int missed;
        private int missedSets;

        private OfPart(DryRun.Place at, Lift lift, int sets, int times) {
            this.at = at;
            this.lift = lift;
            this.sets = sets;
            this.left = new double[times];
            this.load = new double[times];
        }
    }

    /** Another run begins. */
    void next() {
        run++;
    }

    void add(DryRun.Place place, RehearsedPart part, int missed, double left, double kg) {
        OfPart of = of(place, part);
        of.left[run] = left;
        of.load[run] = kg;
        of.missed += missed > 0 ? 1 : 0;
        of.missedSets += missed;
        missedInWeek[place.week()][run] |= missed > 0;
        missedSets[run] += missed;
    }

    private OfPart of(DryRun.Place place, RehearsedPart part) {
        List<OfPart> ofDay = parts.get(place.week()).get(place.day());
        while (ofDay.size() <= place.part()) {
            ofDay.add(null);
        }
        OfPart of = ofDay.get(place.part());
        if (of == null) {
            of = new OfPart(place, part.lift(), part.sets(), times);
            ofDay.set(place.part(), of);
        }
        return of;
    }

    private Stream<OfPart> ofWeek(int week) {
        return parts.get(week).stream().flatMap(List::stream).filter(Objects::nonNull);
    }

    /** What training took off a lift on a day of a week; the most of the week counts. */
    void taken(int week, Lift root, double share) {
        double[] of = taken.computeIfAbsent(root, r -> new double[missedInWeek.length][times])[week];
        of[run] = Math.max(of[run], share);
    }

    /** @param at 0 before the first week, then the end of each */
    void max(Lift lift, int at, double kg) {
        maxes.computeIfAbsent(lift, of -> new double[missedInWeek.length + 1][times])[at][run] = kg;
    }

    /** What of a lift is there on the day that the block leads to. */
    void ready(Lift lift, double kg) {
        ready.computeIfAbsent(lift, of -> new double[times])[run] = kg;
    }

    List<OneLifter> lifters() {
        return IntStream.range(0, times)
                .mapToObj(at -> {
                    Map<Lift, Double> of = new HashMap<>();
                    ready.forEach((lift, each) -> of.put(lift, each[at]));
                    return new OneLifter(missedSets[at], of);
                })
                .toList();
    }

    List<SetsOutlook> sets() {
        return IntStream.range(0, parts.size())
                .boxed()
                .flatMap(this::ofWeek)
                .map(of -> new SetsOutlook(
                        of.at.day(),
                        of.at.week(),
                        of.at.part(),
                        of.lift,
                        of.sets,
                        of.missed / (double) times,
                        Likely.of(of.left),
                        Likely.of(of.load)))
                .toList();
    }

    List<WeekOutlook> weeks() {
        List<WeekOutlook> weeks = new ArrayList<>();
        for (int week = 0; week < missedInWeek.length; week++) {
            int w = week;
            int missed = 0;
            for (boolean in : missedInWeek[week]) {
                missed += in ? 1 : 0;
            }
            List<OfPart> ofWeek = ofWeek(week).toList();
            Map<Lift, Double> tired = new HashMap<>();
            taken.forEach(
                    (root, of) -> tired.put(root, Arrays.stream(of[w]).average().orElse(0)));
            weeks.add(new WeekOutlook(
                    week,
                    missed / (double) times,
                    ofWeek.stream().mapToInt(of -> of.missedSets).sum() / (double) times,
                    ofWeek.stream().mapToInt(of -> of.sets).sum(),
                    tired));
        }
        return weeks;
    }

    List<MaxOutlook> maxes() {
        return maxes.entrySet().stream()
                .map(entry -> {
                    List<Likely> all =
                            Arrays.stream(entry.getValue()).map(Likely::of).toList();
                    return new MaxOutlook(
                            entry.getKey(),
                            all.get(0),
                            Likely.of(ready.get(entry.getKey())),
                            all.subList(1, all.size()));
                })
                .toList();
    }
}
