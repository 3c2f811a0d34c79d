package dev.yarbel.core.prescription;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WorkTest {

    /** What a dose leaves to the lifter is known of each kind of work; the plus belongs to the last set alone. */
    @ParameterizedTest
    @CsvSource({
        "3x5 75%, false, false",
        "3x5+ 75%, true, false",
        "3x8-12 @8, true, true",
        "2xmax 80%, true, true",
        "max to @9 80%, true, true",
        "20 reps feel, true, true",
        "max in 60s 100kg, true, true",
        "2x60s, false, false",
        "3x20m 100kg, false, false",
        "rounds in 10min, true, true",
        "5 rounds, false, false",
        "climb 8 to @7, false, false",
        "3x(4x1 20s) 90%, false, false",
        "10x1 in 10min gap 30s 90%, false, false"
    })
    void onlyLiftingSettlesWhatADoseLeavesOpen(String dose, boolean last, boolean before) {
        Work work = Dose.parse(dose).parts().get(0).work();
        assertThat(work.leavesCountOpen(true)).isEqualTo(last);
        assertThat(work.leavesCountOpen(false)).isEqualTo(before);
    }
}
