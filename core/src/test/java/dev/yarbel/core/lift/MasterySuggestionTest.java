package dev.yarbel.core.lift;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.lift.MasterySuggestion.Evidence;
import dev.yarbel.core.lift.MasterySuggestion.Reason;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MasterySuggestionTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 3, 10);

    private static Optional<Mastery> level(
            Lift lift, Integer months, Consistency alike, Integer max, Integer kg, Sex sex) {
        return MasterySuggestion.of(
                        lift,
                        new Evidence(
                                Optional.ofNullable(months).map(TODAY::minusMonths),
                                Optional.ofNullable(alike),
                                Optional.ofNullable(max).map(Mass::ofKg),
                                Optional.ofNullable(kg).map(Mass::ofKg),
                                Optional.ofNullable(sex)),
                        TODAY)
                .map(MasterySuggestion::level);
    }

    @ParameterizedTest
    @CsvSource({
        "5, HOLDS, 100, BEGINNER, strong a year too early",
        "100, VARIES, 230, INTERMEDIATE, the middle of three would be advanced",
        "100, HOLDS, 230, ADVANCED, all three",
        "90, HOLDS, 230, INTERMEDIATE, not many years yet",
        "120, HOLDS, 200, INTERMEDIATE, far from the top of the class",
        "40, VARIES, 90, BEGINNER, the middle of three",
        "12, HOLDS, 150, INTERMEDIATE, the middle of three"
    })
    void ofThreeKindsOfEvidenceTheMiddleOneStands(int months, Consistency alike, int max, Mastery level, String why) {
        Mastery middle = level(Lift.SQUAT, months, alike, max, 90, Sex.MALE).orElseThrow();
        assertThat(middle).as(why).isEqualTo(level);
    }

    @Test
    void ofTwoTheLowerStandsAndOneAloneMakesNobodyAdvanced() {
        assertThat(level(Lift.SQUAT, 60, Consistency.VARIES, null, null, null)).contains(Mastery.BEGINNER);
        assertThat(level(Lift.SQUAT, 60, null, null, null, null)).contains(Mastery.INTERMEDIATE);
        assertThat(level(Lift.SQUAT, null, null, null, null, null)).isEmpty();
    }

    /** Common practice, no source: whoever gasses after fifteen body-weight squats is a beginner whatever the bar says. */
    @Test
    void whoeverIsSoonOutOfBreathIsABeginner() {
        Evidence evidence = new Evidence(
                Optional.of(TODAY.minusMonths(120)),
                Optional.of(Consistency.HOLDS),
                Optional.of(Mass.ofKg(240)),
                Optional.of(Mass.ofKg(90)),
                Optional.of(Sex.MALE),
                true);
        MasterySuggestion suggestion =
                MasterySuggestion.of(Lift.SQUAT, evidence, TODAY).orElseThrow();
        assertThat(suggestion.level()).isEqualTo(Mastery.BEGINNER);
        assertThat(suggestion.reasons()).contains(new Reason.Breath(Mastery.BEGINNER));
    }

    @Test
    void strengthNeedsBodyMassAndSexAndALiftWithBounds() {
        assertThat(level(Lift.SQUAT, null, null, 300, null, Sex.MALE)).isEmpty();
        assertThat(level(Lift.SQUAT, null, null, 300, 90, null)).isEmpty();
        assertThat(level(new Lift("curl"), null, null, 300, 90, Sex.MALE)).isEmpty();
    }

    @Test
    void aLighterLifterNeedsALargerMultipleByTheTwoThirdsRule() {
        // Lietzke 1956: strength goes with body mass to two thirds, so the multiple goes with its inverse third;
        // at 90 × 8 kg the multiple is half as large, at 90 ÷ 8 kg twice
        assertThat(bound(90)).isEqualTo("250");
        assertThat(bound(720)).isEqualTo("125");
        assertThat(MasterySuggestion.of(
                                Lift.SQUAT,
                                new Evidence(
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.of(Mass.ofKg(100)),
                                        Optional.of(Mass.ofKg(65)),
                                        Optional.of(Sex.FEMALE)),
                                TODAY)
                        .orElseThrow()
                        .level())
                .isEqualTo(Mastery.INTERMEDIATE);
    }

    private static String bound(int kg) {
        Reason reason = MasterySuggestion.of(
                        Lift.SQUAT,
                        new Evidence(
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(Mass.ofKg(100)),
                                Optional.of(Mass.ofKg(kg)),
                                Optional.of(Sex.MALE)),
                        TODAY)
                .orElseThrow()
                .reasons()
                .get(0);
        return ((Reason.Strength) reason).advancedFrom().format(2);
    }
}
