package dev.yarbel.web.block;

import dev.yarbel.core.adjust.PlanAhead;
import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.rehearsal.Manner;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.rehearsal.Staged;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.shape.Peak;
import dev.yarbel.core.shape.Taper;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.LifterRecord;
import dev.yarbel.web.book.PlannedDay;
import dev.yarbel.web.book.SessionLog;
import dev.yarbel.web.kit.AvailableKit;
import dev.yarbel.web.roster.LifterCard;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiPredicate;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A lifter's block with everything its loads hang on, read once for one request.
 *
 * @param copies how many blocks were given from it
 * @param gates the gates a coach opened, by slot, each with the spotter they named
 * @param sessions what was logged, by the day of the plan it answers
 * @param kit the gym its loads are made with
 * @param projection what each day's doses come to
 */
public record LifterBlock(
        LifterCard lifter,
        long blockId,
        int copies,
        Block block,
        Map<SlotId, Map<Gate, String>> gates,
        LifterRecord standing,
        Map<PlannedDay, SessionLog> sessions,
        AvailableKit kit,
        Resolver resolver,
        Projection projection,
        LocalDate today)
        implements Lifted {

    static LifterBlock of(
            LifterCard lifter,
            StoredBlock stored,
            LifterRecord standing,
            AvailableKit kit,
            Resolver resolver,
            LocalDate today) {
        Map<PlannedDay, SessionLog> sessions = standing.byPlannedDay();
        Block block = stored.block();
        return new LifterBlock(
                lifter,
                stored.id(),
                stored.copies(),
                block,
                stored.gates(),
                standing,
                sessions,
                kit,
                resolver,
                Projection.of(block, resolver, log(sessions, block)),
                today);
    }

    /** One that nobody has kept yet; nothing was lifted in it, whatever its days' numbers are. */
    static LifterBlock draft(
            LifterCard lifter,
            Block block,
            LifterRecord standing,
            AvailableKit kit,
            Resolver resolver,
            LocalDate today) {
        return new LifterBlock(
                lifter,
                0,
                0,
                block,
                Map.of(),
                standing,
                Map.of(),
                kit,
                resolver,
                Projection.of(block, resolver, Projection.Log.NONE),
                today);
    }

    LifterBlock with(AvailableKit other, Resolver resolving) {
        return new LifterBlock(
                lifter,
                blockId,
                copies,
                block,
                gates,
                standing,
                sessions,
                other,
                resolving,
                Projection.of(block, resolving, log()),
                today);
    }

    /** The same with what the book knows now. */
    LifterBlock with(LifterRecord known, Resolver resolving) {
        Map<PlannedDay, SessionLog> logged = known.byPlannedDay();
        return new LifterBlock(
                lifter,
                blockId,
                copies,
                block,
                gates,
                known,
                logged,
                kit,
                resolving,
                Projection.of(block, resolving, log(logged, block)),
                today);
    }

    /** The same with other doses, which nobody has kept yet. */
    public LifterBlock with(Block other) {
        return new LifterBlock(
                lifter,
                blockId,
                copies,
                other,
                gates,
                standing,
                sessions,
                kit,
                resolver,
                Projection.of(other, resolver, log()),
                today);
    }

    public String name() {
        return block.name();
    }

    /** Tells by one word whether days, slots and weeks are what somebody saw who wants to change them. */
    public String stamp() {
        return stamp(block);
    }

    static String stamp(Block block) {
        StringBuilder all = new StringBuilder();
        all.append(List.of(block.name(), block.start(), block.shape(), block.contest()));
        for (TrainingDay day : block.days()) {
            all.append(List.of(day.id(), day.name(), day.offset()));
            day.slots()
                    .forEach(slot ->
                            all.append(List.of(slot.id(), slot.letter(), slot.lift(), slot.school(), slot.reason())));
        }
        return UUID.nameUUIDFromBytes(all.toString().getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    // ---- what was lifted

    /** What was lifted, as the projection asks for it. */
    public Projection.Log log() {
        return log(sessions, block);
    }

    private static Projection.Log log(Map<PlannedDay, SessionLog> sessions, Block block) {
        return new Projection.Log() {

            private Optional<SessionLog> session(int day, int week) {
                return Optional.ofNullable(sessions.get(LifterBlock.planned(block, day, week)));
            }

            @Override
            public Optional<List<DoneSet>> on(int day, int week) {
                return session(day, week).filter(SessionLog::finished).map(SessionLog::sets);
            }

            @Override
            public Optional<AskedDay> asked(int day, int week) {
                return session(day, week).flatMap(SessionLog::asked);
            }
        };
    }

    private static PlannedDay planned(Block block, int day, int week) {
        return new PlannedDay(block.days().get(day).id().number(), week);
    }

    /** The key under which the book knows a day of this plan. */
    public PlannedDay planned(int day, int week) {
        return planned(block, day, week);
    }

    public Optional<SessionLog> session(int day, int week) {
        return Optional.ofNullable(sessions.get(planned(day, week)));
    }

    /** Whether a session of it was begun today and is not ended. */
    public boolean isUnderWay() {
        return today(session -> !session.finished()).anyMatch(planned -> block.indexOf(new DayId(planned.day())) >= 0);
    }

    /** The day of another block on which a session was begun today, where none of this one was. */
    Optional<PlannedDay> begunElsewhereToday() {
        List<PlannedDay> begun = today(session -> true).toList();
        return begun.stream().anyMatch(planned -> block.indexOf(new DayId(planned.day())) >= 0)
                ? Optional.empty()
                : begun.stream().findFirst();
    }

    private Stream<PlannedDay> today(Predicate<SessionLog> which) {
        return standing.log().stream()
                .filter(session -> session.date().equals(today) && which.test(session))
                .flatMap(session -> session.planned().stream());
    }

    /** Whether this day has been lifted and finished. */
    public boolean isFinished(int day, int week) {
        return session(day, week).filter(SessionLog::finished).isPresent();
    }

    @Override
    public boolean isFinished(DayId day, int week) {
        return Optional.ofNullable(sessions.get(new PlannedDay(day.number(), week)))
                .filter(SessionLog::finished)
                .isPresent();
    }

    @Override
    public boolean hasHistory(DayId day) {
        return sessions.keySet().stream().anyMatch(planned -> planned.day() == day.number());
    }

    /** The first week that nothing was logged in and nothing after; weeks before it stay where they are. */
    @Override
    public int firstOpenWeek() {
        return sessions.keySet().stream()
                .filter(planned -> block.indexOf(new DayId(planned.day())) >= 0)
                .mapToInt(planned -> planned.week() + 1)
                .max()
                .orElse(0);
    }

    // ---- gates

    /** The gates that stand closed before a dose in a slot. */
    public Set<Gate> closed(Slot slot, Dose dose) {
        return closed(slot, dose, gates);
    }

    Set<Gate> closed(Slot slot, Dose dose, Map<SlotId, Map<Gate, String>> gates) {
        Set<Gate> closed = EnumSet.noneOf(Gate.class);
        closed.addAll(Gate.before(
                standing.catalogue().root(slot.lift()),
                dose,
                resolver.numbers(slot.lift()).estimate()));
        closed.removeAll(gates.getOrDefault(slot.id(), Map.of()).keySet());
        return closed;
    }

    /** The gates of a slot that a coach opened. */
    public Set<Gate> opened(SlotId slot) {
        return gates.getOrDefault(slot, Map.of()).keySet();
    }

    /** Who stands by a slot of a day, by the gate that was opened for it. */
    public Optional<String> spotter(int day, String letter) {
        return block.days().get(day).slots().stream()
                .filter(slot -> slot.letter().equals(letter))
                .findFirst()
                .flatMap(slot -> gates.getOrDefault(slot.id(), Map.of()).values().stream()
                        .findFirst());
    }

    /** What the book knows of the lifter in a lift, as far as a gate asks. */
    public Gate.Known knownAtGate(Lift lift) {
        Catalogue catalogue = standing.catalogue();
        Lift root = catalogue.root(lift);
        Optional<Mastery> mastery = Stream.of(lift, root)
                .flatMap(l -> standing.of(l).stream())
                .map(LiftRecord::mastery)
                .flatMap(Optional::stream)
                .findFirst();
        return new Gate.Known(mastery, isInLog(root, "assisted-"), isInLog(root, "slow-lowering-"));
    }

    private boolean isInLog(Lift root, String kind) {
        return standing.log().stream()
                .flatMap(session -> session.sets().stream())
                .map(done -> done.set().lift())
                .anyMatch(lift -> lift.key().startsWith(kind)
                        && standing.catalogue().root(lift).equals(root));
    }

    /** The week that today lies in, from 0; before the block its first, after it its last. */
    public int currentWeek() {
        long days = ChronoUnit.DAYS.between(block.start(), today);
        return (int) Math.max(0, Math.min(block.weeks() - 1L, Math.floorDiv(days, 7)));
    }

    /**
     * The block with the weeks before and after a contest shaped for it, but for what was lifted: singles and openers, then less, then light.
     * One that was shaped for the day already is not made less again. Empty where it does not reach there.
     */
    public Optional<Block> shapedFor(LocalDate contest) {
        if (!contest.isAfter(block.start()) || contest.isAfter(block.end().plusDays(Taper.DAYS))) {
            return Optional.empty();
        }
        BiPredicate<Integer, Integer> stays = (day, week) ->
                block.date(day, week).isBefore(today) || session(day, week).isPresent();
        Taper taper = new Taper(contest, standing.catalogue(), resolver::numbers);
        // nobody whom something hurts is asked for heavy singles
        Block peaked = lifter.aches().isEmpty()
                ? new Peak(contest, standing.catalogue(), resolver::numbers).over(block, stays)
                : block;
        return Optional.of(taper.hasShaped(block) ? taper.again(peaked, stays) : taper.over(peaked, stays));
    }

    /** The block as it stands, and what of it is still ahead, as rules of judgement look at it. */
    public PlanAhead ahead() {
        return new PlanAhead(block, resolver, log(), this, projection, today);
    }

    /** The block lifted beforehand; empty where nothing at all is known of the lifter. */
    public Optional<Rehearsal> rehearsed(Manner manner) {
        return Rehearsal.of(
                new Staged(block, projection(), resolver, log(), standing.strength(), lifter.shareOfEstimate(), today),
                manner);
    }
}
