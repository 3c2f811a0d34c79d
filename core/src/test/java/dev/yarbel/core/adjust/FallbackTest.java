package dev.yarbel.core.adjust;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.adjust.Fallback.Offer;
import dev.yarbel.core.adjust.Fallback.Today;
import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.Amended;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.PrescribedSets;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.TaskKey;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A session when the day goes otherwise. What goes first is common practice (no source), how much is ours. */
class FallbackTest {

    private static final Lift ROW = new Lift("dumbbell-row");
    private static final Lift CURL = new Lift("dumbbell-curl");
    private final List<DoneSet> done = new ArrayList<>();

    private static Resolver resolver() {
        LiftNumbers numbers =
                new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);
        return new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(
                        Map.of(Lift.SQUAT, numbers, Lift.DEADLIFT, numbers, Lift.BENCH_PRESS, numbers),
                        Catalogue.STANDARD.ratios()));
    }

    /** Slots like {@code squat 5x5 80%}. */
    private Today today(String... slots) {
        List<Slot> of = new ArrayList<>();
        for (String slot : slots) {
            String[] words = slot.split(" ", 2);
            of.add(new Slot(
                    String.valueOf((char) ('A' + of.size())),
                    new Lift(words[0]),
                    List.of(Optional.of(Dose.parse(words[1])))));
        }
        Block block = new Block(LocalDate.of(2026, 3, 2), 1, List.of(new TrainingDay("Day", 0, of)));
        List<PrescribedSets> day = PrescribedSets.of(block, 0, 0);
        Resolver resolver = resolver();
        return new Today(day, resolver.resolve(day), done, List.of(), resolver, MassUnit.KG);
    }

    private void did(String letter, int sets, Lift lift) {
        for (int set = 1; set <= sets; set++) {
            done.add(new DoneSet(
                    TaskKey.work(letter, set), new LiftedSet(lift, Mass.ofKg(100), 5, new Effort.Unrated())));
        }
    }

    private static int sets(Today today, Offer offer, String letter) {
        return Amended.of(today.day(), offer.changes()).day().stream()
                .filter(part -> part.letter().equals(letter))
                .mapToInt(PrescribedSets::sets)
                .sum();
    }

    /** The first lift stays with half its sets and more, assistance goes before anything of the other lifts. */
    @Test
    void halfAnHourKeepsWhatMattersMost() {
        Today today =
                today("squat 1 @8; 4x5 -12%", "bench-press 4x5 77.5%", "dumbbell-row 4x10 @8", "dumbbell-curl 3x12 @8");
        assertThat(today.minutes(List.of())).isGreaterThan(60);
        Offer offer = Fallback.SHORT.of(today);
        assertThat(sets(today, offer, "C")).isZero();
        assertThat(sets(today, offer, "D")).isZero();
        assertThat(sets(today, offer, "A")).isGreaterThanOrEqualTo(3);
        assertThat(offer.minutes()).isLessThanOrEqualTo(Fallback.MINUTES);
        assertThat(offer.minutes()).isEqualTo(today.minutes(offer.changes()));
    }

    @Test
    void aShortSessionIsLeftAsItIs() {
        assertThat(Fallback.SHORT.of(today("squat 2x5 60%")).changes()).isEmpty();
    }

    @Test
    void whatWasDoneStays() {
        did("A", 5, Lift.SQUAT);
        did("B", 3, ROW);
        Today today = today("squat 1 @8; 4x5 -12%", "dumbbell-row 4x10 @8", "dumbbell-curl 3x12 @8");
        Offer offer = Fallback.SHORT.of(today);
        assertThat(sets(today, offer, "A")).isEqualTo(5);
        assertThat(sets(today, offer, "B")).isGreaterThanOrEqualTo(3);
    }

    /** A rating finds its own load and back-offs follow their top; a percentage goes down to what can be loaded. */
    @Test
    void aBadNightMakesItLighterAndLess() {
        Today today = today("squat 1 @8; 4x5 -12%", "bench-press 4x5 80%", "dumbbell-curl 2x12 @8");
        Offer offer = Fallback.TIRED.of(today);
        assertThat(offer.changes().stream().filter(change -> change.letter().equals("A")))
                .containsExactly(new Amendment.Shorten("A", 4));
        assertThat(offer.changes().stream().filter(change -> change.letter().equals("B")))
                .containsExactly(
                        new Amendment.Shorten("B", 3),
                        new Amendment.AtLoad("B", 1, Mass.ofKg(150), MassUnit.KG),
                        new Amendment.AtLoad("B", 2, Mass.ofKg(150), MassUnit.KG),
                        new Amendment.AtLoad("B", 3, Mass.ofKg(150), MassUnit.KG));
        assertThat(sets(today, offer, "C")).isEqualTo(2);
    }

    @Test
    void withoutARackTheNearestLiftThatNeedsNoneStandsIn() {
        Today today = today("squat 5x5 80%", "deadlift 3x5 80%", "dumbbell-row 3x10 @8");
        Offer offer = Fallback.NO_RACK.of(today);
        assertThat(offer.changes()).hasSize(1);
        Amendment change = offer.changes().get(0);
        assertThat(change.letter()).isEqualTo("A");
        Amended amended = Amended.of(today.day(), offer.changes());
        assertThat(amended.day())
                .allSatisfy(part -> assertThat(part.sets() == 0 || !Fallback.needsRack(Catalogue.STANDARD, part.lift()))
                        .isTrue());
        assertThat(Fallback.needsRack(Catalogue.STANDARD, Lift.DEADLIFT)).isFalse();
        assertThat(Fallback.needsRack(Catalogue.STANDARD, new Lift("romanian-deadlift")))
                .isFalse();
        assertThat(Fallback.needsRack(Catalogue.STANDARD, Lift.BENCH_PRESS)).isTrue();
        assertThat(Fallback.needsRack(Catalogue.STANDARD, new Lift("pin-squat")))
                .isTrue();
        assertThat(Fallback.NO_RACK.of(today("deadlift 3x5 80%")).changes()).isEmpty();
    }

    /** Whatever the day: nothing that was done goes, nothing gets more or heavier, and every change reads back. */
    @ParameterizedTest
    @EnumSource(Fallback.class)
    void aFallbackNeverAsksForMore(Fallback fallback) {
        Random random = new Random(11);
        String[] lifts = {"squat", "bench-press", "deadlift", "front-squat", "dumbbell-row", "dumbbell-curl", "plank"};
        String[] doses = {"5x5 80%", "1 @8; 3x5 -10%", "3x8 @7", "3x5+ 75%", "2x10 60kg", "max 70%"};
        for (int i = 0; i < 60; i++) {
            done.clear();
            List<String> slots = new ArrayList<>();
            for (int slot = 0; slot < 1 + random.nextInt(5); slot++) {
                String lift = lifts[random.nextInt(lifts.length)];
                slots.add(lift + " " + (lift.equals("plank") ? "3x30s" : doses[random.nextInt(doses.length)]));
            }
            did("A", random.nextInt(3), new Lift(slots.get(0).split(" ")[0]));
            Today today = today(slots.toArray(String[]::new));
            Offer offer = fallback.of(today);
            for (Amendment change : offer.changes()) {
                assertThat(Amendment.parse(change.text())).isEqualTo(change);
            }
            Amended amended = Amended.of(today.day(), offer.changes());
            for (int part = 0; part < today.day().size(); part++) {
                PrescribedSets before = today.day().get(part);
                assertThat(amended.day().get(part).sets()).isLessThanOrEqualTo(before.sets());
            }
            for (DoneSet set : done) {
                assertThat(amended.day()).anySatisfy(part -> assertThat(part.isAnsweredBy(set.task()))
                        .isTrue());
                assertThat(amended.load(set.task())).isEmpty();
            }
            if (fallback != Fallback.NO_RACK) {
                assertThat(offer.minutes()).isLessThanOrEqualTo(today.minutes(List.of()));
            }
        }
    }
}
