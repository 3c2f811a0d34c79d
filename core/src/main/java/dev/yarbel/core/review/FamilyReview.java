package dev.yarbel.core.review;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.review.Mark.Place;
import dev.yarbel.core.school.School;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.tally.Habit;
import dev.yarbel.core.tally.WorkLine;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Looks a lift with its variations over, across the days of a plan. */
final class FamilyReview {

    /** Where form breaks and grinding is learnt, by mastery (common practice, no source). */
    private record Zone(Percent from, Percent to) {}

    private static final Map<Mastery, Zone> ZONES = Map.of(
            Mastery.BEGINNER, new Zone(Percent.of(75), Percent.of(85)),
            Mastery.INTERMEDIATE, new Zone(Percent.of(85), Percent.of(95)));

    /** What rounding to plates may add. */
    private static final Percent ROUNDING = Percent.of(1);

    private static final double FAR_BELOW = 0.5;
    private static final double USED_TO_SOME = 6;
    private static final int OFTEN = 3;
    private static final double FAR_ABOVE = 1.4;
    private static final double SETS_ABOVE = 4;
    private static final int HIGH_FREQUENCY = 4;
    private static final int WEEKS_AT_THE_LIMIT = 2;

    private final Reviewed plan;

    FamilyReview(Reviewed plan) {
        this.plan = plan;
    }

    /** Marks every lift of the plan, with its variations. */
    void look() {
        for (Lift root : plan.reckoning().families()) {
            zone(root);
            firstWeek(root);
            frequency(root);
            tooLittle(root);
            tooOften(root);
            limitEverySession(root);
        }
    }

    /** Slots of a family that are still to come, with their places. */
    private List<Place> slotsOf(Lift root) {
        List<Place> places = new ArrayList<>();
        for (int day = 0; day < plan.block().days().size(); day++) {
            for (int slot = 0; slot < plan.block().days().get(day).slots().size(); slot++) {
                if (plan.catalogue().root(plan.slot(day, slot).lift()).equals(root)) {
                    places.add(new Place(day, slot, 0, plan.block().weeks() - 1));
                }
            }
        }
        return places;
    }

    private void zone(Lift root) {
        Variation variation = plan.catalogue().of(root);
        Zone zone = plan.known().mastery(root).map(ZONES::get).orElse(null);
        if (zone == null || !variation.contest() || !ContestReview.hasZones(root)) {
            return;
        }
        Percent heaviest = Percent.ZERO;
        boolean ownLaw = true;
        for (Place place : slotsOf(root)) {
            Slot slot = plan.slot(place.day(), place.slot());
            Optional<School> school = slot.school().flatMap(School::of);
            for (int week : plan.weeksToCome(place.day(), slot)) {
                Percent share = heaviest(place.day(), slot, week);
                ownLaw &= school.isPresent();
                heaviest = heaviest.isLessThan(share) ? share : heaviest;
                boolean held = isHeldToZone(slot.doses().get(week).orElseThrow());
                if (held && share.isGreaterThan(zone.to().plus(ROUNDING)) && school.isEmpty()) {
                    plan.mark(
                            Kind.ABOVE_ZONE,
                            new Place(place.day(), place.slot(), week, week),
                            slot.lift(),
                            share,
                            zone.from(),
                            zone.to());
                    return;
                }
            }
        }
        if (!heaviest.equals(Percent.ZERO) && heaviest.isLessThan(zone.from()) && !ownLaw) {
            plan.mark(Kind.BELOW_ZONE, root, heaviest, zone.from(), zone.to());
        }
    }

    /** Whether a dose is held against the zone's upper end: what is led by rating finds its own load, and partials and
     * lowering have a law of their own. */
    private static boolean isHeldToZone(Dose dose) {
        return dose.first().basis().rating().isEmpty()
                && !dose.is(SetModifier.PARTIAL)
                && !dose.is(SetModifier.LOWERING);
    }

    /** The heaviest share a slot asks for. */
    private Percent heaviest(int day, Slot slot, int week) {
        LiftNumbers numbers = plan.resolver().numbers(slot.lift());
        return plan.loadsOf(day, slot, week).stream()
                .flatMap(load -> load.load().stream())
                .flatMap(load ->
                        numbers.estimate().or(numbers::workingMax).stream().map(load::percentOf))
                .max(Percent::compareTo)
                .orElse(Percent.ZERO);
    }

    private void firstWeek(Lift root) {
        Habit habit = plan.known().habit();
        boolean begun = false;
        for (int day = 0; day < plan.block().days().size(); day++) {
            begun |= plan.known().isLifted(day, 0);
        }
        double asked = plan.reckoning().family(root, 0).hardSets().doubleValue();
        if (!begun
                && habit.weeks() > 0
                && asked > habit.hardSets(root) * FAR_ABOVE
                && asked > habit.hardSets(root) + SETS_ABOVE) {
            plan.mark(
                    Kind.FIRST_WEEK_HIGH,
                    root,
                    BigDecimal.valueOf(asked).stripTrailingZeros(),
                    BigDecimal.valueOf(Math.round(habit.hardSets(root) * 2))
                            .divide(BigDecimal.valueOf(2))
                            .stripTrailingZeros());
        }
    }

    private void frequency(Lift root) {
        if (!plan.known().dietsHard()) {
            return;
        }
        for (int week = 0; week < plan.block().weeks(); week++) {
            int days = plan.reckoning().frequency(root, week);
            if (days >= HIGH_FREQUENCY) {
                plan.mark(Kind.FREQUENCY_WHILE_DIETING, root, days, week + 1);
                return;
            }
        }
    }

    /** It will do nothing: half of what the lifter is used to and less, deloads and the weeks before a contest apart. */
    private void tooLittle(Lift root) {
        double used = plan.known().habit().hardSets(root);
        if (used < USED_TO_SOME) {
            return;
        }
        int weeks = 0;
        double asked = 0;
        for (int week = 0; week < plan.block().weeks(); week++) {
            BlockWeek shape = plan.block().shape().get(week);
            boolean counts = !shape.deload()
                    && shape.phase() != Phase.HOLD
                    && !plan.block().isGap(week)
                    && !ContestReview.isShaped(plan, plan.block().start().plusWeeks(week))
                    && !ContestReview.isShaped(
                            plan, plan.block().start().plusWeeks(week).plusDays(6));
            if (counts) {
                weeks++;
                asked += plan.reckoning().family(root, week).hardSets().doubleValue();
            }
        }
        if (weeks > 0 && asked / weeks < used * FAR_BELOW) {
            plan.mark(Kind.TOO_LITTLE, root, halves(used), halves(asked / weeks));
        }
    }

    private static BigDecimal halves(double sets) {
        return BigDecimal.valueOf(Math.round(sets * 2))
                .divide(BigDecimal.valueOf(2))
                .stripTrailingZeros();
    }

    /** The very strong need longer between hard squats and pulls (common practice, no source). */
    private void tooOften(Lift root) {
        boolean heavy = root.equals(Lift.SQUAT) || root.equals(Lift.DEADLIFT);
        boolean strong = plan.known()
                .mastery(root)
                .filter(level -> level == Mastery.ADVANCED)
                .isPresent();
        for (int week = 0; heavy && strong && week < plan.block().weeks(); week++) {
            int w = week;
            long days = plan.reckoning().lines().stream()
                    .filter(line -> line.week() == w
                            && line.hardSets() > 0
                            && plan.catalogue().root(line.lift()).equals(root))
                    .map(WorkLine::day)
                    .distinct()
                    .count();
            if (days >= OFTEN) {
                plan.mark(Kind.TOO_OFTEN_FOR_THE_STRONG, root, days, week + 1);
                return;
            }
        }
    }

    private void limitEverySession(Lift root) {
        List<List<Slot>> byDay = plan.block().days().stream()
                .map(day -> day.slots().stream()
                        .filter(slot -> plan.catalogue().root(slot.lift()).equals(root)
                                && slot.school()
                                        .flatMap(School::of)
                                        .filter(School::goesToTheLimit)
                                        .isEmpty())
                        .toList())
                .toList();
        int weeksAtTheLimit = 0;
        for (int week = 0; week < plan.block().weeks(); week++) {
            int sessions = 0;
            int atTheLimit = 0;
            for (List<Slot> slots : byDay) {
                int w = week;
                List<Slot> ours = slots.stream()
                        .filter(slot -> slot.doses().get(w).isPresent())
                        .toList();
                if (!ours.isEmpty()) {
                    sessions++;
                    boolean limit = ours.stream()
                            .flatMap(slot -> slot.doses().get(w).orElseThrow().parts().stream())
                            .anyMatch(FamilyReview::isToTheLimit);
                    atTheLimit += limit ? 1 : 0;
                }
            }
            weeksAtTheLimit += sessions > 1 && atTheLimit == sessions ? 1 : 0;
        }
        if (weeksAtTheLimit >= WEEKS_AT_THE_LIMIT) {
            plan.mark(Kind.LIMIT_EVERY_SESSION, root, weeksAtTheLimit);
        }
    }

    private static boolean isToTheLimit(Part part) {
        Rpe nearly = Rpe.parse("9.5");
        return part.work().stop().isPresent()
                || part.basis()
                        .rating()
                        .filter(rpe -> rpe.compareTo(nearly) >= 0)
                        .isPresent();
    }
}
