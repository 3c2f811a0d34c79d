package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a week of a block comes to at a glance.
 *
 * @param as what it is for
 * @param sets of work in all
 * @param heaviest the heaviest load of a lift that is contested, as a share of what is thought to be there; empty where nobody can say
 * @param contest the day of the contest, where it lies in the week
 */
public record WeekAsked(BlockWeek as, int sets, Optional<Percent> heaviest, Optional<LocalDate> contest) {

    static List<WeekAsked> of(Block block, Projection projection, Resolver resolver) {
        List<WeekAsked> weeks = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            int sets = 0;
            Optional<Percent> heaviest = Optional.empty();
            for (int day = 0; day < block.days().size(); day++) {
                List<PrescribedSets> asked = projection.prescriptions(day, week);
                List<ResolvedLoad> loads = projection.loads(day, week);
                for (int i = 0; i < asked.size(); i++) {
                    PrescribedSets one = asked.get(i);
                    if (!one.part().work().isPreparation()) {
                        sets += one.part().sets();
                        Optional<Percent> share = share(one, loads.get(i), resolver);
                        if (share.isPresent()
                                && heaviest.filter(most -> !share.get().isGreaterThan(most))
                                        .isEmpty()) {
                            heaviest = share;
                        }
                    }
                }
            }
            weeks.add(new WeekAsked(block.shape().get(week), sets, heaviest, contest(block, week)));
        }
        return weeks;
    }

    private static Optional<Percent> share(PrescribedSets asked, ResolvedLoad load, Resolver resolver) {
        LiftNumbers known = resolver.numbers(asked.lift());
        Optional<Mass> max = known.estimate().or(known::workingMax);
        return resolver.catalogue().of(asked.lift()).contest()
                ? load.load().flatMap(mass -> max.map(mass::percentOf))
                : Optional.empty();
    }

    private static Optional<LocalDate> contest(Block block, int week) {
        LocalDate first = block.start().plusWeeks(week);
        return block.contest().filter(day -> !day.isBefore(first) && day.isBefore(first.plusWeeks(1)));
    }
}
