package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.LookOver;
import dev.yarbel.web.page.BarDrawing;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The floor as it stands: the stair of the lift in hand, the set to do now, what comes next, and the day's slots.
 *
 * @param now the set in hand; empty when all are done
 * @param chosen the set that was asked for; null where it is the next one
 * @param cards every set of the day, for a phone that loses the line
 * @param changing the letter of the slot that somebody is about to change; null when none
 * @param question what the last set raised; null when nothing
 * @param lastSet the set logged last; null when none
 * @param counts what the finish asks about; empty when as many sets were logged as planned
 * @param rest when the rest after the last set began, and how long it is; null when nobody rests
 * @param racks what is there to load each lift with, as JSON for the scripts
 */
record FloorView(
        FloorDay day,
        Optional<Stair> stair,
        Optional<Card> now,
        String chosen,
        List<Card> cards,
        List<Upcoming> next,
        List<SlotLine> slots,
        String changing,
        Asked question,
        LastSet lastSet,
        boolean anythingLogged,
        boolean lifted,
        List<CountOff> counts,
        int setsLeft,
        int minutes,
        Resting rest,
        String racks) {

    /**
     * The ramp as steps of the loaded bar, for an SVG as wide as given.
     *
     * @param notes the codes of what the kit did not allow
     */
    record Stair(Lift lift, int width, List<Step> steps, List<String> notes) {}

    /**
     * One step.
     *
     * @param load empty where the lifter is not to see it
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
     * A set to do or to correct.
     *
     * @param line the slot it belongs to
     * @param amount how much of it: repetitions, a time, a distance
     * @param target the rating asked for, else null
     * @param putOn kit that goes on for this set and was not on before
     * @param wears the kit the plan has on for it
     * @param because what moved its load, if anything did: a code
     * @param was the load before it was moved, else null
     * @param beat the number to beat, else null
     * @param lookOver what has to be looked over first; empty when nothing, or when it has been
     * @param limit the code of where the kit ended short of the load asked for, else null
     * @param asked the load asked for
     * @param guarded near the limit in a lift that pins: spotters or safeties
     * @param handled who carries what of a load beyond what the lifter can do, in words; else null
     * @param plates what hangs on one side, by its place in the rack
     * @param shifts for each load of the top this one hangs on, what it comes to, as JSON; null where it hangs on none
     */
    record Card(
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
            boolean blind,
            String amount,
            int plannedReps,
            String target,
            Change change,
            Clock clock,
            int rest,
            String tempo,
            String beats,
            String cue,
            Set<Worn> putOn,
            Set<Worn> wears,
            String because,
            String was,
            String beat,
            Set<LookOver> lookOver,
            String limit,
            String asked,
            boolean guarded,
            String handled,
            Form form,
            boolean correcting,
            String shifts,
            String plates) {

        /** The name of its form. */
        public String formName() {
            return "set-" + task;
        }
    }

    /**
     * What is in the fields of a set's form.
     *
     * @param unloaded it may be done with nothing on
     * @param unrated it need not be rated
     * @param counted repetitions are typed
     * @param timed a time is typed
     * @param differs the kit worn is said to differ from the plan's
     */
    record Form(
            String token,
            String load,
            String reps,
            String effort,
            boolean unloaded,
            boolean unrated,
            boolean counted,
            boolean timed,
            String helped,
            String why,
            String speed,
            Set<Worn> worn,
            boolean differs,
            String video,
            String partner,
            String note,
            String time,
            String distance) {}

    /**
     * The clock of a set, in seconds.
     *
     * @param kind a code: hold, time, clusters, density, preparation, rounds
     * @param gap the least rest within it
     * @param goal how many are to be done within it
     */
    record Clock(String kind, long seconds, long gap, int goal) {}

    /** What to do to the bar: plates to take off and to add on each side; bare when it starts empty. */
    record Change(String off, String on, boolean bare) {}

    /**
     * A set to come.
     *
     * @param load null where it cannot be said or is not to be seen
     * @param was the load planned before the top was lifted, struck out; null where nothing moved
     */
    record Upcoming(
            String task,
            Lift lift,
            String load,
            String was,
            boolean about,
            boolean blind,
            String amount,
            boolean warmUp,
            String on,
            String off) {}

    /**
     * One slot of the day.
     *
     * @param load null where it cannot be said or is not to be seen
     * @param was the load planned before the top was lifted, struck out; null where nothing moved
     * @param why the code of what the load hangs on
     * @param hangsOn the load it hangs on
     * @param kit what makes the load; null when none is known
     * @param sets how many are asked for now
     * @param planned what the plan asked for, where it was changed on the floor; else null
     * @param next its first set still to do, where it can be taken early; else null
     * @param changeable whether it can be changed here
     * @param change what it can be changed to, where somebody is about to; else null
     * @param kept the same for a phone that may lose the line before somebody is about to; else null
     * @param changes what was changed of it on the floor
     */
    record SlotLine(
            String letter,
            Lift lift,
            String dose,
            String load,
            String was,
            boolean about,
            boolean blind,
            String why,
            String hangsOn,
            String drop,
            String kit,
            String reason,
            int doneSets,
            int sets,
            String planned,
            String next,
            boolean changeable,
            Choice change,
            Choice kept,
            List<ChangeLine> changes,
            List<DoneLine> done) {}

    /** What a slot can be changed to: from which set on, and the lifts that can stand in for its own. */
    record Choice(int nextSet, List<Swap> swaps) {}

    /** A lift that can stand in, with the load there. */
    record Swap(Lift lift, String load, boolean spares) {}

    /** A change made on the floor, which can be taken back. */
    record ChangeLine(String token, String text, String reason, String by, long byId) {}

    /**
     * A set that was lifted.
     *
     * @param load null where it was the body alone, or is not to be seen
     * @param notes what more is said of it, in words
     */
    record DoneLine(
            String task, boolean warmUp, String load, String amount, String effort, List<String> notes, String coach) {}

    /**
     * A session gone through set by set.
     *
     * @param note the coach's words on the whole of it
     */
    record Review(FloorDay day, List<Seen> sets, String note) {}

    /** A set beside what the coach says of it. */
    record Seen(DoneLine line, Lift lift, String rating, String form, String link, String note) {}

    /** A question: its code and words, and the answers. */
    record Asked(String code, List<Object> parts, List<Answer> answers) {}

    /** An answer: its words, and the changes of the day it makes or the set that is another one. */
    record Answer(String words, List<String> changes, String from, String to, boolean first) {}

    /** The set logged last. */
    record LastSet(String task, Lift lift, DoneLine line, boolean missedWithoutWhy, String token) {}

    /** A rest: when it began, in milliseconds of the epoch, and how long it is, in seconds. */
    record Resting(long from, long seconds) {}

    /** A slot with sets too many or too few. */
    record CountOff(String letter, Lift lift, int done, int planned) {}
}
