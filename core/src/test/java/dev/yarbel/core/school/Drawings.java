package dev.yarbel.core.school;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.References;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.shape.Deload;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
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
        return BlockRequest.of(START, weeks, days, lifts)
                .withDeload(deloadEvery, Deload.HALF_SETS)
                .with(Drawings::numbers);
    }

    /** A lifter's numbers, the goal ten kilograms above the max. */
    static LiftNumbers numbers(Lift lift) {
        return Optional.ofNullable(MAXES.get(lift))
                .map(max -> numbers(max, max.plus(Mass.ofKg(10))))
                .orElse(EVENTS.containsKey(lift) ? event(EVENTS.get(lift)) : LiftNumbers.NONE);
    }

    /** The loads announced for the events. */
    private static final Map<Lift, Mass> EVENTS = Map.of(
            new Lift("yoke-walk"), Mass.ofKg(300),
            new Lift("stone-over-bar"), Mass.ofKg(120),
            new Lift("farmers-walk"), Mass.ofKg(100));

    private static LiftNumbers event(Mass announced) {
        return LiftNumbers.NONE.with(
                new References(Optional.empty(), Optional.empty(), Optional.of(announced), Map.of(), Map.of()));
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
        Projection projection = Projection.of(block, resolver(), Projection.Log.NONE);
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
                if (slot.doses().stream().flatMap(Optional::stream).anyMatch(Drawings::goesOn)) {
                    text.append("      comes to ")
                            .append(comesTo(projection, block, day, slot))
                            .append('\n');
                }
            }
        }
        return text.toString();
    }

    private static boolean goesOn(Dose dose) {
        return dose.first().basis() instanceof LoadBasis.LastTime;
    }

    /** Sets and loads as the laws make them, week by week. */
    private static String comesTo(Projection projection, Block block, TrainingDay day, Slot slot) {
        List<String> weeks = new ArrayList<>();
        int d = block.days().indexOf(day);
        for (int week = 0; week < block.weeks(); week++) {
            String cell = "-";
            for (int i = 0; i < projection.prescriptions(d, week).size(); i++) {
                PrescribedSets asked = projection.prescriptions(d, week).get(i);
                if (asked.letter().equals(slot.letter()) && asked.firstSet() == 1) {
                    String load = projection
                            .loads(d, week)
                            .get(i)
                            .load()
                            .map(mass -> mass.figure(MassUnit.KG, 2))
                            .orElse("?");
                    cell = asked.sets() + "x" + asked.part().reps() + " " + load;
                }
            }
            weeks.add(cell);
        }
        return String.join(" | ", weeks);
    }

    static Resolver resolver() {
        Map<Lift, LiftNumbers> own = new HashMap<>();
        MAXES.keySet().forEach(lift -> own.put(lift, numbers(lift)));
        EVENTS.forEach((lift, load) -> own.put(lift, event(load)));
        return new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(own, Catalogue.STANDARD.ratios()));
    }
}
