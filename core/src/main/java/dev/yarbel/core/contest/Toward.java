package dev.yarbel.core.contest;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.shape.Peak;
import dev.yarbel.core.shape.Taper;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The way to a contest, counted back from its day, as {@link Peak} and {@link Taper} shape it.
 *
 * @param singles from when on heavy singles are done
 * @param lighter from when on the volume comes down
 * @param lastHeavy the last day for heavy work of each lift, the earliest first
 * @param lastSession the last day that is trained
 * @param notAllowed what the plan has worn in those lifts before the contest, as it would be shaped, that may not be worn there
 * @param changes what that makes of a plan, by day
 */
public record Toward(
        LocalDate contest,
        LocalDate singles,
        LocalDate lighter,
        Map<Lift, LocalDate> lastHeavy,
        LocalDate lastSession,
        Set<Worn> notAllowed,
        List<Changed> changes) {

    /** A dose before and after; empty where it goes, or was not there. */
    public record Changed(LocalDate on, String day, Slot slot, Optional<Dose> before, Optional<Dose> after) {}

    /**
     * @param lifts of the contest, or what its events are trained as
     * @param allowed what may be worn at the contest
     * @param now the plan as it is, and shaped for the contest; empty where it does not reach there
     */
    public static Toward of(
            List<Lift> lifts,
            Set<Worn> allowed,
            Catalogue catalogue,
            LocalDate contest,
            Block now,
            Optional<Block> shaped) {
        Map<Lift, LocalDate> lastHeavy = new LinkedHashMap<>();
        lifts.stream()
                .filter(lift -> Taper.lastHeavy(lift, catalogue).isPresent())
                .sorted(Comparator.comparing(
                        lift -> Taper.lastHeavy(lift, catalogue).orElseThrow(), Comparator.reverseOrder()))
                .forEach(lift -> lastHeavy.put(
                        lift, contest.minusDays(Taper.lastHeavy(lift, catalogue).orElseThrow())));
        return new Toward(
                contest,
                contest.minusDays(Peak.DAYS),
                contest.minusDays(Taper.DAYS),
                lastHeavy,
                contest.minusDays(Taper.LAST_SESSION),
                notAllowed(lifts, allowed, contest, shaped.orElse(now)),
                shaped.map(then -> changes(now, then)).orElse(List.of()));
    }

    private static Set<Worn> notAllowed(List<Lift> lifts, Set<Worn> allowed, LocalDate contest, Block block) {
        Set<Worn> worn = EnumSet.noneOf(Worn.class);
        for (int day = 0; day < block.days().size(); day++) {
            for (int week = 0; week < block.weeks(); week++) {
                LocalDate on = block.date(day, week);
                if (on.isBefore(contest) && on.isAfter(contest.minusDays(Peak.DAYS + 1L))) {
                    for (Slot slot : block.days().get(day).slots()) {
                        if (lifts.contains(slot.lift())) {
                            slot.dose(week).ifPresent(dose -> dose.parts()
                                    .forEach(part -> worn.addAll(part.details().with())));
                        }
                    }
                }
            }
        }
        worn.removeAll(allowed);
        return Worn.inOrder(worn);
    }

    /** Both have the same days and slots: shaping changes doses only. */
    private static List<Changed> changes(Block now, Block shaped) {
        List<Changed> changes = new ArrayList<>();
        for (int day = 0; day < now.days().size(); day++) {
            TrainingDay training = now.days().get(day);
            for (int s = 0; s < training.slots().size(); s++) {
                Slot slot = training.slots().get(s);
                for (int week = 0; week < now.weeks(); week++) {
                    Optional<Dose> before = slot.dose(week);
                    Optional<Dose> after = shaped.days().get(day).slots().get(s).dose(week);
                    if (!before.equals(after)) {
                        changes.add(new Changed(now.date(day, week), training.name(), slot, before, after));
                    }
                }
            }
        }
        changes.sort(Comparator.comparing(Changed::on));
        return changes;
    }
}
