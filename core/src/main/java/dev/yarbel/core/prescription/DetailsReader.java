package dev.yarbel.core.prescription;

import dev.yarbel.core.prescription.DoseParser.Problem;
import dev.yarbel.core.prescription.TextCursor.Stop;
import dev.yarbel.core.record.Worn;
import java.time.Duration;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads what a dose says beside its sets and its load, as {@link DoseParser} describes it. */
final class DetailsReader {

    private static final Map<Worn, String[]> WORDS = new EnumMap<>(Worn.class);

    static {
        for (Worn worn : Worn.values()) {
            String word = Details.word(worn);
            WORDS.put(worn, new String[] {word, word.replace('-', ' ')});
        }
    }

    private final Set<Manner> manners = EnumSet.noneOf(Manner.class);
    private final Set<Worn> with = EnumSet.noneOf(Worn.class);
    private final Set<Worn> without = EnumSet.noneOf(Worn.class);
    private Optional<Duration> rest = Optional.empty();
    private Optional<Tempo> tempo = Optional.empty();
    private Optional<String> cue = Optional.empty();
    private Optional<String> reason = Optional.empty();

    private final TextCursor in;

    DetailsReader(TextCursor in) {
        this.in = in;
    }

    /** All that was said. */
    Details details() {
        return new Details(manners, rest, tempo, with, without, cue, reason);
    }

    /** Takes the next thing said; false when nothing of the kind follows. */
    boolean takeOne() throws Stop {
        if (in.atEnd()) {
            return false;
        }
        int start = in.at();
        boolean fresh;
        if (in.takeWord("rest")) {
            fresh = rest.isEmpty();
            rest = Optional.of(in.time(Details.MOST_REST, Problem.EXPECTED_REST));
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
            Optional<Manner> manner = worn.isPresent() ? Optional.empty() : manner();
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

    private Optional<Worn> kit() {
        for (Map.Entry<Worn, String[]> worn : WORDS.entrySet()) {
            if (in.takeAnyWord(worn.getValue())) {
                return Optional.of(worn.getKey());
            }
        }
        return Optional.empty();
    }

    private Optional<Manner> manner() {
        for (Manner manner : Manner.values()) {
            if (in.takeWord(manner.word())) {
                return Optional.of(manner);
            }
        }
        return Optional.empty();
    }
}
