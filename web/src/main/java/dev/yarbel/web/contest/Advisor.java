package dev.yarbel.web.contest;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.yarbel.core.contest.Advice;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayOutlook;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.Rung;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.lift.Lift;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Says which attempt comes next, what follows it, and what the day may come to from here. What was worked out is remembered: a crew's phones
 * ask for the same again and again.
 */
@Component
class Advisor {

    private static final int MOST = 2000;
    private static final Duration KEPT = Duration.ofHours(12);

    private final Cache<Asked, Advised> known =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

    /**
     * What is advised.
     *
     * @param next empty when the attempts at the lift are over
     * @param outlook what the day may come to; empty where another lift is under way than the one that is looked at
     */
    record Advised(Optional<Rung> next, Optional<DayOutlook> outlook) {}

    /** All that an advice hangs on. */
    private record Asked(List<Double> day, ScoreCard card, Way way, Way.Asked aim, Lift lift) {}

    /**
     * What is advised at a lift from the attempts so far on.
     *
     * @param before the day as it was thought of before its first attempt
     */
    Advised at(DayStrength before, ScoreCard card, Way way, Way.Asked aim, Lift lift) {
        return known.get(new Asked(before.figures(), card, way, aim, lift), asked -> advised(before, asked));
    }

    private static Advised advised(DayStrength before, Asked asked) {
        ScoreCard card = asked.card;
        Lift lift = asked.lift;
        ContestRules rules = card.rules();
        DayStrength told = card.told(before, lift);
        List<Lift> left =
                rules.lifts().subList(rules.lifts().indexOf(lift), rules.lifts().size());
        Advice advice = asked.way.advice(told, rules, asked.aim, left);
        return new Advised(
                Rung.of(advice, told.form(lift), lift, card.at(lift), card.subtotal(lift)),
                card.isAt(lift)
                        ? Optional.of(DayOutlook.of(advice, before, card, lift, asked.aim.total()))
                        : Optional.empty());
    }
}
