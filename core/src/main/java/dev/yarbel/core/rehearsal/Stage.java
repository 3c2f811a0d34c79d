package dev.yarbel.core.rehearsal;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.recovery.DayStrain;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.tally.BlockTally;
import dev.yarbel.core.tally.WorkLine;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** What is the same for all runs of a rehearsal, worked out once. */
final class Stage {

    /** What a hard day weighs beside the days that the estimate's tiredness was set by; ours. */
    private static final double USUAL = 0.85;

    private final Staged staged;
    private final List<Lift> known;
    private final boolean[][] ahead;
    private final LocalDate[][] dates;
    private final List<RehearsedPart>[][] parts;
    private final List<List<Map<Lift, Double>>> tiring = new ArrayList<>();
    private final Map<Lift, Double> believed = new HashMap<>();

    Stage(Staged staged, List<Lift> known, BlockTally tally) {
        this.staged = staged;
        this.known = known;
        int days = staged.block().days().size();
        this.ahead = new boolean[days][staged.block().weeks()];
        this.parts = new List[days][staged.block().weeks()];
        this.dates = new LocalDate[days][staged.block().weeks()];
        Map<Integer, Map<Integer, List<WorkLine>>> lines = tally.lines().stream()
                .collect(Collectors.groupingBy(WorkLine::week, Collectors.groupingBy(WorkLine::day)));
        for (int week = 0; week < staged.block().weeks(); week++) {
            List<Map<Lift, Double>> ofWeek = new ArrayList<>();
            for (int day = 0; day < days; day++) {
                dates[day][week] = staged.block().date(day, week);
                ahead[day][week] = staged.isAhead(day, week);
                ofWeek.add(tiring(lines.getOrDefault(week, Map.of()).getOrDefault(day, List.of())));
            }
            tiring.add(ofWeek);
        }
    }

    private Map<Lift, Double> tiring(List<WorkLine> lines) {
        Map<Lift, Double> tiring = new HashMap<>();
        lines.stream()
                .filter(line -> known.contains(line.lift()))
                .collect(Collectors.groupingBy(
                        line -> staged.resolver().catalogue().root(line.lift())))
                .forEach((root, of) ->
                        tiring.put(root, DayStrain.of(of).share().share().doubleValue() / USUAL));
        return tiring;
    }

    int weeks() {
        return staged.block().weeks();
    }

    /** The last day of a week. */
    LocalDate endOf(int week) {
        return staged.block().start().plusWeeks(week + 1L).minusDays(1);
    }

    /** The day that the block leads to: the contest's where it lies within it, else its last. */
    LocalDate last() {
        Block block = staged.block();
        return block.contest()
                .filter(day -> day.isBefore(block.end()) && !day.isBefore(block.start()))
                .orElse(block.end());
    }

    boolean isAhead(int day, int week) {
        return ahead[day][week];
    }

    LocalDate date(int day, int week) {
        return dates[day][week];
    }

    /** How tiring a day is for each family of lifts, beside a usual session. */
    Map<Lift, Double> tiring(int day, int week) {
        return tiring.get(week).get(day);
    }

    /** What is thought of the max of a family's root today, in kg. */
    double believed(Lift root) {
        return believed.computeIfAbsent(root, of -> {
            LiftNumbers numbers = staged.resolver().numbers(of);
            return numbers.estimate()
                    .or(numbers::workingMax)
                    .map(RehearsedPart::kg)
                    .orElse(1.0);
        });
    }

    /** What loads hang on beside what they would hang on if the coach had just set the working max by the estimate; 1 where there is none. */
    double apart(Lift root) {
        LiftNumbers numbers = staged.resolver().numbers(root);
        return numbers.estimate()
                .map(estimate -> estimate.times(staged.share()))
                .filter(Mass::isPositive)
                .flatMap(target -> numbers.workingMax().map(max -> RehearsedPart.kg(max) / RehearsedPart.kg(target)))
                .orElse(1.0);
    }

    /** The parts of a day in plain figures; of one that the plan itself asks for worked out once. */
    List<RehearsedPart> parts(int day, int week, List<PrescribedSets> asked, List<ResolvedLoad> loads) {
        if (asked != staged.projection().prescriptions(day, week)) {
            return parts(asked, loads);
        }
        if (parts[day][week] == null) {
            parts[day][week] = parts(asked, loads);
        }
        return parts[day][week];
    }

    private List<RehearsedPart> parts(List<PrescribedSets> asked, List<ResolvedLoad> loads) {
        return IntStream.range(0, asked.size())
                .mapToObj(at -> RehearsedPart.of(asked, at, loads.get(at), staged.resolver(), known))
                .toList();
    }
}
