package dev.yarbel.web.plan;

import dev.yarbel.core.recovery.RecoveryKnown;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.review.BlockJudge;
import dev.yarbel.core.review.Judged;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.Projection;
import dev.yarbel.web.block.BlockSummary;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/** Holds a block against the coach's checklist, alone or beside another one, or beside what it asked for. */
@Component
class ChecklistMaker {

    /** Beside what the plan asked for; else what {@link OtherPlans} names. */
    static final String ASKED = "asked";

    private final Blocks blocks;
    private final PlanReview review;
    private final RehearsalMaker rehearsals;
    private final OtherPlans others;
    private final Words words;

    ChecklistMaker(Blocks blocks, PlanReview review, RehearsalMaker rehearsals, OtherPlans others, Words words) {
        this.blocks = blocks;
        this.review = review;
        this.rehearsals = rehearsals;
        this.others = others;
        this.words = words;
    }

    /**
     * The page's content.
     *
     * @param with what {@link OtherPlans} names, {@link #ASKED}, or nothing
     * @throws NotFoundException when there is no such thing
     */
    ChecklistView view(Person coach, LifterBlock plan, String with) {
        List<BlockSummary> all = blocks.of(plan.lifter());
        RecoveryKnown recovery = review.recovery(plan);
        List<OtherPlans.Group> groups = others.groups(coach, plan, all);
        ChecklistView.Column own = column(plan, all, recovery, plan.name());
        Optional<ChecklistView.Column> other = with.isBlank()
                ? Optional.empty()
                : with.equals(ASKED)
                        ? Optional.of(asked(plan, all, recovery))
                        : others.open(coach, plan, groups, with)
                                .map(beside -> column(beside.plan(), all, recovery, beside.name()));
        return ChecklistView.of(own, other, groups, hasBegun(plan));
    }

    /** The same block as if nothing of it had been lifted: what stood in it is what was asked. */
    private ChecklistView.Column asked(LifterBlock plan, List<BlockSummary> all, RecoveryKnown recovery) {
        Projection.Log kept = plan.log();
        Projection.Log nothing = new Projection.Log() {
            @Override
            public Optional<List<DoneSet>> on(int day, int week) {
                return Optional.empty();
            }

            @Override
            public Optional<AskedDay> asked(int day, int week) {
                return kept.asked(day, week);
            }
        };
        PlanReview.Result result = review.review(plan, all, nothing, recovery);
        return column(plan, result, Optional.empty(), words.say("checklist.as-asked"));
    }

    private ChecklistView.Column column(LifterBlock plan, List<BlockSummary> all, RecoveryKnown recovery, String name) {
        return column(plan, review.review(plan, all, plan.log(), recovery), rehearsals.planned(plan), name);
    }

    private ChecklistView.Column column(
            LifterBlock plan, PlanReview.Result result, Optional<Rehearsal> rehearsal, String name) {
        List<Judged> judged = BlockJudge.of(
                result.plan(), result.marks(), Optional.of(result.plan().wake()));
        return new ChecklistView.Column(
                name,
                judged.stream()
                        .map(one -> new ChecklistView.Answer(
                                one.question(),
                                one.verdict(),
                                one.lines().stream()
                                        .map(line -> review.inWords(plan, line))
                                        .toList()))
                        .toList(),
                rehearsal.map(of -> RehearsalView.sum(of)).filter(sum -> sum.sets() > 0),
                plan.lifter().unit());
    }

    private static boolean hasBegun(LifterBlock plan) {
        return IntStream.range(0, plan.block().weeks())
                .anyMatch(week ->
                        IntStream.range(0, plan.block().days().size()).anyMatch(day -> plan.isFinished(day, week)));
    }
}
