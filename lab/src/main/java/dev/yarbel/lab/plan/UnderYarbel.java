package dev.yarbel.lab.plan;

import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Caps;
import dev.yarbel.core.adjust.DeloadWeek;
import dev.yarbel.core.adjust.Finding;
import dev.yarbel.core.adjust.MoveWorkingMax;
import dev.yarbel.core.adjust.NextLoads;
import dev.yarbel.core.adjust.PlanAhead;
import dev.yarbel.core.adjust.SeenSession;
import dev.yarbel.core.adjust.Subject;
import dev.yarbel.core.adjust.Tuning;
import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.RatingBias;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.progress.ExpectedGain;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.recovery.DeloadDue;
import dev.yarbel.core.recovery.Readiness;
import dev.yarbel.core.recovery.SessionLoad;
import dev.yarbel.core.recovery.TrainingSeen;
import dev.yarbel.core.recovery.Wellbeing;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.lab.lifter.TrainedLifter;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * As Yarbel plans and calls: a set of three at a rating, its load from the estimate, and fives in percent of the working max or at a rating as well, with each
 * slip of the rules of judgement taken as it is proposed, the deload among them. The rules are the application's own, and so are the
 * estimate, what a plan comes to, and the signs of fatigue.
 */
public final class UnderYarbel implements Way {

    private static final Percent FIVES_AT = Percent.of(80);
    private static final List<Lift> LIFTS = List.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT);
    private static final int WEEKS_SEEN = 6;
    private static final int MINUTES = 75;
    /** What was answered is not asked again for so long. */
    private static final int REMEMBERED = 28;
    /** No more than so many weeks without an easy one, called for or not. */
    private static final int MOST_WEEKS = 12;

    private static final Calls CALLS = new Calls(Calls.RULES);

    private final boolean answers;
    private final boolean byRatings;
    private final StrengthFilter filter = new StrengthFilter(Catalogue.STANDARD, Overrules.NONE);
    private final List<MaxOnRecord> starts = new ArrayList<>();
    private final Map<Lift, Mass> workingMax = new HashMap<>();
    private final Map<Lift, Percent> scaled = new HashMap<>();
    private final Set<Integer> easy = new HashSet<>();
    private final List<LocalDate> deloads = new ArrayList<>();
    private final List<SeenSession> seen = new ArrayList<>();
    private final List<TrainingSeen> training = new ArrayList<>();
    private final List<DoneSet> doing = new ArrayList<>();
    private final Map<Lift, List<MaxEstimate.Movement>> movements = new HashMap<>();
    private final List<LiftedSession> log = new ArrayList<>();
    private StrengthHistory history;
    private LocalDate today;
    private int week;
    private List<Lift> lifts = List.of();
    private LocalDate since;
    private int lastEasy = -1;
    private PlanAhead plan;
    private AskedDay asked;
    private Wellbeing before;
    private double left;

    /**
     * @param answers whether the slips are taken; else they are looked at and left
     * @param byRatings whether the fives hang on a rating too, and not on the working max
     */
    public UnderYarbel(TrainedLifter lifter, boolean answers, boolean byRatings) {
        this.answers = answers;
        this.byRatings = byRatings;
        for (Lift lift : LIFTS) {
            Mass tested = mass(lifter.tested(lift));
            starts.add(new MaxOnRecord(lift, tested, Lived.firstDay()));
            workingMax.put(lift, tested);
        }
        history = StrengthHistory.of(filter, starts, List.of());
    }

    private static Mass mass(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(1, RoundingMode.HALF_UP), MassUnit.KG);
    }

    @Override
    public boolean isEasy(int of) {
        if (of - lastEasy > MOST_WEEKS) {
            easy.add(of);
        }
        if (easy.contains(of)) {
            lastEasy = of;
        }
        return easy.contains(of);
    }

    @Override
    public void begin(LocalDate date, int ofWeek, List<Lift> doneToday, TrainedLifter lifter) {
        today = date;
        week = ofWeek;
        lifts = doneToday;
        doing.clear();
        left = 0;
        before = lifter.wellbeing();
        plan = plan();
        int day = (int) ChronoUnit.DAYS.between(monday(), today) / 2;
        asked = AskedDay.of(
                easy.contains(week),
                plan.projection().prescriptions(day, 0),
                plan.projection().loads(day, 0));
    }

    private LocalDate monday() {
        return Lived.firstDay().plusWeeks(week);
    }

    /** This week and the next, as they stand. */
    private PlanAhead plan() {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < Lived.sessions().size(); day++) {
            List<Slot> slots = new ArrayList<>();
            for (Lift lift : Lived.sessions().get(day)) {
                slots.add(slot(slots.size(), lift, "3 @8"));
                slots.add(slot(slots.size(), lift, "3x5 " + fives(lift)));
            }
            days.add(new TrainingDay("Day", 2 * day, slots));
        }
        Block block = new Block(monday(), 2, days);
        LifterStrength strength = history.on(today);
        Map<Lift, LiftNumbers> numbers = new HashMap<>();
        LIFTS.forEach(lift -> numbers.put(lift, numbers(strength, lift)));
        Resolver resolver = new Resolver(KitInUse.of(Gym.USUAL), Rounding.NEAREST, Numbers.of(numbers));
        Projection.Log lifted = new LiftedThisWeek(block);
        return new PlanAhead(block, resolver, lifted, Lifted.NOTHING, Projection.of(block, resolver, lifted), today);
    }

    private String fives(Lift lift) {
        return byRatings
                ? "@7"
                : FIVES_AT.times(scaled.getOrDefault(lift, Percent.HUNDRED)).format(1) + "%";
    }

    private static Slot slot(int at, Lift lift, String dose) {
        Optional<Dose> each = Optional.of(Dose.parse(dose));
        return new Slot(String.valueOf((char) ('A' + at)), lift, List.of(each, each));
    }

    private LiftNumbers numbers(LifterStrength strength, Lift lift) {
        int leaning = strength.ratingBias(lift).map(RatingBias::halvesToRead).orElse(0);
        return new LiftNumbers(
                        Optional.of(workingMax.get(lift)),
                        strength.estimate(lift).map(MaxEstimate::max),
                        strength.curve(lift)
                                .map(dev.yarbel.core.effort.RepCurve.class::cast)
                                .orElse(dev.yarbel.core.effort.RepCurve.DEFAULT))
                .leaning(leaning);
    }

    /** The block's days that were lifted. */
    private final class LiftedThisWeek implements Projection.Log {

        private final Block block;

        private LiftedThisWeek(Block block) {
            this.block = block;
        }

        @Override
        public Optional<List<DoneSet>> on(int day, int of) {
            return session(day, of).map(SeenSession::done);
        }

        @Override
        public Optional<AskedDay> asked(int day, int of) {
            return session(day, of).flatMap(SeenSession::asked);
        }

        private Optional<SeenSession> session(int day, int of) {
            LocalDate date = block.date(day, of);
            return seen.stream()
                    .skip(Math.max(0, seen.size() - 4L))
                    .filter(session -> session.date().equals(date))
                    .findFirst();
        }
    }

    /** What the plan comes to; a slot of the lift's two. */
    private double planned(Lift lift, int slot) {
        int at = 2 * lifts.indexOf(lift) + slot;
        return asked.slots()
                .get(at)
                .loads()
                .get(0)
                .load()
                .map(load -> load.kilograms())
                .orElseThrow();
    }

    @Override
    public double top(Lift lift, TrainedLifter lifter) {
        return planned(lift, 0);
    }

    @Override
    public double fives(Lift lift, TrainedLifter lifter) {
        return planned(lift, 1);
    }

    @Override
    public void done(Lift lift, List<Lived.Set> sets) {
        int at = 2 * lifts.indexOf(lift);
        for (int i = 0; i < sets.size(); i++) {
            Lived.Set set = sets.get(i);
            String letter = String.valueOf((char) ('A' + at + (i == 0 ? 0 : 1)));
            doing.add(new DoneSet(
                    TaskKey.work(letter, i == 0 ? 1 : i),
                    new LiftedSet(
                            lift,
                            mass(set.load()),
                            set.done().reps(),
                            set.done().said(),
                            SetDetails.NONE)));
            left += set.done().left() / sets.size() / lifts.size();
        }
    }

    @Override
    public void end(LocalDate date, TrainedLifter lifter) {
        List<LiftedSet> sets = doing.stream().map(DoneSet::set).toList();
        boolean isEasy = easy.contains(week);
        seen.add(new SeenSession(date, Optional.of(asked), doing, Optional.empty()));
        training.add(new TrainingSeen(
                date,
                sets,
                isEasy,
                Optional.of(before),
                Optional.of(new SessionLoad(date, lifter.effort(left), MINUTES))));
        learn(new LiftedSession(date, sets));
        since = isEasy ? null : since == null ? date : since;
        plan = plan();
        scaled.keySet().removeAll(lifts);
        LifterStrength strength = history.on(today);
        for (Lift lift : lifts) {
            look(subject(lift, strength));
        }
        look(new Subject(Subject.WHOLE, known(Lift.SQUAT, strength), plan, lately(), List.of())
                .with(readiness(strength)));
    }

    private void learn(LiftedSession session) {
        log.add(session);
        Optional<StrengthHistory.Kept> kept = history.steps().isEmpty()
                ? Optional.empty()
                : Optional.of(new StrengthHistory.Kept(
                        history.steps().get(history.steps().size() - 1).after(), List.of(), movements));
        history = StrengthHistory.of(filter, kept, starts, List.of(session));
        history.steps().forEach(step -> step.movements()
                .forEach((lift, moved) ->
                        movements.computeIfAbsent(lift, of -> new ArrayList<>()).add(moved)));
    }

    private List<SeenSession> lately() {
        return seen.stream()
                .filter(session -> session.date().isAfter(today.minusWeeks(WEEKS_SEEN)))
                .toList();
    }

    private Subject.Known known(Lift lift, LifterStrength strength) {
        return new Subject.Known(
                Optional.of(workingMax.get(lift)), strength.estimate(lift), Percent.HUNDRED, Caps.USUAL, true);
    }

    private Subject subject(Lift lift, LifterStrength strength) {
        return new Subject(lift, known(lift, strength), plan, lately(), List.of());
    }

    private Readiness readiness(LifterStrength strength) {
        List<Readiness.Progress> progress = new ArrayList<>();
        for (Lift lift : LIFTS) {
            strength.estimate(lift)
                    .flatMap(estimate -> Readiness.Progress.of(estimate, today, ExpectedGain.of(Optional.empty())))
                    .ifPresent(progress::add);
        }
        boolean atHand = easy.contains(week) || easy.contains(week + 1);
        return Readiness.of(
                today,
                training,
                progress,
                Optional.ofNullable(since),
                DeloadDue.UNKNOWN,
                atHand ? Readiness.Plan.DELOAD_AT_HAND : Readiness.Plan.TRAINING);
    }

    /** Takes the first of what was found, as the queue would show it. */
    private void look(Subject subject) {
        List<Finding> found = CALLS.look(subject, Tuning.USUAL);
        if (found.isEmpty()) {
            return;
        }
        Finding first = found.get(0);
        if (first.rule().equals("deload-suggested")
                && deloads.stream().noneMatch(last -> last.plusDays(REMEMBERED).isAfter(today))) {
            deloads.add(today);
        }
        if (answers) {
            take(first);
        }
    }

    private void take(Finding finding) {
        if (finding.proposal() instanceof MoveWorkingMax move) {
            workingMax.put(move.lift(), move.after());
        } else if (finding.proposal() instanceof NextLoads next) {
            scaled.put(next.lift(), next.share());
        } else if (finding.proposal() instanceof DeloadWeek) {
            easy.add(week + 1);
        }
    }

    @Override
    public List<LocalDate> deloadsAskedFor() {
        return List.copyOf(deloads);
    }
}
