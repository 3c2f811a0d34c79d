package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.AddAssistance;
import dev.yarbel.core.adjust.AskLifter;
import dev.yarbel.core.adjust.DeloadWeek;
import dev.yarbel.core.adjust.Evidence;
import dev.yarbel.core.adjust.FollowLaw;
import dev.yarbel.core.adjust.Hold;
import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.adjust.NextLoads;
import dev.yarbel.core.adjust.Proposal;
import dev.yarbel.core.adjust.Replan;
import dev.yarbel.core.adjust.ReturnLadder;
import dev.yarbel.core.adjust.SwapLift;

/** What each kind of evidence and of proposal is called in the page's fragments, the words and the rows of slips. */
final class Names {

    private Names() {}

    static final class OfEvidence implements Evidence.Visitor<String> {

        @Override
        public String estimateMoved(Evidence.EstimateMoved evidence) {
            return "estimate-moved";
        }

        @Override
        public String sets(Evidence.Sets evidence) {
            return "sets";
        }

        @Override
        public String hurt(Evidence.Hurt evidence) {
            return "hurt";
        }

        @Override
        public String away(Evidence.Away evidence) {
            return "away";
        }

        @Override
        public String best(Evidence.NewBest evidence) {
            return "best";
        }

        @Override
        public String firstTime(Evidence.NewLift evidence) {
            return "first-time";
        }

        @Override
        public String collapsed(Evidence.Collapsed evidence) {
            return "collapsed";
        }

        @Override
        public String tired(Evidence.Tired evidence) {
            return "tired";
        }

        @Override
        public String healed(Evidence.Healed evidence) {
            return "healed";
        }

        @Override
        public String contestElsewhere(Evidence.ContestElsewhere evidence) {
            return "contest-elsewhere";
        }
    }

    static final class OfProposal implements Proposal.Visitor<String> {

        @Override
        public String moveWorkingMax(MoveWorkingMax proposal) {
            return "move-working-max";
        }

        @Override
        public String hold(Hold proposal) {
            return "hold";
        }

        @Override
        public String followLaw(FollowLaw proposal) {
            return "follow-law";
        }

        @Override
        public String askLifter(AskLifter proposal) {
            return "ask-lifter";
        }

        @Override
        public String nextLoads(NextLoads proposal) {
            return "next-loads";
        }

        @Override
        public String swapLift(SwapLift proposal) {
            return "swap-lift";
        }

        @Override
        public String deloadWeek(DeloadWeek proposal) {
            return "deload-week";
        }

        @Override
        public String returnLadder(ReturnLadder proposal) {
            return "return-ladder";
        }

        @Override
        public String addAssistance(AddAssistance proposal) {
            return "add-assistance";
        }

        @Override
        public String replan(Replan proposal) {
            return "replan";
        }
    }
}
