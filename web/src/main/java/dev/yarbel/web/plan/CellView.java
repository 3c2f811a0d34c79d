package dev.yarbel.web.plan;

import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.review.Gate;
import dev.yarbel.web.page.Words;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * One cell as it stands on the page.
 *
 * @param text what is typed in it
 * @param kept what is kept of it, in canonical shorthand; empty when nothing is
 * @param loads what the parts of the typed dose come to, or what was lifted
 * @param trouble what keeps the typed text from being kept
 * @param lifted the day was lifted already; its dose is history
 * @param marks what a coach may want to look at there, in words
 */
record CellView(
        CellKey key,
        String text,
        String kept,
        List<LoadView> loads,
        Optional<Trouble> trouble,
        boolean lifted,
        List<String> marks) {

    private static final int CHARACTERS_OF_A_LINE = 16;

    /**
     * A load under a cell.
     *
     * @param figure the load's figure alone, in the lifter's unit; null where there is none
     * @param upTo the upper end of a range, or the loads of sets that differ, in words; else null
     * @param effort how hard it will be, in words; else null
     * @param ofToday its share of today's estimate where it hangs on a goal, in words; else null
     * @param limit the code of where the kit ended short of the load asked for, else null
     * @param asked the load asked for
     * @param why the code of what keeps the load unknown, else null
     * @param tint how heavy it is, 0 to 5
     */
    record LoadView(
            String load,
            String figure,
            String other,
            boolean about,
            String upTo,
            String effort,
            String ofToday,
            String limit,
            String asked,
            String why,
            int tint) {}

    /** Why typed text was not kept. */
    sealed interface Trouble {

        /** It in one sentence, for whoever has no sheet before them. */
        String said(Words words);
    }

    private static String perhaps(Optional<String> suggestion, Words words) {
        return suggestion
                .map(text -> " " + words.say("dose.perhaps") + " " + text)
                .orElse("");
    }

    /** It could not be read: the text before the character, the character and the rest; and perhaps what was meant. */
    record Unreadable(String before, String mark, String after, DoseParser.Problem problem, Optional<String> suggestion)
            implements Trouble {

        static Unreadable of(String text, DoseParser.Unreadable why) {
            int at = why.at();
            int next = at < text.length() ? text.offsetByCodePoints(at, 1) : at;
            return new Unreadable(
                    text.substring(0, at),
                    text.substring(at, next),
                    text.substring(next),
                    why.problem(),
                    why.suggestion());
        }

        @Override
        public String said(Words words) {
            return words.say("dose.problem." + problem) + perhaps(suggestion, words);
        }
    }

    /**
     * Somebody wrote another dose there meanwhile.
     *
     * @param who wrote it
     * @param now what stands there; empty when the cell was emptied
     */
    record Overtaken(String who, String now) implements Trouble {

        @Override
        public String said(Words words) {
            return now.isEmpty() ? words.say("plan.overtaken.empty", who) : words.say("plan.overtaken.dose", who, now);
        }
    }

    /** The day was lifted. */
    record Lifted() implements Trouble {

        @Override
        public String said(Words words) {
            return words.say("plan.historic");
        }
    }

    /** It stands behind a gate that nobody has opened for this lifter in this slot. */
    record Gated(Gate gate, Set<Gate.Missing> missing) implements Trouble {

        @Override
        public String said(Words words) {
            return words.say("gate.stop") + " " + words.say("gate." + gate) + ": "
                    + missing.stream()
                            .map(lacks -> words.say("gate.missing." + lacks))
                            .collect(Collectors.joining("; "));
        }
    }

    /** It names a lift that nobody knows. */
    record NoSuchLift(String key, Optional<String> suggestion) implements Trouble {

        @Override
        public String said(Words words) {
            return words.say("plan.no-such-lift-of", key) + perhaps(suggestion, words);
        }
    }

    /**
     * It can be read, and something else is likelier to be meant.
     *
     * @param code of what is asked
     * @param facts the figures it is about, in words
     */
    record Asked(String code, List<String> facts) implements Trouble {

        @Override
        public String said(Words words) {
            return words.say("dose.asked." + code, facts);
        }
    }

    CellView withLoads(List<LoadView> others) {
        return new CellView(key, text, kept, others, trouble, lifted, marks);
    }

    /** The cell's number in ids of the page. */
    public String id() {
        return key.slot() + "-" + key.week();
    }

    /** How many lines of a narrow column its text takes, where the browser does not see to that. */
    public int lines() {
        return 1 + Math.max(0, text.length() - 1) / CHARACTERS_OF_A_LINE;
    }

    /** How heavy the heaviest of it is, 0 to 5. */
    public int tint() {
        return loads.stream().mapToInt(LoadView::tint).max().orElse(0);
    }

    private boolean is(Class<? extends Trouble> kind) {
        return trouble.filter(kind::isInstance).isPresent();
    }

    public boolean unreadable() {
        return is(Unreadable.class);
    }

    public boolean overtaken() {
        return is(Overtaken.class);
    }

    public boolean historic() {
        return is(Lifted.class);
    }

    public boolean gated() {
        return is(Gated.class);
    }

    public boolean asked() {
        return is(Asked.class);
    }

    public boolean noSuchLift() {
        return is(NoSuchLift.class);
    }
}
