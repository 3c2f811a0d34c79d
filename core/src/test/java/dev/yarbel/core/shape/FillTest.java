package dev.yarbel.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.LoadBasis;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.PredictedEffort;
import dev.yarbel.core.session.References;
import dev.yarbel.core.session.WithinReach;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FillTest {

    private static final Mass STEP = Mass.of("2.5", MassUnit.KG);

    /** 200 kg, and 210 wanted. */
    private static final LiftNumbers NUMBERS = new LiftNumbers(
                    Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT)
            .with(new References(Optional.empty(), Optional.of(Mass.ofKg(210)), Optional.empty(), Map.of(), Map.of()));

    private static Fill.Row row(int weeks) {
        return new Fill.Row(Collections.nCopies(weeks, Optional.empty()), Collections.nCopies(weeks, false), 0);
    }

    private static Fill filled(FillRule rule, String from, int weeks) {
        return Fill.of(rule, Dose.parse(from), row(weeks), NUMBERS);
    }

    private static String fill(FillRule rule, String from, int weeks) {
        return text(filled(rule, from, weeks));
    }

    private static String text(Fill fill) {
        return fill.doses().stream()
                .map(dose -> dose.map(Dose::shorthand).orElse("-"))
                .collect(Collectors.joining(", "));
    }

    @Test
    void theSameAgain() {
        assertThat(fill(new FillRule.Same(), "4x8 70%", 2)).isEqualTo("4x8 70%, 4x8 70%");
    }

    @Test
    void steadily() {
        FillRule steady = new FillRule.Steady(Percent.of("2.5"), STEP);
        assertThat(fill(steady, "4x8 65%", 3)).isEqualTo("4x8 67.5%, 4x8 70%, 4x8 72.5%");
        assertThat(fill(steady, "5x5 100kg", 2)).isEqualTo("5x5 102.5kg, 5x5 105kg");
        assertThat(fill(steady, "5x5 last +2.5kg", 1)).isEqualTo("5x5 last +2.5kg");
        assertThat(fill(steady, "3x5 70-75%", 1)).isEqualTo("3x5 72.5-77.5%");
    }

    /** A step of points used to be no step of a rating at all, and the rating was repeated in silence. */
    @Test
    void aRatingStepsByHalvesUpToNine() {
        FillRule steady = new FillRule.Steady(Percent.of("2.5"), STEP);
        assertThat(fill(steady, "1 @7 then 5x5 -22%", 2)).isEqualTo("1 @7.5 then 5x5 -22%, 1 @8 then 5x5 -22%");
        assertThat(fill(steady, "1 @8", 4)).isEqualTo("1 @8.5, 1 @9, 1 @9, 1 @9");
        assertThat(filled(steady, "1 @8", 4).notes()).containsExactly(Fill.Note.RATING_CAPPED);
        assertThat(filled(steady, "1 @8", 2).notes()).isEmpty();
        assertThat(fill(steady, "1 @9.5", 1)).isEqualTo("1 @9.5");
        assertThat(fill(new FillRule.Wave(Percent.of(5), STEP), "1 @7", 4)).isEqualTo("1 @7.5, 1 @8, 1 @7.5, 1 @8");
    }

    @Test
    void inShrinkingSteps() {
        assertThat(fill(new FillRule.Shrinking(Percent.of(90)), "3x3 75%", 4))
                .isEqualTo("3x3 80.5%, 3x3 85%, 3x3 87.5%, 3x3 90%");
    }

    @Test
    void inWaves() {
        assertThat(fill(new FillRule.Wave(Percent.of(5), STEP), "3x5 65%", 6))
                .isEqualTo("3x5 70%, 3x5 75%, 3x5 70%, 3x5 75%, 3x5 80%, 3x5 75%");
    }

    @Test
    void withADeloadNext() {
        assertThat(fill(new FillRule.DeloadNext(Deload.HALF_SETS), "4x5 80%", 2))
                .isEqualTo("2x5 70%, 4x5 80%");
        assertThat(fill(new FillRule.DeloadNext(Deload.OFF), "4x5 80%", 2)).isEqualTo("-, 4x5 80%");
        Fill lowering = filled(new FillRule.DeloadNext(Deload.HALF_SETS), "1x8 120% lowering", 2);
        assertThat(text(lowering)).isEqualTo("-, 1x8 120% lowering");
        assertThat(lowering.notes()).containsExactly(Fill.Note.LEFT_OUT_OF_DELOAD);
    }

    /** A deload that stands in the row is not filled over. */
    @Test
    void aDeloadInTheRowStays() {
        Fill.Row row = new Fill.Row(
                List.of(Optional.empty(), Optional.of(Dose.parse("2x5 65%")), Optional.empty(), Optional.empty()),
                List.of(false, true, false, true),
                3);
        Fill fill = Fill.of(new FillRule.Steady(Percent.of("2.5"), STEP), Dose.parse("4x5 72.5%"), row, NUMBERS);
        assertThat(text(fill)).isEqualTo("4x5 75%, 2x5 65%, 4x5 77.5%, 2x5 67.5%");
        assertThat(fill.notes()).contains(Fill.Note.DELOAD_STAYS);
    }

    @Test
    void backwardsRepetitionsComeDownAsTheLoadGoesUp() {
        assertThat(fill(new FillRule.Backwards(Dose.parse("1x1 95%")), "3x5 75%", 5))
                .isEqualTo("2x4 80.5%, 2x3 85.5%, 2x2 90%, 1x2 92.5%, 1x1 95%");
    }

    /** 80 % of a working max of 200 kg is 160 kg, 76.2 % of a goal of 210; the row used to end in a jump of 25 kg. */
    @Test
    void backwardsTheWholeRowHangsOnWhatTheLastWeekDoes() {
        assertThat(fill(new FillRule.Backwards(Dose.parse("1 100% goal")), "3x3 80%", 6))
                .isEqualTo("3x3 81.7% goal, 2x2 86.7% goal, 2x2 91.2% goal, 1x1 95.2% goal, 1x1 97.7% goal, "
                        + "1x1 100% goal");
        assertThat(fill(new FillRule.Backwards(Dose.parse("1 190kg")), "3x3 160kg", 4))
                .isEqualTo("2x2 171.4kg, 2x2 179.9kg, 1x1 184.7kg, 1x1 190kg");
        assertThat(fill(new FillRule.Backwards(Dose.parse("1 @9")), "3x3 80%", 4))
                .isEqualTo("2x2 86.5%, 2x2 91.5%, 1x1 94%, 1 @9");
    }

    @Test
    void backwardsFromARatingHalvesLeadThere() {
        assertThat(fill(new FillRule.Backwards(Dose.parse("1 @9")), "3 @7", 5))
                .isEqualTo("3 @7, 2 @7.5, 2 @8, 1 @8.5, 1 @9");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1 @8|NO_PERCENTAGE",
                "3x5 95%|DOWNWARD",
                "3x3 60%|STEPS_TOO_LARGE",
            })
    void whatDoesNotGoIsSaid(String from, FillRefused.Why why) {
        assertThatThrownBy(() -> fill(new FillRule.Shrinking(Percent.of(90)), from, 3))
                .isInstanceOfSatisfying(
                        FillRefused.class, refused -> assertThat(refused.why()).isEqualTo(why));
    }

    @Test
    void whatCannotBeSteppedIsSaid() {
        assertThatThrownBy(() -> fill(new FillRule.Steady(Percent.of(5), STEP), "3x30s", 3))
                .isInstanceOf(FillRefused.class);
        assertThatThrownBy(() -> fill(new FillRule.Steady(Percent.of(50), STEP), "1x1 90%", 3))
                .isInstanceOf(FillRefused.class);
        assertThatThrownBy(() -> Fill.of(
                        new FillRule.Backwards(Dose.parse("1 100% goal")),
                        Dose.parse("3x3 80%"),
                        row(6),
                        LiftNumbers.NONE))
                .isInstanceOfSatisfying(FillRefused.class, refused -> assertThat(refused.why())
                        .isEqualTo(FillRefused.Why.NUMBER_MISSING));
    }

    /** 5x5 at 93 % cannot be done. */
    @Property
    void nothingFilledIsMoreThanTheCurveSaysCanBeDone(
            @ForAll @IntRange(min = 1, max = 6) int sets,
            @ForAll @IntRange(min = 1, max = 10) int reps,
            @ForAll @IntRange(min = 50, max = 100) int percent,
            @ForAll @IntRange(min = 1, max = 10) int points,
            @ForAll @IntRange(min = 1, max = 12) int weeks,
            @ForAll @IntRange(min = 0, max = 2) int which) {
        Dose from = Dose.of(sets, reps, LoadBasis.ofWorkingMax(Percent.of(percent)));
        if (!WithinReach.of(from.first(), NUMBERS)) {
            return;
        }
        FillRule rule = List.of(
                        new FillRule.Steady(Percent.of(points).times(Percent.of(50)), STEP),
                        new FillRule.Wave(Percent.of(points).times(Percent.of(50)), STEP),
                        new FillRule.Backwards(Dose.parse("1x1 100%")))
                .get(which);
        Fill fill;
        try {
            fill = Fill.of(rule, from, row(weeks), NUMBERS);
        } catch (FillRefused refused) {
            return;
        }
        Percent before = Percent.of(percent);
        // the last week of a row that leads backwards is the coach's own
        for (int week = 0; week < (which == 2 ? weeks - 1 : weeks); week++) {
            Dose dose = fill.doses().get(week).orElseThrow();
            LiftNumbers then = NUMBERS.in(week + 1);
            Optional<PredictedEffort> effort = PredictedEffort.of(
                    dose.first().reps(), WithinReach.load(dose.first(), NUMBERS).orElseThrow(), then);
            assertThat(effort).as(text(fill)).isPresent().get().isNotInstanceOf(PredictedEffort.BeyondReach.class);
            if (dose.first().reps() > 1) {
                assertThat(effort.get()).as(text(fill)).isNotEqualTo(new PredictedEffort.About(Rpe.LIMIT));
            }
            Percent now = dose.first().percent().orElseThrow();
            if (which == 2) {
                assertThat(now.minus(before)).isLessThanOrEqualTo(Percent.of(10));
                before = now;
            }
        }
    }

    @Test
    void fillingNoWeeksFillsNone() {
        assertThat(fill(new FillRule.DeloadNext(Deload.OFF), "1 @8", 0)).isEmpty();
        assertThat(fill(new FillRule.Backwards(Dose.parse("1 @9")), "1 @8", 0)).isEmpty();
    }
}
