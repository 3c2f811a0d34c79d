package dev.yarbel.core.contest;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Points by placing: of n who are entered the best has n, the next n − 1, and so on; who are level share the mean of their places' points (common
 * practice, no source). Who made nothing has none.
 */
public final class EventPoints {

    private static final int DIGITS = 4;

    private EventPoints() {}

    /**
     * The points of an event.
     *
     * @param entered how many lift in the contest, at least as many as have a result
     * @param results of those who have one
     * @return of everybody who has a result
     */
    public static <T> Map<T, BigDecimal> of(EventMeasure measure, int entered, Map<T, EventResult> results) {
        List<Map.Entry<T, EventResult>> scored = results.entrySet().stream()
                .filter(entry -> entry.getValue().scores())
                .sorted(Map.Entry.comparingByValue(measure.best()))
                .toList();
        Map<T, BigDecimal> points = new HashMap<>();
        results.keySet().forEach(who -> points.put(who, BigDecimal.ZERO));
        int at = 0;
        while (at < scored.size()) {
            int next = at;
            while (next < scored.size()
                    && measure.best()
                                    .compare(
                                            scored.get(at).getValue(),
                                            scored.get(next).getValue())
                            == 0) {
                next++;
            }
            // places at + 1 to next, worth entered - at down to entered - next + 1
            BigDecimal share = BigDecimal.valueOf(2L * entered - at - next + 1)
                    .divide(BigDecimal.valueOf(2), DIGITS, RoundingMode.HALF_UP)
                    .stripTrailingZeros();
            scored.subList(at, next).forEach(level -> points.put(level.getKey(), share));
            at = next;
        }
        return points;
    }

    /** A place in the contest, from 1, shared by who cannot be told apart. */
    public record Overall<T>(T who, BigDecimal points, int place) {}

    /**
     * The places of a contest: by points; of as many by how often somebody was first, then second, and so on (common practice, no source).
     *
     * @param events the points of each event
     */
    public static <T> List<Overall<T>> overall(int entered, List<T> all, List<Map<T, BigDecimal>> events) {
        Comparator<T> order = Comparator.comparing((T who) -> sum(events, who)).reversed();
        for (int place = 0; place < entered; place++) {
            BigDecimal worth = BigDecimal.valueOf(entered - (long) place);
            order = order.thenComparing(Comparator.comparingLong((T who) -> events.stream()
                            .filter(event ->
                                    event.getOrDefault(who, BigDecimal.ZERO).compareTo(worth) == 0)
                            .count())
                    .reversed());
        }
        List<T> sorted = all.stream().sorted(order).toList();
        List<Overall<T>> places = new ArrayList<>();
        for (int i = 0; i < sorted.size(); i++) {
            boolean level = i > 0 && order.compare(sorted.get(i - 1), sorted.get(i)) == 0;
            places.add(new Overall<>(
                    sorted.get(i),
                    sum(events, sorted.get(i)),
                    level ? places.get(i - 1).place() : i + 1));
        }
        return places;
    }

    private static <T> BigDecimal sum(List<Map<T, BigDecimal>> events, T who) {
        return events.stream()
                .map(event -> event.getOrDefault(who, BigDecimal.ZERO))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }
}
