package dev.yarbel.core.estimate;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.UsualKit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** How a lifter's lifts hang together: which is a variation of which, and whose curve it follows. */
final class Kin {

    private final Catalogue catalogue;
    private final Overrules overrules;
    private final UsualKit usual;

    Kin(Catalogue catalogue, Overrules overrules, UsualKit usual) {
        this.catalogue = catalogue;
        this.overrules = overrules;
        this.usual = usual;
    }

    /** How a set was done beside the plain lift. */
    SetUp setUp(LiftedSet set) {
        return usual.setUp(set);
    }

    /** The speed tables of a log. */
    SpeedTables speeds(List<LiftedSession> log) {
        return SpeedTables.of(usual, log);
    }

    Lift root(Lift lift) {
        return catalogue.root(lift);
    }

    /** The variations from a lift up to its root, without the root; none for a root. */
    List<Lift> line(Lift lift) {
        Lift root = root(lift);
        if (lift.equals(root)) {
            return List.of();
        }
        List<Lift> line = new ArrayList<>();
        for (Lift at = lift; !at.equals(root); at = parent(at).to()) {
            line.add(at);
        }
        return line;
    }

    /** The ratio of a variation to its parent: the coach's, or the catalogue's. */
    Ratio parent(Lift variation) {
        Ratio known = catalogue.of(variation).parent().orElseThrow();
        return overrules.ratios().containsKey(variation)
                ? new Ratio(known.to(), overrules.ratios().get(variation), Ratio.Source.COACH)
                : known;
    }

    /** The lift whose curve a lift follows: its own where the coach chose one for it, else its root's. */
    Lift curveOf(Lift lift) {
        return overrules.curves().containsKey(lift) ? lift : root(lift);
    }

    /** The curve it starts from. */
    StartingCurve startingCurve(Lift owner) {
        return overrules.curves().containsKey(owner)
                ? StartingCurve.decided(overrules.curves().get(owner))
                : StartingCurve.USUAL;
    }

    /** How the ratings of a family of lifts lean, where the coach decided that. */
    Optional<BigDecimal> decidedBias(Lift root) {
        return Optional.ofNullable(overrules.biases().get(root));
    }

    boolean flatters(Lift lift) {
        return catalogue.repsFlatterTheSingle(lift);
    }

    /** A figure that hangs in full on the max of a lift and on each ratio between it and its root. */
    Map<Unknown, Double> derivativesOfStanding(Lift lift, double each) {
        Map<Unknown, Double> derivatives = new LinkedHashMap<>();
        derivatives.put(new Unknown.Max(root(lift)), each);
        line(lift).forEach(variation -> derivatives.put(new Unknown.Share(variation), each));
        return derivatives;
    }
}
