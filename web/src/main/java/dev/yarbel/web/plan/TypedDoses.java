package dev.yarbel.web.plan;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.web.block.LifterBlock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** What a coach typed into a cell, for one lifter and lift: as it is read, or what stands against keeping it. */
final class TypedDoses {

    /** A load without a unit outside these shares of the max is asked about (starting values of ours). */
    private static final Percent LIKELY_FROM = Percent.of(45);

    private static final Percent LIKELY_TO = Percent.of(115);
    private static final int MOST_TYPOS = 3;
    private static final LevenshteinDistance TYPOS = new LevenshteinDistance(MOST_TYPOS);

    private TypedDoses() {}

    /** The dose; empty for one that cannot be read, and for a day off. */
    static Optional<Dose> read(LifterBlock plan, String text) {
        return DoseParser.isOff(text)
                ? Optional.empty()
                : DoseParser.parse(text, plan.lifter().unit()).dose();
    }

    /** Why a text cannot be kept as it stands; empty for one that can, or that is off. */
    static Optional<CellView.Trouble> trouble(LifterBlock plan, Lift lift, String text) {
        if (DoseParser.isOff(text)) {
            return Optional.empty();
        }
        DoseParser.Result result = DoseParser.parse(text, plan.lifter().unit());
        if (result.dose().isEmpty()) {
            return result.trouble().map(unreadable -> CellView.Unreadable.of(text, unreadable));
        }
        Dose dose = result.dose().get();
        Optional<CellView.Trouble> noLift = dose.parts().stream()
                .flatMap(part -> otherLift(part).stream())
                .filter(other -> plan.standing().catalogue().find(other).isEmpty())
                .map(other -> (CellView.Trouble) new CellView.NoSuchLift(other.key(), nearest(plan, other, text)))
                .findFirst();
        return noLift.or(() -> result.unitGuessed() ? unlikelyLoad(plan, lift, dose) : Optional.empty())
                .or(() -> bodyOnTheBar(plan, lift, dose, text));
    }

    private static Optional<Lift> otherLift(Part part) {
        return part.basis().belowTop().flatMap(LoadBasis.BelowTop::of).or(() -> part.basis()
                .share()
                .flatMap(share -> share.of().otherLift()));
    }

    /** The text with the lift of the closest name. */
    private static Optional<String> nearest(LifterBlock plan, Lift other, String text) {
        return plan.standing().catalogue().all().stream()
                .map(variation -> variation.lift().key())
                .map(key -> Map.entry(key, TYPOS.apply(other.key(), key)))
                .filter(near -> near.getValue() >= 0
                        && 2 * near.getValue() < other.key().length())
                .min(Comparator.comparingInt(Map.Entry::getValue))
                .map(near -> text.replaceFirst("(?i)\\b" + other.key() + "\\b", near.getKey()));
    }

    private static Optional<CellView.Trouble> unlikelyLoad(LifterBlock plan, Lift lift, Dose dose) {
        LiftNumbers numbers = plan.resolver().numbers(lift);
        Optional<Mass> max = numbers.estimate().or(numbers::workingMax);
        MassUnit unit = plan.lifter().unit();
        return max.flatMap(known -> dose.parts().stream()
                .flatMap(part -> part.basis().written().stream())
                .filter(load -> load.isLessThan(known.times(LIKELY_FROM)) || load.isGreaterThan(known.times(LIKELY_TO)))
                .findFirst()
                .map(load -> new CellView.Asked(
                        "unit",
                        List.of(
                                load.figure(unit, 2),
                                unit.symbol(),
                                load.percentOf(known).format(0),
                                known.figure(unit, 1)))));
    }

    /** Body mass on a bar is rather meant for a lift of the body; whoever means it writes 1bw. */
    private static Optional<CellView.Trouble> bodyOnTheBar(LifterBlock plan, Lift lift, Dose dose, String text) {
        Variation variation = plan.standing().catalogue().of(lift);
        boolean bar = variation.implement() != Implement.BODY
                && variation.implement().made() == Implement.Made.PLATES
                && variation.implement() != Implement.YOKE;
        boolean body = dose.parts().stream()
                .anyMatch(part ->
                        part.basis().share().filter(LoadBasis.Share::isOwnBody).isPresent());
        return bar && body && !text.matches("(?i).*(?:\\dbw|%\\s*bw).*")
                ? Optional.of(new CellView.Asked("body", List.of()))
                : Optional.empty();
    }
}
