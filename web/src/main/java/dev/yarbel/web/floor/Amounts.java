package dev.yarbel.web.floor;

import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Manner;
import dev.yarbel.core.prescription.Part;
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
        String sides = part.is(Manner.EACH_SIDE) ? words.say("amount.each-side", amount) : amount;
        return part.details()
                .within()
                .map(bound -> words.say("amount.within", sides, bound.rpe().toString()))
                .orElse(sides);
    }

    private String amount(Part part, int reps, boolean last) {
        Work work = part.work();
        if (work instanceof Work.InAll) {
            return words.say("amount.in-all", String.valueOf(reps));
        }
        if (work instanceof Work.Until until) {
            return words.say("amount.until", reps(reps), until.until().toString());
        }
        if (work instanceof Work.Straight straight) {
            if (straight.isRange()) {
                return words.say("amount.range", String.valueOf(reps), String.valueOf(straight.most()));
            }
            return straight.plus().isPresent() && last ? words.say("amount.plus", String.valueOf(reps)) : reps(reps);
        }
        if (work instanceof Work.ToLimit limit) {
            return limit.stop() instanceof Work.Stop.At at
                    ? words.say("amount.limit-at", at.rpe().toString())
                    : words.say("amount.limit");
        }
        if (work instanceof Work.Clusters clusters) {
            return words.say(
                    "amount.clusters",
                    String.valueOf(clusters.within()),
                    String.valueOf(clusters.each()),
                    seconds(clusters.gap()));
        }
        if (work instanceof Work.RepsInTime timed) {
            return words.say("amount.time", seconds(timed.time()));
        }
        if (work instanceof Work.Hold hold) {
            return words.say("amount.hold", seconds(hold.time()));
        }
        if (work instanceof Work.Carry carry) {
            String far = carry.distance().format(carry.unit(), 1);
            return carry.within()
                    .map(time -> words.say("amount.carry-in", far, seconds(time)))
                    .orElse(words.say("amount.carry", far));
        }
        if (work instanceof Work.Rounds rounds) {
            return rounds.time()
                    .map(time -> words.say("amount.rounds-in", seconds(time)))
                    .orElse(words.say("amount.round"));
        }
        if (work instanceof Work.Preparation preparation) {
            return words.say("amount.preparation", seconds(preparation.time()));
        }
        return reps(reps);
    }

    /** What was done. */
    String done(LiftedSet set, MassUnit unit) {
        if (set.details().distance().isPresent()) {
            return set.details().distance().get().format(unit == MassUnit.LB ? LengthUnit.FT : LengthUnit.M, 1);
        }
        return reps(set.reps());
    }

    private String reps(int reps) {
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
    static FloorView.Clock clock(Part part) {
        Work work = part.work();
        if (work instanceof Work.Hold hold) {
            return new FloorView.Clock("hold", hold.time().toSeconds(), 0, 1);
        }
        if (work instanceof Work.RepsInTime timed) {
            return new FloorView.Clock("time", timed.time().toSeconds(), 0, 1);
        }
        if (work instanceof Work.Preparation preparation) {
            return new FloorView.Clock("preparation", preparation.time().toSeconds(), 0, 1);
        }
        if (work instanceof Work.Carry carry) {
            return new FloorView.Clock(
                    carry.within().isPresent() ? "time" : "up",
                    carry.within().map(Duration::toSeconds).orElse(0L),
                    0,
                    1);
        }
        if (work instanceof Work.Rounds rounds) {
            return new FloorView.Clock(
                    rounds.time().isPresent() ? "time" : "up",
                    rounds.time().map(Duration::toSeconds).orElse(0L),
                    0,
                    rounds.sets());
        }
        if (work instanceof Work.Clusters clusters) {
            return new FloorView.Clock("clusters", 0, clusters.gap().toSeconds(), clusters.within());
        }
        if (work instanceof Work.Density density) {
            return new FloorView.Clock(
                    "density", density.time().toSeconds(), density.gap().toSeconds(), density.sets());
        }
        return null;
    }
}
