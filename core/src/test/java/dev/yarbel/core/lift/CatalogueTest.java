package dev.yarbel.core.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.Percent;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CatalogueTest {

    static Stream<Variation> standard() {
        return Catalogue.STANDARD.all().stream();
    }

    @ParameterizedTest
    @MethodSource("standard")
    void everyLiftSaysWhatItTrainsAndLoadsAndWhatItTakesToRecover(Variation variation) {
        // what is only a place in a session trains nothing by itself
        Assumptions.assumeFalse(Set.of("general-preparation", "lifters-choice")
                .contains(variation.lift().key()));
        assertThat(variation.trains()).isNotEmpty();
        assertThat(variation.loads()).isNotEmpty();
        assertThat(variation.recovery()).isIn(Percent.of(85), Percent.of(100), Percent.of(110));
        variation.parent().ifPresent(ratio -> {
            assertThat(Catalogue.STANDARD.find(ratio.to())).isPresent();
            assertThat(ratio.share()).isBetween(Percent.of(30), Percent.of(125));
        });
    }

    @Test
    void noLiftIsThereTwiceAndEachStandsAfterItsParent() {
        List<Lift> seen = new ArrayList<>();
        standard().forEach(variation -> {
            assertThat(seen).doesNotContain(variation.lift());
            variation.parent().ifPresent(ratio -> assertThat(seen).contains(ratio.to()));
            seen.add(variation.lift());
        });
    }

    @Test
    void onlyLiftsOfPartialRangeOrWithTheLegsGoAboveTheirParent() {
        // common practice, no source: a pull from above the knee may start at 105 %
        assertThat(standard()
                        .filter(variation -> variation
                                .parent()
                                .filter(ratio -> ratio.share().isGreaterThan(Percent.HUNDRED))
                                .isPresent())
                        .map(variation -> variation.lift().key()))
                .containsExactlyInAnyOrder("above-knee-pull", "raised-deadlift", "push-press");
    }

    @Test
    void aPullFromTheFloorStartsByRaisingAndASquatByLowering() {
        assertThat(Catalogue.STANDARD.of(Lift.DEADLIFT).start()).isEqualTo(Start.RAISING);
        assertThat(Catalogue.STANDARD.of(Lift.SQUAT).start()).isEqualTo(Start.LOWERING);
        assertThat(Catalogue.STANDARD.of(new Lift("pin-squat")).start()).isEqualTo(Start.RAISING);
    }

    /**
     * Common practice, no source: what is taken out of hooks with straight legs or arms is lowered first; what stands on the
     * floor, on pins or on the shoulders is raised first. A beat is counted from there.
     */
    @Test
    void theseBeginWithLoweringAndAllOthersWithRaising() {
        assertThat(standard()
                        .filter(variation -> variation.start() == Start.LOWERING)
                        .map(variation -> variation.lift().key()))
                .containsExactlyInAnyOrder(
                        "squat",
                        "high-bar-squat",
                        "front-squat",
                        "paused-squat",
                        "box-squat",
                        "beltless-squat",
                        "safety-bar-squat",
                        "cambered-bar-squat",
                        "slow-lowering-squat",
                        "assisted-squat",
                        "good-morning",
                        "belt-squat",
                        "split-squat",
                        "leg-press",
                        "bench-press",
                        "paused-bench-press",
                        "close-grip-bench-press",
                        "wide-grip-bench-press",
                        "floor-press",
                        "board-press",
                        "slow-lowering-bench-press",
                        "assisted-bench-press",
                        "multi-grip-bench-press",
                        "incline-press",
                        "dumbbell-press",
                        "seated-press",
                        "dip",
                        "triceps-extension",
                        "romanian-deadlift",
                        "back-extension",
                        "ab-wheel");
    }

    @Test
    void aCoachsOwnVariationIsLikeItsParentButForWhatTheCoachSaid() {
        Lift own = new Lift("club-tempo-front-squat");
        Variation front = Catalogue.STANDARD.of(new Lift("front-squat"));
        Catalogue club = Catalogue.STANDARD.with(
                List.of(front.varied(own, Percent.of(90), Implement.SAFETY_BAR, true, List.of())));
        assertThat(club.root(own)).isEqualTo(Lift.SQUAT);
        assertThat(club.of(own).loads()).isEqualTo(front.loads());
        assertThat(club.of(own).need().pins()).isTrue();
        assertThat(club.ratios().get(own).share()).isEqualTo(Percent.of(90));
        assertThat(club.loads(own, Tissue.KNEE)).isTrue();
        assertThat(Catalogue.STANDARD.find(own)).isEmpty();
        assertThatThrownBy(() -> front.varied(front.lift(), Percent.of(90), Implement.BARBELL, false, List.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aLiftNobodyKnowsIsTakenCautiously() {
        Variation unknown = Catalogue.STANDARD.of(new Lift("something"));
        assertThat(unknown.pinsTheLifter()).isTrue();
        assertThat(unknown.parent()).isEmpty();
        assertThat(Catalogue.STANDARD.root(unknown.lift())).isEqualTo(unknown.lift());
    }
}
