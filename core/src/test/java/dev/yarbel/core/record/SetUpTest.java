package dev.yarbel.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.equipment.AccommodatingResistance.Kind;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SetUpTest {

    private static final UsualKit USUAL = new UsualKit(Catalogue.STANDARD, Map.of());

    private static LiftedSet set(Lift lift, String asked, Optional<Set<Worn>> worn, Map<SetUpMeasure, String> used) {
        SetDetails none = SetDetails.NONE;
        return new LiftedSet(lift, Mass.ofKg(100), 5, Effort.parse("8"))
                .with(new SetDetails(
                        0,
                        Optional.empty(),
                        Optional.empty(),
                        worn,
                        none.video(),
                        none.partner(),
                        none.coach(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        SetUp.parse(asked),
                        used,
                        Optional.empty(),
                        Optional.empty()));
    }

    private static LiftedSet set(Lift lift, String asked) {
        return set(lift, asked, Optional.empty(), Map.of());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "paused, tempo 4020, rest 20, +chains 15kg, with knee-wraps, without belt, block-height 8 cm",
                "+bands 10/35kg",
                "reverse 45/5lb",
                "reverse 20kg at bottom",
                "partial",
                "lowering, with straps, with suit"
            })
    void itsTextIsReadAgain(String text) {
        assertThat(SetUp.parse(text)).hasToString(text);
        assertThat(SetUp.parse(text).isPlain()).isEqualTo(text.isEmpty());
    }

    @Property
    void whateverHangsOnABarIsReadAgain(
            @ForAll Kind kind,
            @ForAll MassUnit unit,
            @ForAll @IntRange(min = 0, max = 1000) int least,
            @ForAll @IntRange(min = 1, max = 1000) int more) {
        Mass low = Mass.of(new BigDecimal(least).movePointLeft(1), unit);
        Mass high = low.plus(Mass.of(new BigDecimal(more).movePointLeft(1), unit));
        AccommodatingResistance hung = kind == Kind.REVERSE
                ? new AccommodatingResistance(kind, high, low, unit)
                : new AccommodatingResistance(kind, low, high, unit);
        assertThat(AccommodatingResistance.parse(hung.shorthand()).shorthand()).isEqualTo(hung.shorthand());
    }

    @ParameterizedTest
    @ValueSource(strings = {"chained", "tempo 4", "with pads", "+chains", "rest x"})
    void anythingElseIsRefused(String text) {
        assertThatThrownBy(() -> SetUp.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Rests and beats as on the plain lift are no set-up of their own; the bounds are starting values of ours. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "tempo 1010|''",
                "tempo 2010|''",
                "tempo 2011|tempo 2011",
                "rest 180|''",
                "rest 90|''",
                "rest 89|rest 90",
                "rest 20|rest 45",
                "with belt|''",
                "with wrist-wraps, with knee-sleeves|''",
                "without belt|without belt",
                "with knee-wraps|with knee-wraps",
                "with straps|''",
                "+chains 15kg at top|+chains 15kg"
            })
    void onlyWhatCountsMakesASquatAnotherOne(String asked, String counted) {
        assertThat(USUAL.setUp(set(Lift.SQUAT, asked))).hasToString(counted);
    }

    /** Common practice, no source: straps hold a pull, a belt does nothing for a bench press. */
    @Test
    void kitCountsWhereItMovesTheLoad() {
        assertThat(USUAL.setUp(set(Lift.DEADLIFT, "with straps"))).hasToString("with straps");
        assertThat(USUAL.setUp(set(Lift.BENCH_PRESS, "without belt")).isPlain()).isTrue();
        assertThat(USUAL.setUp(set(Lift.BENCH_PRESS, "with bench-shirt"))).hasToString("with bench-shirt");
        assertThat(USUAL.setUp(set(new Lift("beltless-squat"), "without belt")).isPlain())
                .isTrue();
    }

    @Test
    void whatWasReallyWornGoesBeforeThePlan() {
        assertThat(USUAL.setUp(set(Lift.SQUAT, "without belt", Optional.of(Set.of(Worn.BELT)), Map.of()))
                        .isPlain())
                .isTrue();
        assertThat(USUAL.setUp(set(Lift.SQUAT, "", Optional.of(Set.of()), Map.of())))
                .hasToString("without belt");
    }

    @Test
    void beltOrWrapsAreUsualWhereTheMaxWasSetDownInThem() {
        UsualKit wraps =
                new UsualKit(Catalogue.STANDARD, Map.of(Lift.SQUAT, Set.of(Worn.KNEE_WRAPS, Worn.WRIST_WRAPS)));
        assertThat(wraps.setUp(set(Lift.SQUAT, "")).isPlain()).isTrue();
        assertThat(wraps.setUp(set(Lift.SQUAT, "with belt"))).hasToString("with belt");
        assertThat(wraps.setUp(set(Lift.SQUAT, "", Optional.of(Set.of(Worn.BELT)), Map.of())))
                .hasToString("with belt, without knee-wraps");
        assertThat(wraps.isUsual(Lift.SQUAT, Set.of(Worn.KNEE_WRAPS))).isTrue();
        assertThat(wraps.isUsual(Lift.SQUAT, Set.of(Worn.BELT))).isFalse();
        assertThat(wraps.isUsual(Lift.SQUAT, Set.of())).isTrue();
    }

    @Test
    void figuresOfTheWayOtherThanOnTheCardMakeItAnotherLift() {
        Map<SetUpMeasure, String> used = Map.of(SetUpMeasure.BLOCK_HEIGHT, "8,5 cm", SetUpMeasure.STANCE, "wide");
        SetUp blocks = USUAL.setUp(set(Lift.DEADLIFT, "", Optional.empty(), used));
        assertThat(blocks.way()).containsOnlyKeys(SetUpMeasure.BLOCK_HEIGHT);
        assertThat(SetUp.parse(blocks.toString())).hasToString("block-height 8.5 cm");
    }

    @Test
    void aBeatAndARestAreKept() {
        SetUp asked = SetUp.parse("tempo 2010, rest 180");
        assertThat(asked.tempo()).contains(new Tempo("2010"));
        assertThat(asked.rest()).contains(Duration.ofMinutes(3));
        assertThat(asked.changesTheLoad()).isFalse();
        assertThat(SetUp.parse("tempo 4020").changesTheLoad()).isTrue();
    }
}
