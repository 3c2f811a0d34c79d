package dev.yarbel.web.floor;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.LookOver;
import dev.yarbel.web.page.BarDrawing;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A day on the floor as one document: what is in hand, what comes, what was done and what can be changed, in the reader's
 * words and unit. Pages render it, and what of it a phone needs without a line goes along as JSON, see {@link PhoneDay}.
 *
 * @param sets every set of the day as a document of its own, for a phone that loses the line; else empty
 * @param after what it was, once it is finished; else null
 */
record DayDocument(
        FloorDay day,
        InHand hand,
        List<SetDoc> sets,
        List<SlotDoc> slots,
        Logged logged,
        Afterwards after,
        String phone) {

    // ---- what is in hand

    /**
     * What is done now and what comes next.
     *
     * @param set the set in hand; empty when all are done
     * @param chosen the set that was asked for; null where it is the next one
     * @param changing the letter of the slot that somebody is about to change; null when none
     * @param stair the ramp of the lift in hand
     * @param next the sets to come
     * @param rest when the rest after the last set began, and how long it is; null when nobody rests
     */
    record InHand(
            Optional<SetDoc> set,
            String chosen,
            String changing,
            Optional<Stair> stair,
            List<Upcoming> next,
            Resting rest) {}

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
     * A set to come.
     *
     * @param special what makes it another set than plain repetitions, in words
     * @param change what to do to the bar; null where nothing is known of it
     */
    record Upcoming(
            String task, Lift lift, Load load, String amount, List<String> special, boolean warmUp, Change change) {}

    /** A rest: when it began, in milliseconds of the epoch, and how long it is, in seconds. */
    record Resting(long from, long seconds) {}

    // ---- a set

    /** A set to do or to correct: where it stands, what is on the bar, how it is done, what to heed, and its form. */
    record SetDoc(Place place, SlotDoc slot, Load load, Bar bar, Work work, Heed heed, Form form) {

        public String task() {
            return place.task();
        }

        /** The name of its form. */
        public String formName() {
            return formName(place.task());
        }

        static String formName(String task) {
            return "set-" + task;
        }
    }

    /**
     * Where a set stands in the day.
     *
     * @param number among those of its kind
     * @param of how many there are of its kind
     * @param logged it was done, and is corrected
     */
    record Place(String task, Lift lift, boolean warmUp, int number, int of, boolean logged) {}

    /**
     * A load.
     *
     * @param text null where it cannot be said or is not to be seen
     * @param other in the other unit; null where the text is
     * @param about it is a guess
     * @param blind the lifter is not to see it
     * @param was the load planned before something moved it; null where nothing did
     */
    record Load(String text, String other, boolean about, boolean blind, String was) {}

    /**
     * What is on the bar.
     *
     * @param drawing empty where no plates go on
     * @param change null where no plates go on
     * @param because what moved the load, if anything did: a code; else null
     * @param limit the code of where the kit ended short of the load asked for; else null
     * @param asked the load asked for
     * @param start where to begin with a lift that nothing is known of; null where there is no such proposal
     */
    record Bar(Optional<BarDrawing> drawing, Change change, String because, String limit, String asked, Start start) {}

    /** A load to begin with, taken from another lift. */
    record Start(String load, String figure, Lift from) {}

    /** What to do to the bar: plates to take off and to add on each side; bare when it starts empty. */
    record Change(String off, String on, boolean bare) {}

    /**
     * How a set is done.
     *
     * @param amount how much of it: repetitions, a time, a distance
     * @param target the rating asked for; else null
     * @param special what makes it another set than plain repetitions, in words
     * @param beat the number to beat; else null
     */
    record Work(
            String amount,
            int reps,
            String target,
            List<String> special,
            Clock clock,
            String tempo,
            String beats,
            String cue,
            String beat) {}

    /**
     * The clock of a set, in seconds.
     *
     * @param kind a code: hold, time, clusters, density, preparation, rounds
     * @param gap the least rest within it
     * @param goal how many are to be done within it
     */
    record Clock(String kind, long seconds, long gap, int goal) {}

    /**
     * What to heed before a set.
     *
     * @param putOn kit that goes on for this set and was not on before
     * @param lookOver what has to be looked over first; empty when nothing, or when it has been
     * @param lookedOver the change of the day that says it was
     * @param guarded near the limit in a lift that pins: spotters or safeties
     * @param handled who carries what of a load beyond what the lifter can do, in words; else null
     */
    record Heed(Set<Worn> putOn, Set<LookOver> lookOver, String lookedOver, boolean guarded, String handled) {}

    /**
     * What is in the fields of a set's form.
     *
     * @param effort the rating chosen; null where none is
     * @param bounds what can be right in it
     */
    record Form(String token, String load, String reps, String effort, Bounds bounds, SetSent.More more) {}

    /**
     * What can be right in a set's form; the server and the phone look at the same.
     *
     * @param unloaded it may be done with nothing on
     * @param unrated it need not be rated
     * @param counted repetitions are typed
     * @param timed a time is typed
     * @param choosing the lifter picks the exercise, and has to say which
     * @param count what has to be counted because the dose leaves it open; null where it does not
     * @param toPosition repetitions left count up to where the position is lost
     * @param measures what can be set up otherwise than on the card
     * @param checklist what makes a repetition clean, in words
     */
    record Bounds(
            boolean unloaded,
            boolean unrated,
            boolean counted,
            boolean timed,
            boolean choosing,
            Count count,
            boolean toPosition,
            List<SetUpMeasure> measures,
            String checklist) {}

    /**
     * A count that only lifting settles.
     *
     * @param rounds of something, else repetitions
     * @param least where a stepper begins
     * @param likely counts that one tap fills in, where the dose names them
     */
    record Count(boolean rounds, int least, List<Integer> likely) {}

    // ---- a slot

    /**
     * One slot of the day.
     *
     * @param why what its load hangs on
     * @param kit what makes the load; null when none is known
     * @param reason why the plan has it; else null
     * @param sets how many are asked for now
     */
    record SlotDoc(
            String letter,
            Lift lift,
            String dose,
            Load load,
            Why why,
            String kit,
            String reason,
            int doneSets,
            int sets,
            Today today,
            List<DoneLine> done) {}

    /** What a load hangs on: a code of words, and the two figures they take. */
    record Why(String code, String hangsOn, String drop) {}

    /**
     * What can be changed of a slot today, and was.
     *
     * @param planned what the plan asked for, where it was changed; else null
     * @param next its first set still to do, where it can be taken early; else null
     * @param changeable whether it can be changed here
     * @param change what it can be changed to, where somebody is about to; else null
     * @param kept the same for a phone that may lose the line before somebody is about to; else null
     */
    record Today(
            String planned, String next, boolean changeable, Choice change, Choice kept, List<ChangeLine> changes) {}

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
            String task, boolean warmUp, String load, String amount, String effort, List<String> notes, String coach) {

        /** The same with what made the set special. */
        DoneLine with(List<String> special) {
            List<String> all = Stream.concat(special.stream(), notes.stream()).toList();
            return new DoneLine(task, warmUp, load, amount, effort, all, coach);
        }
    }

    // ---- what was logged

    /**
     * What was logged so far, and what it raises.
     *
     * @param any whether anything was, the lifter's state before it too
     * @param sets whether any set was
     * @param last the set logged last; null when none
     * @param question what it raised; null when nothing
     * @param ending what is said and asked at the end
     */
    record Logged(boolean any, boolean sets, LastSet last, Asked question, Ending ending) {}

    /** The set logged last. */
    record LastSet(String task, Lift lift, DoneLine line, boolean missedWithoutWhy) {}

    /** A question: its code and words, and the answers. */
    record Asked(String code, List<Object> parts, List<Answer> answers) {}

    /** An answer: its words, and the changes of the day it makes or the set that is another one. */
    record Answer(String words, List<String> changes, String from, String to, boolean first) {}

    /**
     * The end of the session.
     *
     * @param counts the slots with more or fewer sets than planned
     * @param minutes how long it took so far; 0 where nobody can say
     */
    record Ending(int setsLeft, List<CountOff> counts, int minutes) {}

    /** A slot with sets too many or too few. */
    record CountOff(String letter, Lift lift, int done, int planned) {}

    // ---- a session gone through afterwards

    /**
     * A session gone through set by set.
     *
     * @param note the coach's words on the whole of it
     */
    record Review(FloorDay day, List<Seen> sets, String note) {}

    /** A set beside what the coach says of it. */
    record Seen(DoneLine line, Lift lift, String rating, String form, String link, String broken, String note) {}
}
