package dev.yarbel.lab.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class MotionTest {

    private static final Motion SET = new Motion(0.6, 1.2, List.of(0.8, 1.0, 1.6), 0.5);

    @Test
    void eachRepetitionGoesDownAndComesUpInItsTime() {
        double at = Motion.HELD;
        for (double up : SET.lifting()) {
            assertThat(SET.at(at)).isCloseTo(0.6, within(1e-9));
            assertThat(SET.at(at + SET.lowering())).isCloseTo(0, within(1e-9));
            assertThat(SET.at(at + SET.lowering() + up)).isCloseTo(0.6, within(1e-9));
            at += SET.lowering() + up + Motion.HELD;
        }
        assertThat(SET.length()).isCloseTo(at, within(1e-9));
    }

    @Test
    void itsMeanSpeedIsTheWayByTheTime() {
        assertThat(SET.speeds()).containsExactly(0.6 / 0.8, 0.6, 0.6 / 1.6);
    }

    @Test
    void itNeverGoesBackOnTheWayUpAndIsSlowestHalfWay() {
        double from = Motion.HELD + SET.lowering();
        double before = -1;
        double half = speed(from + 0.4);
        for (double share = 0; share <= 1; share += 0.01) {
            double height = SET.at(from + share * 0.8);
            assertThat(height).isGreaterThanOrEqualTo(before);
            before = height;
        }
        assertThat(half).isLessThan(speed(from + 0.25)).isLessThan(speed(from + 0.55));
    }

    private static double speed(double second) {
        return (SET.at(second + 0.001) - SET.at(second - 0.001)) / 0.002;
    }

    @Test
    void whatDoesNotMoveIsRefused() {
        assertThatThrownBy(() -> new Motion(0, 1, List.of(1.0), 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Motion(1, 1, List.of(), 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Motion(1, 1, List.of(1.0), 1)).isInstanceOf(IllegalArgumentException.class);
    }
}
