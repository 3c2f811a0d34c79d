package dev.yarbel.core.school;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.LiftNumbers;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;

/**
 * Draws up a block: each lift by its school, its sessions spread over the training days, deloads where they are asked for.
 *
 * <p>A lift's sessions are spread evenly over the week's days, so that days which hold the least are taken first and lifts
 * that are alike (squat and deadlift, bench and overhead press) keep apart where they can.
 */
public final class BlockWriter {

    private static final int WEIGHT_OF_MAIN = 2;
    private static final int PRICE_OF_ALIKE = 5;
    private static final int PRICE_OF_NEXT_DAY = 3;

    private final BlockRequest request;
    private final List<BlockWeek> shape = new ArrayList<>();
    /** For each week, the training week it takes its doses from. */
    private final List<Integer> trainingWeek = new ArrayList<>();

    private final List<List<Placed>> byDay = new ArrayList<>();

    private record Placed(Strand strand, School school, Lift of, List<Optional<Dose>> doses) {}

    private BlockWriter(BlockRequest request) {
        this.request = request;
    }

    /**
     * Draws up a block.
     *
     * @param dayName what a training day is called, by its place
     * @param reason a purpose in the coach's words
     */
    public static Block write(BlockRequest request, IntFunction<String> dayName, Function<Purpose, String> reason) {
        BlockWriter writer = new BlockWriter(request);
        writer.shape();
        request.days().forEach(day -> writer.byDay.add(new ArrayList<>()));
        List<Lift> lifts = List.copyOf(request.lifts().keySet());
        for (Lift lift : lifts) {
            writer.place(lift);
        }
        return writer.block(dayName, reason);
    }

    // ---- weeks

    private void shape() {
        boolean phases = request.lifts().values().stream().anyMatch(lift -> lift.school() == School.PHASES);
        int trained = 0;
        int sinceDeload = 0;
        List<Boolean> deloads = new ArrayList<>();
        for (int week = 0; week < request.weeks(); week++) {
            boolean tooLate = week >= request.weeks() - 2;
            boolean deload = request.deloadEvery() > 0 && sinceDeload == request.deloadEvery() && !tooLate;
            deloads.add(deload);
            trainingWeek.add(deload ? trained - 1 : trained);
            trained += deload ? 0 : 1;
            sinceDeload = deload ? 0 : sinceDeload + 1;
        }
        for (int week = 0; week < request.weeks(); week++) {
            Phase phase = phases ? PhasesSchool.phase(trainingWeek.get(week), trained) : Phase.GENERAL;
            shape.add(new BlockWeek(phase, deloads.get(week)));
        }
    }

    private int trainingWeeks() {
        return trainingWeek.get(trainingWeek.size() - 1) + 1;
    }

    private Optional<List<Integer>> daysToContest() {
        return request.contest().map(contest -> {
            List<Integer> out = new ArrayList<>();
            for (int week = 0; week < request.weeks(); week++) {
                if (!shape.get(week).deload()) {
                    LocalDate middle = request.start().plusWeeks(week).plusDays(3);
                    out.add((int) ChronoUnit.DAYS.between(middle, contest));
                }
            }
            return out;
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
        boolean alternating = school == School.STEADY_ADD && half(lift) == Half.UPPER && alike.size() > 1;
        int sessions = sessions(lift, wanted, alternating);
        List<Strand> strands = school.draw(new StrandRequest(
                lift,
                trainingWeeks(),
                sessions,
                wanted.start().orElse(school.start()),
                alike.indexOf(lift),
                alike.size(),
                daysToContest(),
                request));
        boolean together = alternating || school == School.MAX_EFFORT_SPEED;
        List<Integer> days =
                together && alike.indexOf(lift) > 0 ? daysOf(alike.get(0), sessions) : cheapest(lift, sessions);
        for (Strand strand : strands) {
            List<Placed> day = byDay.get(days.get(Math.min(strand.session(), days.size() - 1)));
            boolean thereAlready = strand.rank() == Strand.ASSISTANCE
                    && day.stream().anyMatch(placed -> placed.strand().lift().equals(strand.lift()));
            if (!thereAlready && strand.doses().stream().anyMatch(Optional::isPresent)) {
                day.add(new Placed(strand, school, lift, spread(strand)));
            }
        }
    }

    /** A pull takes longest to recover from, so where nobody says otherwise it is trained less often. */
    private int sessions(Lift lift, LiftRequest wanted, boolean alternating) {
        School school = wanted.school();
        int usual = alternating ? request.days().size() : school.sessions();
        boolean lessOften = request.catalogue().root(lift).equals(Lift.DEADLIFT)
                && school != School.SPECIALISATION
                && school != School.MAX_EFFORT_SPEED;
        int own = lessOften ? Math.max(1, school.isDailyPractice() ? usual - 2 : usual - 1) : usual;
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

    /** The evenly spread days that hold the least and keep alike lifts apart. */
    private List<Integer> cheapest(Lift lift, int sessions) {
        List<Integer> best = List.of();
        int bestCost = Integer.MAX_VALUE;
        for (int phase = 0; phase < byDay.size(); phase++) {
            List<Integer> days = new ArrayList<>();
            for (int s = 0; s < sessions; s++) {
                days.add((phase + s * byDay.size() / sessions) % byDay.size());
            }
            int cost = days.stream().mapToInt(day -> cost(lift, day)).sum();
            if (cost < bestCost) {
                best = days;
                bestCost = cost;
            }
        }
        return best.stream().sorted().toList();
    }

    private int cost(Lift lift, int day) {
        int cost = 0;
        for (int other = 0; other < byDay.size(); other++) {
            int apart = Math.abs(request.days().get(other) - request.days().get(day));
            for (Placed placed : byDay.get(other)) {
                boolean main = placed.strand().rank() < Strand.ASSISTANCE;
                boolean alike = main && half(placed.of()) == half(lift) && half(lift) != Half.OTHER;
                if (other == day) {
                    cost += (main ? WEIGHT_OF_MAIN : 1) + (alike ? PRICE_OF_ALIKE : 0);
                } else if (alike && apart <= 1) {
                    cost += PRICE_OF_NEXT_DAY;
                }
            }
        }
        return cost;
    }

    // ---- doses

    /** The doses of every week, deloads included. */
    private List<Optional<Dose>> spread(Strand strand) {
        List<Optional<Dose>> doses = new ArrayList<>();
        for (int week = 0; week < request.weeks(); week++) {
            Optional<Dose> dose = strand.doses().get(Math.max(0, trainingWeek.get(week)));
            if (shape.get(week).deload()) {
                LiftNumbers numbers = request.numbers().apply(strand.lift());
                dose = dose.flatMap(d -> request.deload().of(d, numbers));
            } else if (!request.milestones()) {
                dose = dose.map(d ->
                        Milestones.skip(d, request.numbers().apply(strand.lift()), request.unit(), request.rounding()));
            }
            doses.add(dose);
        }
        return doses;
    }

    private Block block(IntFunction<String> dayName, Function<Purpose, String> reason) {
        List<TrainingDay> days = new ArrayList<>();
        for (int day = 0; day < byDay.size(); day++) {
            List<Placed> placed = new ArrayList<>(byDay.get(day));
            placed.sort(Comparator.comparingInt(p -> p.strand().rank()));
            List<Slot> slots = new ArrayList<>();
            for (Placed p : placed) {
                slots.add(new Slot(
                        letter(placed, slots.size()),
                        p.strand().lift(),
                        upToContest(day, p.doses()),
                        Optional.of(p.school().key()),
                        Optional.of(reason.apply(p.strand().purpose()))));
            }
            if (!slots.isEmpty()) {
                days.add(new TrainingDay(dayName.apply(day), request.days().get(day), slots));
            }
        }
        return new Block(request.start(), request.weeks(), days, shape, request.contest());
    }

    /** Nothing is trained on the day of the contest and after it. */
    private List<Optional<Dose>> upToContest(int day, List<Optional<Dose>> doses) {
        List<Optional<Dose>> kept = new ArrayList<>();
        for (int week = 0; week < doses.size(); week++) {
            LocalDate date =
                    request.start().plusWeeks(week).plusDays(request.days().get(day));
            kept.add(
                    request.contest().filter(contest -> !date.isBefore(contest)).isPresent()
                            ? Optional.empty()
                            : doses.get(week));
        }
        return kept;
    }

    /** Two or more of assistance are done in turn, and share a letter: C1, C2. */
    private static String letter(List<Placed> placed, int place) {
        int first = 0;
        while (first < placed.size() && placed.get(first).strand().rank() < Strand.ASSISTANCE) {
            first++;
        }
        boolean inTurn = placed.size() - first > 1 && place >= first;
        String letter = String.valueOf((char) ('A' + Math.min(inTurn ? first : place, 25)));
        return inTurn ? letter + (place - first + 1) : letter;
    }
}
