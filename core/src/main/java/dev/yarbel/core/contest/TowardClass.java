package dev.yarbel.core.contest;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * A lifter's body mass beside the limit of the class they mean to lift in. It says how much would have to go each week until the day, and whether that
 * is sound; it never says how.
 *
 * <p>More than about one percent of body mass a week is too fast to keep strength (Helms et al. 2014, J Int Soc Sports Nutr 11:20: half to one
 * percent; from memory); a minor cuts nothing. Water is no matter of this: whoever asks is sent to a professional.
 *
 * @param limit the class's upper limit
 * @param last what they weighed last, and when
 * @param over how much that is over the limit; zero for none
 * @param asked the share of body mass that would have to go each week from that day on; zero where none must
 * @param trend what the last six weeks say; empty where too little was weighed
 */
public record TowardClass(
        Mass limit,
        Mass last,
        LocalDate weighedOn,
        Mass over,
        Percent asked,
        Optional<Trend> trend,
        Judgement judgement) {

    /** Further back than so says nothing of how it goes now. */
    public static final int WEEKS_SEEN = 6;

    /** What would have to go each week is sound up to here. */
    static final Percent SOUND = Percent.of(1);

    private static final int LEAST_WEIGHED = 3;
    private static final int LEAST_DAYS = 10;
    private static final double WEEK = 7;

    /**
     * How it goes.
     *
     * @param each what is gained a week, as a share of body mass; negative where it is lost
     * @param then what they would weigh on the day if it went on so
     */
    public record Trend(Percent each, Mass then) {}

    /** What there is to say of it. */
    public enum Judgement {
        /** No more than the limit, and nothing says that it will be. */
        INSIDE,
        /** No more than the limit now; as it goes it will be by the day. */
        LEAVING,
        /** Over it, and as it goes no more by the day. */
        ON_THE_WAY,
        /** Over it, and as it goes still so on the day, or nobody can say. */
        NOT_YET,
        /** More would have to go each week than is sound, or goes already: another class, or another day. */
        TOO_FAST,
        /** Over it, and a minor: no cut, the class they are in. */
        MINOR
    }

    /**
     * @param weighed what they weighed on which day
     * @param today none after it counts
     * @param contest the day, after today
     * @param minor whether they may be under age
     * @return empty where they were never weighed
     */
    public static Optional<TowardClass> of(
            SortedMap<LocalDate, Mass> weighed, Mass limit, LocalDate today, LocalDate contest, boolean minor) {
        SortedMap<LocalDate, Mass> known = new TreeMap<>(weighed.headMap(today.plusDays(1)));
        if (known.isEmpty()) {
            return Optional.empty();
        }
        LocalDate on = known.lastKey();
        Mass last = known.get(on);
        Mass over = last.isGreaterThan(limit) ? last.minus(limit) : Mass.ZERO;
        double weeks = Math.max(1, ChronoUnit.DAYS.between(on, contest)) / WEEK;
        Percent asked =
                Percent.of(over.percentOf(last).figure().divide(BigDecimal.valueOf(weeks), MathContext.DECIMAL64));
        Optional<Trend> trend = trend(known.tailMap(today.minusWeeks(WEEKS_SEEN)), contest);
        return Optional.of(
                new TowardClass(limit, last, on, over, asked, trend, judged(limit, over, asked, trend, minor)));
    }

    private static Judgement judged(Mass limit, Mass over, Percent asked, Optional<Trend> trend, boolean minor) {
        if (minor && over.isPositive()) {
            return Judgement.MINOR;
        }
        boolean falling =
                trend.filter(seen -> seen.each().plus(SOUND).isNegative()).isPresent();
        if (asked.isGreaterThan(SOUND) || falling) {
            return Judgement.TOO_FAST;
        }
        boolean reaches =
                trend.filter(seen -> !seen.then().isGreaterThan(limit)).isPresent();
        if (over.isPositive()) {
            return reaches ? Judgement.ON_THE_WAY : Judgement.NOT_YET;
        }
        return trend.isPresent() && !reaches ? Judgement.LEAVING : Judgement.INSIDE;
    }

    /** A straight line through what was weighed. */
    private static Optional<Trend> trend(SortedMap<LocalDate, Mass> weighed, LocalDate contest) {
        if (weighed.size() < LEAST_WEIGHED
                || ChronoUnit.DAYS.between(weighed.firstKey(), weighed.lastKey()) < LEAST_DAYS) {
            return Optional.empty();
        }
        LocalDate first = weighed.firstKey();
        SimpleRegression line = new SimpleRegression();
        for (Map.Entry<LocalDate, Mass> one : weighed.entrySet()) {
            line.addData(
                    ChronoUnit.DAYS.between(first, one.getKey()) / WEEK,
                    one.getValue().in(MassUnit.KG).doubleValue());
        }
        double now = line.predict(ChronoUnit.DAYS.between(first, weighed.lastKey()) / WEEK);
        double then = Math.max(1, line.predict(ChronoUnit.DAYS.between(first, contest) / WEEK));
        return Optional.of(new Trend(
                Percent.of(BigDecimal.valueOf(line.getSlope() / now * 100)),
                Mass.of(BigDecimal.valueOf(then), MassUnit.KG)));
    }
}
