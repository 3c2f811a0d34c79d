package dev.yarbel.core.exchange;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Work;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Sets that were done, as people write them into one cell.
 *
 * <pre>
 * 5x5 @ 140      5x5 140kg      3x5 140 @8     sets x reps, load, rating
 * 5x5x140        140x5x5                       three figures: the heaviest is the load
 * 140x5          5@140          5 x 140kg      one set
 * 140: 5,5,4     140 5/5/4      5,5,4 @ 140    a set for each figure
 * 140x2F         140x0          140x1 miss     missed
 * 180x1 @9; 5x5 140             180x1 then 150x3x2
 * </pre>
 *
 * <p>Three figures after a load are repetitions and then sets (common practice, no source) and asked about. A figure up to 10
 * after @ is a rating. What the shorthand of doses says with a load written out is read too.
 */
final class DoneText {

    /**
     * Sets alike.
     *
     * @param load empty where the text has none
     * @param reps of each set
     */
    record Sets(Optional<Mass> load, List<Integer> reps, Effort effort, boolean repsOrSets) {}

    private static final String N = "(?<![\\d.,])(" + LoadText.FIGURE + ")(?!\\d)\\s*(" + LoadText.UNIT + ")?";
    private static final String R = "(?<![\\d.,])(\\d{1,3})(?!\\d)";
    private static final String X = "\\s*x\\s*";
    private static final String LIST = "(?<!\\d)(\\d{1,3}(?:\\s*[,/]\\s*\\d{1,3}|\\s+\\d{1,3}(?![.,x\\d]))+)(?!\\d)";
    private static final String EFFORT =
            "\\s*(?:\\(?\\s*((?:@|rpe)\\s*\\d{1,2}(?:[.,]\\d)?|\\d(?:[.,]5)?\\s*rir|rir\\s*\\d(?:[.,]5)?|"
                    + RatingText.MISSED_WORD + ")\\s*\\)?)?";
    private static final Pattern SETS_REPS_LOAD =
            Pattern.compile(R + X + R + "\\s*(?:@|at|bei|mit|with|,|:)?\\s*" + N + EFFORT);
    private static final Pattern SETS_REPS = Pattern.compile(R + X + R + EFFORT);
    private static final Pattern THREE = Pattern.compile(N + X + R + X + N + EFFORT);
    private static final Pattern LOAD_REPS = Pattern.compile(N + X + R + EFFORT);
    private static final Pattern REPS_LOAD = Pattern.compile(R + "\\s*(?:x|@|at|bei|mit|with)\\s*" + N + EFFORT);
    private static final Pattern LOAD_LIST = Pattern.compile(N + "\\s*(?:x|:|-)?\\s*" + LIST + EFFORT);
    private static final Pattern LIST_LOAD = Pattern.compile(LIST + "\\s*(?:x|@|at|bei|mit|with|:)?\\s*" + N + EFFORT);
    private static final Pattern BETWEEN = Pattern.compile("\\s*(?:;|\\R|\\bthen\\b|\\bdann\\b|&|\\s\\+\\s)\\s*");
    private static final Pattern BEFORE_ANOTHER =
            Pattern.compile(",\\s*(?=" + LoadText.FIGURE + "\\s*" + LoadText.UNIT + "?\\s*(?:x|@)\\s*\\d)");
    private static final Pattern WORDS = Pattern.compile("\\b(?:sets?|reps?|wdh|satz|sätze|of|a|à|je|mal)\\b\\.?");
    private static final Pattern NOTHING =
            Pattern.compile("(?:-|–|—|off|rest|skip(?:ped)?|n/?a|x|frei|pause|ausgefallen)?");
    /** A figure up to here after @ is a rating. */
    private static final BigDecimal HIGHEST_RATING = BigDecimal.TEN;
    /** Two figures alone are a load and repetitions from here on; below, they are sets and repetitions. */
    private static final BigDecimal LEAST_LOAD = BigDecimal.valueOf(20);

    /** More repetitions than this nobody writes after a number of sets. */
    private static final BigDecimal SURELY_LOAD = BigDecimal.valueOf(40);

    private static final int MOST_SETS = 50;
    private static final int MOST_REPS = 100;

    private DoneText() {}

    /** Whether nothing was done, and somebody said so. */
    static boolean isNothing(String text) {
        return NOTHING.matcher(text.strip().toLowerCase(Locale.ROOT)).matches();
    }

    /** The sets, in their order; never none. */
    static List<Sets> read(String text, MassUnit unitless) throws Unclear {
        String plain = plain(text);
        List<Sets> all = new ArrayList<>();
        for (String chunk : BETWEEN.split(plain)) {
            Optional<Sets> whole = part(chunk.strip(), unitless);
            whole.ifPresent(all::add);
            for (String part : whole.isPresent() ? new String[0] : BEFORE_ANOTHER.split(chunk)) {
                Optional<Sets> sets = part(part.strip(), unitless);
                if (sets.isEmpty()) {
                    return dose(text, unitless);
                }
                all.add(sets.get());
            }
        }
        return all;
    }

    private static String plain(String text) {
        String even = text.strip()
                .toLowerCase(Locale.ROOT)
                .replace('\u00a0', ' ')
                .replaceAll("[×*✕]", "x")
                .replaceAll("(?<=\\d)\\s*(?:sets?|sätze|satz)\\s*(?:of|x|à|a)?\\s*(?=\\d)", "x");
        return WORDS.matcher(even).replaceAll(" ").replaceAll("[ \\t]+", " ").strip();
    }

    private static Optional<Sets> part(String text, MassUnit unitless) throws Unclear {
        Matcher m = THREE.matcher(text);
        if (m.matches()) {
            return Optional.of(three(m, unitless));
        }
        m = SETS_REPS_LOAD.matcher(text);
        if (m.matches() && !isRating(text, m)) {
            return Optional.of(new Sets(
                    Optional.of(load(m.group(3), m.group(4), unitless)),
                    repeated(m.group(1), m.group(2)),
                    effort(m.group(5)),
                    false));
        }
        m = LOAD_LIST.matcher(text);
        if (m.matches() && isLoad(m.group(1), m.group(2))) {
            return Optional.of(new Sets(
                    Optional.of(load(m.group(1), m.group(2), unitless)), list(m.group(3)), effort(m.group(4)), false));
        }
        m = LIST_LOAD.matcher(text);
        if (m.matches() && isLoad(m.group(2), m.group(3))) {
            return Optional.of(new Sets(
                    Optional.of(load(m.group(2), m.group(3), unitless)), list(m.group(1)), effort(m.group(4)), false));
        }
        m = LOAD_REPS.matcher(text);
        if (m.matches() && isLoad(m.group(1), m.group(2))) {
            return Optional.of(new Sets(
                    Optional.of(load(m.group(1), m.group(2), unitless)),
                    List.of(reps(m.group(3))),
                    effort(m.group(4)),
                    false));
        }
        m = REPS_LOAD.matcher(text);
        if (m.matches() && isLoad(m.group(2), m.group(3)) && (!text.matches("\\d+\\s*x.*") || isHeavy(m))) {
            return Optional.of(new Sets(
                    Optional.of(load(m.group(2), m.group(3), unitless)),
                    List.of(reps(m.group(1))),
                    effort(m.group(4)),
                    false));
        }
        m = SETS_REPS.matcher(text);
        return m.matches()
                ? Optional.of(new Sets(Optional.empty(), repeated(m.group(1), m.group(2)), effort(m.group(3)), false))
                : Optional.empty();
    }

    /** {@code 5x5 @8} has a rating and no load. */
    private static boolean isRating(String text, Matcher m) {
        return m.group(4) == null
                && text.contains("@")
                && text.indexOf('@') < m.start(3)
                && figure(m.group(3)).compareTo(HIGHEST_RATING) <= 0;
    }

    private static boolean isLoad(String figure, String unit) {
        return unit != null || figure(figure).compareTo(LEAST_LOAD) >= 0;
    }

    /** {@code 3x140} is a load, {@code 5x20} sets and repetitions. */
    private static boolean isHeavy(Matcher repsAndLoad) {
        return repsAndLoad.group(3) != null || figure(repsAndLoad.group(2)).compareTo(SURELY_LOAD) >= 0;
    }

    private static BigDecimal figure(String written) {
        return new BigDecimal(written.replace(',', '.'));
    }

    /** The heaviest of three figures is the load, which stands first or last. */
    private static Sets three(Matcher m, MassUnit unitless) throws Unclear {
        BigDecimal first = figure(m.group(1));
        BigDecimal last = figure(m.group(4));
        BigDecimal middle = figure(m.group(3));
        boolean loadFirst = m.group(2) != null || m.group(5) == null && first.compareTo(last) > 0;
        BigDecimal load = loadFirst ? first : last;
        String unit = loadFirst ? m.group(2) : m.group(5);
        String other = loadFirst ? m.group(4) : m.group(1);
        boolean clear = unit != null || first.compareTo(last) != 0 && load.compareTo(middle) > 0;
        if (!clear || !other.matches("\\d{1,3}") || m.group(2) != null && m.group(5) != null) {
            throw new Unclear(Trouble.Kind.UNREADABLE_SETS_DONE);
        }
        Mass mass = load(loadFirst ? m.group(1) : m.group(4), unit, unitless);
        return loadFirst
                ? new Sets(
                        Optional.of(mass), repeated(other, m.group(3)), effort(m.group(6)), !other.equals(m.group(3)))
                : new Sets(Optional.of(mass), repeated(other, m.group(3)), effort(m.group(6)), false);
    }

    private static Mass load(String figure, String unit, MassUnit unitless) throws Unclear {
        return LoadText.read(figure + (unit == null ? "" : unit), unitless);
    }

    private static List<Integer> repeated(String sets, String reps) throws Unclear {
        int count = Integer.parseInt(sets);
        if (count < 1 || count > MOST_SETS) {
            throw new Unclear(Trouble.Kind.UNREADABLE_SETS);
        }
        return Collections.nCopies(count, reps(reps));
    }

    private static List<Integer> list(String reps) throws Unclear {
        List<Integer> list = new ArrayList<>();
        for (String each : reps.strip().split("\\s*[,/]\\s*|\\s+")) {
            list.add(reps(each));
        }
        return list;
    }

    static int reps(String text) throws Unclear {
        int reps = Integer.parseInt(text);
        if (reps > MOST_REPS) {
            throw new Unclear(Trouble.Kind.REPS_OUT_OF_RANGE);
        }
        return reps;
    }

    private static Effort effort(String said) throws Unclear {
        return said == null ? new Effort.Unrated() : RatingText.rating(said);
    }

    /** What the shorthand of doses has, as far as it says what was done: straight sets with their load written out. */
    private static List<Sets> dose(String text, MassUnit unitless) throws Unclear {
        Optional<Dose> dose = DoseParser.parse(text, unitless).dose();
        if (dose.isEmpty()) {
            throw new Unclear(Trouble.Kind.UNREADABLE_SETS_DONE);
        }
        List<Sets> all = new ArrayList<>();
        for (Part part : dose.get().parts()) {
            Optional<Work.Straight> straight = part.work().straight();
            if (straight.isEmpty() || part.work().leavesCountOpen(true)) {
                throw new Unclear(Trouble.Kind.REPS_PLANNED);
            }
            if (part.basis().written().isEmpty()) {
                throw new Unclear(Trouble.Kind.NO_LOAD);
            }
            all.add(new Sets(
                    part.basis().written(),
                    Collections.nCopies(part.sets(), part.reps()),
                    new Effort.Unrated(),
                    false));
        }
        return all;
    }
}
