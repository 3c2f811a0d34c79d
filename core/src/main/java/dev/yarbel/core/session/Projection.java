package dev.yarbel.core.session;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.KindOfWork;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.progress.LastSession;
import dev.yarbel.core.progress.Law;
import dev.yarbel.core.progress.Result;
import dev.yarbel.core.progress.Run;
import dev.yarbel.core.record.LiftedSet;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A block worked out for one lifter from its first day to its last: what each day's doses come to. The law of each dose is
 * folded over what was lifted and run on over what was not.
 *
 * <p>A dose that hangs on the last time goes on with a <i>run</i>: sessions of the same lift and {@linkplain KindOfWork
 * kind of work}. A dose with a load of its own begins a run in its slot; one that hangs on the last time goes on with the
 * run of its slot, and a slot that never began one joins the heaviest run of its kind, or what the log holds of it from
 * before the block. So a light day that began on its own is never the last time of a heavy one. Back-offs and deload weeks
 * belong to no run.
 *
 * <p>A session that is still ahead counts as its law expects it to go. The lifter is expected to grow at a stated pace, see
 * {@link dev.yarbel.core.progress.ExpectedGain}; where a run asks for more than that gives, it counts as missed, what the
 * law says of a miss is shown from there, and the place is kept as a {@link Wall}.
 */
public final class Projection {

    /** What was lifted on the days of a block. */
    @FunctionalInterface
    public interface Log {

        /** The sets of a day and week, both from 0; empty when that day has not been finished. */
        Optional<List<DoneSet>> on(int day, int week);

        /** What a day that has begun asked for when it did; empty for one that has not, or of which nobody kept it. */
        default Optional<AskedDay> asked(int day, int week) {
            return Optional.empty();
        }

        /** Nothing was lifted. */
        Log NONE = (day, week) -> Optional.empty();
    }

    /** Somebody who lifts days that nobody has lifted: what runs then go on from. */
    @FunctionalInterface
    public interface Rehearsal {

        /**
         * The sets of a day and week, both from 0; none of a part counts as its law expects it to go.
         *
         * @param asked what the day asks for, after what was rehearsed before it
         * @param loads what that comes to, one for each
         * @param going the lifts of which a run goes on, and whose sets are wanted
         */
        List<DoneSet> lifts(int day, int week, List<PrescribedSets> asked, List<ResolvedLoad> loads, Set<Lift> going);
    }

    /**
     * Where a run first asks for more than can be expected of the lifter by then.
     *
     * @param day from 0
     * @param week from 0
     * @param load what it asks for there
     */
    public record Wall(int day, int week, String letter, Lift lift, Mass load) {}

    /** Runs that may be one another's last time. */
    private record Key(Lift lift, KindOfWork kind) {}

    private record Place(int day, int slot, int part) {}

    private static final class OpenRun {
        private LastSession last;
        private final Place start;
        private final Set<Place> members = new HashSet<>();
        private boolean atTheWall;
        /** When it was kept last, counted through the block. */
        private int kept;

        OpenRun(LastSession last, Place start, int kept) {
            this.kept = kept;
            this.last = last;
            this.start = start;
            members.add(start);
        }
    }

    private final Block block;
    private final Resolver resolver;
    private final Log log;
    private final Optional<Rehearsed> rehearsed;
    private final List<List<List<PrescribedSets>>> prescriptions = new ArrayList<>();
    private final List<List<List<ResolvedLoad>>> loads = new ArrayList<>();
    private final List<Wall> walls = new ArrayList<>();
    private final Map<Key, List<OpenRun>> openRuns = new HashMap<>();
    private int sessions;
    private Set<Lift> goingOn;

    /** @param plan the block as it stands; a day on which no run goes on asks for the same whoever rehearses it */
    private record Rehearsed(Projection plan, Rehearsal by) {}

    private Projection(Block block, Resolver resolver, Log log, Optional<Rehearsed> rehearsed) {
        this.block = block;
        this.resolver = resolver;
        this.log = log;
        this.rehearsed = rehearsed;
    }

    /** Works a block out, when it is first asked; for one open. */
    public static Projection of(Block block, Resolver resolver, Log log) {
        return new Projection(block, resolver, log, Optional.empty());
    }

    /** The same block with somebody lifting all of it that has not been lifted; at once. */
    public void rehearse(Rehearsal by) {
        new Projection(block, resolver, log, Optional.of(new Rehearsed(this, by))).work();
    }

    private void work() {
        if (!prescriptions.isEmpty()) {
            return;
        }
        int lifted = weeksLifted();
        Set<Lift> going = rehearsed.map(of -> of.plan().liftsThatGoOn()).orElseGet(this::liftsThatGoOn);
        for (int week = 0; week < block.weeks(); week++) {
            List<List<PrescribedSets>> asked =
                    new ArrayList<>(Collections.nCopies(block.days().size(), List.of()));
            List<List<ResolvedLoad>> comesTo =
                    new ArrayList<>(Collections.nCopies(block.days().size(), List.of()));
            for (int day : block.daysByDate()) {
                List<Place> places = new ArrayList<>();
                boolean fixed = rehearsed.isPresent() && !goesOn(day, going);
                List<PrescribedSets> today = fixed
                        ? rehearsed.get().plan().prescriptions(day, week)
                        : PrescribedSets.tiring(asked(day, week, places), resolver.catalogue());
                List<ResolvedLoad> todays = fixed ? rehearsed.get().plan().loads(day, week) : resolver.resolve(today);
                asked.set(day, today);
                comesTo.set(day, todays);
                Optional<List<DoneSet>> done = log.on(day, week);
                boolean lift = done.isEmpty() && rehearsed.isPresent();
                List<DoneSet> sets =
                        lift ? rehearsed.get().by().lifts(day, week, today, todays, going) : done.orElse(List.of());
                if (!fixed && !going.isEmpty() && !block.shape().get(week).deload()) {
                    for (int i = 0; i < today.size(); i++) {
                        if (!going.contains(today.get(i).lift())) {
                            continue;
                        }
                        Session session = new Session(today.get(i), todays.get(i), places.get(i), week);
                        boolean kept = lifted(session, sets);
                        if (!kept && done.isEmpty()) {
                            ahead(session, Math.max(0, week - lifted));
                        }
                    }
                }
            }
            prescriptions.add(asked);
            loads.add(comesTo);
        }
    }

    /** Whether anything that a day asks for in any week may go on with a run. */
    private boolean goesOn(int day, Set<Lift> going) {
        return block.days().get(day).slots().stream().anyMatch(slot -> going.contains(slot.lift()));
    }

    /** One part of a day, with what it comes to and where it stands. */
    private record Session(PrescribedSets asked, ResolvedLoad load, Place place, int week) {

        Part part() {
            return asked.part();
        }

        boolean goesOn() {
            return part().basis().goesOnFromLast();
        }

        Key key() {
            return new Key(asked.lift(), KindOfWork.of(part()));
        }
    }

    /** The lifts of which any dose hangs on the last time; of all others no run need be kept. */
    private Set<Lift> liftsThatGoOn() {
        if (goingOn != null) {
            return goingOn;
        }
        Set<Lift> going = new HashSet<>();
        for (TrainingDay day : block.days()) {
            for (Slot slot : day.slots()) {
                if (slot.doses().stream()
                        .flatMap(Optional::stream)
                        .flatMap(dose -> dose.parts().stream())
                        .anyMatch(Projection::mayGoOn)) {
                    going.add(slot.lift());
                }
            }
        }
        goingOn = going;
        return going;
    }

    private static boolean mayGoOn(Part part) {
        return part.basis().goesOnFromLast()
                || part.basis().isShareOfLast()
                || part.work().isClimb();
    }

    /** The last week of which a day was lifted, from 0. */
    private int weeksLifted() {
        for (int week = block.weeks() - 1; week > 0; week--) {
            for (int day = 0; day < block.days().size(); day++) {
                if (log.on(day, week).isPresent()) {
                    return week;
                }
            }
        }
        return 0;
    }

    private List<PrescribedSets> asked(int day, int week, List<Place> places) {
        List<Slot> slots = block.days().get(day).slots();
        Optional<AskedDay> stood = log.asked(day, week);
        if (stood.isPresent()) {
            return asItStood(day, slots, stood.get(), places);
        }
        List<PrescribedSets> today = new ArrayList<>();
        for (int s = 0; s < slots.size(); s++) {
            Slot slot = slots.get(s);
            int index = s;
            Optional<Dose> dose = slot.doses().get(week);
            if (dose.isPresent()) {
                List<Part> parts = dose.get().parts();
                List<PrescribedSets> ofSlot = PrescribedSets.of(
                        slot.letter(),
                        slot.lift(),
                        dose.get(),
                        part -> before(slot.lift(), parts.get(part), new Place(day, index, part)));
                for (int part = 0; part < ofSlot.size(); part++) {
                    places.add(new Place(day, index, part));
                }
                today.addAll(ofSlot);
            }
        }
        return today;
    }

    /** A slot that the plan no longer has stands behind those it has. */
    private List<PrescribedSets> asItStood(int day, List<Slot> slots, AskedDay stood, List<Place> places) {
        List<String> letters = slots.stream().map(Slot::letter).toList();
        List<PrescribedSets> today = new ArrayList<>();
        int part = 0;
        for (PrescribedSets asked : stood.prescriptions()) {
            part = asked.firstSet() == 1 ? 0 : part + 1;
            int slot = letters.indexOf(asked.letter());
            Place place = new Place(day, slot < 0 ? slots.size() + today.size() : slot, part);
            places.add(place);
            today.add(asked.after(before(asked.lift(), asked.part(), place)));
        }
        return today;
    }

    private Optional<LastSession> before(Lift lift, Part part, Place place) {
        if (!mayGoOn(part)) {
            return Optional.empty();
        }
        Key key = new Key(lift, KindOfWork.of(part));
        return runBefore(key, part, place)
                .map(open -> open.last)
                .or(() -> resolver.numbers(lift).references().lastTime(part));
    }

    /** A share of the last time is one of what the slot did last, of whatever kind: a deload may ask for fewer repetitions. */
    private Optional<OpenRun> runBefore(Key key, Part part, Place place) {
        if (!part.basis().isShareOfLast()) {
            return openRun(key, place);
        }
        return openRuns.entrySet().stream()
                .filter(entry -> entry.getKey().lift.equals(key.lift))
                .flatMap(entry -> entry.getValue().stream())
                .filter(open -> open.members.contains(place))
                .max(Comparator.comparingInt(open -> open.kept))
                .or(() -> openRun(key, place));
    }

    /** The run a place goes on with: its own, else the heaviest of its kind. */
    private Optional<OpenRun> openRun(Key key, Place place) {
        List<OpenRun> alike = openRuns.getOrDefault(key, List.of());
        return alike.stream()
                .filter(open -> open.members.contains(place))
                .findFirst()
                .or(() -> alike.stream()
                        .max(Comparator.comparing(open -> open.last.run().load())));
    }

    /** Goes on with what was lifted of a session; no where nothing of it was. */
    private boolean lifted(Session session, List<DoneSet> done) {
        List<LiftedSet> sets = done.stream()
                .filter(d -> session.asked.isAnsweredBy(d.task()))
                .map(DoneSet::set)
                .filter(set -> set.lift().equals(session.asked.lift()))
                .toList();
        if (!sets.isEmpty()) {
            Result result = Result.of(sets);
            Mass heaviest =
                    sets.stream().map(LiftedSet::load).max(Mass::compareTo).orElseThrow();
            keep(session, run(session, session.load.load().orElse(heaviest)), result, false);
        }
        return !sets.isEmpty();
    }

    private void ahead(Session session, int weeks) {
        session.load.load().ifPresent(load -> {
            Run run = run(session, load);
            boolean beyond = session.goesOn()
                    && PredictedEffort.isBeyondReach(
                            session.asked,
                            load,
                            resolver.numbers(session.asked.lift()).in(weeks));
            Optional<OpenRun> kept = keep(session, run, Law.of(session.part()).expected(run, beyond), true);
            if (beyond && kept.filter(open -> !open.atTheWall).isPresent()) {
                kept.get().atTheWall = true;
                walls.add(
                        new Wall(session.place.day, session.week, session.asked.letter(), session.asked.lift(), load));
            }
        });
    }

    private static Run run(Session session, Mass load) {
        return session.goesOn()
                ? session.asked
                        .step()
                        .map(step -> step.run().with(session.part().work(), load))
                        .orElseGet(() -> Run.start(session.part().work(), load))
                : Run.start(session.part().work(), load);
    }

    /** Keeps a session as the last of its run: one that goes on, or one that begins a run in its slot. */
    private Optional<OpenRun> keep(Session session, Run run, Result result, boolean ahead) {
        if (session.part().basis().hangsOnTop() || session.part().basis().isShareOfLast()) {
            return Optional.empty();
        }
        Key key = session.key();
        LastSession last = new LastSession(key.kind, run, result, ahead);
        Optional<OpenRun> going = session.goesOn()
                ? openRun(key, session.place)
                : openRuns.getOrDefault(key, List.of()).stream()
                        .filter(open -> open.start.equals(session.place))
                        .findFirst();
        if (going.isPresent()) {
            going.get().last = last;
            going.get().kept = ++sessions;
            going.get().members.add(session.place);
            return going;
        }
        OpenRun begun = new OpenRun(last, session.place, ++sessions);
        List<OpenRun> alike = openRuns.computeIfAbsent(key, k -> new ArrayList<>());
        alike.forEach(open -> open.members.remove(session.place));
        alike.add(begun);
        return Optional.of(begun);
    }

    /** What a day of a week asks for, both from 0. */
    public List<PrescribedSets> prescriptions(int day, int week) {
        work();
        return prescriptions.get(week).get(day);
    }

    /** What that comes to, one for each. */
    public List<ResolvedLoad> loads(int day, int week) {
        work();
        return loads.get(week).get(day);
    }

    /** Where runs first ask for more than can be expected, in the order of the block. */
    public List<Wall> walls() {
        work();
        return List.copyOf(walls);
    }
}
