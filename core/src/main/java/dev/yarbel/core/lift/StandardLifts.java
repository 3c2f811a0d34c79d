package dev.yarbel.core.lift;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.measure.Table;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Reads the lifts and events that come with Yarbel; {@code lifts.csv} says what they are and where its figures come from. */
final class StandardLifts {

    private static final int FIELDS = 11;

    private StandardLifts() {}

    static List<Variation> all() {
        return Table.rows(StandardLifts.class, "lifts.csv").stream()
                .map(StandardLifts::variation)
                .toList();
    }

    private static Variation variation(String[] row) {
        if (row.length != FIELDS) {
            throw new IllegalStateException("a lift has " + FIELDS + " fields, not " + Arrays.toString(row));
        }
        Set<String> traits = Set.copyOf(words(row[6]));
        return new Variation(
                new Lift(row[0]),
                row[1].isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Ratio(new Lift(row[1]), Percent.of(row[2]), Ratio.Source.DEFAULT)),
                traits.contains("contest"),
                Set.copyOf(choices(Muscle.class, row[7])),
                Set.copyOf(choices(Tissue.class, row[8])),
                Set.copyOf(choices(Tissue.class, row[9])),
                Percent.of(row[5]),
                choice(Start.class, row[4]),
                choice(Implement.class, row[3]),
                traits.contains("on-pins"),
                traits.contains("pins-the-lifter"),
                choices(SetUpMeasure.class, row[10]));
    }

    private static List<String> words(String text) {
        return text.isEmpty() ? List.of() : List.of(text.split(" "));
    }

    private static <T extends Enum<T>> List<T> choices(Class<T> type, String text) {
        return words(text).stream().map(word -> choice(type, word)).toList();
    }

    private static <T extends Enum<T>> T choice(Class<T> type, String word) {
        return Enum.valueOf(type, word.toUpperCase(Locale.ROOT).replace('-', '_'));
    }
}
