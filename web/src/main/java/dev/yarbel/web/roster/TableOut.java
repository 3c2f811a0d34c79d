package dev.yarbel.web.roster;

import dev.yarbel.web.page.Person;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A table of what lifters have that somebody may take along: each room that keeps something offers its own. What stands above a
 * column has its words at {@code exchange.out.<column>}, and the table its name at {@code exchange.table.<code>}.
 */
public interface TableOut {

    /** What it is called in addresses. */
    String code();

    /** The codes of its columns. */
    List<String> columns();

    /** Whether this person sees such things at all. */
    default boolean isFor(Person person) {
        return true;
    }

    /**
     * Hands its rows over, in the units of each lifter: texts, figures and days; nothing is an empty text.
     *
     * @param lifters that the person sees
     */
    void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row);

    /** A cell that may be empty. */
    static Object cell(Optional<?> value) {
        return value.map(Object.class::cast).orElse("");
    }

    /** A figure that core printed. */
    static BigDecimal figure(String figure) {
        return new BigDecimal(figure);
    }
}
