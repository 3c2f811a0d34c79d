package dev.yarbel.core.prescription;

import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.prescription.DoseParser.Problem;
import dev.yarbel.core.prescription.TextCursor.Stop;
import dev.yarbel.core.record.Worn;
import java.time.Duration;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Reads what a dose says beside its sets and its load, as {@link DoseParser} describes it. */
final class DetailsReader {

    private static final Pattern RANGE = Pattern.compile("\\d{1,4}\\s*[-–−]\\s*\\d");
    private static final Pattern TWO_OF_WHAT = Pattern.compile("\\d(?![\\d:'sm]|\\s*(?:s|m)[a-z]*)");
    private static final int LONGEST = 1800;
    private static final List<String> BEFORE_LOAD =
            List.of("each side", "per side", "each leg", "each arm", "paused", "pause");
    private static final List<SetModifier> LONGEST_WORD_FIRST = Stream.of(SetModifier.values())
            .sorted(Comparator.comparing((SetModifier manner) -> manner.word().length())
                    .reversed())
            .toList();
    private static final Map<String, SetModifier> OTHER_WORDS = Map.of(
            "per side",
            SetModifier.EACH_SIDE,
            "each leg",
            SetModifier.EACH_SIDE,
            "each arm",
            SetModifier.EACH_SIDE,
            "pause",
            SetModifier.PAUSED);
    private static final Map<Worn, String[]> WORDS = new EnumMap<>(Worn.class);

    static {
        for (Worn worn : Worn.values()) {
            String word = Details.word(worn);
            WORDS.put(worn, new String[] {word, word.replace('-', ' ')});
        }
    }

    private final Set<SetModifier> manners = EnumSet.noneOf(SetModifier.class);
    private final Set<Worn> with = EnumSet.noneOf(Worn.class);
    private final Set<Worn> without = EnumSet.noneOf(Worn.class);
    private Optional<LoadBasis.AtRpe> within = Optional.empty();
    private Optional<Duration> rest = Optional.empty();
    private Optional<Duration> mostRest = Optional.empty();
    private Optional<Tempo> tempo = Optional.empty();
    private Optional<String> cue = Optional.empty();
    private Optional<String> reason = Optional.empty();

    private final TextCursor in;

    private final LoadReader load;

    DetailsReader(TextCursor in, LoadReader load) {
        this.in = in;
        this.load = load;
    }

    /** All that was said. */
    Details details() {
        return new Details(manners, within, rest, mostRest, tempo, with, without, cue, reason);
    }

    /** Takes the next thing said; false when nothing of the kind follows. */
    boolean takeOne() throws Stop {
        if (in.atEnd()) {
            return false;
        }
        int start = in.at();
        boolean fresh;
        if (in.take("@")) {
            in.takeWord("rpe");
            fresh = within.isEmpty();
            within = Optional.of(load.rating());
        } else if (in.takeWord(SetModifier.FREE_REST.word())) {
            fresh = manners.add(SetModifier.FREE_REST);
        } else if (in.takeWord("rest")) {
            fresh = rest.isEmpty();
            rest();
        } else if (in.takeWord("tempo")) {
            fresh = tempo.isEmpty();
            tempo = Optional.of(new Tempo(in.tempo().toUpperCase(Locale.ROOT)));
        } else if (in.takeWord("cue")) {
            fresh = cue.isEmpty();
            cue = Optional.of(in.quoted());
        } else if (in.takeWord("why")) {
            fresh = reason.isEmpty();
            reason = Optional.of(in.quoted());
        } else if (in.takeWord("no")) {
            Worn worn = kit().orElseThrow(() -> in.stop(Problem.EXPECTED_KIT));
            fresh = !with.contains(worn) && without.add(worn);
        } else {
            Optional<Worn> worn = kit();
            Optional<SetModifier> manner = worn.isPresent() ? Optional.empty() : manner();
            if (worn.isEmpty() && manner.isEmpty()) {
                return false;
            }
            fresh = worn.map(w -> !without.contains(w) && with.add(w))
                    .orElseGet(() -> manners.add(manner.orElseThrow()));
        }
        if (!fresh) {
            throw in.stop(start, Problem.TWICE);
        }
        return true;
    }

    /** Takes what may be said before the load. */
    boolean takeBeforeLoad() {
        if (!in.isAt("eEpP")) {
            return false;
        }
        for (String word : BEFORE_LOAD) {
            if (in.takeWord(word)) {
                return manners.add(word.startsWith("paus") ? SetModifier.PAUSED : SetModifier.EACH_SIDE);
            }
        }
        return false;
    }

    private void rest() throws Stop {
        if (in.looksAt(RANGE)) {
            in.skipSpaces();
            int start = in.at();
            int least = in.count(LONGEST, Problem.EXPECTED_REST, Problem.EXPECTED_REST);
            in.takeRange();
            Duration most = in.time(Details.MOST_REST, Problem.EXPECTED_REST);
            boolean minutes = most.toSeconds() % 60 == 0 && least <= most.toMinutes();
            Duration from = minutes ? Duration.ofMinutes(least) : Duration.ofSeconds(least);
            if (from.compareTo(most) >= 0) {
                throw in.stop(start, Problem.RANGE_DOWNWARD);
            }
            rest = Optional.of(from);
            mostRest = Optional.of(most);
        } else if (in.looksAt(TWO_OF_WHAT)) {
            throw in.stop(Problem.REST_UNIT);
        } else {
            rest = Optional.of(in.time(Details.MOST_REST, Problem.EXPECTED_REST));
        }
    }

    private Optional<Worn> kit() {
        for (Map.Entry<Worn, String[]> worn : WORDS.entrySet()) {
            if (in.takeAnyWord(worn.getValue())) {
                return Optional.of(worn.getKey());
            }
        }
        return Optional.empty();
    }

    private Optional<SetModifier> manner() {
        for (SetModifier manner : LONGEST_WORD_FIRST) {
            if (in.takeWord(manner.word())) {
                return Optional.of(manner);
            }
        }
        for (Map.Entry<String, SetModifier> word : OTHER_WORDS.entrySet()) {
            if (in.takeWord(word.getKey())) {
                return Optional.of(word.getValue());
            }
        }
        return Optional.empty();
    }
}
