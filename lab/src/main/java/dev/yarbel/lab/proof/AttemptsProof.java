package dev.yarbel.lab.proof;

import dev.yarbel.core.contest.Advice;
import dev.yarbel.core.contest.Aim;
import dev.yarbel.core.contest.Attempt;
import dev.yarbel.core.contest.BestAttempts;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.contest.UsualShares;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.estimate.LifterStrength;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.lab.lifter.TrainedLifter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.BiFunction;

/**
 * What advised attempts are worth: the same lifters on the same day, a week of rest after the quarter that the estimate knows, by different ways to choose. What
 * an attempt leaves is what they say, and four of a hundred are turned down.
 */
final class AttemptsProof {

    private static final ContestRules RULES = ContestRules.named("ipf-classic");
    private static final int REST = 7;
    private static final double TURNED_DOWN = 0.04;
    private static final List<Percent> FIXED = List.of(Percent.of(91), Percent.of(96), Percent.of(100));

    /**
     * How a lift's attempts are chosen, from what is thought to be there on the day.
     *
     * @param choose from what is known at the beginning of a lift, and which lifts are to come
     */
    private record Way(String name, BiFunction<DayStrength, List<Lift>, Advice> choose) {}

    private static final List<Way> WAYS = List.of(
            new Way("91, 96 and 100 % whatever happens", (day, lifts) -> new Fixed(day)),
            new Way("the usual shares, by how the second moved", (day, lifts) -> new UsualShares(day, RULES)),
            new Way(
                    "the best total on average",
                    (day, lifts) -> new BestAttempts(day, RULES, new Aim.MostOnAverage(), lifts)));

    /** Shares of the middle of what may be there; after a miss the same again. */
    private record Fixed(DayStrength day) implements Advice {

        @Override
        public Optional<Mass> next(Lift lift, List<Attempt> before, Mass subtotal) {
            if (before.size() >= FIXED.size()) {
                return Optional.empty();
            }
            Mass wanted = RULES.nearest(day.form(lift).middle().times(FIXED.get(before.size())));
            if (before.isEmpty()) {
                return Optional.of(wanted);
            }
            boolean made = before.get(before.size() - 1).isMade();
            Mass least = RULES.least(before).orElseThrow();
            return Optional.of(made ? Mass.max(least, wanted) : least);
        }
    }

    /** A lifter's day. */
    private record Day(Optional<Mass> total, double there, int made) {}

    private final Map<Way, List<Day>> days = new HashMap<>();

    private AttemptsProof() {}

    static AttemptsProof of(long firstSeed, int lifters) {
        AttemptsProof proof = new AttemptsProof();
        for (Way way : WAYS) {
            List<Day> lived = new ArrayList<>();
            for (long seed = firstSeed; seed < firstSeed + lifters; seed++) {
                // the same life up to the day
                lived.add(day(TrainedLifter.of(seed), way, new Random(seed)));
            }
            proof.days.put(way, lived);
        }
        return proof;
    }

    private static Day day(TrainedLifter lifter, Way way, Random judges) {
        LifterStrength strength = Quarter.learnt(lifter);
        for (int day = 0; day < REST; day++) {
            lifter.day();
        }
        DayStrength day = DayStrength.of(strength, Quarter.LIFTS, Quarter.END, Quarter.END.plusDays(REST), Map.of())
                .orElseThrow();
        double there = Quarter.LIFTS.stream().mapToDouble(lifter::today).sum();
        ScoreCard card = new ScoreCard(RULES, Map.of());
        int made = 0;
        for (Lift lift : RULES.lifts()) {
            List<Lift> toCome = RULES.lifts()
                    .subList(RULES.lifts().indexOf(lift), RULES.lifts().size());
            Advice advice = way.choose().apply(card.told(day, lift), toCome);
            List<Attempt> attempts = new ArrayList<>();
            Optional<Mass> load = advice.next(lift, attempts, card.subtotal(lift));
            while (load.isPresent()) {
                Attempt attempt = new Attempt(load.get(), outcome(lifter, lift, load.get(), judges));
                attempts.add(attempt);
                made += attempt.isMade() ? 1 : 0;
                load = advice.next(lift, attempts, card.subtotal(lift));
            }
            Map<Lift, List<Attempt>> lifted = new HashMap<>(card.lifted());
            lifted.put(lift, attempts);
            card = new ScoreCard(RULES, lifted);
            if (card.isOut()) {
                break;
            }
        }
        return new Day(card.total(), there, made);
    }

    private static Outcome outcome(TrainedLifter lifter, Lift lift, Mass load, Random judges) {
        TrainedLifter.Done done = lifter.lift(lift, load.kilograms(), 1);
        boolean turnedDown = judges.nextDouble() < TURNED_DOWN;
        if (done.reps() == 0) {
            return Outcome.MISSED;
        }
        if (turnedDown) {
            return Outcome.TURNED_DOWN;
        }
        return done.said().rating().map(AttemptsProof::left).orElse(Outcome.MADE);
    }

    private static Outcome left(Rpe said) {
        int halves = said.halvesLeft();
        return halves >= 4 ? Outcome.EASY : halves >= 2 ? Outcome.SOLID : Outcome.GRIND;
    }

    /** What the days brought on average, as a share of what was there, one without a total counting as nothing. */
    double average(int way) {
        return days.get(WAYS.get(way)).stream()
                .mapToDouble(day -> day.total().map(Mass::kilograms).orElse(0.0) / day.there())
                .average()
                .orElseThrow();
    }

    /** The share of days without a total. */
    double out(int way) {
        List<Day> lived = days.get(WAYS.get(way));
        return (double) lived.stream().filter(day -> day.total().isEmpty()).count() / lived.size();
    }

    private double made(int way) {
        return days.get(WAYS.get(way)).stream().mapToInt(Day::made).average().orElseThrow();
    }

    private double nine(int way) {
        List<Day> lived = days.get(WAYS.get(way));
        return (double) lived.stream().filter(day -> day.made() == 9).count() / lived.size();
    }

    /** A row for each way. */
    String table() {
        StringBuilder table = new StringBuilder("""
                | attempts chosen as | total on average, of what was there | days without a total | attempts made of nine | nine of nine |
                |---|---:|---:|---:|---:|
                """);
        for (int way = 0; way < WAYS.size(); way++) {
            table.append(String.format(
                    Locale.ROOT,
                    "| %s | %.1f %% | %.0f %% | %.1f | %.0f %% |%n",
                    WAYS.get(way).name(),
                    100 * average(way),
                    100 * out(way),
                    made(way),
                    100 * nine(way)));
        }
        return table.toString();
    }
}
