package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.Layout;
import dev.yarbel.core.exchange.LiftIndex;
import dev.yarbel.core.exchange.Plain;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * All that is needed to read a brought table.
 *
 * @param lifters by their plain names
 * @param latest the last day that something may have been lifted on
 * @param names what people said that names mean, by their plain text; no lift for what is left out
 */
record TableReading(
        ImportFile.Said file,
        Layout layout,
        Catalogue catalogue,
        LiftIndex index,
        Map<String, Optional<Lift>> names,
        Map<String, Long> lifters,
        LocalDate latest,
        Consumer<Parts.Reader> source) {

    /** The same, its rows from elsewhere. */
    TableReading from(Consumer<Parts.Reader> other) {
        return new TableReading(file, layout, catalogue, index, names, lifters, latest, other);
    }

    void rows(Parts.Reader reader) {
        source.accept(reader);
    }

    Optional<Lift> said(String name) {
        return names.getOrDefault(Plain.of(name), Optional.empty());
    }

    boolean isLeftOut(String name) {
        Optional<Lift> said = names.get(Plain.of(name));
        return said != null && said.isEmpty();
    }

    /** Whose log a row is of: the lifter it names, or the one said for the whole file. */
    Optional<Long> lifter(String name) {
        return name.isEmpty() ? file.lifter() : Optional.ofNullable(lifters.get(Plain.of(name)));
    }
}
