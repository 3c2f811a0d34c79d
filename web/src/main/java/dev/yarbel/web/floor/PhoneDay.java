package dev.yarbel.web.floor;

import dev.yarbel.web.page.BarDrawing;
import java.util.List;
import java.util.Map;

/**
 * What the scripts of the floor need of a day, as JSON: the order of its sets and what each of them ends, what can be right in
 * a set's form, the plates there are, and what loads that hang on a top come to for each load it might have. Everything is
 * worked out by the server, so that a phone looks up and judges nothing.
 *
 * @param sets in the order of the day: all, or the one in hand alone
 * @param racks the plates for each lift, by its key
 */
record PhoneDay(List<PhoneSet> sets, Map<String, Rack> racks, BarDrawing.Layout layout) {

    /**
     * A set.
     *
     * @param name what it is called where it waits for the line
     * @param open it is still to be done
     * @param ends the sets that nobody does any more once it is done, and {@code endsMissed} once it was missed
     * @param rest after it, in seconds
     * @param plates what hangs on one side, by its place in the rack
     * @param shifts what its load comes to by the load of the top it hangs on; null where it hangs on none
     */
    record PhoneSet(
            String task,
            String letter,
            String group,
            String lift,
            String name,
            boolean warmUp,
            boolean logged,
            boolean open,
            boolean blind,
            List<String> ends,
            List<String> endsMissed,
            int rest,
            Form form,
            List<Integer> plates,
            Shifts shifts) {}

    /**
     * What can be right in a set's form.
     *
     * @param load what is typed as a load looks like, as a regular expression
     * @param blank the load may be left out
     * @param mostReps the most repetitions of a set
     * @param mostMissed the most repetitions of a set that was missed; null where any number is taken
     */
    record Form(String load, boolean blank, int mostReps, Integer mostMissed) {}

    /**
     * The plates for a lift's bar.
     *
     * @param base the bar and its collars, in the lifter's unit
     */
    record Rack(String base, String unit, List<Disc> plates) {}

    /** A plate, its mass in the lifter's unit, and how it is drawn. */
    record Disc(String label, String mass, int pairs, int width, int height, String colour) {}

    /** The top that a load hangs on, and what it comes to for each load of the top, by that load's figure. */
    record Shifts(String top, Map<String, Shift> by) {}

    /** What a load comes to: in words, as a figure, and the plates of one side by their place in the rack. */
    record Shift(String text, String load, List<Integer> plates) {}
}
