package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Table;
import dev.yarbel.core.record.Worn;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What a contest is held by. Each year's book comes before it.
 *
 * @param key what is kept of it
 * @param lifts in the order in which they are lifted; none where events are announced instead, as in strongman
 * @param step attempts are multiples of it
 * @param toName how long there is after an attempt to name the next
 * @param openerChanges how often the first attempt may be changed before its flight
 * @param lastPullChanges how often the last deadlift may be changed while it is not called
 * @param equipped whether suits and shirts are worn
 * @param fourth whether a fourth attempt may be taken, which counts for no total
 * @param bar what it weighs
 * @param collars what both weigh together
 * @param allowed what may be worn
 */
public record ContestRules(
        String key,
        List<Lift> lifts,
        Mass step,
        Duration toName,
        int openerChanges,
        int lastPullChanges,
        boolean equipped,
        boolean fourth,
        Mass bar,
        Mass collars,
        Set<Worn> allowed) {

    /** The attempts at a lift that count. */
    public static final int ATTEMPTS = 3;

    private static final int FIELDS = 11;
    private static final Map<String, ContestRules> SETS = Table.rows(ContestRules.class, "rules.csv").stream()
            .map(ContestRules::read)
            .collect(Collectors.toMap(ContestRules::key, Function.identity()));
    private static final List<WeightClass> CLASSES = Table.rows(ContestRules.class, "classes.csv").stream()
            .map(row -> new WeightClass(Sex.valueOf(row[0]), Mass.of(row[1], MassUnit.KG)))
            .toList();
    private static final List<String> KEYS = Table.rows(ContestRules.class, "rules.csv").stream()
            .map(row -> row[0])
            .toList();

    /** @throws IllegalArgumentException when its step is no mass */
    public ContestRules {
        lifts = List.copyOf(lifts);
        allowed = Worn.inOrder(allowed);
        if (!step.isPositive() || toName.isNegative()) {
            throw new IllegalArgumentException("no contest can be held by this: " + key);
        }
    }

    /** The rule sets that come with Yarbel, in the order they are listed. */
    public static List<String> keys() {
        return KEYS;
    }

    /** @throws IllegalArgumentException when there is none of that name */
    public static ContestRules named(String key) {
        ContestRules rules = SETS.get(key);
        if (rules == null) {
            throw new IllegalArgumentException("no rules called " + key);
        }
        return rules;
    }

    private static ContestRules read(String[] row) {
        if (row.length != FIELDS) {
            throw new IllegalStateException("rules have " + FIELDS + " fields, not " + Arrays.toString(row));
        }
        return new ContestRules(
                row[0],
                row[1].isEmpty()
                        ? List.of()
                        : Arrays.stream(row[1].split(" ")).map(Lift::new).toList(),
                Mass.of(row[2], MassUnit.KG),
                Duration.ofSeconds(Long.parseLong(row[3])),
                Integer.parseInt(row[4]),
                Integer.parseInt(row[5]),
                row[6].equals("equipped"),
                row[7].equals("fourth"),
                Mass.of(row[8], MassUnit.KG),
                Mass.of(row[9], MassUnit.KG),
                Worn.inOrder(
                        Arrays.stream(row[10].split(" ")).map(Worn::valueOf).toList()));
    }

    /** The same with figures of a contest's own. */
    public ContestRules with(Mass ownStep, Duration ownToName, boolean ownFourth) {
        return new ContestRules(
                key,
                lifts,
                ownStep,
                ownToName,
                openerChanges,
                lastPullChanges,
                equipped,
                ownFourth,
                bar,
                collars,
                allowed);
    }

    /** How often a lift may be attempted at most. */
    public int most() {
        return fourth ? ATTEMPTS + 1 : ATTEMPTS;
    }

    /** Whether it is of announced events, scored by placing, and not of lifts. */
    public boolean isOfEvents() {
        return lifts.isEmpty();
    }

    /** Whether it is the bench press alone. */
    public boolean benchOnly() {
        return lifts.equals(List.of(Lift.BENCH_PRESS));
    }

    /** The multiple of the step that is nearest to a load; half way the lighter one. At least one step. */
    public Mass nearest(Mass load) {
        Mass down = down(load);
        Mass up = down.plus(step);
        boolean lighter = !load.minus(down).isGreaterThan(up.minus(load));
        return Mass.max(step, lighter ? down : up);
    }

    /** The heaviest multiple of the step that is no heavier than a load. */
    public Mass down(Mass load) {
        return step.times(load.tensOfNanograms() / step.tensOfNanograms());
    }

    public boolean isOnStep(Mass load) {
        return load.isPositive() && down(load).equals(load);
    }

    /** The lightest load that may be called next at a lift: after a good one a step more, else no less; empty before the first. */
    public Optional<Mass> least(List<Attempt> before) {
        if (before.isEmpty()) {
            return Optional.empty();
        }
        Attempt last = before.get(before.size() - 1);
        return Optional.of(last.isMade() ? last.load().plus(step) : last.load());
    }

    /** What is taken to be called where nothing was named in time; empty before the first attempt and after the last. */
    public Optional<Mass> unnamed(List<Attempt> before) {
        return before.size() >= most() ? Optional.empty() : least(before);
    }

    /** The bodyweight classes of a sex that have an upper limit, lightest first; who is heavier than all is in the open one. */
    public static List<Mass> classes(Sex sex) {
        return CLASSES.stream()
                .filter(one -> one.sex == sex)
                .map(WeightClass::limit)
                .sorted(Comparator.naturalOrder())
                .toList();
    }

    /** The limit of the class that a body mass falls into; empty where it is over all of them. */
    public static Optional<Mass> classOf(Sex sex, Mass body) {
        return classes(sex).stream().filter(limit -> !body.isGreaterThan(limit)).findFirst();
    }

    private record WeightClass(Sex sex, Mass limit) {}
}
