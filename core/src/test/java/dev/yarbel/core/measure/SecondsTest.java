package dev.yarbel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class SecondsTest {

    @Test
    void aStoppedTimeKeepsItsHundredths() {
        assertThat(Seconds.of(new BigDecimal("14.85"))).isEqualTo(Duration.ofMillis(14_850));
        assertThat(Seconds.in(Duration.ofMillis(14_850))).isEqualByComparingTo("14.85");
    }

    @Test
    void whatIsFinerThanAThousandthIsCutOff() {
        assertThat(Seconds.of(new BigDecimal("0.0019"))).isEqualTo(Duration.ofMillis(1));
    }

    @Property
    void whatIsWrittenIsReadAgain(@ForAll @IntRange(max = 7_200_000) int millis) {
        assertThat(Seconds.of(Seconds.in(Duration.ofMillis(millis)))).isEqualTo(Duration.ofMillis(millis));
    }
}
