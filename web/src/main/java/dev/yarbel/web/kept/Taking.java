package dev.yarbel.web.kept;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Keeps what a part of a file holds, which is as its schema says. What refers to another thing by the number that this has in the file refers
 * to what became of it. A statement keeps all things of a kind, however many they are.
 */
public final class Taking {

    private static final int MOST_TROUBLES = 20;

    private final JdbcClient jdbc;
    private final Reader reader;
    private final Numbers numbers;

    private final Map<String, List<Long>> struck = new LinkedHashMap<>();

    /**
     * Who reads the file.
     *
     * @param file a name of this reading
     */
    public record Reader(long clubId, long accountId, String file) {}

    /**
     * How many things of a kind there are in a file.
     *
     * @param came that would come in
     * @param known that the club has
     * @param out that cannot be kept here
     */
    public record Count(int came, int known, int out) {}

    public Taking(JdbcClient jdbc, Reader reader, Numbers numbers) {
        this.jdbc = jdbc;
        this.reader = reader;
        this.numbers = numbers;
    }

    // ---- looking

    /** What in it does not read: a word that nobody knows, a number that nothing has. The first some of them. */
    public static List<Trouble> troubles(List<Kept> parts, ObjectNode from) {
        Map<String, Set<Long>> numbered = new HashMap<>();
        parts.forEach(part -> note(part, from.path(part.name()), numbered));
        List<Trouble> troubles = new ArrayList<>();
        for (Kept part : parts) {
            look(part, from.path(part.name()), part.name(), numbered, troubles);
        }
        return troubles;
    }

    /** Which things have numbers, of each kind that has any in this part of the file. */
    private static void note(Kept part, JsonNode things, Map<String, Set<Long>> numbered) {
        for (Field field : part.fields()) {
            if (field.own()) {
                Set<Long> numbers = numbered.computeIfAbsent(field.refers(), any -> new HashSet<>());
                things.forEach(thing -> numbers.add(value(thing, field).asLong()));
            }
            field.within().ifPresent(inner -> things.forEach(thing -> note(inner, thing.path(inner.name()), numbered)));
        }
    }

    private static void look(
            Kept part, JsonNode things, String place, Map<String, Set<Long>> numbered, List<Trouble> troubles) {
        for (int i = 0; i < things.size() && troubles.size() < MOST_TROUBLES; i++) {
            String at = place + "[" + i + "]";
            JsonNode thing = things.get(i);
            for (Field field : part.fields()) {
                field.check().ifPresent(check -> {
                    JsonNode value = value(thing, field);
                    Iterable<JsonNode> texts = value.isArray() ? value : List.of(value);
                    for (JsonNode text : texts) {
                        if (!text.isMissingNode() && !reads(check, text.asString())) {
                            troubles.add(new Trouble(at + "." + field.name(), Trouble.Kind.TEXT, text.asString()));
                        }
                    }
                });
                JsonNode number = value(thing, field);
                if (field.isReference()
                        && number.isNumber()
                        && numbered.containsKey(field.refers())
                        && !numbered.get(field.refers()).contains(number.asLong())) {
                    troubles.add(new Trouble(at + "." + field.name(), Trouble.Kind.NUMBER, number.asString()));
                }
                field.within()
                        .filter(Kept::isReadBack)
                        .ifPresent(inner ->
                                look(inner, thing.path(inner.name()), at + "." + inner.name(), numbered, troubles));
            }
        }
    }

    private static boolean reads(Consumer<String> check, String text) {
        try {
            check.accept(text);
            return true;
        } catch (RuntimeException unread) {
            return false;
        }
    }

    private static JsonNode value(JsonNode thing, Field field) {
        JsonNode at = thing;
        for (String step : field.path()) {
            at = at.path(step);
        }
        return at;
    }

    /** The lifts that a part of a file speaks of. */
    public static Set<String> lifts(List<Kept> parts, ObjectNode from) {
        Set<String> lifts = new TreeSet<>();
        parts.forEach(part -> lifts(part, from.path(part.name()), lifts));
        return lifts;
    }

    private static void lifts(Kept part, JsonNode things, Set<String> lifts) {
        for (JsonNode thing : things) {
            for (Field field : part.fields()) {
                if (field.isLift() && thing.has(field.name())) {
                    lifts.add(thing.get(field.name()).asString());
                }
                field.within().ifPresent(inner -> lifts(inner, thing.path(inner.name()), lifts));
            }
        }
    }

    /** What would come in of the things of some kinds, and what the club has of them. */
    public Map<String, Count> would(List<Kept> parts, ObjectNode from) {
        Map<String, Count> would = new LinkedHashMap<>();
        for (Kept part : parts) {
            if (from.path(part.name()) instanceof ArrayNode things) {
                ArrayNode fresh = fresh(part, things);
                int fit = fresh.isEmpty()
                        ? 0
                        : said(part.fitting(), fresh, Optional.empty())
                                .query(Integer.class)
                                .single();
                would.put(part.name(), new Count(fit, things.size() - fresh.size(), fresh.size() - fit));
            }
        }
        return would;
    }

    // ---- keeping

    /** Keeps the things of some kinds, in any order of the kinds: what refers to what is looked at when all is there. */
    public void take(List<Kept> parts, ObjectNode from, Optional<Long> lifter) {
        List<Kept> kept = parts.stream().filter(Kept::isReadBack).toList();
        Map<Kept, ArrayNode> all = new LinkedHashMap<>();
        for (Kept part : kept) {
            if (from.path(part.name()) instanceof ArrayNode things) {
                all.put(part, fresh(part, things));
            }
        }
        all.forEach(this::number);
        all.forEach((part, things) -> write(part, things, lifter));
    }

    /** What the club has now of which all can be struck again, by the tables. */
    public Map<String, List<Long>> struck() {
        return Map.copyOf(struck);
    }

    /** Those that the club does not have; what refers to one of the others refers to what the club has. */
    private ArrayNode fresh(Kept part, ArrayNode things) {
        if (part.key().isEmpty() || things.isEmpty()) {
            return things;
        }
        Map<Integer, Long> known = new LinkedHashMap<>();
        said(part.known(), things, Optional.empty()).query(row -> {
            known.put(row.getInt(1), row.getLong(2));
        });
        ArrayNode fresh = JsonNodeFactory.instance.arrayNode();
        for (int i = 0; i < things.size(); i++) {
            JsonNode thing = things.get(i);
            if (known.containsKey(i)) {
                remember(part, thing, known.get(i));
            } else {
                fresh.add(thing);
            }
        }

        return fresh;
    }

    private void remember(Kept part, JsonNode thing, long id) {
        part.fields().stream()
                .filter(Field::own)
                .forEach(
                        field -> numbers.put(field.refers(), value(thing, field).asLong(), id));
    }

    private void number(Kept part, ArrayNode things) {
        if (!part.isNumbered() || things.isEmpty()) {
            return;
        }
        List<Long> ids = jdbc.sql("select nextval(pg_get_serial_sequence('" + part.table()
                        + "', 'id')) from generate_series(1, ?)")
                .param(things.size())
                .query(Long.class)
                .list();
        for (int i = 0; i < things.size(); i++) {
            ObjectNode thing = (ObjectNode) things.get(i);
            thing.put(Kept.ID, ids.get(i));
            remember(part, thing, ids.get(i));
        }
        part.parts().forEach(inner -> number(inner, within(things, inner)));
    }

    /** All that belong to some things, each with the number of its own. */
    private static ArrayNode within(ArrayNode things, Kept inner) {
        ArrayNode all = JsonNodeFactory.instance.arrayNode();
        for (JsonNode thing : things) {
            for (JsonNode one : thing.path(inner.name())) {
                ((ObjectNode) one).set(Kept.PARENT, thing.get(Kept.ID));
                all.add(one);
            }
        }
        return all;
    }

    private void write(Kept part, ArrayNode things, Optional<Long> lifter) {
        if (things.isEmpty()) {
            return;
        }
        part.readBack().filter(Field::isReference).forEach(field -> refer(field, things));
        List<Kept> inner = part.parts().toList();
        Map<Kept, ArrayNode> parts = new LinkedHashMap<>();
        inner.forEach(one -> parts.put(one, within(things, one)));
        things.forEach(thing -> inner.forEach(one -> ((ObjectNode) thing).remove(one.name())));
        JdbcClient.StatementSpec statement =
                said(part.isNumbered() ? part.take() + " returning id" : part.take(), things, lifter);
        if (part.isNumbered()) {
            Set<Long> came = Set.copyOf(statement.query(Long.class).list());

            if (part.isStruck()) {
                struck.computeIfAbsent(part.table(), any -> new ArrayList<>()).addAll(came);
            }
            parts.forEach((one, some) -> write(one, ofThose(came, some), lifter));
        } else {

            statement.update();
        }
    }

    private static ArrayNode ofThose(Set<Long> came, ArrayNode some) {
        ArrayNode theirs = JsonNodeFactory.instance.arrayNode();
        some.forEach(one -> {
            if (came.contains(one.get(Kept.PARENT).asLong())) {
                theirs.add(one);
            }
        });
        return theirs;
    }

    private JdbcClient.StatementSpec said(String sql, ArrayNode things, Optional<Long> lifter) {
        return jdbc.sql(sql)
                .param("rows", things.toString())
                .param("club", reader.clubId())
                .param("reader", reader.accountId())
                .param("file", reader.file())
                .param("lifter", lifter.orElse(null));
    }

    private void refer(Field field, ArrayNode things) {
        for (JsonNode thing : things) {
            JsonNode number = thing.path(field.name());
            if (number.isNumber()) {
                numbers.of(field.refers(), number.asLong())
                        .ifPresent(became -> ((ObjectNode) thing).put(Kept.HIDDEN + field.column(), became));
            }
        }
    }
}
