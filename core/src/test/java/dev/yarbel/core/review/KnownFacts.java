package dev.yarbel.core.review;

import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.tally.Habit;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What is known of a lifter in a test, changed where it matters. */
public final class KnownFacts implements LifterKnown {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

    public Optional<Mastery> mastery = Optional.empty();
    public Optional<LocalDate> lastSeen = Optional.of(TODAY.minusWeeks(1));
    public Optional<Mass> gain = Optional.empty();
    public Habit habit = new Habit(Map.of(), 0);
    public List<Ache> aches = List.of();
    public boolean diets;
    public MassUnit unit = MassUnit.KG;
    public Optional<Integer> age = Optional.empty();
    public List<LocalDate> contests = List.of();
    public Optional<Integer> minutes = Optional.empty();
    public Optional<Integer> days = Optional.empty();
    public Optional<Integer> putAside = Optional.empty();
    public int run = 1;
    public LocalDate today = TODAY;
    public boolean lifted;
    public Set<Gate> confirmed = Set.of();

    @Override
    public Optional<Mastery> mastery(Lift lift) {
        return mastery;
    }

    @Override
    public Optional<LocalDate> lastSeen(Lift lift) {
        return lastSeen;
    }

    @Override
    public Optional<Mass> gainAWeek(Lift lift) {
        return gain;
    }

    @Override
    public Habit habit() {
        return habit;
    }

    @Override
    public List<Ache> aches() {
        return aches;
    }

    @Override
    public boolean dietsHard() {
        return diets;
    }

    @Override
    public MassUnit unit() {
        return unit;
    }

    @Override
    public Optional<Integer> age() {
        return age;
    }

    @Override
    public List<LocalDate> contests() {
        return contests;
    }

    @Override
    public Optional<Integer> minutesAtHand() {
        return minutes;
    }

    @Override
    public Optional<Integer> daysAWeek() {
        return days;
    }

    @Override
    public Optional<Integer> daysOfBlockPutAside() {
        return putAside;
    }

    @Override
    public int run() {
        return run;
    }

    @Override
    public boolean isLifted(int day, int week) {
        return lifted;
    }

    @Override
    public Set<Gate> confirmed(int day, int slot) {
        return confirmed;
    }

    @Override
    public LocalDate today() {
        return today;
    }
}
