package dev.yarbel.core.equipment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.equipment.Accommodation.Bands;
import dev.yarbel.core.equipment.Accommodation.Chains;
import dev.yarbel.core.equipment.Accommodation.ReverseBands;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class AccommodatedLoadTest {

    private static final Length BOTTOM = Length.ofCm(60);
    private static final Length TOP = Length.ofCm(130);

    private static Band band(int kgShort, int kgLong) {
        return new Band(
                "green", Optional.of(2024), Length.ofCm(50), Mass.ofKg(kgShort), Length.ofCm(150), Mass.ofKg(kgLong));
    }

    @Test
    void thirtyPoundsOfChainOnAHundredAndFiftyKilogramsIsNotAHundredAndEighty() {
        // common practice, no source: 163.6 kg at lockout, all of the chain off the floor
        Chains chains = new Chains(Mass.ofLb(10), Length.of(new BigDecimal("1.5"), LengthUnit.M), 1, Length.ZERO);
        AccommodatedLoad load = new AccommodatedLoad(Mass.ofKg(150), List.of(chains), BOTTOM, Length.ofCm(150));
        assertThat(load.atTop().format(MassUnit.KG, 1)).isEqualTo("163.6 kg");
    }

    @Test
    void chainOnTheFloorWeighsNothing() {
        // 8 kg a metre, 1 m long, one a side, on a leader of 40 cm: 20 cm hang at 60 cm, all of it from 140 cm up
        Chains chains = new Chains(Mass.ofKg(8), Length.ofCm(100), 1, Length.ofCm(40));
        AccommodatedLoad load = new AccommodatedLoad(Mass.ofKg(100), List.of(chains), BOTTOM, TOP);
        assertThat(load.atBottom().format(MassUnit.KG, 3)).isEqualTo("103.2 kg");
        assertThat(load.atTop().format(MassUnit.KG, 3)).isEqualTo("114.4 kg");
        assertThat(load.at(Length.ofCm(200)).format(MassUnit.KG, 3)).isEqualTo("116 kg");
        assertThat(load.at(Length.ofCm(30))).isEqualTo(Mass.ofKg(100));
    }

    @Test
    void aBandPullsInProportionBetweenTheTwoLengthsMeasured() {
        Bands bands = new Bands(band(10, 40), band(10, 40), Length.ZERO);
        AccommodatedLoad load = new AccommodatedLoad(Mass.ofKg(100), List.of(bands), BOTTOM, TOP);
        assertThat(load.atBottom()).isEqualTo(Mass.ofKg(126));
        assertThat(load.atTop()).isEqualTo(Mass.ofKg(168));
        assertThat(load.isMeasured()).isTrue();
        AccommodatedLoad beyond = new AccommodatedLoad(Mass.ofKg(100), List.of(bands), BOTTOM, Length.ofCm(190));
        assertThat(beyond.isMeasured()).isFalse();
        assertThat(beyond.atTop()).isEqualTo(Mass.ofKg(180));
    }

    @Test
    void reverseBandsHelpAtTheBottomAndLetGoTowardsTheTop() {
        ReverseBands help = new ReverseBands(band(0, 20), band(0, 20), Length.ofCm(185));
        AccommodatedLoad load = new AccommodatedLoad(Mass.ofKg(200), List.of(help), Length.ofCm(35), Length.ofCm(135));
        assertThat(load.atBottom()).isEqualTo(Mass.ofKg(160));
        assertThat(load.atTop()).isEqualTo(Mass.ofKg(200));
    }

    @Property
    void theBarForAWantedLoadComesToThatLoad(
            @ForAll @IntRange(min = 50, max = 400) int wanted, @ForAll @IntRange(min = 10, max = 60) int pull) {
        AccommodatedLoad load = new AccommodatedLoad(
                Mass.ofKg(20),
                List.of(
                        new Bands(band(5, pull), band(5, pull), Length.ofCm(10)),
                        new Chains(Mass.ofKg(7), Length.ofCm(120), 2, Length.ofCm(30))),
                BOTTOM,
                TOP);
        Mass aim = Mass.ofKg(wanted);
        assertThat(load.withBar(load.barForBottom(aim)).atBottom()).isEqualTo(aim);
        assertThat(load.withBar(load.barForTop(aim)).atTop()).isEqualTo(aim);
        List<AccommodatedLoad.Point> curve = load.curve(15);
        assertThat(curve.get(0).load()).isEqualTo(load.atBottom());
        assertThat(curve.get(14).load()).isEqualTo(load.atTop());
        assertThat(curve).extracting(AccommodatedLoad.Point::load).isSorted();
    }

    @Test
    void aPairIsUnlikeInMakeAgeOrTension() {
        Band green = band(10, 40);
        assertThat(green.unlike(band(10, 41))).isEmpty();
        assertThat(green.unlike(band(10, 45))).containsExactly(Band.Unlike.TENSION);
        Band other = new Band("red", Optional.empty(), Length.ofCm(50), Mass.ofKg(10), Length.ofCm(150), Mass.ofKg(40));
        assertThat(green.unlike(other)).containsExactly(Band.Unlike.MAKE, Band.Unlike.AGE);
    }

    @Test
    void measurementsThatCannotBeAreRefused() {
        assertThatThrownBy(() -> band(40, 40)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new AccommodatedLoad(Mass.ofKg(20), List.of(), TOP, BOTTOM))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
