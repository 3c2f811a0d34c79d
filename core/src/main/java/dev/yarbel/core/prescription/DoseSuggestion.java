package dev.yarbel.core.prescription;

import dev.yarbel.core.record.Worn;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Looks for a text close to one that cannot be read and that can. */
final class DoseSuggestion {

    private static final int LONGEST = 400;
    private static final int MOST_TYPOS = 2;
    private static final int SHORTEST = 2;
    private static final int MOST_TRIED = 4;
    private static final LevenshteinDistance TYPOS = new LevenshteinDistance(MOST_TYPOS);
    private static final List<String> WORDS = words();

    private DoseSuggestion() {}

    /**
     * A known word for a misspelt one, or a missing sign between sets and repetitions; empty where nothing of the kind makes
     * the whole text a dose. What was meant is never guessed at: no suggestion leaves anything out or adds a load.
     */
    static Optional<String> of(String text, DoseParser.Unreadable why) {
        if (text.isBlank() || text.length() > LONGEST) {
            return Optional.empty();
        }
        int at = Math.min(why.at(), text.length());
        if (why.problem() == DoseParser.Problem.MISSING_TIMES) {
            return read(text.substring(0, at + 1) + "x" + text.substring(at + 1));
        }
        int end = at;
        while (end < text.length() && isOfAWord(text.charAt(end))) {
            end++;
        }
        String word = text.substring(at, end).toLowerCase(Locale.ROOT);
        if (word.length() < SHORTEST) {
            return Optional.empty();
        }
        String before = text.substring(0, at);
        String after = text.substring(end);
        return near(word).stream()
                .flatMap(known -> read(before + known + after).stream())
                .findFirst();
    }

    private static boolean isOfAWord(char c) {
        return Character.isLetter(c) || c == '-';
    }

    private static Optional<String> read(String candidate) {
        return DoseParser.read(candidate).map(Dose::shorthand);
    }

    /** The known words closest to one, the closest first. */
    private static List<String> near(String word) {
        return WORDS.stream()
                .map(known -> Map.entry(known, distance(word, known)))
                .filter(known -> known.getValue() >= 0)
                .sorted(Map.Entry.comparingByValue())
                .limit(MOST_TRIED)
                .map(Map.Entry::getKey)
                .toList();
    }

    private static int distance(String word, String known) {
        int typos = TYPOS.apply(word, known);
        return typos * 2 > known.length() ? -1 : typos;
    }

    private static List<String> words() {
        List<String> words = new ArrayList<>(List.of(
                "rest", "tempo", "then", "cue", "why", "no", "max", "climb", "prep", "rounds", "in", "to", "gap",
                "form", "last", "feel", "each", "of", "reverse", "chains", "bands", "until", "reps", "amrap", "emom"));
        for (SetModifier manner : SetModifier.values()) {
            words.add(manner.word());
        }
        for (Reference.Named named : Reference.Named.values()) {
            words.add(named.word());
        }
        for (Worn worn : Worn.values()) {
            words.add(Details.word(worn));
        }
        return List.copyOf(words);
    }
}
