package dev.yarbel.web.floor;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.PlateStack;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Alternatives;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.Amended;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.LiftRecord;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.SpecialWords;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** The lines of a day's slots: what each asks for, what its load hangs on, what was done of it and changed in it. */
@Component
class SlotWriter {

    private static final int MOST_SWAPS = 6;

    private final Words words;
    private final Amounts amounts;
    private final SpecialWords special;
    private final ChangeWords changeWords;

    SlotWriter(Words words, Amounts amounts, SpecialWords special, ChangeWords changeWords) {
        this.words = words;
        this.amounts = amounts;
        this.special = special;
        this.changeWords = changeWords;
    }

    /** The slots of a day, one document for each part. */
    Map<SlotPlan, DayDocument.SlotDoc> slots(FloorDay day, List<DoneSet> done, Focus focus) {
        Map<SlotPlan, DayDocument.SlotDoc> all = new LinkedHashMap<>();
        day.session().slots().forEach(slot -> all.put(slot, slot(day, slot, done, focus)));
        return all;
    }

    private DayDocument.SlotDoc slot(FloorDay day, SlotPlan slot, List<DoneSet> allDone, Focus focus) {
        MassUnit unit = day.plan().lifter().unit();
        PrescribedSets asked = slot.prescription();
        List<DoneSet> done =
                allDone.stream().filter(d -> answers(slot, d.task())).toList();
        boolean blind = asked.part().is(SetModifier.BLIND);
        DayDocument.Why why = why(day, slot, unit);
        return new DayDocument.SlotDoc(
                asked.letter(),
                asked.lift(),
                asked.part().shorthand(),
                load(slot, slot.now().load(), slot.now().isAbout(), unit),
                blind ? new DayDocument.Why(why.code(), "", "") : why,
                kit(day, slot),
                asked.part().details().reason().orElse(null),
                (int) done.stream().filter(d -> !d.task().warmUp()).count(),
                asked.sets(),
                today(day, asked, allDone, focus),
                done.stream()
                        .map(d -> doneLine(d, unit, blind)
                                .with(d.task().warmUp() ? List.of() : special.inShort(asked.part())))
                        .toList());
    }

    /** The load of a slot as it is to be seen. */
    DayDocument.Load load(SlotPlan slot, Optional<Mass> load, boolean about, MassUnit unit) {
        boolean blind = slot.prescription().part().is(SetModifier.BLIND);
        return new DayDocument.Load(
                blind ? null : load.map(l -> words.load(l, unit)).orElse(null),
                blind ? null : load.map(l -> words.other(l, unit)).orElse(null),
                about,
                blind,
                blind ? null : was(slot, unit));
    }

    /** What was changed of a slot and can be; all of it stands with the slot's first part. */
    private DayDocument.Today today(FloorDay day, PrescribedSets asked, List<DoneSet> done, Focus focus) {
        if (asked.firstSet() > 1) {
            return new DayDocument.Today(null, null, false, null, null, List.of());
        }
        boolean open = !day.finished();
        boolean chosen = focus.changing().filter(asked.letter()::equals).isPresent();
        Optional<Task> next = day.session().tasks().stream()
                .filter(task -> task.key().letter().equals(asked.letter())
                        && done.stream().noneMatch(d -> d.task().equals(task.key())))
                .findFirst();
        DayDocument.Choice choice = open && (chosen || focus.whole())
                ? new DayDocument.Choice(
                        nextSet(done, asked.letter()),
                        swaps(day, asked, day.plan().lifter().unit()))
                : null;
        return new DayDocument.Today(
                planned(day, asked),
                next.filter(task -> open).map(task -> task.key().toString()).orElse(null),
                open,
                chosen ? choice : null,
                focus.whole() ? choice : null,
                changes(day, asked.letter()));
    }

    private static int nextSet(List<DoneSet> done, String letter) {
        return 1
                + done.stream()
                        .map(DoneSet::task)
                        .filter(key -> key.letter().equals(letter) && !key.warmUp())
                        .mapToInt(TaskKey::number)
                        .max()
                        .orElse(0);
    }

    /** Whether a set belongs to this part of the day; warm-ups belong to the part they lead to. */
    static boolean answers(SlotPlan slot, TaskKey task) {
        return slot.prescription().isAnsweredBy(task)
                || task.warmUp()
                        && slot.prescription().letter().equals(task.letter())
                        && slot.prescription().firstSet() == 1;
    }

    /** What to do to the bar to get from what is on it to a load. */
    DayDocument.Change change(PlateStack onTheBar, LoadedBar loading, MassUnit unit) {
        return new DayDocument.Change(
                words.plates(onTheBar.takenOffFor(loading.stack()), unit),
                words.plates(onTheBar.addedFor(loading.stack()), unit),
                loading.stack().isEmpty());
    }

    /** The load planned before what was lifted moved it; null where it did not. */
    private String was(SlotPlan slot, MassUnit unit) {
        return slot.hasMoved()
                ? slot.planned().load().map(l -> words.load(l, unit)).orElse(null)
                : null;
    }

    // ---- what a load hangs on

    private DayDocument.Why why(FloorDay day, SlotPlan slot, MassUnit unit) {
        LiftNumbers numbers = day.plan().resolver().numbers(slot.prescription().lift());
        return slot.now()
                .known()
                .map(known -> known.origin()
                        .accept(new WhyOf(
                                numbers,
                                day.plan()
                                        .standing()
                                        .of(slot.prescription().lift())
                                        .flatMap(LiftRecord::estimate)
                                        .filter(MaxEstimate::isWide),
                                unit)))
                .orElseGet(() ->
                        new DayDocument.Why(slot.now().missing().orElseThrow().name(), null, null));
    }

    private final class WhyOf implements ResolvedLoad.Origin.Visitor<DayDocument.Why> {

        private final LiftNumbers numbers;
        private final Optional<MaxEstimate> wide;
        private final MassUnit unit;

        /** @param wide the lift's own estimate, where it is so wide that its range matters */
        private WhyOf(LiftNumbers numbers, Optional<MaxEstimate> wide, MassUnit unit) {
            this.numbers = numbers;
            this.wide = wide;
            this.unit = unit;
        }

        @Override
        public DayDocument.Why fromEstimate(ResolvedLoad.Origin.FromEstimate estimate) {
            return new DayDocument.Why(
                    "FromEstimate",
                    wide.map(range -> words.say(
                                    "slot.wide",
                                    words.about(estimate.estimate(), unit),
                                    words.about(range.low(), unit),
                                    words.about(range.high(), unit)))
                            .orElseGet(() -> through(estimate.estimate(), numbers.estimateThrough(), unit)),
                    words.percent(estimate.share()));
        }

        @Override
        public DayDocument.Why fromWorkingMax(ResolvedLoad.Origin.FromWorkingMax max) {
            return new DayDocument.Why(
                    "FromWorkingMax",
                    through(max.workingMax(), numbers.workingMaxThrough(), unit),
                    words.percent(max.share()));
        }

        @Override
        public DayDocument.Why fromOwnBest(ResolvedLoad.Origin.FromOwnBest best) {
            return new DayDocument.Why("FromOwnBest", words.about(best.best(), unit), words.percent(best.share()));
        }

        @Override
        public DayDocument.Why fromReference(ResolvedLoad.Origin.FromReference from) {
            return new DayDocument.Why(
                    "FromReference",
                    words.reference(from.of(), words.about(from.whole(), unit)),
                    words.percent(from.share()));
        }

        @Override
        public DayDocument.Why afterLastTime(ResolvedLoad.Origin.AfterLastTime after) {
            return new DayDocument.Why(
                    "Law." + after.step().answer(),
                    words.load(after.step().before(), unit),
                    words.reasons(after.step()));
        }

        @Override
        public DayDocument.Why shareOfLast(ResolvedLoad.Origin.ShareOfLast last) {
            return new DayDocument.Why("ShareOfLast", words.load(last.last(), unit), words.percent(last.share()));
        }

        @Override
        public DayDocument.Why belowPlannedTop(ResolvedLoad.Origin.BelowPlannedTop planned) {
            return new DayDocument.Why(
                    "BelowPlannedTop", words.load(planned.top(), unit), words.percent(planned.drop()));
        }

        @Override
        public DayDocument.Why belowLiftedTop(ResolvedLoad.Origin.BelowLiftedTop lifted) {
            return new DayDocument.Why(
                    lifted.missed() ? "BelowLastMade" : "BelowLiftedTop",
                    words.load(lifted.top(), unit),
                    words.percent(lifted.drop()));
        }

        @Override
        public DayDocument.Why asItStood(ResolvedLoad.Origin.AsItStood then) {
            return new DayDocument.Why("AsItStood", null, null);
        }

        @Override
        public DayDocument.Why asWritten(ResolvedLoad.Origin.AsWritten written) {
            return new DayDocument.Why("AsWritten", null, null);
        }
    }

    /** A max, with the ratio by which it was taken from another lift's. */
    private String through(Mass max, Optional<Ratio> ratio, MassUnit unit) {
        String figure = words.about(max, unit);
        return ratio.map(r -> words.say("slot.through", figure, words.percent(r.share()), words.lift(r.to())))
                .orElse(figure);
    }

    /** What makes the load: the gym and the bar or piece, with what the load is of where there are two. */
    private String kit(FloorDay day, SlotPlan slot) {
        if (slot.now().known().isEmpty()) {
            return null;
        }
        Variation variation =
                day.plan().standing().catalogue().of(slot.prescription().lift());
        Implement implement = variation.implement();
        boolean hand = implement == Implement.HANDLES || implement == Implement.DUMBBELL;
        String kit = words.say(
                hand ? "floor.kit.hand" : "floor.kit",
                day.plan().kit().gymName(),
                implement.made() == Implement.Made.FREELY
                        ? words.madeWith(implement, "")
                        : slot.now().known().get().fit().loading().kit().bar().name());
        return day.plan()
                .kit()
                .safetyHeight(variation)
                .map(height -> words.say("floor.kit.safeties", kit, height))
                .orElse(kit);
    }

    // ---- what was changed and what can be

    private String planned(FloorDay day, PrescribedSets asked) {
        boolean changed = day.changes().stream()
                .map(Sessions.FloorChange::amendment)
                .anyMatch(amendment -> amendment.letter().equals(asked.letter()) && amendment.changesTheDay());
        return changed
                ? day.plan().block().days().get(day.day()).slots().stream()
                        .filter(slot -> slot.letter().equals(asked.letter()))
                        .flatMap(slot -> slot
                                .doses()
                                .get(day.week())
                                .map(dose -> words.say(
                                        "floor.planned", words.lift(slot.lift()), words.dose(dose.shorthand())))
                                .stream())
                        .findFirst()
                        .orElse(null)
                : null;
    }

    /** What can stand in for the lift, each with the load that the same dose comes to. */
    private List<DayDocument.Swap> swaps(FloorDay day, PrescribedSets asked, MassUnit unit) {
        Catalogue catalogue = day.plan().standing().catalogue();
        Set<Tissue> aching = EnumSet.noneOf(Tissue.class);
        day.plan().lifter().aching(asked.lift(), catalogue).forEach(ache -> aching.add(ache.place()));
        return Alternatives.of(asked.lift(), aching, catalogue, MOST_SWAPS).stream()
                .map(lift -> new DayDocument.Swap(lift, loadOf(day, asked, lift, unit), !aching.isEmpty()))
                .toList();
    }

    private String loadOf(FloorDay day, PrescribedSets asked, Lift lift, MassUnit unit) {
        List<PrescribedSets> alone = Amended.of(List.of(asked), List.of(new Amendment.Swap(asked.letter(), lift)))
                .day();
        return day.plan()
                .resolver()
                .resolve(alone)
                .get(0)
                .load()
                .map(load -> words.load(load, unit))
                .orElse(null);
    }

    private List<DayDocument.ChangeLine> changes(FloorDay day, String letter) {
        return day.changes().stream()
                .filter(change -> change.amendment().letter().equals(letter))
                .filter(change -> change.amendment().changesTheDay())
                .map(change -> new DayDocument.ChangeLine(
                        change.token().toString(),
                        changeWords.say(change.amendment()),
                        change.reason().orElse(null),
                        change.byName(),
                        change.by()))
                .toList();
    }

    // ---- what was done

    DayDocument.DoneLine doneLine(DoneSet done, MassUnit unit, boolean blind) {
        LiftedSet set = done.set();
        return new DayDocument.DoneLine(
                done.task().toString(),
                done.task().warmUp(),
                blind || set.load().isZero() ? null : words.load(set.load(), unit),
                amounts.done(set, unit),
                set.effort().code(),
                SetSent.notes(set, words),
                coach(set.details().coach()));
    }

    private String coach(CoachSeen seen) {
        List<String> said = new ArrayList<>();
        seen.rating().ifPresent(rating -> said.add(words.say("coach.rating", rating.toString())));
        seen.form().ifPresent(form -> said.add(words.say("form." + form)));
        seen.reps().ifPresent(reps -> said.add(SetSent.reps(reps, words)));
        seen.link().ifPresent(link -> said.add(words.say("link." + link)));
        seen.note().ifPresent(said::add);
        return said.isEmpty() ? null : String.join("; ", said);
    }
}
