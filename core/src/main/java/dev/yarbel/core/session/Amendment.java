package dev.yarbel.core.session;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Work;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One change made on the floor to what a day asks for. The plan itself stays as it is; amendments are laid over it in the
 * order they were made.
 *
 * <p>The text of each, such as {@code A shorten 2} or {@code B swap front-squat}, is what forms send and what is kept.
 */
public sealed interface Amendment {

    /** The slot it changes. */
    String letter();

    /** What follows the letter in its text. */
    String words();

    /** Whether the day asks for something else after it; what only answers or looks over changes nothing. */
    boolean changesTheDay();

    /** Whether it can be the answer to a question that a set raised. */
    boolean answersAQuestion();

    /** Asks what kind this is. */
    <T> T accept(Visitor<T> visitor);

    /** What somebody makes of each kind of change. */
    interface Visitor<T> {

        T shorten(Shorten shorten);

        T swap(Swap swap);

        T redose(Redose redose);

        T another(Another another);

        T atLoad(AtLoad atLoad);

        T step(Step step);

        T goOn(GoOn goOn);

        T checked(Checked checked);
    }

    /** No more than so many sets of the slot in all; none: the slot is left out. */
    record Shorten(String letter, int sets) implements Amendment {
        public Shorten {
            if (sets < 0 || sets > Work.MOST_SETS) {
                throw new IllegalArgumentException("0 to " + Work.MOST_SETS + " sets");
            }
        }

        @Override
        public String words() {
            return "shorten " + sets;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.shorten(this);
        }

        @Override
        public boolean changesTheDay() {
            return true;
        }

        @Override
        public boolean answersAQuestion() {
            return true;
        }
    }

    /** The same dose with another lift, at loads from that lift's own numbers. */
    record Swap(String letter, Lift lift) implements Amendment {
        @Override
        public String words() {
            return "swap " + lift.key();
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.swap(this);
        }

        @Override
        public boolean changesTheDay() {
            return true;
        }

        @Override
        public boolean answersAQuestion() {
            return false;
        }
    }

    /** Another dose from a set on, counted from 1 through the slot. */
    record Redose(String letter, int fromSet, Dose dose) implements Amendment {
        public Redose {
            checkSet(fromSet);
        }

        @Override
        public String words() {
            return "dose " + fromSet + " " + dose.shorthand();
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.redose(this);
        }

        @Override
        public boolean changesTheDay() {
            return true;
        }

        @Override
        public boolean answersAQuestion() {
            return false;
        }
    }

    /** One more set like this one, right after it. */
    record Another(String letter, int after) implements Amendment {
        public Another {
            checkSet(after);
        }

        @Override
        public String words() {
            return "another " + after;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.another(this);
        }

        @Override
        public boolean changesTheDay() {
            return true;
        }

        @Override
        public boolean answersAQuestion() {
            return true;
        }
    }

    /** A set at this load, whatever the plan makes of it. */
    record AtLoad(String letter, int set, Mass load, MassUnit unit) implements Amendment {
        public AtLoad {
            checkSet(set);
            checkLoad(load);
        }

        @Override
        public String words() {
            return "load " + set + " " + load.figure(unit, 3) + unit.symbol();
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.atLoad(this);
        }

        @Override
        public boolean changesTheDay() {
            return true;
        }

        @Override
        public boolean answersAQuestion() {
            return true;
        }
    }

    /** One more warm-up. */
    record Step(String letter, Mass load, MassUnit unit, int reps) implements Amendment {
        public Step {
            checkLoad(load);
            if (reps < 1 || reps > Work.MOST_REPS) {
                throw new IllegalArgumentException("1 to " + Work.MOST_REPS + " repetitions");
            }
        }

        @Override
        public String words() {
            return "step " + load.figure(unit, 3) + unit.symbol() + " " + reps;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.step(this);
        }

        @Override
        public boolean changesTheDay() {
            return true;
        }

        @Override
        public boolean answersAQuestion() {
            return true;
        }
    }

    /** What was asked about a set is answered: go on as planned. */
    record GoOn(TaskKey set) implements Amendment {
        @Override
        public String letter() {
            return set.letter();
        }

        @Override
        public String words() {
            return "go-on " + set;
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.goOn(this);
        }

        @Override
        public boolean changesTheDay() {
            return false;
        }

        @Override
        public boolean answersAQuestion() {
            return true;
        }
    }

    /** What has to be looked over before the first set has been. */
    record Checked(String letter) implements Amendment {
        @Override
        public String words() {
            return "checked";
        }

        @Override
        public <T> T accept(Visitor<T> visitor) {
            return visitor.checked(this);
        }

        @Override
        public boolean changesTheDay() {
            return false;
        }

        @Override
        public boolean answersAQuestion() {
            return true;
        }
    }

    /** The canonical text, which {@link #parse} reads. */
    default String text() {
        return letter() + " " + words();
    }

    /**
     * Reads the text of an amendment.
     *
     * @throws IllegalArgumentException when it is none
     */
    static Amendment parse(String text) {
        Matcher parts = Reader.TEXT.matcher(text);
        if (!parts.matches()) {
            throw new IllegalArgumentException("no change of a day: '" + text + "'");
        }
        return new Reader(parts.group(1), parts.group(3) == null ? "" : parts.group(3)).read(parts.group(2));
    }

    /** Reads what follows the letter. */
    record Reader(String letter, String rest) {

        private static final Pattern TEXT = Pattern.compile("([A-Za-z0-9]{1,4}) ([a-z-]+)(?: (.+))?");

        private Amendment read(String kind) {
            return switch (kind) {
                case "shorten" -> new Shorten(letter, Integer.parseInt(rest));
                case "swap" -> new Swap(letter, new Lift(rest));
                case "dose" -> redose();
                case "another" -> new Another(letter, Integer.parseInt(rest));
                case "load" -> {
                    String[] words = words();
                    yield new AtLoad(letter, Integer.parseInt(words[0]), load(words[1]), unit(words[1]));
                }
                case "step" -> {
                    String[] words = words();
                    yield new Step(letter, load(words[0]), unit(words[0]), Integer.parseInt(words[1]));
                }
                case "go-on" -> new GoOn(TaskKey.parse(rest));
                case "checked" -> new Checked(letter);
                default -> throw new IllegalArgumentException("no change of a day: '" + kind + "'");
            };
        }

        private Amendment redose() {
            String[] words = words();
            return new Redose(letter, Integer.parseInt(words[0]), Dose.parse(words[1]));
        }

        /** A first word and what follows. */
        private String[] words() {
            String[] words = rest.split(" ", 2);
            if (words.length < 2) {
                throw new IllegalArgumentException("too little said: '" + rest + "'");
            }
            return words;
        }

        private static Mass load(String word) {
            return Mass.parse(word, MassUnit.KG);
        }

        private static MassUnit unit(String word) {
            return word.endsWith(MassUnit.LB.symbol()) ? MassUnit.LB : MassUnit.KG;
        }
    }

    private static void checkSet(int number) {
        if (number < 1 || number > 99) {
            throw new IllegalArgumentException("sets are numbered from 1 to 99");
        }
    }

    private static void checkLoad(Mass load) {
        if (!load.isPositive() || load.isGreaterThan(Mass.ofKg(1000))) {
            throw new IllegalArgumentException("a load lies above 0 and up to 1000 kg");
        }
    }
}
