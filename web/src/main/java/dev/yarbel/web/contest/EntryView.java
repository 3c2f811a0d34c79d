package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Advice;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayOutlook;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.LiftForm;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.contest.Rung;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.contest.UsualShares;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.book.LifterRecord;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A lifter's attempts as they are advised before the day.
 *
 * @param ladders one for each lift; none where too little is known
 * @param unknown lifts of which too little is known
 * @param outlook what the day may come to by the way that is chosen
 * @param usual the same by the usual shares; empty where those are chosen
 * @param near whether the day is so near that an opener should have been done by now
 * @param otherwise whether what the chosen way takes is missing, so that the usual shares stand in for it
 */
record EntryView(
        List<Ladder> ladders,
        List<Lift> unknown,
        Optional<Told> outlook,
        Optional<Told> usual,
        boolean rehearsed,
        boolean near,
        boolean otherwise) {

    private static final long HUNDRED = 100;
    /** Whoever did so much lately has done an opener. */
    private static final int LATELY_WEEKS = 12;

    private static final int NEAR_WEEKS = 3;

    /** A rung as it is drawn. */
    record Step(String key, Mass load, long percent, boolean doubtful) {}

    /**
     * The attempts at a lift, heaviest first.
     *
     * @param steps what is taken if the opener leaves what an opener should, with the thirds by how the second moved
     * @param ifs what other outcomes of the opener and of the second lead to
     * @param heaviest the heaviest load made in training lately; empty where none was
     * @param subtotal before it that was reckoned with; empty where it does not matter
     * @param undone whether the opener is heavier than that
     */
    record Ladder(
            Lift lift,
            LiftForm form,
            Optional<Mass> subtotal,
            List<Step> steps,
            List<Step> ifs,
            Optional<Mass> heaviest,
            boolean undone) {}

    /**
     * What a day may come to, in words' figures.
     *
     * @param low and the others in kg; empty where nobody ends with a total
     * @param hardly whether being out is rarer than is said
     */
    record Told(
            Optional<Mass> low,
            Optional<Mass> middle,
            Optional<Mass> high,
            Mass average,
            long allMade,
            boolean hardly,
            String out,
            Optional<Long> reached) {

        private static final double TENTHS_UNDER = 0.1;

        static Told of(DayOutlook outlook) {
            double out = outlook.out() * HUNDRED;
            return new Told(
                    outlook.total().map(range -> kg(range.low())),
                    outlook.total().map(range -> kg(range.middle())),
                    outlook.total().map(range -> kg(range.high())),
                    kg(outlook.average()),
                    Math.round(outlook.allMade() * HUNDRED),
                    out < TENTHS_UNDER,
                    out < TENTHS_UNDER
                            ? "0.1"
                            : BigDecimal.valueOf(Math.round(out * 10), 1).toPlainString(),
                    outlook.reached().map(share -> Math.round(share * HUNDRED)));
        }

        private static Mass kg(double kg) {
            return Mass.of(BigDecimal.valueOf(kg), MassUnit.KG);
        }
    }

    /** @param before attempts that were made already are not looked at: this is the day before it begins */
    static EntryView of(ContestEntity contest, EntryEntity entry, Contests.Known known, Way.Asked asked) {
        ContestRules rules = contest.rules();
        LifterRecord standing = known.plan().standing();
        if (known.day().isEmpty()) {
            return new EntryView(
                    List.of(),
                    rules.lifts().stream()
                            .filter(lift -> standing.strength().estimate(lift).isEmpty())
                            .toList(),
                    Optional.empty(),
                    Optional.empty(),
                    false,
                    false,
                    false);
        }
        DayStrength day = known.day().get();
        boolean otherwise = entry.way() != Way.SHARES && entry.way().aim(asked).isEmpty();
        Advice advice = entry.way().advice(day, rules, asked, rules.lifts());
        List<Ladder> ladders = new ArrayList<>();
        Mass subtotal = Mass.ZERO;
        for (Lift lift : rules.lifts()) {
            LiftForm form = day.form(lift);
            Rung opener = Rung.of(advice, form, lift, List.of(), subtotal).orElseThrow();
            Optional<Mass> heaviest = heaviest(standing, lift, known.plan().today());
            ladders.add(new Ladder(
                    lift,
                    form,
                    Optional.of(subtotal).filter(mass -> mass.isPositive() && entry.way() != Way.SHARES && !otherwise),
                    steps(opener),
                    ifs(opener),
                    heaviest,
                    heaviest.filter(done -> !done.isLessThan(opener.load())).isEmpty()));
            subtotal = subtotal.plus(opener.then().get(Outcome.EASY).load());
        }
        ScoreCard fresh = new ScoreCard(rules, Map.of());
        DayOutlook outlook = DayOutlook.of(advice, day, fresh, rules.lifts().get(0), entry.asked());
        boolean isUsual = entry.way() == Way.SHARES || otherwise;
        return new EntryView(
                ladders,
                List.of(),
                Optional.of(Told.of(outlook)),
                isUsual
                        ? Optional.empty()
                        : Optional.of(Told.of(DayOutlook.of(
                                new UsualShares(day, rules),
                                day,
                                fresh,
                                rules.lifts().get(0),
                                entry.asked()))),
                known.rehearsed(),
                contest.on()
                        .filter(on -> !on.isAfter(known.plan().today().plusWeeks(NEAR_WEEKS)))
                        .isPresent(),
                otherwise);
    }

    private static List<Step> steps(Rung opener) {
        Rung second = opener.then().get(Outcome.EASY);
        List<Step> steps = new ArrayList<>();
        for (Outcome moved : List.of(Outcome.EASY, Outcome.SOLID, Outcome.GRIND)) {
            steps.add(step("third." + moved, second.then().get(moved)));
        }
        steps.add(step("second", second));
        steps.add(step("opener", opener));
        return steps;
    }

    /** What is different where something went otherwise. */
    private static List<Step> ifs(Rung opener) {
        List<Step> ifs = new ArrayList<>();
        for (Outcome outcome : List.of(Outcome.SOLID, Outcome.GRIND, Outcome.TURNED_DOWN, Outcome.MISSED)) {
            ifs.add(step("if.opener." + outcome, opener.then().get(outcome)));
        }
        Rung second = opener.then().get(Outcome.EASY);
        for (Outcome outcome : List.of(Outcome.TURNED_DOWN, Outcome.MISSED)) {
            ifs.add(step("if.second." + outcome, second.then().get(outcome)));
        }
        return ifs;
    }

    private static Step step(String key, Rung rung) {
        long percent = Math.round(rung.chance() * HUNDRED);
        return new Step(key, rung.load(), Math.max(1, percent), percent < HUNDRED / 2);
    }

    /** The heaviest load of the contest lift that was made in the last weeks. */
    private static Optional<Mass> heaviest(LifterRecord standing, Lift lift, LocalDate today) {
        LocalDate from = today.minusWeeks(LATELY_WEEKS);
        return standing.log().stream()
                .filter(session -> !session.date().isBefore(from))
                .flatMap(session -> session.lifted().sets().stream())
                .filter(set -> set.lift().equals(lift) && set.made())
                .map(set -> set.load())
                .max(Mass::compareTo);
    }
}
