package dev.yarbel.web.page;

import dev.yarbel.core.equipment.LoadedBar;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.measure.Mass;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * One side of a loaded bar to scale, from the collar outwards, for an SVG 100 high: a plate's height and thickness grow
 * with its mass, as a rack of iron plates does.
 */
public record BarDrawing(List<Disc> discs, int end, int width, boolean collar) {

    /**
     * One plate: its left edge, thickness, top and height, and what is cast on it.
     *
     * @param colour the rule book's colour of a calibrated disc; empty for any other plate
     */
    public record Disc(int x, int width, int y, int height, String label, String colour, boolean added) {

        /** The middle, where the label stands. */
        public int middle() {
            return x + width / 2;
        }
    }

    /**
     * Where plates stand, for whoever draws another load on the same bar.
     *
     * @param first the left edge of the innermost plate
     * @param gap between two plates
     * @param middle of the bar, from the top
     * @param least the width of a drawing with few plates
     * @param end what stays free beyond the last plate
     */
    public record Layout(int first, int gap, int middle, int least, int end) {}

    /** Where plates stand. */
    public static final Layout LAYOUT = new Layout(26, 2, 50, 176, 16);

    /** Colours of calibrated discs (IPF Technical Rules, from memory); 10 kg and less may have any. */
    private static final Map<Mass, String> COLOURS =
            Map.of(Mass.ofKg(25), "red", Mass.ofKg(20), "blue", Mass.ofKg(15), "yellow");

    /** Draws a bar as it stands, with no plate marked as added. */
    public static BarDrawing of(LoadedBar loading) {
        return of(loading, loading.stack().plates().size());
    }

    /**
     * Draws a bar.
     *
     * @param onBefore how many plates from the inside were on already; those further out are marked as added
     */
    public static BarDrawing of(LoadedBar loading, int onBefore) {
        List<Disc> discs = new ArrayList<>();
        int x = LAYOUT.first();
        for (Plate plate : loading.stack().plates()) {
            double kg = plate.mass().kilograms();
            int height = (int) Math.round(24 + 72 * Math.sqrt(Math.min(kg, 25) / 25));
            int width = (int) Math.round(10 + kg * 0.55);
            discs.add(new Disc(
                    x,
                    width,
                    LAYOUT.middle() - height / 2,
                    height,
                    plate.label(),
                    colour(plate),
                    discs.size() >= onBefore));
            x += width + LAYOUT.gap();
        }
        int end = Math.max(LAYOUT.least(), x + LAYOUT.end());
        return new BarDrawing(discs, x, end, loading.kit().collars().isPositive() && !discs.isEmpty());
    }

    private static String colour(Plate plate) {
        return plate.calibrated() ? COLOURS.getOrDefault(plate.mass(), "") : "";
    }
}
