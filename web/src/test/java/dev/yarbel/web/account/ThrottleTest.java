package dev.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.account.Throttle.Door;
import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** How long somebody waits who tries and tries. */
class ThrottleTest {

    private long nanos = 1;

    private final Throttle throttle = new Throttle(new TimeMeter() {
        @Override
        public long currentTimeNanos() {
            return nanos;
        }

        @Override
        public boolean isWallClockBased() {
            return false;
        }
    });

    /** Tries as fast as the door allows; the pauses in between, in seconds. */
    private List<Long> pauses(Door door, String what, int tries) {
        List<Long> pauses = new ArrayList<>();
        for (int i = 0; i < tries; i++) {
            Optional<Duration> pause = throttle.tries(door, what);
            pauses.add(pause.map(Duration::toSeconds).orElse(0L));
            pause.ifPresent(wait -> nanos += wait.toNanos());
            if (pause.isPresent()) {
                throttle.tries(door, what);
            }
        }
        return pauses;
    }

    @Test
    void afterFiveAtOnceThePausesBeginAndGrow() {
        List<Long> pauses = pauses(Door.ACCOUNT, "bryn", 40);
        assertThat(pauses.subList(0, 5)).containsOnly(0L);
        assertThat(pauses.get(5)).isBetween(12L, 14L);
        assertThat(pauses.get(39)).as("in the long run").isBetween(55L, 62L);
        assertThat(pauses).as("and nobody is locked out").allMatch(pause -> pause <= 62);
    }

    @Test
    void whoeverGivesTheRightOneStartsAnew() {
        pauses(Door.ACCOUNT, "bryn", 5);
        assertThat(throttle.tries(Door.ACCOUNT, "bryn")).isPresent();
        throttle.forgive(Door.ACCOUNT, "bryn");
        assertThat(throttle.tries(Door.ACCOUNT, "bryn")).isEmpty();
    }

    @Test
    void oneAccountsTriesAreNotAnothers() {
        pauses(Door.ACCOUNT, "bryn", 5);
        assertThat(throttle.tries(Door.ACCOUNT, "maren")).isEmpty();
        assertThat(throttle.tries(Door.ADDRESS, "bryn")).isEmpty();
    }

    @Test
    void aWholeGymBehindOneAddressSignsIn() {
        for (int lifter = 0; lifter < 200; lifter++) {
            assertThat(throttle.tries(Door.ADDRESS, "192.0.2.1")).isEmpty();
            throttle.giveBack(Door.ADDRESS, "192.0.2.1");
        }
        pauses(Door.ADDRESS, "192.0.2.1", 30);
        assertThat(throttle.tries(Door.ADDRESS, "192.0.2.1"))
                .as("but wrong ones add up")
                .isPresent();
    }
}
