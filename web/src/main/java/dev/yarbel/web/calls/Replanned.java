package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.PlanAhead;
import dev.yarbel.core.adjust.Replan;
import dev.yarbel.core.adjust.Subject;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.shape.AnotherDay;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** The block is written for another day of its contest, by one edit. A coach's own figure is another way to do so. */
record Replanned(Handlers handlers, Replan replan) implements Handling {

    @Override
    public String stands(MassUnit unit) {
        return day(handlers.block().block().contest());
    }

    private String day(Optional<LocalDate> day) {
        return day.map(handlers.words()::fullDay)
                .orElseGet(() -> handlers.words().say("calls.replan.no-day"));
    }

    @Override
    public Handling own(Reply reply, MassUnit unit) {
        PlanAhead ahead = handlers.block().ahead();
        return Reading.find(AnotherDay.Way.class, reply.own())
                .flatMap(way -> replan.with(ahead, way))
                .map(handlers::of)
                .orElseThrow(() -> new UnreadableException("read.choice").in("own"));
    }

    @Override
    public boolean raises() {
        return replan.raises();
    }

    @Override
    public Optional<Long> take(Decision decision) {
        return handlers.write(
                decision,
                held -> replan.edit(handlers.block().ahead(), held.block(), held::newSlot),
                new EditRecord(
                        decision.kind(),
                        List.of(Subject.CONTEST.key()),
                        decision.why(),
                        stands(decision.lifter().unit()),
                        after()));
    }

    private String after() {
        String way = handlers.words().say("calls.replan.way." + replan.way());
        return replan.way() == AnotherDay.Way.PARKED ? way : day(replan.day()) + ", " + way;
    }
}
