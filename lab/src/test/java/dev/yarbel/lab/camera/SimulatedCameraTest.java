package dev.yarbel.lab.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.jcodec.api.FrameGrab;
import org.jcodec.common.io.NIOUtils;
import org.jcodec.scale.AWTUtil;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SimulatedCameraTest {

    private static final Motion ONE = new Motion(0.6, 0.6, List.of(0.9), 0.4);

    @TempDir
    private Path folder;

    private static boolean isRed(BufferedImage image, double x, double y) {
        int seen = image.getRGB((int) Math.round(x), (int) Math.round(y));
        return ((seen >> 16) & 255) > 130 && ((seen >> 8) & 255) < 100;
    }

    @Test
    void thePlateIsWhereTheBarIsAndAsWideAsItIs() throws Exception {
        SimulatedCamera camera = SimulatedCamera.usual(Quality.CLEAN);
        Path film = folder.resolve("one.mp4");
        camera.film(ONE, film);
        FrameGrab frames = FrameGrab.createFrameGrab(NIOUtils.readableChannel(film.toFile()));
        List<Double> heights = ONE.frames(camera.frames());
        for (double height : heights) {
            BufferedImage image = AWTUtil.toBufferedImage(frames.getNativeFrame());
            double[] middle = camera.middle(height);
            // the painted ring lies between what is in the middle and the rim
            assertThat(isRed(image, middle[0], middle[1] - 0.33 * camera.plate()))
                    .isTrue();
            assertThat(isRed(image, middle[0], middle[1] - 0.47 * camera.plate()))
                    .isFalse();
        }
        assertThat(frames.getNativeFrame()).as("no more than was lifted").isNull();
    }

    @ParameterizedTest
    @EnumSource(Quality.class)
    void aFilmIsSmallAndLastsAsLongAsTheSet(Quality quality) throws Exception {
        Path film = folder.resolve("set.mp4");
        SimulatedCamera.usual(quality).film(ONE, film);

        assertThat(Files.size(film)).isBetween(10_000L, 20_000_000L);
        assertThat(FrameGrab.createFrameGrab(NIOUtils.readableChannel(film.toFile()))
                        .getVideoTrack()
                        .getMeta()
                        .getTotalDuration())
                .isCloseTo(ONE.length(), within(0.1));
    }
}
