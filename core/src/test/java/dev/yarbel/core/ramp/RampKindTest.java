package dev.yarbel.core.ramp;

import static dev.yarbel.core.measure.MassUnit.KG;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RampKindTest {

    private static List<String> loads(Ramp ramp) {
        return ramp.steps().stream().map(step -> step.load().figure(KG, 2)).toList();
    }

    /** Common practice, no source: an even ramp adds the same plates each time and may end near 86 %. */
    @Test
    void anEvenRampAddsTheSamePlateEachTime() {
        assertThat(loads(RampPlanner.plan(Kits.kg(), Mass.ofKg(150), RampKind.EVEN)))
                .containsExactly("20", "70", "120");
        assertThat(loads(RampPlanner.plan(Kits.kg(), Mass.ofKg(100), RampKind.EVEN)))
                .containsExactly("20", "50", "80");
    }

    @Property
    void anEvenRampOnlyAddsAndEndsNearItsTopOrSaysWhyNot(@ForAll @IntRange(min = 50, max = 300) int kg) {
        BarLoads loader = Kits.kg();
        Mass top = loader.round(Mass.ofKg(kg), Rounding.NEAREST);
        Ramp ramp = RampPlanner.plan(loader, top, RampKind.EVEN);
        assertThat(ramp.top().total()).isEqualTo(top);
        assertThat(ramp.steps()).isNotEmpty();
        Mass last = ramp.steps().get(ramp.steps().size() - 1).load();
        assertThat(last.percentOf(top)).isLessThanOrEqualTo(Percent.of(96));
        if (!ramp.remarks().contains(Ramp.Remark.NO_EVEN_JUMPS)) {
            assertThat(ramp.strips()).isZero();
            assertThat(last.percentOf(top).compareTo(Percent.of(80)) >= 0
                            || top.minus(last).compareTo(Mass.ofKg(10)) <= 0)
                    .as("%s to %s", last, top)
                    .isTrue();
        }
    }

    @Property
    void aWarmRampIsTheEndOfTheWholeOne(@ForAll @IntRange(min = 30, max = 300) int kg) {
        BarLoads loader = Kits.kg();
        Mass top = loader.round(Mass.ofKg(kg), Rounding.NEAREST);
        List<RampStep> whole = RampPlanner.plan(loader, top).steps();
        List<RampStep> warm = RampPlanner.plan(loader, top, RampKind.WARM).steps();
        assertThat(warm).isNotEmpty();
        assertThat(whole.subList(whole.size() - warm.size(), whole.size())).isEqualTo(warm);
        assertThat(warm.subList(0, warm.size() - 1))
                .allMatch(step -> step.load().percentOf(top).compareTo(Percent.of(60)) >= 0);
    }

    @Test
    void lightWorkIsWarmedUpInItsOwnWay() {
        assertThat(loads(RampPlanner.plan(Kits.kg(), Mass.ofKg(100), RampKind.SPEED)))
                .containsExactly("50");
        assertThat(loads(RampPlanner.plan(Kits.kg(), Mass.ofKg(200), RampKind.RUNS)))
                .containsExactly("100", "150");
        assertThat(loads(RampPlanner.plan(Kits.kg(), Mass.ofKg(20), RampKind.SPEED)))
                .isEmpty();
    }

    /** 182.5 kg used to be jumped to from 120. */
    @Test
    void noEvenRampJumpsFromFarBelow() {
        Ramp ramp = RampPlanner.plan(Kits.kg(), Mass.of("182.5", KG), RampKind.EVEN);
        assertThat(loads(ramp)).last().isNotEqualTo("120");
        assertThat(ramp.remarks()).contains(Ramp.Remark.NO_EVEN_JUMPS);
    }

    /** Three tens at 40 % used to get four warm-ups. */
    @Property
    void lightWorkGetsOneOrTwo(@ForAll @IntRange(min = 40, max = 200) int kg) {
        BarLoads loader = Kits.kg();
        Mass top = loader.round(Mass.ofKg(kg), Rounding.NEAREST);
        assertThat(RampPlanner.plan(loader, top, RampKind.LIGHT).steps()).hasSizeBetween(1, 2);
        assertThat(RampPlanner.plan(loader, top, RampKind.LIGHT, Start.COLD.fromTheFloor(true))
                        .steps())
                .allMatch(step -> step.loading().stack().isFullHeight());
    }
}
