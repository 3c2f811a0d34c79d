package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An attempt that is advised, worked out beforehand with what follows each outcome.
 *
 * @param chance that it is made, from 0 to 1, after what went before
 * @param then the next one after each outcome; empty after the last
 */
public record Rung(Mass load, double chance, Map<Outcome, Rung> then) {

    public Rung {
        then = Map.copyOf(then);
    }

    /** What is advised at a lift from some attempts on; empty when they are over. */
    public static Optional<Rung> of(Advice advice, LiftForm fresh, Lift lift, List<Attempt> before, Mass subtotal) {
        return advice.next(lift, before, subtotal).map(load -> {
            Map<Outcome, Rung> then = new EnumMap<>(Outcome.class);
            for (Outcome outcome : Outcome.values()) {
                List<Attempt> after = new ArrayList<>(before);
                after.add(new Attempt(load, outcome));
                of(advice, fresh, lift, after, subtotal).ifPresent(rung -> then.put(outcome, rung));
            }
            return new Rung(load, fresh.after(before).made(load), then);
        });
    }
}
