package dev.yarbel.web.book;

import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.measure.MassUnit;

/**
 * A max as it stands in the book.
 *
 * @param typedIn the unit it was typed in
 * @param by who set it down; empty when nobody in particular did
 */
record SetDownMax(long id, RecordedMax max, MassUnit typedIn, String by) {

    /** The load as it was typed: {@code 405 lb}. */
    public String typed() {
        return max.load().format(typedIn, 3);
    }
}
