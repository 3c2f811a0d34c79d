package dev.yarbel.lab.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.yarbel.core.clip.BarPath;
import dev.yarbel.core.clip.BarTrack;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the simulated camera's bars do is found again from where they are in its pictures, as well as a tracker tells that. */
class FilmedSpeedTest {

    private static final Motion SET = new Motion(0.55, 1.2, List.of(0.7, 0.75, 0.8, 0.9, 1.05, 1.8), 0.55);

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void everyRepetitionIsWithinAFewHundredths(int seed) {
        SimulatedCamera camera = SimulatedCamera.usual(Quality.CLEAN);
        Random random = new Random(seed);
        List<BarTrack.Seen> seen = new ArrayList<>();
        List<Double> heights = SET.frames(camera.frames());
        for (int picture = 0; picture < heights.size(); picture++) {
            double[] at = camera.middle(heights.get(picture));
            seen.add(new BarTrack.Seen(
                    (int) Math.round(1000.0 * picture / camera.frames()),
                    at[0] + 0.15 * random.nextGaussian(),
                    at[1] + 0.15 * random.nextGaussian(),
                    0.97));
        }
        double[] at = camera.middle(0);

        BarPath path = BarPath.of(new BarTrack(new BarTrack.Rim(at[0], at[1], camera.plate()), seen));

        List<Double> known = SET.speedsFasterThan(BarPath.MOVES);
        assertThat(path.doubts()).isEmpty();
        assertThat(path.reps()).hasSameSizeAs(known);
        for (int rep = 0; rep < known.size(); rep++) {
            double speed = path.reps().get(rep).speed().millimetres() / 1000.0;
            assertThat(speed).isCloseTo(known.get(rep), within(0.05 * known.get(rep)));
            assertThat(path.reps().get(rep).slowest()).isPresent();
        }
    }
}
