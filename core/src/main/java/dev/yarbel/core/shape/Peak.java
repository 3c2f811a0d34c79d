package dev.yarbel.core.shape;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.WithinReach;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.function.Function;

/**
 * What the five weeks before a contest ask of the lifts that are contested: a single from 90 % up once a week, in the kit of the day, and
 * the opener on the last day that is heavy; {@link Taper} says which that is. The single stands before the sets that were planned, one of which gives way.
 *
 * <p>Heavy singles are a skill of their own, and an opener that was never done is reckless (common practice, no source); that they begin five
 * weeks out, and rise from 90 to 95 %, is ours. A run that follows a law of its own is left alone, as its next load would hang on the single; so
 * is a block that trains events, which lead to the loads that were announced.
 *
 * @param contest the day
 * @param numbers what the loads of a lift hang on
 */
public record Peak(LocalDate contest, Catalogue catalogue, Function<Lift, LiftNumbers> numbers) {

    /** The days before the contest in which singles are done. */
    public static final int DAYS = 35;

    /** What is loaded on the last heavy day, as a share of what is there: the opener as it is usually chosen. */
    public static final Percent OPENER = Percent.of(91);

    private static final Percent HEAVY = Percent.of(90);
    private static final Percent HEAVIER = Percent.of("92.5");
    private static final Percent HEAVIEST = Percent.of(95);
    private static final int WEEK = 7;
    /** The fewest days between two singles. */
    private static final int APART = 5;

    private static final int FOUR_WEEKS = 28;
    private static final int THREE_WEEKS = 21;
    /** What a single is rated at that stands for one of 90 % and more. */
    private static final Rpe EIGHT = Rpe.of(8);

    private static final Set<SetModifier> OTHERWISE = Set.of(
            SetModifier.SPEED,
            SetModifier.STAGES,
            SetModifier.PARTIAL,
            SetModifier.LOWERING,
            SetModifier.ASSISTED,
            SetModifier.CHOICE,
            SetModifier.CHOICE_OF_STRENGTH,
            SetModifier.CHOICE_OF_WEAKNESS);

    private record Place(int day, int slot, int week, int out) {}

    /**
     * A block with the weeks before the contest leading to it; weeks that are easy stay easy.
     *
     * @param stays whether a day of a week, both from 0, is left as it is
     */
    public Block over(Block block, BiPredicate<Integer, Integer> stays) {
        if (block.slots().anyMatch(slot -> Taper.isEvent(catalogue.of(slot.lift())))) {
            return block;
        }
        Block peaked = block;
        Set<Integer> weeks = new HashSet<>();
        for (Lift lift :
                block.slots().map(Slot::lift).distinct().filter(this::isPeaked).toList()) {
            List<Place> places = places(block, lift, stays);
            Optional<Place> last = places.stream().min(Comparator.comparing(Place::out));
            for (Place place : places) {
                Dose dose = dose(block, place).orElseThrow();
                Percent share = last.filter(place::equals).isPresent() ? OPENER : share(place.out());
                peaked = with(peaked, place, withSingle(dose, share, numbers.apply(lift)));
                weeks.add(place.week());
            }
        }
        List<BlockWeek> shape = new ArrayList<>(block.shape());
        weeks.forEach(week -> shape.set(week, BlockWeek.of(Phase.PEAK)));
        return peaked.with(peaked.days(), shape);
    }

    private boolean isPeaked(Lift lift) {
        Variation variation = catalogue.of(lift);
        return variation.contest() && variation.implement() == Implement.BARBELL;
    }

    /** Places about a week apart, the last one first: where the lift is heaviest, of such the last. */
    private List<Place> places(Block block, Lift lift, BiPredicate<Integer, Integer> stays) {
        int least = Taper.lastHeavy(lift, catalogue).orElseThrow();
        List<Place> all = new ArrayList<>();
        for (int day = 0; day < block.days().size(); day++) {
            List<Slot> slots = block.days().get(day).slots();
            for (int slot = 0; slot < slots.size(); slot++) {
                for (int week = 0; week < block.weeks(); week++) {
                    int out = (int) ChronoUnit.DAYS.between(block.date(day, week), contest);
                    if (slots.get(slot).lift().equals(lift)
                            && out >= least
                            && out <= DAYS
                            && !block.shape().get(week).deload()
                            && !stays.test(day, week)
                            && slots.get(slot)
                                    .dose(week)
                                    .filter(Peak::takesASingle)
                                    .isPresent()) {
                        all.add(new Place(day, slot, week, out));
                    }
                }
            }
        }
        LiftNumbers known = numbers.apply(lift);
        Comparator<Place> heaviest = Comparator.comparing(
                        (Place place) -> load(dose(block, place).orElseThrow().first(), known))
                .thenComparing(Place::out, Comparator.reverseOrder());
        // from the day back, so that the last one is the last heavy day's
        List<Place> chosen = new ArrayList<>();
        int from = least;
        int to = least + WEEK - 1;
        while (from <= DAYS) {
            int first = from;
            int last = to;
            Optional<Place> best = all.stream()
                    .filter(place -> place.out() >= first && place.out() <= last)
                    .max(heaviest);
            best.ifPresent(chosen::add);
            int next = best.map(Place::out).orElse(to - APART + 1);
            from = next + APART;
            to = next + WEEK + (WEEK - APART);
        }
        return chosen;
    }

    private static Mass load(Part part, LiftNumbers known) {
        Optional<Mass> rated = part.basis().rating().flatMap(rpe -> known.estimate()
                .or(known::workingMax)
                .map(max -> known.curve().load(max, part.reps(), rpe)));
        return WithinReach.load(part, known).or(() -> rated).orElse(Mass.ZERO);
    }

    private static Percent share(int out) {
        return out > FOUR_WEEKS ? HEAVY : out > THREE_WEEKS ? HEAVIER : HEAVIEST;
    }

    private static Optional<Dose> dose(Block block, Place place) {
        return block.days().get(place.day()).slots().get(place.slot()).dose(place.week());
    }

    private static Block with(Block block, Place place, Dose dose) {
        SlotId id = block.days().get(place.day()).slots().get(place.slot()).id();
        return block.withSlots(slot -> slot.id().equals(id) ? slot.with(place.week(), Optional.of(dose)) : slot);
    }

    // ---- one dose

    /** Whether a single can stand before it without moving what follows. */
    private static boolean takesASingle(Dose dose) {
        Part first = dose.first();
        return first.work().straight().isPresent()
                && first.work().stop().isEmpty()
                && !first.basis().goesOnFromLast()
                && first.changing().isEmpty()
                && (first.basis().share().filter(share -> !share.isOwnBody()).isPresent()
                        || first.basis().rating().isPresent()
                        || first.basis().written().isPresent())
                && dose.parts().size() < Dose.MOST_PARTS
                && dose.parts().stream().noneMatch(part -> OTHERWISE.stream().anyMatch(part::is));
    }

    private static Dose withSingle(Dose dose, Percent share, LiftNumbers known) {
        Part first = dose.first();
        if (isHeavySingle(first)) {
            return dose;
        }
        Part single = Part.of(Work.Straight.of(1, 1), basis(share, known))
                .with(first.details().withNothingLeftOff().ofTheSets());
        List<Part> parts = new ArrayList<>();
        parts.add(single);
        Work.Straight work = first.work().straight().orElseThrow();
        // the top that other sets hang on is the last one of the day, so it is not this one
        parts.add(first.with(new Work.Straight(Math.max(1, work.sets() - 1), work.reps(), work.most(), work.plus())));
        parts.addAll(dose.parts().subList(1, dose.parts().size()));
        return new Dose(parts);
    }

    private static boolean isHeavySingle(Part part) {
        return part.reps() == 1
                && (part.percent().filter(share -> !share.isLessThan(HEAVY)).isPresent()
                        || part.basis()
                                .rating()
                                .filter(rpe -> rpe.compareTo(EIGHT) >= 0)
                                .isPresent());
    }

    private static LoadBasis basis(Percent share, LiftNumbers known) {
        if (known.estimate().isPresent()) {
            return new LoadBasis.Share(Reference.Named.ESTIMATE, share);
        }
        return known.workingMax().isPresent() ? LoadBasis.ofWorkingMax(share) : new LoadBasis.AtRpe(EIGHT);
    }
}
