package dev.yarbel.core.review;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.review.Mark.Place;
import dev.yarbel.core.shape.Taper;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Looks over how a plan leads to a contest: its own, or one that another block of the lifter has. */
final class ContestReview {

    private static final Percent CLOSE = Percent.of(80);

    private final Reviewed plan;

    ContestReview(Reviewed plan) {
        this.plan = plan;
    }

    /** Marks what stands against the contest. */
    void look() {
        Optional<LocalDate> contest = Stream.concat(plan.block().contest().stream(), plan.known().contests().stream())
                .filter(day -> day.isAfter(plan.block().start())
                        && !day.isAfter(plan.block().end().plusDays(Taper.DAYS)))
                .findFirst();
        contest.ifPresent(day -> {
            Taper taper = new Taper(day, plan.catalogue(), plan.resolver()::numbers);
            boolean heavy = heavyTooNear(taper);
            if (heavy || isUnshaped(taper)) {
                plan.mark(Kind.CONTEST_UNSHAPED, day);
            }
        });
        if (contest.isEmpty() && plan.block().contest().isEmpty()) {
            peak();
        }
    }

    private void peak() {
        List<BlockWeek> shape = plan.block().shape();
        for (int week = 0; week < shape.size(); week++) {
            if (shape.get(week).phase() == Phase.PEAK) {
                plan.mark(Kind.PEAK_WITHOUT_DATE, week + 1);
                return;
            }
        }
    }

    private boolean heavyTooNear(Taper taper) {
        boolean found = false;
        for (int day = 0; day < plan.block().days().size(); day++) {
            List<Slot> slots = plan.block().days().get(day).slots();
            for (int s = 0; s < slots.size(); s++) {
                Slot slot = slots.get(s);
                Optional<Integer> last = Taper.lastHeavy(slot.lift(), plan.catalogue());
                for (int week : plan.weeksToCome(day, slot)) {
                    int out = taper.daysOut(plan.block().date(day, week));
                    Dose dose = slot.doses().get(week).orElseThrow();
                    boolean near = isClose(slot.lift())
                            && out >= 0
                            && last.filter(least -> out < least).isPresent();
                    if (near && Taper.isHeavy(dose, plan.resolver().numbers(slot.lift()))) {
                        plan.mark(
                                Kind.HEAVY_NEAR_CONTEST,
                                new Place(day, s, week, week),
                                slot.lift(),
                                out,
                                last.orElseThrow());
                        found = true;
                    }
                }
            }
        }
        return found;
    }

    /** Whether a lift is contested, or so close to one that is that its work is as heavy; assistance is not. */
    private boolean isClose(Lift lift) {
        return plan.catalogue().of(lift).contest()
                || plan.catalogue()
                        .of(lift)
                        .parent()
                        .filter(ratio -> !ratio.share().isLessThan(CLOSE))
                        .isPresent();
    }

    /** Whether the volume does not come down over the last two weeks, or is trained on to the very day. */
    private boolean isUnshaped(Taper taper) {
        int last = 0;
        int before = 0;
        boolean tooLate = false;
        for (int day = 0; day < plan.block().days().size(); day++) {
            for (Slot slot : plan.block().days().get(day).slots()) {
                for (int week = 0; week < plan.block().weeks(); week++) {
                    int out = taper.daysOut(plan.block().date(day, week));
                    int sets = sets(slot.doses().get(week));
                    last += out >= 0 && out <= Taper.DAYS ? sets : 0;
                    before += out > Taper.DAYS && out <= 2 * Taper.DAYS
                            ? sets(slot.doses().get(asTrained(week)))
                            : 0;
                    tooLate |= sets > 0
                            && out >= 0
                            && out < Taper.LAST_SESSION
                            && !plan.known().isLifted(day, week);
                }
            }
        }
        boolean comparable = taper.daysOut(plan.block().start()) >= 2 * Taper.DAYS;
        return tooLate || comparable && last > before * Taper.SHAPED;
    }

    /** The week itself; for a deload the last week before it that is none, as its volume says nothing of what is trained. */
    private int asTrained(int week) {
        List<BlockWeek> shape = plan.block().shape();
        for (int trained = week; trained >= 0; trained--) {
            if (!shape.get(trained).deload()) {
                return trained;
            }
        }
        return week;
    }

    private static int sets(Optional<Dose> dose) {
        return dose.map(d -> d.parts().stream()
                        .filter(part -> !part.work().isPreparation())
                        .mapToInt(part -> part.sets())
                        .sum())
                .orElse(0);
    }

    /** Whether a date lies where a contest of the plan shapes it. */
    static boolean isShaped(Reviewed plan, LocalDate on) {
        return Stream.concat(plan.block().contest().stream(), plan.known().contests().stream())
                .anyMatch(day -> !on.isBefore(day.minusDays(Taper.DAYS)) && on.isBefore(day.plusDays(Taper.DAYS)));
    }

    /** Whether the lift is one the mastery's zones are meant for: done with a bar, not carried or lifted from the floor whole. */
    static boolean hasZones(Lift root) {
        return root.equals(Lift.SQUAT)
                || root.equals(Lift.BENCH_PRESS)
                || root.equals(Lift.DEADLIFT)
                || root.equals(Lift.OVERHEAD_PRESS);
    }
}
