package dev.yarbel.web.plan;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.DayEdit;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.recovery.Recovers;
import dev.yarbel.core.recovery.RecoveryKnown;
import dev.yarbel.core.recovery.Spread;
import dev.yarbel.core.recovery.TissueLedger;
import dev.yarbel.core.recovery.Wake;
import dev.yarbel.core.review.UnderReview;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.tally.BlockTally;
import dev.yarbel.core.tally.WorkLine;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.EditRecord;
import dev.yarbel.web.block.HeldBlock;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Works out how the days of a plan trail their recovery, as they lie and as they would lie on other weekdays. */
@Service
class WakeMaker {

    private static final int LAST_WEEKDAY = 6;

    private final Blocks blocks;
    private final RecoverySettings settings;

    WakeMaker(Blocks blocks, RecoverySettings settings) {
        this.blocks = blocks;
        this.settings = settings;
    }

    /** What of a lifter makes recovery longer or shorter, as far as their profile says. */
    static Recovers recovers(LifterBlock plan) {
        LifterCard lifter = plan.lifter();
        Catalogue catalogue = plan.standing().catalogue();
        return new Recovers(
                lift -> Stream.of(lift, catalogue.root(lift))
                        .flatMap(each -> plan.standing().of(each).stream())
                        .flatMap((LiftRecord record) -> record.mastery().stream())
                        .findFirst(),
                lifter.sex(),
                lifter.birthYear().map(year -> plan.today().getYear() - year),
                lifter.bodyMass().map(mass -> mass.in(MassUnit.KG)),
                lifter.deloadDue().hardJob(),
                lifter.deloadDue().isShortOfSleep(),
                lifter.deloadDue().dieting());
    }

    private static Wake wake(LifterBlock plan, Block block, List<WorkLine> lines, RecoveryKnown known) {
        Catalogue catalogue = plan.standing().catalogue();
        return Wake.of(
                block, lines, catalogue, known.figures(), known.lifter(), UnderReview.practised(block, catalogue));
    }

    /** How the days of two plans of one lifter trail their recovery. */
    List<Wake> wakes(PlansBeside.Side one, PlansBeside.Side other) {
        RecoveryKnown known = settings.known(one.plan());
        return Stream.of(one, other)
                .map(side ->
                        wake(side.plan(), side.plan().block(), side.reckoning().lines(), known))
                .toList();
    }

    /**
     * The drawing of a week and the one after it.
     *
     * @param weekdays where each day of the block would lie, from 0; empty for as they are kept
     * @throws UnreadableException when these are no weekdays, or two days lie on the same
     */
    WakeView view(LifterBlock plan, int week, List<Integer> weekdays) {
        List<WorkLine> lines = lines(plan);
        RecoveryKnown known = settings.known(plan);
        Wake before = wake(plan, plan.block(), lines, known);
        Optional<Spread> better = Spread.of(plan.block(), before, known.figures());
        Block laid = weekdays.isEmpty()
                ? plan.block()
                : moves(plan.block(), weekdays).apply(plan.block(), plan).block();
        Wake after = laid.equals(plan.block())
                ? before
                : wake(
                        plan,
                        laid,
                        reckoning(plan, laid, Projection.of(laid, plan.resolver(), plan.log()))
                                .lines(),
                        known);
        return WakeView.of(plan.block(), before, laid, after, week, better, tissues(plan, lines));
    }

    /** What each tissue bore and is to bear, by the plan as it is kept. */
    static TissueLedger tissues(LifterBlock plan, List<WorkLine> lines) {
        return TissueLedger.of(
                plan.block(),
                lines,
                plan.standing().log().stream()
                        .filter(SessionLog::finished)
                        .map(SessionLog::lifted)
                        .toList(),
                new TissueLedger.Body(
                        plan.lifter().aches(),
                        plan.lifter().jobStrains().map(Set::of).orElseGet(Set::of)),
                plan.resolver(),
                plan.today());
    }

    /** A plan's work as it stands. */
    static List<WorkLine> lines(LifterBlock plan) {
        return reckoning(plan).lines();
    }

    /** What a plan adds up to as it stands. */
    static BlockTally reckoning(LifterBlock plan) {
        return reckoning(plan, plan.block(), plan.projection());
    }

    private static BlockTally reckoning(LifterBlock plan, Block block, Projection projection) {
        return BlockTally.of(
                block, projection, plan.resolver(), plan.log(), plan.standing().catalogue());
    }

    /** Lays the days of a block on other weekdays, in one edit. */
    @Transactional
    public void lay(Person coach, LifterBlock plan, List<Integer> weekdays) {
        HeldBlock held = blocks.hold(plan);
        BlockEdit edit = moves(held.block(), weekdays);
        if (!edit.equals(BlockEdit.NOTHING)) {
            blocks.make(coach, held, edit, EditRecord.of("days-laid"));
        }
    }

    private static BlockEdit moves(Block block, List<Integer> weekdays) {
        boolean fit = weekdays.size() == block.days().size()
                && weekdays.stream().allMatch(day -> day != null && day >= 0 && day <= LAST_WEEKDAY);
        if (!fit) {
            throw new UnreadableException("wake.error.days").in("days");
        }
        if (new HashSet<>(weekdays).size() < weekdays.size()) {
            throw new UnreadableException("wake.error.same").in("days");
        }
        List<BlockEdit> edits = new ArrayList<>();
        Block now = block;
        for (int day = 0; day < weekdays.size(); day++) {
            TrainingDay old = block.days().get(day);
            if (old.offset() != weekdays.get(day)) {
                edits.add(DayEdit.Set.of(now, old.id(), new DayEdit.Title(old.name(), weekdays.get(day))));
            }
        }
        return edits.isEmpty() ? BlockEdit.NOTHING : new BlockEdit.Several(edits);
    }
}
