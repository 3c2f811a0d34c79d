package dev.yarbel.web.plan;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.GapsSeen;
import dev.yarbel.core.recovery.RecoveryFigures;
import dev.yarbel.core.recovery.RecoveryFigures.Pair;
import dev.yarbel.core.recovery.RecoveryKnown;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftRecord;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How long lifts need, as it is shown and set.
 *
 * @param hours a line for each family of the plan, and for what was set besides
 * @param alike a line for each two families of the plan of which one feels the other, and for what was set besides
 * @param seen what the log says of the families of the plan
 */
record RecoveryView(List<Hours> hours, List<Alike> alike, List<Gaps> seen) {

    /**
     * A lift's hours from one hard day to the next.
     *
     * @param usual without anybody's setting
     * @param club and own, as they were set
     * @param needs what the lifter needs with all of it after a hard day
     */
    record Hours(Lift lift, int usual, Optional<Integer> club, Optional<Integer> own, int needs) {

        /** What a form of the line is called. */
        public String form() {
            return lift.key();
        }
    }

    /** How much of the wake of one lift another one feels, in percent. */
    record Alike(Lift lift, Lift then, int usual, Optional<Integer> club, Optional<Integer> own) {

        /** What a form of the line is called. */
        public String form() {
            return lift.key() + "-" + then.key();
        }
    }

    /** What a log says of a family, with its figures to tenths. */
    record Gaps(GapsSeen of, String afterShort, String afterLong, String apart, String doubt) {

        private static Gaps of(GapsSeen seen) {
            return new Gaps(
                    seen,
                    signed(seen.afterShort().mean()),
                    signed(seen.afterLong().mean()),
                    signed(seen.apart()),
                    tenths(seen.doubt()));
        }

        private static String tenths(double figure) {
            return BigDecimal.valueOf(figure).setScale(1, RoundingMode.HALF_UP).toPlainString();
        }

        private static String signed(double figure) {
            String tenths = tenths(Math.abs(figure));
            return tenths.equals("0.0") ? tenths : (figure < 0 ? "−" : "+") + tenths;
        }
    }

    static RecoveryView of(LifterBlock plan, RecoverySettings.Figures set) {
        Catalogue catalogue = plan.standing().catalogue();
        List<Lift> roots = plan.block()
                .slots()
                .map(Slot::lift)
                .map(catalogue::root)
                .distinct()
                .toList();
        RecoveryKnown known = new RecoveryKnown(set.all(), WakeMaker.recovers(plan));
        return new RecoveryView(
                hours(roots, catalogue, set, known),
                alike(roots, set),
                roots.stream()
                        .filter(root -> catalogue.of(root).contest())
                        .flatMap(root -> plan.standing().of(root).flatMap(LiftRecord::estimate).stream()
                                .flatMap(estimate -> GapsSeen.of(root, estimate, known).stream()))
                        .map(Gaps::of)
                        .toList());
    }

    private static List<Hours> hours(
            List<Lift> roots, Catalogue catalogue, RecoverySettings.Figures set, RecoveryKnown known) {
        Stream<Lift> besides = Stream.concat(set.club().keySet().stream(), set.own().keySet().stream())
                .sorted(Comparator.comparing(Lift::key));
        return Stream.concat(roots.stream(), besides)
                .distinct()
                .map(lift -> new Hours(
                        lift,
                        RecoveryFigures.START.hours(lift, catalogue.root(lift)),
                        Optional.ofNullable(set.club().get(lift)),
                        Optional.ofNullable(set.own().get(lift)),
                        known.hours(lift, catalogue.root(lift))))
                .toList();
    }

    private static List<Alike> alike(List<Lift> roots, RecoverySettings.Figures set) {
        List<Pair> pairs = new ArrayList<>();
        for (Lift lift : roots) {
            for (Lift then : roots) {
                if (!lift.equals(then)
                        && !RecoveryFigures.START.likeness(lift, then).equals(Percent.ZERO)) {
                    pairs.add(new Pair(lift, then));
                }
            }
        }
        Stream<Pair> besides = Stream.concat(set.clubLikeness().keySet().stream(), set.ownLikeness().keySet().stream())
                .sorted(Comparator.comparing((Pair pair) -> pair.first().key())
                        .thenComparing(pair -> pair.then().key()));
        return Stream.concat(pairs.stream(), besides)
                .distinct()
                .map(pair -> new Alike(
                        pair.first(),
                        pair.then(),
                        percent(RecoveryFigures.START.likeness(pair.first(), pair.then())),
                        percent(set.clubLikeness(), pair),
                        percent(set.ownLikeness(), pair)))
                .toList();
    }

    private static int percent(Percent share) {
        return share.figure().intValue();
    }

    private static Optional<Integer> percent(Map<Pair, Percent> of, Pair pair) {
        return Optional.ofNullable(of.get(pair)).map(RecoveryView::percent);
    }
}
