package dev.yarbel.web.plan;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.recovery.TissueLedger;
import dev.yarbel.core.rehearsal.Likely;
import dev.yarbel.core.rehearsal.MaxOutlook;
import dev.yarbel.core.rehearsal.Rehearsal;
import dev.yarbel.core.rehearsal.SetsOutlook;
import dev.yarbel.core.rehearsal.WeekOutlook;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.web.block.LifterBlock;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * What a rehearsal of a block came to, as it is drawn and told.
 *
 * @param fans of the maxes that are contested, or of the first of the block where none is
 * @param weeks of the block
 * @param doubtful what is missed one time of ten and more, the first first
 * @param planned what all of it comes to as it is planned
 * @param called the same with what the log says taken into the loads
 * @param tiring what training takes off, family by family, week by week
 * @param bearing what each tissue is to bear, week by week, as the wake's ledger has it
 */
record RehearsalView(
        int times,
        List<Fan> fans,
        List<Week> weeks,
        List<Doubt> doubtful,
        Sum planned,
        Sum called,
        List<Tiring> tiring,
        List<Bearing> bearing,
        List<Lift> unknown) {

    static final int WIDE = 420;
    static final int HIGH = 110;
    static final int BARS = 56;

    /** From where on a miss is to be reckoned with. */
    static final double DOUBTFUL = 0.1;

    private static final int MOST_FANS = 4;
    private static final int MOST_DOUBTS = 24;
    private static final int HUNDRED = 100;
    private static final double WIDER = 0.06;

    /**
     * A max as it may become.
     *
     * @param area of the range, and the line of its middle, as drawn paths
     */
    record Fan(Lift lift, String area, String line, Range now, Range after) {}

    /** Four times of five between the ends. */
    record Range(Mass low, Mass middle, Mass high) {}

    /**
     * A week.
     *
     * @param chance that a set of it is missed, in percent; below nothing where nothing of it is rehearsed
     */
    record Week(int number, int x, int width, boolean deload, int chance) {

        /** How high its bar is. */
        public int bar() {
            return Math.max(0, chance) * BARS / HUNDRED;
        }

        public boolean isRehearsed() {
            return chance >= 0;
        }

        /** Whether it is likelier than not that something is missed. */
        public boolean isOver() {
            return chance >= HUNDRED / 2;
        }
    }

    /**
     * A part of a day that may well be missed.
     *
     * @param chance in percent
     * @param left repetitions left after the last set: the low end, the middle and the high end, to halves
     */
    record Doubt(
            int day,
            int week,
            LocalDate date,
            String dayName,
            String letter,
            Lift lift,
            String dose,
            Range load,
            int chance,
            String left) {}

    /**
     * What a block comes to.
     *
     * @param missed sets that may be expected to be missed, to a tenth
     * @param over weeks in which a miss is likelier than not
     */
    record Sum(String missed, int sets, int over) {}

    /** What training takes off a family of lifts in each week, in tenths of a percent. */
    record Tiring(Lift root, List<String> weeks) {}

    /**
     * What a tissue is to bear in each week, in sets; weeks that are over say nothing.
     *
     * @param usedTo sets a week
     */
    record Bearing(Tissue tissue, String usedTo, List<String> weeks) {

        private static Bearing of(TissueLedger.Line line, int weeks) {
            List<String> all =
                    new ArrayList<>(Collections.nCopies(weeks - line.ahead().size(), ""));
            line.ahead().forEach(sets -> all.add(halves(sets)));
            return new Bearing(line.tissue(), halves(line.usedTo()), all);
        }
    }

    static RehearsalView of(LifterBlock plan, RehearsalMaker.Both both) {
        Rehearsal planned = both.planned();
        return new RehearsalView(
                planned.times(),
                fans(plan, planned),
                weeks(plan, planned, plan.block().weeks()),
                doubtful(plan, planned),
                sum(planned),
                sum(both.called()),
                tiring(planned),
                WakeMaker.tissues(plan, WakeMaker.lines(plan)).tissues().stream()
                        .map(line -> Bearing.of(line, plan.block().weeks()))
                        .toList(),
                planned.unknown());
    }

    private static List<Fan> fans(LifterBlock plan, Rehearsal rehearsal) {
        Catalogue catalogue = plan.standing().catalogue();
        List<MaxOutlook> contested = rehearsal.maxes().stream()
                .filter(max -> catalogue.of(max.lift()).contest())
                .toList();
        return (contested.isEmpty() ? rehearsal.maxes() : contested)
                .stream()
                        .limit(MOST_FANS)
                        .map(max -> fan(plan.lifter().unit(), max))
                        .toList();
    }

    private static Fan fan(MassUnit unit, MaxOutlook max) {
        List<Likely> points = new ArrayList<>();
        points.add(max.now());
        points.addAll(max.weeks());
        double low = points.stream().mapToDouble(Likely::low).min().orElse(0);
        double high = points.stream().mapToDouble(Likely::high).max().orElse(1);
        double room = Math.max(high - low, WIDER * high);
        double from = (low + high - room) / 2;
        StringBuilder area = new StringBuilder();
        StringBuilder back = new StringBuilder();
        StringBuilder line = new StringBuilder();
        for (int i = 0; i < points.size(); i++) {
            double x = WIDE * i / (double) (points.size() - 1);
            String step = i == 0 ? "M" : "L";
            area.append(point(step, x, points.get(i).high(), from, room));
            line.append(point(step, x, points.get(i).middle(), from, room));
            back.insert(0, point("L", x, points.get(i).low(), from, room));
        }
        return new Fan(
                max.lift(),
                area.append(back).append('Z').toString(),
                line.toString(),
                whole(max.now(), unit),
                whole(max.after(), unit));
    }

    private static String point(String step, double x, double kg, double from, double room) {
        return String.format(Locale.ROOT, "%s%.1f %.1f", step, x, HIGH - HIGH * (kg - from) / room);
    }

    /** In whole kilograms or pounds: nobody knows a max any nearer. */
    private static Range whole(Likely likely, MassUnit unit) {
        return new Range(whole(likely.low(), unit), whole(likely.middle(), unit), whole(likely.high(), unit));
    }

    static Mass whole(double kg, MassUnit unit) {
        return Mass.of(mass(kg).in(unit).setScale(0, RoundingMode.HALF_UP), unit);
    }

    private static Range range(Likely likely) {
        return new Range(mass(likely.low()), mass(likely.middle()), mass(likely.high()));
    }

    static Mass mass(double kg) {
        return Mass.of(BigDecimal.valueOf(kg).setScale(2, RoundingMode.HALF_UP), MassUnit.KG);
    }

    /** @param room for so many weeks */
    static List<Week> weeks(LifterBlock plan, Rehearsal rehearsal, int room) {
        int width = 2 * WIDE / room;
        return rehearsal.weeks().stream()
                .map(week -> new Week(
                        week.week() + 1,
                        week.week() * width,
                        width,
                        plan.block().shape().get(week.week()).deload(),
                        week.sets() > 0 ? percent(week.missed()) : -1))
                .toList();
    }

    private static List<Doubt> doubtful(LifterBlock plan, Rehearsal rehearsal) {
        return rehearsal.sets().stream()
                .filter(sets -> sets.missed() >= DOUBTFUL)
                .sorted(Comparator.comparing((SetsOutlook sets) -> plan.block().date(sets.day(), sets.week()))
                        .thenComparing(SetsOutlook::part))
                .limit(MOST_DOUBTS)
                .map(sets -> doubt(plan, sets))
                .toList();
    }

    private static Doubt doubt(LifterBlock plan, SetsOutlook sets) {
        PrescribedSets asked =
                plan.projection().prescriptions(sets.day(), sets.week()).get(sets.part());
        return new Doubt(
                sets.day(),
                sets.week() + 1,
                plan.block().date(sets.day(), sets.week()),
                plan.block().days().get(sets.day()).name(),
                asked.letter(),
                sets.lift(),
                asked.part().shorthand(),
                range(sets.load()),
                percent(sets.missed()),
                halves(sets.left().middle()));
    }

    static Sum sum(Rehearsal rehearsal) {
        return new Sum(
                tenths(rehearsal.weeks().stream()
                        .mapToDouble(WeekOutlook::missedSets)
                        .sum()),
                rehearsal.weeks().stream().mapToInt(WeekOutlook::sets).sum(),
                (int) rehearsal.weeks().stream()
                        .filter(week -> week.sets() > 0 && percent(week.missed()) >= HUNDRED / 2)
                        .count());
    }

    private static List<Tiring> tiring(Rehearsal rehearsal) {
        return rehearsal.maxes().stream()
                .map(max -> new Tiring(
                        max.lift(),
                        rehearsal.weeks().stream()
                                .map(week -> week.taken().get(max.lift()))
                                .map(taken -> taken == null || taken == 0 ? "" : tenths(HUNDRED * taken))
                                .toList()))
                .filter(tiring -> tiring.weeks().stream().anyMatch(week -> !week.isEmpty()))
                .toList();
    }

    static int percent(double chance) {
        return (int) Math.round(HUNDRED * chance);
    }

    private static String tenths(double figure) {
        return BigDecimal.valueOf(figure).setScale(1, RoundingMode.HALF_UP).toPlainString();
    }

    static String halves(double figure) {
        return BigDecimal.valueOf(Math.round(2 * figure) / 2.0)
                .stripTrailingZeros()
                .toPlainString();
    }

    /** How wide and how high a fan is, and how high the bars of the weeks may be; for the template. */
    public Map<String, Integer> size() {
        return Map.of("wide", WIDE, "high", HIGH, "bars", BARS);
    }
}
