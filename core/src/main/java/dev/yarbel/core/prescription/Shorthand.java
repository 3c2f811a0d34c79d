package dev.yarbel.core.prescription;

import dev.yarbel.core.measure.Percent;
import java.time.Duration;

/** Prints what {@link DoseParser} reads. */
final class Shorthand {

    private Shorthand() {}

    /** Whether these sets stand without a word about their load. */
    static boolean needsNoLoad(Work work) {
        return !work.countsReps() || work instanceof Work.Climb || work instanceof Work.ToLimit;
    }

    /** @param bare a single set is written without its {@code 1x} */
    static String of(Work work, boolean bare) {
        if (work instanceof Work.Straight straight) {
            String range = straight.isRange() ? "-" + straight.most() : "";
            String plus = straight.plus().map(stop -> "+" + of(stop)).orElse("");
            String sets = straight.mostSets() > straight.sets()
                    ? straight.sets() + "-" + straight.mostSets() + "x"
                    : sets(straight.sets(), bare);
            return sets + straight.reps() + range + plus;
        }
        if (work instanceof Work.ToLimit limit) {
            return sets(limit.sets(), true) + "max" + of(limit.stop());
        }
        if (work instanceof Work.Climb climb) {
            return "climb " + climb.reps() + " to @" + climb.until();
        }
        if (work instanceof Work.Clusters clusters) {
            String upTo = clusters.most() > clusters.each() ? "-" + clusters.most() : "";
            return clusters.sets() + "x(" + clusters.within() + "x" + clusters.each() + upTo + " "
                    + clusters.gap().toSeconds() + "s)";
        }
        if (work instanceof Work.Until until) {
            return until.reps() + "x";
        }
        if (work instanceof Work.InAll inAll) {
            return inAll.reps() + " reps";
        }
        if (work instanceof Work.Density density) {
            return density.sets() + "x" + density.reps() + (density.beyond() ? "+" : "") + " in " + of(density.time())
                    + " gap " + density.gap().toSeconds();
        }
        if (work instanceof Work.RepsInTime reps) {
            return sets(reps.sets(), true) + "max in " + of(reps.time());
        }
        if (work instanceof Work.Hold hold) {
            return hold.sets() + "x" + hold.time().toSeconds() + "s";
        }
        if (work instanceof Work.Carry carry) {
            return carry.sets() + "x"
                    + carry.distance().in(carry.unit()).stripTrailingZeros().toPlainString()
                    + carry.unit().symbol()
                    + carry.within().map(time -> " in " + of(time)).orElse("");
        }
        if (work instanceof Work.Rounds rounds) {
            return rounds.goal().map(goal -> goal + " ").orElse("") + "rounds"
                    + rounds.time().map(time -> " in " + of(time)).orElse("");
        }
        return "prep " + of(((Work.Preparation) work).time());
    }

    static String of(LoadBasis basis) {
        if (basis instanceof LoadBasis.AtRpe at) {
            return "@" + (at.least().equals(at.rpe()) ? "" : at.least() + "-") + at.rpe();
        }
        if (basis instanceof LoadBasis.Share share) {
            return of(share);
        }
        if (basis instanceof LoadBasis.BelowTop below) {
            return "-" + range(below.drop(), below.most()) + "%" + (below.each() ? " each" : "")
                    + below.of().map(lift -> " of " + lift.key()).orElse("");
        }
        if (basis instanceof LoadBasis.Fixed fixed) {
            return fixed.load().figure(fixed.unit(), 3) + fixed.unit().symbol();
        }
        if (basis instanceof LoadBasis.BodyMassPlus plus) {
            return "bw+" + plus.more().figure(plus.unit(), 3) + plus.unit().symbol();
        }
        if (basis instanceof LoadBasis.LastTime last) {
            return last.step().isZero()
                    ? "last"
                    : "last +" + last.step().figure(last.unit(), 3)
                            + last.unit().symbol();
        }
        return basis instanceof LoadBasis.AtSpeed at ? at.speed() + "m/s" : "feel";
    }

    private static String of(LoadBasis.Share share) {
        boolean whole = share.percent().equals(Percent.HUNDRED) && share.most().equals(Percent.HUNDRED);
        boolean bare = share.of() == Reference.Named.BODY_MASS
                || share.of() == Reference.Named.EVENT
                || share.of() instanceof Reference.RepMax;
        if (whole && bare) {
            return share.of().word();
        }
        String percent = range(share.percent(), share.most()) + "%";
        return share.of() == Reference.Named.WORKING
                ? percent
                : percent + " " + share.of().word();
    }

    private static String of(Work.Stop stop) {
        return stop instanceof Work.Stop.At at ? " to @" + at.rpe() : "";
    }

    private static String sets(int sets, boolean bare) {
        return sets == 1 && bare ? "" : sets + "x";
    }

    private static String of(Duration time) {
        return time.toSecondsPart() == 0 ? time.toMinutes() + "min" : time.toSeconds() + "s";
    }

    private static String range(Percent from, Percent to) {
        return from.format(4) + (from.equals(to) ? "" : "-" + to.format(4));
    }
}
