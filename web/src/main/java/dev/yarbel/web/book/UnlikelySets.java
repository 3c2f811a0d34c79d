package dev.yarbel.web.book;

import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.util.Optional;

/** Asks about sets that nobody planned and that are far from likely for their lifter, before they are kept. */
public final class UnlikelySets {

    private UnlikelySets() {}

    /**
     * @param standing what is known of the lifter
     * @param in what stands before the names of fields in a trouble
     * @throws UnreadableException that asks whether it is meant
     */
    public static void ask(LifterRecord standing, LifterCard lifter, String in, LiftedSet set) {
        LiftNumbers numbers = standing.numbers().of(set.lift());
        FarOff.load(set.load(), Optional.empty(), numbers.estimate()).ifPresent(max -> {
            throw new UnreadableException("ask.free-load", max.format(lifter.unit(), 0)).in(in + "load");
        });
        FarOff.reps(set.reps(), Optional.empty(), set.load(), numbers).ifPresent(limit -> {
            throw new UnreadableException("ask.free-reps", limit).in(in + "reps");
        });
    }
}
