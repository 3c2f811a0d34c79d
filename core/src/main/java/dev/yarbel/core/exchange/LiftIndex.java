package dev.yarbel.core.exchange;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Table;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Finds the lift that a name in somebody's spreadsheet means: by the names it has, by those of {@code synonyms.csv}, or by a close spelling. */
public final class LiftIndex {

    /**
     * What a name is taken for.
     *
     * @param sure whether nobody need be asked
     */
    public record Match(Lift lift, boolean sure) {}

    private static final int MOST_TYPOS = 2;
    /** A name in which more of a hundred characters are wrong is rather another name. */
    private static final int MOST_OF_A_HUNDRED = 40;

    private static final int SHORTEST = 4;
    private static final LevenshteinDistance TYPOS = new LevenshteinDistance(MOST_TYPOS);

    private final Map<String, Lift> names = new HashMap<>();
    private final Map<String, Lift> asked = new HashMap<>();
    private final Map<String, Lift> inOrder = new HashMap<>();

    /**
     * @param known every name that a lift of the club has in any language; its key is one too
     */
    public LiftIndex(Map<String, Lift> known) {
        Set<Lift> lifts = new HashSet<>(known.values());
        for (String[] row : Table.rows(LiftIndex.class, "synonyms.csv")) {
            Lift lift = new Lift(row[0]);
            if (lifts.contains(lift)) {
                for (String name : row[1].split("\\|")) {
                    add(lift, name);
                }
            }
        }
        known.forEach((name, lift) -> add(lift, name));
        lifts.forEach(lift -> add(lift, lift.key()));
    }

    private void add(Lift lift, String name) {
        String singular = Plain.singular(name);
        if (name.startsWith("?")) {
            asked.put(singular, lift);
        } else {
            names.put(singular, lift);
            inOrder.put(Plain.inOrder(singular), lift);
        }
    }

    /** What a name means; empty where nothing is close to it. */
    public Optional<Match> find(String name) {
        String wanted = Plain.singular(name);
        if (wanted.isEmpty()) {
            return Optional.empty();
        }
        Lift exact = names.getOrDefault(wanted, inOrder.get(Plain.inOrder(wanted)));
        if (exact != null) {
            return Optional.of(new Match(exact, true));
        }
        return Optional.ofNullable(asked.get(wanted))
                .or(() -> wanted.length() < SHORTEST ? Optional.empty() : closest(wanted))
                .map(lift -> new Match(lift, false));
    }

    /** The lift of the closest name; of two lifts that are equally close it is neither. */
    private Optional<Lift> closest(String wanted) {
        int best = MOST_TYPOS + 1;
        Set<Lift> near = new HashSet<>();
        for (Map.Entry<String, Lift> name : names.entrySet()) {
            int typos = TYPOS.apply(wanted, name.getKey());
            if (typos >= 0 && typos <= best && typos * 100 <= MOST_OF_A_HUNDRED * wanted.length()) {
                if (typos < best) {
                    near.clear();
                }
                best = typos;
                near.add(name.getValue());
            }
        }
        return near.size() == 1 ? near.stream().findFirst() : Optional.empty();
    }
}
