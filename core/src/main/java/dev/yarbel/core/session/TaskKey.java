package dev.yarbel.core.session;

import java.util.regex.Pattern;

/**
 * Which set of a day: the slot's letter, warm-up or work, and its number from 1. Its text, {@code A.w2} or {@code A.1}, is
 * what forms send and what is kept.
 *
 * @param number 1 to 99
 */
public record TaskKey(String letter, boolean warmUp, int number) {

    private static final Pattern TEXT = Pattern.compile("([A-Za-z0-9]{1,4})\\.(w?)([1-9][0-9]?)");

    public TaskKey {
        if (number < 1 || number > 99) {
            throw new IllegalArgumentException("sets are numbered from 1 to 99");
        }
    }

    public static TaskKey warmUp(String letter, int number) {
        return new TaskKey(letter, true, number);
    }

    public static TaskKey work(String letter, int number) {
        return new TaskKey(letter, false, number);
    }

    /**
     * Reads the text of a key.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static TaskKey parse(String text) {
        var matcher = TEXT.matcher(text);
        if (!matcher.matches()) {
            throw new IllegalArgumentException("not the key of a set: '" + text + "'");
        }
        return new TaskKey(matcher.group(1), !matcher.group(2).isEmpty(), Integer.parseInt(matcher.group(3)));
    }

    /** Whether it comes after another set of the same slot; warm-ups come before work. */
    public boolean isAfter(TaskKey other) {
        return letter.equals(other.letter) && (warmUp == other.warmUp ? number > other.number : other.warmUp);
    }

    @Override
    public String toString() {
        return letter + "." + (warmUp ? "w" : "") + number;
    }
}
