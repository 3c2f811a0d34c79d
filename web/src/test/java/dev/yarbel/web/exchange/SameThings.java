package dev.yarbel.web.exchange;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What must be the same in two files of the same things, wherever they were written. */
final class SameThings {

    private SameThings() {}

    /** Numbers are another store's own: each becomes its place among those of its kind. */
    private static final class Places {

        private final Map<String, Map<Long, Long>> places = new HashMap<>();

        private void put(JsonNode thing, String field, String kind) {
            if (thing.path(field).isNumber()) {
                Map<Long, Long> known = places.computeIfAbsent(kind, any -> new HashMap<>());
                long place = known.computeIfAbsent(thing.get(field).asLong(), any -> (long) known.size());
                ((ObjectNode) thing).put(field, place);
            }
        }
    }

    private static void each(JsonNode list, Consumer<ObjectNode> to) {
        list.forEach(one -> to.accept((ObjectNode) one));
    }

    /** A lifter without what is another store's own, and without what is told only. */
    static ObjectNode lifter(ObjectNode lifter) {
        Places places = new Places();
        lifter.remove(List.of("madeAt", "signsInAs", "contests", "gyms", "lifts", "number"));
        each(lifter.path("profile"), profile -> profile.remove(List.of("coach", "autopilot")));
        for (JsonNode block : lifter.path("blocks")) {
            for (JsonNode day : block.path("days")) {
                places.put(day, "planDay", "planDay");
                each(day.path("slots"), slot -> slot.remove("confirmed"));
            }
        }
        each(lifter.path("sessions"), session -> {
            places.put(session, "planDay", "planDay");
            places.put(session, "number", "session");
            session.remove("imported");
        });
        each(lifter.path("questions"), question -> places.put(question, "session", "session"));
        ArrayNode calls = (ArrayNode) lifter.path("calls");
        each(calls, call -> {
            places.put(call, "session", "session");
            places.put(call, "number", "call");
            places.put(call, "contest", "contest");
        });
        ArrayNode changes = (ArrayNode) lifter.path("changes");
        for (int i = changes.size() - 1; i >= 0; i--) {
            if (changes.get(i).at("/subject/0").asString("").equals("brought")) {
                changes.remove(i);
            }
        }
        return lifter;
    }

    /** The same of a club. */
    static void club(ObjectNode club) {
        club.remove(List.of("madeAt", "name", "zone", "people"));
        Places places = new Places();
        ArrayNode lifters = (ArrayNode) club.path("lifters");
        lifters.forEach(lifter -> places.put(lifter, "number", "lifter"));
        for (JsonNode contest : club.path("contests")) {
            places.put(contest, "number", "contest");
            contest.path("events").forEach(event -> places.put(event, "number", "event"));
            for (JsonNode entry : contest.path("entries")) {
                places.put(entry, "number", "entry");
                places.put(entry, "lifter", "lifter");
                entry.path("results").forEach(result -> places.put(result, "event", "event"));
            }
        }
        each(club.path("lifters"), SameThings::lifter);
    }
}
