package dev.yarbel.core.equipment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.equipment.Gym.Holder;
import dev.yarbel.core.equipment.Gym.Need;
import dev.yarbel.core.equipment.Gym.Piece;
import dev.yarbel.core.equipment.Gym.Stack;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.ramp.RampPlanner;
import dev.yarbel.core.ramp.RampStep;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class GymTest {

    private static final Plate TWENTY = Plate.of("20", MassUnit.KG);
    private static final Plate FIVE = Plate.of("5", MassUnit.KG);

    private static final Gym GYM = new Gym(
            "Shed",
            Mass.ofKg(5),
            Map.of(TWENTY, 5, FIVE, 4),
            List.of(
                    new Holder(Implement.BARBELL, "old bar", Mass.ofKg(20), Optional.empty(), false),
                    new Holder(Implement.BARBELL, "squat bar", Mass.ofKg(25), Optional.of("squat"), true),
                    new Holder(Implement.HANDLES, "handles", Mass.ofKg(12), Optional.empty(), true),
                    new Holder(Implement.YOKE, "yoke", Mass.ofKg(80), Optional.empty(), true)),
            List.of(
                    new Piece(Implement.DUMBBELL, "20", Mass.ofKg(23)),
                    new Piece(Implement.DUMBBELL, "10", Mass.ofKg(12)),
                    new Piece(Implement.DUMBBELL, "30", Mass.ofKg(34)),
                    new Piece(Implement.STONE, "big", Mass.ofKg(140))),
            List.of(new Stack("press", "leg-press", Mass.ofKg(20), Mass.ofKg(10), Mass.ofKg(105))));

    private static Optional<AvailableLoads> loads(Implement implement, String lift, boolean pins) {
        return GYM.loads(new Need(implement, lift, pins), BarLoads::of);
    }

    @Test
    void aLiftGetsTheBarKeptForItAndOthersTheFirstThatIsNot() {
        assertThat(loads(Implement.BARBELL, "squat", false).orElseThrow().lightest())
                .isEqualTo(Mass.ofKg(30));
        assertThat(loads(Implement.BARBELL, "deadlift", false).orElseThrow().name())
                .isEqualTo("old bar");
    }

    @Test
    void aBarUnfitForPinsIsNotTakenForPinWork() {
        assertThat(loads(Implement.BARBELL, "deadlift", true)).isEmpty();
        assertThat(loads(Implement.BARBELL, "squat", true).orElseThrow().name()).isEqualTo("squat bar");
    }

    @Test
    void anOddPlateStaysOnTheRackAndHandlesNeedFourOfAKind() {
        AvailableLoads bar = loads(Implement.BARBELL, "deadlift", false).orElseThrow();
        // 20 kg bar, 5 kg of collars, two of the five twenties and two of the four fives a side
        assertThat(bar.heaviest()).isEqualTo(Mass.ofKg(25 + 2 * (2 * 20 + 2 * 5)));
        AvailableLoads handle = loads(Implement.HANDLES, "farmers-walk", false).orElseThrow();
        // one handle: 12 kg and no collars, one twenty and one five on each of its ends
        assertThat(handle.heaviest()).isEqualTo(Mass.ofKg(12 + 2 * (20 + 5)));
        assertThat(loads(Implement.YOKE, "yoke-walk", false).orElseThrow().lightest())
                .isEqualTo(Mass.ofKg(80));
    }

    @Test
    void dumbbellsCountWhatTheyReallyWeigh() {
        AvailableLoads row = loads(Implement.DUMBBELL, "dumbbell-press", false).orElseThrow();
        assertThat(row.loads()).containsExactly(Mass.ofKg(12), Mass.ofKg(23), Mass.ofKg(34));
        Fit fit = row.fit(Mass.ofKg(22), Rounding.DOWN);
        assertThat(fit.load()).isEqualTo(Mass.ofKg(12));
        assertThat(fit.loading().kit().bar().name()).isEqualTo("10");
        assertThat(row.fit(Mass.ofKg(22), Rounding.NEAREST).load()).isEqualTo(Mass.ofKg(23));
        assertThat(row.fit(Mass.ofKg(40), Rounding.UP).limit()).isEqualTo(Fit.Limit.BEYOND_THE_PLATES);
        assertThat(row.canLoad(Mass.ofKg(23))).isTrue();
        assertThat(row.canLoad(Mass.ofKg(20))).isFalse();
        assertThat(row.stepAt(Mass.ofKg(12))).isEqualTo(Mass.ofKg(11));
    }

    @Test
    void aStackEndsAtItsLastWholeStep() {
        AvailableLoads stack = loads(Implement.MACHINE, "leg-press", false).orElseThrow();
        assertThat(stack.heaviest()).isEqualTo(Mass.ofKg(100));
        assertThat(stack.round(Mass.ofKg(46), Rounding.NEAREST)).isEqualTo(Mass.ofKg(50));
        assertThat(loads(Implement.MACHINE, "leg-curl", false)).isEmpty();
    }

    @Test
    void aBeltCarriesWholePoundsWhereAllPlatesAreInPounds() {
        Gym pounds = new Gym("lb", Mass.ZERO, Map.of(Plate.of("25", MassUnit.LB), 2), List.of(), List.of(), List.of());
        AvailableLoads belt = pounds.loads(new Need(Implement.BODY, "dip", false), BarLoads::of)
                .orElseThrow();
        assertThat(belt.round(Mass.ofLb(25), Rounding.NEAREST)).isEqualTo(Mass.ofLb(25));
        assertThat(belt.round(Mass.ofKg(10), Rounding.DOWN)).isEqualTo(Mass.ofLb(22));
    }

    @Test
    void whatTheGymDoesNotOwnCannotBeLoaded() {
        assertThat(loads(Implement.LOG, "log-press", false)).isEmpty();
        assertThat(loads(Implement.SANDBAG, "sandbag-carry", false)).isEmpty();
        assertThat(loads(Implement.BODY, "pull-up", false).orElseThrow().round(Mass.ofKg(10), Rounding.NEAREST))
                .isEqualTo(Mass.ofKg(10));
    }

    @Test
    void theRampUpARowTakesLighterPiecesOnly() {
        AvailableLoads row = loads(Implement.DUMBBELL, "dumbbell-press", false).orElseThrow();
        Ramp ramp = RampPlanner.plan(row, Mass.ofKg(34));
        assertThat(ramp.steps()).extracting(RampStep::load).containsExactly(Mass.ofKg(12), Mass.ofKg(23));
        Ramp stone =
                RampPlanner.plan(loads(Implement.STONE, "stone-over-bar", false).orElseThrow(), Mass.ofKg(140));
        assertThat(stone.steps()).isEmpty();
        assertThat(stone.remarks()).containsExactly(Ramp.Remark.TOP_IS_THE_BAR);
    }

    @Test
    void whatTakesNoPlatesIsNoBar() {
        assertThatThrownBy(() -> new Holder(Implement.STONE, "stone", Mass.ofKg(100), Optional.empty(), true))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Piece(Implement.LOG, "log", Mass.ofKg(100)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Stack("", "curl", Mass.ofKg(1), Mass.of("0.1", MassUnit.KG), Mass.ofKg(100)))
                .hasMessageContaining("steps");
    }

    @Test
    void aBarWithPlatesToComeMakesNoLoads() {
        Need squat = new Need(Implement.BARBELL, "squat", false);
        Gym atHome = new Gym(
                "At home",
                Mass.ZERO,
                Map.of(),
                List.of(new Holder(Implement.BARBELL, "bar", Mass.ofKg(20), Optional.empty(), true)),
                List.of(),
                List.of());
        assertThat(atHome.awaitsPlates()).isTrue();
        assertThat(atHome.loads(squat, BarLoads::of)).isEmpty();
        Gym stocked = new Gym("At home", Mass.ZERO, Map.of(TWENTY, 2), atHome.holders(), List.of(), List.of());
        assertThat(stocked.awaitsPlates()).isFalse();
        assertThat(stocked.loads(squat, BarLoads::of)).isPresent();
        // where nothing takes plates, none are missed
        assertThat(new Gym("Park", Mass.ZERO, Map.of(), List.of(), List.of(), List.of()).awaitsPlates())
                .isFalse();
    }
}
