package dev.yarbel.core.review;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.recovery.Wake;
import dev.yarbel.core.school.School;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.BlockTally;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * A plan that is to be looked over, with what its loads come to, what it adds up to and what is known of the lifter.
 *
 * @param reckoning of the same block
 */
public record UnderReview(
        Block block, Projection projection, Resolver resolver, BlockTally reckoning, LifterKnown known) {

    /** A plan, and what was lifted of it. */
    public static UnderReview of(
            Block block, Projection projection, Resolver resolver, Projection.Log log, LifterKnown known) {
        return new UnderReview(
                block,
                projection,
                resolver,
                BlockTally.of(block, projection, resolver, log, resolver.catalogue()),
                known);
    }

    /** How its days trail their recovery. */
    public Wake wake() {
        return Wake.of(
                block,
                reckoning.lines(),
                catalogue(),
                known.recovery().figures(),
                known.recovery().lifter(),
                practised(block, catalogue()));
    }

    /** Which families are trained by a school of daily practice somewhere in a block. */
    public static Predicate<Lift> practised(Block block, Catalogue catalogue) {
        Set<Lift> daily = block.slots()
                .filter(slot -> slot.school()
                        .flatMap(School::of)
                        .filter(School.HIGH_FREQUENCY::equals)
                        .isPresent())
                .map(Slot::lift)
                .map(catalogue::root)
                .collect(Collectors.toSet());
        return daily::contains;
    }

    Catalogue catalogue() {
        return resolver.catalogue();
    }
}
