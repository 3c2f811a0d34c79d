package dev.yarbel.core.rehearsal;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.estimate.PossibleLifter;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.TaskKey;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** One possible lifter lifts the block once. */
final class DryRun implements Projection.Rehearsal {

    /** How far an estimate goes toward what a session showed; about what ours does once it knows a lifter. */
    private static final double LEARNS = 0.2;
    /** The largest step of a load where calls are taken, as a share. */
    private static final double CALL = 0.025;

    private static final double GRAMS = 1000;
    private static final double HEAVY = 0.85;
    private static final double LIGHTER = 0.95;
    /** Where a top was missed and no set before it made: the last step of a ramp. */
    private static final double LAST_WARM_UP = 0.92;

    private final Stage stage;
    private final PossibleLifter lifter;
    private final Manner manner;
    private final Tally tally;
    private final List<Lift> roots;
    private final Map<Lift, Known> known = new HashMap<>();
    private int weeksOver;
    private boolean isReady;

    /** @param roots whose maxes are followed */
    DryRun(Stage stage, PossibleLifter lifter, Manner manner, Tally tally, List<Lift> roots) {
        this.stage = stage;
        this.lifter = lifter;
        this.manner = manner;
        this.tally = tally;
        this.roots = roots;
    }

    /** What is thought of a family of lifts while the block goes on, beside what was thought when it began. */
    private static final class Known {

        /** The estimate then and now, as logarithms. */
        private final double then;

        private double now;
        /** What loads that hang on the max are worth beside the planned ones. */
        private double scale = 1;
        /** What they hang on beside what they would by the estimate. */
        private final double apart;

        private Known(double then, double apart) {
            this.then = then;
            this.now = then;
            this.apart = apart;
        }

        /** How far loads would have to go to hang on the estimate, as a share. */
        double toGo() {
            return grown() / (scale * apart) - 1;
        }

        double grown() {
            return Math.exp(now - then);
        }
    }

    /** What is kept of a session while it lasts. */
    private static final class Today {

        private final Map<Lift, Integer> sets = new HashMap<>();
        private final Map<Lift, Double> single = new HashMap<>();
        private final Set<Lift> missed = new HashSet<>();
        /** The heaviest load that was made of each part in kg, and what was asked. */
        private final double[] lifted;

        private final double[] planned;

        private Today(int parts) {
            lifted = new double[parts];
            planned = new double[parts];
        }
    }

    @Override
    public List<DoneSet> lifts(
            int day, int week, List<PrescribedSets> asked, List<ResolvedLoad> loads, Set<Lift> going) {
        if (!stage.isAhead(day, week)) {
            return List.of();
        }
        weeksGoBy(week);
        List<RehearsedPart> parts = stage.parts(day, week, asked, loads);
        lifter.until(stage.date(day, week));
        Today today = new Today(parts.size());
        List<DoneSet> done = new ArrayList<>();
        for (int at = 0; at < parts.size(); at++) {
            RehearsedPart part = parts.get(at);
            if (part.says()) {
                lift(new Place(day, week, at), part, today, going.contains(part.lift()) ? done : null);
            }
        }
        over(day, week, today);
        return done;
    }

    /** The block is over. */
    void end() {
        weeksGoBy(stage.weeks());
        ready(stage.last());
    }

    private void ready(LocalDate day) {
        if (isReady) {
            return;
        }
        isReady = true;
        lifter.until(day);
        for (Lift root : roots) {
            tally.ready(root, lifter.standing(root) * Math.exp(-lifter.taken(root)));
        }
    }

    private void weeksGoBy(int upTo) {
        for (; weeksOver < upTo; weeksOver++) {
            if (stage.last().isBefore(stage.endOf(weeksOver))) {
                ready(stage.last());
            }
            lifter.until(stage.endOf(weeksOver));
            for (Lift root : roots) {
                tally.max(root, weeksOver + 1, lifter.standing(root));
            }
        }
    }

    /** Where a part stands. */
    record Place(int day, int week, int part) {}

    private void lift(Place place, RehearsedPart part, Today today, List<DoneSet> done) {
        Lift root = part.root();
        Known about = known.computeIfAbsent(root, of -> new Known(Math.log(stage.believed(of)), stage.apart(of)));
        double byTop = byTop(part, today);
        int missed = 0;
        double left = 0;
        double kg = 0;
        for (int set = 0; set < part.sets(); set++) {
            int before = today.sets.merge(root, 1, Integer::sum) - 1;
            kg = load(part, set, about, byTop, before);
            PossibleLifter.Before as = new PossibleLifter.Before(before, isPrimed(part, kg, today), part.reps() > 1);
            double can = lifter.reps(part.lift(), kg * part.plain(), as);
            int made = reps(part, can, set);
            left = can - Math.max(part.reps(), part.open().isPresent() ? made : 0);
            boolean miss = can < part.reps();
            missed += miss ? 1 : 0;
            if (!miss) {
                today.lifted[place.part()] = Math.max(today.lifted[place.part()], kg);
            }
            if (part.reps() == 1 && !miss) {
                today.single.merge(root, kg * part.plain(), Math::max);
            }
            if (done != null) {
                done.add(set(part, set, kg, miss, made));
            }
        }
        today.planned[place.part()] = part.kg()[0];
        if (missed > 0) {
            today.missed.add(root);
        }
        tally.add(place, part, missed, left, kg);
    }

    /** What is put on for a set. */
    private double load(RehearsedPart part, int set, Known about, double byTop, int before) {
        double planned = part.kg()[set];
        if (part.asked().isPresent()) {
            return part.made(rated(part, planned * about.grown(), before), set);
        }
        if (part.top() >= 0) {
            return part.made(planned * byTop, set);
        }
        return part.movable() ? part.made(planned * about.scale, set) : planned;
    }

    /** What a top that was lifted makes of what hangs on it. */
    private static double byTop(RehearsedPart part, Today today) {
        if (part.top() < 0 || today.planned[part.top()] == 0) {
            return 1;
        }
        double lifted = today.lifted[part.top()];
        return lifted == 0 ? LAST_WARM_UP : lifted / today.planned[part.top()];
    }

    /** The load a lifter chooses who was asked for a rating: between what is planned and what feels like it. */
    private double rated(RehearsedPart part, double planned, int before) {
        double asked = part.asked().orElseThrow();
        PossibleLifter.Before last = new PossibleLifter.Before(before, false, part.reps() > 1);
        double felt = 2 * asked - lifter.said(part.lift(), asked, (int) part.reps());
        double byFeel = lifter.load(part.lift(), part.reps() + felt, last) / part.plain();
        return planned * Math.pow(byFeel / planned, manner.byFeel());
    }

    private boolean isPrimed(RehearsedPart part, double kg, Today today) {
        double single = today.single.getOrDefault(part.root(), 0.0);
        return single >= HEAVY * lifter.standing(part.root()) && kg * part.plain() <= LIGHTER * single;
    }

    private static int reps(RehearsedPart part, double can, int set) {
        int able = Math.max(0, (int) can);
        int asked = (int) Math.ceil(part.reps());
        boolean goesOn = part.open()
                .filter(open -> open.every() || set == part.sets() - 1)
                .isPresent();
        if (goesOn) {
            int upTo = (int) (can - part.open().orElseThrow().left());
            return Math.max(Math.min(asked, able), upTo);
        }
        return part.isRange()
                ? Math.max(Math.min(asked, able), Math.min(part.most(), able - 1))
                : Math.min(asked, able);
    }

    private static DoneSet set(RehearsedPart part, int set, double kg, boolean miss, int made) {
        PrescribedSets asked = part.prescription();
        int reps = part.prescription().part().work().clusters().isPresent()
                        || part.prescription().part().work().density().isPresent()
                ? miss ? asked.part().reps() - 1 : asked.part().reps()
                : made;
        return new DoneSet(
                TaskKey.work(asked.letter(), asked.firstSet() + set),
                new LiftedSet(
                        asked.lift(),
                        Mass.of(BigDecimal.valueOf(Math.round(kg * GRAMS), 3), MassUnit.KG),
                        reps,
                        miss ? new Effort.Missed() : new Effort.Unrated()));
    }

    private void over(int day, int week, Today today) {
        stage.tiring(day, week).forEach((root, share) -> {
            tally.taken(week, root, lifter.taken(root));
            lifter.trained(root, share);
        });
        for (Lift root : today.sets.keySet()) {
            Known about = known.get(root);
            about.now += LEARNS * (Math.log(lifter.shown(root)) - about.now);
            double toGo = about.toGo();
            if (manner.calls() && (today.missed.contains(root) || Math.abs(toGo) >= CALL)) {
                about.scale *= 1 + Math.max(-CALL, Math.min(CALL, toGo));
            }
        }
    }
}
