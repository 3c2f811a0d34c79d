package dev.yarbel.core.exchange;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Table;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What a column of a table holds; how its head may be written stands in {@code heads.csv}. */
public enum Holds {
    /** Nothing that is wanted. */
    NOTHING,
    DAY,
    /** The day of the week, or which training day of it. */
    WEEKDAY,
    LIFTER,
    LIFT,
    LOAD,
    /** The unit of the load. */
    UNIT,
    /** How many sets were alike. */
    SETS,
    REPS,
    /** The rating of the set. */
    RATING,
    /** The repetitions that were left. */
    LEFT,
    MISSED,
    WARM_UP,
    NOTE,
    SECONDS,
    /** In metres. */
    DISTANCE,
    /** Sets in one text, such as {@code 5x5 140}. */
    DONE;

    private static final Map<String, Holds> HEADS = heads();
    private static final Pattern UNIT_WORD =
            Pattern.compile("\\b(kgs?|kilos?|kilograms?|lbs?|pounds?)\\b", Pattern.CASE_INSENSITIVE);

    private static Map<String, Holds> heads() {
        Map<String, Holds> heads = new HashMap<>();
        for (String[] row : Table.rows(Holds.class, "heads.csv")) {
            Holds holds = valueOf(row[0].toUpperCase(Locale.ROOT).replace('-', '_'));
            for (String head : row[1].split("\\|")) {
                heads.put(head, holds);
            }
        }
        return heads;
    }

    /** What a column of this head holds; empty where the head says nothing that is known. */
    public static Optional<Holds> under(String head) {
        String plain = Plain.of(head);
        return Optional.ofNullable(HEADS.get(plain))
                .or(() -> Optional.ofNullable(HEADS.get(withoutUnit(plain))))
                .or(() ->
                        withoutUnit(plain).isEmpty() && unit(head).isPresent() ? Optional.of(LOAD) : Optional.empty());
    }

    private static String withoutUnit(String plain) {
        return Arrays.stream(UNIT_WORD.matcher(plain).replaceAll(" ").split(" "))
                .filter(word -> !word.isEmpty() && !word.equals("in"))
                .collect(Collectors.joining(" "));
    }

    /** The unit that a head says its column is in. */
    public static Optional<MassUnit> unit(String head) {
        Matcher unit = UNIT_WORD.matcher(head);
        return unit.find() ? unit(unit) : Optional.empty();
    }

    private static Optional<MassUnit> unit(Matcher found) {
        return Optional.of(found.group(1).toLowerCase(Locale.ROOT).startsWith("k") ? MassUnit.KG : MassUnit.LB);
    }
}
