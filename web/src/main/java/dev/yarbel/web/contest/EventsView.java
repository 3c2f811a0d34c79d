package dev.yarbel.web.contest;

import dev.yarbel.core.contest.CheapestPoint;
import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.EventPoints;
import dev.yarbel.core.contest.EventResult;
import java.math.BigDecimal;
import java.math.RoundingMode;
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

    /** @param sex blank where it is not known */
    record Group(String sex, List<Row> rows) {}

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
     */
    record Line(
            EventEntity event,
            String unit,
            String points,
            String more,
            String unitMore,
            String less,
            boolean saves,
            String next) {}

    private static final double NEXT_TO_NOTHING = 0.05;

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
            groups.add(new Group(sex, rows(events, group, byEvent, own)));
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

    private static List<Row> rows(
            List<EventEntity> events,
            List<EntryEntity> group,
            Map<Long, Map<Long, EventResult>> byEvent,
            Set<Long> own) {
        List<Map<Long, BigDecimal>> points = events.stream()
                .map(event -> EventPoints.of(event.measure(), group.size(), within(group, byEvent.get(event.id()))))
                .toList();
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
        record Worth(EventEntity event, CheapestPoint point) {}
        List<Worth> worth = new ArrayList<>();
        for (EventEntity event : events) {
            Map<Long, EventResult> results = within(group, byEvent.get(event.id()));
            EventResult own = results.remove(entry.id());
            if (own != null && own.guessed() && own.scores() && !results.isEmpty()) {
                worth.add(new Worth(event, CheapestPoint.of(event.measure(), own, results.values())));
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
                                one.point.next().map(BigDecimal::toPlainString).orElse("")))
                        .toList());
    }

    private static String said(double points) {
        return BigDecimal.valueOf(points).setScale(1, RoundingMode.HALF_UP).toPlainString();
    }
}
