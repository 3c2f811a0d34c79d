package dev.yarbel.core.review;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.review.Mark.Kind;
import dev.yarbel.core.review.Mark.Place;
import dev.yarbel.core.school.School;
import dev.yarbel.core.session.Course;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Prescription;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.Habit;
import dev.yarbel.core.tally.Reckoning;
import dev.yarbel.core.tally.SessionTime;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Looks a plan over for what coaches overlook. What was lifted already is left alone, and a school's own law is never
 * marked against itself.
 */
public final class BlockReview {

    /** What is known of the lifter and of the blocks before, beside the plan itself. */
    public interface Known {

        /** Mastery of a lift, as the coach decided for it or for the root of its family. */
        Optional<Mastery> mastery(Lift lift);

        /** The last day anything spoke for the lift's max: a max set down, or a set that moved the estimate. */
        Optional<LocalDate> lastSeen(Lift lift);

        /** How the estimate of a lift moved a week over what the log holds; empty with too little of it. */
        Optional<Mass> gainAWeek(Lift lift);

        /** What the lifter is used to. */
        Habit habit();

        List<Ache> aches();

        boolean dietsHard();

        Optional<Integer> minutesAtHand();

        /** Days the block before this one was trained before it was put aside; empty when it ran its course. */
        Optional<Integer> daysOfBlockPutAside();

        /** Which run of the same block this is, from 1. */
        int run();

        /** Whether a day of a week is history. */
        boolean isLifted(int day, int week);

        /** The gates of a slot that a coach has opened by name. */
        Set<Gate> confirmed(int day, int slot);

        LocalDate today();
    }

    /** Where form breaks and grinding is learnt, by mastery (common practice, no source). */
    private record Zone(Percent from, Percent to) {}

    private static final Map<Mastery, Zone> ZONES = Map.of(
            Mastery.BEGINNER, new Zone(Percent.of(75), Percent.of(85)),
            Mastery.INTERMEDIATE, new Zone(Percent.of(85), Percent.of(95)));

    /** What rounding to plates may add. */
    private static final Percent ROUNDING = Percent.of(1);

    private static final Percent NEAR_THE_TOP = Percent.of(85);
    private static final int MOST_WEEKS_WITHOUT_DELOAD = 12;
    private static final int FRESH_WEEKS = 12;
    private static final double FAR_ABOVE = 1.4;
    private static final double SETS_ABOVE = 4;
    private static final int HIGH_FREQUENCY = 4;
    private static final int THIRD = 3;
    private static final int TWO_WEEKS = 14;
    private static final int WEEKS_AT_THE_LIMIT = 2;

    private final Block block;
    private final Course course;
    private final Resolver resolver;
    private final Reckoning reckoning;
    private final Catalogue catalogue;
    private final Known known;
    private final List<Mark> marks = new ArrayList<>();

    private BlockReview(
            Block block, Course course, Resolver resolver, Reckoning reckoning, Catalogue catalogue, Known known) {
        this.block = block;
        this.course = course;
        this.resolver = resolver;
        this.reckoning = reckoning;
        this.catalogue = catalogue;
        this.known = known;
    }

    /** The marks on a block, those that can hurt first. */
    public static List<Mark> of(
            Block block, Course course, Resolver resolver, Reckoning reckoning, Catalogue catalogue, Known known) {
        BlockReview review = new BlockReview(block, course, resolver, reckoning, catalogue, known);
        for (int day = 0; day < block.days().size(); day++) {
            for (int slot = 0; slot < block.days().get(day).slots().size(); slot++) {
                review.slot(day, slot);
            }
            review.sessionTime(day);
        }
        review.families();
        review.wholeBlock();
        review.marks.sort(Comparator.comparing(Mark::kind));
        return List.copyOf(review.marks);
    }

    // ---- a slot

    private void slot(int day, int index) {
        Slot slot = block.days().get(day).slots().get(index);
        List<Integer> weeks = weeksToCome(day, slot);
        if (weeks.isEmpty()) {
            return;
        }
        Place whole = new Place(day, index, weeks.get(0), weeks.get(weeks.size() - 1));
        Lift lift = slot.lift();
        known.aches().stream()
                .filter(ache -> ache.isLoadedBy(lift, catalogue))
                .forEach(ache -> add(Kind.ACHE, whole, lift, ache.place()));
        boolean loaded = weeks.stream()
                .anyMatch(week -> !(slot.doses().get(week).orElseThrow().first().work() instanceof Work.Preparation));
        if (loaded && resolver.kit(lift).isEmpty()) {
            add(Kind.KIT_GONE, whole, lift);
        }
        if (isVariation(lift)
                && slot.reason().isEmpty()
                && weeks.stream().noneMatch(week -> slot.doses().get(week).orElseThrow().parts().stream()
                        .anyMatch(part -> part.details().reason().isPresent()))) {
            add(Kind.NO_REASON, whole, lift);
        }
        gates(day, index, slot, weeks);
        aboveMax(day, index, slot, weeks);
        numbers(day, index, slot, weeks);
        growingStep(day, index, slot, weeks);
    }

    private List<Integer> weeksToCome(int day, Slot slot) {
        List<Integer> weeks = new ArrayList<>();
        for (int week = 0; week < block.weeks(); week++) {
            if (slot.doses().get(week).isPresent() && !known.isLifted(day, week)) {
                weeks.add(week);
            }
        }
        return weeks;
    }

    /** Whether somebody should say why it is there: it is neither contested nor a root that stands for itself. */
    private boolean isVariation(Lift lift) {
        return catalogue.of(lift).parent().isPresent() && !catalogue.of(lift).contest();
    }

    private void gates(int day, int index, Slot slot, List<Integer> weeks) {
        Map<Gate, List<Integer>> gated = new LinkedHashMap<>();
        for (int week : weeks) {
            for (Gate gate : Gate.before(
                    catalogue.root(slot.lift()), slot.doses().get(week).orElseThrow())) {
                gated.computeIfAbsent(gate, g -> new ArrayList<>()).add(week);
            }
        }
        gated.forEach((gate, in) -> {
            boolean open = known.confirmed(day, index).contains(gate);
            add(Kind.GATED, new Place(day, index, in.get(0), in.get(in.size() - 1)), slot.lift(), gate, open);
        });
    }

    private void aboveMax(int day, int index, Slot slot, List<Integer> weeks) {
        for (int week : weeks) {
            for (Part part : slot.doses().get(week).orElseThrow().parts()) {
                if (part.basis().isAboveMax()
                        && !part.is(Manner.PARTIAL)
                        && !part.is(Manner.LOWERING)
                        && !isPartial(slot.lift())
                        && part.basis() instanceof LoadBasis.Share share
                        && share.of() != Reference.Named.GOAL) {
                    add(Kind.ABOVE_MAX, new Place(day, index, week, week), slot.lift(), share.most());
                }
            }
        }
    }

    private boolean isPartial(Lift lift) {
        return catalogue
                .of(lift)
                .parent()
                .filter(ratio -> ratio.share().isGreaterThan(Percent.HUNDRED))
                .isPresent();
    }

    private void numbers(int day, int index, Slot slot, List<Integer> weeks) {
        Optional<Integer> missing = weeks.stream()
                .filter(week -> loadsOf(day, slot, week).stream()
                        .anyMatch(load -> load instanceof ResolvedLoad.Unknown unknown && isMissing(unknown.why())))
                .findFirst();
        missing.ifPresent(week -> add(
                Kind.NUMBER_MISSING,
                new Place(day, index, week, weeks.get(weeks.size() - 1)),
                slot.lift(),
                loadsOf(day, slot, week).stream()
                        .filter(load -> load instanceof ResolvedLoad.Unknown)
                        .map(load -> ((ResolvedLoad.Unknown) load).why())
                        .filter(BlockReview::isMissing)
                        .findFirst()
                        .orElseThrow()));
        boolean hangsOnMax = weeks.stream().anyMatch(week -> slot.doses().get(week).orElseThrow().parts().stream()
                .anyMatch(part -> part.basis() instanceof LoadBasis.Share share
                        && share.of().isMax()
                        && share.of() != Reference.Named.GOAL));
        if (hangsOnMax && missing.isEmpty()) {
            known.lastSeen(slot.lift())
                    .map(seen -> ChronoUnit.WEEKS.between(seen, known.today()))
                    .filter(old -> old > FRESH_WEEKS)
                    .ifPresent(old -> add(
                            Kind.STALE_MAX,
                            new Place(day, index, weeks.get(0), weeks.get(weeks.size() - 1)),
                            slot.lift(),
                            old));
        }
        goalPace(day, index, slot, weeks);
    }

    private static boolean isMissing(ResolvedLoad.Why why) {
        return switch (why) {
            case NO_WORKING_MAX, NO_CONTEST_MAX, NO_GOAL, NO_REP_MAX, NO_BODY_MASS, NO_EVENT_LOAD, NO_OTHER_MAX -> true;
            default -> false;
        };
    }

    private List<ResolvedLoad> loadsOf(int day, Slot slot, int week) {
        List<Prescription> asked = course.prescriptions(day, week);
        List<ResolvedLoad> loads = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            if (asked.get(i).letter().equals(slot.letter())) {
                loads.add(course.loads(day, week).get(i));
            }
        }
        return loads;
    }

    private void goalPace(int day, int index, Slot slot, List<Integer> weeks) {
        boolean hangsOnGoal = weeks.stream().anyMatch(week -> slot.doses().get(week).orElseThrow().parts().stream()
                .anyMatch(part -> part.basis() instanceof LoadBasis.Share share
                        && share.of() == Reference.Named.GOAL
                        && !part.is(Manner.SPEED)));
        LiftNumbers numbers = resolver.numbers(slot.lift());
        if (!hangsOnGoal
                || numbers.estimate().isEmpty()
                || numbers.references().goal().isEmpty()) {
            return;
        }
        Mass asked = numbers.references().goal().get().minus(numbers.estimate().get());
        long weeksLeft =
                Math.max(1, ChronoUnit.WEEKS.between(known.today(), block.end().plusDays(1)));
        Mass shown = known.gainAWeek(slot.lift()).orElse(Mass.ZERO).times(weeksLeft);
        if (asked.isPositive() && asked.isGreaterThan(Mass.max(Mass.ZERO, shown))) {
            add(
                    Kind.GOAL_PACE,
                    new Place(day, index, weeks.get(0), weeks.get(weeks.size() - 1)),
                    slot.lift(),
                    asked,
                    Mass.max(Mass.ZERO, shown),
                    weeksLeft);
        }
    }

    private void growingStep(int day, int index, Slot slot, List<Integer> weeks) {
        Percent before = null;
        Percent step = null;
        Reference of = null;
        for (int week : weeks) {
            Dose dose = slot.doses().get(week).orElseThrow();
            if (block.shape().get(week).deload()
                    || !(dose.first().basis() instanceof LoadBasis.Share share)
                    || dose.first().is(Manner.SPEED)) {
                before = null;
                step = null;
                continue;
            }
            // a phase begins anew
            boolean anew = week > 0
                    && block.shape().get(week).phase()
                            != block.shape().get(week - 1).phase();
            if (!Objects.equals(of, share.of()) || anew) {
                before = null;
                step = null;
            }
            Percent now = before == null ? null : share.percent().minus(before);
            if (now != null
                    && step != null
                    && now.isGreaterThan(step)
                    && step.compareTo(Percent.ZERO) > 0
                    && !share.percent().isLessThan(NEAR_THE_TOP)) {
                add(Kind.GROWING_STEP, new Place(day, index, week, week), slot.lift(), now, step);
            }
            step = now;
            before = share.percent();
            of = share.of();
        }
    }

    // ---- a day

    private void sessionTime(int day) {
        known.minutesAtHand().ifPresent(minutes -> {
            int longest = 0;
            int at = -1;
            for (int week = 0; week < block.weeks(); week++) {
                if (!known.isLifted(day, week)) {
                    int needed =
                            (int) SessionTime.of(course.prescriptions(day, week), course.loads(day, week), resolver)
                                    .toMinutes();
                    if (needed > longest) {
                        longest = needed;
                        at = week;
                    }
                }
            }
            if (longest > minutes * 1.1) {
                marks.add(new Mark(
                        Kind.TOO_LONG,
                        Optional.of(new Place(day, 0, at, at)),
                        Optional.empty(),
                        List.of(longest, minutes)));
            }
        });
    }

    // ---- a lift with its variations

    private void families() {
        Set<Lift> roots = new LinkedHashSet<>(reckoning.families());
        for (Lift root : roots) {
            zone(root);
            firstWeek(root);
            frequency(root);
            limitEverySession(root);
        }
    }

    /** Slots of a family that are still to come, with their places. */
    private List<Place> slotsOf(Lift root) {
        List<Place> places = new ArrayList<>();
        for (int day = 0; day < block.days().size(); day++) {
            for (int slot = 0; slot < block.days().get(day).slots().size(); slot++) {
                if (catalogue
                        .root(block.days().get(day).slots().get(slot).lift())
                        .equals(root)) {
                    places.add(new Place(day, slot, 0, block.weeks() - 1));
                }
            }
        }
        return places;
    }

    private void zone(Lift root) {
        Variation variation = catalogue.of(root);
        Zone zone = known.mastery(root).map(ZONES::get).orElse(null);
        if (zone == null || !variation.contest()) {
            return;
        }
        Percent heaviest = Percent.ZERO;
        boolean ownLaw = true;
        for (Place place : slotsOf(root)) {
            Slot slot = block.days().get(place.day()).slots().get(place.slot());
            Optional<School> school = slot.school().flatMap(School::of);
            boolean limitSchool =
                    school.filter(s -> s == School.MAX_EFFORT_SPEED).isPresent();
            for (int week : weeksToCome(place.day(), slot)) {
                Percent share = heaviest(place.day(), slot, week);
                ownLaw &= school.isPresent();
                heaviest = heaviest.isLessThan(share) ? share : heaviest;
                boolean held = isHeldToZone(slot.doses().get(week).orElseThrow());
                if (held && share.isGreaterThan(zone.to().plus(ROUNDING)) && !limitSchool) {
                    add(
                            Kind.ABOVE_ZONE,
                            new Place(place.day(), place.slot(), week, week),
                            slot.lift(),
                            share,
                            zone.from(),
                            zone.to());
                    return;
                }
            }
        }
        if (!heaviest.equals(Percent.ZERO) && heaviest.isLessThan(zone.from()) && !ownLaw) {
            marks.add(new Mark(
                    Kind.BELOW_ZONE, Optional.empty(), Optional.of(root), List.of(heaviest, zone.from(), zone.to())));
        }
    }

    /** Whether a dose is held against the zone's upper end: what is led by rating finds its own load, and partials and
     * lowering have a law of their own. */
    private static boolean isHeldToZone(Dose dose) {
        return !(dose.first().basis() instanceof LoadBasis.AtRpe)
                && !dose.is(Manner.PARTIAL)
                && !dose.is(Manner.LOWERING);
    }

    /** The heaviest share a slot asks for. */
    private Percent heaviest(int day, Slot slot, int week) {
        LiftNumbers numbers = resolver.numbers(slot.lift());
        return loadsOf(day, slot, week).stream()
                .flatMap(load -> load.load().stream())
                .flatMap(load ->
                        numbers.estimate().or(numbers::workingMax).stream().map(load::percentOf))
                .max(Percent::compareTo)
                .orElse(Percent.ZERO);
    }

    private void firstWeek(Lift root) {
        Habit habit = known.habit();
        boolean begun = false;
        for (int day = 0; day < block.days().size(); day++) {
            begun |= known.isLifted(day, 0);
        }
        double asked = reckoning.family(root, 0).hardSets().doubleValue();
        if (!begun
                && habit.weeks() > 0
                && asked > habit.hardSets(root) * FAR_ABOVE
                && asked > habit.hardSets(root) + SETS_ABOVE) {
            marks.add(new Mark(
                    Kind.FIRST_WEEK_HIGH,
                    Optional.empty(),
                    Optional.of(root),
                    List.of(
                            BigDecimal.valueOf(asked).stripTrailingZeros(),
                            BigDecimal.valueOf(Math.round(habit.hardSets(root) * 2))
                                    .divide(BigDecimal.valueOf(2))
                                    .stripTrailingZeros())));
        }
    }

    private void frequency(Lift root) {
        if (!known.dietsHard()) {
            return;
        }
        for (int week = 0; week < block.weeks(); week++) {
            int days = reckoning.frequency(root, week);
            if (days >= HIGH_FREQUENCY) {
                marks.add(new Mark(
                        Kind.FREQUENCY_WHILE_DIETING, Optional.empty(), Optional.of(root), List.of(days, week + 1)));
                return;
            }
        }
    }

    private void limitEverySession(Lift root) {
        int weeksAtTheLimit = 0;
        for (int week = 0; week < block.weeks(); week++) {
            int sessions = 0;
            int atTheLimit = 0;
            for (int day = 0; day < block.days().size(); day++) {
                List<Slot> slots = block.days().get(day).slots();
                int w = week;
                List<Slot> ours = slots.stream()
                        .filter(slot -> catalogue.root(slot.lift()).equals(root)
                                && slot.doses().get(w).isPresent()
                                && slot.school()
                                        .flatMap(School::of)
                                        .filter(School::goesToTheLimit)
                                        .isEmpty())
                        .toList();
                if (!ours.isEmpty()) {
                    sessions++;
                    boolean limit = ours.stream()
                            .flatMap(slot -> slot.doses().get(w).orElseThrow().parts().stream())
                            .anyMatch(BlockReview::isToTheLimit);
                    atTheLimit += limit ? 1 : 0;
                }
            }
            weeksAtTheLimit += sessions > 1 && atTheLimit == sessions ? 1 : 0;
        }
        if (weeksAtTheLimit >= WEEKS_AT_THE_LIMIT) {
            marks.add(
                    new Mark(Kind.LIMIT_EVERY_SESSION, Optional.empty(), Optional.of(root), List.of(weeksAtTheLimit)));
        }
    }

    private static boolean isToTheLimit(Part part) {
        Rpe nearly = Rpe.parse("9.5");
        return part.work() instanceof Work.ToLimit
                || part.work() instanceof Work.Straight straight
                        && straight.plus().isPresent()
                || part.basis() instanceof LoadBasis.AtRpe at && at.rpe().compareTo(nearly) >= 0;
    }

    // ---- the whole block

    private void wholeBlock() {
        int inARow = 0;
        int longest = 0;
        for (int week = 0; week < block.weeks(); week++) {
            inARow = block.shape().get(week).deload() || block.isGap(week) ? 0 : inARow + 1;
            longest = Math.max(longest, inARow);
        }
        if (longest > MOST_WEEKS_WITHOUT_DELOAD) {
            marks.add(new Mark(Kind.NO_DELOAD, Optional.empty(), Optional.empty(), List.of(longest)));
        }
        known.daysOfBlockPutAside()
                .filter(days -> days <= TWO_WEEKS)
                .ifPresent(days ->
                        marks.add(new Mark(Kind.DROPPED_EARLY, Optional.empty(), Optional.empty(), List.of(days))));
        if (known.run() >= THIRD) {
            marks.add(new Mark(Kind.RUN_AGAIN, Optional.empty(), Optional.empty(), List.of(known.run())));
        }
    }

    private void add(Kind kind, Place place, Lift lift, Object... facts) {
        marks.add(new Mark(kind, Optional.of(place), Optional.of(lift), List.of(facts)));
    }
}
