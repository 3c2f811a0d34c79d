package dev.yarbel.core.session;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.prescription.Part;
import java.util.EnumSet;
import java.util.Set;

/** What has to be looked over before the first set with bands or chains, or off pins; common practice, no source. */
public enum LookOver {
    /** The two bands of a pair are alike in age and make. */
    PAIR_ALIKE,
    /** The line of pull is plumb, in the path of the bar. */
    LINE_PLUMB,
    /** Bands and chains are fixed so that they cannot slip off or be stepped on. */
    FIXED,
    /** The same length of chain hangs on both sides. */
    SIDES_ALIKE,
    /** The safeties can be reached by the bar in use, with the bands on. */
    SAFETIES_REACHABLE,
    /** An old bar, fit for pins. */
    OLD_BAR,
    /** The pins stand at the same height, fully home. */
    PINS_HOME;

    /** The list for a part of a dose with a lift; empty for most. */
    public static Set<LookOver> before(Part part, Variation variation) {
        EnumSet<LookOver> list = EnumSet.noneOf(LookOver.class);
        part.changing().ifPresent(changing -> {
            list.add(changing.kind() == AccommodatingResistance.Kind.CHAINS ? SIDES_ALIKE : PAIR_ALIKE);
            list.add(LINE_PLUMB);
            list.add(FIXED);
            list.add(SAFETIES_REACHABLE);
        });
        if (variation.pins()) {
            list.add(PINS_HOME);
            list.add(SAFETIES_REACHABLE);
            list.add(OLD_BAR);
        }
        return list;
    }
}
