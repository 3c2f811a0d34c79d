package dev.yarbel.core.school;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * What a block is drawn up with: the lifts a gym has the kit for, its chains and bands, and when the lifter last had a turn
 * with each.
 *
 * @param available whether the gym has what a lift is done with
 * @param changing chains and bands as a pair on the bar that the lifter may be given with a lift
 * @param lastTurn the last day a set-up was worked up to a best; empty where it never was
 */
public record Means(
        Catalogue catalogue,
        Predicate<Lift> available,
        Function<Lift, List<AccommodatingResistance>> changing,
        Function<SetUp, Optional<LocalDate>> lastTurn) {

    /** The standard lifts, no chains or bands, and no turn with anything yet. */
    public static final Means ALL = of(Catalogue.STANDARD, lift -> true);

    /**
     * A lift with what hangs on the bar.
     *
     * @param changing empty: nothing does
     */
    public record SetUp(Lift lift, Optional<AccommodatingResistance> changing) {}

    /** A gym without chains and bands, and a lifter without turns. */
    public static Means of(Catalogue catalogue, Predicate<Lift> available) {
        return new Means(catalogue, available, lift -> List.of(), setUp -> Optional.empty());
    }
}
