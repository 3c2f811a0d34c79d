package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AccommodatedLoad;
import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * A load that changes over the height of a lift, drawn: height upwards, load to the right, for an SVG 360 wide and 220
 * high.
 *
 * @param asked the bar load that would come to what was wanted; the bar as loaded is in {@code load}
 * @param unlike what sets the bands of a pair apart
 * @param bands whether bands are on, and reverse ones among them
 */
record AccommodatedView(
        AccommodatedLoad load,
        Mass asked,
        MassUnit unit,
        Set<Band.Unlike> unlike,
        boolean bands,
        boolean reverse,
        String path,
        int barX,
        List<Tick> ticks) {

    private static final int POINTS = 25;
    private static final int LEFT = 56;
    private static final int RIGHT = 340;
    private static final int TOP = 16;
    private static final int BOTTOM = 180;

    /** A load on the axis below. */
    record Tick(int x, String load) {}

    static AccommodatedView of(
            AccommodatedLoad load, Mass asked, MassUnit unit, Set<Band.Unlike> unlike, boolean bands, boolean reverse) {
        List<AccommodatedLoad.Point> curve = load.curve(POINTS);
        Mass least = load.bar();
        Mass most = load.bar();
        for (AccommodatedLoad.Point point : curve) {
            least = Mass.min(least, point.load());
            most = Mass.max(most, point.load());
        }
        double from = figure(least, unit) * 0.9;
        double to = Math.max(from + 1, figure(most, unit) * 1.05);
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < POINTS; i++) {
            path.append(i == 0 ? "M" : "L")
                    .append(String.format(
                            Locale.ROOT,
                            "%.1f %.1f",
                            exactX(figure(curve.get(i).load(), unit), from, to),
                            BOTTOM - (BOTTOM - TOP) * i / (POINTS - 1.0)));
        }
        List<Tick> ticks = List.of(tick(load.atBottom(), unit, from, to), tick(load.atTop(), unit, from, to));
        return new AccommodatedView(
                load,
                asked,
                unit,
                unlike,
                bands,
                reverse,
                path.toString(),
                x(figure(load.bar(), unit), from, to),
                ticks);
    }

    private static Tick tick(Mass load, MassUnit unit, double from, double to) {
        return new Tick(x(figure(load, unit), from, to), load.format(unit, 1));
    }

    private static double figure(Mass mass, MassUnit unit) {
        return mass.in(unit).doubleValue();
    }

    private static int x(double load, double from, double to) {
        return (int) Math.round(exactX(load, from, to));
    }

    private static double exactX(double load, double from, double to) {
        return LEFT + (RIGHT - LEFT) * (load - from) / (to - from);
    }

    public String height(Length height) {
        return height.format(LengthUnit.CM, 0);
    }
}
