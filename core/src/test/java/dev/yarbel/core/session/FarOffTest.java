package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Slips of the thumb, and figures that may stand; both sides of every bound. */
class FarOffTest {

    private static final LiftNumbers OF_200 =
            new LiftNumbers(Optional.of(Mass.ofKg(190)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);

    @ParameterizedTest
    @CsvSource({
        "450,45,true",
        "45,45,false",
        "60,45,false",
        "61,45,true",
        "331,150,true",
        "150,150,false",
        "202,150,false",
        "203,150,true",
        "76,150,false",
        "75,150,true",
        "10,20,true",
        "16,30,false",
        "0,150,false"
    })
    void aLoadFarFromThePlannedOneIsAskedAbout(int said, int planned, boolean asked) {
        assertThat(FarOff.load(Mass.ofKg(said), Optional.of(Mass.ofKg(planned)), Optional.empty()))
                .isEqualTo(asked ? Optional.of(Mass.ofKg(planned)) : Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({"260,false", "261,true", "1470,true", "20,false"})
    void aLoadThatNobodyPlannedIsMeasuredByTheMax(int said, boolean asked) {
        assertThat(FarOff.load(Mass.ofKg(said), Optional.empty(), Optional.of(Mass.ofKg(200)))
                        .isPresent())
                .isEqualTo(asked);
        assertThat(FarOff.load(Mass.ofKg(said), Optional.empty(), Optional.empty()))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"5,5,false", "10,5,false", "11,5,true", "55,5,true", "6,1,false", "7,1,true", "16,8,false", "17,8,true"
    })
    void repsFarBeyondThePlanAreAskedAbout(int said, int planned, boolean asked) {
        assertThat(FarOff.reps(said, Optional.of(planned), Mass.ofKg(100), OF_200)
                        .isPresent())
                .isEqualTo(asked);
    }

    @Test
    void aSetToTheLimitIsMeasuredByTheCurve() {
        // 160 of 200 kg is good for seven
        assertThat(FarOff.reps(15, Optional.empty(), Mass.ofKg(160), OF_200)).isEmpty();
        assertThat(FarOff.reps(16, Optional.empty(), Mass.ofKg(160), OF_200)).contains(7);
    }

    @ParameterizedTest
    @CsvSource({
        "1,198,easy,true",
        "1,198,6,true",
        "1,198,8,false",
        "1,205,8,false",
        "1,210,8,true",
        "1,190,8,false",
        "5,150,6,false",
        "5,150,easy,false",
        "5,172,easy,true",
        "5,60,9.5,true",
        "5,60,9,false",
        "5,60,easy,false",
        "1,198,missed,false",
        "1,198,done,false",
        "1,230,7.5,true",
        "1,230,9.5,false"
    })
    void aRatingThatCannotBeIsAskedAbout(int reps, int kg, String said, boolean asked) {
        assertThat(FarOff.rating(Effort.parse(said), reps, Mass.ofKg(kg), OF_200)
                        .isPresent())
                .isEqualTo(asked);
    }

    @ParameterizedTest
    @CsvSource({"130,false", "129,true", "290,false", "291,true", "441,true"})
    void aMaxFarFromTheLastOneIsAskedAbout(int said, boolean asked) {
        assertThat(FarOff.max(Mass.ofKg(said), Optional.of(Mass.ofKg(200))).isPresent())
                .isEqualTo(asked);
        assertThat(FarOff.max(Mass.ofKg(said), Optional.empty())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"160,false", "159,true", "240,false", "241,true", "1470,true", "14,true"})
    void aFigureOnACallIsAskedAbout(int said, boolean asked) {
        assertThat(FarOff.workingMax(Mass.ofKg(said), Optional.of(Mass.ofKg(200)))
                        .isPresent())
                .isEqualTo(asked);
    }

    @ParameterizedTest
    @CsvSource({"88,false", "87.9,true", "112,false", "112.1,true"})
    void aBodyMassFarFromTheLastOneIsAskedAbout(String said, boolean asked) {
        assertThat(FarOff.bodyMass(Mass.of(said, MassUnit.KG), Optional.of(Mass.ofKg(100)))
                        .isPresent())
                .isEqualTo(asked);
    }

    @Test
    void theFirstBodyMassIsMeasuredByWhatAnybodyWeighs() {
        assertThat(FarOff.bodyMass(Mass.ofKg(80), Optional.empty())).isEmpty();
        assertThat(FarOff.bodyMass(Mass.ofKg(8), Optional.empty())).isPresent();
        assertThat(FarOff.bodyMass(Mass.ofKg(800), Optional.empty())).isPresent();
    }

    @Test
    void platesAndTheirMassAreAskedAbout() {
        assertThat(FarOff.plates(24)).isEmpty();
        assertThat(FarOff.plates(25)).contains(24);
        assertThat(FarOff.plate(Mass.ofKg(50), MassUnit.KG)).isEmpty();
        assertThat(FarOff.plate(Mass.ofKg(51), MassUnit.KG)).isPresent();
        assertThat(FarOff.plate(Mass.ofLb(100), MassUnit.LB)).isEmpty();
        assertThat(FarOff.plate(Mass.ofLb(101), MassUnit.LB)).isPresent();
    }
}
