package dev.yarbel.core.session;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.progress.LastSession;
import dev.yarbel.core.progress.Step;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;

/**
 * A part of a slot's dose on one day: its letter, the lift and the sets. The sets of a slot are numbered through its parts.
 *
 * @param sets how many sets are asked for today: those of the dose, unless the day was changed on the floor; may be none
 * @param firstSet the number of its first set within the slot, from 1
 * @param last no part of the slot follows
 * @param before the last session of the same work, where the plan knows
 * @param tired another lift before it in the session used the same muscles hard
 * @param stood what its load came to when the day's first set was logged; empty for a day that has not begun
 */
public record PrescribedSets(
        String letter,
        Lift lift,
        Part part,
        int sets,
        int firstSet,
        boolean last,
        Optional<LastSession> before,
        boolean tired,
        Optional<AskedDay.Stood> stood) {

    private static final Percent HARD_FROM = Percent.of(70);
    private static final Rpe HARD_RPE = Rpe.of(7);

    /** The first part of a dose, as the only one of its slot. */
    public PrescribedSets(String letter, Lift lift, Dose dose) {
        this(letter, lift, dose.first(), dose.first().sets(), 1, true, Optional.empty(), false, Optional.empty());
    }

    /** What a block asks for on one of its days in one of its weeks, in order; both counted from 0. */
    public static List<PrescribedSets> of(Block block, int day, int week) {
        List<PrescribedSets> prescriptions = new ArrayList<>();
        for (Slot slot : block.days().get(day).slots()) {
            slot.doses().get(week).ifPresent(dose -> prescriptions.addAll(of(slot.letter(), slot.lift(), dose)));
        }
        return prescriptions;
    }

    /** The parts of one slot's dose. */
    public static List<PrescribedSets> of(String letter, Lift lift, Dose dose) {
        return of(letter, lift, dose, index -> Optional.empty());
    }

    /**
     * The parts of one slot's dose, each after the last session of the same work. Where its law changes the sets, as
     * set-drop stages do, they are what the law asks for now.
     *
     * @param before the last session of a part's work, by its index
     */
    static List<PrescribedSets> of(String letter, Lift lift, Dose dose, IntFunction<Optional<LastSession>> before) {
        List<PrescribedSets> parts = new ArrayList<>();
        int first = 1;
        for (int i = 0; i < dose.parts().size(); i++) {
            Part part = dose.parts().get(i);
            Optional<LastSession> session = before.apply(i);
            if (part.is(SetModifier.STAGES) && session.isPresent()) {
                part = inStage(part, session.get());
            }
            boolean last = i == dose.parts().size() - 1;
            parts.add(
                    new PrescribedSets(letter, lift, part, part.sets(), first, last, session, false, Optional.empty()));
            first += part.sets();
        }
        return parts;
    }

    /** The sets and repetitions of the stage that was reached; lighter work beside it has no more of either. */
    private static Part inStage(Part part, LastSession session) {
        if (hangsOnLast(part)) {
            return part.with(session.next(part).run().work());
        }
        Work stage = session.next(part).run().work();
        return part.basis().isShareOfLast()
                ? part.with(Work.Straight.of(
                        Math.min(part.sets(), (stage.sets() + 1) / 2), Math.min(part.reps(), stage.reps())))
                : part;
    }

    private static boolean hangsOnLast(Part part) {
        return part.basis().goesOnFromLast();
    }

    /** What follows from the last session of the same work, by the law of the dose; empty where it hangs on something else. */
    public Optional<Step> step() {
        return hangsOnLast(part) || part.work().isClimb()
                ? before.map(session -> session.next(part))
                : Optional.empty();
    }

    /** Whether a work set of this number answers it; sets beyond those asked for answer the last part. */
    public boolean isAnsweredBy(TaskKey task) {
        return !task.warmUp()
                && task.letter().equals(letter)
                && task.number() >= firstSet
                && (last || task.number() < firstSet + sets);
    }

    PrescribedSets after(Optional<LastSession> session) {
        return new PrescribedSets(letter, lift, part, sets, firstSet, last, session, tired, stood);
    }

    /** The same day with what tires its later lifts: others before them that use half of their muscles or more, hard. */
    static List<PrescribedSets> tiring(List<PrescribedSets> day, Catalogue catalogue) {
        List<PrescribedSets> told = new ArrayList<>(day.size());
        Set<Lift> hard = new LinkedHashSet<>();
        for (PrescribedSets asked : day) {
            boolean tired = false;
            for (Lift before : hard) {
                tired |= !before.equals(asked.lift) && catalogue.sharesMuscles(before, asked.lift);
            }
            if (!hard.contains(asked.lift) && asked.isHard()) {
                hard.add(asked.lift);
            }
            told.add(
                    tired == asked.tired
                            ? asked
                            : new PrescribedSets(
                                    asked.letter,
                                    asked.lift,
                                    asked.part,
                                    asked.sets,
                                    asked.firstSet,
                                    asked.last,
                                    asked.before,
                                    tired,
                                    asked.stood));
        }
        return told;
    }

    private boolean isHard() {
        if (!part.work().countsReps()
                || part.is(SetModifier.SPEED)
                || part.basis().isByFeel()) {
            return false;
        }
        return part.basis()
                .share()
                .filter(share -> share.of().isMax())
                .map(share -> !share.percent().isLessThan(HARD_FROM))
                .orElse(part.basis()
                        .rating()
                        .filter(rpe -> rpe.compareTo(HARD_RPE) < 0)
                        .isEmpty());
    }

    PrescribedSets stood(AskedDay.Stood load) {
        return new PrescribedSets(letter, lift, part, sets, firstSet, last, before, tired, Optional.of(load));
    }

    /** The number of its last set within the slot; one less than the first where no set is asked for. */
    public int lastSet() {
        return firstSet + sets - 1;
    }

    /** The stem of the letter: slots that share one, C1 and C2, are done in turn where neither is to be done apart. */
    public String group() {
        if (part.is(SetModifier.APART)) {
            return letter;
        }
        String stem = letter.replaceAll("\\d+$", "");
        return stem.isEmpty() ? letter : stem;
    }

    PrescribedSets withSets(int number) {
        return new PrescribedSets(letter, lift, part, number, firstSet, last, before, tired, stood);
    }

    PrescribedSets from(int first, boolean lastOfSlot) {
        return new PrescribedSets(letter, lift, part, sets, first, lastOfSlot, before, tired, stood);
    }

    /** The same dose with another lift, of which the time before and a load written for this one say nothing. */
    PrescribedSets with(Lift other) {
        Part taken = part.basis().written().isPresent() ? part.with(LoadBasis.FEEL) : part;
        return new PrescribedSets(
                letter, other, taken, sets, firstSet, last, Optional.empty(), tired, Optional.empty());
    }
}
