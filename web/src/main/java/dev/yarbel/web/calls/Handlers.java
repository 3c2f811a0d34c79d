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
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.EditRefused;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.block.HeldBlock;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.LifterQuestions;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.util.Optional;
import java.util.function.Function;

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

    /**
     * Writes an edit into the block.
     *
     * @return the ledger's entry; empty where the block became another meanwhile
     * @throws UnreadableException where a gate stands closed before it
     */
    Optional<Long> write(Handling.Decision decision, Function<HeldBlock, BlockEdit> edit, EditRecord record) {
        HeldBlock held = blocks.hold(block);
        try {
            return blocks.decide(decision.coach(), held, edit.apply(held), record);
        } catch (EditRefused changedMeanwhile) {
            return Optional.empty();
        } catch (BlockRefused refused) {
            if (refused.code().equals("gated")) {
                throw new UnreadableException("calls.error.gated", refused.facts()).in("own");
            }
            throw refused;
        }
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
