package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Aim;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.Placed;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Whom somebody lifts against: those of a contest who have ended, or of whom a total is expected. */
final class Rivals {

    /** How far off an expected total may be, one standard deviation; ours. */
    private static final Percent DOUBT = Percent.of(2);

    private Rivals() {}

    /** What an entry's attempts are to reach, before anybody has lifted. */
    static Way.Asked asked(List<EntryEntity> entries, EntryEntity of) {
        return new Way.Asked(
                of.asked(),
                others(entries, of)
                        .flatMap(other -> other.expected().stream().map(total -> expected(total, other, of)))
                        .toList());
    }

    /** The same on the day: who has ended has the total they have, and who is out is nobody's rival. */
    static Way.Asked asked(DayView.Made made, EntryEntity of) {
        return new Way.Asked(
                of.asked(),
                others(made.entries(), of)
                        .flatMap(other -> rival(other, made.card(other), of).stream())
                        .toList());
    }

    private static Stream<EntryEntity> others(List<EntryEntity> entries, EntryEntity of) {
        return entries.stream()
                .filter(other -> other.id() != of.id())
                .filter(other -> other.sex().isEmpty()
                        || of.sex().isEmpty()
                        || other.sex().equals(of.sex()));
    }

    private static Optional<Aim.Rival> rival(EntryEntity other, ScoreCard card, EntryEntity of) {
        if (card.isOut()) {
            return Optional.empty();
        }
        boolean ended = card.rules().lifts().stream().allMatch(card::isOver);
        return ended
                ? card.total().map(total -> new Aim.Rival(total, Mass.ZERO, isLighter(other, of)))
                : other.expected().map(total -> expected(total, other, of));
    }

    private static Aim.Rival expected(Mass total, EntryEntity other, EntryEntity of) {
        return new Aim.Rival(total, total.times(DOUBT), isLighter(other, of));
    }

    private static boolean isLighter(EntryEntity one, EntryEntity other) {
        return one.bodyMass()
                .flatMap(mass -> other.bodyMass().filter(mass::isLessThan))
                .isPresent();
    }

    /**
     * What the last lift must be made with to come before somebody.
     *
     * @param total of theirs
     * @param expected whether it is only expected of them
     */
    record ToPass(EntryEntity other, Mass total, boolean expected, Mass load) {}

    /** Whom a lifter may still pass by their last lift, the lightest load first; nobody at another lift. */
    static List<ToPass> toPass(DayView.Made made, EntryEntity of, Lift lift) {
        ContestRules rules = made.contest().rules();
        ScoreCard card = made.card(of);
        boolean last = rules.lifts().indexOf(lift) == rules.lifts().size() - 1;
        if (card.isOut() || !last) {
            return List.of();
        }
        Optional<Mass> best = card.best(lift);
        return others(made.entries(), of)
                .flatMap(other -> rival(other, made.card(other), of).stream()
                        .map(rival -> new ToPass(
                                other,
                                rival.total(),
                                !rival.doubt().isZero(),
                                Placed.toPass(rules, card.subtotal(lift), rival.total(), isLighter(of, other)))))
                // behind already, whatever is lifted
                .filter(pass -> pass.load.isGreaterThan(rules.step()))
                .filter(pass -> best.filter(done -> !done.isLessThan(pass.load)).isEmpty())
                .sorted(Comparator.comparing(ToPass::load))
                .toList();
    }
}
