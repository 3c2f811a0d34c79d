package dev.yarbel.web.floor;

import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.web.page.Words;
import java.time.Duration;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** How much of a set there is, in words: repetitions, a time, a distance; and the clock it runs by. */
@Component
class Amounts {

    private static final int A_MINUTE = 60;

    private final Words words;

    Amounts(Words words) {
        this.words = words;
    }

    /**
     * What one set of a part asks for.
     *
     * @param last it is the part's last set, where a plus belongs
     */
    String asked(Part part, int reps, boolean last) {
        String amount = amount(part, reps, last);
        String sides = part.is(SetModifier.EACH_SIDE) ? words.say("amount.each-side", amount) : amount;
        return part.details()
                .within()
                .map(bound -> words.say("amount.within", sides, bound.rpe().toString()))
                .orElse(sides);
    }

    private String amount(Part part, int reps, boolean last) {
        return part.work().accept(new Asked(reps, last));
    }

    private final class Asked implements Work.Visitor<String> {

        private final int reps;
        private final boolean last;

        private Asked(int reps, boolean last) {
            this.reps = reps;
            this.last = last;
        }

        @Override
        public String straight(Work.Straight straight) {
            if (straight.isRange()) {
                return words.say("amount.range", String.valueOf(reps), String.valueOf(straight.most()));
            }
            return straight.plus().isPresent() && last ? words.say("amount.plus", String.valueOf(reps)) : said(reps);
        }

        @Override
        public String toLimit(Work.ToLimit limit) {
            return limit.end()
                    .rating()
                    .map(rpe -> words.say("amount.limit-at", rpe.toString()))
                    .orElseGet(() -> words.say("amount.limit"));
        }

        @Override
        public String climb(Work.Climb climb) {
            return said(reps);
        }

        @Override
        public String clusters(Work.Clusters clusters) {
            return words.say(
                    "amount.clusters",
                    String.valueOf(clusters.within()),
                    String.valueOf(clusters.each()),
                    seconds(clusters.gap()));
        }

        @Override
        public String density(Work.Density density) {
            return said(reps);
        }

        @Override
        public String until(Work.Until until) {
            return words.say("amount.until", said(reps), until.until().toString());
        }

        @Override
        public String inAll(Work.InAll inAll) {
            return words.say("amount.in-all", String.valueOf(reps));
        }

        @Override
        public String repsInTime(Work.RepsInTime timed) {
            return words.say("amount.time", seconds(timed.time()));
        }

        @Override
        public String hold(Work.Hold hold) {
            return words.say("amount.hold", seconds(hold.time()));
        }

        @Override
        public String carry(Work.Carry carry) {
            String far = carry.distance().format(carry.unit(), 1);
            return carry.within()
                    .map(time -> words.say("amount.carry-in", far, seconds(time)))
                    .orElseGet(() -> words.say("amount.carry", far));
        }

        @Override
        public String rounds(Work.Rounds rounds) {
            return rounds.time()
                    .map(time -> words.say("amount.rounds-in", seconds(time)))
                    .orElseGet(() -> words.say("amount.round"));
        }

        @Override
        public String preparation(Work.Preparation preparation) {
            return words.say("amount.preparation", seconds(preparation.time()));
        }
    }

    /** What was done. */
    String done(LiftedSet set, MassUnit unit) {
        if (set.details().distance().isPresent()) {
            return words.figure(
                    set.details().distance().get().format(unit == MassUnit.LB ? LengthUnit.FT : LengthUnit.M, 1));
        }
        return said(set.reps());
    }

    private String said(int reps) {
        return words.say("times", String.valueOf(reps));
    }

    /** A time as it is said: seconds up to two minutes, then minutes. */
    private String seconds(Duration time) {
        long seconds = time.toSeconds();
        if (seconds <= 2 * A_MINUTE) {
            return words.say("seconds", String.valueOf(seconds));
        }
        return seconds % A_MINUTE == 0
                ? words.say("minutes", String.valueOf(seconds / A_MINUTE))
                : String.format(Locale.ROOT, "%d:%02d", seconds / A_MINUTE, seconds % A_MINUTE);
    }

    /** The clock of a set, null where it has none but the rest after it. */
    static DayDocument.Clock clock(Part part) {
        return part.work().accept(new ClockOf());
    }

    private static final class ClockOf implements Work.Visitor<DayDocument.Clock> {

        private static DayDocument.Clock single(String kind, Duration time) {
            return new DayDocument.Clock(kind, time.toSeconds(), 0, 1);
        }

        @Override
        public DayDocument.Clock straight(Work.Straight straight) {
            return null;
        }

        @Override
        public DayDocument.Clock toLimit(Work.ToLimit toLimit) {
            return null;
        }

        @Override
        public DayDocument.Clock climb(Work.Climb climb) {
            return null;
        }

        @Override
        public DayDocument.Clock clusters(Work.Clusters clusters) {
            return new DayDocument.Clock("clusters", 0, clusters.gap().toSeconds(), clusters.within());
        }

        @Override
        public DayDocument.Clock density(Work.Density density) {
            return new DayDocument.Clock(
                    "density", density.time().toSeconds(), density.gap().toSeconds(), density.sets());
        }

        @Override
        public DayDocument.Clock until(Work.Until until) {
            return null;
        }

        @Override
        public DayDocument.Clock inAll(Work.InAll inAll) {
            return null;
        }

        @Override
        public DayDocument.Clock repsInTime(Work.RepsInTime repsInTime) {
            return single("time", repsInTime.time());
        }

        @Override
        public DayDocument.Clock hold(Work.Hold hold) {
            return single("hold", hold.time());
        }

        @Override
        public DayDocument.Clock carry(Work.Carry carry) {
            return single(
                    carry.within().isPresent() ? "time" : "up", carry.within().orElse(Duration.ZERO));
        }

        @Override
        public DayDocument.Clock rounds(Work.Rounds rounds) {
            return new DayDocument.Clock(
                    rounds.time().isPresent() ? "time" : "up",
                    rounds.time().map(Duration::toSeconds).orElse(0L),
                    0,
                    rounds.sets());
        }

        @Override
        public DayDocument.Clock preparation(Work.Preparation preparation) {
            return single("preparation", preparation.time());
        }
    }
}
