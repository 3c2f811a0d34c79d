package dev.yarbel.core.prescription;

import dev.yarbel.core.record.Worn;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Looks for a text close to one that cannot be read and that can. */
final class DoseSuggestion {

    private static final int LONGEST = 400;
    private static final int MOST_TYPOS = 2;
    private static final LevenshteinDistance TYPOS = new LevenshteinDistance(MOST_TYPOS);
    private static final List<String> WORDS = words();

    private DoseSuggestion() {}

    /** The first of a few small changes at the place where reading ended that makes the whole text a dose. */
    static Optional<String> of(String text, DoseParser.Unreadable why) {
        if (text.isBlank() || text.length() > LONGEST) {
            return Optional.empty();
        }
        int at = Math.min(why.at(), text.length());
        int end = at;
        while (end < text.length() && Character.isLetter(text.charAt(end))) {
            end++;
        }
        String word = text.substring(at, end).toLowerCase(Locale.ROOT);
        String before = text.substring(0, at);
        String after = text.substring(end);
        List<String> candidates = new ArrayList<>();
        WORDS.stream()
                .filter(known -> !word.isEmpty() && distance(word, known) >= 0)
                .sorted(Comparator.comparingInt(known -> distance(word, known)))
                .forEach(known -> candidates.add(before + known + after));
        String number = before.stripTrailing();
        int numberAt = number.length();
        while (numberAt > 0 && "0123456789.,".indexOf(number.charAt(numberAt - 1)) >= 0) {
            numberAt--;
        }
        if (numberAt < number.length()) {
            candidates.add(before.substring(0, numberAt) + "@" + before.substring(numberAt) + text.substring(at));
            candidates.add(number + "%" + text.substring(at));
            candidates.add(number + "kg" + text.substring(at));
        }
        candidates.add(before + "x" + after);
        candidates.add(number + " @8" + text.substring(at));
        candidates.add(number);
        candidates.add(number + " feel");
        return candidates.stream()
                .filter(candidate -> !candidate.equals(text))
                .flatMap(candidate -> DoseParser.read(candidate).stream())
                .map(Dose::shorthand)
                .findFirst();
    }

    private static int distance(String word, String known) {
        int typos = TYPOS.apply(word, known);
        return typos * 2 > known.length() ? -1 : typos;
    }

    private static List<String> words() {
        List<String> words = new ArrayList<>(List.of(
                "rest", "tempo", "then", "cue", "why", "no", "max", "climb", "prep", "rounds", "in", "to", "gap",
                "form", "last", "feel", "each", "of", "x", "%", "reverse", "+chains", "+bands", "kg", "lb"));
        for (Manner manner : Manner.values()) {
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
