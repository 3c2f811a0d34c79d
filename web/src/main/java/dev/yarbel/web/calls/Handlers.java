package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.AddAssistance;
import dev.yarbel.core.adjust.AskLifter;
import dev.yarbel.core.adjust.DeloadWeek;
import dev.yarbel.core.adjust.FollowLaw;
import dev.yarbel.core.adjust.Hold;
import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.adjust.NextLoads;
import dev.yarbel.core.adjust.Proposal;
import dev.yarbel.core.adjust.Replan;
import dev.yarbel.core.adjust.ReturnLadder;
import dev.yarbel.core.adjust.Subject;
import dev.yarbel.core.adjust.SwapLift;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.LifterQuestions;
import dev.yarbel.web.page.Words;
import java.util.Optional;

/**
 * Finds what a coach can do with each kind of proposal about a lifter.
 *
 */
record Handlers(
        Book book, Blocks blocks, Ledger ledger, LifterQuestions questions, Words words, LifterBlock block, Cause cause)
        implements Proposal.Visitor<Handling> {

    Handling of(Proposal proposal) {
        return proposal.accept(this);
    }

    /** The working max of a lift as it stands. */
    Optional<Mass> workingMax(Lift lift) {
        return block.standing().of(lift).flatMap(LiftRecord::workingMax);
    }

    @Override
    public Handling moveWorkingMax(MoveWorkingMax proposal) {
        return new WorkingMaxMoved(book, proposal);
    }

    @Override
    public Handling hold(Hold proposal) {
        return new NothingChanged(this, proposal.lift(), Optional.empty());
    }

    @Override
    public Handling followLaw(FollowLaw proposal) {
        return new NothingChanged(this, proposal.lift(), Optional.of(proposal));
    }

    @Override
    public Handling askLifter(AskLifter proposal) {
        return new LifterAsked(this, proposal);
    }

    @Override
    public Handling nextLoads(NextLoads proposal) {
        return new PlanChanged(this, proposal.lift(), proposal);
    }

    @Override
    public Handling swapLift(SwapLift proposal) {
        String reason = words.say("calls.swap-lift.reason", words.lift(proposal.lift()));
        return new PlanChanged(this, proposal.lift(), proposal.because(reason));
    }

    @Override
    public Handling returnLadder(ReturnLadder proposal) {
        return new PlanChanged(this, proposal.lift(), proposal);
    }

    @Override
    public Handling addAssistance(AddAssistance proposal) {
        String reason = words.say(
                "calls.add-assistance.reason", words.lift(proposal.lift()), words.say("link." + proposal.link()));
        return new PlanChanged(this, proposal.lift(), proposal.because(reason));
    }

    @Override
    public Handling deloadWeek(DeloadWeek proposal) {
        return new PlanChanged(this, Subject.WHOLE, proposal);
    }

    @Override
    public Handling replan(Replan proposal) {
        return new Replanned(this, proposal);
    }
}
