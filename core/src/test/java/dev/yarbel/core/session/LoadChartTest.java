package dev.yarbel.core.session;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class LoadChartTest {

    private static Resolver lifterWith(Optional<Mass> estimate) {
        return new Resolver(
                KitInUse.of(Kits.kg()),
                Rounding.NEAREST,
                Numbers.of(Map.of(Lift.SQUAT, new LiftNumbers(Optional.empty(), estimate, RepCurve.DEFAULT))));
    }

    private static Optional<Mass> at(LoadChart chart, int reps, int left) {
        return chart.rows().get(reps - 1).loads().get(left);
    }

    @Test
    void aLoadHangsOnRepetitionsAndOnThoseLeft() {
        LoadChart chart = LoadChart.of(Lift.SQUAT, lifterWith(Optional.of(Mass.ofKg(190))))
                .orElseThrow();
        assertThat(at(chart, 1, 0)).contains(Mass.ofKg(190));
        // 190 kg / (1 + 0.0364 · 2) = 177.1 kg: a single with two left is a set of three at the limit
        assertThat(at(chart, 1, 2)).contains(Mass.of("177.5", KG)).isEqualTo(at(chart, 3, 0));
    }

    @Property(tries = 40)
    void moreRepetitionsOrMoreLeftAreNeverHeavierAndAllCanBeLoaded(@ForAll @IntRange(min = 30, max = 320) int max) {
        Resolver resolver = lifterWith(Optional.of(Mass.ofKg(max)));
        LoadChart chart = LoadChart.of(Lift.SQUAT, resolver).orElseThrow();
        for (LoadChart.Row row : chart.rows()) {
            List<Mass> shown = row.loads().stream().flatMap(Optional::stream).toList();
            assertThat(shown).allMatch(resolver.kit(Lift.SQUAT).orElseThrow()::canLoad);
            assertThat(IntStream.range(1, shown.size())
                            .allMatch(i -> shown.get(i).compareTo(shown.get(i - 1)) <= 0))
                    .isTrue();
        }
        for (int left : LoadChart.LEFT) {
            List<Mass> shown = chart.rows().stream()
                    .flatMap(row -> row.loads().get(left).stream())
                    .toList();
            assertThat(IntStream.range(1, shown.size())
                            .allMatch(i -> shown.get(i).compareTo(shown.get(i - 1)) <= 0))
                    .isTrue();
        }
    }

    @Test
    void whatTheGymCannotMakeStaysOpenAndWithoutAnEstimateThereIsNone() {
        LoadChart light =
                LoadChart.of(Lift.SQUAT, lifterWith(Optional.of(Mass.ofKg(24)))).orElseThrow();
        assertThat(at(light, 1, 0)).isPresent();
        assertThat(at(light, 10, 0)).as("lighter than the bar").isEmpty();
        assertThat(LoadChart.of(Lift.SQUAT, lifterWith(Optional.empty()))).isEmpty();
    }
}
