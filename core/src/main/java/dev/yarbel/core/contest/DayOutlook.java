package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.rehearsal.Likely;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.random.RandomGenerator;

/**
 * What a day may come to with a way to choose attempts: many days drawn, each lifted by it (Monte Carlo).
 *
 * @param total of the days that have one, in kg; empty when none has
 * @param average of all days in kg, a day without a total counting as nothing
 * @param allMade how likely every attempt is made, from 0 to 1
 * @param out how likely a lift has no good attempt
 * @param reached how likely the total that was asked for is reached
 */
public record DayOutlook(Optional<Likely> total, double average, double allMade, double out, Optional<Double> reached) {

    private static final int DAYS = 2000;
    private static final long SEED = 9;
    private static final double TENTH = 0.1;

    /**
     * From what was attempted so far.
     *
     * @param before the day as it was thought of before its first attempt
     * @param at the lift that is under way, or comes next; what was passed at lifts before it is not made any more
     */
    public static DayOutlook of(Advice advice, DayStrength before, ScoreCard card, Lift at, Optional<Mass> asked) {
        DayStrength now = before;
        List<Lift> over = new ArrayList<>();
        List<Lift> lifts = card.rules().lifts();
        for (Lift lift : lifts) {
            if (lifts.indexOf(lift) < lifts.indexOf(at) || card.isOver(lift)) {
                now = now.after(lift, card.at(lift));
                over.add(lift);
            }
        }
        return new Simulation(advice, now, card, over).run(asked);
    }

    /**
     * The lift that is under way counts by its attempts: days that do not go with them are weighed by how well they do. Where none
     * does, as after an opener that was far from anything expected, nothing new is thought of them and all weigh alike.
     */
    private record Simulation(Advice advice, DayStrength now, ScoreCard card, List<Lift> over) {

        private DayOutlook run(Optional<Mass> asked) {
            DayStrength.Days days = now.days();
            SplittableRandom seeds = new SplittableRandom(SEED);
            List<Day> lifted = new ArrayList<>();
            for (int i = 0; i < DAYS; i++) {
                RandomGenerator random = seeds.split();
                lifted.add(lift(days.next(random), random));
            }
            double all = lifted.stream().mapToDouble(Day::weight).sum();
            List<Day> totals =
                    lifted.stream().filter(day -> day.total.isPresent()).toList();
            return new DayOutlook(
                    range(totals),
                    totals.stream()
                                    .mapToDouble(day ->
                                            day.weight * day.total.orElseThrow().kilograms())
                                    .sum()
                            / all,
                    share(lifted, all, Day::allMade),
                    share(lifted, all, day -> day.total.isEmpty()),
                    asked.map(least -> share(lifted, all, day -> day.total
                            .filter(mass -> !mass.isLessThan(least))
                            .isPresent())));
        }

        private static double share(List<Day> days, double all, Predicate<Day> which) {
            return days.stream().filter(which).mapToDouble(Day::weight).sum() / all;
        }

        /** Four days of five end between the ends of it, by their weight. */
        private static Optional<Likely> range(List<Day> days) {
            List<Day> sorted = days.stream()
                    .sorted(Comparator.comparing(day -> day.total.orElseThrow()))
                    .toList();
            return sorted.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Likely(at(sorted, TENTH), at(sorted, 0.5), at(sorted, 1 - TENTH)));
        }

        private static double at(List<Day> sorted, double share) {
            double left = share * sorted.stream().mapToDouble(Day::weight).sum();
            for (Day day : sorted) {
                left -= day.weight;
                if (left <= 0) {
                    return day.total.orElseThrow().kilograms();
                }
            }
            return sorted.get(sorted.size() - 1).total.orElseThrow().kilograms();
        }

        private Day lift(double[] logs, RandomGenerator random) {
            Mass subtotal = Mass.ZERO;
            boolean allMade = true;
            boolean out = false;
            double weight = 1;
            for (Lift lift : card.rules().lifts()) {
                double log = logs[now.lifts().indexOf(lift)];
                List<Attempt> attempts = new ArrayList<>(card.at(lift));
                if (!over.contains(lift)) {
                    for (Attempt attempt :
                            attempts.stream().filter(Attempt::tellsOfStrength).toList()) {
                        weight *= LiftForm.likelihood(
                                log - Math.log(attempt.load().kilograms()), attempt.outcome());
                    }
                }
                while (!over.contains(lift) && attempts.size() < ContestRules.ATTEMPTS) {
                    Mass load = advice.next(lift, attempts, subtotal).orElseThrow();
                    double margin = log - Math.log(load.kilograms());
                    attempts.add(new Attempt(load, drawn(margin, random)));
                }
                allMade &= attempts.stream().limit(ContestRules.ATTEMPTS).allMatch(Attempt::isMade);
                Optional<Mass> best = Attempt.best(attempts);
                out |= best.isEmpty();
                subtotal = subtotal.plus(best.orElse(Mass.ZERO));
            }
            return new Day(
                    Math.max(weight, Double.MIN_NORMAL), out ? Optional.empty() : Optional.of(subtotal), allMade);
        }

        private static Outcome drawn(double margin, RandomGenerator random) {
            double at = random.nextDouble();
            for (Outcome outcome : Outcome.TOLD) {
                at -= LiftForm.likelihood(margin, outcome);
                if (at < 0) {
                    return outcome;
                }
            }
            return Outcome.MISSED;
        }
    }

    private record Day(double weight, Optional<Mass> total, boolean allMade) {}
}
