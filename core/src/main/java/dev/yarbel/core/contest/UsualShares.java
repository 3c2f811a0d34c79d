package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Attempts as shares of what the day may have: an opener of 91 %, a second of 96, a third of 99 to 103 by how the second moved; the same
 * again after a miss (common practice, no source). What follows an opener that hardly went up is ours: 94 %, and a fourth attempt is a step more.
 */
public final class UsualShares implements Advice {

    private static final Percent OPENER = Percent.of(91);
    private static final Percent SECOND = Percent.of(96);
    private static final Percent SECOND_AFTER_A_GRIND = Percent.of(94);
    private static final int THIRD_ATTEMPT = 2;

    private final ContestRules rules;
    private final Map<Lift, Mass> middles;

    public UsualShares(DayStrength day, ContestRules rules) {
        this.rules = rules;
        this.middles = day.lifts().stream().collect(Collectors.toMap(Function.identity(), lift -> day.form(lift)
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
        Percent share = before.size() < THIRD_ATTEMPT ? second(last.outcome()) : third(last.outcome());
        return Optional.of(Mass.max(least, rules.nearest(middle.times(share))));
    }

    private static Percent second(Outcome opener) {
        return opener == Outcome.GRIND ? SECOND_AFTER_A_GRIND : SECOND;
    }

    private static Percent third(Outcome second) {
        return switch (second) {
            case EASY -> Percent.of(103);
            case SOLID -> Percent.of(101);
            case GRIND -> Percent.of(99);
            default -> Percent.HUNDRED;
        };
    }
}
