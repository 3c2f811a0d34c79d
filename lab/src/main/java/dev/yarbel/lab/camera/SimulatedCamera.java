package dev.yarbel.lab.camera;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Stream;
import org.jcodec.api.awt.AWTSequenceEncoder;

/**
 * Films a set from the side: the plate at the end of the bar, who holds it, and a room that stands still.
 *
 * @param width in pixels, as the height a multiple of 16
 * @param frames a second
 * @param scale pixels to a metre
 */
public record SimulatedCamera(int width, int height, int frames, double scale, Quality quality, long seed) {

    /** Of a plate of full size, in metres: IWF and IPF both have 450 mm. */
    public static final double PLATE = 0.45;

    private static final double LEFT = 0.5;
    private static final double FLOOR = 0.94;
    private static final double LOWEST = 0.42;

    /** A room of 320 by 480 pixels in which a plate is 90 pixels wide. */
    public static SimulatedCamera usual(Quality quality) {
        return new SimulatedCamera(320, 480, 30, 200, quality, 7);
    }

    /** Where the middle of the plate is when the bar is at a height, in pixels from the left and from the top, in a clean film. */
    public double[] middle(double metres) {
        return new double[] {width * LEFT, height * (1 - LOWEST) + PLATE * scale / 2 - metres * scale};
    }

    /** How wide the plate is, in pixels. */
    public double plate() {
        return PLATE * scale;
    }

    /** Writes a film as MP4, with H.264 inside. */
    public void film(Motion motion, Path file) throws IOException {
        AWTSequenceEncoder encoder = AWTSequenceEncoder.createSequenceEncoder(file.toFile(), frames);
        Random random = new Random(seed);
        List<Double> heights = motion.frames(frames);
        double shakeX = 0;
        double shakeY = 0;
        for (int frame = 0; frame < heights.size(); frame++) {
            if (quality == Quality.SHAKY) {
                shakeX = 0.8 * shakeX + 2.5 * random.nextGaussian();
                shakeY = 0.8 * shakeY + 2.5 * random.nextGaussian();
            }
            double share = (double) frame / heights.size();
            encoder.encodeImage(frame(heights.get(frame), share, shakeX, shakeY, random));
        }
        encoder.finish();
    }

    private BufferedImage frame(double metres, double share, double shakeX, double shakeY, Random random) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.translate(shakeX, shakeY);
        room(pen);
        double[] at = middle(metres);
        lifter(pen, at);
        plate(pen, at);
        if (quality == Quality.CROSSED && share > 0.35 && share < 0.6) {
            pen.setColor(new Color(70, 60, 80));
            double x = width * (share - 0.35) / 0.25 * 1.6 - 0.3 * width;
            pen.fill(new Rectangle2D.Double(x, 0, 0.42 * width, height));
        }
        pen.dispose();
        if (quality == Quality.DARK) {
            darken(image, random);
        }
        return image;
    }

    private void room(Graphics2D pen) {
        pen.setColor(new Color(206, 203, 192));
        pen.fill(new Rectangle2D.Double(-40, -40, width + 80, height + 80));
        pen.setColor(new Color(150, 146, 135));
        pen.fill(new Rectangle2D.Double(-40, FLOOR * height, width + 80, height));
        pen.setStroke(new BasicStroke(7));
        pen.setColor(new Color(96, 104, 112));
        for (double x : new double[] {0.1, 0.9}) {
            pen.draw(new Line2D.Double(x * width, 0.08 * height, x * width, FLOOR * height));
        }
        pen.setStroke(new BasicStroke(2));
        pen.setColor(new Color(180, 176, 164));
        for (int line = 1; line < 6; line++) {
            pen.draw(new Line2D.Double(-40, line * height * 0.14, width + 40, line * height * 0.14));
        }
    }

    /** Feet, knee, hip and shoulder of nobody: the shoulder is under the bar, and the knee gives way. */
    private void lifter(Graphics2D pen, double[] bar) {
        double foot = FLOOR * height;
        double hip = Math.min(foot - 0.12 * height, bar[1] + 0.24 * height);
        double knee = (foot + hip) / 2;
        double bend = 0.12 * width * Math.max(0, 1 - (foot - hip) / (0.34 * height));
        pen.setStroke(new BasicStroke(22, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        pen.setColor(new Color(58, 70, 84));
        pen.draw(new Line2D.Double(bar[0], foot, bar[0] + 2 * bend + 8, knee));
        pen.draw(new Line2D.Double(bar[0] + 2 * bend + 8, knee, bar[0] - 1.6 * bend, hip));
        pen.setColor(new Color(120, 52, 48));
        pen.draw(new Line2D.Double(bar[0] - 1.6 * bend, hip, bar[0] + 4, bar[1] + 10));
        pen.setColor(new Color(168, 138, 112));
        pen.fill(new Ellipse2D.Double(bar[0] + 2, bar[1] - 62, 36, 40));
    }

    private void plate(Graphics2D pen, double[] at) {
        double wide = plate();
        pen.setColor(new Color(28, 30, 33));
        pen.fill(circle(at, wide));
        pen.setColor(new Color(178, 44, 40));
        pen.fill(circle(at, 0.86 * wide));
        pen.setColor(new Color(28, 30, 33));
        pen.fill(circle(at, 0.42 * wide));
        pen.setColor(new Color(214, 216, 218));
        pen.fill(circle(at, 0.14 * wide));
        pen.setStroke(new BasicStroke(3));
        pen.setColor(new Color(238, 226, 222));
        for (int mark = 0; mark < 3; mark++) {
            double angle = mark * 2 * Math.PI / 3 + 0.4;
            pen.draw(new Line2D.Double(
                    at[0] + 0.26 * wide * Math.cos(angle),
                    at[1] + 0.26 * wide * Math.sin(angle),
                    at[0] + 0.38 * wide * Math.cos(angle),
                    at[1] + 0.38 * wide * Math.sin(angle)));
        }
    }

    private static Ellipse2D circle(double[] middle, double wide) {
        return new Ellipse2D.Double(middle[0] - wide / 2, middle[1] - wide / 2, wide, wide);
    }

    private static void darken(BufferedImage image, Random random) {
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                Color seen = new Color(image.getRGB(x, y));
                double noise = 9 * random.nextGaussian();
                image.setRGB(
                        x,
                        y,
                        new Color(dark(seen.getRed(), noise), dark(seen.getGreen(), noise), dark(seen.getBlue(), noise))
                                .getRGB());
            }
        }
    }

    private static int dark(int value, double noise) {
        return (int) Math.max(0, Math.min(255, 0.11 * value + noise));
    }

    /** {@code SimulatedCamera <file> <clean|shaky|dark|crossed> <range in metres> <seconds up of each repetition>…} */
    public static void main(String[] asked) throws IOException {
        if (asked.length < 4) {
            System.err.println("file, quality, range in metres, seconds up of each repetition");
            System.exit(2);
        }
        List<Double> lifting = Stream.of(asked).skip(3).map(Double::valueOf).toList();
        usual(Quality.valueOf(asked[1].toUpperCase(Locale.ROOT)))
                .film(new Motion(Double.parseDouble(asked[2]), 1.2, lifting, 0.55), Path.of(asked[0]));
    }
}
