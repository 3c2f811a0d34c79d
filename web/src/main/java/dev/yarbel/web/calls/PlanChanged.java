package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.AddAssistance;
import dev.yarbel.core.adjust.AskLifter;
import dev.yarbel.core.adjust.DeloadWeek;
import dev.yarbel.core.adjust.FollowLaw;
import dev.yarbel.core.adjust.Hold;
import dev.yarbel.core.adjust.LoadChange;
import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.adjust.NextLoads;
import dev.yarbel.core.adjust.PlanAhead;
import dev.yarbel.core.adjust.PlanChange;
import dev.yarbel.core.adjust.Proposal;
import dev.yarbel.core.adjust.Replan;
import dev.yarbel.core.adjust.ReturnLadder;
import dev.yarbel.core.adjust.SwapLift;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Something else is written into the block, by one edit. A figure of the coach's own is how many percent lighter the next loads are,
 * or another lift to swap in.
 */
record PlanChanged(Handlers handlers, Lift lift, PlanChange change) implements Handling {

    /** More doses than this are not written out in the ledger. */
    private static final int MOST_WRITTEN = 6;

    private static final Percent MOST = Percent.of(30);

    @Override
    public String stands(MassUnit unit) {
        return written(LoadChange::before);
    }

    /** The doses on one side of the change, each once; the lift's name where it is another one. */
    private String written(Function<LoadChange, Optional<LoadChange.Planned>> side) {
        return change.changes(handlers.block().ahead()).stream()
                .flatMap(one -> side.apply(one).stream())
                .filter(planned ->
                        !(change instanceof NextLoads) || planned.lift().equals(lift))
                .map(planned -> planned.lift().equals(lift)
                        ? planned.part().shorthand()
                        : handlers.words().lift(planned.lift()) + " "
                                + planned.part().shorthand())
                .distinct()
                .limit(MOST_WRITTEN)
                .collect(Collectors.joining("; "));
    }

    @Override
    public Handling own(Reply reply, MassUnit unit) {
        PlanAhead ahead = handlers.block().ahead();
        return change.accept(new Own(ahead, reply))
                .map(handlers::of)
                .orElseThrow(() -> new UnreadableException("calls.error.nothing").in("own"));
    }

    private record Own(PlanAhead ahead, Reply reply) implements Proposal.Visitor<Optional<? extends Proposal>> {

        @Override
        public Optional<? extends Proposal> moveWorkingMax(MoveWorkingMax proposal) {
            return Optional.empty();
        }

        @Override
        public Optional<? extends Proposal> hold(Hold proposal) {
            return Optional.empty();
        }

        @Override
        public Optional<? extends Proposal> followLaw(FollowLaw proposal) {
            return Optional.empty();
        }

        @Override
        public Optional<? extends Proposal> askLifter(AskLifter proposal) {
            return Optional.empty();
        }

        @Override
        public Optional<? extends Proposal> nextLoads(NextLoads proposal) {
            return NextLoads.scaled(ahead, proposal.lift(), Percent.HUNDRED.minus(percent(reply.own())));
        }

        @Override
        public Optional<? extends Proposal> swapLift(SwapLift proposal) {
            Lift other = ahead.resolver().catalogue().all().stream()
                    .map(Variation::lift)
                    .filter(lift -> lift.key().equals(reply.own()) && !lift.equals(proposal.lift()))
                    .findFirst()
                    .orElseThrow(() -> new UnreadableException("calls.error.lift").in("own"));
            return SwapLift.of(ahead, proposal.lift(), other);
        }

        @Override
        public Optional<? extends Proposal> returnLadder(ReturnLadder proposal) {
            ReturnLadder.Length length = Reading.find(ReturnLadder.Length.class, reply.own())
                    .orElseThrow(() -> new UnreadableException("read.choice").in("own"));
            return ReturnLadder.of(ahead, proposal.lift(), length);
        }

        @Override
        public Optional<? extends Proposal> addAssistance(AddAssistance proposal) {
            return Optional.of(proposal.options().stream()
                    .filter(lift -> lift.key().equals(reply.own()))
                    .findFirst()
                    .flatMap(proposal::with)
                    .orElseThrow(() -> new UnreadableException("calls.error.lift").in("own")));
        }

        @Override
        public Optional<? extends Proposal> replan(Replan proposal) {
            return Optional.empty();
        }

        @Override
        public Optional<? extends Proposal> deloadWeek(DeloadWeek proposal) {
            Deload style = Reading.find(Deload.class, reply.own())
                    .orElseThrow(() -> new UnreadableException("read.choice").in("own"));
            return DeloadWeek.of(ahead, style, proposal.signs());
        }

        private static Percent percent(String text) {
            try {
                Percent percent = Percent.parse(text);
                if (percent.isGreaterThan(Percent.ZERO) && !percent.isGreaterThan(MOST)) {
                    return percent;
                }
            } catch (IllegalArgumentException notAPercentage) {
                // the same words say so
            }
            throw new UnreadableException("calls.error.percent", MOST.format(0)).in("own");
        }
    }

    @Override
    public boolean raises() {
        return change.raises();
    }

    @Override
    public Optional<Long> take(Decision decision) {
        return handlers.write(
                decision,
                held -> change.edit(handlers.block().ahead(), held.block(), held::newSlot),
                new EditRecord(
                        decision.kind(),
                        List.of(lift.key()),
                        decision.why(),
                        written(LoadChange::before),
                        written(LoadChange::after)));
    }
}
