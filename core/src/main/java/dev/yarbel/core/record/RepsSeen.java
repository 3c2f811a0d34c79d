package dev.yarbel.core.record;

import java.util.Collection;
import java.util.Collections;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What was seen of a set's repetitions, one by one: those that broke, counted from 1; all others were clean.
 *
 * @param broken none where all were clean
 */
public record RepsSeen(SortedSet<Integer> broken) {

    /** Every repetition was clean. */
    public static final RepsSeen CLEAN = new RepsSeen(new TreeSet<>());

    private static final int MOST = 100;

    public RepsSeen {
        broken = Collections.unmodifiableSortedSet(new TreeSet<>(broken));
        if (!broken.isEmpty() && (broken.first() < 1 || broken.last() > MOST)) {
            throw new IllegalArgumentException("repetitions are counted from 1 to " + MOST);
        }
    }

    public static RepsSeen broken(Collection<Integer> repetitions) {
        return new RepsSeen(new TreeSet<>(repetitions));
    }

    /**
     * Reads what {@link #toString} writes: {@code 3 5}; nothing where all were clean.
     *
     * @throws IllegalArgumentException when it is something else
     */
    public static RepsSeen parse(String text) {
        SortedSet<Integer> broken = new TreeSet<>();
        for (String number : text.strip().split("[\\s,]+")) {
            if (!number.isEmpty()) {
                if (!number.matches("\\d{1,3}")) {
                    throw new IllegalArgumentException("not a repetition: " + number);
                }
                broken.add(Integer.valueOf(number));
            }
        }
        return new RepsSeen(broken);
    }

    public boolean areClean() {
        return broken.isEmpty();
    }

    @Override
    public String toString() {
        return broken.stream().map(String::valueOf).collect(Collectors.joining(" "));
    }
}
