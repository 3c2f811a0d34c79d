package dev.yarbel.core.clip;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Where the plate at the end of a bar was seen in a film, picture by picture, in pixels from the left and from the top.
 *
 * @param rim as it was marked in the first of them; a plate of full size gives the scale
 * @param seen in the order of time
 */
public record BarTrack(Rim rim, List<Seen> seen) {

    /** In metres, of a plate of full size: the rule books of IWF and IPF both give 450 mm. */
    public static final double PLATE = 0.45;

    /** More pictures than a minute has at sixty a second. */
    public static final int MOST = 4000;

    private static final double FARTHEST = 20_000;

    /**
     * The edge of a plate.
     *
     * @param x of its middle
     * @param y of its middle
     * @param width from edge to edge, at least 8 pixels
     */
    public record Rim(double x, double y, double width) {

        private static final double NARROWEST = 8;

        public Rim {
            if (!isPlace(x) || !isPlace(y) || !(width >= NARROWEST && width <= FARTHEST)) {
                throw new IllegalArgumentException("a rim is a place in a picture, and at least 8 pixels wide");
            }
        }

        /** How far a pixel is, in metres. */
        public double metresToAPixel() {
            return PLATE / width;
        }
    }

    /**
     * The plate in one picture.
     *
     * @param millis from the beginning of the film
     * @param x of its middle
     * @param y of its middle
     * @param likeness how much what is there looks like what was marked, from 0 to 1
     */
    public record Seen(int millis, double x, double y, double likeness) {

        public Seen {
            if (millis < 0 || !isPlace(x) || !isPlace(y) || !(likeness >= 0 && likeness <= 1)) {
                throw new IllegalArgumentException("a moment, a place and a likeness");
            }
        }
    }

    public BarTrack {
        seen = List.copyOf(seen);
        if (seen.size() > MOST) {
            throw new IllegalArgumentException("more pictures than a clip has");
        }
        for (int at = 1; at < seen.size(); at++) {
            if (seen.get(at).millis <= seen.get(at - 1).millis) {
                throw new IllegalArgumentException("pictures follow each other");
            }
        }
    }

    /**
     * Reads what {@link #written} writes: a line a picture, with its moment in thousandths of a second, the place of the plate and the likeness.
     *
     * @throws IllegalArgumentException when it is something else
     */
    public static BarTrack parse(Rim rim, String text) {
        List<Seen> seen = new ArrayList<>();
        for (String line : text.strip().split("\\R", MOST + 2)) {
            String[] figures = line.strip().split(" ");
            if (figures.length != 4) {
                throw new IllegalArgumentException("four figures to a picture");
            }
            seen.add(new Seen(
                    Integer.parseInt(figures[0]),
                    Double.parseDouble(figures[1]),
                    Double.parseDouble(figures[2]),
                    Double.parseDouble(figures[3])));
        }
        return new BarTrack(rim, seen);
    }

    /** All pictures as text, to a hundredth of a pixel. */
    public String written() {
        return seen.stream()
                .map(one -> String.format(Locale.ROOT, "%d %.2f %.2f %.3f", one.millis, one.x, one.y, one.likeness))
                .collect(Collectors.joining("\n"));
    }

    private static boolean isPlace(double pixel) {
        return Math.abs(pixel) <= FARTHEST;
    }
}
