package dev.yarbel.lab.proof;

import dev.yarbel.core.estimate.StrengthHistory;
import dev.yarbel.core.estimate.Trend;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.lab.lifter.Life;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * How soon the trend of a lift says that a standing max changed that did, and how often it says so of one that did not.
 * Lifters train steadily; in one week their standing max jumps, or does not.
 */
final class NoticeProof {

    static final int JUMPS_IN = 20;
    private static final int LOOKS = 10;

    private final List<Integer> weeksUntil = new ArrayList<>();
    private int lifts;
    private int looks;
    private int wrongLooks;
    private int wrongLifts;

    /**
     * @param jump as a share of the max; nothing where none is to be noticed
     */
    static NoticeProof of(long firstSeed, int lifters, double jump) {
        NoticeProof proof = new NoticeProof();
        for (Life life : Lives.of(firstSeed, lifters, one -> one.liveSteadily(JUMPS_IN + LOOKS, JUMPS_IN, jump))) {
            StrengthHistory history = Lives.history(life);
            life.tested().keySet().forEach(lift -> proof.look(life, history, lift, jump));
        }
        return proof;
    }

    private void look(Life life, StrengthHistory history, Lift lift, double jump) {
        lifts++;
        boolean noticed = false;
        boolean wrong = false;
        for (int week = 0; week < LOOKS; week++) {
            var evening = life.weeks().get(JUMPS_IN + week).last();
            Trend.Direction said = history.on(evening)
                    .estimate(lift)
                    .flatMap(estimate -> Trend.of(estimate, evening))
                    .map(Trend::direction)
                    .orElse(Trend.Direction.STANDING);
            looks++;
            if (said != Trend.Direction.STANDING && jump == 0) {
                wrongLooks++;
                wrong = true;
            }
            if (!noticed && jump != 0 && said == (jump > 0 ? Trend.Direction.UP : Trend.Direction.DOWN)) {
                weeksUntil.add(week + 1);
                noticed = true;
            }
        }
        wrongLifts += wrong ? 1 : 0;
    }

    /** How many of the lifts that changed were noticed to have within ten weeks. */
    double noticed() {
        return (double) weeksUntil.size() / lifts;
    }

    /** In how many of the looks at a lift that had not changed it was said to have. */
    double wrongAtALook() {
        return (double) wrongLooks / looks;
    }

    String row(String name) {
        return String.format(
                Locale.ROOT,
                "| %s | %d %% | %s | %s | %s |%n",
                name,
                Math.round(100 * noticed()),
                weeksUntil.isEmpty()
                        ? "–"
                        : Lives.median(
                                weeksUntil.stream().map(Integer::doubleValue).toList()),
                wrongLooks == 0 ? "–" : Math.round(100 * wrongAtALook()) + " %",
                wrongLifts == 0 ? "–" : Math.round(100.0 * wrongLifts / lifts) + " %");
    }
}
