package dev.yarbel.core.exchange;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Names as they are compared: without capitals, accents and signs. */
public final class Plain {

    private static final Pattern ACCENTS = Pattern.compile("\\p{M}+");
    private static final Pattern SIGNS = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static final int SHORTEST_PLURAL = 3;

    private Plain() {}

    /** {@code  Übung (kg)} is {@code ubung kg}. */
    public static String of(String text) {
        String bare = ACCENTS.matcher(
                        Normalizer.normalize(text.replace("ß", "ss").replaceAll("['’]", ""), Normalizer.Form.NFD))
                .replaceAll("");
        return SIGNS.matcher(bare.toLowerCase(Locale.ROOT)).replaceAll(" ").strip();
    }

    /** The same with each word in the singular: {@code Front Squats} is {@code front squat}. */
    static String singular(String text) {
        return Arrays.stream(of(text).split(" ")).map(Plain::one).collect(Collectors.joining(" "));
    }

    /** The same with its words in the order of the alphabet: {@code Squat, front} is {@code front squat}. */
    static String inOrder(String singular) {
        return Arrays.stream(singular.split(" ")).sorted().collect(Collectors.joining(" "));
    }

    private static String one(String word) {
        return word.length() >= SHORTEST_PLURAL && word.endsWith("s") && !word.endsWith("ss")
                ? word.substring(0, word.length() - 1)
                : word;
    }
}
