package dev.yarbel.web.contest;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dev.yarbel.core.contest.Attempt;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.Rung;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Says which attempt comes next, and what follows it. What was worked out is remembered: a crew's phones ask for the same again and again. */
@Component
class Advisor {

    private static final int MOST = 2000;
    private static final Duration KEPT = Duration.ofHours(12);

    private final Cache<Asked, Optional<Rung>> known =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

    /** All that an advice hangs on. */
    private record Asked(
            List<Double> day, ScoreCard card, Way way, Way.Asked aim, Lift lift, List<Attempt> before, Mass subtotal) {}

    /**
     * What is advised at a lift from the attempts so far on.
     *
     * @param before the day as it was thought of before its first attempt
     */
    Optional<Rung> next(DayStrength before, ScoreCard card, Way way, Way.Asked aim, Lift lift) {
        DayStrength told = card.told(before, lift);
        List<Attempt> attempts = card.at(lift);
        Mass subtotal = card.subtotal(lift);
        return known.get(new Asked(told.figures(), card, way, aim, lift, attempts, subtotal), asked -> {
            List<Lift> lifts = card.rules()
                    .lifts()
                    .subList(
                            card.rules().lifts().indexOf(lift),
                            card.rules().lifts().size());
            return Rung.of(way.advice(told, card.rules(), aim, lifts), told.form(lift), lift, attempts, subtotal);
        });
    }
}
