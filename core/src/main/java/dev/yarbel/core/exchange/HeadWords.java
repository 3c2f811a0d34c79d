package dev.yarbel.core.exchange;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/** What the columns of one kind of table may hold, each by a code of its own, and how one sees it. */
interface HeadWords {

    /**
     * What the columns beneath a row hold if that is the row of the heads: a code for each of its cells, {@link HeadedTable#NOTHING} where
     * its words say nothing known.
     *
     * @param at the row, from 0
     */
    List<String> codes(List<List<String>> rows, int at);

    /** Whether the table can be read where its columns hold this. */
    boolean areEnough(Set<String> codes);

    /**
     * By what the cells beneath a head that says nothing tell what they are, in the order in which it is tried.
     *
     * @param known what other columns hold
     */
    Map<String, Predicate<String>> contents(Set<String> known);
}
