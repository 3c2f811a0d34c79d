package dev.yarbel.core.school;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.shape.Taper;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;

/**
 * Draws up a block: each lift by its school, its sessions spread over the training days, deloads where they are asked for,
 * and the weeks around a contest shaped for it.
 *
 * <p>A lift's sessions are spread evenly over the dates of the week, so that days which hold the least are taken first and
 * lifts that are alike (squat and deadlift, bench and overhead press) keep apart where they can.
 */
public final class BlockWriter {

    private static final int WEIGHT_OF_MAIN = 2;
    private static final int PRICE_OF_ALIKE = 5;
    private static final int PRICE_OF_NEXT_DAY = 3;
    private static final int PRICE_OF_HARD_IN_A_ROW = 6;
    private static final int PRICE_OF_A_DAY_CLOSER = 6;
    private static final int WEEK = 7;

    private final BlockRequest request;
    private final Stretches stretches;
    private final Optional<Taper> taper;
    private final List<List<Placed>> byDay = new ArrayList<>();

    /** A strand on its day, with a dose or none for each week of the block. */
    private record Placed(LiftProgression strand, School school, Lift of, List<Optional<Dose>> doses) {

        Placed with(List<Optional<Dose>> others) {
            return new Placed(strand, school, of, others);
        }
    }

    /** What makes strands of two stretches one slot. */
    private record Line(int session, int rank, Lift lift, Purpose purpose) {}

    private BlockWriter(BlockRequest request) {
        this.request = request;
        this.stretches = Stretches.of(request);
        this.taper = request.contest().map(day -> new Taper(day, request.catalogue(), request.numbers()));
    }

    /**
     * Draws up a block.
     *
     * @param dayName what a training day is called, by its place
     * @param reason a purpose in the coach's words
     * @throws SchoolRefused when a school cannot draw what it is asked for
     */
    public static Block write(BlockRequest request, IntFunction<String> dayName, Function<Purpose, String> reason) {
        request.lifts().forEach((lift, asked) -> check(request, lift, asked.school()));
        BlockWriter writer = new BlockWriter(request);
        request.days().forEach(day -> writer.byDay.add(new ArrayList<>()));
        for (Lift lift : request.lifts().keySet()) {
            writer.place(lift);
        }
        writer.shapeForContest();
        return writer.block(dayName, reason);
    }

    private static void check(BlockRequest request, Lift lift, School school) {
        if (request.weeks() > school.mostWeeks()) {
            throw new SchoolRefused(SchoolRefused.Why.TOO_LONG, lift, school);
        }
        school.method().refuses(school, lift, request).ifPresent(why -> {
            throw new SchoolRefused(why, lift, school);
        });
    }

    // ---- days

    private void place(Lift lift) {
        LiftRequest wanted = request.lifts().get(lift);
        School school = wanted.school();
        List<Lift> alike = request.lifts().entrySet().stream()
                .filter(other -> other.getValue().school() == school && half(other.getKey()) == half(lift))
                .map(Map.Entry::getKey)
                .toList();
        boolean alternating = school.method().pressesTakeTurns() && half(lift) == Half.UPPER && alike.size() > 1;
        int sessions = sessions(lift, wanted, alternating);
        boolean together = alternating || school.method().sharesDays();
        List<Integer> days =
                together && alike.indexOf(lift) > 0 ? daysOf(alike.get(0), sessions) : cheapest(lift, sessions);
        Map<Line, List<List<Optional<Dose>>>> drawn = new LinkedHashMap<>();
        for (int stretch = 0; stretch < stretches.lengths().size(); stretch++) {
            ProgressionRequest asked = asked(lift, wanted, stretch, sessions, alike, days.get(0));
            for (LiftProgression strand : school.method().draw(asked)) {
                Line line = new Line(strand.session(), strand.rank(), strand.lift(), strand.purpose());
                List<List<Optional<Dose>>> ofStretches = drawn.computeIfAbsent(line, l -> new ArrayList<>());
                while (ofStretches.size() < stretch) {
                    ofStretches.add(List.of());
                }
                ofStretches.add(request.milestones() ? strand.doses() : withoutMilestones(strand));
            }
        }
        drawn.forEach((line, ofStretches) -> {
            List<Placed> day = byDay.get(days.get(Math.min(line.session, days.size() - 1)));
            boolean thereAlready = line.rank == LiftProgression.ASSISTANCE
                    && day.stream().anyMatch(placed -> placed.strand().lift().equals(line.lift));
            List<Optional<Dose>> doses = spread(line.lift, ofStretches);
            if (!thereAlready && doses.stream().anyMatch(Optional::isPresent)) {
                LiftProgression strand = new LiftProgression(line.session, line.rank, line.lift, line.purpose, doses);
                day.add(new Placed(strand, school, lift, doses));
            }
        });
    }

    private ProgressionRequest asked(
            Lift lift, LiftRequest wanted, int stretch, int sessions, List<Lift> alike, int heavyDay) {
        School school = wanted.school();
        boolean toContest = stretch == 0 && taper.isPresent();
        int length = stretches.lengths().get(stretch);
        List<Integer> out = new ArrayList<>();
        int peak = length - 1;
        if (toContest) {
            int last = Taper.lastHeavy(lift, request.catalogue()).orElse(0);
            peak = 0;
            for (int week : stretches.trained(stretch)) {
                out.add(taper.get().daysOut(date(heavyDay, week)));
                if (out.get(out.size() - 1) >= last) {
                    peak = out.size() - 1;
                }
            }
        }
        // what follows a contest begins anew, however short it is
        int weeks = stretch > 0 ? Math.max(length, school.leastWeeks()) : length;
        return new ProgressionRequest(
                lift,
                weeks,
                stretch > 0 ? weeks - 1 : peak,
                sessions,
                wanted.start().orElse(school.start()),
                alike.indexOf(lift),
                alike.size(),
                toContest ? Optional.of(out) : Optional.empty(),
                wanted.weakPoint(),
                wanted.assistance(),
                stretch > 0,
                request);
    }

    private List<Optional<Dose>> withoutMilestones(LiftProgression strand) {
        return Milestones.skip(
                strand.doses(), request.numbers().apply(strand.lift()), request.unit(), request.rounding());
    }

    /** How often a lift is trained in the week, where nobody says otherwise. */
    private int sessions(Lift lift, LiftRequest wanted, boolean alternating) {
        School school = wanted.school();
        int usual = alternating ? request.days().size() : school.sessions();
        boolean pull = request.catalogue().root(lift).equals(Lift.DEADLIFT);
        int own = pull ? Math.max(1, usual - school.method().fewerPulls()) : usual;
        return Math.max(1, Math.min(request.days().size(), wanted.sessions().orElse(own)));
    }

    private enum Half {
        UPPER,
        LOWER,
        OTHER
    }

    private Half half(Lift lift) {
        Lift root = request.catalogue().root(lift);
        if (root.equals(Lift.SQUAT) || root.equals(Lift.DEADLIFT)) {
            return Half.LOWER;
        }
        return root.equals(Lift.BENCH_PRESS) || root.equals(Lift.OVERHEAD_PRESS) ? Half.UPPER : Half.OTHER;
    }

    private List<Integer> daysOf(Lift lift, int sessions) {
        List<Integer> days = new ArrayList<>();
        for (int day = 0; day < byDay.size(); day++) {
            if (byDay.get(day).stream().anyMatch(placed -> placed.of().equals(lift))) {
                days.add(day);
            }
        }
        return days.size() >= sessions ? days : cheapest(lift, sessions);
    }

    /** The days whose dates lie furthest apart, hold the least and keep alike lifts apart. */
    private List<Integer> cheapest(Lift lift, int sessions) {
        List<Integer> best = List.of();
        int bestCost = Integer.MAX_VALUE;
        for (int chosen = 1; chosen < 1 << byDay.size(); chosen++) {
            if (Integer.bitCount(chosen) == sessions) {
                List<Integer> days = new ArrayList<>();
                for (int day = 0; day < byDay.size(); day++) {
                    if ((chosen >> day & 1) == 1) {
                        days.add(day);
                    }
                }
                int cost = days.stream().mapToInt(day -> cost(lift, day)).sum()
                        + PRICE_OF_HARD_IN_A_ROW * hardNextTo(days.get(0))
                        + PRICE_OF_A_DAY_CLOSER * Math.max(0, WEEK / sessions - closest(days));
                if (cost < bestCost) {
                    best = days;
                    bestCost = cost;
                }
            }
        }
        return best;
    }

    /** The fewest days between two of these, from week to week too. */
    private int closest(List<Integer> days) {
        int closest = WEEK;
        for (int i = 0; i < days.size(); i++) {
            int next = request.days().get(days.get((i + 1) % days.size()));
            int apart = next - request.days().get(days.get(i));
            closest = Math.min(closest, apart > 0 ? apart : apart + WEEK);
        }
        return closest;
    }

    /** How many heavy first sessions of other lifts lie on the day before or after. */
    private int hardNextTo(int day) {
        int next = 0;
        for (int other = 0; other < byDay.size(); other++) {
            int apart = Math.abs(request.days().get(other) - request.days().get(day));
            boolean hard = byDay.get(other).stream()
                    .anyMatch(placed ->
                            placed.strand().session() == 0 && placed.strand().rank() == LiftProgression.MAIN);
            next += hard && Math.min(apart, WEEK - apart) == 1 ? 1 : 0;
        }
        return next;
    }

    private int cost(Lift lift, int day) {
        int cost = 0;
        for (int other = 0; other < byDay.size(); other++) {
            int apart = Math.abs(request.days().get(other) - request.days().get(day));
            for (Placed placed : byDay.get(other)) {
                boolean main = placed.strand().rank() < LiftProgression.ASSISTANCE;
                boolean alike = main && half(placed.of()) == half(lift) && half(lift) != Half.OTHER;
                if (other == day) {
                    cost += (main ? WEIGHT_OF_MAIN : 1) + (alike ? PRICE_OF_ALIKE : 0);
                } else if (alike && Math.min(apart, WEEK - apart) <= 1) {
                    cost += PRICE_OF_NEXT_DAY;
                }
            }
        }
        return cost;
    }

    // ---- doses

    /** The doses of every week of the block, deloads included. */
    private List<Optional<Dose>> spread(Lift lift, List<List<Optional<Dose>>> ofStretches) {
        List<Optional<Dose>> doses = new ArrayList<>();
        LiftNumbers numbers = request.numbers().apply(lift);
        for (Stretches.Week week : stretches.weeks()) {
            List<Optional<Dose>> drawn =
                    week.stretch() < ofStretches.size() ? ofStretches.get(week.stretch()) : List.of();
            Optional<Dose> dose = drawn.isEmpty() ? Optional.empty() : drawn.get(Math.max(0, week.training()));
            doses.add(
                    week.deload() && !week.afterContest()
                            ? dose.flatMap(d -> request.deload().of(d, numbers))
                            : dose);
        }
        return doses;
    }

    /** Shapes the days around the contest; what follows it is taken from where the block began. */
    private void shapeForContest() {
        taper.ifPresent(rule -> {
            List<List<Placed>> shaped = new ArrayList<>();
            for (int day = 0; day < byDay.size(); day++) {
                List<Placed> placed = new ArrayList<>();
                for (Placed p : byDay.get(day)) {
                    placed.add(p.with(shaped(rule, day, p)));
                }
                shaped.add(placed);
            }
            byDay.clear();
            byDay.addAll(shaped);
        });
    }

    private List<Optional<Dose>> shaped(Taper rule, int day, Placed placed) {
        List<Optional<Dose>> doses = new ArrayList<>();
        for (int week = 0; week < placed.doses().size(); week++) {
            LocalDate on = date(day, week);
            Lift lift = placed.strand().lift();
            boolean stands = stands(lift, week);
            boolean after = rule.daysOut(on) < 0 && stretches.weeks().get(week).stretch() == 0;
            Optional<Dose> dose = after
                    ? placed.doses().get(0).flatMap(d -> rule.afterwards(lift, d, stands))
                    : placed.doses().get(week).flatMap(d -> rule.of(lift, d, on, stands));
            doses.add(dose);
        }
        return doses;
    }

    /** Whether nothing that is contested itself is trained of a lift's family in a week. */
    private boolean stands(Lift lift, int week) {
        Lift root = request.catalogue().root(lift);
        return byDay.stream()
                .flatMap(List::stream)
                .filter(placed -> placed.doses().get(week).isPresent())
                .map(placed -> placed.strand().lift())
                .noneMatch(other -> request.catalogue().of(other).contest()
                        && request.catalogue().root(other).equals(root));
    }

    private LocalDate date(int day, int week) {
        return request.start().plusWeeks(week).plusDays(request.days().get(day));
    }

    private Block block(IntFunction<String> dayName, Function<Purpose, String> reason) {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < byDay.size(); day++) {
            List<Placed> placed = new ArrayList<>(byDay.get(day));
            placed.removeIf(p -> p.doses().stream().noneMatch(Optional::isPresent));
            placed.sort(Comparator.comparingInt(p -> p.strand().rank()));
            List<String> letters = letters(placed);
            List<Slot> slots = new ArrayList<>();
            for (Placed p : placed) {
                slots.add(new Slot(
                        letters.get(slots.size()),
                        p.strand().lift(),
                        p.doses(),
                        Optional.of(p.school().key()),
                        Optional.of(reason.apply(p.strand().purpose()))));
            }
            if (!slots.isEmpty()) {
                days.add(new TrainingDay(dayName.apply(day), request.days().get(day), slots));
            }
        }
        return new Block(request.start(), days, shape(), request.contest());
    }

    private List<BlockWeek> shape() {
        return stretches.weeks().stream()
                .map(week -> new BlockWeek(
                        week.afterContest() ? Phase.GENERAL : phase(week.training(), week.stretch()), week.deload()))
                .toList();
    }

    /** What a training week is for, by the first school that divides a block into phases. */
    private Phase phase(int week, int stretch) {
        return request.lifts().values().stream()
                .map(lift -> lift.school()
                        .method()
                        .phase(week, stretches.lengths().get(stretch), taper.isPresent() && stretch == 0))
                .flatMap(Optional::stream)
                .findFirst()
                .orElse(Phase.GENERAL);
    }

    /** What assists the same lift is done in turn, and shares a letter: C1, C2. */
    private static List<String> letters(List<Placed> placed) {
        List<String> letters = new ArrayList<>();
        int letter = 0;
        int from = 0;
        while (from < placed.size()) {
            int to = from + 1;
            boolean assists = placed.get(from).strand().rank() == LiftProgression.ASSISTANCE;
            while (assists
                    && to < placed.size()
                    && placed.get(to).of().equals(placed.get(from).of())) {
                to++;
            }
            String stem = String.valueOf((char) ('A' + Math.min(letter++, 25)));
            for (int i = from; i < to; i++) {
                letters.add(to - from > 1 ? stem + (i - from + 1) : stem);
            }
            from = to;
        }
        return letters;
    }
}
