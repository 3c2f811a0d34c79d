package dev.yarbel.core.session;

import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Details;
import dev.yarbel.core.record.Worn;
import java.util.EnumSet;
import java.util.Set;

/**
 * At which set of a ramp a piece of kit goes on: sleeves from the first set, wrist
 * wraps from the first plates, a belt and straps from 80 % of the top, knee wraps last (common practice, no source; a
 * suit or shirt from 60 % on is a starting value of ours).
 */
public final class PutOn {

    private static final Percent BELT_FROM = Percent.of(80);
    private static final Percent SUIT_FROM = Percent.of(60);

    private PutOn() {}

    /**
     * What is worn for a set of what a dose says is to be worn for its work.
     *
     * @param share of the top load that the set weighs
     * @param bare whether the bar carries no plates
     */
    public static Set<Worn> worn(Details dose, Percent share, boolean bare) {
        EnumSet<Worn> worn = EnumSet.noneOf(Worn.class);
        for (Worn piece : dose.with()) {
            boolean on =
                    switch (piece) {
                        case KNEE_SLEEVES, ELBOW_SLEEVES, GRIP_SHIRT -> true;
                        case WRIST_WRAPS -> !bare;
                        case BELT, STRAPS -> !share.isLessThan(BELT_FROM);
                        case SUIT, BENCH_SHIRT -> !share.isLessThan(SUIT_FROM);
                        case KNEE_WRAPS -> !share.isLessThan(Percent.HUNDRED);
                    };
            if (on) {
                worn.add(piece);
            }
        }
        return worn;
    }
}
