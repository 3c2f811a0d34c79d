package dev.yarbel.core.school;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.References;
import dev.yarbel.core.shape.Deload;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Blocks of an invented lifter, and how they are written down to be compared. */
final class Drawings {

    static final LocalDate START = LocalDate.of(2026, 3, 2);
    static final Mass STEP = Mass.of("2.5", MassUnit.KG);

    static final Map<Lift, Mass> MAXES = Map.of(
            Lift.SQUAT, Mass.ofKg(180),
            Lift.BENCH_PRESS, Mass.ofKg(120),
            Lift.DEADLIFT, Mass.ofKg(210),
            Lift.OVERHEAD_PRESS, Mass.ofKg(75));

    private Drawings() {}

    static BlockRequest request(Map<Lift, LiftRequest> lifts, int weeks, List<Integer> days, int deloadEvery) {
        return new BlockRequest(
                START,
                weeks,
                days,
                lifts,
                deloadEvery,
                Deload.HALF_SETS,
                Optional.empty(),
                MassUnit.KG,
                STEP,
                false,
                Drawings::numbers,
                lift -> true,
                Catalogue.STANDARD);
    }

    /** A lifter's numbers, the goal ten kilograms above the max. */
    static LiftNumbers numbers(Lift lift) {
        return Optional.ofNullable(MAXES.get(lift))
                .map(max -> numbers(max, max.plus(Mass.ofKg(10))))
                .orElse(LiftNumbers.NONE);
    }

    static LiftNumbers numbers(Mass max, Mass goal) {
        return new LiftNumbers(Optional.of(max), Optional.of(max), RepCurve.DEFAULT)
                .with(new References(Optional.of(max), Optional.of(goal), Optional.of(max), Map.of(), Map.of()));
    }

    static Map<Lift, LiftRequest> all(School school, Lift... lifts) {
        Map<Lift, LiftRequest> requests = new LinkedHashMap<>();
        for (Lift lift : lifts) {
            requests.put(lift, LiftRequest.of(school));
        }
        return requests;
    }

    static Block draw(BlockRequest request) {
        return BlockWriter.write(request, day -> "Day " + (day + 1), Enum::name);
    }

    /** A block as text, one line a slot. */
    static String text(Block block) {
        StringBuilder text = new StringBuilder();
        text.append(block.shape().stream()
                        .map(week ->
                                week.deload() ? "deload" : week.phase().name().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining(" | ", "weeks: ", "")))
                .append('\n');
        for (TrainingDay day : block.days()) {
            text.append(day.name()).append(" +").append(day.offset()).append('\n');
            for (Slot slot : day.slots()) {
                text.append("  ")
                        .append(slot.letter())
                        .append(' ')
                        .append(slot.lift())
                        .append(" (")
                        .append(slot.reason().orElse(""))
                        .append("): ")
                        .append(slot.doses().stream()
                                .map(dose -> dose.map(Dose::shorthand).orElse("-"))
                                .collect(Collectors.joining(" | ")))
                        .append('\n');
            }
        }
        return text.toString();
    }
}
