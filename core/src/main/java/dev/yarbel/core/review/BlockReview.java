package dev.yarbel.core.review;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.review.Mark.Place;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.tally.SessionTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Looks a plan over for what coaches overlook. What was lifted already is left alone, and a school's own law is never
 * marked against itself.
 */
public final class BlockReview {

    private static final int MOST_WEEKS_WITHOUT_DELOAD = 12;
    private static final double OVER_TIME = 1.1;
    private static final int THIRD = 3;
    private static final int TWO_WEEKS = 14;

    private final Reviewed plan;

    private BlockReview(Reviewed plan) {
        this.plan = plan;
    }

    /** The marks on a block, those that can hurt first. */
    public static List<Mark> of(UnderReview plan) {
        Reviewed reviewed = Reviewed.of(plan, new ArrayList<>());
        Block block = plan.block();
        BlockReview review = new BlockReview(reviewed);
        SlotReview slots = new SlotReview(reviewed);
        for (int day = 0; day < block.days().size(); day++) {
            for (int slot = 0; slot < block.days().get(day).slots().size(); slot++) {
                slots.look(day, slot);
            }
            review.sessionTime(day);
        }
        new FamilyReview(reviewed).look();
        new ContestReview(reviewed).look();
        new SchoolReview(reviewed).look();
        new WakeReview(reviewed, plan.wake(), UnderReview.practised(block, reviewed.catalogue())).look();
        review.walls();
        review.gym();
        review.wholeBlock();
        return reviewed.marks().stream()
                .sorted(Comparator.comparing(Mark::kind))
                .toList();
    }

    /** What the gym cannot make, once for the whole block: the worst of it, and how much of it there is. */
    private void gym() {
        Fit heaviest = null;
        Fit lightest = null;
        Lift tooHeavy = null;
        Lift tooLight = null;
        int over = 0;
        int under = 0;
        for (int week = 0; week < plan.block().weeks(); week++) {
            for (int day = 0; day < plan.block().days().size(); day++) {
                List<ResolvedLoad> loads = plan.projection().loads(day, week);
                for (int i = 0; i < loads.size() && !plan.known().isLifted(day, week); i++) {
                    if (loads.get(i).known().isEmpty()) {
                        continue;
                    }
                    Lift lift =
                            plan.projection().prescriptions(day, week).get(i).lift();
                    Fit fit = loads.get(i).known().get().fit();
                    if (fit.limit() == Fit.Limit.BEYOND_THE_PLATES) {
                        over++;
                        if (heaviest == null || fit.asked().isGreaterThan(heaviest.asked())) {
                            heaviest = fit;
                            tooHeavy = lift;
                        }
                    } else if (fit.limit() == Fit.Limit.BELOW_THE_BAR) {
                        under++;
                        if (lightest == null || fit.asked().isLessThan(lightest.asked())) {
                            lightest = fit;
                            tooLight = lift;
                        }
                    }
                }
            }
        }
        if (heaviest != null) {
            plan.mark(Kind.GYM_TOO_LIGHT, tooHeavy, heaviest.asked(), heaviest.load(), over);
        }
        if (lightest != null) {
            plan.mark(Kind.GYM_TOO_HEAVY, tooLight, lightest.asked(), lightest.load(), under);
        }
    }

    private void walls() {
        for (Projection.Wall wall : plan.projection().walls()) {
            ExpectedGain gain = plan.resolver().numbers(wall.lift()).gain();
            for (int slot = 0;
                    slot < plan.block().days().get(wall.day()).slots().size();
                    slot++) {
                if (plan.slot(wall.day(), slot).letter().equals(wall.letter())) {
                    plan.mark(
                            Kind.WALL,
                            new Place(wall.day(), slot, wall.week(), wall.week()),
                            wall.lift(),
                            wall.load(),
                            gain.aWeek(),
                            gain.doubt());
                }
            }
        }
    }

    private void sessionTime(int day) {
        plan.known().minutesAtHand().ifPresent(minutes -> {
            int longest = 0;
            int at = -1;
            for (int week = 0; week < plan.block().weeks(); week++) {
                if (!plan.known().isLifted(day, week)) {
                    int needed = (int) SessionTime.of(
                                    plan.projection().prescriptions(day, week),
                                    plan.projection().loads(day, week),
                                    plan.resolver())
                            .toMinutes();
                    if (needed > longest) {
                        longest = needed;
                        at = week;
                    }
                }
            }
            if (longest > minutes * OVER_TIME) {
                plan.marks()
                        .add(new Mark(
                                Kind.TOO_LONG,
                                Optional.of(new Place(day, 0, at, at)),
                                Optional.empty(),
                                List.of(longest, minutes)));
            }
        });
    }

    private boolean isReachedOver(int week) {
        return week < plan.block().weeks()
                && plan.block().shape().get(week).phase() == Phase.REACH
                && !plan.block().shape().get(week).deload();
    }

    private boolean isEased(int week) {
        return week < plan.block().weeks()
                && (plan.block().shape().get(week).deload() || plan.block().isGap(week));
    }

    private void wholeBlock() {
        int inARow = 0;
        int longest = 0;
        for (int week = 0; week < plan.block().weeks(); week++) {
            inARow = plan.block().shape().get(week).deload() || plan.block().isGap(week) ? 0 : inARow + 1;
            longest = Math.max(longest, inARow);
        }
        if (longest > MOST_WEEKS_WITHOUT_DELOAD) {
            plan.mark(Kind.NO_DELOAD, longest);
        }
        for (int week = 0; week < plan.block().weeks(); week++) {
            if (isReachedOver(week) && !isReachedOver(week + 1) && !isEased(week + 1)) {
                plan.mark(Kind.REACH_WITHOUT_DELOAD, week + 1);
            }
        }
        plan.known()
                .daysOfBlockPutAside()
                .filter(days -> days <= TWO_WEEKS)
                .ifPresent(days -> plan.mark(Kind.DROPPED_EARLY, days));
        plan.known()
                .daysAWeek()
                .filter(days -> plan.block().days().size() > days)
                .ifPresent(days ->
                        plan.mark(Kind.TOO_MANY_DAYS, plan.block().days().size(), days));
        if (plan.known().run() >= THIRD) {
            plan.mark(Kind.RUN_AGAIN, plan.known().run());
        }
    }
}
