package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * The proposal to do another lift in the place of one in its next week of training. Its slots stand behind those they take the place
 * of, which ask for nothing in that week; sets and repetitions stay, and nothing is harder than three left. What has a load of its
 * own or hangs on the last time, or on a max that the other lift has not, begins by the rating.
 *
 * @param to the lift that is done instead
 * @param places the slots and weeks, counted from 0, that it takes
 * @param reason why it is there, in words, where anybody found them
 */
public record SwapLift(Lift lift, Lift to, List<Place> places, Optional<String> reason) implements PlanChange {

    private static final Rpe HARDEST = Rpe.of(7);
    private static final String LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";

    /** A slot in a week. */
    public record Place(SlotId slot, int week) {}

    public SwapLift {
        places = List.copyOf(places);
    }

    /** The next week's slots of a lift with another in their place; empty where it is not asked for. */
    public static Optional<SwapLift> of(PlanAhead plan, Lift lift, Lift to) {
        List<Place> places = new ArrayList<>();
        for (PlanAhead.DayAhead day : plan.nextWeekOf(lift)) {
            for (Slot slot : plan.block().days().get(day.day()).slots()) {
                if (slot.lift().equals(lift) && slot.dose(day.week()).isPresent()) {
                    places.add(new Place(slot.id(), day.week()));
                }
            }
        }
        return places.isEmpty() ? Optional.empty() : Optional.of(new SwapLift(lift, to, places, Optional.empty()));
    }

    /** The same, for a reason. */
    public SwapLift because(String words) {
        return new SwapLift(lift, to, places, Optional.of(words));
    }

    @Override
    public BlockEdit edit(PlanAhead plan, Block block, Supplier<SlotId> newSlot) {
        List<BlockEdit> edits = new ArrayList<>();
        Block now = block;
        for (Place place : places) {
            Slot slot = now.slot(place.slot).orElseThrow(() -> new IllegalStateException("no such slot"));
            TrainingDay day = now.dayOf(place.slot).orElseThrow();
            Dose dose = slot.dose(place.week).orElseThrow();
            BlockEdit out = new SetDoses(
                    List.of(new SetDoses.Change(slot.id(), place.week, Optional.of(dose), Optional.empty())));
            List<Optional<Dose>> doses = new ArrayList<>(Collections.nCopies(block.weeks(), Optional.empty()));
            doses.set(place.week, Optional.of(easier(dose, plan)));
            Slot other = new Slot(freeLetter(day), to, doses, Optional.empty(), reason).as(newSlot.get());
            DayId id = day.id();
            BlockEdit in = new SlotEdit.Add(id, day.indexOf(slot.id()) + 1, other);
            BlockEdit both = new BlockEdit.Several(List.of(out, in));
            now = both.apply(now, plan.lifted()).block();
            edits.add(both);
        }
        return new BlockEdit.Several(edits);
    }

    static String freeLetter(TrainingDay day) {
        Set<String> taken = day.slots().stream().map(Slot::letter).collect(Collectors.toSet());
        return LETTERS.chars()
                .mapToObj(letter -> String.valueOf((char) letter))
                .filter(letter -> !taken.contains(letter))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no letter is free"));
    }

    private Dose easier(Dose dose, PlanAhead plan) {
        boolean known = plan.resolver().numbers(to).estimate().isPresent()
                || plan.resolver().numbers(to).workingMax().isPresent();
        return new Dose(dose.parts().stream().map(part -> easier(part, known)).toList());
    }

    private static Part easier(Part part, boolean known) {
        LoadBasis basis = part.basis();
        boolean ofItsOwn = basis.written().isPresent()
                || basis.goesOnFromLast()
                || basis.isShareOfLast()
                || !known && basis.share().filter(share -> share.of().isMax()).isPresent();
        boolean hard = basis.rating().filter(rpe -> rpe.compareTo(HARDEST) > 0).isPresent();
        return ofItsOwn || hard ? part.with(new LoadBasis.AtRpe(HARDEST)) : part;
    }

    @Override
    public <T> T accept(Visitor<T> visitor) {
        return visitor.swapLift(this);
    }

    /** All of the lift, in that week. */
    @Override
    public Percent size() {
        return Percent.HUNDRED;
    }
}
