package dev.yarbel.web.kept;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One kind of thing that a room keeps, as a list in the file. The names in it are a published format ({@code lifter-1.schema.json},
 * {@code club-1.schema.json}): they stay what they are when tables and columns are called otherwise.
 *
 * @param name what it is called in the file
 * @param table where it is kept
 * @param whose the column that says whose it is: a lifter's, another thing's, or empty where it is the club's
 * @param order in which it is written, by columns
 * @param only which of them are written, as a condition with {@code {t}} for the row; may be empty
 * @param keptIf which of them are read back, as a condition over the columns; the others are left out and counted
 * @param key the fields by which the club knows that it has one already; none where each is a new one
 * @param struckUnless what keeps one from being struck again, as a condition with {@code {t}} for the row; may be empty
 * @param whole asks for it where it is told and not read back; empty where its fields say all
 */
public record Kept(
        String name,
        String table,
        String whose,
        String order,
        String only,
        String keptIf,
        List<String> key,
        String struckUnless,
        String whole,
        List<Field> fields) {

    /** What stands before the names of what is put into a thing while it is read; a file has no such names. */
    static final String HIDDEN = "_";

    static final String ID = HIDDEN + "id";
    static final String PARENT = HIDDEN + "parent";

    private static final String OF_LIFTER = "lifter_id";

    public Kept {
        key = List.copyOf(key);
        fields = List.copyOf(fields);
    }

    private static Kept of(String name, String table, String whose, String order, Field... fields) {
        return new Kept(name, table, whose, order, "", "true", List.of(), "", "", List.of(fields));
    }

    /** What is kept of lifters. */
    public static Kept ofLifter(String name, String table, String order, Field... fields) {
        return of(name, table, OF_LIFTER, order, fields);
    }

    /** The lifter. */
    public static Kept lifter(String name, Field... fields) {
        return of(name, "lifter", "id", "id", fields);
    }

    /** What a club has. */
    public static Kept ofClub(String name, String table, String order, Field... fields) {
        return of(name, table, "", order, fields);
    }

    /**
     * What belongs to another thing.
     *
     * @param parent the column that names that
     */
    public static Kept within(String name, String table, String parent, String order, Field... fields) {
        return of(name, table, parent, order, fields);
    }

    /**
     * What is told of lifters and not read back.
     *
     * @param sql asks for each as two columns, whose it is and its JSON, for a club and some lifters, in their order
     */
    public static Kept told(String name, String sql) {
        return new Kept(name, "", OF_LIFTER, "", "", "false", List.of(), "", sql, List.of());
    }

    /** The same, written where a condition holds. */
    public Kept only(String condition) {
        return new Kept(name, table, whose, order, condition, keptIf, key, struckUnless, whole, fields);
    }

    /** The same, read back where a condition holds over its columns. */
    public Kept keptIf(String condition) {
        return new Kept(name, table, whose, order, only, condition, key, struckUnless, whole, fields);
    }

    /** The same, of which the club has one if some fields are the same. */
    public Kept knownBy(String... names) {
        return new Kept(name, table, whose, order, only, keptIf, List.of(names), struckUnless, whole, fields);
    }

    /** The same, which is not struck again while a condition holds. */
    public Kept struckUnless(String condition) {
        return new Kept(name, table, whose, order, only, keptIf, key, condition, whole, fields);
    }

    /** Strikes some of a club, but for those that something keeps from it. */
    public String strike() {
        return "update " + table
                + " t set removed_at = ? where t.club_id = ? and t.id = any (?) and t.removed_at is null"
                + (struckUnless.isEmpty() ? "" : " and not " + struckUnless.replace("{t}", "t"));
    }

    /** The same, told and not read back. */
    public Kept onlyTold() {
        return keptIf("false");
    }

    public boolean isReadBack() {
        return !keptIf.equals("false");
    }

    boolean isOfClub() {
        return whose.isEmpty();
    }

    /** Whether it is the club's and can be struck. */
    public boolean isStruck() {
        return isOfClub() && fields.stream().anyMatch(field -> field.column().equals("removed_at"));
    }

    /** Whether others refer to it, or belong to it, or it is struck by its number. */
    boolean isNumbered() {
        return isStruck()
                || fields.stream()
                        .anyMatch(field -> field.own() || field.within().isPresent());
    }

    Stream<Field> readBack() {
        return fields.stream().filter(Field::isReadBack);
    }

    /** Those that belong to it and are read back. */
    Stream<Kept> parts() {
        return fields.stream().flatMap(field -> field.within().stream()).filter(Kept::isReadBack);
    }

    // ---- how it is written

    /** Asks for each as two columns, whose it is and its JSON: of a club, and of some lifters where it is theirs. */
    public String give() {
        if (!whole.isEmpty()) {
            return whole;
        }
        String lifters = isOfClub() ? "" : " and t." + whose + " = any (?)";
        return "select " + (isOfClub() ? "0" : "t." + whose) + ", " + object("t") + " from " + table
                + " t where t.club_id = ?" + lifters + condition("t") + " order by "
                + (isOfClub() ? "" : "t." + whose + ", ") + order;
    }

    private String condition(String row) {
        return only.isEmpty() ? "" : " and " + only.replace("{t}", row);
    }

    private String object(String row) {
        return "jsonb_strip_nulls("
                + built(row, fields.stream().filter(Field::isWritten).toList(), 0) + ")";
    }

    private static String built(String row, List<Field> fields, int depth) {
        Map<String, List<Field>> names = new LinkedHashMap<>();
        for (Field field : fields) {
            names.computeIfAbsent(field.path()[depth], name -> new ArrayList<>())
                    .add(field);
        }
        List<String> parts = new ArrayList<>();
        names.forEach((name, some) -> parts.add("'" + name + "', "
                + (some.get(0).path().length > depth + 1 ? built(row, some, depth + 1) : written(row, some.get(0)))));
        return "jsonb_build_object(" + String.join(", ", parts) + ")";
    }

    private static String written(String row, Field field) {
        return field.within()
                .map(things -> things.list(row))
                .orElse(field.give().replace("{t}", row));
    }

    /** All that belong to one, in their order. */
    private String list(String parent) {
        String row = parent + "_";
        return "(select coalesce(jsonb_agg(" + object(row) + " order by " + order + "), '[]') from " + table + " " + row
                + " where " + row + "." + whose + " = " + parent + ".id and " + row + ".club_id = " + parent
                + ".club_id" + condition(row) + ")";
    }

    // ---- how it is read back

    /** Keeps things out of a list of JSON; a thing that has parts comes with its number. */
    String take() {
        List<String> columns = new ArrayList<>();
        List<String> from = new ArrayList<>();
        if (isNumbered()) {
            columns.add("id");
            from.add("(e.v ->> '" + ID + "')::bigint");
        }
        columns.add("club_id");
        from.add(":club::bigint");
        owner().ifPresent(owner -> {
            columns.add(whose);
            from.add(owner);
        });
        readBack().forEach(field -> {
            columns.add(field.column());
            from.add(field.taken());
        });
        List<String> named = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            named.add(from.get(i) + " as " + columns.get(i));
        }
        String all = String.join(", ", columns);
        return "insert into " + table + " (" + all + ") overriding system value select " + all + come(named)
                + " order by ord";
    }

    private String come(List<String> named) {
        return " from (select e.ord, " + String.join(", ", named)
                + " from jsonb_array_elements(:rows::jsonb) with ordinality as e(v, ord)) come where " + keptIf;
    }

    /** Asks how many of a list can be kept; nothing is. */
    String fitting() {
        return "select count(*)"
                + come(readBack()
                        .map(field -> field.taken() + " as " + field.column())
                        .toList());
    }

    private Optional<String> owner() {
        return isOfClub()
                ? Optional.empty()
                : Optional.of(
                        whose.equals(OF_LIFTER) || whose.equals("id")
                                ? ":lifter::bigint"
                                : "(e.v ->> '" + PARENT + "')::bigint");
    }

    /** Asks which of a list the club has: its place in the list, and its number. */
    String known() {
        List<String> same = key.stream()
                .map(name -> fields.stream()
                        .filter(field -> field.name().equals(name))
                        .findFirst()
                        .orElseThrow())
                .map(field -> "o." + field.column() + " is not distinct from " + field.taken())
                .toList();
        return "select e.ord - 1, " + (isNumbered() ? "min(o.id)" : "0")
                + " from jsonb_array_elements(:rows::jsonb) with ordinality as e(v, ord) join "
                + table + " o on o.club_id = :club and " + String.join(" and ", same) + condition("o")
                + " group by e.ord";
    }
}
