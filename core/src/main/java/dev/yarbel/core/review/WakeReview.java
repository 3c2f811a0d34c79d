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
import java.util.ArrayList;
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
        overlaps();
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

    /** What is told once of days that come too soon in the same way. */
    private record Alike(Kind kind, Lift first, Lift then) {}

    private void overlaps() {
        Map<Alike, List<Overlap>> alike = new LinkedHashMap<>();
        for (Overlap overlap : wake.overlaps()) {
            boolean ofSchools = isOfSchools(overlap.first()) && isOfSchools(overlap.then());
            if (!ofSchools && isToCome(overlap.then()) && !isMeant(overlap.then())) {
                kind(overlap).ifPresent(kind -> alike.computeIfAbsent(
                                new Alike(
                                        kind,
                                        overlap.first().root(),
                                        overlap.then().root()),
                                of -> new ArrayList<>())
                        .add(overlap));
            }
        }
        alike.forEach((of, overlaps) -> {
            Overlap deepest = overlaps.get(0);
            switch (of.kind) {
                case HEAVY_PULLS_CLOSE -> mark(of.kind, deepest.then(), deepest.between() / DAY, overlaps.size());
                case SQUAT_NEXT_TO_PULL -> mark(of.kind, deepest.then(), overlaps.size());
                default ->
                    mark(
                            of.kind,
                            deepest.then(),
                            deepest.first().lift(),
                            deepest.between(),
                            deepest.needed(),
                            overlaps.size());
            }
        });
    }

    private static Optional<Kind> kind(Overlap overlap) {
        Set<Lift> roots = Set.of(Lift.SQUAT, Lift.DEADLIFT);
        boolean pulls = overlap.first().root().equals(Lift.DEADLIFT)
                && overlap.then().root().equals(Lift.DEADLIFT);
        if (pulls
                && overlap.between() < WEEK
                && overlap.first().strain() == DayStrain.MAXIMAL
                && overlap.then().strain() == DayStrain.MAXIMAL) {
            return Optional.of(Kind.HEAVY_PULLS_CLOSE);
        }
        boolean both = !overlap.first().root().equals(overlap.then().root())
                && roots.contains(overlap.first().root())
                && roots.contains(overlap.then().root());
        if (both && overlap.between() <= DAY && overlap.first().strain().isHard()) {
            return Optional.of(Kind.SQUAT_NEXT_TO_PULL);
        }
        return overlap.tooSoonBy() >= SOON * overlap.needed() ? Optional.of(Kind.IN_WAKE) : Optional.empty();
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
