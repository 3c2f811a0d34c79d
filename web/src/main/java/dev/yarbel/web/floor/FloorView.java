package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.BarDrawing;
import java.util.List;
import java.util.Optional;

/**
 * The floor as it stands: the stair of the lift in hand, the set to do now, what comes next, and the day's slots.
 *
 * @param now the set in hand; empty when all are done
 */
record FloorView(
        FloorDay day,
        Optional<Stair> stair,
        Optional<Now> now,
        List<Upcoming> next,
        List<SlotLine> slots,
        boolean anythingLogged,
        int setsLeft) {

    /**
     * The ramp as steps of the loaded bar, for an SVG as wide as given.
     *
     * @param note the code of what the kit did not allow, else null
     */
    record Stair(Lift lift, int width, List<Step> steps, List<String> notes) {}

    /**
     * One step.
     *
     * @param add what goes on a side to get here, in words; empty for the bare bar
     * @param y the tread's height from the top
     */
    record Step(
            String task,
            int x,
            int y,
            int width,
            String load,
            int reps,
            boolean about,
            String add,
            boolean done,
            boolean current,
            boolean top,
            List<Disc> discs) {}

    /** A plate on a step's bar. */
    record Disc(int x, int y, int width, int height) {}

    /**
     * The set in hand.
     *
     * @param line the slot it belongs to
     * @param target the rating asked for, else null
     * @param load the load in the field, without its unit
     * @param error the code of what is wrong with what was sent, else null
     * @param correcting this set was logged; it is being corrected
     * @param limit the code of where the kit ended short of the load asked for, else null
     * @param asked the load asked for
     * @param guarded near the limit in a lift that pins: spotters or safeties
     */
    record Now(
            String task,
            Lift lift,
            SlotLine line,
            boolean warmUp,
            int number,
            int of,
            Optional<BarDrawing> drawing,
            String loadText,
            String otherUnit,
            boolean about,
            int plannedReps,
            String dose,
            String target,
            String rest,
            String tempo,
            Change change,
            String token,
            String load,
            String reps,
            String effort,
            String error,
            boolean correcting,
            String limit,
            String asked,
            boolean guarded) {}

    /** What to do to the bar: plates to take off and to add on each side; bare when it starts empty. */
    record Change(String off, String on, boolean bare) {}

    /**
     * A set to come.
     *
     * @param was the load planned before the top was lifted, struck out; null where nothing moved
     */
    record Upcoming(
            Lift lift, String load, String was, boolean about, int reps, boolean warmUp, String on, String off) {}

    /**
     * One slot of the day.
     *
     * @param was the load planned before the top was lifted, struck out; null where nothing moved
     * @param why the code of what the load hangs on
     * @param hangsOn the load it hangs on
     * @param kit what makes the load; null when none is known
     */
    record SlotLine(
            String letter,
            Lift lift,
            String dose,
            String load,
            String was,
            boolean about,
            String why,
            String hangsOn,
            String drop,
            String kit,
            int doneSets,
            int sets,
            List<DoneLine> done) {}

    /** A set that was lifted. */
    record DoneLine(String task, boolean warmUp, String load, int reps, String effort) {}
}
