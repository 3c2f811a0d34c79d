package dev.yarbel.core.review;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.DayStrain;
import dev.yarbel.core.recovery.Wake;
import dev.yarbel.core.recovery.Wake.Overlap;
import dev.yarbel.core.recovery.Wake.Trail;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.review.Mark.Place;
import dev.yarbel.core.tally.WorkLine;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Looks over how the days of a plan trail their recovery. Days that schools drew up follow their own law, and what a coach
 * gave a reason for is on purpose: neither is marked.
 */
final class WakeReview {

    /** Hours that differ by less than this share of what is needed say nothing; ours. */
    private static final double SOON = 1.0 / 3;

    private static final int DAY = 24;
    private static final int WEEK = 168;
    private static final Set<Lift> SQUAT_AND_PULL = Set.of(Lift.SQUAT, Lift.DEADLIFT);
    private static final int SIX_DAYS = 6;
    private static final int DAYS_OF_PRACTICE = 2;
    /** Where work is heavy for daily practice; ours. */
    private static final Percent HEAVY = Percent.of(85);

    /** High frequency bears three to five hard sets for a muscle in one session (common practice, no source). */
    private static final int MOST_SETS = 5;

    private final Reviewed plan;
    private final Wake wake;
    private final Predicate<Lift> practised;

    WakeReview(Reviewed plan, Wake wake, Predicate<Lift> practised) {
        this.plan = plan;
        this.wake = wake;
        this.practised = practised;
    }

    /** Marks the plan. */
    void look() {
        daysTooClose();
        sixHardDays();
        techniqueLeft();
        practice();
        setsInASession();
        if (plan.block().slots().anyMatch(slot -> slot.school().isEmpty()) && new Trend(plan).isTriangle()) {
            plan.mark(Kind.TRIANGLE);
        }
    }

    /** Slots of a family that ask for something on a day. */
    private Stream<Slot> slots(Trail trail) {
        return plan.block().days().get(trail.day()).slots().stream()
                .filter(slot -> slot.dose(trail.week()).isPresent()
                        && plan.catalogue().root(slot.lift()).equals(trail.root()));
    }

    private boolean isOfSchools(Trail trail) {
        return slots(trail).allMatch(slot -> slot.school().isPresent());
    }

    /** Whether a coach said why. */
    private boolean isMeant(Trail trail) {
        return slots(trail)
                .anyMatch(slot -> slot.school().isEmpty() && slot.reason().isPresent());
    }

    private boolean isToCome(Trail trail) {
        return !plan.known().isLifted(trail.day(), trail.week());
    }

    private Optional<Place> place(Trail trail) {
        List<Slot> slots = plan.block().days().get(trail.day()).slots();
        return IntStream.range(0, slots.size())
                .filter(at -> slots.get(at).lift().equals(trail.lift()))
                .mapToObj(at -> new Place(trail.day(), at, trail.week(), trail.week()))
                .findFirst();
    }

    private void mark(Kind kind, Trail at, Object... facts) {
        plan.marks().add(new Mark(kind, place(at), Optional.of(at.lift()), List.of(facts)));
    }

    // ---- days too close

    /** Two days of which the second comes too soon after the first. */
    private record Pair(Trail first, Trail then) {

        private static Pair of(Overlap overlap) {
            return new Pair(overlap.first(), overlap.then());
        }

        private long hours() {
            return DAY * ChronoUnit.DAYS.between(first.date(), then.date());
        }

        private boolean areMaximalPulls() {
            return first.root().equals(Lift.DEADLIFT)
                    && then.root().equals(Lift.DEADLIFT)
                    && first.strain() == DayStrain.MAXIMAL
                    && then.strain() == DayStrain.MAXIMAL
                    && hours() < WEEK;
        }

        private boolean areSquatAndPull() {
            return !first.root().equals(then.root())
                    && SQUAT_AND_PULL.contains(first.root())
                    && SQUAT_AND_PULL.contains(then.root())
                    && hours() == DAY;
        }
    }

    /** Whether a coach wrote one of two days, and did not say why. */
    private boolean isToTell(Pair pair) {
        return !(isOfSchools(pair.first) && isOfSchools(pair.then)) && isToCome(pair.then) && !isMeant(pair.then);
    }

    /** Pairs of hard days that follow each other within a week. */
    private List<Pair> hardPairs() {
        List<Trail> hard =
                wake.trails().stream().filter(trail -> trail.strain().isHard()).toList();
        List<Pair> pairs = new ArrayList<>();
        for (int at = 0; at < hard.size(); at++) {
            for (int next = at + 1; next < hard.size(); next++) {
                Pair pair = new Pair(hard.get(at), hard.get(next));
                if (pair.hours() >= WEEK) {
                    break;
                }
                if (pair.hours() > 0 && isToTell(pair)) {
                    pairs.add(pair);
                }
            }
        }
        return pairs;
    }

    private void daysTooClose() {
        List<Pair> pairs = hardPairs();
        List<Pair> pulls = pairs.stream().filter(Pair::areMaximalPulls).toList();
        pulls.stream()
                .min(Comparator.comparingLong(Pair::hours))
                .ifPresent(closest -> mark(Kind.HEAVY_PULLS_CLOSE, closest.then, closest.hours() / DAY, pulls.size()));
        List<Pair> nextTo = pairs.stream().filter(Pair::areSquatAndPull).toList();
        nextTo.stream().findFirst().ifPresent(first -> mark(Kind.SQUAT_NEXT_TO_PULL, first.then, nextTo.size()));
        overlaps();
    }

    /** All others, those that follow the same lift in the same way told together, by the deepest of them. */
    private void overlaps() {
        Map<List<Lift>, List<Overlap>> alike = wake.overlaps().stream()
                .filter(overlap -> overlap.tooSoonBy() >= SOON * overlap.needed())
                .filter(overlap -> isToTell(Pair.of(overlap))
                        && !Pair.of(overlap).areMaximalPulls()
                        && !(Pair.of(overlap).areSquatAndPull()
                                && overlap.first().strain().isHard()))
                .collect(Collectors.groupingBy(
                        overlap ->
                                List.of(overlap.first().root(), overlap.then().root()),
                        LinkedHashMap::new,
                        Collectors.toList()));
        alike.values().forEach(overlaps -> {
            Overlap deepest = overlaps.get(0);
            mark(
                    Kind.IN_WAKE,
                    deepest.then(),
                    deepest.first().lift(),
                    deepest.between(),
                    deepest.needed(),
                    overlaps.size());
        });
    }

    private void sixHardDays() {
        for (int week = 0; week < plan.block().weeks(); week++) {
            int w = week;
            List<Trail> hard = wake.trails().stream()
                    .filter(trail -> trail.week() == w && trail.strain().isHard() && isToCome(trail))
                    .toList();
            long days = hard.stream().map(Trail::date).distinct().count();
            if (days >= SIX_DAYS && !hard.stream().allMatch(this::isOfSchools)) {
                plan.mark(Kind.SIX_HARD_DAYS, days, week + 1);
                return;
            }
        }
    }

    // ---- days too far apart

    /** A lift that is trained once a week on purpose is left alone on purpose. */
    private void techniqueLeft() {
        Map<Lift, List<Wake.Gap>> gaps = wake.gaps().stream()
                .filter(gap -> !gap.to().isBefore(plan.known().today()))
                .collect(Collectors.groupingBy(Wake.Gap::root, LinkedHashMap::new, Collectors.toList()));
        gaps.forEach((root, of) -> {
            boolean often = IntStream.range(0, plan.block().weeks())
                    .anyMatch(week -> plan.reckoning().frequency(root, week) > 1);
            boolean ofSchools = wake.trails().stream()
                    .filter(trail -> trail.root().equals(root))
                    .allMatch(this::isOfSchools);
            long longest = of.stream().mapToLong(Wake.Gap::days).max().orElse(0);
            boolean force = of.stream().anyMatch(Wake.Gap::isForce);
            if (!ofSchools && (often || force)) {
                plan.mark(Kind.TECHNIQUE_LEFT, root, longest, of.size());
            }
        });
    }

    // ---- daily practice

    /** Daily practice lives at 60 to 80 %: one day of a week may go beyond, two are no practice any more. */
    private void practice() {
        for (int week = 0; week < plan.block().weeks(); week++) {
            int w = week;
            Map<Lift, Set<Integer>> heavy = plan.reckoning().lines().stream()
                    .filter(line -> line.week() == w
                            && !line.done()
                            && practised.test(plan.catalogue().root(line.lift()))
                            && line.share()
                                    .filter(share -> !share.isLessThan(HEAVY))
                                    .isPresent())
                    .collect(Collectors.groupingBy(
                            line -> plan.catalogue().root(line.lift()),
                            LinkedHashMap::new,
                            Collectors.mapping(WorkLine::day, Collectors.toSet())));
            for (Map.Entry<Lift, Set<Integer>> of : heavy.entrySet()) {
                if (of.getValue().size() >= DAYS_OF_PRACTICE) {
                    plan.mark(
                            Kind.PRACTICE_TOO_HEAVY, of.getKey(), of.getValue().size(), week + 1, HEAVY);
                    return;
                }
            }
        }
    }

    /** Counted for each family of lifts, since a squat and a pull on one day share muscles in every school; singles are practice, and assistance stands beside it. */
    private void setsInASession() {
        Map<List<Object>, Integer> sessions = new LinkedHashMap<>();
        for (WorkLine line : plan.reckoning().lines()) {
            Lift root = plan.catalogue().root(line.lift());
            if (!line.done() && line.reps() > 1 && plan.reckoning().isClose(line.lift()) && practised.test(root)) {
                sessions.merge(List.of(root, line.week(), line.day()), line.hardSets(), Integer::sum);
            }
        }
        sessions.values().removeIf(sets -> sets <= MOST_SETS);
        sessions.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .ifPresent(worst -> plan.mark(
                        Kind.SETS_IN_A_SESSION,
                        (Lift) worst.getKey().get(0),
                        worst.getValue(),
                        MOST_SETS,
                        sessions.size()));
    }
}
