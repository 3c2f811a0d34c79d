package dev.yarbel.core.block;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Days of a block, written in a line each. */
public final class Blocks4Tests {

    private Blocks4Tests() {}

    /**
     * Days like {@code 0 squat 3x5 85%, bench-press 3x5 75%|3x5 80%|-}: the weekday from 0, then the slots with a comma between; of each a dose for every
     * week, the last of them for all that follow, a dash for none.
     */
    public static List<TrainingDay> days(int weeks, String... days) {
        List<TrainingDay> training = new ArrayList<>();
        for (String day : days) {
            String[] parts = day.split(" ", 2);
            List<Slot> slots = new ArrayList<>();
            for (String slot : parts[1].split(", ")) {
                String[] words = slot.split(" ", 2);
                String[] doses = words[1].split("\\|");
                slots.add(new Slot(
                        String.valueOf((char) ('A' + slots.size())),
                        new Lift(words[0]),
                        IntStream.range(0, weeks)
                                .mapToObj(week -> doses[Math.min(week, doses.length - 1)])
                                .map(dose -> dose.equals("-") ? Optional.<Dose>empty() : Optional.of(Dose.parse(dose)))
                                .toList()));
            }
            training.add(new TrainingDay("Day " + training.size(), Integer.parseInt(parts[0]), slots));
        }
        return training;
    }
}
