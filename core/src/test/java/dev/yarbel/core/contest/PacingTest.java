package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.measure.Length;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PacingTest {

    private static AnnouncedEvent event(EventMeasure measure) {
        return new AnnouncedEvent(
                measure,
                Optional.empty(),
                List.of(),
                Optional.of(Length.ofCm(2000)),
                Optional.of(Duration.ofSeconds(60)));
    }

    private static String marks(EventMeasure measure, String written) {
        return Pacing.of(event(measure), EventResult.parse(written, measure))
                .map(pace -> pace.marks().stream()
                        .map(mark -> mark.amount().stripTrailingZeros().toPlainString() + " by " + mark.seconds())
                        .reduce((one, other) -> one + ", " + other)
                        .orElseThrow())
                .orElse("none");
    }

    /** By hand: twelve in a minute are one every five seconds. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            REPS     | 12        | 3 by 15.0, 6 by 30.0, 9 by 45.0
            REPS     | 4         | 1 by 15.0, 2 by 30.0, 3 by 45.0
            REPS     | 1         | none
            REPS     | 0         | none
            PIECES   | 5 / 40    | 1 by 8.0, 2 by 16.0, 3 by 24.0, 4 by 32.0
            PIECES   | 3         | 1 by 20.0, 2 by 40.0
            TIME     | 14        | 5 by 3.5, 10 by 7.0, 15 by 10.5
            DISTANCE | 40 / 20   | 10 by 5.0, 20 by 10.0, 30 by 15.0
            DISTANCE | 30        | 7.5 by 15.0, 15 by 30.0, 22.5 by 45.0
            LOAD     | 320       | none
            HOLD     | 60        | none
            ROUNDS   | 7         | none
            """)
    void anEvenPace(EventMeasure measure, String written, String marks) {
        assertThat(marks(measure, written)).isEqualTo(marks);
    }

    /** However much is to be done, nobody is told to have all of it done before the end, or less than before. */
    @Test
    void marksGoUpAndStayShortOfTheEnd() {
        for (int reps = 2; reps <= 60; reps++) {
            BigDecimal last = BigDecimal.ZERO;
            for (Pacing.Mark mark : Pacing.of(event(EventMeasure.REPS), result(reps))
                    .orElseThrow()
                    .marks()) {
                assertThat(mark.amount()).isGreaterThan(last).isLessThan(BigDecimal.valueOf(reps));
                assertThat(mark.seconds()).isBetween(BigDecimal.ONE, BigDecimal.valueOf(59));
                last = mark.amount();
            }
        }
    }

    private static EventResult result(int reps) {
        return new EventResult(BigDecimal.valueOf(reps), Optional.empty(), true);
    }
}
