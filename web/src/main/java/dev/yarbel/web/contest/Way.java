package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Advice;
import dev.yarbel.core.contest.Aim;
import dev.yarbel.core.contest.BestAttempts;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.UsualShares;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Optional;

/** How a lifter's attempts are chosen. */
public enum Way {
    /** By the usual shares of what the day may have. */
    SHARES {
        @Override
        Optional<Aim> aim(Asked asked) {
            return Optional.empty();
        }
    },
    /** As much as may be expected on average. */
    AVERAGE {
        @Override
        Optional<Aim> aim(Asked asked) {
            return Optional.of(new Aim.MostOnAverage());
        }
    },
    /** A total that is asked for, as surely as can be. */
    TOTAL {
        @Override
        Optional<Aim> aim(Asked asked) {
            return asked.total().map(Aim.AtLeast::new);
        }
    },
    /** To come in before rivals. */
    AHEAD {
        @Override
        Optional<Aim> aim(Asked asked) {
            return asked.rivals().isEmpty() ? Optional.empty() : Optional.of(new Aim.Ahead(asked.rivals()));
        }
    };

    /** What is aimed at. */
    record Asked(Optional<Mass> total, List<Aim.Rival> rivals) {}

    abstract Optional<Aim> aim(Asked asked);

    /**
     * The advice; by the usual shares where what it takes is not known.
     *
     * @param lifts still to be attempted
     */
    Advice advice(DayStrength day, ContestRules rules, Asked asked, List<Lift> lifts) {
        return aim(asked)
                .<Advice>map(aim -> new BestAttempts(day, rules, aim, lifts))
                .orElseGet(() -> new UsualShares(day, rules));
    }
}
