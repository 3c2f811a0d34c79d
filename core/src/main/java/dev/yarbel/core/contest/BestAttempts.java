package dev.yarbel.core.contest;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The attempts that serve an aim best, by dynamic programming over all that are left (Bellman 1957, <i>Dynamic Programming</i>).
 *
 * <p>Within a lift it reckons with what each attempt will have told: an opener that flies leads on to more than one that grinds.
 * What one lift tells of the next is not planned with; it counts once the lift is over and the day is looked at anew ({@link
 * DayStrength#after}). Where loads serve as well but for a trifle, the lightest is taken. An opener is one that is made nine times of
 * ten, whatever is aimed at: three misses in a lift and the day is over (common practice, no source; the figure is ours).
 */
public final class BestAttempts implements Advice {

    private static final double LIGHTEST_SPREADS = 3.5;
    private static final double HEAVIEST_SPREADS = 2.5;
    private static final double HARDLY_EVER = 1e-6;
    /** How likely an opener is made at least. */
    static final double SAFE_OPENER = 0.9;

    /** What is hardly to be had is not given away for a lighter load. */
    private static final double TRIFLING_SHARE = 0.01;

    private final ContestRules rules;
    private final Aim aim;
    private final List<Lift> lifts;
    private final Map<Lift, Choices> choices = new HashMap<>();
    /** What the aim may be expected to come to with a subtotal before each lift, and after the last. */
    private final List<Map<Mass, Double>> values = new ArrayList<>();

    /** @param lifts that are still to be attempted, in order; the first may have begun */
    public BestAttempts(DayStrength day, ContestRules rules, Aim aim, List<Lift> lifts) {
        this.rules = rules;
        this.aim = aim;
        this.lifts = List.copyOf(lifts);
        lifts.forEach(lift -> {
            choices.put(lift, new Choices(day.form(lift)));
            values.add(new HashMap<>());
        });
        values.add(new HashMap<>());
    }

    @Override
    public Optional<Mass> next(Lift lift, List<Attempt> before, Mass subtotal) {
        if (before.size() >= ContestRules.ATTEMPTS) {
            return rules.unnamed(before);
        }
        return Optional.of(choices.get(lift)
                .after(before)
                .chosen(subtotal, lifts.indexOf(lift))
                .load());
    }

    /** What the aim may be expected to come to from before a lift on. */
    public double worth(Lift lift, List<Attempt> before, Mass subtotal) {
        return value(choices.get(lift).after(before), subtotal, lifts.indexOf(lift));
    }

    private double value(Node node, Mass subtotal, int lift) {
        if (node.before >= ContestRules.ATTEMPTS) {
            return node.best
                    .map(best -> from(lift + 1, subtotal.plus(best)))
                    .orElseGet(() -> aim.worth(Optional.empty()));
        }
        return node.chosen(subtotal, lift).value();
    }

    private double from(int lift, Mass subtotal) {
        Map<Mass, Double> known = values.get(lift);
        Double value = known.get(subtotal);
        if (value == null) {
            value = lift < lifts.size()
                    ? value(choices.get(lifts.get(lift)).first, subtotal, lift)
                    : Double.valueOf(aim.worth(Optional.of(subtotal)));
            known.put(subtotal, value);
        }
        return value;
    }

    /** The attempts at a lift, as they may go on from each other. */
    private final class Choices {

        private final Mass lightest;
        private final Mass heaviest;
        private final Node first;
        private final Map<Outcome, Map<Mass, double[]>> likelihoods = new EnumMap<>(Outcome.class);

        private Choices(LiftForm form) {
            double spread = Math.sqrt(form.variance());
            this.lightest = rules.nearest(at(form, -LIGHTEST_SPREADS * spread));
            this.heaviest = Mass.max(lightest, rules.nearest(at(form, HEAVIEST_SPREADS * spread)));
            this.first = new Node(this, form, 0, lightest, Optional.empty());
        }

        /** How likely an outcome is with each max that may be there. */
        private double[] likelihoods(Mass load, Outcome outcome) {
            return likelihoods
                    .computeIfAbsent(outcome, of -> new HashMap<>())
                    .computeIfAbsent(load, of -> first.form.likelihoods(of, outcome));
        }

        private static Mass at(LiftForm form, double off) {
            return Mass.of(BigDecimal.valueOf(Math.exp(form.mean() + off)), MassUnit.KG);
        }

        private Node after(List<Attempt> before) {
            Node node = first;
            for (int i = 0; i < before.size(); i++) {
                node = node.after(before.get(i), before.subList(0, i + 1));
            }
            return node;
        }
    }

    /** What serves the aim best, and how well. */
    private record Chosen(Mass load, double value) {}

    /** A load that may be called, with how likely each outcome is and where it leads. */
    private record Choice(Mass load, double[] chances, Node[] then) {}

    /** After some attempts at a lift. What may follow is worked out when it is asked for. */
    private final class Node {

        private final Choices lift;
        private final LiftForm form;
        private final int before;
        private final Mass least;
        private final Optional<Mass> best;
        private final Map<Mass, Chosen> chosen = new HashMap<>();
        private List<Choice> next;

        private Node(Choices lift, LiftForm form, int before, Mass least, Optional<Mass> best) {
            this.lift = lift;
            this.form = form;
            this.before = before;
            this.least = least;
            this.best = best;
        }

        private List<Choice> next() {
            if (next == null) {
                next = new ArrayList<>();
                for (Mass load = least; next.isEmpty() || mayBe(load); load = above(load)) {
                    next.add(choice(load));
                }
            }
            return next;
        }

        /** The next load to think of: after a call far below anything that may be there, not each step up from it. */
        private Mass above(Mass load) {
            return Mass.max(load.plus(rules.step()), lift.lightest);
        }

        private boolean mayBe(Mass load) {
            return !load.isGreaterThan(lift.heaviest)
                    && (before > 0 || form.chance(lift.likelihoods(load, Outcome.MADE)) >= SAFE_OPENER);
        }

        private Choice choice(Mass load) {
            if (before + 1 >= ContestRules.ATTEMPTS) {
                // nothing is learnt for anything any more
                double made = form.chance(lift.likelihoods(load, Outcome.MADE));
                return new Choice(load, new double[] {made, 1 - made}, new Node[] {
                    then(load, Outcome.MADE, form), then(load, Outcome.MISSED, form)
                });
            }
            double[] chances = new double[Outcome.TOLD.size()];
            Node[] then = new Node[chances.length];
            for (int i = 0; i < chances.length; i++) {
                Outcome outcome = Outcome.TOLD.get(i);
                double[] likelihoods = lift.likelihoods(load, outcome);
                chances[i] = form.chance(likelihoods);
                if (chances[i] > HARDLY_EVER) {
                    then[i] = then(load, outcome, form.after(likelihoods));
                }
            }
            return new Choice(load, chances, then);
        }

        private Node then(Mass load, Outcome outcome, LiftForm after) {
            return outcome.isMade()
                    ? new Node(lift, after, before + 1, load.plus(rules.step()), Optional.of(load))
                    : new Node(lift, after, before + 1, load, best);
        }

        /** @param attempts all at the lift up to this one */
        private Node after(Attempt attempt, List<Attempt> attempts) {
            int outcome = Outcome.TOLD.indexOf(attempt.outcome());
            if (outcome >= 0 && attempt.tellsOfStrength() && before + 1 < ContestRules.ATTEMPTS) {
                for (Choice choice : next()) {
                    if (choice.load.equals(attempt.load()) && choice.then[outcome] != null) {
                        return choice.then[outcome];
                    }
                }
            }
            // called otherwise than was thought of
            return new Node(
                    lift, form.after(attempt), before + 1, rules.least(attempts).orElseThrow(), Attempt.best(attempts));
        }

        private Chosen chosen(Mass subtotal, int at) {
            Chosen known = chosen.get(subtotal);
            if (known == null) {
                known = choose(subtotal, at);
                chosen.put(subtotal, known);
            }
            return known;
        }

        private Chosen choose(Mass subtotal, int at) {
            List<Chosen> all = new ArrayList<>();
            for (Choice choice : next()) {
                double value = 0;
                for (int i = 0; i < choice.chances.length; i++) {
                    if (choice.then[i] != null) {
                        value += choice.chances[i] * value(choice.then[i], subtotal, at);
                    }
                }
                all.add(new Chosen(choice.load, value));
            }
            double highest = all.stream().mapToDouble(Chosen::value).max().orElseThrow();
            double lowest = all.stream().mapToDouble(Chosen::value).min().orElseThrow();
            double trifle = Math.min(aim.trifle(), (highest - lowest) * TRIFLING_SHARE);
            return all.stream()
                    .filter(one -> one.value >= highest - trifle)
                    .findFirst()
                    .orElseThrow();
        }
    }
}
