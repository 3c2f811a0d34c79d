package dev.yarbel.web.contest;

import dev.yarbel.core.contest.CheapestPoint;
import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.EventPoints;
import dev.yarbel.core.contest.EventResult;
import dev.yarbel.core.contest.Pacing;
import dev.yarbel.core.contest.RunOrder;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The points table of a strongman contest.
 *
 * @param groups who is placed together, by sex
 * @param advice of the reader's own lifters, where something is still to come
 */
record EventsView(List<EventEntity> events, List<Group> groups, List<Advice> advice) {

    /**
     * @param sex blank where it is not known
     * @param runs who goes when, event by event
     */
    record Group(String sex, List<Row> rows, List<Run> runs) {}

    /**
     * Who goes when in an event.
     *
     * @param expected whether the order hangs on results that are only expected
     * @param mine of the reader's own lifters
     */
    record Run(EventEntity event, RunOrder<EntryEntity> order, boolean expected, List<Own> mine) {}

    /**
     * When a lifter goes.
     *
     * @param place from 1
     * @param rest minutes since the end of the event before; empty where it cannot be reckoned
     */
    record Own(EntryEntity entry, int place, Optional<LocalTime> at, Optional<Long> rest) {

        /** Whether there is hardly time to warm up again. */
        public boolean isShort() {
            return rest.filter(minutes -> minutes < SHORT_REST).isPresent();
        }
    }

    record Row(EntryEntity entry, boolean mine, List<Cell> cells, BigDecimal total, int place) {}

    /**
     * What somebody did in an event.
     *
     * @param field of the form
     * @param written blank where nothing is known
     */
    record Cell(String field, String written, boolean guessed, Optional<BigDecimal> points) {}

    /** Where the next point is cheapest for a lifter: the events still to come, the best worth first. */
    record Advice(EntryEntity entry, List<Line> lines) {}

    /**
     * An event still to come.
     *
     * @param points and the others with one decimal
     * @param saves whether five percent less costs next to nothing, so that something can be saved for another event
     * @param unit the key of what more is measured in
     * @param next what it takes to be level with the next better one; blank for whoever leads
     * @param nextUnit the key of what that is measured in
     * @param pace what comes to that, else to what is expected
     */
    record Line(
            EventEntity event,
            String unit,
            String points,
            String more,
            String unitMore,
            String less,
            boolean saves,
            String next,
            String nextUnit,
            Optional<Pacing> pace) {}

    private static final double NEXT_TO_NOTHING = 0.05;
    /** Minutes; ours. */
    private static final int SHORT_REST = 15;

    static String field(EntryEntity entry, EventEntity event) {
        return "r-" + entry.id() + "-" + event.id();
    }

    static EventsView of(
            List<EventEntity> events, List<EntryEntity> entries, List<ResultEntity> results, Set<Long> own) {
        Map<Long, Map<Long, EventResult>> byEvent = new HashMap<>();
        for (EventEntity event : events) {
            Map<Long, EventResult> of = new HashMap<>();
            results.stream()
                    .filter(result -> result.eventId() == event.id())
                    .forEach(result -> of.put(result.entryId(), result.result(event.measure())));
            byEvent.put(event.id(), of);
        }
        Map<String, List<EntryEntity>> bySex = entries.stream()
                .collect(Collectors.groupingBy(
                        entry -> entry.sex().map(Enum::name).orElse(""), TreeMap::new, Collectors.toList()));
        List<Group> groups = new ArrayList<>();
        List<Advice> advice = new ArrayList<>();
        bySex.forEach((sex, group) -> {
            List<Map<Long, BigDecimal>> points = points(events, group, byEvent);
            groups.add(new Group(
                    sex,
                    rows(events, group, byEvent, own, points),
                    // where both sexes lift nobody can say which goes first
                    runs(events, group, byEvent, own, points, bySex.size() == 1)));
            group.stream()
                    .filter(entry -> isOwn(entry, own))
                    .map(entry -> advice(entry, events, group, byEvent))
                    .filter(one -> !one.lines.isEmpty())
                    .forEach(advice::add);
        });
        return new EventsView(events, groups, advice);
    }

    private static boolean isOwn(EntryEntity entry, Set<Long> own) {
        return entry.lifterId().filter(own::contains).isPresent();
    }

    private static Map<Long, EventResult> within(List<EntryEntity> group, Map<Long, EventResult> results) {
        Map<Long, EventResult> within = new HashMap<>();
        group.forEach(entry ->
                Optional.ofNullable(results.get(entry.id())).ifPresent(result -> within.put(entry.id(), result)));
        return within;
    }

    private static List<Map<Long, BigDecimal>> points(
            List<EventEntity> events, List<EntryEntity> group, Map<Long, Map<Long, EventResult>> byEvent) {
        return events.stream()
                .map(event -> EventPoints.of(event.measure(), group.size(), within(group, byEvent.get(event.id()))))
                .toList();
    }

    private static List<Run> runs(
            List<EventEntity> events,
            List<EntryEntity> group,
            Map<Long, Map<Long, EventResult>> byEvent,
            Set<Long> own,
            List<Map<Long, BigDecimal>> points,
            boolean alone) {
        List<Run> runs = new ArrayList<>();
        Map<EntryEntity, BigDecimal> soFar = new HashMap<>();
        boolean expected = false;
        for (int i = 0; i < events.size(); i++) {
            EventEntity event = events.get(i);
            RunOrder<EntryEntity> order = RunOrder.of(
                    group,
                    soFar,
                    event.begins().filter(at -> alone),
                    event.minutes().map(Duration::ofMinutes));
            Optional<RunOrder<EntryEntity>> before =
                    runs.isEmpty() ? Optional.empty() : Optional.of(runs.get(i - 1).order);
            runs.add(new Run(
                    event,
                    order,
                    expected,
                    group.stream()
                            .filter(entry -> isOwn(entry, own))
                            .map(entry -> new Own(
                                    entry,
                                    order.place(entry),
                                    order.at(entry),
                                    before.flatMap(one -> one.rest(entry, order))
                                            .map(Duration::toMinutes)))
                            .toList()));
            Map<Long, BigDecimal> scored = points.get(i);
            group.forEach(
                    entry -> soFar.merge(entry, scored.getOrDefault(entry.id(), BigDecimal.ZERO), BigDecimal::add));
            expected |= within(group, byEvent.get(event.id())).values().stream().anyMatch(EventResult::guessed);
        }
        return runs;
    }

    private static List<Row> rows(
            List<EventEntity> events,
            List<EntryEntity> group,
            Map<Long, Map<Long, EventResult>> byEvent,
            Set<Long> own,
            List<Map<Long, BigDecimal>> points) {
        Map<Long, EntryEntity> byId = group.stream().collect(Collectors.toMap(EntryEntity::id, entry -> entry));
        List<Row> rows = new ArrayList<>();
        for (EventPoints.Overall<Long> overall : EventPoints.overall(
                group.size(), group.stream().map(EntryEntity::id).toList(), points)) {
            EntryEntity entry = byId.get(overall.who());
            List<Cell> cells = new ArrayList<>();
            for (int i = 0; i < events.size(); i++) {
                Optional<EventResult> result =
                        Optional.ofNullable(byEvent.get(events.get(i).id()).get(entry.id()));
                cells.add(new Cell(
                        field(entry, events.get(i)),
                        result.map(EventResult::written).orElse(""),
                        result.filter(EventResult::guessed).isPresent(),
                        Optional.ofNullable(points.get(i).get(entry.id()))));
            }
            rows.add(new Row(entry, isOwn(entry, own), cells, overall.points(), overall.place()));
        }
        return rows;
    }

    private static Advice advice(
            EntryEntity entry,
            List<EventEntity> events,
            List<EntryEntity> group,
            Map<Long, Map<Long, EventResult>> byEvent) {
        record Worth(EventEntity event, CheapestPoint point, EventResult own) {}
        List<Worth> worth = new ArrayList<>();
        for (EventEntity event : events) {
            Map<Long, EventResult> results = within(group, byEvent.get(event.id()));
            EventResult own = results.remove(entry.id());
            if (own != null && own.guessed() && own.scores() && !results.isEmpty()) {
                worth.add(new Worth(event, CheapestPoint.of(event.measure(), own, results.values()), own));
            }
        }
        return new Advice(
                entry,
                worth.stream()
                        .sorted(Comparator.comparingDouble((Worth one) -> one.point.percentMore())
                                .reversed())
                        .map(one -> new Line(
                                one.event,
                                one.point.byTime()
                                        ? EventMeasure.TIME.name()
                                        : one.event.measure().name(),
                                said(one.point.points()),
                                said(one.point.percentMore()),
                                said(one.point.unitMore()),
                                said(one.point.percentLess()),
                                one.point.percentLess() < NEXT_TO_NOTHING,
                                one.point
                                        .next()
                                        .map(ahead -> ahead.by().toPlainString())
                                        .orElse(""),
                                one.point
                                                .next()
                                                .filter(CheapestPoint.Ahead::byTime)
                                                .isPresent()
                                        ? EventMeasure.TIME.name()
                                        : one.event.measure().name(),
                                Pacing.of(
                                        one.event.announced(),
                                        one.point
                                                .next()
                                                .map(CheapestPoint.Ahead::level)
                                                .orElse(one.own))))
                        .toList());
    }

    private static String said(double points) {
        return BigDecimal.valueOf(points).setScale(1, RoundingMode.HALF_UP).toPlainString();
    }
}
