package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Attempts as shares of what the day may have: an opener of 91 %, a second of 96, a third of 99 to 103 by how the second moved; the same
 * again after a miss (common practice, no source). Where the attempts before show a worse day, no second is called beyond the middle of what
 * may be there after them, and no third beyond what one such day of ten has. That is ours, and that a fourth attempt is a step more.
 */
public final class UsualShares implements Advice {

    private static final Percent OPENER = Percent.of(91);
    private static final Percent SECOND = Percent.of(96);
    private static final int THIRD_ATTEMPT = 2;

    private final ContestRules rules;
    private final Map<Lift, LiftForm> forms;
    private final Map<Lift, Mass> middles;
    private final Map<Told, Mass> hopes = new HashMap<>();

    public UsualShares(DayStrength day, ContestRules rules) {
        this.rules = rules;
        this.forms = day.lifts().stream().collect(Collectors.toMap(Function.identity(), day::form));
        this.middles = day.lifts().stream().collect(Collectors.toMap(Function.identity(), lift -> forms.get(lift)
                .middle()));
    }

    @Override
    public Optional<Mass> next(Lift lift, List<Attempt> before, Mass subtotal) {
        if (before.size() >= rules.most()) {
            return Optional.empty();
        }
        Mass middle = middles.get(lift);
        if (before.isEmpty()) {
            return Optional.of(rules.nearest(middle.times(OPENER)));
        }
        Attempt last = before.get(before.size() - 1);
        Mass least = rules.least(before).orElseThrow();
        if (!last.isMade() || before.size() > THIRD_ATTEMPT) {
            return Optional.of(least);
        }
        Percent share = before.size() < THIRD_ATTEMPT ? SECOND : third(last.outcome());
        Mass hope = hopes.computeIfAbsent(
                new Told(lift, List.copyOf(before)),
                told -> hope(forms.get(lift).after(told.attempts), told.attempts.size()));
        return Optional.of(Mass.max(least, rules.nearest(Mass.min(hope, middle.times(share)))));
    }

    private static Mass hope(LiftForm told, int attempts) {
        return attempts < THIRD_ATTEMPT ? told.middle() : told.high();
    }

    private record Told(Lift lift, List<Attempt> attempts) {}

    private static Percent third(Outcome second) {
        return switch (second) {
            case EASY -> Percent.of(103);
            case SOLID -> Percent.of(101);
            case GRIND -> Percent.of(99);
            default -> Percent.HUNDRED;
        };
    }
}
