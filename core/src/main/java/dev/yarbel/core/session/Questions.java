package dev.yarbel.core.session;

import dev.yarbel.core.effort.RepsInAll;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails.MissedBy;
import dev.yarbel.core.session.SessionPlan.SlotPlan;
import dev.yarbel.core.session.SessionPlan.Task;
import java.util.List;
import java.util.Optional;

/** Finds what the last set raised. All bounds are starting values of ours. */
final class Questions {

    /** A top this many half points off what was asked is asked about. */
    private static final int HALVES_FAR_OFF = 3;
    /** A warm-up with this many half repetitions more left than foreseen flew. */
    private static final int HALVES_THAT_FLY = 2;

    /** Half a repetition left and less, where more was to be expected. */
    private static final int HALVES_TOO_FEW = 1;

    private static final Percent LESS = Percent.of("97.5");

    private final Resolver resolver;
    private final FloorRules rules;
    private final List<SlotPlan> slots;
    private final List<Task> tasks;
    private final Amended amended;

    Questions(Resolver resolver, FloorRules rules, List<SlotPlan> slots, List<Task> tasks, Amended amended) {
        this.resolver = resolver;
        this.rules = rules;
        this.slots = slots;
        this.tasks = tasks;
        this.amended = amended;
    }

    /** What the last of these sets raised, unless it was answered or nothing of its slot is left to decide. */
    Optional<Question> after(List<DoneSet> done) {
        if (done.isEmpty()) {
            return Optional.empty();
        }
        DoneSet last = done.get(done.size() - 1);
        if (amended.isAnswered(last.task())) {
            return Optional.empty();
        }
        int leadsTo = tasks.stream()
                .filter(task -> task.key().equals(last.task()))
                .map(task -> task.asked().firstSet())
                .findFirst()
                .orElse(1);
        return slots.stream()
                .filter(slot -> slot.prescription().letter().equals(last.task().letter()))
                .filter(slot -> last.task().warmUp()
                        ? slot.prescription().firstSet() == leadsTo
                        : slot.prescription().isAnsweredBy(last.task()))
                .findFirst()
                .flatMap(slot -> last.task().warmUp() ? afterWarmUp(slot, last) : afterWork(slot, last, done));
    }

    private Optional<Question> afterWarmUp(SlotPlan slot, DoneSet last) {
        Part part = slot.prescription().part();
        TaskKey top =
                TaskKey.work(slot.prescription().letter(), slot.prescription().firstSet());
        if (last.set().reps() > part.reps()) {
            return Optional.empty();
        }
        if (part.basis().askedSpeed().isPresent()) {
            return last.set()
                    .details()
                    .speed()
                    .filter(speed -> speed.compareTo(part.basis().askedSpeed().get()) <= 0)
                    .map(slow -> new Question.WarmUpIsTop(last.task(), top));
        }
        Optional<Rpe> asked = part.basis().leastRating();
        if (asked.isEmpty()) {
            return Optional.empty();
        }
        if (last.set()
                .effort()
                .rating()
                .filter(rpe -> rpe.compareTo(asked.get()) >= 0)
                .isPresent()) {
            return Optional.of(new Question.WarmUpIsTop(last.task(), top));
        }
        return isLastStep(last.task()) && last.set().made()
                ? largerStep(slot, last, part.basis().rating().orElseThrow())
                : Optional.empty();
    }

    private boolean isLastStep(TaskKey key) {
        return tasks.stream().anyMatch(task -> task.key().equals(key) && task.last());
    }

    private Optional<Question> largerStep(SlotPlan slot, DoneSet last, Rpe asked) {
        LiftedSet set = last.set();
        LiftNumbers numbers = resolver.numbers(set.lift());
        int left = set.effort()
                .rating()
                .map(Rpe::halvesLeft)
                .orElse(set.effort().isMoreThanFourLeft() ? Rpe.LOWEST_THAT_ESTIMATES.halvesLeft() + 1 : 0);
        boolean flew = PredictedEffort.of(set.reps(), set.load(), numbers)
                .flatMap(PredictedEffort::rating)
                .filter(foreseen -> left >= foreseen.halvesLeft() + HALVES_THAT_FLY)
                .isPresent();
        Optional<Mass> planned = slot.now().load();
        if (!flew || planned.isEmpty() || rules.held().contains(set.lift())) {
            return Optional.empty();
        }
        Mass speaksFor = numbers.curve()
                .load(
                        numbers.curve().max(set.load(), new RepsInAll(2 * set.reps() + left)),
                        slot.prescription().part().reps(),
                        asked);
        Mass bounded = Mass.min(speaksFor, planned.get().times(NextLoad.UP));
        return resolver.kit(set.lift())
                .map(loads -> loads.round(bounded, Rounding.DOWN))
                .filter(load -> load.isGreaterThan(planned.get()))
                .map(load -> new Question.LargerStep(
                        last.task(),
                        TaskKey.work(
                                slot.prescription().letter(),
                                slot.prescription().firstSet()),
                        load));
    }

    private Optional<Question> afterWork(SlotPlan slot, DoneSet last, List<DoneSet> done) {
        Part part = slot.prescription().part();
        if (part.work().isToLimit()) {
            return collapsed(slot, last, done);
        }
        boolean lastOfPart = last.task().number() >= slot.prescription().lastSet();
        if (part.basis().rating().isEmpty() && !lastOfPart) {
            return tooHeavy(slot, last);
        }
        if (part.basis().rating().isEmpty() || !lastOfPart || !isATop(slot)) {
            return Optional.empty();
        }
        Rpe asked = part.basis().rating().get();
        LiftNumbers numbers = resolver.numbers(last.set().lift());
        LiftedSet heard = numbers.heard(last.set(), asked);
        int halves = BarSequence.halvesOver(heard, part.basis());
        boolean held = rules.held().contains(last.set().lift());
        if (Math.abs(halves) < HALVES_FAR_OFF || held && halves < 0) {
            return Optional.empty();
        }
        Optional<Mass> another = NextLoad.after(heard, part.reps(), asked, numbers.curve(), NextLoad.UP)
                .flatMap(load -> resolver.kit(last.set().lift()).map(loads -> loads.round(load, resolver.rounding())));
        return Optional.of(
                new Question.TopOffTarget(last.task(), halves, !last.set().made(), another));
    }

    /** The rest of straight sets lighter, after one that took all there was; a law decides for itself what follows a miss, and nobody is advised through pain. */
    private Optional<Question> tooHeavy(SlotPlan slot, DoneSet last) {
        LiftedSet set = last.set();
        Part part = slot.prescription().part();
        boolean hard = !set.made()
                || set.effort()
                        .rating()
                        .filter(rpe -> rpe.halvesLeft() <= HALVES_TOO_FEW)
                        .isPresent();
        boolean hurt = set.details().missedBy().filter(MissedBy.PAIN::equals).isPresent();
        if (!hard
                || hurt
                || part.basis().goesOnFromLast()
                || part.work().straight().isEmpty()
                || part.is(SetModifier.SPEED)) {
            return Optional.empty();
        }
        return resolver.kit(set.lift())
                .map(loads -> loads.round(set.load().times(LESS), Rounding.DOWN))
                .filter(load -> load.isPositive() && load.isLessThan(set.load()))
                .map(load -> new Question.TooHeavy(
                        last.task(), !set.made(), load, slot.prescription().lastSet()));
    }

    /** Whether a set stands alone, or others of the day hang on it. */
    private boolean isATop(SlotPlan slot) {
        PrescribedSets prescription = slot.prescription();
        return prescription.part().isTop()
                && (prescription.part().sets() == 1
                        || slots.stream()
                                .anyMatch(other -> other.prescription().lift().equals(prescription.lift())
                                        && other.prescription().part().basis().hangsOnTop()));
    }

    private Optional<Question> collapsed(SlotPlan slot, DoneSet last, List<DoneSet> done) {
        LiftNumbers numbers = resolver.numbers(last.set().lift());
        Optional<Mass> today = done.stream()
                .map(DoneSet::set)
                .filter(set -> set != last.set() && set.lift().equals(last.set().lift()))
                .flatMap(set ->
                        set.repsThatEstimate().map(reps -> numbers.curve().max(set.load(), reps)).stream())
                .max(Mass::compareTo);
        return today.or(numbers::estimate)
                .map(max -> expected(max, last.set().load(), numbers))
                .filter(expected -> expected >= 4 && 2 * last.set().reps() <= expected)
                .map(expected ->
                        new Question.Collapsed(last.task(), expected, last.set().reps()));
    }

    /** The repetitions to be expected of a set to the limit. */
    private static int expected(Mass max, Mass load, LiftNumbers numbers) {
        int reps = 0;
        while (reps < 30
                && !max.times(numbers.curve().share(RepsInAll.toTheLimit(reps + 1)))
                        .isLessThan(load)) {
            reps++;
        }
        return reps;
    }
}
