package dev.yarbel.core.session;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.prescription.Dose;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RestTest {

    @ParameterizedTest
    @CsvSource({
        "1 @8, 180",
        "3x3 80%, 180",
        "3x4 80%, 150",
        "3x6 75%, 150",
        "3x7 70%, 120",
        "3x9 70%, 120",
        "3x10 65%, 90",
        "8x2 50% speed, 60",
        "3x(5x1 20s) 3rm, 180",
        "3x30s, 120",
        "3x3 80% rest 240, 240"
    })
    void aRestIsWhatTheDoseSaysOrWhatIsUsual(String dose, long seconds) {
        assertThat(Rest.after(Dose.parse(dose).first()).toSeconds()).isEqualTo(seconds);
    }
}
