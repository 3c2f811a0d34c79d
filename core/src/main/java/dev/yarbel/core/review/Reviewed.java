package dev.yarbel.core.review;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.review.Mark.Place;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.BlockTally;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A plan under review, with what its loads come to and what is known of the lifter; and the marks made on it so far.
 *
 * @param marks grows while the review goes on
 */
record Reviewed(
        Block block,
        Projection projection,
        Resolver resolver,
        BlockTally reckoning,
        Catalogue catalogue,
        LifterKnown known,
        List<Mark> marks) {

    static Reviewed of(UnderReview plan, List<Mark> marks) {
        return new Reviewed(
                plan.block(),
                plan.projection(),
                plan.resolver(),
                plan.reckoning(),
                plan.catalogue(),
                plan.known(),
                marks);
    }

    Slot slot(int day, int slot) {
        return block.days().get(day).slots().get(slot);
    }

    /** The weeks in which a slot of a day asks for something that has not been lifted yet. */
    List<Integer> weeksToCome(int day, Slot slot) {
        List<Integer> weeks = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            if (slot.doses().get(week).isPresent() && !known.isLifted(day, week)) {
                weeks.add(week);
            }
        }
        return weeks;
    }

    /** What the doses of a slot come to in a week, one load for each part. */
    List<ResolvedLoad> loadsOf(int day, Slot slot, int week) {
        List<PrescribedSets> asked = projection.prescriptions(day, week);
        List<ResolvedLoad> loads = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            if (asked.get(i).letter().equals(slot.letter())) {
                loads.add(projection.loads(day, week).get(i));
            }
        }
        return loads;
    }

    /** Marks a place of the block. */
    void mark(Kind kind, Place place, Lift lift, Object... facts) {
        marks.add(new Mark(kind, Optional.of(place), Optional.of(lift), List.of(facts)));
    }

    /** Marks a lift with its variations. */
    void mark(Kind kind, Lift root, Object... facts) {
        marks.add(new Mark(kind, Optional.empty(), Optional.of(root), List.of(facts)));
    }

    /** Marks the block as a whole. */
    void mark(Kind kind, Object... facts) {
        marks.add(new Mark(kind, Optional.empty(), Optional.empty(), List.of(facts)));
    }
}
