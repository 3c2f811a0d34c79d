package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.tally.BlockTally;
import dev.yarbel.core.tally.Totals;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** What the block that each lifter is in adds up to: a row for each lift with its variations, and week. */
@Component
class ReckoningOut extends OfCurrentBlocks {

    private final Words words;

    ReckoningOut(Blocks blocks, Words words) {
        super(blocks);
        this.words = words;
    }

    @Override
    public String code() {
        return "reckoning";
    }

    @Override
    public List<String> columns() {
        return List.of("lifter", "block", "week", "lift", "sets", "hard", "reps", "tonnage", "unit", "mean", "peak");
    }

    @Override
    void each(LifterBlock plan, Consumer<List<?>> row) {
        BlockTally tally = WakeMaker.reckoning(plan);
        for (int week = 0; week < tally.weeks(); week++) {
            for (Lift family : tally.families()) {
                Totals total = tally.family(family, week);
                if (total.sets() > 0) {
                    row.accept(cells(plan, week, family, total));
                }
            }
        }
    }

    private List<Object> cells(LifterBlock plan, int week, Lift family, Totals total) {
        LifterCard lifter = plan.lifter();
        return List.of(
                lifter.name(),
                plan.name(),
                BigDecimal.valueOf(week + 1L),
                words.lift(family),
                BigDecimal.valueOf(total.sets()),
                total.hardSets(),
                BigDecimal.valueOf(total.reps()),
                TableOut.figure(total.tonnage().figure(lifter.unit(), 0)),
                lifter.unit().symbol(),
                percent(total.mean()),
                percent(total.peak()));
    }

    private static Object percent(Optional<Percent> share) {
        return TableOut.cell(share.map(Percent::figure));
    }
}
