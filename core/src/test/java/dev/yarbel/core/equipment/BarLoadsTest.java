package dev.yarbel.core.equipment;

import static dev.yarbel.core.measure.MassUnit.KG;
import static dev.yarbel.core.measure.MassUnit.LB;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class BarLoadsTest {

    private static List<String> labels(Fit fit) {
        return fit.loading().stack().plates().stream().map(Plate::label).toList();
    }

    @Test
    void theHeaviestPlateGoesInnermost() {
        Fit fit = Kits.kg().fit(Mass.of("142.5", KG), Rounding.NEAREST);
        assertThat(labels(fit)).containsExactly("25", "25", "10", "1.25");
        assertThat(fit.load()).isEqualTo(Mass.of("142.5", KG));
        assertThat(fit.limit()).isEqualTo(Fit.Limit.NONE);
    }

    @Test
    void takingTheHeaviestPlateFirstWouldFailHere() {
        assertThat(labels(Kits.bar20("50:1 30:2").fit(Mass.ofKg(140), Rounding.NEAREST)))
                .containsExactly("30", "30");
        assertThat(labels(Kits.bar20("25:1 20:2 5:3").fit(Mass.ofKg(100), Rounding.NEAREST)))
                .containsExactly("20", "20");
    }

    @Test
    void oneSparedPlateIsWorthFinding() {
        assertThat(labels(Kits.bar20("25:1 20:2 10:1 5:1").fit(Mass.ofKg(100), Rounding.NEAREST)))
                .containsExactly("20", "20");
    }

    /** Common practice, no source: 90 % of 365 lb, 328.5, is loaded as 325 with 2.5 lb plates, rounding down. */
    @Test
    void aPercentageIsLoadedByTheCoachsRule() {
        BarLoads lb = Kits.lb();
        Mass asked = Mass.ofLb(365).times(Percent.of(90));
        assertThat(lb.round(asked, Rounding.DOWN)).isEqualTo(Mass.ofLb(325));
        assertThat(lb.round(asked, Rounding.UP)).isEqualTo(Mass.ofLb(330));
        assertThat(lb.round(asked, Rounding.NEAREST)).isEqualTo(Mass.ofLb(330));
    }

    /** Common practice, no source: 122 % of a 67 kg max loads within 2 kg of 83 kg. */
    @Test
    void anOverloadIsLoadedNearItsFigure() {
        Mass load = Kits.kg().round(Mass.ofKg(67).times(Percent.of(122)), Rounding.NEAREST);
        assertThat(load.distanceTo(Mass.ofKg(83))).isLessThanOrEqualTo(Mass.ofKg(2));
    }

    @Test
    void ofTwoEquallyNearTheLighterIsTaken() {
        assertThat(Kits.bar20("5:4").round(Mass.ofKg(35), Rounding.NEAREST)).isEqualTo(Mass.ofKg(30));
    }

    /** IPF Technical Rules: bar 20 kg and collars 2.5 kg each are 25 kg (values from memory). */
    @Test
    void collarsArePartOfEveryLoad() {
        BarLoads contest = BarLoads.of(
                new BarKit(Kits.BAR_20, Mass.ofKg(5), Kits.plates(KG, "25:8 20:1 15:1 10:1 5:1 2.5:1 1.25:1")));
        assertThat(contest.fit(Mass.ofKg(10), Rounding.NEAREST).load()).isEqualTo(Mass.ofKg(25));
        assertThat(labels(contest.fit(Mass.ofKg(200), Rounding.NEAREST)))
                .containsExactly("25", "25", "25", "10", "2.5");
    }

    @Test
    void aLoadOutOfReachSaysWhereTheKitEnds() {
        BarLoads few = Kits.bar20("20:1");
        assertThat(few.fit(Mass.ofKg(15), Rounding.NEAREST).limit()).isEqualTo(Fit.Limit.BELOW_THE_BAR);
        Fit tooMuch = few.fit(Mass.ofKg(100), Rounding.UP);
        assertThat(tooMuch.limit()).isEqualTo(Fit.Limit.BEYOND_THE_PLATES);
        assertThat(tooMuch.load()).isEqualTo(Mass.ofKg(60));
    }

    @Test
    void aBarWithoutPlatesHasOneLoadAndNoStep() {
        BarLoads bare = Kits.bar20("");
        assertThat(bare.loads()).containsExactly(Mass.ofKg(20));
        assertThat(bare.stepAt(Mass.ofKg(20))).isEqualTo(Mass.ZERO);
    }

    @Test
    void theStepIsTheDistanceToTheNextLoad() {
        assertThat(Kits.kg().stepAt(Mass.ofKg(100))).isEqualTo(Mass.of("2.5", KG));
        assertThat(Kits.lb().stepAt(Mass.ofLb(300))).isEqualTo(Mass.ofLb(5));
    }

    @ParameterizedTest
    @EnumSource(Rounding.class)
    void kgAndLbPlatesWorkOnOneBar(Rounding rule) {
        Map<Plate, Integer> both = new HashMap<>(Kits.pairs(KG, "20:2 10:1 5:1 2.5:1 1.25:1"));
        both.putAll(Kits.pairs(LB, "45:2 25:1 10:1 5:1 2.5:1"));
        BarLoads loader = BarLoads.of(new BarKit(Kits.BAR_20, Mass.ZERO, PlateSet.of(both)));
        Fit fit = loader.fit(Mass.of("133.3", KG), rule);
        assertThat(fit.load().distanceTo(fit.asked())).isLessThan(Mass.ofKg(1));
        assertThat(loader.canLoad(fit.load())).isTrue();
    }

    @Test
    void whatIsOnTheBarStaysWhereThatMovesFewerPlates() {
        BarLoads loader = Kits.kg();
        PlateStack top = PlateStack.of(Plate.of("20", KG), Plate.of("15", KG), Plate.of("10", KG), Plate.of("5", KG));
        Fit backOff = loader.fit(Mass.ofKg(110), Rounding.NEAREST, top);
        assertThat(labels(backOff)).containsExactly("20", "15", "10");
        assertThat(labels(loader.fit(Mass.ofKg(110), Rounding.NEAREST))).containsExactly("25", "20");
    }

    @Test
    void platesNobodyCanOwnAreRefused() {
        assertThatThrownBy(() -> PlateSet.of(Map.of(Plate.of("5", KG), -1)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Plate.of("0", KG)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Bar("air", Mass.ZERO)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Up to four kinds of plate of whole and quarter kilograms or pounds, up to three pairs of each. */
    @Provide
    Arbitrary<Map<Plate, Integer>> inventories() {
        Arbitrary<Plate> plate = Arbitraries.integers().between(1, 100).flatMap(quarters -> Arbitraries.of(KG, LB)
                .map(unit -> new Plate(Mass.of(BigDecimal.valueOf(quarters * 25L, 2), unit), unit)));
        return Arbitraries.maps(plate, Arbitraries.integers().between(0, 3)).ofMaxSize(4);
    }

    private record Made(Mass load, int plates) {}

    private static List<Made> everything(Map<Plate, Integer> inventory) {
        List<Made> made = new ArrayList<>(List.of(new Made(Kits.BAR_20.mass(), 0)));
        inventory.forEach((plate, pairs) -> {
            for (Made before : List.copyOf(made)) {
                for (int i = 1; i <= pairs; i++) {
                    made.add(new Made(before.load.plus(plate.mass().times(2L * i)), before.plates + i));
                }
            }
        });
        return made;
    }

    @Property(tries = 400)
    void theLoadIsTheRightOneByTheRuleWithTheFewestPlates(
            @ForAll("inventories") Map<Plate, Integer> inventory,
            @ForAll @IntRange(min = 0, max = 400) int halfKg,
            @ForAll Rounding rule) {
        BarLoads loader = BarLoads.of(new BarKit(Kits.BAR_20, Mass.ZERO, PlateSet.of(inventory)));
        Mass asked = Mass.ofKg(halfKg).half();
        Fit fit = loader.fit(asked, rule);

        List<Made> everything = everything(inventory);
        Comparator<Mass> lighter = Comparator.naturalOrder();
        Mass lightest = everything.stream().map(Made::load).min(lighter).orElseThrow();
        Mass heaviest = everything.stream().map(Made::load).max(lighter).orElseThrow();
        Mass expected =
                switch (rule) {
                    case DOWN ->
                        everything.stream()
                                .map(Made::load)
                                .filter(m -> !m.isGreaterThan(asked))
                                .max(lighter)
                                .orElse(lightest);
                    case UP ->
                        everything.stream()
                                .map(Made::load)
                                .filter(m -> !m.isLessThan(asked))
                                .min(lighter)
                                .orElse(heaviest);
                    case NEAREST ->
                        everything.stream()
                                .map(Made::load)
                                .min(Comparator.comparing((Mass m) -> m.distanceTo(asked))
                                        .thenComparing(lighter))
                                .orElseThrow();
                };
        assertThat(fit.load()).isEqualTo(expected);
        int fewest = everything.stream()
                .filter(m -> m.load.equals(expected))
                .mapToInt(Made::plates)
                .min()
                .orElseThrow();
        assertThat(fit.loading().stack().size()).isEqualTo(fewest);
        assertThat(fit.loading().stack().plates()).isSortedAccordingTo(Comparator.reverseOrder());
        fit.loading().stack().plates().forEach(plate -> assertThat(fit.loading().stack().plates().stream()
                        .filter(plate::equals)
                        .count())
                .isLessThanOrEqualTo(inventory.get(plate)));
    }

    @Property(tries = 300)
    void changingTheBarNeverMovesMorePlatesThanLoadingItAnew(
            @ForAll("inventories") Map<Plate, Integer> inventory,
            @ForAll @IntRange(min = 20, max = 200) int from,
            @ForAll @IntRange(min = 20, max = 200) int to) {
        BarLoads loader = BarLoads.of(new BarKit(Kits.BAR_20, Mass.ZERO, PlateSet.of(inventory)));
        PlateStack on = loader.fit(Mass.ofKg(from), Rounding.NEAREST).loading().stack();
        Fit anew = loader.fit(Mass.ofKg(to), Rounding.NEAREST);
        Fit changed = loader.fit(Mass.ofKg(to), Rounding.NEAREST, on);
        assertThat(changed.load()).isEqualTo(anew.load());
        assertThat(moves(on, changed)).isLessThanOrEqualTo(moves(on, anew));
    }

    private static int moves(PlateStack on, Fit fit) {
        PlateStack next = fit.loading().stack();
        return on.takenOffFor(next).size() + on.addedFor(next).size();
    }
}
