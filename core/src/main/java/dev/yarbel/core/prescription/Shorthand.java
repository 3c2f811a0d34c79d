package dev.yarbel.core.prescription;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.time.Duration;

/** Prints what {@link DoseParser} reads. */
final class Shorthand {

    private Shorthand() {}

    /** Whether these sets stand without a word about their load. */
    static boolean needsNoLoad(Work work) {
        return !work.countsReps() || work.isClimb() || work.isToLimit();
    }

    /** @param bare a single set is written without its {@code 1x} */
    static String of(Work work, boolean bare) {
        return work.accept(new OfWork(bare));
    }

    static String of(LoadBasis basis) {
        return basis.accept(new OfLoad());
    }

    private record OfWork(boolean bare) implements Work.Visitor<String> {

        @Override
        public String straight(Work.Straight straight) {
            String range = straight.isRange() ? "-" + straight.most() : "";
            String plus = straight.plus().map(stop -> "+" + of(stop)).orElse("");
            String sets = straight.mostSets() > straight.sets()
                    ? straight.sets() + "-" + straight.mostSets() + "x"
                    : sets(straight.sets(), bare);
            return sets + straight.reps() + range + plus;
        }

        @Override
        public String toLimit(Work.ToLimit limit) {
            return sets(limit.sets(), true) + "max" + of(limit.end());
        }

        @Override
        public String climb(Work.Climb climb) {
            return "climb " + climb.reps() + " to @" + climb.until();
        }

        @Override
        public String clusters(Work.Clusters clusters) {
            String upTo = clusters.most() > clusters.each() ? "-" + clusters.most() : "";
            return clusters.sets() + "x(" + clusters.within() + "x" + clusters.each() + upTo + " "
                    + clusters.gap().toSeconds() + "s)";
        }

        @Override
        public String density(Work.Density density) {
            return density.sets() + "x" + density.reps() + (density.beyond() ? "+" : "") + " in " + of(density.time())
                    + " gap " + density.gap().toSeconds();
        }

        @Override
        public String until(Work.Until until) {
            return until.reps() + "x";
        }

        @Override
        public String inAll(Work.InAll inAll) {
            return inAll.reps() + " reps";
        }

        @Override
        public String repsInTime(Work.RepsInTime reps) {
            return sets(reps.sets(), true) + "max in " + of(reps.time());
        }

        @Override
        public String hold(Work.Hold hold) {
            return hold.sets() + "x" + hold.time().toSeconds() + "s";
        }

        @Override
        public String carry(Work.Carry carry) {
            return carry.sets() + "x"
                    + carry.distance().in(carry.unit()).stripTrailingZeros().toPlainString()
                    + carry.unit().symbol()
                    + carry.within().map(time -> " in " + of(time)).orElse("");
        }

        @Override
        public String rounds(Work.Rounds rounds) {
            return rounds.goal().map(goal -> goal + " ").orElse("") + "rounds"
                    + rounds.time().map(time -> " in " + of(time)).orElse("");
        }

        @Override
        public String preparation(Work.Preparation preparation) {
            return "prep " + of(preparation.time());
        }

        private static String of(Work.Stop stop) {
            return stop.rating().map(rpe -> " to @" + rpe).orElse("");
        }

        private static String sets(int sets, boolean bare) {
            return sets == 1 && bare ? "" : sets + "x";
        }

        private static String of(Duration time) {
            return time.toSecondsPart() == 0 ? time.toMinutes() + "min" : time.toSeconds() + "s";
        }
    }

    private static final class OfLoad implements LoadBasis.Visitor<String> {

        @Override
        public String atRpe(LoadBasis.AtRpe at) {
            return "@" + (at.least().equals(at.rpe()) ? "" : at.least() + "-") + at.rpe();
        }

        @Override
        public String share(LoadBasis.Share share) {
            boolean whole =
                    share.percent().equals(Percent.HUNDRED) && share.most().equals(Percent.HUNDRED);
            if (whole && share.of().standsAlone()) {
                return share.of().word();
            }
            String percent = range(share.percent(), share.most()) + "%";
            return share.of() == Reference.Named.WORKING
                    ? percent
                    : percent + " " + share.of().word();
        }

        @Override
        public String belowTop(LoadBasis.BelowTop below) {
            return "-" + range(below.drop(), below.most()) + "%" + (below.each() ? " each" : "")
                    + below.of().map(lift -> " of " + lift.key()).orElse("");
        }

        @Override
        public String fixed(LoadBasis.Fixed fixed) {
            return load(fixed.load(), fixed.unit());
        }

        @Override
        public String bodyMassPlus(LoadBasis.BodyMassPlus plus) {
            return "bw+" + load(plus.more(), plus.unit());
        }

        @Override
        public String lastTime(LoadBasis.LastTime last) {
            return last.step().isZero() ? "last" : "last +" + load(last.step(), last.unit());
        }

        @Override
        public String atSpeed(LoadBasis.AtSpeed at) {
            return at.speed() + "m/s";
        }

        @Override
        public String byFeel(LoadBasis.ByFeel byFeel) {
            return "feel";
        }

        private static String load(Mass load, MassUnit unit) {
            return load.figure(unit, 3) + unit.symbol();
        }

        private static String range(Percent from, Percent to) {
            return from.format(4) + (from.equals(to) ? "" : "-" + to.format(4));
        }
    }
}
