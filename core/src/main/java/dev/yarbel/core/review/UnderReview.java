package dev.yarbel.core.review;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.BlockTally;

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

    Catalogue catalogue() {
        return resolver.catalogue();
    }
}
