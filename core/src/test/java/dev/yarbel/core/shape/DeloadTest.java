package dev.yarbel.core.shape;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.prescription.Work;
import dev.yarbel.core.session.LiftNumbers;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class DeloadTest {

    private static final LiftNumbers NUMBERS =
            new LiftNumbers(Optional.of(Mass.ofKg(200)), Optional.of(Mass.ofKg(200)), RepCurve.DEFAULT);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "HALF_LOAD|4x8 72.5%|4x6 36.25%",
                // half of what a single at 8 comes to, and back-offs from that
                "HALF_LOAD|1 @8 then 5x5 -22%|1x1 46.5% then 5x4 -22%",
                "HALF_LOAD|3x20m in 60s 80% event|3x20m 40% event",
                "HALF_LOAD|5x5 225lb|5x4 112.5lb",
                "HALF_LOAD|5x5 last +2.5kg|5x4 50% last",
                "HALF_LOAD|8x2 50% speed rest 30|4x2 50% speed rest 30",
                "HALF_LOAD|3x(5x1 20s) 3rm|3x(5x1 20s) 50% 3rm",
                "HALF_LOAD|climb 1 to @9 then 3x5 80% top|climb 1 to @7 then 2x5 80% top",
                "HALF_LOAD|3x10 bw|2x10 bw",
                "HALF_SETS|4x8 72.5% rest 120|2x8 62.5% rest 120",
                "HALF_SETS|1 @8 then 5x5 -22%|1 @6 then 3x5 -22%",
                "HALF_SETS|5x5+ last +2.5kg|3x5 90% last",
                "HALF_SETS|3x8 last +2.5kg stages|2x8 90% last stages",
                "HALF_SETS|max 80%|max to @7 70%",
                "HALF_SETS|3x(5x1 20s) 3rm|2x(5x1 20s) 90% 3rm",
                "HALF_SETS|10x1 in 10min gap 30 90%|5x1 in 10min gap 30 80%",
                "HALF_SETS|5x5 102.5kg|3x5 92kg",
                "HALF_SETS|5x3 80% +chains 20kg|3x3 70% +chains 20kg",
                "HALF_SETS|4x6 75% blind|2x6 65% blind",
                "HALF_SETS|3x6 85% lowering|2x6 75% lowering",
                "HALF_SETS|3x3 105% partial|2x3 95% partial",
                "HALF_SETS|8x3 55% speed|4x3 55% speed",
                "HALF_SETS|3x5 70-75%|2x5 60-65%",
                "HALF_SETS|4x8 @7-8|2x8 @5-6",
                "HALF_SETS|3x30s 20%|2x30s 20%",
                "HALF_SETS|6 rounds in 12min|3 rounds in 12min",
                "HALF_SETS|4x(5x1-2 20s) 85%|2x(5x1-2 20s) 75%",
                "HALF_SETS|20 reps 140kg|10 reps 126kg",
                "HALF_SETS|5x 80% until @9|5x 70% until @7",
                "HALF_SETS|rounds in 12min|rounds in 6min",
                "HALF_SETS|1x60s|1x30s",
                "HALF_SETS|max in 60s|max in 30s",
                "HALF_SETS|3x8 bw+10kg|2x8 bw+5kg",
                "HALF_SETS|4x8 70% then 1x8 120% lowering|2x8 60%",
            })
    void aDeloadIsEasierAndKeepsWhatTheDoseIs(Deload deload, String dose, String easier) {
        assertThat(deload.of(Dose.parse(dose), NUMBERS).map(Dose::shorthand)).contains(easier);
    }

    /** 120 % lowering used to become a plain 110 %. */
    @ParameterizedTest
    @EnumSource(Deload.class)
    void whatHasNoLighterFormIsLeftOut(Deload deload) {
        assertThat(deload.of(Dose.parse("1x8 120% lowering"), NUMBERS)).isEmpty();
        assertThat(deload.of(Dose.parse("1x8 120% lowering then 3x5 -20%"), NUMBERS))
                .isEmpty();
    }

    /** Nobody can say what half of a pulldown at 8 is. */
    @Test
    void withoutANumberToHalveThereAreFewerSets() {
        assertThat(Deload.HALF_LOAD.of(Dose.parse("3x10 @8"), LiftNumbers.NONE).map(Dose::shorthand))
                .contains("2x10 @6");
    }

    /** The kind: whatever a coach may write stays what it is, and nothing in it is heavier or goes to the limit. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "4x8 72.5%",
                "1 @8 then 5x5 -22%",
                "5x5 100kg",
                "8x2 50% speed rest 30",
                "3x(5x1 20s) 90%",
                "10x1 in 10min gap 30 90%",
                "climb 8 to @7",
                "5x5+ 75%",
                "2xmax 70%",
                "max in 60s",
                "3x30s",
                "3x20m 80% event",
                "4 rounds",
                "rounds in 12min",
                "prep 10min",
                "3x5 80% +bands 10/35kg",
                "5x3 85% reverse 20kg",
                "3x8-12 @8",
                "3x5 0.5m/s",
                "3x8 feel",
                "3x5 85% lowering",
                "3x5 80% assisted",
                "3x3 105% partial blind",
                "3x5 last +2.5kg stages",
                "3x6 50% of deadlift",
                "3x10 1.5bw",
                "1 @9.5 then max 80% top then 5x3 -20%",
                "5x4 60% rest 90 tempo 4020 belt cue \"tight\"",
            })
    void theKind(String text) {
        Dose dose = Dose.parse(text);
        for (Deload deload : new Deload[] {Deload.HALF_LOAD, Deload.HALF_SETS}) {
            Dose easier = deload.of(dose, NUMBERS).orElseThrow();
            assertThat(Dose.parse(easier.shorthand())).isEqualTo(easier);
            assertThat(easier.parts()).hasSameSizeAs(dose.parts());
            for (int i = 0; i < dose.parts().size(); i++) {
                Part was = dose.parts().get(i);
                Part is = easier.parts().get(i);
                assertThat(is.work()).hasSameClassAs(was.work());
                assertThat(is.details()).isEqualTo(was.details());
                assertThat(is.changing()).isEqualTo(was.changing());
                assertThat(is.sets()).isLessThanOrEqualTo(was.sets());
                assertThat(is.reps()).isLessThanOrEqualTo(was.reps());
                assertThat(share(is).isGreaterThan(share(was)) && was.percent().isPresent())
                        .as(is.shorthand())
                        .isFalse();
                assertThat(is.work() instanceof Work.Straight straight
                                && straight.plus().isPresent())
                        .isFalse();
                assertThat(is.work() instanceof Work.ToLimit limit && limit.end() instanceof Work.Stop.Form)
                        .isFalse();
                if (was.is(SetModifier.SPEED)) {
                    assertThat(is.basis()).isEqualTo(was.basis());
                }
            }
        }
    }

    private static Percent share(Part part) {
        return part.percent().orElse(Percent.ZERO);
    }

    @Test
    void aDeloadOfDaysOffHasNoDose() {
        assertThat(Deload.OFF.of(Dose.parse("4x8 70%"), NUMBERS)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2x5 70%|4x5 70%|true",
                "4x5 65%|4x5 70%|true",
                "4x5 66%|4x5 70%|false",
                "1 @7|1 @8|true",
                "1 @7.5|1 @8|false",
                "5x5 95kg|5x5 100kg|true",
                "5x5 96kg|5x5 100kg|false",
                "5x5 90% last|5x5 last +2.5kg|true",
                "5x5 85%|4x5 80%|false",
            })
    void whatIsLighter(String dose, String than, boolean lighter) {
        assertThat(Deload.isLighter(Dose.parse(dose), Dose.parse(than))).isEqualTo(lighter);
    }
}
