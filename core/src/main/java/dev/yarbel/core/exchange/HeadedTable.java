package dev.yarbel.core.exchange;

import dev.yarbel.core.measure.MassUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A small table with what each of its columns holds: guessed from its heads, else from what stands beneath them, and corrected by whoever
 * brought it.
 *
 * @param line the row of the heads, from 0; below 0 where the table has none
 * @param written the heads as they stand there; blank where there is none
 * @param holds the code of what each column holds; {@link #NOTHING} where it is nothing wanted
 * @param understood whether the heads alone say enough to read the table
 * @param guessed whether what columns hold is from contents, at least in part
 */
public record HeadedTable(
        List<List<String>> rows,
        int line,
        List<String> written,
        List<String> holds,
        boolean understood,
        boolean guessed) {

    /** What a column holds that is not wanted. */
    public static final String NOTHING = "";

    private static final int HEAD_WITHIN = 15;

    public HeadedTable {
        rows = List.copyOf(rows);
        written = List.copyOf(written);
        holds = List.copyOf(holds);
    }

    /** The first row under which a table can be read holds its heads; where there is none, contents tell what they can. */
    static HeadedTable of(List<List<String>> rows, HeadWords words) {
        for (int at = 0; at < Math.min(rows.size(), HEAD_WITHIN); at++) {
            List<String> codes = words.codes(rows, at);
            if (words.areEnough(Set.copyOf(codes))) {
                return under(rows, at, codes, true).byContents(words);
            }
        }
        int first = 0;
        while (first < rows.size() && rows.get(first).stream().allMatch(String::isBlank)) {
            first++;
        }
        if (first == rows.size()) {
            return new HeadedTable(rows, -1, List.of(), List.of(), false, false);
        }
        HeadedTable headless = under(rows, -1, List.of(), false).byContents(words);
        return headless.isLike(first, words)
                ? headless
                : under(rows, first, words.codes(rows, first), false).byContents(words);
    }

    private static HeadedTable under(List<List<String>> rows, int line, List<String> codes, boolean understood) {
        int width = rows.stream().mapToInt(List::size).max().orElse(0);
        List<String> written = new ArrayList<>();
        List<String> holds = new ArrayList<>();
        for (int at = 0; at < width; at++) {
            written.add(line < 0 ? "" : cell(rows.get(line), at));
            holds.add(at < codes.size() ? codes.get(at) : NOTHING);
        }
        return new HeadedTable(rows, line, written, holds, understood, false);
    }

    /** Columns that have a head are what it says, or nothing, where the heads are understood. */
    private HeadedTable byContents(HeadWords words) {
        List<String> found = new ArrayList<>(holds);
        boolean any = false;
        boolean more = true;
        while (more) {
            more = false;
            for (Map.Entry<String, Predicate<String>> one :
                    words.contents(new HashSet<>(found)).entrySet()) {
                for (int at = 0; at < found.size() && !found.contains(one.getKey()); at++) {
                    boolean free = found.get(at).equals(NOTHING)
                            && (!understood || written.get(at).isEmpty());
                    if (free && mostOf(at, one.getValue())) {
                        found.set(at, one.getKey());
                        more = true;
                    }
                }
            }
            any |= more;
        }
        return new HeadedTable(rows, line, written, found, understood, any);
    }

    private boolean mostOf(int column, Predicate<String> is) {
        List<String> cells = rows.subList(line + 1, rows.size()).stream()
                .map(row -> cell(row, column))
                .filter(cell -> !cell.isEmpty())
                .limit(LayoutGuess.LOOKED_AT)
                .toList();
        return !cells.isEmpty() && 2 * cells.stream().filter(is).count() > cells.size();
    }

    /** Whether a row holds what the columns do, so that it is none of heads. */
    private boolean isLike(int row, HeadWords words) {
        Map<String, Predicate<String>> contents = words.contents(Set.of());
        int alike = 0;
        for (int at = 0; at < holds.size(); at++) {
            Predicate<String> is = contents.get(holds.get(at));
            String cell = cell(rows.get(row), at);
            if (is != null && !cell.isEmpty()) {
                if (!is.test(cell)) {
                    return false;
                }
                alike++;
            }
        }
        return alike > 0;
    }

    /** The same, its columns holding what somebody said: a code for each, as far as they are said. */
    public HeadedTable saying(List<String> said) {
        List<String> changed = new ArrayList<>();
        for (int at = 0; at < holds.size(); at++) {
            changed.add(at < said.size() ? said.get(at) : holds.get(at));
        }
        return new HeadedTable(rows, line, written, changed, understood, false);
    }

    /** What tells this shape from others: its heads, or how many columns it has where it has none. */
    public String shape() {
        return line < 0 ? "?" + holds.size() : written.stream().map(Plain::of).collect(Collectors.joining("|"));
    }

    /** The heads of columns that hold nothing wanted. */
    public List<String> unread() {
        List<String> unread = new ArrayList<>();
        for (int at = 0; at < holds.size(); at++) {
            if (holds.get(at).equals(NOTHING) && !written.get(at).isEmpty()) {
                unread.add(written.get(at));
            }
        }
        return unread;
    }

    /** Whether a row says the same as the heads. */
    boolean isHeadAgain(int row) {
        List<String> cells = rows.get(row);
        return line >= 0
                && cells.size() <= written.size()
                && IntStream.range(0, written.size())
                        .allMatch(at -> cell(cells, at).equals(written.get(at)));
    }

    /** The first rows beneath the heads that hold anything. */
    public List<List<String>> sample(int most) {
        return rows.subList(line + 1, rows.size()).stream()
                .filter(row -> row.stream().anyMatch(cell -> !cell.isBlank()))
                .limit(most)
                .toList();
    }

    boolean has(String code) {
        return holds.contains(code);
    }

    /** The first column that holds something, from 0. */
    Optional<Integer> column(String code) {
        return Optional.of(holds.indexOf(code)).filter(at -> at >= 0);
    }

    /** The cell of what a row has of something; empty where it has nothing. */
    String cell(List<String> row, String code) {
        return column(code).map(at -> cell(row, at)).orElse("");
    }

    /** The unit that the head of a column names. */
    Optional<MassUnit> unit(int column) {
        return Holds.unit(written.get(column));
    }

    private static String cell(List<String> row, int at) {
        return at < row.size() ? row.get(at).strip().replaceAll("\\s+", " ") : "";
    }

    /** Codes of a row, each column its own; of two that hold the same the first does. */
    static List<String> once(List<Optional<String>> codes) {
        List<String> once = new ArrayList<>();
        for (Optional<String> code : codes) {
            once.add(code.filter(one -> !once.contains(one)).orElse(NOTHING));
        }
        return Collections.unmodifiableList(once);
    }
}
