package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.contest.FlightPace.Over;
import java.time.Instant;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class FlightPaceTest {

    private static final Instant TEN = Instant.parse("2026-03-10T10:00:00Z");

    private static Over over(int before, long seconds) {
        return new Over(before, TEN.plusSeconds(seconds));
    }

    /** The fifth attempt was over six minutes in: 72 s each. */
    @Test
    void theLastOneThatIsOverTellsThePace() {
        assertThat(FlightPace.learnt(TEN, Stream.of(over(0, 50), over(4, 360), over(2, 130))))
                .contains(72);
    }

    @Test
    void fewSayNothingAndNobodyLiftsBeforeTheFlight() {
        assertThat(FlightPace.learnt(TEN, Stream.empty())).isEmpty();
        assertThat(FlightPace.learnt(TEN, Stream.of(over(1, 120)))).isEmpty();
        assertThat(FlightPace.learnt(TEN, Stream.of(over(2, 180)))).contains(60);
        assertThat(FlightPace.learnt(TEN, Stream.of(over(4, -10)))).isEmpty();
    }

    /** A phone that was tapped late does not stretch the room beyond reason. */
    @Test
    void itStaysWithinReason() {
        assertThat(FlightPace.learnt(TEN, Stream.of(over(2, 3600)))).contains(180);
        assertThat(FlightPace.learnt(TEN, Stream.of(over(9, 20)))).contains(30);
    }
}
