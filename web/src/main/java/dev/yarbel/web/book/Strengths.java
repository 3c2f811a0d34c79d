package dev.yarbel.web.book;

import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.estimate.MaxOnRecord;
import dev.yarbel.core.estimate.Overrules;
import dev.yarbel.core.estimate.StrengthFilter;
import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.record.LiftedSession;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * What lifters' logs make believe of them, worked out once for the same log: most pages ask again before anything was lifted. What is kept
 * hangs on nothing but what it was worked out from, so that it is never stale, on any copy of the application.
 */
@Component
class Strengths {

    private static final int LIFTERS = 100;

    private final Map<Long, Remembered> latest = new LinkedHashMap<>(LIFTERS, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, Remembered> eldest) {
            return size() > LIFTERS;
        }
    };

    /** All that a lifter's strength is worked out from. */
    record From(
            Map<Lift, Ratio> ratios,
            Overrules overrules,
            List<MaxOnRecord> maxes,
            List<LiftedSession> finished,
            LocalDate day) {}

    private record Remembered(From from, LifterStrength strength) {}

    /** What is believed of a lifter on a day. */
    LifterStrength of(
            long lifterId,
            Catalogue catalogue,
            Overrules overrules,
            List<MaxOnRecord> maxes,
            List<LiftedSession> finished,
            LocalDate day) {
        From from = new From(catalogue.ratios(), overrules, maxes, finished, day);
        synchronized (latest) {
            Remembered known = latest.get(lifterId);
            if (known != null && known.from.equals(from)) {
                return known.strength;
            }
        }
        LifterStrength strength = workedOut(catalogue, overrules, maxes, finished, day);
        synchronized (latest) {
            latest.put(lifterId, new Remembered(from, strength));
        }
        return strength;
    }

    /** The same without remembering it. */
    LifterStrength workedOut(
            Catalogue catalogue,
            Overrules overrules,
            List<MaxOnRecord> maxes,
            List<LiftedSession> finished,
            LocalDate day) {
        return StrengthHistory.of(new StrengthFilter(catalogue, overrules), maxes, finished)
                .on(day);
    }
}
