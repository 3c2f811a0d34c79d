package dev.yarbel.web.weekly;

import dev.yarbel.core.estimate.RatingBias;
import dev.yarbel.core.estimate.ShareEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.session.Best;
import dev.yarbel.core.weekly.LiftSpan;
import dev.yarbel.core.weekly.SpanSeen;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What became of a block: what it asked for, what was done of it, what was gained and learnt.
 *
 * @param over whether its last day has gone by; else it is told up to today
 * @param bests what was better than everything like it before
 */
record BlockReport(LifterBlock plan, SpanSeen span, boolean over, List<Best.PastSet> bests, List<Learnt> learnt) {

    private static final int MOST_BESTS = 12;

    /**
     * What is known now of a lift that was trained.
     *
     * @param bias how ratings lean, where that is telling
     * @param share of its parent lift, for a variation of which that was learnt
     */
    record Learnt(Lift lift, Optional<RatingBias> bias, Optional<ShareEstimate> share, Optional<Lift> parent) {

        private boolean isAny() {
            return bias.isPresent() || share.isPresent();
        }
    }

    static BlockReport of(LifterBlock plan) {
        LocalDate first = plan.block().start();
        LocalDate end = plan.block().end();
        boolean over = end.isBefore(plan.today());
        LocalDate last = over || plan.today().isBefore(first) ? end : plan.today();
        SpanSeen span = SpanSeen.of(
                first,
                last,
                WeekView.notDone(plan, first, last),
                plan.standing().finished(),
                plan.resolver()::numbers,
                lift -> plan.standing().of(lift).flatMap(LiftRecord::estimate));
        return new BlockReport(
                plan,
                span,
                over,
                plan.standing().bestsSince(first).stream()
                        .filter(best -> !best.on().isAfter(last))
                        .limit(MOST_BESTS)
                        .toList(),
                span.lifts().stream()
                        .map(LiftSpan::lift)
                        .flatMap(lift -> plan.standing().of(lift).stream())
                        .map(lift -> learnt(plan, lift))
                        .filter(Learnt::isAny)
                        .toList());
    }

    private static Learnt learnt(LifterBlock plan, LiftRecord lift) {
        return new Learnt(
                lift.lift(),
                lift.learnt().bias().filter(RatingBias::isTelling),
                lift.learnt().share(),
                plan.standing().catalogue().of(lift.lift()).parent().map(Ratio::to));
    }
}
