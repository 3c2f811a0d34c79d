package dev.yarbel.web.book;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.session.DoneSet;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A set as the ledger keeps it: {@code 185 kg x1 8}.
 *
 * @param effort the code of its rating
 */
record WrittenSet(String load, String reps, String effort) {

    private static final Pattern TEXT = Pattern.compile("(.+) x(\\d+) (\\S+)");

    static WrittenSet of(DoneSet done, MassUnit unit) {
        return new WrittenSet(
                done.set().load().format(unit, 2),
                String.valueOf(done.set().reps()),
                done.set().effort().code());
    }

    /** What {@link #toString} wrote; empty for anything else. */
    static Optional<WrittenSet> parse(String text) {
        Matcher set = TEXT.matcher(text);
        return set.matches() ? Optional.of(new WrittenSet(set.group(1), set.group(2), set.group(3))) : Optional.empty();
    }

    @Override
    public String toString() {
        return load + " x" + reps + " " + effort;
    }
}
