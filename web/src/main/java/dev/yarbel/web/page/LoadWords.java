package dev.yarbel.web.page;

import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;

/** How loads, lifts and shares read on a page, {@code @words} in templates. A load is always figure and unit. */
@Component("words")
public class LoadWords {

    private final MessageSource messages;

    LoadWords(MessageSource messages) {
        this.messages = messages;
    }

    /** A load that can be put on a bar, in full: {@code 142.5 kg}. */
    public String load(Mass mass, MassUnit unit) {
        return mass.format(unit, 2);
    }

    /** An estimate, to half of what anybody could load: {@code 187.6 kg}. */
    public String about(Mass mass, MassUnit unit) {
        return mass.format(unit, unit == MassUnit.KG ? 1 : 0);
    }

    /** The other unit, for a hover: {@code 314.2 lb}. */
    public String other(Mass mass, MassUnit unit) {
        return mass.format(unit.other(), 1);
    }

    /** A movement with its sign: {@code +2.5 kg}, {@code −5 kg}. */
    public String moved(Mass mass, MassUnit unit) {
        String figure = mass.abs().format(unit, 1);
        return figure.startsWith("0 ") ? figure : (mass.isNegative() ? "−" : "+") + figure;
    }

    /** A share, its sign never alone on a line: {@code 72.5 %}. */
    public String percent(Percent percent) {
        return percent.format(1) + "\u00a0%";
    }

    public String lift(Lift lift) {
        return messages.getMessage("lift." + lift.key(), null, lift.key(), Locale.ENGLISH);
    }

    /** Plates as they are picked up: {@code 20 + 2.5}; with the unit only where it is not the lifter's. */
    public String plates(List<Plate> plates, MassUnit unit) {
        return plates.stream()
                .map(plate -> plate.castIn() == unit ? plate.label() : plate.toString())
                .collect(Collectors.joining(" + "));
    }
}
