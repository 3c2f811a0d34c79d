package dev.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Who goes when, and how long they rest: common practice, no source. */
class RunOrderTest {

    private static final List<String> BY_LOT = List.of("Ash", "Birk", "Cyd", "Dov");
    private static final Optional<LocalTime> TEN = Optional.of(LocalTime.of(10, 0));
    private static final Optional<Duration> THREE = Optional.of(Duration.ofMinutes(3));

    private static RunOrder<String> first() {
        return RunOrder.of(BY_LOT, Map.of(), TEN, THREE);
    }

    private static RunOrder<String> second(Optional<LocalTime> begins) {
        return RunOrder.of(
                BY_LOT,
                Map.of("Ash", BigDecimal.valueOf(4), "Birk", BigDecimal.ONE, "Cyd", BigDecimal.valueOf(2)),
                begins,
                THREE);
    }

    @Test
    void theFirstGoesByLotAndLaterOnesFromTheLastToTheLeader() {
        assertThat(first().who()).isEqualTo(BY_LOT);
        assertThat(second(Optional.empty()).who()).containsExactly("Dov", "Birk", "Cyd", "Ash");
    }

    @Test
    void whoIsLevelGoesByLot() {
        assertThat(RunOrder.of(
                                BY_LOT,
                                Map.of("Birk", BigDecimal.valueOf(2.5), "Ash", new BigDecimal("2.50")),
                                TEN,
                                THREE)
                        .who())
                .containsExactly("Cyd", "Dov", "Ash", "Birk");
    }

    /** Ash goes at 10:00 for three minutes, and at 11:09 again. */
    @Test
    void restIsFromOneEndToTheNextStart() {
        RunOrder<String> next = second(Optional.of(LocalTime.of(11, 0)));

        assertThat(first().at("Dov")).contains(LocalTime.of(10, 9));
        assertThat(next.at("Ash")).contains(LocalTime.of(11, 9));
        assertThat(first().rest("Ash", next)).contains(Duration.ofMinutes(66));
        assertThat(first().rest("Dov", next)).contains(Duration.ofMinutes(48));
    }

    @Test
    void whatNobodySaidIsNotReckoned() {
        assertThat(second(Optional.empty()).at("Ash")).isEmpty();
        assertThat(first().rest("Ash", second(Optional.empty()))).isEmpty();
        assertThat(RunOrder.of(BY_LOT, Map.of(), TEN, Optional.empty()).at("Ash"))
                .isEmpty();
        assertThat(first().rest("Dov", second(TEN))).as("both at once").isNotPresent();
        assertThat(RunOrder.of(BY_LOT, Map.of(), Optional.of(LocalTime.of(23, 55)), THREE)
                        .at("Dov"))
                .as("past midnight")
                .isEmpty();
    }
}
