package dev.yarbel.web.plan;

import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.SessionPlan;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import java.math.BigDecimal;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** The block that each lifter is in, a row for each part of a slot and week, with the load it comes to. */
@Component
class PlanOut extends OfCurrentBlocks {

    private static final int DECIMALS = 2;

    private final Words words;

    PlanOut(Blocks blocks, Words words) {
        super(blocks);
        this.words = words;
    }

    @Override
    public String code() {
        return "plan";
    }

    @Override
    public List<String> columns() {
        return List.of("day", "lifter", "block", "week", "session", "slot", "lift", "dose", "load", "unit");
    }

    @Override
    void each(LifterBlock plan, Consumer<List<?>> row) {
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day : plan.block().daysByDate()) {
                List<PrescribedSets> asked = plan.projection().prescriptions(day, week);
                for (SessionPlan.SlotPlan slot :
                        SessionPlan.of(plan.resolver(), asked, List.of()).slots()) {
                    row.accept(cells(plan, day, week, slot));
                }
            }
        }
    }

    private List<Object> cells(LifterBlock plan, int day, int week, SessionPlan.SlotPlan slot) {
        LifterCard lifter = plan.lifter();
        PrescribedSets asked = slot.prescription();
        return List.of(
                plan.block().date(day, week),
                lifter.name(),
                plan.name(),
                BigDecimal.valueOf(week + 1L),
                plan.block().days().get(day).name(),
                asked.letter(),
                words.lift(asked.lift()),
                asked.part().shorthand(),
                TableOut.cell(slot.planned().load().map(load -> TableOut.figure(load.figure(lifter.unit(), DECIMALS)))),
                lifter.unit().symbol());
    }
}
