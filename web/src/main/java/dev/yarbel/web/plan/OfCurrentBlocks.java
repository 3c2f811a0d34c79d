package dev.yarbel.web.plan;

import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.util.List;
import java.util.function.Consumer;

/** A table of the block that each lifter is in, which their coaches see: one lifter after the other, never all blocks at once. */
abstract class OfCurrentBlocks implements TableOut {

    private final Blocks blocks;

    OfCurrentBlocks(Blocks blocks) {
        this.blocks = blocks;
    }

    @Override
    public boolean isFor(Person person) {
        return person.isCoach();
    }

    @Override
    public void each(Person person, List<LifterCard> lifters, Consumer<List<?>> row) {
        for (LifterCard lifter : lifters) {
            blocks.current(lifter, person.zone()).ifPresent(plan -> each(plan, row));
        }
    }

    /** Hands the rows of one block over. */
    abstract void each(LifterBlock plan, Consumer<List<?>> row);
}
