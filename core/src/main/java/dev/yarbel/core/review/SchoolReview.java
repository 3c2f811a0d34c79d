package dev.yarbel.core.review;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.school.School;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Looks over what the schools of a plan ask of this lifter as a whole, and how its hard days follow one another. */
final class SchoolReview {

    /** From here on a cycle without give is marked (a starting value of ours). */
    private static final int OLDER = 40;

    private static final int DAYS_IN_A_ROW = 3;
    private static final Percent NEAR_THE_LIMIT = Percent.of(90);
    private static final int ONE_LEFT = 2;

    private final Reviewed plan;

    SchoolReview(Reviewed plan) {
        this.plan = plan;
    }

    /** Marks the plan as a whole. */
    void look() {
        Set<School> schools = EnumSet.noneOf(School.class);
        Set<Lift> cycles = new HashSet<>();
        plan.block().days().stream().flatMap(day -> day.slots().stream()).forEach(slot -> {
            slot.school().flatMap(School::of).ifPresent(school -> {
                schools.add(school);
                if (school.drivesToAGoal() && hangsOnGoal(slot)) {
                    cycles.add(plan.catalogue().root(slot.lift()));
                }
            });
        });
        for (School school : schools) {
            int weeks = plan.block().weeks();
            if (weeks > school.mostWeeks() || weeks < school.leastWeeks()) {
                plan.mark(Kind.SCHOOL_LIMITS, school, school.leastWeeks(), school.mostWeeks());
            }
        }
        boolean older = plan.known().age().filter(age -> age >= OLDER).isPresent();
        if (!cycles.isEmpty() && (older || plan.known().dietsHard())) {
            plan.mark(Kind.UNFORGIVING);
        }
        if (cycles.size() > 1) {
            plan.mark(Kind.TWO_CYCLES);
        }
        hardDays();
    }

    private static boolean hangsOnGoal(Slot slot) {
        return slot.doses().stream()
                .flatMap(dose -> dose.stream())
                .anyMatch(dose -> dose.first().basis().isShareOf(Reference.Named.GOAL));
    }

    private void hardDays() {
        Set<LocalDate> hard = new TreeSet<>();
        for (int day = 0; day < plan.block().days().size(); day++) {
            for (Slot slot : plan.block().days().get(day).slots()) {
                for (int week : plan.weeksToCome(day, slot)) {
                    if (isNearTheLimit(slot.doses().get(week).orElseThrow())) {
                        hard.add(plan.block().date(day, week));
                    }
                }
            }
        }
        int longest = 0;
        int inARow = 0;
        LocalDate before = null;
        for (LocalDate date : List.copyOf(hard)) {
            inARow = before != null && date.equals(before.plusDays(1)) ? inARow + 1 : 1;
            longest = Math.max(longest, inARow);
            before = date;
        }
        if (longest >= DAYS_IN_A_ROW) {
            plan.mark(Kind.HARD_DAYS_IN_A_ROW, longest);
        }
    }

    private static boolean isNearTheLimit(Dose dose) {
        return dose.parts().stream().anyMatch(SchoolReview::isNearTheLimit);
    }

    private static boolean isNearTheLimit(Part part) {
        Optional<Rpe> rating = part.basis().rating().or(part.work()::climbsTo);
        return rating.isPresent()
                ? rating.get().halvesLeft() <= ONE_LEFT
                : part.basis()
                        .share()
                        .filter(share -> share.of().isMax() && !share.most().isLessThan(NEAR_THE_LIMIT))
                        .isPresent();
    }
}
