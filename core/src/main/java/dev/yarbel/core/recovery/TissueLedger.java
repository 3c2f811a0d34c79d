package dev.yarbel.core.recovery;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Alternatives;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.record.LiftedSession;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.tally.HardSets;
import dev.yarbel.core.tally.WorkLine;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What each tissue bore in the weeks before a day and is to bear in those after it, across all lifts, beside what it is used to.
 *
 * <p>That one sore tissue has a budget over all lifts, causes outside training counted, is common practice (no source); the figures are starting values of ours: a hard set counts
 * as one, another set as half, both half of it where the lift loads the tissue less than those it stands in for; a job that wears a tissue counts as four sets a
 * week; an ache leaves of what is usual seven points in a hundred less for each point of its weight, and 70 % where nobody weighed it.
 *
 * @param tissues those that bear anything, the ones over their budget first, then by how far they go beyond what they are used to
 */
public record TissueLedger(List<Line> tissues) {

    /** So many weeks back is what a tissue is used to. */
    public static final int WEEKS = 8;

    private static final int DAYS = 7;
    private static final double OTHER_SET = 0.5;
    private static final double EASED = 0.5;
    private static final double JOB = 4;
    private static final double A_POINT = 0.07;
    private static final int UNWEIGHED = 4;
    private static final double FAR_ABOVE = 1.3;
    private static final double SETS_ABOVE = 4;
    private static final int MOST_RELIEFS = 4;
    private static final int MOST_ALTERNATIVES = 1;

    public TissueLedger {
        tissues = List.copyOf(tissues);
    }

    /**
     * One tissue. Figures are sets a week.
     *
     * @param usedTo in the mean of the last eight weeks, or of as many as there are; the job's share counted
     * @param past week by week, the oldest first
     * @param ahead week by week from the one that holds the day on; what was lifted of it counts as lifted
     * @param job what the job's share of each week is
     * @param budget the most it should bear a week while it aches
     * @param reliefs of the weeks over budget, the slots that load it most in the first of them
     */
    public record Line(
            Tissue tissue,
            double usedTo,
            List<Double> past,
            List<Double> ahead,
            double job,
            Optional<Double> budget,
            List<Relief> reliefs) {

        public Line {
            past = List.copyOf(past);
            ahead = List.copyOf(ahead);
            reliefs = List.copyOf(reliefs);
        }

        /** The most it is to bear in a week. */
        public double most() {
            return ahead.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        }

        /** Whether it aches and is to bear more than it should. */
        public boolean isOverBudget() {
            return budget.filter(most -> most() > most).isPresent();
        }

        /** Whether it is to bear far more than it is used to: three tenths and four sets, where there is a log to say so. */
        public boolean isFarAbove() {
            return usedTo > job && most() > FAR_ABOVE * usedTo && most() > usedTo + SETS_ABOVE;
        }
    }

    /**
     * A slot that could spare a sore tissue.
     *
     * @param week from 0
     * @param sets of its load
     * @param instead a lift that trains the same and loads it less
     */
    public record Relief(int day, int week, String letter, Lift lift, double sets, Optional<Lift> instead) {}

    /**
     * What is known of a lifter beside plan and log.
     *
     * @param aches open ones
     * @param worn what the job wears
     */
    public record Body(Collection<Ache> aches, Set<Tissue> worn) {}

    /**
     * The ledger on a day.
     *
     * @param log finished sessions of the last weeks; later ones of the same block are in the lines
     * @param lines the block's work, planned or lifted
     */
    public static TissueLedger of(
            Block block, List<WorkLine> lines, List<LiftedSession> log, Body body, Resolver resolver, LocalDate today) {
        Reckoner reckoner = new Reckoner(block, lines, log, body, resolver, today);
        return new TissueLedger(Arrays.stream(Tissue.values())
                .map(reckoner::line)
                .filter(line -> line.most() > line.job || line.usedTo > line.job)
                .sorted(Comparator.comparing((Line line) -> !line.isOverBudget())
                        .thenComparing(line -> -line.most() / Math.max(1, line.usedTo)))
                .toList());
    }

    private record Reckoner(
            Block block, List<WorkLine> lines, List<LiftedSession> log, Body body, Resolver resolver, LocalDate today) {

        private Catalogue catalogue() {
            return resolver.catalogue();
        }

        private double share(Lift lift, Tissue tissue) {
            if (!catalogue().loads(lift, tissue)) {
                return 0;
            }
            return catalogue().of(lift).eases().contains(tissue) ? EASED : 1;
        }

        private LocalDate monday() {
            long weeks = Math.floorDiv(ChronoUnit.DAYS.between(block.start(), today), DAYS);
            return block.start().plusWeeks(weeks);
        }

        private Line line(Tissue tissue) {
            double job = body.worn().contains(tissue) ? JOB : 0;
            List<Double> past = past(tissue, job);
            double usedTo =
                    past.stream().mapToDouble(Double::doubleValue).average().orElse(job);
            List<Double> ahead = ahead(tissue, job);
            Optional<Double> budget = body.aches().stream()
                    .filter(ache -> ache.place() == tissue)
                    .map(ache -> usedTo * (1 - A_POINT * ache.weight().orElse(UNWEIGHED)))
                    .min(Comparator.naturalOrder());
            return new Line(tissue, usedTo, past, ahead, job, budget, reliefs(tissue, ahead, budget));
        }

        private List<Double> past(Tissue tissue, double job) {
            LocalDate first = log.stream()
                    .map(LiftedSession::date)
                    .min(Comparator.naturalOrder())
                    .orElse(monday());
            long weeks = Math.min(WEEKS, (ChronoUnit.DAYS.between(first, monday()) + DAYS - 1) / DAYS);
            List<Double> past = new ArrayList<>();
            for (long back = weeks; back > 0; back--) {
                LocalDate from = monday().minusWeeks(back);
                past.add(job
                        + log.stream()
                                .filter(session -> !session.date().isBefore(from)
                                        && session.date().isBefore(from.plusWeeks(1)))
                                .flatMap(session -> session.sets().stream())
                                .mapToDouble(set -> share(set.lift(), tissue) * weight(set))
                                .sum());
            }
            return past;
        }

        private double weight(LiftedSet set) {
            return HardSets.isHard(set, resolver.numbers(set.lift())) ? 1 : OTHER_SET;
        }

        private static double weight(WorkLine line) {
            return line.hardSets() + OTHER_SET * Math.max(0, line.sets() - line.hardSets());
        }

        private int week() {
            return (int) ChronoUnit.WEEKS.between(block.start(), monday());
        }

        private List<Double> ahead(Tissue tissue, double job) {
            List<Double> ahead = new ArrayList<>();
            for (int week = Math.max(0, week()); week < block.weeks(); week++) {
                ahead.add(job + of(tissue, week));
            }
            return ahead;
        }

        private double of(Tissue tissue, int week) {
            return lines.stream()
                    .filter(line -> line.week() == week)
                    .mapToDouble(line -> share(line.lift(), tissue) * weight(line))
                    .sum();
        }

        private List<Relief> reliefs(Tissue tissue, List<Double> ahead, Optional<Double> budget) {
            int first = 0;
            while (budget.isPresent() && first < ahead.size() && ahead.get(first) <= budget.get()) {
                first++;
            }
            if (budget.isEmpty() || first == ahead.size()) {
                return List.of();
            }
            int week = Math.max(0, week()) + first;
            return lines.stream()
                    .filter(line -> line.week() == week && !line.done() && share(line.lift(), tissue) > 0)
                    .map(line -> new Relief(
                            line.day(),
                            week,
                            letter(line),
                            line.lift(),
                            share(line.lift(), tissue) * weight(line),
                            Alternatives.of(line.lift(), List.of(tissue), catalogue(), MOST_ALTERNATIVES).stream()
                                    .filter(other -> share(other, tissue) < share(line.lift(), tissue))
                                    .findFirst()))
                    .sorted(Comparator.comparingDouble(relief -> -relief.sets()))
                    .limit(MOST_RELIEFS)
                    .toList();
        }

        private String letter(WorkLine line) {
            return block.days().get(line.day()).slots().stream()
                    .filter(slot -> slot.lift().equals(line.lift()))
                    .map(Slot::letter)
                    .findFirst()
                    .orElse("");
        }
    }
}
